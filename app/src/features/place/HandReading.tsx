import { lowestAndHighest, readingFault, type Reading } from '@gentle-burrow/core/climate';
import type { Place, Probe } from '@gentle-burrow/core/facts';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { v7 } from 'uuid';
import { lyingAt, useClimate } from '@/data/climate';
import { put, type Outgoing } from '@/data/outbox';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { Fault, NumberField } from '@/ui/fields';
import { zoneNow } from '@/ui/dates';
import { Tick } from '@/ui/Tick';
import { offerUndo } from '@/ui/undo';
import { TempField } from '@/ui/TempField';
import { Words } from '@/ui/Words';

/** A thermometer read and written down: a tap, the figure, and kept. Works without a connection. */
export function HandReading({ place }: { place: Place }) {
  const { probes } = useClimate();
  /** Since when it is written down; null while it is not. */
  const [openedAt, setOpenedAt] = useState<number | null>(null);
  const [temp, setTemp] = useState<number | null>(null);
  const [damp, setDamp] = useState<number | null>(null);
  /** The highest, when the thermometer remembers: then `temp` is the lowest. */
  const [high, setHigh] = useState<number | null>(null);
  const [remembers, setRemembers] = useState(false);
  const typed: Typed = {
    lowC: temp,
    highC: high,
    rh: damp === null ? null : damp / 100,
    remembers,
    ms: openedAt ?? 0,
  };
  const readings = readingsOf(typed);
  const empty = readings.length === 0;
  const fault = empty ? null : faultOf(readings, typed);
  const keep = async () => {
    if (empty || fault) return;
    const mine = lyingAt(probes, place.id).find(({ probe }) => probe.kind === 'by-hand')?.probe;
    const probe: Probe = mine ?? byHand(place);
    const kept = remembers ? readings : readings.map((r) => ({ ...r, ms: Date.now() }));
    const batch = {
      probeId: probe.id,
      ms: kept.map((r) => r.ms),
      tempC: kept.map((r) => r.tempC),
      rh: kept.map((r) => r.rh),
    };
    const outs: Outgoing[] = mine ? [] : [{ what: 'probe', probe }];
    await put(...outs, { what: 'readings', batch });
    setOpenedAt(null);
    setTemp(null);
    setHigh(null);
    setDamp(null);
    const { probeId, ms } = batch;
    offerUndo(remembers ? 'Lowest and highest are written down.' : 'A reading is written down.', () =>
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
        <TempField
          label={remembers ? 'Lowest' : 'Temperature'}
          valueC={temp}
          onChange={setTemp}
          autoFocus
          onEnter={() => void keep()}
        />
        {remembers ? (
          <TempField label="Highest" valueC={high} onChange={setHigh} onEnter={() => void keep()} />
        ) : (
          <NumberField
            label="Humidity"
            unit="%"
            value={damp}
            onChange={setDamp}
            onEnter={() => void keep()}
          />
        )}
      </View>
      <Tick
        label="It remembers lowest and highest since yesterday"
        on={remembers}
        onPress={() => setRemembers(!remembers)}
      />
      {remembers ? (
        <Words kind="small" soft>
          It does not say when: the lowest is put at five in the morning, the highest at three in the
          afternoon. Then reset it.
        </Words>
      ) : null}
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

interface Typed {
  lowC: number | null;
  highC: number | null;
  rh: number | null;
  remembers: boolean;
  ms: number;
}

/** What is typed as readings; none while something of it is missing. */
function readingsOf({ lowC, highC, rh, remembers, ms }: Typed): Reading[] {
  if (remembers) return lowC === null || highC === null ? [] : lowestAndHighest(lowC, highC, ms, zoneNow());
  return lowC === null && rh === null ? [] : [{ ms, tempC: lowC, rh }];
}

function faultOf(readings: readonly Reading[], { lowC, highC, remembers }: Typed): string | null {
  if (remembers && lowC !== null && highC !== null && lowC > highC)
    return 'The lowest lies above the highest. Swap them.';
  return readings.map((r) => readingFault(r, r.ms)).find((f) => f !== null) ?? null;
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
