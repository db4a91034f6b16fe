import { placeSchema, type Place } from '@gentle-burrow/core/facts';
import { StyleSheet, View } from 'react-native';
import { v7 } from 'uuid';
import { SPACE } from '@/theme/tokens';
import type { Option } from '@/ui/Choice';
import { TextField } from '@/ui/fields';
import { TempField } from '@/ui/TempField';

/** A place that is being made where it is needed: its name and how warm it is; the rest is said on its page. */
export type Fresh = Pick<Place, 'id' | 'name'> & { tempC: number | null };

/** Chosen among the places: one that is not there yet. */
export const NEW_PLACE: Option<string> = { value: 'new', label: 'A new place' };

export const freshPlace = (): Fresh => ({ id: v7(), name: '', tempC: null });

/** The place it makes; null while its name or its warmth is missing or cannot be. */
export function placeOf({ id, name, tempC }: Fresh): Place | null {
  const read = placeSchema.safeParse({ id, name, tempC: tempC ?? NaN, roomRelHumidity: 0.5, winter: null });
  return read.success ? read.data : null;
}

interface FreshPlaceProps {
  value: Fresh;
  onChange(value: Fresh): void;
}

export function FreshPlace({ value, onChange }: FreshPlaceProps) {
  const { name, tempC } = placeSchema.shape;
  const nameFault = value.name === '' ? undefined : name.safeParse(value.name).error?.issues[0]?.message;
  const tempFault = value.tempC === null ? undefined : tempC.safeParse(value.tempC).error?.issues[0]?.message;
  return (
    <View style={styles.row}>
      <View style={styles.name}>
        <TextField
          label="Name of the new place"
          value={value.name}
          onChange={(name) => onChange({ ...value, name })}
          fault={nameFault}
        />
      </View>
      <TempField
        label="Its temperature"
        valueC={value.tempC}
        onChange={(tempC) => onChange({ ...value, tempC })}
        fault={tempFault}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  name: { flexGrow: 2, flexShrink: 1, flexBasis: 180, minWidth: 0 },
});
