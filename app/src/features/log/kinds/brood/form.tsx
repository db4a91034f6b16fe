import { broodWords } from '@gentle-burrow/core/words';
import type { KindForm } from '../../kind-form';
import { countsOf, draftOf, emptyDraft, type BroodDraft } from './draft';
import { useBoostFaults } from './ends';
import { Fields } from './Fields';

/** Brood of one colony given to another: written of either, kept in both logs. */
export const brood: KindForm<'brood', BroodDraft> = {
  deed: 'Brood given or received',
  keep: 'Keep in both logs',
  kept: ({ counts }) => `${broodWords(counts)}: kept in both logs.`,
  begin: (shown, body) => (body ? draftOf(body) : emptyDraft(shown)),
  finish(draft) {
    const counts = countsOf(draft);
    const { way, otherId, chilledMinutes, chillingSince } = draft;
    if (counts === null || way === null || otherId === null || chillingSince !== null) return null;
    if (chilledMinutes !== null && (chilledMinutes < 0 || chilledMinutes > 120)) return null;
    return { way, otherId, counts, ...(chilledMinutes !== null ? { chilledMinutes } : {}) };
  },
  useStopped: (draft, shown) => useBoostFaults(draft, shown)?.every((f) => !f.stops) !== true,
  Fields,
};
