import { waterDensityGPerMl } from '../climate';
import {
  accumulation,
  lastNotAfter,
  EIGHT_OF_TEN,
  DAY_MS,
  instantOf,
  msOf,
  need,
  type Band,
  type Instant,
} from '../quantity';
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
  /**
   * How many times as fast as calculated the line fell between the last reading and the one at least a week before it, within
   * the error of reading; null while no two lie so far apart.
   */
  pace: { low: number; high: number } | null;
}

/** Readings nearer together say nothing of a rate. Prior. */
const PACE_DAYS = 7;

/** Spread of ln(true loss / calculated loss): plug, air pressure, room and reading of the room. Prior. */
const LOG_LOSS_SPREAD = 0.4;
/** Before any line is read, eight tubes of ten lose between so many times what is calculated. */
export const LOSS_TIMES = {
  low: Math.exp(-EIGHT_OF_TEN * LOG_LOSS_SPREAD),
  high: Math.exp(EIGHT_OF_TEN * LOG_LOSS_SPREAD),
} as const;
/** Standard error of one reading of the water line, mm. Prior. */
export const READING_ERROR_MM = 1;
/** Width of the middle eight tenths of a normal distribution, in standard deviations. */
const MIDDLE_EIGHTY = 2.563;

const GRID = Array.from({ length: 121 }, (_, i) => (i - 60) * 0.03);

/**
 * How long the water lasts, with the range: Stefan's calculation as the prior, corrected by every water line read.
 *
 * Each room that the tube has stood in has its own calculated loss: a move changes what is to come, not what was.
 * The unknown is k = true loss / calculated loss, ln k ~ N(0, 0.4²). Each reading is normal about the line that k
 * predicts; the volume at the first reading is fitted for each k. The posterior of k is summed on a grid.
 * @param readings of this tube in its present filling, at least one
 * @param rooms one after another, at least one; the first also holds before its moment, the last for good
 * @throws InputError without a reading or a room
 */
export function reservoirBand(
  tube: TubeShape,
  readings: readonly WaterReading[],
  rooms: readonly RoomThen[],
  plugs: Plugs,
  now: Instant,
): Reservoir {
  const first = readings[0];
  need(first !== undefined, 'readings', 'No water line has been read. Log where the water ends.');
  const day = (at: Instant) => (msOf(at) - msOf(first.at)) / DAY_MS;
  need(rooms.length > 0, 'rooms', 'No room is given. Say how warm and dry it is where the tube stands.');
  const since = roomsSince(rooms, first.at);
  const lost = accumulation(
    since.slice(1).map((room) => day(room.from)),
    since.map(
      (room) =>
        tubeLossGPerDay(tube, first.mm, { ...room, plugs }) / waterDensityGPerMl(Math.max(0, room.tempC)),
    ),
  );
  const points = readings.map((r) => ({ lost: lost.gathered(day(r.at)), ml: tubeVolumeMl(tube, r.mm) }));
  const errorMl = (Math.PI * (tube.boreMm / 2) ** 2 * READING_ERROR_MM) / 1000;
  const startFor = (k: number) => mean(points.map((p) => p.ml + k * p.lost));

  const logWeights = GRID.map((lnK) => {
    const k = Math.exp(lnK);
    const start = startFor(k);
    const misfit = points.reduce((sum, p) => sum + ((p.ml - (start - k * p.lost)) / errorMl) ** 2, 0);
    return -0.5 * ((lnK / LOG_LOSS_SPREAD) ** 2 + misfit);
  });
  const top = Math.max(...logWeights);
  const weights = logWeights.map((w) => Math.exp(w - top));

  const nowDay = day(now);
  const kAt = (share: number) => Math.exp(weightedQuantile(GRID, weights, share));
  const [low, middle, high] = [kAt(0.1), kAt(0.5), kAt(0.9)];
  const leftFor = (k: number) => startFor(k) - k * lost.gathered(nowDay);
  const dry = (k: number): Instant | null => {
    const days = lost.dayOf(startFor(k) / k) - nowDay;
    return days > 3650 ? null : instantOf(msOf(now) + days * DAY_MS);
  };
  const leftMl = Math.max(0, leftFor(middle));
  const lineFor = (k: number) => waterLineForMl(tube, Math.max(0, leftFor(k)));
  const byRate = Math.abs(lineFor(low) - lineFor(high)) / MIDDLE_EIGHTY;
  const rate = lost.rateOn(nowDay);
  return {
    lossMlPerDay: { p10: rate * low, p50: rate * middle, p90: rate * high },
    leftMl,
    lineMm: waterLineForMl(tube, leftMl),
    lineErrorMm: Math.hypot(byRate, READING_ERROR_MM / Math.sqrt(points.length)),
    dryAt: { p10: dry(high), p50: dry(middle), p90: dry(low) },
    readings: readings.length,
    pace: paceOf(
      readings.map((r, i) => ({ day: day(r.at), ...(points[i] as (typeof points)[number]) })),
      errorMl,
    ),
  };
}

/** What was lost between two readings against what is calculated; each line may be misread by its error. */
function paceOf(
  points: readonly { day: number; lost: number; ml: number }[],
  errorMl: number,
): Reservoir['pace'] {
  const last = points[points.length - 1];
  const before = last && [...points].reverse().find((p) => last.day - p.day >= PACE_DAYS);
  if (!last || !before) return null;
  const calculated = last.lost - before.lost;
  // in air that takes no water there is nothing to compare
  if (calculated <= 0) return null;
  const read = before.ml - last.ml;
  // eight in ten of the errors of two readings
  const error = EIGHT_OF_TEN * Math.SQRT2 * errorMl;
  return { low: (read - error) / calculated, high: (read + error) / calculated };
}

/** The room of a tube from a moment on. */
interface RoomThen {
  from: Instant;
  tempC: number;
  roomRelHumidity: number;
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

/** The rooms from the one that held at a moment on. */
export function roomsSince<R extends { from: Instant }>(rooms: readonly R[], at: Instant): readonly R[] {
  const first = lastNotAfter(rooms.length, (i) => msOf((rooms[i] as R).from), msOf(at));
  return rooms.slice(Math.max(0, first));
}
