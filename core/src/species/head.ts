import type { Span } from './figures';

/** A worker's head is so wide for her length: the smallest on the safe side, the largest with a large head. Priors. */
const HEAD_SHARE = { low: 0.18, high: 0.28 };
const rounded = (mm: number): number => Math.round(100 * mm) / 100;

/** Head widths of workers of so many mm, smallest to largest. */
export const headsOf = ({ low, high }: Span): Span => ({
  low: rounded(HEAD_SHARE.low * low),
  high: rounded(HEAD_SHARE.high * high),
});
