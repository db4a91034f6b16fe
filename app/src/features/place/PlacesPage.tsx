import { steadiness } from '@gentle-burrow/core/care';
import type { Place } from '@gentle-burrow/core/facts';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { v7 } from 'uuid';
import { put } from '@/data/outbox';
import { usePlaces } from '@/data/queries';
import { usePreferences } from '@/theme/preferences';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { Screen } from '@/ui/Screen';
import { Sheet } from '@/ui/Sheet';
import { offerUndo } from '@/ui/undo';
import { tempText } from '@/ui/units';
import { Words } from '@/ui/Words';
import { PlaceForm, placeFaults } from './PlaceForm';

/** Where do the tubes stand? Each place with what it is like and how steady. */
export function PlacesPage() {
  const places = usePlaces();
  const [fresh, setFresh] = useState<Place | null>(null);
  const add = () =>
    setFresh({ id: v7(), name: '', tempC: NaN, roomRelHumidity: 0.5, winter: null, spot: {} });
  return (
    <Screen question="Where do the tubes stand?">
      {places.length === 0 && !fresh ? (
        <Words soft>No place yet. One is made when you take in your first queen, or here.</Words>
      ) : null}
      {places.map((p) => (
        <PlaceEditor key={p.id} place={p} />
      ))}
      {fresh ? (
        <Sheet>
          <Words kind="heading" level={2}>
            A new place
          </Words>
          <Editing place={fresh} old={null} onDone={() => setFresh(null)} />
        </Sheet>
      ) : (
        <Button mode="outlined" icon="plus" style={styles.left} onPress={add}>
          A new place
        </Button>
      )}
    </Screen>
  );
}

/** A place's name, warmth and humidity: changing them moves every outlook of the queens that stand there. */
function PlaceEditor({ place }: { place: Place }) {
  const p = useBurrow();
  const { temperature } = usePreferences();
  const [open, setOpen] = useState(false);
  const { answer } = steadiness(place);
  return (
    <Sheet tight>
      <View style={styles.place}>
        <View style={styles.fill}>
          <Words kind="heading" level={2}>
            {place.name}
          </Words>
          <Words kind="small" soft>
            {`${tempText(place.tempC, temperature)} · ${Math.round(place.roomRelHumidity * 100)} % humidity`}
          </Words>
          <Words kind="small" color={answer === 'unsteady' ? p.clay : p.ink}>
            {answer === 'not known'
              ? 'Steadiness not known: say what the spot is like.'
              : `${answer[0]?.toUpperCase()}${answer.slice(1)}.`}
          </Words>
        </View>
        {open ? null : (
          <Button mode="text" accessibilityLabel={`Change ${place.name}`} onPress={() => setOpen(true)}>
            Change
          </Button>
        )}
      </View>
      {open ? <Editing place={place} old={place} onDone={() => setOpen(false)} /> : null}
    </Sheet>
  );
}

function Editing({ place, old, onDone }: { place: Place; old: Place | null; onDone(): void }) {
  const [draft, setDraft] = useState(place);
  const { ok, faultOf } = placeFaults(draft);
  const save = async () => {
    if (!ok) return;
    await put({ what: 'place', place: draft });
    onDone();
    if (old) offerUndo(`${draft.name} changed.`, () => put({ what: 'place', place: old }));
  };
  return (
    <View style={styles.form}>
      <PlaceForm value={draft} onChange={(change) => setDraft({ ...draft, ...change })} faultOf={faultOf} />
      <View style={styles.row}>
        <Button mode="outlined" onPress={onDone}>
          Leave it
        </Button>
        <Button mode="contained" disabled={!ok} onPress={() => void save()}>
          {old ? 'Keep the change' : 'Keep this place'}
        </Button>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  left: { alignSelf: 'flex-start' },
  fill: { flex: 1 },
  place: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  form: { gap: SPACE.m },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
