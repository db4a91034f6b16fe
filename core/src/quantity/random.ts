import { unsafeUniformIntDistribution, xoroshiro128plus } from 'pure-rand';

/** A seeded stream of numbers in the open interval (0, 1): the same seed gives the same stream. */
export function uniformStream(seed: number): () => number {
  const generator = xoroshiro128plus(seed | 0);
  return () => (unsafeUniformIntDistribution(0, 0x7ffffffe, generator) + 0.5) / 0x7fffffff;
}
