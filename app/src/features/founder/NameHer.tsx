import { speciesBeliefSchema } from '@gentle-burrow/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button } from 'react-native-paper';
import { amendEntry, useSpecies, writeEntry, type ShownQueen } from '@/data/queries';
import { SPACE } from '@/theme/tokens';
import { offerUndo } from '@/ui/undo';
import { beliefOf, SpeciesPick, type PickedSpecies } from './SpeciesPick';

/** Names her anew; what she was called before stays in her log. */
export function NameHer({ shown, onDone }: { shown: ShownQueen; onDone(): void }) {
  const { id } = shown.facts.queen;
  const species = useSpecies();
  const known = shown.view.ledger.species;
  const [picked, setPicked] = useState<PickedSpecies>({
    profileId: known?.profileId ?? '',
    sure: known?.sure ?? 'guess',
    namedBy: known?.namedBy ?? '',
    others: known?.others ?? [],
  });
  const checked = speciesBeliefSchema.safeParse(beliefOf(picked));
  const fault = checked.error?.issues[0];
  const save = async () => {
    if (!checked.success) return;
    const entry = await writeEntry(id, {
      kind: 'identify',
      at: new Date().toISOString(),
      species: checked.data,
    });
    onDone();
    offerUndo('Her new name is kept.', () => amendEntry(id, entry.id, null));
  };
  return (
    <View style={styles.form}>
      <SpeciesPick
        species={species}
        value={picked}
        onChange={(change) => setPicked({ ...picked, ...change })}
        faults={{ others: fault?.path[0] === 'others' ? fault.message : undefined }}
      />
      <Button mode="contained" disabled={!checked.success} onPress={() => void save()}>
        Keep this name
      </Button>
    </View>
  );
}

const styles = StyleSheet.create({ form: { gap: SPACE.m } });
