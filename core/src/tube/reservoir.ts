import { waterDensityGPerMl } from '../climate';
import { DAY_MS, instantOf, msOf, need, type Band, type Instant } from '../quantity';
import { tubeVolumeMl, waterLineForMl, type Plugs, type TubeShape } from './geometry';
import { tubeLossGPerDay } from './water';

/** One reading of the water line. */
export interface WaterReading {
  at: Instant;
  mm: number;
}

export interface Reservoir {
  /** Loss per day, ml. */
  lossMlPerDay: Band;
  /** Volume left now, best figure, ml. */
  leftMl: number;
  /** Where the line stands now by this reckoning, mm from the closed end. */
  lineMm: number;
  /** Standard error of that line, mm: from the rate of loss and from the readings themselves. */
  lineErrorMm: number;
  /** When the water is gone; null when later than ten years. */
  dryAt: Band<Instant | null>;
  /** How many readings of this tube corrected the calculation. */
  readings: number;
}

/** Spread of ln(true loss / calculated loss): plug, air pressure, room and reading of the room. Prior. */
const LOG_LOSS_SPREAD = 0.4;
/** Standard error of one reading of the water line, mm. Prior. */
export const READING_ERROR_MM = 1.5;
/** Width of the middle eight tenths of a normal distribution, in standard deviations. */
const MIDDLE_EIGHTY = 2.563;

const GRID = Array.from({ length: 121 }, (_, i) => (i - 60) * 0.03);

/**
 * How long the water lasts, with the range: Stefan's calculation as the prior, corrected by every water line read.
 *
 * The unknown is k = true loss / calculated loss, ln k ~ N(0, 0.4²). Each reading is normal about the line that k
 * predicts; the volume at the first reading is fitted for each k. The posterior of k is summed on a grid.
 * @param readings of this tube in its present filling, at least one
 * @throws InputError without a reading
 */
export function reservoirBand(
  tube: TubeShape,
  readings: readonly WaterReading[],
  room: { tempC: number; roomRelHumidity: number; plugs: Plugs },
  now: Instant,
): Reservoir {
  const first = readings[0];
  need(first !== undefined, 'readings', 'No water line has been read. Log where the water ends.');
  const calculated = tubeLossGPerDay(tube, first.mm, room) / waterDensityGPerMl(room.tempC);
  const points = readings.map((r) => ({
    day: (msOf(r.at) - msOf(first.at)) / DAY_MS,
    ml: tubeVolumeMl(tube, r.mm),
  }));
  const errorMl = (Math.PI * (tube.boreMm / 2) ** 2 * READING_ERROR_MM) / 1000;

  const logWeights = GRID.map((lnK) => {
    const loss = calculated * Math.exp(lnK);
    const start = mean(points.map((p) => p.ml + loss * p.day));
    const misfit = points.reduce((sum, p) => sum + ((p.ml - (start - loss * p.day)) / errorMl) ** 2, 0);
    return -0.5 * ((lnK / LOG_LOSS_SPREAD) ** 2 + misfit);
  });
  const top = Math.max(...logWeights);
  const weights = logWeights.map((w) => Math.exp(w - top));

  const nowDay = (msOf(now) - msOf(first.at)) / DAY_MS;
  const lossAt = (share: number) => calculated * Math.exp(weightedQuantile(GRID, weights, share));
  const leftFor = (loss: number) => mean(points.map((p) => p.ml + loss * p.day)) - loss * nowDay;
  const dry = (loss: number): Instant | null => {
    const days = leftFor(loss) / loss;
    return days > 3650 ? null : instantOf(msOf(now) + days * DAY_MS);
  };
  const lossMlPerDay = { p10: lossAt(0.1), p50: lossAt(0.5), p90: lossAt(0.9) };
  const leftMl = Math.max(0, leftFor(lossMlPerDay.p50));
  const lineFor = (loss: number) => waterLineForMl(tube, Math.max(0, leftFor(loss)));
  const byRate = Math.abs(lineFor(lossMlPerDay.p10) - lineFor(lossMlPerDay.p90)) / MIDDLE_EIGHTY;
  return {
    lossMlPerDay,
    leftMl,
    lineMm: waterLineForMl(tube, leftMl),
    lineErrorMm: Math.hypot(byRate, READING_ERROR_MM / Math.sqrt(points.length)),
    dryAt: { p10: dry(lossMlPerDay.p90), p50: dry(lossMlPerDay.p50), p90: dry(lossMlPerDay.p10) },
    readings: readings.length,
  };
}

/** Where the line stood, or will stand, at another moment by the same reckoning, mm from the closed end. */
export function reckonedLineMm(tube: TubeShape, reservoir: Reservoir, now: Instant, at: Instant): number {
  const days = (msOf(at) - msOf(now)) / DAY_MS;
  const ml = reservoir.leftMl - reservoir.lossMlPerDay.p50 * days;
  return waterLineForMl(tube, Math.max(0, Math.min(tubeVolumeMl(tube, tube.lengthMm), ml)));
}

function mean(values: number[]): number {
  return values.reduce((a, b) => a + b, 0) / values.length;
}

function weightedQuantile(values: readonly number[], weights: readonly number[], share: number): number {
  const total = weights.reduce((a, b) => a + b, 0);
  let below = 0;
  for (let i = 0; i < values.length; i++) {
    const w = weights[i] as number;
    if (below + w >= share * total) {
      // linear inside the grid cell, so that the answer does not jump from node to node
      const step = i > 0 ? (values[i] as number) - (values[i - 1] as number) : 0;
      return (values[i] as number) - step * (1 - (share * total - below) / w) + step / 2;
    }
    below += w;
  }
  return values[values.length - 1] as number;
}
