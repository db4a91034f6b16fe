import { bodyFloorMm2 } from '../../../facts';
import { nounOf, openShare, partOf } from '../../../housing';
import { msOf, type CountRange, type Instant, type Phrase } from '../../../quantity';
import type { Case } from '../../case';
import { figure } from '../../practice';
import type { GrowthSchool } from '../../schools';
import { COMMON_PRACTICE, criterion, OWN_PRIOR, type Criterion, type SchoolView } from '../../verdict';

/** What one method makes of a colony. */
export interface Judged<Id> {
  school: GrowthSchool<Id>;
  state: Criterion['state'];
  says: Phrase;
  margin: Criterion['margin'];
  evidence: string[];
  settles?: string;
  /** What of it is reckoned by a figure of our own. */
  prior?: string;
  /** When its answer turns by itself. */
  until: Instant | null;
}

/** Who says how full a tube is. */
export const FLOOR_SOURCE = `the floor a worker takes is ${OWN_PRIOR}`;

const ANSWERS = { met: 'yes', unmet: 'not yet', unknown: 'perhaps' } as const;

export const asCriterion = <Id extends string>(j: Judged<Id>): Criterion =>
  criterion(
    j.school.id,
    j.state,
    j.says,
    `${COMMON_PRACTICE} (method: ${j.school.name.toLowerCase()}; they say: ${j.school.because})${j.prior ? `; ${j.prior}` : ''}`,
    {
      evidence: j.evidence,
      margin: j.margin,
      ...(j.settles ? { settles: j.settles } : {}),
    },
  );

export const asView = <Id extends string>(j: Judged<Id>): SchoolView => ({
  school: j.school.id,
  name: j.school.name,
  answer: ANSWERS[j.state],
  until: j.until,
});

export const answerOf = <Id extends string>(j: Judged<Id>): string => ANSWERS[j.state];

/** Whether a count as a range has reached a number: unknown while the number lies inside the range. */
export function reached(
  range: CountRange,
  least: number,
): { state: Criterion['state']; margin: Criterion['margin'] } {
  if (range.low >= least) return { state: 'met', margin: { value: range.low - least, unit: 'workers' } };
  if (range.high !== null && range.high < least)
    return { state: 'unmet', margin: { value: range.high - least, unit: 'workers' } };
  return { state: 'unknown', margin: null };
}

/** The floor where she lives that is not shut off, mm²: of a tube the lower half of her cell. */
function openFloorMm2({ part, housing }: Case): number {
  if (part.kind !== 'tube') {
    const now = partOf(housing, part.id);
    return Math.max(1, bodyFloorMm2(part) * (now ? openShare(now) : 1));
  }
  const cellMm = part.lengthMm - part.waterLineMm - part.plugs.innerMm - part.plugs.outerMm;
  return (Math.PI / 2) * part.boreMm * Math.max(1, cellMm);
}

/** How long her workers are: the first are the smallest of their kind, and with later batches they grow to its middle. Prior. */
function lengthOfWorkers(
  { workerLengthMm: { value: length }, firstBatch: { value: batch } }: Case['profile'],
  { low, high }: CountRange,
): number {
  const middle = (length.low + length.high) / 2;
  const few = batch.high;
  const count = ((high ?? low) + low) / 2;
  const grown = Math.min(1, Math.max(0, (count - few) / (3 * few)));
  return length.low + grown * (middle - length.low);
}

/** Share of the floor of her cell that the workers take, at least and at most; how a worker is reckoned is a prior. */
export function floorTaken(c: Case): { low: number; high: number } | null {
  if (!c.workers) return null;
  const { profile } = c;
  const floorMm2 = openFloorMm2(c);
  const { range } = c.workers;
  const need = figure('roomAWorker') * lengthOfWorkers(profile, range) ** 2;
  return { low: (range.low * need) / floorMm2, high: ((range.high ?? range.low * 1.5) * need) / floorMm2 };
}

/** Whether the tube is as full as that. */
export function fullTo(c: Case, share: number): { state: Criterion['state']; margin: Criterion['margin'] } {
  const taken = floorTaken(c);
  if (!taken) return { state: 'unknown', margin: null };
  if (taken.low >= share) return { state: 'met', margin: { value: taken.low - share, unit: 'share' } };
  if (taken.high < share) return { state: 'unmet', margin: { value: taken.high - share, unit: 'share' } };
  return { state: 'unknown', margin: null };
}

/** "about a third of the floor" as a percentage range, with who says so. */
export function floorWords(c: Case): Phrase {
  const taken = floorTaken(c);
  const where = c.tube ? 'tube' : 'home';
  if (!taken) return [`How full the ${where} is cannot be said.`];
  const [a, b] = [Math.round(100 * taken.low), Math.round(100 * taken.high)];
  return [
    `Workers take ${a === b ? `about ${a}` : `${a} to ${b}`} % of the floor of her ${c.tube ? 'cell' : nounOf(c.part)}.`,
  ];
}

/** Larvae, pupae and a cold season speak against opening anything now. */
export const coldSeason = (c: Case): boolean =>
  c.wintering || ((c.phase === 'begin' || c.phase === 'winter') && c.profile.inTheCold.value === 'rests');

/** What is given before winter is given before it begins: from then on it waits until spring. */
export const beforeWinter = ({ winter, now }: Case, at: Instant): Instant =>
  winter !== null && msOf(now) < msOf(winter.beginFrom) && msOf(at) > msOf(winter.beginFrom)
    ? winter.beginFrom
    : at;
