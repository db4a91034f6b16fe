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

/** "About" is a fifth to either side, and at least one. Prior. */
const ABOUT_SHARE = 0.2;
const about = (n: number): CountRange => {
  const off = Math.max(1, Math.round(ABOUT_SHARE * n));
  return { low: Math.max(0, n - off), high: n + off };
};

const DOZENS: Record<string, number> = { 'half a': 6, a: 12, one: 12, two: 24, three: 36 };
const whole = (digits: string): number => Number(digits.replace(/[ ,’'](?=\d{3})/g, ''));
const DIGITS = String.raw`(\d{1,3}(?:[ ,’']\d{3})+|\d+)`;
const FORMS: readonly (readonly [RegExp, (found: string[]) => CountRange])[] = [
  [/^(?:none|no|nil)$/i, () => ({ low: 0, high: 0 })],
  [/^(?:some|a few|few|several)$/i, () => WORD_COUNTS.some],
  [/^lots$/i, () => WORD_COUNTS.lots],
  [new RegExp(`^${DIGITS}(?:[.,]0)?$`), ([n = '']) => ({ low: whole(n), high: whole(n) })],
  [
    new RegExp(`^${DIGITS}\\s*(?:-|–|—|to|\\.\\.|bis)\\s*${DIGITS}$`, 'i'),
    ([low = '', high = '']) => ({ low: whole(low), high: whole(high) }),
  ],
  [
    new RegExp(`^(?:at least|over|more than|>=?|≥)\\s*${DIGITS}$`, 'i'),
    ([n = '']) => ({ low: whole(n), high: null }),
  ],
  [new RegExp(`^${DIGITS}\\s*\\+$`), ([n = '']) => ({ low: whole(n), high: null })],
  [new RegExp(`^(?:~|≈|about|around|circa|ca\\.?|c\\.)\\s*${DIGITS}$`, 'i'), ([n = '']) => about(whole(n))],
  [new RegExp(`^${DIGITS}\\s*(?:\\?|ish)$`, 'i'), ([n = '']) => about(whole(n))],
  [/^(?:about |~ ?)?(half a|a|one|two|three) dozen$/i, ([n = '']) => about(DOZENS[n.toLowerCase()] ?? 12)],
];

/**
 * A count as keepers write it: 12, 3-5, 12+, about 5, ~5, a dozen, none, some, lots.
 * @returns null for what is no count; a range upside down is returned as it was written
 */
export function readCount(text: string): CountRange | null {
  const said = text.trim();
  for (const [form, count] of FORMS) {
    const found = form.exec(said);
    if (found) return count(found.slice(1));
  }
  return null;
}

/** What is said of a text that is no count, with the way out. */
export const COUNT_FAULT =
  'is not a count. Write a number, a range like 8–15, about 5, 12+ for at least twelve, some, lots or none.';

/** A count as it is typed: what `readCount` reads back as the same. */
export function countInput(count: CountRange): string {
  const { low, high, word } = count;
  if (word) return word;
  if (high === null) return `${low}+`;
  return low === high ? String(low) : `${low}–${high}`;
}
