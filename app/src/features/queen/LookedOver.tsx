import { FINDING_ADVICE, QUARANTINE_DAYS, type BodyOf } from '@gentle-burrow/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button } from 'react-native-paper';
import { amendEntry, writeEntry, type ShownQueen } from '@/data/queries';
import { FindingList } from '@/features/intake/FindingList';
import { SPACE } from '@/theme/tokens';
import { Choice } from '@/ui/Choice';
import { offerUndo } from '@/ui/undo';

/** Looked over again: what was found, and whether she stands apart from now on. */
export function LookedOver({ shown, onDone }: { shown: ShownQueen; onDone(): void }) {
  const { id, label } = shown.facts.queen;
  const before = shown.view.ledger.health;
  const [findings, setFindings] = useState<BodyOf<'health'>['findings']>(before?.findings ?? []);
  const [apart, setApart] = useState(before?.quarantineUntil != null);
  const save = async () => {
    const now = Date.now();
    const until = new Date(now + QUARANTINE_DAYS * 86_400_000).toISOString();
    const entry = await writeEntry(id, {
      kind: 'health',
      at: new Date(now).toISOString(),
      findings,
      quarantineUntil: apart ? until : null,
    });
    onDone();
    offerUndo(
      apart ? `${label} stands apart for ${QUARANTINE_DAYS} days.` : `${label} joins the others.`,
      () => amendEntry(id, entry.id, null),
    );
  };
  return (
    <View style={styles.form}>
      <FindingList
        findings={findings}
        onChange={(next) => {
          setFindings(next);
          if (FINDING_ADVICE.some((a) => a.quarantine && next.includes(a.id))) setApart(true);
        }}
      />
      <Choice
        label="Quarantine"
        options={[
          { value: 'yes', label: 'Stands apart', hint: `for ${QUARANTINE_DAYS} days from now` },
          { value: 'no', label: 'With the others' },
        ]}
        value={apart ? 'yes' : 'no'}
        onChange={(v) => setApart(v === 'yes')}
      />
      <Button mode="contained" onPress={() => void save()}>
        Keep what was found
      </Button>
    </View>
  );
}

const styles = StyleSheet.create({ form: { gap: SPACE.m } });
