import { FINDING_ADVICE, QUARANTINE_DAYS } from '@gentle-burrow/core/care';
import { addDays } from '@gentle-burrow/core/quantity';
import type { Finding } from '@gentle-burrow/core/vocabulary';
import { View } from 'react-native';
import { FindingList } from '@/features/intake/FindingList';
import { SPACE } from '@/theme/tokens';
import { Choice } from '@/ui/Choice';
import type { FieldsProps, KindForm } from '../../kind-form';

interface Draft {
  findings: Finding[];
  apart: boolean;
  /** The term that was written, when it is put right: it stays while its day does. */
  term: { at: string; until: string } | null;
}

const ROOMS = [
  { value: 'apart', label: 'Stands apart', hint: `for ${QUARANTINE_DAYS} days` },
  { value: 'with', label: 'With the others' },
] as const;

function Fields({ draft, change }: FieldsProps<Draft>) {
  return (
    <View style={{ gap: SPACE.m }}>
      <FindingList
        findings={draft.findings}
        onChange={(findings) => {
          const infects = FINDING_ADVICE.some((a) => a.quarantine && findings.includes(a.id));
          change({ findings, ...(infects ? { apart: true } : {}) });
        }}
      />
      <Choice
        label="Quarantine"
        options={ROOMS}
        value={draft.apart ? 'apart' : 'with'}
        onChange={(v) => change({ apart: v === 'apart' })}
      />
    </View>
  );
}

/** Looked over again: what was found, and whether she stands apart from then on. */
export const health: KindForm<'health', Draft> = {
  deed: 'Looked over',
  keep: 'Keep what was found',
  kept: ({ quarantineUntil }, { facts }) =>
    quarantineUntil
      ? `${facts.queen.label} stands apart for ${QUARANTINE_DAYS} days.`
      : `${facts.queen.label} joins the others.`,
  begin: ({ view }, body) => {
    const before = body ?? view.ledger.health;
    return {
      findings: before?.findings ?? [],
      apart: before?.quarantineUntil != null,
      term: body?.quarantineUntil ? { at: body.at, until: body.quarantineUntil } : null,
    };
  },
  finish: ({ findings, apart, term }, _, at) => ({
    findings,
    quarantineUntil: !apart ? null : term?.at === at ? term.until : addDays(at, QUARANTINE_DAYS),
  }),
  Fields,
};
