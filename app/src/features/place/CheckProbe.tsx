import { checkFault, correctionsOf, saltHumidity, type ProbeCheck } from '@gentle-burrow/core/climate';
import type { Probe } from '@gentle-burrow/core/facts';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { put } from '@/data/outbox';
import { usePreferences } from '@/theme/preferences';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { dayText } from '@/ui/dates';
import { Fault, NumberField } from '@/ui/fields';
import { Caution } from '@/ui/Sheet';
import { offerUndo } from '@/ui/undo';
import { tempDiffText, toC } from '@/ui/units';
import { Words } from '@/ui/Words';

const WAYS = [
  { value: 'NaCl', label: 'Table salt', hint: 'humidity, about 75 %' },
  { value: 'KCl', label: 'Potassium chloride', hint: 'humidity, about 85 %: a second point' },
  { value: 'ice', label: 'Melting ice', hint: 'temperature, 0 °C' },
] as const;
type Way = (typeof WAYS)[number]['value'];

const STEPS: Record<'salt' | 'ice', readonly string[]> = {
  salt: [
    'Heap a spoon of the salt into a bottle cap and wet it until it is like wet sand, not swimming.',
    'Shut it together with the probe in a small tight box. They must not touch.',
    'Leave it for a night, at least eight hours, where the warmth does not change.',
    'Read what it shows without opening the box, and how warm it is there.',
  ],
  ice: [
    'Fill a glass with crushed ice and a little cold water. Put the probe into a tight bag.',
    'Hold it in the middle of the ice, stir, and wait ten minutes.',
    'Read what it shows.',
  ],
};

/** Is the probe right? What it shows over a wet salt or in melting ice, and what is done to its readings from then on. */
export function CheckProbe({ probe }: { probe: Probe }) {
  const [open, setOpen] = useState(false);
  return (
    <View style={styles.form}>
      <Words>{stateText(probe, usePreferences().temperature)}</Words>
      {open ? (
        <CheckForm probe={probe} onDone={() => setOpen(false)} />
      ) : (
        <Button
          mode="outlined"
          icon="check-decagram-outline"
          style={styles.left}
          onPress={() => setOpen(true)}
        >
          Check what it shows
        </Button>
      )}
    </View>
  );
}

/** How far the readings are put right, and how sure they are then. */
function stateText(probe: Probe, unit: 'C' | 'F'): string {
  const { tempC, rh, tempErrorC, rhError } = correctionsOf(probe);
  const last = [...probe.checks].sort((a, b) => a.at.localeCompare(b.at)).at(-1);
  const right = [
    tempC ? `its temperature is put right by ${signed(tempC.offset, (v) => tempDiffText(v, unit))}` : '',
    rh
      ? `its humidity, at 60 %, by ${signed(rh.offset + (rh.slope - 1) * 0.6, (v) => `${Math.round(100 * v)} %`)}`
      : '',
  ].filter(Boolean);
  const sure = `The truth lies within ${tempDiffText(tempErrorC, unit)} and ${Math.round(100 * rhError)} % humidity of it, in eight cases of ten.`;
  if (!last) return `Nobody has checked it. ${sure}`;
  return `Checked on ${dayText(last.at)}: ${right.join(', and ')}. ${sure}`;
}

const signed = (value: number, text: (v: number) => string): string =>
  `${value < 0 ? '−' : '+'}${text(Math.abs(value))}`;

function CheckForm({ probe, onDone }: { probe: Probe; onDone(): void }) {
  const { temperature } = usePreferences();
  const [way, setWay] = useState<Way>('NaCl');
  const [warm, setWarm] = useState<number | null>(null);
  const [shown, setShown] = useState<number | null>(null);
  const at = new Date().toISOString();
  const tempC = warm === null ? null : toC(warm, temperature);
  const check: ProbeCheck | null =
    shown === null
      ? null
      : way === 'ice'
        ? { what: 'ice', at, shownC: toC(shown, temperature) }
        : tempC === null || tempC < 5 || tempC > 40
          ? null
          : { what: 'salt', at, salt: way, tempC, shown: shown / 100 };
  const roomFault =
    way !== 'ice' && tempC !== null && (tempC < 5 || tempC > 40)
      ? 'Make the check in a room, between 5 °C and 40 °C.'
      : undefined;
  const fault = check ? checkFault(check, probe.checks) : null;
  const keep = async () => {
    if (!check || fault) return;
    await put({ what: 'probe', probe: { ...probe, checks: [...probe.checks, check] } });
    onDone();
    offerUndo(`${probe.name} is checked.`, () => put({ what: 'probe', probe }));
  };
  return (
    <View style={styles.form}>
      <Choice
        label="Against what"
        options={WAYS}
        value={way}
        onChange={(w) => {
          setWay(w);
          setShown(null);
        }}
      />
      <View role="list" style={styles.steps}>
        {STEPS[way === 'ice' ? 'ice' : 'salt'].map((step, i) => (
          <View key={step} role="listitem">
            <Words>{`${i + 1}. ${step}`}</Words>
          </View>
        ))}
      </View>
      <Caution>
        <Words kind="small">
          {way === 'ice'
            ? 'Water and mains do not go together: pull out the plug before a probe with a cable goes into the ice.'
            : 'Salt eats metal: keep it off sockets and contacts, and away from children and pets. Wash your hands.'}
        </Words>
      </Caution>
      <View style={styles.row}>
        {way === 'ice' ? null : (
          <NumberField
            label="Temperature in the box"
            unit={`°${temperature}`}
            value={warm}
            onChange={setWarm}
            fault={roomFault}
          />
        )}
        <NumberField
          key={way}
          label="It shows"
          unit={way === 'ice' ? `°${temperature}` : '%'}
          value={shown}
          onChange={setShown}
        />
      </View>
      {way !== 'ice' && tempC !== null && !roomFault ? (
        <Words soft>{`It should show ${(100 * saltHumidity(way, tempC)).toFixed(1)} %.`}</Words>
      ) : null}
      <Fault>{fault ?? undefined}</Fault>
      <View style={styles.row}>
        <Button mode="outlined" onPress={onDone}>
          Leave it
        </Button>
        <Button mode="contained" disabled={!check || fault !== null} onPress={() => void keep()}>
          Keep this check
        </Button>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  form: { gap: SPACE.m },
  left: { alignSelf: 'flex-start' },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  steps: { gap: SPACE.xs },
});
