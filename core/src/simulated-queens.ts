import { STAGES, type SpeciesProfile } from './species';

/**
 * Queens simulated apart from the outlook, for its calibration: an own generator, Box–Muller, plain sums. Only the
 * profile's figures are shared.
 */

/** Mulberry32: a small generator of numbers in [0, 1), not the one that the outlook draws with. */
export function plainGenerator(seed: number): () => number {
  let a = seed;
  return () => {
    a = (a + 0x6d2b79f5) | 0;
    let x = Math.imul(a ^ (a >>> 15), 1 | a);
    x = (x + Math.imul(x ^ (x >>> 7), 61 | x)) ^ x;
    return ((x ^ (x >>> 14)) >>> 0) / 4294967296;
  };
}

/** Days after intake on which one queen's eggs, larvae, pupae and workers first come. */
export function simulateQueen(profile: SpeciesProfile, tempC: number, random: () => number): number[] {
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  const queen = profile.queenLogSpread.value * normal();
  let t = 0;
  return STAGES.map((stage) => {
    const s = profile.stages[stage];
    const shared = stage === 'laying' ? 0 : queen;
    t += (s.degreeDays * Math.exp(shared + s.logSpread * normal())) / (tempC - s.thresholdC);
    return t;
  });
}

const MISS_FIRST_DAY = [0.3, 0.25, 0.15, 0.05];

/** What looks on these days see of her: one row a look, whether each stage was found by then. */
export function simulateLooks(
  truth: readonly number[],
  days: readonly number[],
  random: () => number,
): boolean[][] {
  const found = truth.map(() => false);
  return days.map((d) => {
    truth.forEach((t, m) => {
      const missed = random() < (MISS_FIRST_DAY[m] as number) * Math.exp(-(d - t) / 3);
      if (t <= d && !missed) found[m] = true;
    });
    return [...found];
  });
}
