/** Three points of a distribution: one in ten below p10, half below p50, nine in ten below p90. */
export interface Band<T = number> {
  p10: T;
  p50: T;
  p90: T;
}

/**
 * Quantile of sorted values by linear interpolation between order statistics (type 7 of Hyndman & Fan 1996,
 * The American Statistician 50:361–365). Infinite values are allowed; between a finite and an infinite one the
 * answer is infinite.
 * @param sorted ascending, at least one value
 * @param share 0..1
 */
export function quantileSorted(sorted: ArrayLike<number>, share: number): number {
  const position = (sorted.length - 1) * share;
  const lower = Math.floor(position);
  const a = sorted[lower] as number;
  const b = sorted[Math.min(lower + 1, sorted.length - 1)] as number;
  const part = position - lower;
  if (part === 0 || a === b) return a;
  return Number.isFinite(b) ? a + (b - a) * part : Infinity;
}

/** The 10, 50 and 90 % points of sorted values. */
export function bandOfSorted(sorted: ArrayLike<number>): Band {
  return {
    p10: quantileSorted(sorted, 0.1),
    p50: quantileSorted(sorted, 0.5),
    p90: quantileSorted(sorted, 0.9),
  };
}
