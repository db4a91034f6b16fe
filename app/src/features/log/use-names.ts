import { useMemo } from 'react';
import { usePlaces, useSpecies } from '@/data/queries';
import type { Names } from './kind-view';

/** Names of the places and species that entries refer to by id. */
export function useNames(): Names {
  const [species, places] = [useSpecies(), usePlaces()];
  return useMemo(
    () => ({
      species: (id) => species.find((s) => s.id === id)?.name,
      place: (id) => places.find((p) => p.id === id)?.name,
    }),
    [species, places],
  );
}
