import type { Outlook, QueenLedger } from '../founding';
import type { Disturbance } from '../log';
import { addDays, DAY_MS, daysBetween, instantOf, msOf, type Instant } from '../quantity';
import { figure, type PracticeId } from './practice';
import type { LookingSchool } from './schools';

/** What each disturbance costs against a look; that all spend from one account is common practice. */
const WEIGHTS: Record<Disturbance, PracticeId> = {
  intake: 'weightIntake',
  look: 'weightLook',
  feed: 'weightFeedCell',
  'feed-cell': 'weightFeedCell',
  'feed-outside': 'weightFeedOutside',
  'take-out': 'weightFeedOutside',
  move: 'weightMove',
  knock: 'weightKnock',
  health: 'weightHealth',
  beside: 'weightBeside',
  water: 'weightWater',
  'water-open': 'weightWaterOpen',
  'by-hand': 'weightByHand',
};

export interface Opening {
  at: Instant;
  weight: number;
  entryId: string;
  isIntake: boolean;
  isFeed: boolean;
  isWater: boolean;
}

/** A feed of which nobody said where it was put goes into the outer room of a queen that must eat, else into the cell. */
export function weightOf(kind: Disturbance, mustEat: boolean): number {
  return figure(kind === 'feed' && mustEat ? 'weightFeedOutside' : WEIGHTS[kind]);
}

/** Entries of one visit are one opening, as heavy as the heaviest: a look on the way costs nothing extra. */
export function openings(known: QueenLedger, mustEat: boolean): Opening[] {
  const list: Opening[] = [];
  for (const { kind, at, entryId } of known.disturbances) {
    const weight = weightOf(kind, mustEat);
    const isFeed = kind.startsWith('feed') || kind === 'take-out';
    const isWater = kind.startsWith('water');
    const last = list[list.length - 1];
    if (last && !last.isIntake && daysBetween(last.at, at) * 24 <= figure('oneVisitHours')) {
      if (weight > last.weight) Object.assign(last, { weight, entryId, isFeed, isWater });
    } else list.push({ at, weight, entryId, isIntake: kind === 'intake', isFeed, isWater });
  }
  return list;
}

/** Disturbances a week, in looks, over the four weeks before a moment; over two weeks at the least. */
export function perWeekAt(felt: readonly Opening[], at: Instant, intake: Instant | null): number {
  const from = msOf(at) - figure('periodDays') * DAY_MS;
  const sum = felt
    .filter((o) => msOf(o.at) > from && msOf(o.at) <= msOf(at))
    .reduce((a, o) => a + o.weight, 0);
  const weeks = intake ? daysBetween(intake, at) / 7 : 2;
  return sum / Math.max(2, Math.min(weeks, figure('periodDays') / 7));
}

/** Openings that tell of restlessness: not being taken in, nor the feeds of a queen that must eat, nor water. */
export const feltOf = (list: readonly Opening[], mustEat: boolean): Opening[] =>
  list.filter((o) => !o.isIntake && !o.isWater && !(mustEat && o.isFeed));

/** Disturbed more than once a week up to the last time: then four weeks of quiet are asked for. */
export function isRestless(list: readonly Opening[], mustEat: boolean, intake: Instant | null): boolean {
  const felt = feltOf(list, mustEat);
  const last = felt[felt.length - 1];
  return last !== undefined && perWeekAt(felt, last.at, intake) > figure('restlessPerWeek');
}

/**
 * Each disturbance asks for quiet: as many days as the method puts between looks, times its weight; more than one a week
 * for four weeks, and never for longer. So no feed makes a look forbidden for good; nor does water, with which a look costs
 * nothing more.
 */
function quietUntil(list: readonly Opening[], everyDays: number, restless: boolean): Instant | null {
  const felt = list.filter((o) => !o.isWater);
  const last = felt[felt.length - 1];
  if (!last) return null;
  const asked = felt.map((o) => msOf(o.at) + o.weight * everyDays * DAY_MS);
  const calm = restless ? msOf(last.at) + figure('mostQuietDays') * DAY_MS : -Infinity;
  return instantOf(asked.reduce((a, b) => Math.max(a, b), calm));
}

/** When the quiet that a method asks for after all disturbances is over, and what disturbed her last; null when nothing has. */
export function quietOf(
  { known, ahead, mustEat }: { known: QueenLedger; ahead: Outlook | null; mustEat: boolean },
  school: LookingSchool,
): { until: Instant | null; last: Instant } | null {
  const list = openings(known, mustEat);
  const last = list[list.length - 1]?.at;
  if (last === undefined) return null;
  const workers = ahead?.events.workers;
  if (workers?.status === 'seen') return { until: quietUntil(list, figure('withWorkersDays'), false), last };
  if (school.everyDays === null)
    return { until: workers?.band.p50 ?? addDays(last, figure('openWaitDays')), last };
  const restless = isRestless(list, mustEat, known.intake?.at ?? null);
  return { until: quietUntil(list, school.everyDays, restless), last };
}
