import { need } from './input-error';

/** How many there were, as seen: from `low` to `high`; `high` null when no upper bound was seen. */
export interface CountRange {
  low: number;
  high: number | null;
  /** Said as a word; the bounds are what it is taken to mean. */
  word?: CountWord | undefined;
}

export const COUNT_WORDS = ['some', 'lots'] as const;
export type CountWord = (typeof COUNT_WORDS)[number];

/** What a word is taken to mean: some, at least one; lots, at least twenty (prior). */
export const WORD_COUNTS: Record<CountWord, CountRange> = {
  some: { low: 1, high: null, word: 'some' },
  lots: { low: 20, high: null, word: 'lots' },
};

/**
 * Checks a count and returns it.
 * @throws InputError for NaN, negative or broken numbers, and for high below low
 */
export function countRange(low: number, high: number | null, field = 'count', word?: CountWord): CountRange {
  need(
    Number.isInteger(low) && low >= 0,
    field,
    `The lower count (${low}) is not a whole number from 0 up. Write 0 for none.`,
  );
  need(
    high === null || (Number.isInteger(high) && high >= 0),
    field,
    `The upper count (${high}) is not a whole number from 0 up. Leave it open when you could not tell.`,
  );
  need(
    high === null || high >= low,
    field,
    `The upper count (${high}) is below the lower count (${low}). Swap them or correct one.`,
  );
  return word ? { low, high, word } : { low, high };
}

export const isNone = (c: CountRange): boolean => c.high === 0;
export const isSome = (c: CountRange): boolean => c.low > 0;

/** "none", "5", "8–15", "at least 20", or the word that was said. */
export function countText({ low, high, word }: CountRange): string {
  if (word) return word;
  if (high === 0) return 'none';
  if (high === null) return low <= 1 ? 'some' : `at least ${low}`;
  return low === high ? String(low) : `${low}–${high}`;
}
