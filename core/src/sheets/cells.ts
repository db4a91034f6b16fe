import type { FeedOutcome, Meal } from '../facts';
import { COUNT_FAULT, InputError, readCount, type CountRange } from '../quantity';
import { numberOf } from '../climate';

/** A cell as it was meant: without the mark that keeps a spreadsheet from taking it for a formula. */
export const plainCell = (cell: string | undefined): string =>
  (cell ?? '').trim().replace(/^'(?=[=+\-@])/, '');

/** Refuses a cell. @throws InputError */
function refuse(cell: string, says: string): never {
  throw new InputError('cell', `“${cell.length > 24 ? `${cell.slice(0, 24)}…` : cell}” ${says}`);
}

const NOT_COUNTED = /^(\?|-|–|n\/?a|unknown)$/i;

/**
 * A count as keepers write it: 12, 10-15, 12+, none; undefined where nothing was counted.
 * @throws InputError for anything else
 */
export function countIn(cell: string): CountRange | undefined {
  if (cell === '' || NOT_COUNTED.test(cell)) return undefined;
  return readCount(cell) ?? refuse(cell, COUNT_FAULT);
}

/** The same on the way out, as it is read in again; a range is written so that no spreadsheet takes it for a date. */
export function countCell(count: CountRange | undefined): string | number {
  if (!count) return '';
  if (count.word) return count.word;
  if (count.high === null) return `at least ${count.low}`;
  return count.low === count.high ? count.low : `${count.low} to ${count.high}`;
}

/** @throws InputError for what is neither yes nor no */
export function yesIn(cell: string): boolean | undefined {
  if (cell === '' || NOT_COUNTED.test(cell)) return undefined;
  if (/^(yes|y|x|1|true|seen|alive|ja)$/i.test(cell)) return true;
  if (/^(no|n|0|false|not seen|nein)$/i.test(cell)) return false;
  return refuse(cell, 'is neither yes nor no.');
}

const MEALS: readonly (readonly [Meal, RegExp])[] = [
  ['both', /^(both|sugar and protein|protein and sugar)$/i],
  ['sugar', /^(sugar( water)?|honey|syrup|nectar)$/i],
  ['protein', /^(protein|insects?|fl(y|ies)|crickets?|mealworms?|spiders?|prey)$/i],
  ['seeds', /^(seeds?|grains?)$/i],
  ['leaves', /^(leaves|leaf)$/i],
];

/** @throws InputError for a food that is not known */
export function mealIn(cell: string): { food: Meal; outcome: FeedOutcome } | undefined {
  if (cell === '' || NOT_COUNTED.test(cell) || yesIn0(cell) === false) return undefined;
  const [, what = '', became] =
    /^(.*?)(?:[,:]\s*(offered|eaten|taken|left|taken out|removed))?$/i.exec(cell) ?? [];
  const meal = MEALS.find(([, names]) => names.test(what.trim()))?.[0];
  if (!meal)
    return refuse(cell, 'is no food that is known here. Write sugar, protein, both, seeds or leaves.');
  return { food: meal, outcome: OUTCOMES[(became ?? 'offered').toLowerCase()] ?? 'offered' };
}
const yesIn0 = (cell: string): boolean | undefined =>
  /^(no|n|0|false|nein)$/i.test(cell) ? false : undefined;
const OUTCOMES: Record<string, FeedOutcome> = {
  offered: 'offered',
  eaten: 'taken',
  taken: 'taken',
  left: 'left',
  'taken out': 'removed',
  removed: 'removed',
};
export const mealCell = (food: Meal, outcome: FeedOutcome): string =>
  outcome === 'offered' ? food : `${food}, ${outcome}`;

/** @throws InputError for what is no number */
export function figureIn(cell: string, what: string, decimal: '.' | ','): number | undefined {
  if (cell === '' || NOT_COUNTED.test(cell)) return undefined;
  const value = numberOf(cell.replace(/\s*(mm|m|°)$/i, ''), decimal);
  return (
    value ??
    refuse(cell, `is not a ${what}. Check which column it is, and whether decimals have a point or a comma.`)
  );
}
