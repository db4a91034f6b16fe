import { DANGER_C } from '../warmth/danger';
import { saturationPressureKPa, STANDARD_PRESSURE_KPA, waterDensityGPerMl } from '../climate';
import { need, within } from '../quantity';
import type { Plugs, TubeShape } from './geometry';
import { checkTube, chamberLengthMm, DRY_SHARE } from './geometry';

/** One drop of a metric dropper, ml: 20 drops to the ml (pharmacopoeia; from memory). */
export const DROP_ML = 0.05;

export interface Warming {
  /** Air shut in behind the plug, ml; 0 when there is none. */
  bubbleMl: number;
  /** Water behind the plug, ml. */
  waterMl: number;
  fromC: number;
  toC: number;
}

/**
 * Water that warming pushes through the plug into the chamber, ml; negative when cooling draws it back.
 *
 * The bubble's dry air keeps its amount; beside it stands saturated vapour, so that its volume goes as
 * T / (P − p_saturated(T)). The water itself grows as its density falls. Both push out as much water as they grow.
 * Sources: ideal gas law; vapour pressure after Wagner & Pruss 1993; density of water after Kell 1975.
 * @throws InputError for volumes below zero or temperatures outside 0–60 °C
 */
export function floodMl({ bubbleMl, waterMl, fromC, toC }: Warming): number {
  within(bubbleMl, 'bubbleMl', 'The bubble', { min: 0, max: 1000, unit: 'ml' });
  within(waterMl, 'waterMl', 'The water', { min: 0, max: 2000, unit: 'ml' });
  within(fromC, 'fromC', 'The temperature before', { min: 0, max: 60, unit: '°C' });
  within(toC, 'toC', 'The temperature after', { min: 0, max: 60, unit: '°C' });
  const air = (tempC: number) => (tempC + 273.15) / (STANDARD_PRESSURE_KPA - saturationPressureKPa(tempC));
  const bubble = bubbleMl * (air(toC) / air(fromC) - 1);
  const water = waterMl * (waterDensityGPerMl(fromC) / waterDensityGPerMl(toC) - 1);
  return bubble + water;
}

/** The same in drops of 0.05 ml, to one decimal. */
export function dropsOf(ml: number): number {
  return Math.round((ml / DROP_ML) * 10) / 10;
}

/**
 * The largest step of warming that pushes out no more than is allowed, °C: take such a step, let the plug drink, wait
 * a day, take the next.
 * @param allowMl what the chamber may take at once; one drop when not given
 */
export function safeStepC(
  { bubbleMl, waterMl, fromC }: Omit<Warming, 'toC'>,
  allowMl = DROP_ML,
): { stepC: number; limitedBy: 'flood' | 'heat' } {
  need(allowMl > 0, 'allowMl', 'The water that the chamber may take must be more than 0 ml.');
  const flood = (toC: number) => floodMl({ bubbleMl, waterMl, fromC, toC });
  if (fromC >= DANGER_C) return { stepC: 0, limitedBy: 'heat' };
  if (flood(DANGER_C) <= allowMl) return { stepC: DANGER_C - fromC, limitedBy: 'heat' };
  // water is densest at 4 °C: below that the first degrees shrink it, so the root is sought from the warm side
  let low = fromC;
  let high = DANGER_C;
  for (let i = 0; i < 50; i++) {
    const mid = (low + high) / 2;
    if (flood(mid) > allowMl) high = mid;
    else low = mid;
  }
  return { stepC: low - fromC, limitedBy: 'flood' };
}

/** Water may stand this deep along a lying chamber before a small queen's brood gets wet. Prior. */
const STANDING_MM = 1;
/** The share of dry cotton that is air. Prior. */
const COTTON_VOID = 0.8;

/**
 * What chamber and plug can take at once before water stands 1 mm deep along the lying tube, ml: the dry third of the
 * inner plug drinks, and the rest lies as a circular segment on the chamber's floor.
 * @throws InputError when there is no chamber
 */
export function floodReserveMl(tube: TubeShape, waterLineMm: number, plugs: Plugs): number {
  checkTube(tube);
  const chamberMm = chamberLengthMm(tube, waterLineMm, plugs);
  const r = tube.boreMm / 2;
  const h = Math.min(STANDING_MM, r);
  const segmentMm2 = r * r * Math.acos((r - h) / r) - (r - h) * Math.sqrt(2 * r * h - h * h);
  const plugMl = (Math.PI * r * r * plugs.innerMm * DRY_SHARE * COTTON_VOID) / 1000;
  return plugMl + (segmentMm2 * chamberMm) / 1000;
}
