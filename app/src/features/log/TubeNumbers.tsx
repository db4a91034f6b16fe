import { tubeMeasuresSchema, type TubeMeasures } from '@gentle-burrow/core/facts';
import { StyleSheet, View } from 'react-native';
import { usePreferences } from '@/theme/preferences';
import { SPACE } from '@/theme/tokens';
import { Choice } from '@/ui/Choice';
import { Fault, NumberField } from '@/ui/fields';
import { fromMm, toMm } from '@/ui/units';

const ENDS = [
  { value: 'round', label: 'Round' },
  { value: 'flat', label: 'Flat' },
] as const;
const LENGTHS = [
  ['outsideMm', 'Outside'],
  ['boreMm', 'Bore inside'],
  ['lengthMm', 'Length'],
  ['waterLineMm', 'Water line at first'],
] as const;
const PLUGS = [
  ['innerMm', 'Inner plug'],
  ['outerMm', 'Outer plug'],
] as const;

interface TubeNumbersProps {
  tube: TubeMeasures;
  onChange(tube: TubeMeasures): void;
}

/** Every measure of a tube, typed, with what cannot be said below. */
export function TubeNumbers({ tube, onChange }: TubeNumbersProps) {
  const { length } = usePreferences();
  const number = (label: string, mm: number, keep: (mm: number) => void) => (
    <NumberField
      key={label}
      label={label}
      unit={length}
      value={Number.isFinite(mm) ? fromMm(mm, length) : null}
      onChange={(v) => keep(v === null ? NaN : toMm(v, length))}
    />
  );
  return (
    <>
      <View style={styles.row}>
        {LENGTHS.map(([key, label]) => number(label, tube[key], (mm) => onChange({ ...tube, [key]: mm })))}
        {PLUGS.map(([key, label]) =>
          number(label, tube.plugs[key], (mm) => onChange({ ...tube, plugs: { ...tube.plugs, [key]: mm } })),
        )}
      </View>
      <Choice
        label="Closed end"
        options={ENDS}
        value={tube.end}
        onChange={(end) => onChange({ ...tube, end })}
      />
      <Fault>{tubeMeasuresSchema.safeParse(tube).error?.issues[0]?.message}</Fault>
    </>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
