import type { Place } from '@gentle-burrow/core/facts';
import { useState } from 'react';
import { StyleSheet } from 'react-native';
import { lyingAt, useClimate, useClimateTold } from '@/data/climate';
import { usePlaces, usePlacesTold } from '@/data/queries';
import { usePreferences } from '@/theme/preferences';
import { Button } from '@/ui/Button';
import { Screen } from '@/ui/Screen';
import { Sheet } from '@/ui/Sheet';
import { useEver } from '@/ui/useEver';
import { Waiting } from '@/ui/Waiting';
import { Way } from '@/ui/Way';
import { Words } from '@/ui/Words';
import { NAMES } from '@/words/names';
import { Alarms } from './Alarms';
import { Course, useCourseComing } from './Course';
import { HandReading } from './HandReading';
import { LoggerFile } from './LoggerFile';
import { PlaceEditing } from './PlaceEditing';
import { ProbesHere } from './ProbesHere';
import { reckonedText } from './reading-text';

const QUESTION = 'How is it here?';

/** How is it here? What is wrong, how warm and damp it has been, what measures it, and what the spot is like. */
export function PlacePage({ id }: { id: string }) {
  const places = usePlaces();
  const place = places.find((p) => p.id === id);
  const { probes, known, failed } = useClimate();
  const told = useEver([usePlacesTold(), useClimateTold()].every(Boolean));
  const courseComing = useCourseComing(id);
  const courseCome = useEver(told && !courseComing);
  if (!told) return <Waiting question={QUESTION} back="/places" what="the place" wide />;
  if (!place)
    return (
      <Screen question={QUESTION} back="/places">
        <Words>There is no such place, or it cannot be fetched now.</Words>
        <Way to="/places" icon="thermometer" title={NAMES.places} says="All places where tubes stand." />
      </Screen>
    );
  const measured = lyingAt(probes, id).some((p) => p.latest !== null);
  return (
    <Screen
      question={`How is it at ${place.name}?`}
      back="/places"
      wide
      head={
        <>
          <Alarms placeId={id} />
          <HandReading place={place} />
          <LoggerFile place={place} />
          {known && !measured ? (
            <Words soft>
              Nothing was measured here yet. Read a thermometer and write it down, or let a logger tell.
            </Words>
          ) : null}
          {failed ? (
            <Words soft>
              What is measured cannot be fetched now. You can write a reading down all the same.
            </Words>
          ) : null}
          <Course place={place} places={places} />
        </>
      }
    >
      {courseCome ? (
        <>
          <ProbesHere place={place} places={places} />
          <Spot place={place} />
        </>
      ) : null}
    </Screen>
  );
}

/** What the place is reckoned with and what the spot is like, to be changed. */
function Spot({ place }: { place: Place }) {
  const { temperature } = usePreferences();
  const { reckoned } = useClimate();
  const [open, setOpen] = useState(false);
  return (
    <Sheet>
      <Words kind="heading" level={2}>
        What the spot is like
      </Words>
      {open ? (
        <PlaceEditing place={place} old={place} onDone={() => setOpen(false)} />
      ) : (
        <>
          <Words>{reckonedText(place, reckoned, temperature)}</Words>
          <Button
            mode="outlined"
            icon="pencil"
            style={styles.left}
            accessibilityLabel={`Change ${place.name}`}
            onPress={() => setOpen(true)}
          >
            Change
          </Button>
        </>
      )}
    </Sheet>
  );
}

const styles = StyleSheet.create({ left: { alignSelf: 'flex-start' } });
