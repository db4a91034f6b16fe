import { stockItemSchema, type StockItem } from '@gentle-burrow/core/facts';
import { CONNECTOR_FORMS, type ConnectorForm } from '@gentle-burrow/core/vocabulary';
import { StyleSheet, View } from 'react-native';
import { usePreferences } from '@/theme/preferences';
import { SPACE } from '@/theme/tokens';
import { Choice, optionsOf } from '@/ui/Choice';
import { Fault, NumberField } from '@/ui/fields';
import { fineFromMm, toMm } from '@/ui/units';

type Described = NonNullable<StockItem['connector']>;
type End = Described['ends'][number];

export const NEW_CONNECTOR: Described = {
  form: 'sleeve',
  ends: [{ boreMm: 16.2 }, { boreMm: 16.2 }],
  meshMm: null,
};

const FORM_WORDS: Record<ConnectorForm, string> = {
  sleeve: 'a sleeve',
  pipe: 'a pipe',
  adapter: 'an adapter',
};
const FORMS = optionsOf(CONNECTOR_FORMS, FORM_WORDS);

/** The two ends of a connector, and its mesh: what a joint is reckoned from. */
export function ConnectorFields({
  connector,
  onChange,
}: {
  connector: Described;
  onChange(connector: Described): void;
}) {
  const { length } = usePreferences();
  const mm = (label: string, value: number | null | undefined, keep: (mm: number | undefined) => void) => (
    <NumberField
      key={label}
      label={label}
      unit={length}
      value={value == null ? null : fineFromMm(value, length)}
      onChange={(v) => keep(v === null ? undefined : toMm(v, length))}
    />
  );
  const setEnd = (i: 0 | 1, end: End) =>
    onChange({
      ...connector,
      // both ends of a pipe are alike
      ends:
        connector.form === 'pipe'
          ? [end, end]
          : i === 0
            ? [end, connector.ends[1]]
            : [connector.ends[0], end],
    });
  const without = (end: End, key: keyof End): End =>
    Object.fromEntries(Object.entries(end).filter(([k]) => k !== key));
  const fields = (i: 0 | 1, name: string) => {
    const end = connector.ends[i];
    const set = (key: keyof End) => (value: number | undefined) =>
      setEnd(i, value === undefined ? without(end, key) : { ...end, [key]: value });
    return (
      <View style={styles.row} role="group" aria-label={name}>
        {mm(`${name}, bore inside`, end.boreMm, set('boreMm'))}
        {mm(`${name}, outside`, end.outsideMm, set('outsideMm'))}
      </View>
    );
  };
  const fault = stockItemSchema.shape.connector.safeParse(connector).error?.issues[0]?.message;
  return (
    <View style={styles.all}>
      <Choice
        label="What kind of connector"
        options={FORMS}
        value={connector.form}
        onChange={(form) =>
          onChange({
            ...connector,
            form,
            ends: form === 'pipe' ? [connector.ends[0], connector.ends[0]] : connector.ends,
          })
        }
      />
      {fields(0, connector.form === 'pipe' ? 'Both ends' : 'One end')}
      {connector.form === 'pipe' ? null : fields(1, 'Other end')}
      {mm('Mesh opening, if it has one', connector.meshMm, (meshMm) =>
        onChange({ ...connector, meshMm: meshMm ?? null }),
      )}
      <Fault>{fault}</Fault>
    </View>
  );
}

const styles = StyleSheet.create({
  all: { gap: SPACE.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
