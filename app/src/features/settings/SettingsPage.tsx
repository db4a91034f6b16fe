import { LOOKING_SCHOOLS, placeSchema, type KeeperSettings, type Place } from '@gentle-burrow/core';
import { useState } from 'react';
import { Linking, StyleSheet, View } from 'react-native';
import { Button } from 'react-native-paper';
import { put } from '@/data/outbox';
import { usePlaces, useSettings } from '@/data/queries';
import { setPreferences, usePreferences } from '@/theme/preferences';
import { SPACE } from '@/theme/tokens';
import { Choice } from '@/ui/Choice';
import { NumberField, TextField } from '@/ui/fields';
import { Screen } from '@/ui/Screen';
import { Sheet } from '@/ui/Sheet';
import { offerUndo } from '@/ui/undo';
import { fromC, tempText, toC } from '@/ui/units';
import { Words } from '@/ui/Words';

const APPEARANCES = [
  { value: 'auto', label: 'As the device' },
  { value: 'paper', label: 'Paper' },
  { value: 'night', label: 'Dark' },
  { value: 'red', label: 'Red light', hint: 'for looks at night' },
] as const;
const TEMPERATURES = [
  { value: 'C', label: '°C' },
  { value: 'F', label: '°F' },
] as const;
const LENGTHS = [
  { value: 'mm', label: 'mm' },
  { value: 'in', label: 'inches' },
] as const;
const HEMISPHERES = [
  { value: 'north', label: 'Northern' },
  { value: 'south', label: 'Southern' },
] as const;

export function SettingsPage() {
  const settings = useSettings();
  const preferences = usePreferences();
  const places = usePlaces();
  const decide = (change: Partial<KeeperSettings>) =>
    void put({ what: 'settings', settings: { ...settings, ...change } });
  return (
    <Screen question="How do you keep them?" back="/">
      <Choice
        label="Your school of looking"
        options={LOOKING_SCHOOLS.map((s) => ({ value: s.id, label: s.name, hint: s.says }))}
        value={settings.lookingSchool}
        onChange={(lookingSchool) => decide({ lookingSchool })}
      />
      <Words kind="small" soft>
        Keepers disagree, and no school is proven best. Each answer shows which school speaks and what the
        others would say.
      </Words>
      <Choice
        label="Half of the earth, for the seasons"
        options={HEMISPHERES}
        value={settings.hemisphere}
        onChange={(hemisphere) => decide({ hemisphere })}
      />
      <Sheet>
        <Words kind="heading" level={2}>
          On this device
        </Words>
        <Choice
          label="Appearance"
          options={APPEARANCES}
          value={preferences.appearance}
          onChange={(appearance) => setPreferences({ appearance })}
        />
        <Words kind="small" soft>
          Ants see red light poorly (common practice, no source).
        </Words>
        <Choice
          label="Temperature"
          options={TEMPERATURES}
          value={preferences.temperature}
          onChange={(temperature) => setPreferences({ temperature })}
        />
        <Choice
          label="Length"
          options={LENGTHS}
          value={preferences.length}
          onChange={(length) => setPreferences({ length })}
        />
      </Sheet>
      <Sheet>
        <Words kind="heading" level={2}>
          Places
        </Words>
        {places.length === 0 ? <Words soft>A place is made when you take in your first queen.</Words> : null}
        {places.map((p) => (
          <PlaceEditor key={p.id} place={p} />
        ))}
      </Sheet>
      <Sheet>
        <Words kind="heading" level={2}>
          Your log is yours
        </Words>
        <Words>Everything you wrote, one fact a line, in an open format (JSON Lines).</Words>
        <Button
          mode="outlined"
          icon="download"
          style={styles.left}
          onPress={() => void Linking.openURL('/api/export.jsonl')}
        >
          Take the log with you
        </Button>
      </Sheet>
    </Screen>
  );
}

/** A place's name, warmth and humidity: changing them moves every outlook of the queens that stand there. */
function PlaceEditor({ place }: { place: Place }) {
  const { temperature } = usePreferences();
  const [open, setOpen] = useState(false);
  const [draft, setDraft] = useState(place);
  const checked = placeSchema.safeParse(draft);
  const faultOf = (field: string) => checked.error?.issues.find((i) => i.path[0] === field)?.message;
  const save = async () => {
    if (!checked.success) return;
    await put({ what: 'place', place: checked.data });
    setOpen(false);
    offerUndo(`${checked.data.name} changed.`, () => put({ what: 'place', place }));
  };
  if (!open) {
    return (
      <View style={styles.place}>
        <View style={styles.fill}>
          <Words>{place.name}</Words>
          <Words kind="small" soft>
            {`${tempText(place.tempC, temperature)} · ${Math.round(place.roomRelHumidity * 100)} % humidity`}
          </Words>
        </View>
        <Button
          mode="text"
          accessibilityLabel={`Change ${place.name}`}
          onPress={() => {
            setDraft(place);
            setOpen(true);
          }}
        >
          Change
        </Button>
      </View>
    );
  }
  return (
    <View style={styles.form}>
      <TextField
        label="Name of the place"
        value={draft.name}
        onChange={(name) => setDraft({ ...draft, name })}
        fault={faultOf('name')}
      />
      <View style={styles.row}>
        <NumberField
          label="Temperature"
          unit={`°${temperature}`}
          value={Number.isFinite(draft.tempC) ? fromC(draft.tempC, temperature) : null}
          onChange={(v) => setDraft({ ...draft, tempC: v === null ? NaN : toC(v, temperature) })}
          fault={faultOf('tempC')}
        />
        <NumberField
          label="Room humidity"
          unit="%"
          value={Number.isFinite(draft.roomRelHumidity) ? Math.round(draft.roomRelHumidity * 100) : null}
          onChange={(v) => setDraft({ ...draft, roomRelHumidity: v === null ? NaN : v / 100 })}
          fault={faultOf('roomRelHumidity')}
        />
      </View>
      <View style={styles.row}>
        <Button mode="outlined" onPress={() => setOpen(false)}>
          Leave it
        </Button>
        <Button mode="contained" disabled={!checked.success} onPress={() => void save()}>
          Keep the change
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
