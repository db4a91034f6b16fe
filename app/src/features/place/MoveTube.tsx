import { heatOf } from '@gentle-burrow/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button } from 'react-native-paper';
import { router } from 'expo-router';
import { amendEntry, usePlaces, useSpecies, writeEntry, type ShownQueen } from '@/data/queries';
import { usePreferences } from '@/theme/preferences';
import { SPACE } from '@/theme/tokens';
import { Choice } from '@/ui/Choice';
import { Caution } from '@/ui/Sheet';
import { offerUndo } from '@/ui/undo';
import { tempText } from '@/ui/units';
import { Words } from '@/ui/Words';
import { HEAT_WORDS } from '@/words/heat';

/** Carrying her tube to another place is an entry: her warmth before and after are both reckoned with. */
export function MoveTube({ shown, onDone }: { shown: ShownQueen; onDone(): void }) {
  const { id, label } = shown.facts.queen;
  const { temperature } = usePreferences();
  const places = usePlaces().filter((p) => p.id !== shown.facts.place.id);
  const [to, setTo] = useState<string | null>(null);
  const place = places.find((p) => p.id === to);
  const save = async () => {
    if (!place) return;
    const entry = await writeEntry(id, { kind: 'move', at: new Date().toISOString(), placeId: place.id });
    onDone();
    offerUndo(`${label} stands in ${place.name} now.`, () => amendEntry(id, entry.id, null));
  };
  const profile = useSpecies().find((s) => s.id === shown.view.profileId) ?? null;
  const heat = place ? HEAT_WORDS[heatOf(profile, place.tempC)] : null;
  const difference = place ? Math.abs(place.tempC - shown.facts.place.tempC) : 0;
  return (
    <View style={styles.form}>
      {places.length > 0 ? (
        <Choice
          label={`From ${shown.facts.place.name} to`}
          options={places.map((p) => ({ value: p.id, label: p.name, hint: tempText(p.tempC, temperature) }))}
          value={to}
          onChange={setTo}
        />
      ) : (
        <Words soft>There is no other place yet.</Words>
      )}
      {heat ? (
        <Caution>
          <Words kind="small">{heat}</Words>
        </Caution>
      ) : null}
      <Words kind="small" soft>
        {difference > 5
          ? 'A large step: rapid swings harm. Carry her over in stages, and keep the water end away from heat.'
          : 'Carry it level and slowly: a move disturbs her like a look.'}
      </Words>
      <View style={styles.row}>
        <Button mode="contained" disabled={!place} onPress={() => void save()}>
          Keep this move
        </Button>
        <Button mode="text" onPress={() => router.navigate('/places' as never)}>
          A new place
        </Button>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  form: { gap: SPACE.m },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
