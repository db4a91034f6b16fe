import type { Instant, Phrase } from '../quantity';

/** One reason of a verdict. */
export interface Criterion {
  id: string;
  says: Phrase;
  state: 'met' | 'unmet' | 'unknown';
  /** Log entries that show it. */
  evidence: string[];
  /** By how much it is met (positive) or missed (negative), with its unit; null where that has no meaning. */
  margin: { value: number; unit: 'days' | '°C' | 'share' } | null;
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

/** How much a verdict presses, from nothing to now. */
export const PRESSURES = ['rest', 'free', 'soon', 'now'] as const;
export type Pressure = (typeof PRESSURES)[number];

export interface Verdict {
  id: 'look' | 'late' | 'water' | 'food' | 'health' | 'silence';
  question: string;
  /** The answer in one or two words. */
  answer: string;
  says: Phrase;
  pressure: Pressure;
  /** When the answer changes by itself, if it does. */
  until: Instant | null;
  school: string | null;
  criteria: Criterion[];
  others: readonly SchoolView[];
}

export function criterion(
  id: string,
  state: Criterion['state'],
  says: Phrase,
  source: string,
  rest: Partial<Pick<Criterion, 'evidence' | 'margin' | 'settles'>> = {},
): Criterion {
  return { id, state, says, source, evidence: [], margin: null, ...rest };
}

export const PRACTICE = 'common practice, no source';
export const OWN_PRIOR = 'our own prior';
