import type { Place } from '@gentle-burrow/core/facts';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { put } from '@/data/outbox';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { SaveBar } from '@/ui/SaveBar';
import { offerUndo } from '@/ui/undo';
import { PlaceForm, placeFaults } from './PlaceForm';

/** A place's name, warmth and what the spot is like: changing them moves every outlook of the queens that stand there. */
export function PlaceEditing({ place, old, onDone }: { place: Place; old: Place | null; onDone(): void }) {
  const [draft, setDraft] = useState(place);
  // nothing is wrong with a field before something was typed in it, or Save was tried
  const [typed, setTyped] = useState<readonly string[]>([]);
  const [tried, setTried] = useState(false);
  const { ok, faultOf } = placeFaults(draft);
  const save = async () => {
    setTried(true);
    if (!ok) return;
    await put({ what: 'place', place: draft });
    onDone();
    if (old) offerUndo(`${draft.name} changed.`, () => put({ what: 'place', place: old }));
  };
  return (
    <View style={styles.form}>
      <PlaceForm
        value={draft}
        onChange={(change) => {
          setDraft({ ...draft, ...change });
          setTyped([...typed, ...Object.keys(change)]);
        }}
        faultOf={(field) => (tried || typed.includes(field) ? faultOf(field) : undefined)}
      />
      <SaveBar>
        <Button mode="outlined" onPress={onDone}>
          Leave it
        </Button>
        <Button mode="contained" onPress={() => void save()}>
          {old ? 'Keep the change' : 'Keep this place'}
        </Button>
      </SaveBar>
    </View>
  );
}

const styles = StyleSheet.create({
  form: { gap: SPACE.m },
});
