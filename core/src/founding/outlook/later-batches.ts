import {
  bandOfSorted,
  daysBetween,
  latest,
  msOf,
  quickNormalQuantile,
  uniformStream,
  type Band,
  type Instant,
} from '../../quantity';
import { MILESTONES, STAGES, type Milestone, type SpeciesProfile } from '../../species';
import { batchDays } from './draws';
import { winterAround, type Hemisphere } from '../../season';
import type { Future } from './futures';
import type { QueenLedger } from '../ledger/queen-ledger';
import { blurred } from '../ledger/vanished';
import { partOf, type Sample } from './sample';
import type { WarmthClock } from '../../warmth';

/** Days from the first pupa until she lays again. Prior; that she does so then is common practice, no source. */
const RESTART_DAYS = { median: 3, logSpread: 0.6 };
/** A batch against the one before it, in size: her reserves are spent, and few feed many. Prior. */
const GROWTH = { median: 0.75, logSpread: 0.35 };
/** A season has room for so many batches at the most. */
const MOST_BATCHES = 5;
/** Brood that was counted may dwindle by a fifth before it is grown: eaten, or never seen again. Prior. */
const KEPT_SHARE = 0.8;

/** One species of the sample, in the order of its draws. */
export interface Part {
  profile: SpeciesProfile;
  futures: Future[];
}

/** What is in the tube now, as far as the draws tell. */
export interface Likely {
  /** Chance that at least one is there, 0..1. */
  chance: number;
  count: Band;
}

interface LaterBatches {
  /** Days after intake on which she lays again, and on which the first worker of that batch comes out. */
  second: { eggs: Float64Array; workers: Float64Array };
  /** Workers at the beginning of the coming winter; null where there is none, or when it is winter. */
  byWinter: { on: Instant; workers: Band } | null;
  inside: Record<Milestone, Likely>;
}

/** The beginning of the coming winter; null while it is winter, and for kinds that do not winter. */
export function nextWinter(profile: SpeciesProfile, now: Instant, hemisphere: Hemisphere): Instant | null {
  if (!profile.winters.value) return null;
  const { begin, wakeFrom, wakeBy } = winterAround(now, hemisphere);
  if (msOf(begin) > msOf(now)) return begin;
  // in spring the coming one is the next
  return msOf(now) < msOf(wakeFrom) ? null : winterAround(wakeBy, hemisphere).begin;
}

interface Batch {
  /** First egg, larva, pupa, worker and last worker, days after intake. */
  days: number[];
  size: number;
}

/**
 * Goes on from the first batch: she lays again when the first of the brood before pupates, and each batch takes the
 * same stages at the warmth planned. Workers are not reckoned to die within their first season.
 * @param picks draws to go on from, each as likely as the others
 */
export function laterBatches(
  sample: Sample,
  picks: ArrayLike<number>,
  parts: readonly Part[],
  known: QueenLedger,
  origin: Instant,
  now: Instant,
  hemisphere: Hemisphere,
  seed: number,
): LaterBatches {
  const n = picks.length;
  const uniform = uniformStream(seed + 15_485_863);
  const normal = () => quickNormalQuantile(uniform());
  const nowDay = daysBetween(origin, now);
  const winter = nextWinter((parts[0] as Part).profile, now, hemisphere);
  const winterDay = winter ? daysBetween(origin, winter) : -Infinity;
  const counted = known.counts.workers;
  const countedDay = counted && counted.range.low > 0 ? daysBetween(origin, counted.at) : null;
  const base = lastLookIn(known, origin);
  const second = { eggs: new Float64Array(n), workers: new Float64Array(n) };
  const atWinter = new Float64Array(n);
  const inside = MILESTONES.map(() => new Float64Array(n));
  const seenAgain = secondEggsSeen(known, origin);
  const firstSizes = parts.map(({ profile }) => firstSizeOf(profile, known));

  for (let i = 0; i < n; i++) {
    const pick = picks[i] as number;
    const part = partOf(sample.sizes, pick);
    const { profile, futures } = parts[part] as Part;
    const { clocks } = futures[sample.futures[pick] as number] as Future;
    const first: Batch = {
      days: sample.days.map((d) => d[pick] as number),
      size: (firstSizes[part] as (u: number) => number)(uniform()),
    };
    const batches = [first];
    const factor = sample.factors[pick] as number;
    while (batches.length < MOST_BATCHES) {
      const before = batches[batches.length - 1] as Batch;
      const seen = batches.length === 1 ? seenAgain : null;
      let from =
        (before.days[2] as number) + RESTART_DAYS.median * Math.exp(RESTART_DAYS.logSpread * normal());
      if (seen) from = Math.min(Math.max(from, seen.after), seen.by);
      if (batches.length > 1 && from > Math.max(winterDay, nowDay)) break;
      const days = [from];
      for (let stage = 1; stage < STAGES.length; stage++) {
        const { degreeDays, logSpread } = profile.stages[STAGES[stage] as 'egg'];
        const clock = clocks[stage] as WarmthClock;
        const start = days[stage - 1] as number;
        const needed = degreeDays * Math.exp(factor + logSpread * normal());
        days.push(start === Infinity ? Infinity : clock.dayOf(clock.gathered(start) + needed));
      }
      const lastEgg = days[3] as number;
      days.push(lastEgg + batchDays(uniform(), -Infinity));
      batches.push({ days, size: before.size * GROWTH.median * Math.exp(GROWTH.logSpread * normal()) });
    }
    second.eggs[i] = batches[1]?.days[0] ?? Infinity;
    second.workers[i] = batches[1]?.days[3] ?? Infinity;
    const share = uniform();
    const workersAt = (day: number): number => {
      const out = (d: number) => batches.reduce((sum, b) => sum + emerged(b, 3, d), 0);
      if (!counted || countedDay === null || day < countedDay) return out(day);
      const { low, high } = counted.range;
      return low + share * ((high ?? low * 1.5) - low) + Math.max(0, out(day) - out(countedDay));
    };
    atWinter[i] = Math.round(workersAt(winterDay));
    const there = insideNow(batches, base, nowDay, uniform);
    MILESTONES.forEach((_, m) => ((inside[m] as Float64Array)[i] = there[m] as number));
  }
  return {
    second,
    byWinter: winter ? { on: winter, workers: bandOfSorted(atWinter.sort()) } : null,
    inside: Object.fromEntries(
      MILESTONES.map((m, k) => {
        const values = (inside[k] as Float64Array).sort();
        const none = values.findIndex((v) => v >= 1);
        return [m, { chance: none < 0 ? 0 : 1 - none / n, count: bandOfSorted(values) }];
      }),
    ) as Record<Milestone, Likely>,
  };
}

/** Which species a draw is of. */
/** How many of a batch have got to a stage by a day: they follow one another over the days that they take to come out. */
function emerged({ days, size }: Batch, stage: number, day: number): number {
  const start = days[stage] as number;
  if (!(day >= start)) return 0;
  const takes = Math.max(1, (days[4] as number) - (days[3] as number) || 1);
  // the first is there at once
  return Math.max(Math.min(1, size), size * Math.min(1, (day - start) / takes));
}

/** The last look that counted brood or workers: what it counted stands, and goes on from there. */
interface Base {
  day: number;
  /** By milestone; null where it did not count. */
  counts: ({ low: number; high: number } | null)[];
}

function lastLookIn(known: QueenLedger, origin: Instant): Base | null {
  const at = latest(...MILESTONES.map((m) => known.counts[m]?.at));
  if (at === null) return null;
  const counts = MILESTONES.map((m) => {
    const count = known.counts[m];
    if (!count || count.at !== at) return null;
    // what was counted was there; what was hidden is in the error above it
    const { low } = count.range;
    return { low, high: blurred(count.range).high ?? low * 1.5 + 2 };
  });
  return { day: daysBetween(origin, at), counts };
}

/** A clutch may have been reckoned so many times too small or too large against what was counted. */
const [LEAST_SCALE, MOST_SCALE] = [0.2, 5];

/**
 * How many eggs, larvae, pupae and workers are there now: what was counted, moved on by what this draw says has hatched,
 * pupated and emerged since. Right after a look it is that look's count within its error.
 */
function insideNow(
  batches: readonly Batch[],
  base: Base | null,
  nowDay: number,
  uniform: () => number,
): number[] {
  const out = (m: number, day: number) => batches.reduce((sum, b) => sum + emerged(b, m, day), 0);
  const reached = MILESTONES.map((_, m) => out(m, nowDay));
  if (base && base.day <= nowDay) {
    const before = MILESTONES.map((_, m) => out(m, base.day));
    const counted = base.counts.map((c, m) =>
      c ? c.low + uniform() * (c.high - c.low) : Math.max(0, (before[m] as number) - (before[m + 1] ?? 0)),
    );
    // so many had come at least so far
    const had = counted.map((_, m) => counted.slice(m).reduce((sum, n) => sum + n, 0));
    const [all = 0] = had;
    const [reckoned = 0] = before;
    const scale = all > 0 && reckoned > 0 ? Math.min(MOST_SCALE, Math.max(LEAST_SCALE, all / reckoned)) : 1;
    had.forEach((n, m) => {
      const grown = n + scale * ((reached[m] as number) - (before[m] as number));
      reached[m] = Math.min(m === 0 ? Infinity : (reached[m - 1] as number), grown);
    });
  }
  return reached.map((n, m) => Math.round(Math.max(0, n - (reached[m + 1] ?? 0))));
}

/** Size of the first batch, from a number between 0 and 1: that of her kind, unless her brood has been counted. */
function firstSizeOf(profile: SpeciesProfile, known: QueenLedger): (u: number) => number {
  const { low, high } = profile.firstBatch.value;
  const usual = (u: number) => low * (high / low) ** u;
  const full = known.lastFull;
  if (!full || full.counts.workers.high !== 0) return usual;
  const sum = (side: 'low' | 'high') => MILESTONES.reduce((s, m) => s + (full.counts[m][side] ?? 0), 0);
  const [least, most] = [sum('low'), sum('high')];
  if (most === 0) return usual;
  const fromCount = (u: number) => least * KEPT_SHARE + u * (most - least * KEPT_SHARE);
  const stillLaying = full.counts.eggs.high !== 0;
  return stillLaying ? (u) => Math.max(usual(u), fromCount(u)) : fromCount;
}

/** When the eggs of a second batch began, as far as the log tells them from those of the first. */
function secondEggsSeen(known: QueenLedger, origin: Instant): { after: number; by: number } | null {
  const eggs = known.batches[1]?.eggs;
  if (!eggs?.by) return null;
  return {
    after: eggs.after ? daysBetween(origin, eggs.after) : -Infinity,
    by: daysBetween(origin, eggs.by),
  };
}
