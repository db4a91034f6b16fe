import type { SpeciesBelief } from '../log';
import { UNKNOWN_ID } from './figures';

export interface SpeciesWeight {
  profileId: string;
  /** 0..1; all weights of one belief come to 1. */
  weight: number;
  namedBy: string | null;
}

/** A belief about what she is as shares of one whole, the first named first. */
export function speciesWeights(belief: SpeciesBelief | null): SpeciesWeight[] {
  if (!belief) return [{ profileId: UNKNOWN_ID, weight: 1, namedBy: null }];
  const others = belief.others ?? [];
  const rest = 1 - others.reduce((sum, o) => sum + o.share, 0);
  return [
    { profileId: belief.profileId, weight: rest, namedBy: belief.namedBy ?? null },
    ...others.map((o) => ({ profileId: o.profileId, weight: o.share, namedBy: o.namedBy ?? null })),
  ];
}
