import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { usePreferences } from '@/theme/preferences';
import { Button } from './Button';
import { NumberField } from './fields';
import { fromC, toC } from './units';

interface TempFieldProps {
  label: string;
  /** °C; null while nothing or no number stands there. */
  valueC: number | null;
  fault?: string | undefined;
  autoFocus?: boolean;
  onEnter?: () => void;
  onChange(valueC: number | null): void;
}

/** Where ants are kept it is about so warm, °C: beyond it a figure may be of the other scale. */
const ROOMS_C = { low: 0, high: 45 } as const;
const isRoom = (c: number): boolean => c >= ROOMS_C.low && c <= ROOMS_C.high;

/** A temperature in the keeper's scale, with the other one offered where the figure can only be of that. */
export function TempField({ label, valueC, fault, autoFocus, onEnter, onChange }: TempFieldProps) {
  const { temperature } = usePreferences();
  const known = valueC !== null && Number.isFinite(valueC) ? valueC : null;
  const [last, setLast] = useState<number | null>(null);
  // what was typed stands as it was typed, with all its digits; what comes from elsewhere in tenths
  const isLast = last !== null && known !== null && toC(last, temperature) === known;
  const typed = known === null ? null : isLast ? last : fromC(known, temperature);
  const other = temperature === 'C' ? 'F' : 'C';
  const meantC = typed === null ? null : toC(typed, other);
  const asks = known !== null && meantC !== null && !isRoom(known) && isRoom(meantC);
  return (
    <View style={styles.field}>
      <View style={styles.row}>
        <NumberField
          label={label}
          unit={`°${temperature}`}
          value={typed}
          onChange={(v) => {
            setLast(v);
            onChange(v === null ? null : toC(v, temperature));
          }}
          fault={fault}
          {...(autoFocus ? { autoFocus } : {})}
          {...(onEnter ? { onEnter } : {})}
        />
      </View>
      {asks ? (
        <Button compact mode="outlined" style={styles.other} onPress={() => onChange(meantC)}>
          {`Did you mean ${typed} °${other}?`}
        </Button>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  field: { flexGrow: 1, flexShrink: 1, flexBasis: 104, minWidth: 0 },
  row: { flexDirection: 'row' },
  other: { alignSelf: 'flex-start' },
});
