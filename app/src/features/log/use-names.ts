import { useMemo } from 'react';
import { usePlaces, useShelf, useSpecies, type ShownQueen } from '@/data/queries';
import { usePreferences } from '@/theme/preferences';
import { partName } from '@/features/home/part-name';
import type { Names } from './kind-view';

/** Names of the places and species that entries refer to by id. */
function useNames(): Names {
  const [species, places] = [useSpecies(), usePlaces()];
  const rows = useShelf().data;
  return useMemo(
    () => ({
      species: (id) => species.find((s) => s.id === id)?.name,
      place: (id) => places.find((p) => p.id === id)?.name,
      queen: (id) => rows?.find((r) => r.queen.id === id)?.queen.label,
    }),
    [species, places, rows],
  );
}

/** The same, with the tubes of her home. */
export function useHerNames({ view }: ShownQueen): Names {
  const names = useNames();
  const units = usePreferences();
  return useMemo(
    () => ({ ...names, units, part: (id) => partName(view.housing, id) }),
    [names, units, view.housing],
  );
}
