import { need, normalBelow } from '../quantity';

/** A life watched for so long; `ended` when it ended then, otherwise it was still going on. */
export interface Watched {
  time: number;
  ended: boolean;
}

export interface SurvivalStep {
  time: number;
  atRisk: number;
  ended: number;
  survival: number;
  /** Greenwood's standard error. */
  error: number;
  /** 95 % interval on the scale of the logarithm. */
  low: number;
  high: number;
}

const Z95 = 1.959964;

/**
 * Kaplan and Meier's estimate of survival, with Greenwood's error and a 95 % interval on the log scale.
 * Sources: Kaplan & Meier 1958, J. Am. Stat. Assoc. 53:457–481; Greenwood 1926.
 * @returns one step for each time at which at least one ended; none when none did
 * @throws InputError for a time below zero
 */
export function kaplanMeier(watched: readonly Watched[]): SurvivalStep[] {
  for (const w of watched) {
    need(
      w.time >= 0 && Number.isFinite(w.time),
      'time',
      `The time watched (${w.time}) is not a number of days from 0 on.`,
    );
  }
  const times = [...new Set(watched.filter((w) => w.ended).map((w) => w.time))].sort((a, b) => a - b);
  let survival = 1;
  let sum = 0;
  return times.map((time) => {
    const atRisk = watched.filter((w) => w.time >= time).length;
    const ended = watched.filter((w) => w.time === time && w.ended).length;
    survival *= 1 - ended / atRisk;
    sum += ended / (atRisk * (atRisk - ended));
    const error = survival > 0 ? survival * Math.sqrt(sum) : 0;
    const reach = Math.exp(Z95 * Math.sqrt(sum));
    return {
      time,
      atRisk,
      ended,
      survival,
      error,
      low: survival > 0 ? survival / reach : 0,
      high: survival > 0 ? Math.min(1, survival * reach) : 0,
    };
  });
}

/**
 * Log-rank test of two groups.
 * Source: Mantel 1966, Cancer Chemother. Rep. 50:163–170.
 * @returns the chance of a difference as large when there is none (two-sided, chi-square with one degree); 1 when
 *   nothing ended
 */
export function logRank(a: readonly Watched[], b: readonly Watched[]): number {
  const all = [...a, ...b];
  const times = [...new Set(all.filter((w) => w.ended).map((w) => w.time))];
  let difference = 0;
  let variance = 0;
  for (const t of times) {
    const risk = (g: readonly Watched[]) => g.filter((w) => w.time >= t).length;
    const ended = (g: readonly Watched[]) => g.filter((w) => w.time === t && w.ended).length;
    const [n, n1, d, d1] = [risk(all), risk(a), ended(all), ended(a)];
    difference += d1 - (d * n1) / n;
    if (n > 1) variance += (d * (n1 / n) * (1 - n1 / n) * (n - d)) / (n - 1);
  }
  return variance > 0 ? 2 * normalBelow(-Math.abs(difference) / Math.sqrt(variance)) : 1;
}
