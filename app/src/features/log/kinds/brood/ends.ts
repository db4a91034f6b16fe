import { boostFaults, type BoostEnd, type BoostFault } from '@gentle-burrow/core/care';
import { useQueen, useSpecies, type ShownQueen } from '@/data/queries';
import type { KindCard } from '@gentle-burrow/core/species';
import { countsOf, type BroodDraft } from './draft';

/** The species of the catalogue that an id stands for, a copy of it too; the id itself where it is known less closely. */
export const speciesIn = (kinds: readonly KindCard[], id: string): string =>
  kinds.find((k) => k.id === id)?.kin.species ?? id;

const endOf = ({ facts, view }: ShownQueen, kinds: readonly KindCard[]): BoostEnd => ({
  id: facts.queen.id,
  label: facts.queen.label,
  species: kinds.find((k) => k.id === view.profileId)?.kin.species ?? null,
  known: view.ledger,
});

/** What speaks against it, both colonies looked at; null while the other is not known. */
export function useBoostFaults(draft: BroodDraft, shown: ShownQueen): BoostFault[] | null {
  const { data: other } = useQueen(draft.otherId ?? shown.facts.queen.id);
  const kinds = useSpecies();
  if (draft.way === null || draft.otherId === null || !other) return null;
  // what stands in both logs was weighed when it was written, and has changed the counts since
  if (draft.amends) return [];
  const [donor, recipient] = draft.way === 'given' ? [shown, other] : [other, shown];
  return boostFaults(
    endOf(donor, kinds),
    endOf(recipient, kinds),
    countsOf(draft) ?? {},
    new Date().toISOString(),
  );
}
