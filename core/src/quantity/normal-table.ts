import { normalBelow, normalDensity, normalQuantile } from './normal';

// The outlook asks for the normal distribution tens of thousands of times: between the points of a table, laid out from the
// exact functions, cubic Hermite interpolation answers in a fraction of their time. Its error is at most h⁴/384 times the
// fourth derivative (any text on numerical analysis); outside the table the exact functions answer.

interface Table {
  from: number;
  stepsPerUnit: number;
  values: Float64Array;
  /** Slopes at the points, times the distance between two. */
  slopes: Float64Array;
}

function tableOf(
  from: number,
  to: number,
  steps: number,
  f: (x: number) => number,
  slope: (x: number, y: number) => number,
): Table {
  const h = (to - from) / steps;
  const values = Float64Array.from({ length: steps + 1 }, (_, i) => f(from + i * h));
  const slopes = values.map((y, i) => h * slope(from + i * h, y));
  return { from, stepsPerUnit: 1 / h, values, slopes };
}

function between({ from, stepsPerUnit, values, slopes }: Table, x: number): number {
  const at = (x - from) * stepsPerUnit;
  const i = Math.floor(at);
  const t = at - i;
  const y0 = values[i] as number;
  const rise = (values[i + 1] as number) - y0;
  const s0 = slopes[i] as number;
  const s1 = slopes[i + 1] as number;
  return y0 + t * (s0 + t * (3 * rise - 2 * s0 - s1 + t * (s0 + s1 - 2 * rise)));
}

/** Below this the exact function answers: there it is small, and its proportion counts. */
const LOWEST_Z = -5;
/** Above this no more than 1e-15 is left. */
const HIGHEST_Z = 8;
const SMALLEST_SHARE = 0.01;
const belowTable = tableOf(LOWEST_Z, HIGHEST_Z, 832, normalBelow, normalDensity);
const quantileTable = tableOf(
  SMALLEST_SHARE,
  1 - SMALLEST_SHARE,
  2048,
  normalQuantile,
  (_, z) => 1 / normalDensity(z),
);

/** `normalBelow` within 1e-9, several times as fast. */
export function quickNormalBelow(z: number): number {
  if (z >= HIGHEST_Z) return 1;
  return z > LOWEST_Z ? between(belowTable, z) : normalBelow(z);
}

/** `normalQuantile` within 1e-7, several times as fast. */
export function quickNormalQuantile(share: number): number {
  return share > SMALLEST_SHARE && share < 1 - SMALLEST_SHARE
    ? between(quantileTable, share)
    : normalQuantile(share);
}
