import { type Stage } from '../species';
import { speciesProfile } from '../species/catalogue';
import { developmentRate } from '../warmth';

/** A made-up queen: what really goes on in her tube, which the demo's keeper sees only now and then. */
export interface Truth {
  species: string;
  tempC: number;
  /** Days from intake to the first egg. */
  laysAfter: number;
  /** How much slower than the median of her kind. */
  slow: number;
  /** How much slower still her larvae are. */
  slowLarvae?: number;
  /** Eggs of the first batch. */
  eggs: number;
  /** Days on which all brood is gone, oldest first. She lays again, but not after the last. */
  eatenOn?: readonly number[];
}

export interface Brood {
  eggs: number;
  larvae: number;
  pupae: number;
  workers: number;
}

/** Days from a clutch that was eaten to the next. */
const LAYS_AGAIN_AFTER = 14;

/** Counts in her tube on a day after intake: each egg runs through its stages; a second batch follows at first pupae. */
export function broodOn(truth: Truth, day: number): Brood {
  const lasts = (stage: Stage) =>
    truth.slow / Math.max(1e-6, developmentRate(speciesProfile(truth.species), stage, truth.tempC));
  const [egg, larva, pupa] = [lasts('egg'), lasts('larva') * (truth.slowLarvae ?? 1), lasts('pupa')];
  const brood: Brood = { eggs: 0, larvae: 0, pupae: 0, workers: 0 };
  const { eatenOn = [] } = truth;
  const eaten = eatenOn.filter((d) => d <= day);
  const last = eaten.at(-1);
  if (last !== undefined && eaten.length === eatenOn.length) return brood;
  const lays = last === undefined ? truth.laysAfter : last + LAYS_AGAIN_AFTER;
  const batches = [lays, lays + egg + larva + 3];
  for (const start of batches) {
    for (let i = 0; i < truth.eggs; i++) {
      const age = day - (start + (i * 8) / truth.eggs);
      if (age < 0) continue;
      if (age < egg) brood.eggs++;
      else if (age < egg + larva) brood.larvae++;
      else if (age < egg + larva + pupa) brood.pupae++;
      else brood.workers++;
    }
  }
  return brood;
}
