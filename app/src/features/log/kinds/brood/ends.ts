import { boostFaults, type BoostEnd, type BoostFault } from '@gentle-burrow/core/care';
import { useQueen, type ShownQueen } from '@/data/queries';
import { countsOf, type BroodDraft } from './draft';

const endOf = ({ facts, view }: ShownQueen): BoostEnd => ({
  id: facts.queen.id,
  label: facts.queen.label,
  profileId: view.profileId,
  known: view.ledger,
});

/** What speaks against it, both colonies looked at; null while the other is not known. */
export function useBoostFaults(draft: BroodDraft, shown: ShownQueen): BoostFault[] | null {
  const { data: other } = useQueen(draft.otherId ?? shown.facts.queen.id);
  if (draft.way === null || draft.otherId === null || !other) return null;
  // what stands in both logs was weighed when it was written, and has changed the counts since
  if (draft.amends) return [];
  const [donor, recipient] = draft.way === 'given' ? [shown, other] : [other, shown];
  return boostFaults(endOf(donor), endOf(recipient), countsOf(draft) ?? {}, new Date().toISOString());
}
