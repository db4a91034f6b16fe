import { unsafeUniformIntDistribution, xoroshiro128plus } from 'pure-rand';

/** A seeded stream of numbers in the open interval (0, 1): the same seed gives the same stream. */
export function uniformStream(seed: number): () => number {
  const generator = xoroshiro128plus(seed | 0);
  return () => (unsafeUniformIntDistribution(0, 0x7ffffffe, generator) + 0.5) / 0x7fffffff;
}

const PRIMES = [2, 3, 5, 7, 11, 13, 17, 19, 23, 29, 31, 37];

/**
 * Points that fill the unit cube evenly, for reckoning with fewer of them than by chance: in dimension d point i is the
 * fraction of i·√p, p the d-th prime, shifted by the seed (Richtmyer's sequence; H. Niederreiter, Random Number Generation
 * and Quasi-Monte Carlo Methods, SIAM 1992).
 * @param dimensions at most 12
 * @returns the coordinate of a point in one dimension, in the open interval (0, 1)
 */
export function evenPoints(dimensions: number, seed: number): (point: number, dimension: number) => number {
  const chance = uniformStream(seed);
  const steps = Float64Array.from(PRIMES.slice(0, dimensions), (p) => Math.sqrt(p) % 1);
  const shifts = Float64Array.from(steps, () => chance());
  return (point, dimension) => {
    const along = point * (steps[dimension] as number) + (shifts[dimension] as number);
    return (Math.floor((along - Math.floor(along)) * 0x7fffffff) + 0.5) / 0x7fffffff;
  };
}
