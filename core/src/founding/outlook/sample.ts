import { uniformStream } from '../../quantity';

/** Draws of one species. */
export interface Drawn {
  /** Day of each event, one array an event. */
  days: Float64Array[];
  weights: Float64Array;
  /** Each queen's own factor on egg, larva and pupa, as a natural logarithm. */
  factors: Float64Array;
  /** Which of her kind's futures each was drawn in. */
  futures: Uint8Array;
  /** Whether she winters before she lays. */
  waits: Uint8Array;
  /** Weight before and after asking for the next thing not seen; 0 when no look has counted it. */
  before: number;
  after: number;
}

export interface Sample {
  days: Float64Array[];
  weights: Float64Array;
  factors: Float64Array;
  futures: Uint8Array;
  waits: Uint8Array;
  /** Share of all queens like her that explain her log as well as these do: the mean weight. */
  explains: number;
  /** How many draws each species has; they follow one another. */
  sizes: number[];
  /** Share of each species, together 1. */
  shares: number[];
  effectiveDraws: number;
  stillWithout: number | null;
}

/** Puts the draws of several species into one sample, each weighed by its share of the belief. */
export function merge(parts: { weight: number; sample: Drawn }[]): Sample {
  const total = parts.reduce((sum, p) => sum + p.weight, 0);
  const [only] = parts;
  if (parts.length === 1 && only) {
    const { before, after, ...drawn } = only.sample;
    return { ...drawn, sizes: [drawn.weights.length], shares: [1], ...tally(drawn.weights, before, after) };
  }
  const size = parts.reduce((sum, p) => sum + p.sample.weights.length, 0);
  const weights = new Float64Array(size);
  const factors = new Float64Array(size);
  const futures = new Uint8Array(size);
  const waits = new Uint8Array(size);
  const days = (parts[0]?.sample.days ?? []).map(() => new Float64Array(size));
  const sums: number[] = [];
  let at = 0;
  let before = 0;
  let after = 0;
  for (const { weight, sample } of parts) {
    const n = sample.weights.length;
    const scale = ((weight / total) * size) / n;
    let sum = 0;
    for (let i = 0; i < n; i++) sum += weights[at + i] = (sample.weights[i] as number) * scale;
    days.forEach((d, k) => d.set(sample.days[k] as Float64Array, at));
    factors.set(sample.factors, at);
    futures.set(sample.futures, at);
    waits.set(sample.waits, at);
    before += sample.before * scale;
    after += sample.after * scale;
    sums.push(sum);
    at += n;
  }
  const all = sums.reduce((a, b) => a + b, 0);
  const shares = sums.map((sum, k) => (all > 0 ? sum / all : (parts[k]?.weight ?? 0) / total));
  const sizes = parts.map((p) => p.sample.weights.length);
  return { days, weights, factors, futures, waits, sizes, shares, ...tally(weights, before, after) };
}

function tally(weights: Float64Array, before: number, after: number) {
  const sum = weights.reduce((a, w) => a + w, 0);
  return {
    effectiveDraws: effectiveNumber(weights),
    explains: sum / weights.length,
    stillWithout: before > 0 ? after / before : null,
  };
}

/** Kish's effective sample size, (Σw)² / Σw². */
function effectiveNumber(weights: Float64Array): number {
  let sum = 0;
  let squares = 0;
  for (const w of weights) {
    sum += w;
    squares += w * w;
  }
  return squares > 0 ? (sum * sum) / squares : 0;
}

/** Systematic resampling: draws indices in proportion to the weights with one random offset. */
export function resample(weights: Float64Array, n: number, seed: number): Int32Array {
  let total = 0;
  for (const w of weights) total += w;
  const step = total / n;
  let target = step * uniformStream(seed + 7919)();
  const picks = new Int32Array(n);
  let sum = weights[0] as number;
  let i = 0;
  for (let k = 0; k < n; k++) {
    while (sum < target && i < weights.length - 1) sum += weights[++i] as number;
    picks[k] = i;
    target += step;
  }
  return picks;
}

/** The species that a draw belongs to. */
export function partOf(sizes: readonly number[], pick: number): number {
  let k = 0;
  let end = sizes[0] as number;
  while (pick >= end && k < sizes.length - 1) end += sizes[++k] as number;
  return k;
}
