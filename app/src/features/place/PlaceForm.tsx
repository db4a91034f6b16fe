import { steadiness } from '@gentle-burrow/core/care';
import { placeSchema, type Place, type Spot } from '@gentle-burrow/core/facts';
import { HEAT_SOURCES } from '@gentle-burrow/core/vocabulary';
import { ROOM_WARM_C } from '@gentle-burrow/core/warmth';
import { StyleSheet, View } from 'react-native';
import { usePreferences } from '@/theme/preferences';
import { SPACE } from '@/theme/tokens';
import { Choice } from '@/ui/Choice';
import { NumberField, TextField } from '@/ui/fields';
import { Caution } from '@/ui/Sheet';
import { TempField } from '@/ui/TempField';
import { fromMm, toMm } from '@/ui/units';
import { Words } from '@/ui/Words';
import { Steady } from './Steady';

const LIGHTS = [
  { value: 'dark', label: 'Dark' },
  { value: 'dim', label: 'Dim' },
  { value: 'daylight', label: 'Daylight' },
  { value: 'sun', label: 'Sun' },
] as const;
const VIBRATIONS = [
  { value: 'none', label: 'None' },
  { value: 'some', label: 'Some' },
  { value: 'strong', label: 'Strong' },
] as const;
const AIRS = [
  { value: 'none', label: 'None' },
  { value: 'in the room', label: 'In the room' },
  { value: 'blows on it', label: 'Blows on it' },
] as const;
const HEATS = [
  { value: 'none', label: 'None' },
  ...HEAT_SOURCES.map((value) => ({ value, label: `${value[0]?.toUpperCase()}${value.slice(1)}` })),
];
const ENDS = [
  { value: 'open', label: 'Open end' },
  { value: 'water', label: 'Water end' },
  { value: 'whole', label: 'All of it' },
  { value: 'unknown', label: 'Not known' },
] as const;
const THERMOMETERS = [
  { value: 'checked', label: 'Checked', hint: 'right in melting ice, or the same as another' },
  {
    value: 'unchecked',
    label: 'Not checked',
    hint: 'may be a degree or two off: dates are given more widely',
  },
  { value: 'none', label: 'Nobody measured', hint: 'about room warm: dates are wide' },
] as const;

interface PlaceFormProps {
  value: Place;
  onChange(change: Partial<Place>): void;
  faultOf(field: string): string | undefined;
}

/** What a spot is like: warmth, damp, and what unsettles a queen; judged while it is written. */
export function PlaceForm({ value, onChange, faultOf }: PlaceFormProps) {
  const { length } = usePreferences();
  const spot = value.spot ?? {};
  const setSpot = (change: Partial<Spot>) => onChange({ spot: { ...spot, ...change } });
  const temp = (
    label: string,
    c: number | undefined,
    set: (c: number | undefined) => void,
    fault?: string,
  ) => <TempField label={label} valueC={c ?? null} onChange={(v) => set(v ?? undefined)} fault={fault} />;
  const heat = spot.heat;
  return (
    <View style={styles.form}>
      <TextField
        label="Name of the place"
        value={value.name}
        onChange={(name) => onChange({ name })}
        fault={faultOf('name')}
        hint="Dark, steady, free of vibration; away from sun, lamps and air conditioning."
      />
      <View style={styles.row}>
        {spot.measured === false
          ? null
          : temp('Temperature', value.tempC, (c) => onChange({ tempC: c ?? NaN }), faultOf('tempC'))}
        <NumberField
          label="Room humidity"
          unit="%"
          value={Number.isFinite(value.roomRelHumidity) ? Math.round(value.roomRelHumidity * 100) : null}
          onChange={(v) => onChange({ roomRelHumidity: v === null ? NaN : v / 100 })}
          fault={faultOf('roomRelHumidity')}
        />
      </View>
      <View style={styles.row}>
        {temp('Coldest of a day', spot.dayLowC, (dayLowC) => setSpot({ dayLowC }))}
        {temp('Warmest of a day', spot.dayHighC, (dayHighC) => setSpot({ dayHighC }))}
      </View>
      <Choice
        label="Thermometer"
        options={THERMOMETERS}
        value={
          spot.measured === false
            ? 'none'
            : spot.thermometerChecked === undefined
              ? null
              : spot.thermometerChecked
                ? 'checked'
                : 'unchecked'
        }
        onChange={(v) =>
          v === 'none'
            ? onChange({
                tempC: ROOM_WARM_C,
                spot: { ...spot, measured: false, thermometerChecked: undefined },
              })
            : setSpot({ measured: undefined, thermometerChecked: v === 'checked' })
        }
        onClear={() => setSpot({ measured: undefined, thermometerChecked: undefined })}
      />
      <Choice
        label="Light"
        options={LIGHTS}
        value={spot.light ?? null}
        onChange={(light) => setSpot({ light })}
        onClear={() => setSpot({ light: undefined })}
      />
      <Choice
        label="Vibration"
        options={VIBRATIONS}
        value={spot.vibration ?? null}
        onChange={(vibration) => setSpot({ vibration })}
        onClear={() => setSpot({ vibration: undefined })}
      />
      <Choice
        label="Air conditioning or fan"
        options={AIRS}
        value={spot.airConditioning ?? null}
        onChange={(airConditioning) => setSpot({ airConditioning })}
        onClear={() => setSpot({ airConditioning: undefined })}
      />
      <Choice
        label="Heat source"
        options={HEATS}
        value={heat === undefined ? null : (heat?.source ?? 'none')}
        onChange={(v) =>
          setSpot({
            heat:
              v === 'none'
                ? null
                : // nothing of it is chosen before it is said
                  { end: 'unknown', ...heat, source: v as NonNullable<typeof heat>['source'] },
          })
        }
        onClear={() => setSpot({ heat: undefined })}
      />
      {heat ? (
        <>
          <View style={styles.row}>
            <NumberField
              label="Distance from the tubes"
              unit={length}
              value={
                heat.distanceMm !== undefined && Number.isFinite(heat.distanceMm)
                  ? fromMm(heat.distanceMm, length)
                  : null
              }
              onChange={(v) =>
                setSpot({ heat: { ...heat, distanceMm: v === null ? undefined : toMm(v, length) } })
              }
            />
          </View>
          <Choice
            label="Which part is nearer to it"
            options={ENDS}
            value={heat.end}
            onChange={(end) => setSpot({ heat: { ...heat, end } })}
          />
          <Choice
            label="Thermostat"
            options={[
              { value: 'yes', label: 'Yes' },
              { value: 'no', label: 'No' },
            ]}
            value={heat.thermostat === undefined ? null : heat.thermostat ? 'yes' : 'no'}
            onChange={(v) => setSpot({ heat: { ...heat, thermostat: v === 'yes' } })}
          />
          <Caution>
            <Words kind="small">
              Mats and cables run on a thermostat, on a fire-safe surface, drip-looped, with residual-current
              protection; never under bedding or foil packs. No water on electrics.
            </Words>
          </Caution>
        </>
      ) : null}
      <Steady judged={steadiness(value)} />
    </View>
  );
}

/** What is wrong with a place, by field. */
export function placeFaults(place: Place): { ok: boolean; faultOf(field: string): string | undefined } {
  const checked = placeSchema.safeParse(place);
  return {
    ok: checked.success,
    faultOf: (field) => checked.error?.issues.find((i) => i.path[0] === field)?.message,
  };
}

const styles = StyleSheet.create({
  form: { gap: SPACE.m },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
