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
  DRY_SHARE,
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
  within(tempC, 'tempC', 'The temperature', { min: -20, max: 60, unit: '°C' });
  checkHumidity(roomRelHumidity, 'roomRelHumidity', "The room's humidity");
}

/**
 * Water lost through an open tube, g/day: Stefan's diffusion tube, vapour diffusing through air at rest from a
 * saturated wet face to room air at the mouth.
 *
 * ṁ = D·P·M·A / (R·T·L) · ln((P − p_room) / (P − p_saturated)).
 * Source: Stefan's tube, any transport text (e.g. Bird, Stewart & Lightfoot, Transport Phenomena).
 * Below freezing none is reckoned to leave.
 * @throws InputError for figures that cannot be
 */
export function waterLossGPerDay({ boreMm, pathMm, tempC, roomRelHumidity }: Evaporation): number {
  within(boreMm, 'boreMm', "The tube's bore", { min: 1, max: 200, unit: 'mm' });
  within(pathMm, 'pathMm', 'The way to the mouth', { min: 1, max: 1000, unit: 'mm' });
  checkRoom(tempC, roomRelHumidity);
  if (tempC < 0) return 0;
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
 * How much longer the vapour's way through cotton is than the cotton itself: air fills most of it, but the way winds (windings squared
 * over the share of air). Loose at the mouth, firm where it holds the water back. Priors; measured water lines correct them
 * (see `reservoirBand`).
 */
export const COTTON_DETOUR = { loose: 1.3, firm: 1.8 } as const;

/** The way of the vapour from the wet front to the air of the room, as millimetres of still air. */
export interface FreePath {
  /** The dry rim of the inner plug, pressed firmly. */
  rimMm: number;
  chamberMm: number;
  outerMm: number;
  /** From the mouth the vapour still has to spread. */
  mouthMm: number;
  wholeMm: number;
}

/**
 * The inner plug stays wet to the same front while the water behind it recedes, so the way does not grow. At the mouth it spreads like
 * from a hole, which counts as πd/8 more (one end of a hole; Brown & Escombe 1900, Phil. Trans. R. Soc. B 193:223–291, from memory).
 * @throws InputError when water and plugs leave no room
 */
export function freePath(tube: TubeShape, waterLineMm: number, plugs: Plugs = USUAL_PLUGS): FreePath {
  const chamberMm = chamberLengthMm(tube, waterLineMm, plugs);
  const rimMm = COTTON_DETOUR.firm * DRY_SHARE * plugs.innerMm;
  const outerMm = COTTON_DETOUR.loose * plugs.outerMm;
  const mouthMm = (Math.PI * tube.boreMm) / 8;
  return { rimMm, chamberMm, outerMm, mouthMm, wholeMm: rimMm + chamberMm + outerMm + mouthMm };
}

/** Water lost from a closed founding tube, g/day. */
export function tubeLossGPerDay(
  tube: TubeShape,
  waterLineMm: number,
  { tempC, roomRelHumidity, plugs = USUAL_PLUGS }: RoomConditions,
): number {
  const pathMm = freePath(tube, waterLineMm, plugs).wholeMm;
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
