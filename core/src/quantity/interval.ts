import { need } from './input-error';
import { msOf, type Instant } from './time';

/**
 * When something came about, as far as looks can tell: not there at `after`, there at `by`.
 * `after` null: there was no look without it. `by` null: it has not been seen.
 */
export interface Interval {
  after: Instant | null;
  by: Instant | null;
}

/** @throws InputError when `by` is before `after` */
export function interval(after: Instant | null, by: Instant | null): Interval {
  need(
    after === null || by === null || msOf(by) >= msOf(after),
    'by',
    `It cannot be there by ${by} and still absent after ${after}. Swap the two dates or correct one.`,
  );
  return { after, by };
}
