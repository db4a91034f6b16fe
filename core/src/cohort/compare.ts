import type { BodyOf } from '../log';
import { daysBetween, type Instant, type Interval } from '../quantity';
import { kaplanMeier, logRank, type SurvivalStep, type Watched } from './kaplan-meier';
import { fitLogNormal } from './log-normal';
import { turnbull, type TimeInterval, type TurnbullEstimate } from './turnbull';

/** One queen's life, as far as a comparison needs it. */
export interface Life {
  from: Instant;
  eggs: Interval;
  workers: Interval;
  /** Bought with workers: she tells nothing of founding. */
  cameWithWorkers: boolean;
  ended: { at: Instant; how: BodyOf<'loss'>['how'] } | null;
}

export interface CohortGroup {
  name: string;
  n: number;
  died: number;
  survival: SurvivalStep[];
  /** Days until first workers were there; null when nobody has been looked at. */
  workers: TurnbullEstimate | null;
  /** Of those, how many have been seen with workers. */
  founded: number;
  /** Middle of the days until workers by a log-normal; null below three that were seen, and beyond all that was watched. */
  medianDays: number | null;
}

export interface Comparison {
  groups: CohortGroup[];
  /** What the data carry, in one sentence; never a ranking that they do not. */
  says: string;
  /** Chance of so large a difference between the two largest groups if there is none; null where it was not asked. */
  p: number | null;
}

/** Below this many in a group nothing is compared. Prior: with fewer, one queen decides. */
export const LEAST_N = 5;
const LEAST_SEEN = 3;
const CLEAR = 0.05;

/**
 * What queens show so far, group by group: survival by Kaplan and Meier, time to first workers by Turnbull. Escaped, given
 * away, merged and infertile queens count as alive until then. Two groups are compared by a log-rank test, and only when
 * both are large enough.
 */
export function compare(lives: readonly { group: string; life: Life }[], now: Instant): Comparison {
  const names = [...new Set(lives.map((l) => l.group))];
  const byGroup = names.map((name) => ({
    name,
    lives: lives.filter((l) => l.group === name && !l.life.cameWithWorkers).map((l) => l.life),
  }));
  const groups = byGroup
    .filter((g) => g.lives.length > 0)
    .map((g) => groupOf(g.name, g.lives, now))
    .sort((a, b) => b.n - a.n);
  const [a, b] = groups;
  const large = groups.filter((g) => g.n >= LEAST_N);
  if (!a || a.n < LEAST_N)
    return {
      groups,
      p: null,
      says: `Too few queens to say anything: below ${LEAST_N} in a group one queen decides.`,
    };
  if (!b || large.length < 2)
    return { groups, p: null, says: 'Only one group is large enough: there is nothing to compare it with.' };
  const watched = (name: string) =>
    (byGroup.find((g) => g.name === name)?.lives ?? []).map((life) => watchedOf(life, now));
  const p = logRank(watched(a.name), watched(b.name));
  if (a.died + b.died === 0)
    return { groups, p: null, says: 'Nobody died in the two largest groups: they do not differ.' };
  return {
    groups,
    p,
    says:
      p < CLEAR
        ? `Survival of ${a.name} and ${b.name} differs more than chance would easily do (p = ${p.toFixed(3)}); that it is the cause is not shown.`
        : `Survival of ${a.name} and ${b.name} does not differ more than chance would (p = ${p.toFixed(2)}): no ranking.`,
  };
}

function watchedOf(life: Life, now: Instant): Watched {
  const until = life.ended?.at ?? now;
  return { time: Math.max(0, Math.round(daysBetween(life.from, until))), ended: life.ended?.how === 'died' };
}

function toWorkers(life: Life, now: Instant): TimeInterval {
  const day = (at: Instant) => Math.max(0, daysBetween(life.from, at));
  const last = life.ended?.at ?? now;
  const after = life.workers.after ? day(life.workers.after) : 0;
  // seen with workers by a look, or not seen until the last look without
  return life.workers.by
    ? { after: Math.min(after, day(life.workers.by)), by: day(life.workers.by) }
    : { after: Math.min(after, day(last)), by: Infinity };
}

function groupOf(name: string, lives: readonly Life[], now: Instant): CohortGroup {
  const watched = lives.map((l) => watchedOf(l, now));
  const intervals = lives.map((l) => toWorkers(l, now));
  const founded = intervals.filter((i) => i.by < Infinity).length;
  return {
    name,
    n: lives.length,
    died: watched.filter((w) => w.ended).length,
    survival: kaplanMeier(watched),
    workers: founded > 0 ? turnbull(intervals) : null,
    founded,
    medianDays: founded >= LEAST_SEEN ? medianWithin(intervals) : null,
  };
}

/** The day by which half of them have workers; null when it lies beyond all that was watched, where it is no date. */
function medianWithin(intervals: readonly TimeInterval[]): number | null {
  const { median } = fitLogNormal(intervals.filter((i) => i.by > 0));
  const watched = Math.max(...intervals.map((i) => (i.by < Infinity ? i.by : i.after)));
  return median <= watched ? median : null;
}
