import { need, normalBelow, normalDensity } from '../quantity';
import { checkIntervals, type TimeInterval } from './turnbull';

export interface LogNormalFit {
  /** Mean of the natural logarithm. */
  mu: number;
  /** Standard deviation of the natural logarithm. */
  sigma: number;
  median: number;
  n: number;
}

const ROUNDS = 20_000;
const ENOUGH = 1e-9;
/** A spread of less than this is a point: the likelihood has no maximum there. */
const LEAST_SIGMA = 1e-3;

/**
 * Maximum likelihood of a log-normal for interval-censored times, by expectation and maximisation: each time's logarithm
 * is replaced by what is expected of it within its interval.
 * Source: Dempster, Laird & Rubin 1977, J. R. Stat. Soc. B 39:1–38.
 * @throws InputError without an interval that ends, or for intervals that cannot be
 */
export function fitLogNormal(intervals: readonly TimeInterval[]): LogNormalFit {
  checkIntervals(intervals);
  need(
    intervals.some((i) => i.by < Infinity && i.by > 0),
    'intervals',
    'Nothing has come about yet in any of them. Wait until something has been seen.',
  );
  const logs = intervals.map((i) => ({ low: Math.log(i.after), high: Math.log(i.by) }));
  const start = logs.map(({ low, high }) =>
    low === -Infinity ? high - 0.5 : high === Infinity ? low + 0.5 : (low + high) / 2,
  );
  let mu = start.reduce((a, b) => a + b, 0) / start.length;
  let sigma = 1;
  for (let round = 0; round < ROUNDS; round++) {
    let first = 0;
    let second = 0;
    for (const { low, high } of logs) {
      const { mean, square } = low === high ? { mean: low, square: low * low } : within(mu, sigma, low, high);
      first += mean;
      second += square;
    }
    const nextMu = first / logs.length;
    const nextSigma = Math.sqrt(Math.max(second / logs.length - nextMu * nextMu, LEAST_SIGMA ** 2));
    const moved = Math.abs(nextMu - mu) + Math.abs(nextSigma - sigma);
    mu = nextMu;
    sigma = nextSigma;
    if (moved < ENOUGH) break;
  }
  return { mu, sigma, median: Math.exp(mu), n: intervals.length };
}

/** Mean and mean square of a normal cut to an interval. */
function within(mu: number, sigma: number, low: number, high: number): { mean: number; square: number } {
  const [a, b] = [(low - mu) / sigma, (high - mu) / sigma];
  // in the upper tail the difference is taken from the other side, where it keeps its digits
  const share = a > 0 ? normalBelow(-a) - normalBelow(-b) : normalBelow(b) - normalBelow(a);
  if (!(share > 1e-300)) {
    const edge = Math.abs(a) < Math.abs(b) ? low : high;
    return { mean: edge, square: edge * edge };
  }
  const [da, db] = [normalDensity(a), normalDensity(b)];
  const z = (da - db) / share;
  const z2 = 1 + ((Number.isFinite(a) ? a * da : 0) - (Number.isFinite(b) ? b * db : 0)) / share;
  return { mean: mu + sigma * z, square: mu * mu + 2 * mu * sigma * z + sigma * sigma * z2 };
}
