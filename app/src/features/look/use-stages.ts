import { MILESTONES, type Milestone } from '@gentle-burrow/core/species';
import { useMemo, useState } from 'react';
import { useKeepKey, useKeys } from '@/ui/keys';

/** Which stage is being counted, and by which keys: 1 to 4 choose one to be typed, Enter goes to the next. */
export function useStages({ onSeen, onKeep }: { onSeen(): void; onKeep(): void }) {
  const [{ stage, typing, turn }, set] = useState({ stage: 'eggs' as Milestone, typing: false, turn: 0 });
  const keys = useMemo(
    () => ({
      ...Object.fromEntries(
        MILESTONES.map((m, i) => [
          String(i + 1),
          () => set((s) => ({ stage: m, typing: true, turn: s.turn + 1 })),
        ]),
      ),
      q: onSeen,
    }),
    [onSeen],
  );
  useKeys(keys);
  useKeepKey(onKeep);
  const next = MILESTONES[(MILESTONES.indexOf(stage) + 1) % MILESTONES.length] as Milestone;
  return {
    stage,
    choose: (m: Milestone, typing = false) =>
      set((s) => ({ stage: m, typing, turn: typing ? s.turn + 1 : s.turn })),
    /** For the pad: a new one for each stage, and each time that one is to be typed. */
    pad: {
      key: `${stage}.${turn}`,
      typing,
      /** While a count is typed too: it is no letter of a count. */
      fieldKeys: { q: onSeen },
      onNext: () => set((s) => ({ stage: next, typing: true, turn: s.turn + 1 })),
    },
  };
}
