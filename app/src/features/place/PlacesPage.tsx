import { steadiness } from '@gentle-burrow/core/care';
import type { Place } from '@gentle-burrow/core/facts';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Icon } from 'react-native-paper';
import { v7 } from 'uuid';
import { lyingAt, useClimate, useClimateTold } from '@/data/climate';
import { usePlaces, usePlacesTold } from '@/data/queries';
import { usePreferences } from '@/theme/preferences';
import { useBurrow } from '@/theme/theme';
import { SPACE, TARGET } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { agoText } from '@/ui/dates';
import { Choice } from '@/ui/Choice';
import { Go } from '@/ui/Go';
import { go } from '@/ui/way';
import { Screen } from '@/ui/Screen';
import { Sheet } from '@/ui/Sheet';
import { useEver } from '@/ui/useEver';
import { Waiting } from '@/ui/Waiting';
import { Words } from '@/ui/Words';
import { Alarms } from './Alarms';
import { PlaceEditing } from './PlaceEditing';
import { readingText, reckonedText } from './reading-text';

const QUESTION = 'Where do the tubes stand?';

/** Where do the tubes stand? Each place with how it is there now, and what is wrong. */
export function PlacesPage() {
  const places = usePlaces();
  const told = useEver([usePlacesTold(), useClimateTold()].every(Boolean));
  const [fresh, setFresh] = useState<Place | null>(null);
  const add = () =>
    setFresh({ id: v7(), name: '', tempC: NaN, roomRelHumidity: 0.5, winter: null, spot: {} });
  if (!told) return <Waiting question={QUESTION} what="the places" />;
  return (
    <Screen question={QUESTION}>
      <Alarms />
      {places.length === 0 && !fresh ? (
        <Words soft>No place yet. One is made when you take in your first queen, or here.</Words>
      ) : null}
      {places.map((p) => (
        <PlaceLine key={p.id} place={p} />
      ))}
      {places.length > 0 ? <FileOfAPlace places={places} /> : null}
      {fresh ? (
        <Sheet>
          <Words kind="heading" level={2}>
            A new place
          </Words>
          <PlaceEditing place={fresh} old={null} onDone={() => setFresh(null)} />
        </Sheet>
      ) : (
        <Button mode="outlined" icon="plus" style={styles.left} onPress={add}>
          A new place
        </Button>
      )}
    </Screen>
  );
}

/** Where a logger lay whose file is to be read: the file is chosen on the page of that place. */
function FileOfAPlace({ places }: { places: readonly Place[] }) {
  const [asking, setAsking] = useState(false);
  const to = (id: string) => go(`/places/${id}`);
  if (asking)
    return (
      <Choice
        label="Where did the logger lie?"
        options={places.map((p) => ({ value: p.id, label: p.name }))}
        value={null}
        onChange={to}
      />
    );
  const [only] = places;
  return (
    <Button
      mode="outlined"
      icon="upload"
      style={styles.left}
      onPress={() => (only && places.length === 1 ? to(only.id) : setAsking(true))}
    >
      Read a logger’s file
    </Button>
  );
}

/** A place with what it is reckoned with, and what is measured there now. */
function PlaceLine({ place }: { place: Place }) {
  const p = useBurrow();
  const { temperature } = usePreferences();
  const { probes, reckoned } = useClimate();
  const { answer } = steadiness(place);
  const measured = lyingAt(probes, place.id).find((one) => one.latest !== null);
  return (
    <Sheet tight>
      <Go to={`/places/${place.id}`} style={styles.place}>
        <View style={styles.fill}>
          <Words kind="heading" level={2}>
            {place.name}
          </Words>
          {measured?.latest ? (
            <Words>{`${readingText(measured.latest, temperature)}, ${agoText(measured.latest.at)}`}</Words>
          ) : null}
          <Words kind="small" soft>
            {reckonedText(place, reckoned, temperature)}
          </Words>
          <Words kind="small" color={answer === 'unsteady' ? p.clay : p.ink}>
            {answer === 'not known'
              ? 'Steadiness not known: say what the spot is like.'
              : `${answer[0]?.toUpperCase()}${answer.slice(1)}.`}
          </Words>
        </View>
        <Icon source="chevron-right" size={24} color={p.inkSoft} />
      </Go>
    </Sheet>
  );
}

const styles = StyleSheet.create({
  left: { alignSelf: 'flex-start' },
  fill: { flex: 1 },
  place: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s, minHeight: TARGET },
});
