import {
  checkHumidity,
  diffusivityM2PerS,
  GAS_CONSTANT,
  saturationPressureKPa,
  STANDARD_PRESSURE_KPA,
  WATER_G_PER_MOL,
  waterDensityGPerMl,
} from '../climate';
import { within } from '../quantity';
import {
  checkTube,
  chamberLengthMm,
  tubeVolumeMl,
  USUAL_PLUGS,
  type Plugs,
  type TubeShape,
} from './geometry';

const SECONDS_PER_DAY = 86_400;

export interface Evaporation {
  boreMm: number;
  /** Way of the vapour from the wet face to room air, mm. */
  pathMm: number;
  tempC: number;
  /** 0..1 */
  roomRelHumidity: number;
}

function checkRoom(tempC: number, roomRelHumidity: number): void {
  within(tempC, 'tempC', 'The temperature', { min: 0, max: 60, unit: '°C' });
  checkHumidity(roomRelHumidity, 'roomRelHumidity', "The room's humidity");
}

/**
 * Water lost through an open tube, g/day: Stefan's diffusion tube, vapour diffusing through air at rest from a
 * saturated wet face to room air at the mouth.
 *
 * ṁ = D·P·M·A / (R·T·L) · ln((P − p_room) / (P − p_saturated)).
 * Source: Stefan's tube, any transport text (e.g. Bird, Stewart & Lightfoot, Transport Phenomena).
 * @throws InputError for figures that cannot be
 */
export function waterLossGPerDay({ boreMm, pathMm, tempC, roomRelHumidity }: Evaporation): number {
  within(boreMm, 'boreMm', "The tube's bore", { min: 1, max: 200, unit: 'mm' });
  within(pathMm, 'pathMm', 'The way to the mouth', { min: 1, max: 1000, unit: 'mm' });
  checkRoom(tempC, roomRelHumidity);
  const saturated = saturationPressureKPa(tempC);
  const room = saturated * roomRelHumidity;
  const kelvin = tempC + 273.15;
  const areaM2 = Math.PI * (boreMm / 2000) ** 2;
  const drive = Math.log((STANDARD_PRESSURE_KPA - room) / (STANDARD_PRESSURE_KPA - saturated));
  const molPerS =
    ((diffusivityM2PerS(tempC) * STANDARD_PRESSURE_KPA * 1000 * areaM2) /
      (GAS_CONSTANT * kelvin * (pathMm / 1000))) *
    drive;
  return molPerS * WATER_G_PER_MOL * SECONDS_PER_DAY;
}

export interface RoomConditions {
  tempC: number;
  /** 0..1 */
  roomRelHumidity: number;
  plugs?: Plugs;
}

/**
 * How much longer the vapour's way through a cotton plug is than the plug itself: air fills most of loose cotton, but
 * the way winds. Prior, common practice; measured water lines correct it (see `reservoirBand`).
 */
export const COTTON_DETOUR = 1.3;

/**
 * Water lost from a closed founding tube, g/day. The inner plug stays wet to its chamber-side face as the water behind
 * it recedes, so the way is the chamber and the outer plug, and does not grow.
 */
export function tubeLossGPerDay(
  tube: TubeShape,
  waterLineMm: number,
  { tempC, roomRelHumidity, plugs = USUAL_PLUGS }: RoomConditions,
): number {
  const pathMm = chamberLengthMm(tube, waterLineMm, plugs) + COTTON_DETOUR * plugs.outerMm;
  return waterLossGPerDay({ boreMm: tube.boreMm, pathMm, tempC, roomRelHumidity });
}

/**
 * Days until the water behind the plug is gone, at this warmth and this room's dryness: the single best figure.
 * Infinity in a room whose air is saturated. `reservoirBand` gives the honest range.
 * @throws InputError when the water line lies beyond the tube or leaves no chamber
 */
export function reservoirDays(tube: TubeShape, waterLineMm: number, conditions: RoomConditions): number {
  checkTube(tube);
  const grams = tubeVolumeMl(tube, waterLineMm) * waterDensityGPerMl(conditions.tempC);
  return grams / tubeLossGPerDay(tube, waterLineMm, conditions);
}
