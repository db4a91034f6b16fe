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

/** Falling so many times as fast as vapour can leave, and more, it leaks: then what was read last goes on. Prior. */
export const LEAKS_TIMES = 3;
/** Of two readings so far apart a leak can be told, days. Prior. */
const LEAK_DAYS = 1;

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
 * predicts; the volume at the first reading is fitted for each k. The posterior of k is summed on a grid. Readings that no k explains
 * widen their own error until one does, and the last of them is where the water stood: it wins over the fit. A line that falls as only a
 * leak lets it goes on as it fell last.
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
  const readingMl = (Math.PI * (tube.boreMm / 2) ** 2 * READING_ERROR_MM) / 1000;
  const fitted = (k: number) => mean(points.map((p) => p.ml + k * p.lost));
  const misfitOf = (k: number) => {
    const start = fitted(k);
    return points.reduce((sum, p) => sum + ((p.ml - (start - k * p.lost)) / readingMl) ** 2, 0);
  };
  const misfits = GRID.map((lnK) => misfitOf(Math.exp(lnK)));
  // Birge's ratio: where the readings contradict every rate, they err by more than a line is misread
  const strain = Math.sqrt(Math.max(1, Math.min(...misfits) / Math.max(1, points.length - 1)));
  const errorMl = readingMl * strain;
  const newest = points[points.length - 1] as (typeof points)[number];
  const startFor = strain > 1 ? (k: number) => newest.ml + k * newest.lost : fitted;

  const logWeights = GRID.map(
    (lnK, i) => -0.5 * ((lnK / LOG_LOSS_SPREAD) ** 2 + (misfits[i] as number) / strain ** 2),
  );
  const top = Math.max(...logWeights);
  const weights = logWeights.map((w) => Math.exp(w - top));

  const nowDay = day(now);
  const kAt = (share: number) => Math.exp(weightedQuantile(GRID, weights, share));
  const [low, middle, high] = [kAt(0.1), kAt(0.5), kAt(0.9)];
  const leftFor = (k: number) => startFor(k) - k * lost.gathered(nowDay);
  // what the readings err beyond a misread line is not known of the water that is left either
  const unsure = strain > 1 ? EIGHT_OF_TEN * errorMl : 0;
  const dry = (k: number, offMl = 0): Instant | null => {
    const days = lost.dayOf(Math.max(0, startFor(k) + offMl) / k) - nowDay;
    return days > 3650 ? null : instantOf(msOf(now) + days * DAY_MS);
  };
  const leftMl = Math.max(0, leftFor(middle));
  const lineFor = (k: number) => waterLineForMl(tube, Math.max(0, leftFor(k)));
  const byRate = Math.abs(lineFor(low) - lineFor(high)) / MIDDLE_EIGHTY;
  const rate = lost.rateOn(nowDay);
  const pace = paceOf(
    readings.map((r, i) => ({ day: day(r.at), ...(points[i] as (typeof points)[number]) })),
    readingMl,
  );
  if (pace && pace.low >= LEAKS_TIMES)
    return leaking(tube, pace, day((readings[readings.length - 1] as WaterReading).at));
  return {
    lossMlPerDay: { p10: rate * low, p50: rate * middle, p90: rate * high },
    leftMl,
    lineMm: waterLineForMl(tube, leftMl),
    lineErrorMm: Math.hypot(byRate, (strain * READING_ERROR_MM) / Math.sqrt(points.length)),
    dryAt: { p10: dry(high, -unsure), p50: dry(middle), p90: dry(low, unsure) },
    readings: readings.length,
    pace: pace && { low: pace.low, high: pace.high },
  };

  /** Days, not weeks: from the last line on as fast as between the last two. */
  function leaking(shape: TubeShape, { low, high, mlPerDay }: Pace, lastDay: number): Reservoir {
    const gone = (ml: number) => instantOf(msOf(now) + (lastDay + newest.ml / ml - nowDay) * DAY_MS);
    const left = Math.max(0, newest.ml - mlPerDay.p50 * (nowDay - lastDay));
    const lineOf = (ml: number) => waterLineForMl(shape, Math.max(0, newest.ml - ml * (nowDay - lastDay)));
    return {
      lossMlPerDay: mlPerDay,
      leftMl: left,
      lineMm: waterLineForMl(shape, left),
      lineErrorMm: Math.hypot(
        (lineOf(mlPerDay.p10) - lineOf(mlPerDay.p90)) / MIDDLE_EIGHTY,
        READING_ERROR_MM,
      ),
      dryAt: { p10: gone(mlPerDay.p90), p50: gone(mlPerDay.p50), p90: gone(mlPerDay.p10) },
      readings: readings.length,
      pace: { low, high },
    };
  }
}

interface Pace {
  low: number;
  high: number;
  mlPerDay: Band;
}

/** What was lost between two readings against what is calculated; each line may be misread by its error. */
function paceOf(points: readonly { day: number; lost: number; ml: number }[], errorMl: number): Pace | null {
  const last = points[points.length - 1];
  if (!last) return null;
  // eight in ten of the errors of two readings
  const error = EIGHT_OF_TEN * Math.SQRT2 * errorMl;
  const before = (p: (typeof points)[number]) => p.ml - last.ml;
  const leaks = (p: (typeof points)[number]) =>
    last.day - p.day >= LEAK_DAYS && before(p) - error >= LEAKS_TIMES * (last.lost - p.lost);
  const since = [...points].reverse().find((p) => last.day - p.day >= PACE_DAYS || leaks(p));
  if (!since) return null;
  const calculated = last.lost - since.lost;
  // in air that takes no water there is nothing to compare
  if (calculated <= 0) return null;
  const read = before(since);
  const days = last.day - since.day;
  return {
    low: (read - error) / calculated,
    high: (read + error) / calculated,
    mlPerDay: { p10: (read - error) / days, p50: read / days, p90: (read + error) / days },
  };
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
