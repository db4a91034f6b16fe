import { daysBetween, type CountRange, type Instant, type Interval } from '../../quantity';
import { MILESTONES, type Milestone } from '../../species';

/** Brood that was there at one look and at the next neither there nor any further on. */
export interface Vanished {
  /** At least and at most so many. */
  low: number;
  high: number;
  /** What it must have been: eggs alone, when nothing older is missing; workers, when they alone are fewer and not all found dead; brood of any stage otherwise. */
  what: 'eggs' | 'brood' | 'workers';
  interval: Interval;
  /** The two looks. */
  entryIds: [string, string];
}

/** A look that counted every stage. */
export interface FullCount {
  at: Instant;
  entryId: string;
  counts: Record<Milestone, CountRange>;
  /** Workers newly found dead at this look. */
  dead: CountRange;
  /** Winged young: they hatched from her pupae, and are none of her workers. */
  winged: CountRange;
}

/** All stages counted, each with an upper bound; null otherwise: then nothing can be reckoned. */
export function fullCount(
  counts: Partial<Record<Milestone, CountRange | undefined>>,
  at: Instant,
  entryId: string,
  dead: CountRange = { low: 0, high: 0 },
  winged: CountRange = { low: 0, high: 0 },
): FullCount | null {
  const { eggs, larvae, pupae, workers } = counts;
  if (!eggs || !larvae || !pupae || !workers) return null;
  const all = { eggs, larvae, pupae, workers };
  return MILESTONES.every((m) => all[m].high !== null) ? { at, entryId, counts: all, dead, winged } : null;
}

/**
 * Compares two full counts: what is of a stage can only move on to the next, and new eggs only add. So the sum of a stage
 * and all later ones can never fall unless some was eaten or died.
 * @returns null when the counts can be explained without a loss
 */
export function vanishedBetween(before: FullCount, now: FullCount): Vanished | null {
  const all = drop(before, now, 0);
  if (all.low < LEAST_LOSS) return null;
  const older = drop(before, now, 1);
  const workers = drop(before, now, 3);
  return {
    low: all.low,
    high: all.high,
    what: workers.low >= all.low ? 'workers' : older.high <= 0 ? 'eggs' : 'brood',
    interval: { after: before.at, by: now.at },
    entryIds: [before.entryId, now.entryId],
  };
}

/**
 * A number of more than this many is not counted to the last one: it is taken to be off by this share either way. Brood
 * lies in heaps, workers run about. Priors.
 */
const SURE_UP_TO = 4;
const COUNT_ERROR = 0.2;
/** Fewer than this many missing are a miscount: two eggs, then one, is no loss. Prior. */
const LEAST_LOSS = 2;
/** Share of workers that die of age in a month: over months a colony may shrink though nothing was eaten. Prior. */
export const WORKERS_AGE_SHARE = 0.15;
const MONTH_DAYS = 30;

/** Looks further apart say nothing of what was lost at once, days. Prior. */
export const AT_ONCE_DAYS = 28;

/** The share of workers that may have died of age between two looks. */
export const agedShare = (days: number): number => 1 - (1 - WORKERS_AGE_SHARE) ** (days / MONTH_DAYS);

/** A count with its error; a range that the keeper gave holds as it was given. */
export function blurred({ low, high }: CountRange): { low: number; high: number | null } {
  if (low !== high || low <= SURE_UP_TO) return { low, high };
  return { low: Math.floor(low * (1 - COUNT_ERROR)), high: Math.ceil(low * (1 + COUNT_ERROR)) };
}

/** By how much the sum from a stage on has fallen, at least and at most. */
function drop(before: FullCount, now: FullCount, from: number): { low: number; high: number } {
  const sum = (c: FullCount, side: 'low' | 'high') =>
    MILESTONES.slice(from).reduce((total, m) => total + (blurred(c.counts[m])[side] ?? 0), 0);
  // those found dead are accounted for, those that hatched winged too, and those that may have died of age
  const { low, high } = now.dead;
  const hatched = Math.max(0, (now.winged.high ?? Infinity) - before.winged.low);
  const days = daysBetween(before.at, now.at);
  const aged = days > AT_ONCE_DAYS ? Math.ceil((before.counts.workers.high ?? 0) * agedShare(days)) : 0;
  return {
    low: sum(before, 'low') - sum(now, 'high') - (high ?? Infinity) - hatched - aged,
    high: sum(before, 'high') - sum(now, 'low') - low,
  };
}
