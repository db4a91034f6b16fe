import erfc from '@stdlib/math-base-special-erfc';
import erfcinv from '@stdlib/math-base-special-erfcinv';

/** Share of a standard normal below z. */
export function normalBelow(z: number): number {
  return 0.5 * erfc(-z * Math.SQRT1_2);
}

/** Height of a standard normal at z; 0 at infinity. */
export const normalDensity = (z: number): number => Math.exp(-0.5 * z * z) / Math.sqrt(2 * Math.PI);

/** The z below which this share of a standard normal lies; ±Infinity at 1 and 0. */
export function normalQuantile(share: number): number {
  if (share <= 0) return -Infinity;
  if (share >= 1) return Infinity;
  return -Math.SQRT2 * erfcinv(2 * share);
}

/** So many standard errors to either side lie eight of ten. */
export const EIGHT_OF_TEN = normalQuantile(0.9);
