import { addDays, latest, msOf, type Instant, type Phrase } from '../quantity';
import type { Case } from './case';
import { figure } from './practice';
import type { Pressure } from './pressure';

/** One reason of a verdict. */
export interface Criterion {
  id: string;
  says: Phrase;
  state: 'met' | 'unmet' | 'unknown';
  /** Log entries that show it. */
  evidence: string[];
  /** By how much it is met (positive) or missed (negative), with its unit; null where that has no meaning. */
  margin: { value: number; unit: 'days' | '°C' | 'share' | 'workers' } | null;
  /** Who says that this matters. */
  source: string;
  /** What would settle it while it is unknown. */
  settles?: string;
}

/** What another school would say. */
export interface SchoolView {
  school: string;
  name: string;
  answer: string;
  until: Instant | null;
}

/** Every question that may be asked of a queen, the gravest first: of two that press alike, the earlier is told first. */
export const VERDICT_IDS = [
  'warmth',
  'losses',
  'moving',
  'water',
  'trouble',
  'food',
  'queens',
  'health',
  'leftovers',
  'brood-gone',
  'boosting',
  'winter',
  'space',
  'nest',
  'silence',
  'late',
  'look',
] as const;
export type VerdictId = (typeof VERDICT_IDS)[number];

/** Where each answer that does not press is read: every question has a place, so that none is lost. */
const READ_AT: Record<VerdictId, number> = {
  look: 1,
  late: 2,
  silence: 3,
  'brood-gone': 4,
  boosting: 5,
  food: 6,
  leftovers: 7,
  water: 8,
  trouble: 9,
  moving: 10,
  warmth: 11,
  winter: 12,
  health: 13,
  losses: 14,
  queens: 15,
  space: 16,
  nest: 17,
};
/** The order in which answers that do not press are read. */
export const READING_ORDER: readonly VerdictId[] = [...VERDICT_IDS].sort((a, b) => READ_AT[a] - READ_AT[b]);

/** Every deed that a verdict may ask for. */
export const TASKS = [
  'feed',
  'take-out',
  'look',
  'fresh-home',
  'move-step',
  'plug',
  'clean',
  'check-water',
  'water-home',
  'cool',
  'warm',
  'winter',
  'quarantine',
  'separate',
  'space',
  'nest',
] as const;
export type Task = (typeof TASKS)[number];

/** The time in which a deed is to be done. */
export interface Ask {
  task: Task;
  notBefore: Instant;
  best: Instant;
  notAfter: Instant;
  /** Harm follows when it is not done; what is not obligatory may be left out. */
  obligatory: boolean;
  says: Phrase;
  /** Within hours rather than days: told by itself, not packed with others. */
  timer: boolean;
  /** What is made ready for it, where that depends on her; else what the deed always needs. */
  ready?: readonly string[] | undefined;
}

export interface Verdict {
  id: VerdictId;
  question: string;
  /** The answer in a few words. */
  answer: string;
  says: Phrase;
  pressure: Pressure;
  /** When the answer changes by itself, if it does. */
  until: Instant | null;
  school: string | null;
  criteria: readonly Criterion[];
  others: readonly SchoolView[];
  /** Told at the head although nothing presses. */
  notice: boolean;
  /** The deeds it asks for. */
  asks: readonly Ask[];
}

/** One rule of the trade: what it says of a case, or null when its question does not arise. */
export type Rule = (c: Case) => Verdict | null;

export function criterion(
  id: string,
  state: Criterion['state'],
  says: Phrase,
  source: string,
  rest: Partial<Pick<Criterion, 'evidence' | 'margin' | 'settles'>> = {},
): Criterion {
  return { id, state, says, source, evidence: [], margin: null, ...rest };
}

/** A verdict with what most of them leave out. */
export const verdict = (
  given: Pick<Verdict, 'id' | 'question' | 'answer' | 'says'> & Partial<Verdict>,
): Verdict => ({
  pressure: 'rest',
  until: null,
  school: null,
  criteria: [],
  others: [],
  notice: false,
  asks: [],
  ...given,
});

/**
 * The window of a deed, from now on: what is overdue begins now, is best now and is done by tomorrow, for a window without length meets
 * no day on which anybody comes.
 * @param from when it may be done, `best` and `to` when it should and must
 */
export function ask(
  c: Pick<Case, 'now'>,
  task: Task,
  [from, best, to]: readonly [Instant, Instant, Instant],
  says: Phrase,
  { obligatory = true, timer = false, ready }: Partial<Pick<Ask, 'obligatory' | 'timer' | 'ready'>> = {},
): Ask {
  const notBefore = latest(from, c.now) as Instant;
  const overdue = msOf(to) <= msOf(notBefore);
  const notAfter = latest(
    overdue && !timer ? addDays(notBefore, figure('overdueDays')) : to,
    notBefore,
  ) as Instant;
  const middle = msOf(best) < msOf(notBefore) ? notBefore : msOf(best) > msOf(notAfter) ? notAfter : best;
  return { task, notBefore, best: middle, notAfter, obligatory, says, timer, ...(ready ? { ready } : {}) };
}

/** A deed for today, and by tomorrow. */
export const askNow = (c: Pick<Case, 'now'>, task: Task, says: Phrase, days = 1): Ask =>
  ask(c, task, [c.now, c.now, addDays(c.now, days)], says);

/** Who says so. */
export const COMMON_PRACTICE = 'common practice, no source';
export const OWN_PRIOR = 'our own prior';
export const OWN_LOG = 'your log';
