import { readingFault } from '@gentle-burrow/core/climate';
import type { Place, Probe } from '@gentle-burrow/core/facts';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { v7 } from 'uuid';
import { lyingAt, useClimate } from '@/data/climate';
import { put, type Outgoing } from '@/data/outbox';
import { usePreferences } from '@/theme/preferences';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { Fault, NumberField } from '@/ui/fields';
import { offerUndo } from '@/ui/undo';
import { toC } from '@/ui/units';

/** A thermometer read and written down: a tap, the figure, and kept. Works without a connection. */
export function HandReading({ place }: { place: Place }) {
  const { probes } = useClimate();
  const { temperature } = usePreferences();
  /** Since when it is written down; null while it is not. */
  const [openedAt, setOpenedAt] = useState<number | null>(null);
  const [temp, setTemp] = useState<number | null>(null);
  const [damp, setDamp] = useState<number | null>(null);
  const reading = {
    ms: openedAt ?? 0,
    tempC: temp === null ? null : toC(temp, temperature),
    rh: damp === null ? null : damp / 100,
  };
  const empty = temp === null && damp === null;
  const fault = empty ? null : readingFault(reading, reading.ms);
  const keep = async () => {
    if (empty || fault) return;
    const mine = lyingAt(probes, place.id).find(({ probe }) => probe.kind === 'by-hand')?.probe;
    const probe: Probe = mine ?? byHand(place);
    const batch = { probeId: probe.id, ms: [Date.now()], tempC: [reading.tempC], rh: [reading.rh] };
    const outs: Outgoing[] = mine ? [] : [{ what: 'probe', probe }];
    await put(...outs, { what: 'readings', batch });
    setOpenedAt(null);
    setTemp(null);
    setDamp(null);
    const { probeId, ms } = batch;
    offerUndo('A reading is written down.', () =>
      put({ what: 'readings-taken-back', back: { probeId, ms } }),
    );
  };
  if (openedAt === null)
    return (
      <View style={styles.row}>
        <Button
          mode="contained"
          icon="thermometer-plus"
          onPress={() => {
            setOpenedAt(Date.now());
          }}
        >
          Write down a reading
        </Button>
      </View>
    );
  return (
    <View style={styles.form}>
      <View style={styles.row}>
        <NumberField
          label="Temperature"
          unit={`°${temperature}`}
          value={temp}
          onChange={setTemp}
          autoFocus
          onEnter={() => void keep()}
        />
        <NumberField label="Humidity" unit="%" value={damp} onChange={setDamp} onEnter={() => void keep()} />
      </View>
      {fault ? <Fault>{fault}</Fault> : null}
      <View style={styles.row}>
        <Button mode="outlined" onPress={() => setOpenedAt(null)}>
          Leave it
        </Button>
        <Button mode="contained" disabled={empty || fault !== null} onPress={() => void keep()}>
          Keep this reading
        </Button>
      </View>
    </View>
  );
}

const byHand = (place: Place): Probe => ({
  id: v7(),
  name: `By hand, ${place.name}`.slice(0, 80),
  kind: 'by-hand',
  stays: [{ from: new Date(Date.now() - 60_000).toISOString(), placeId: place.id }],
  silentAfterH: null,
  checks: [],
});

const styles = StyleSheet.create({
  form: { gap: SPACE.m },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s, alignItems: 'center' },
});
