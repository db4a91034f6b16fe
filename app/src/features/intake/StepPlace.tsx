import { steadiness } from '@gentle-burrow/core/care';
import type { Place } from '@gentle-burrow/core/facts';
import { Controller, useFormContext } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { Steady } from '@/features/place/Steady';
import { usePreferences } from '@/theme/preferences';
import { SPACE } from '@/theme/tokens';
import { Choice } from '@/ui/Choice';
import { NumberField, TextField } from '@/ui/fields';
import { Caution } from '@/ui/Sheet';
import { TempField } from '@/ui/TempField';
import { fromC } from '@/ui/units';
import { Words } from '@/ui/Words';
import type { QueenForm } from './queen-form';

const NEW_PLACE = 'new';
const MEASURED = [
  { value: 'yes', label: 'Measured', hint: 'by a thermometer beside the tubes' },
  { value: 'no', label: 'Not measured', hint: 'about room warm: dates are wide' },
] as const;

/** Step 5: the place where she stands, judged for steadiness. */
export function StepPlace({ places }: { places: readonly Place[] }) {
  const { control, watch, setValue } = useFormContext<QueenForm>();
  const { temperature } = usePreferences();
  const [placeId, measured] = watch(['placeId', 'measured']);
  const options = [
    ...places.map((p) => ({
      value: p.id,
      label: p.name,
      hint: `${fromC(p.tempC, temperature)} °${temperature}`,
    })),
    { value: NEW_PLACE, label: 'A new place' },
  ];
  const choose = (value: string) => {
    const place = places.find((p) => p.id === value);
    setValue('placeId', (place?.id ?? '') as never);
    if (place) {
      setValue('placeName', '');
      setValue('tempC', place.tempC);
      setValue('roomRelHumidity', place.roomRelHumidity);
    }
  };
  const isNew = placeId === '';
  const chosen = places.find((p) => p.id === placeId);
  return (
    <>
      {places.length > 0 ? (
        <Choice label="Place" options={options} value={isNew ? NEW_PLACE : placeId} onChange={choose} />
      ) : null}
      {isNew ? (
        <>
          <Controller
            control={control}
            name="placeName"
            render={({ field, fieldState }) => (
              <TextField
                label="Name of the place"
                value={field.value}
                onChange={field.onChange}
                fault={fieldState.error?.message}
                hint="Dark, steady, free of vibration; away from sun, lamps and air conditioning."
              />
            )}
          />
          <Controller
            control={control}
            name="measured"
            render={({ field }) => (
              <Choice
                label="How warm is it there?"
                options={MEASURED}
                value={field.value ? 'yes' : 'no'}
                onChange={(v) => field.onChange(v === 'yes')}
              />
            )}
          />
          <View style={styles.row}>
            {measured ? (
              <Controller
                control={control}
                name="tempC"
                render={({ field, fieldState }) => (
                  <TempField
                    label="Temperature"
                    valueC={field.value}
                    onChange={field.onChange}
                    fault={fieldState.error?.message}
                  />
                )}
              />
            ) : null}
            <Controller
              control={control}
              name="roomRelHumidity"
              render={({ field, fieldState }) => (
                <NumberField
                  label="Room humidity"
                  unit="%"
                  value={Number.isFinite(field.value) ? Math.round(field.value * 100) : null}
                  onChange={(v) => field.onChange(v === null ? NaN : v / 100)}
                  fault={fieldState.error?.message}
                />
              )}
            />
          </View>
        </>
      ) : null}
      {chosen ? <Steady judged={steadiness(chosen)} /> : null}
      {isNew ? (
        <Words kind="small" soft>
          What the spot is like, its light, vibration and heat, is said under Places and judged there.
        </Words>
      ) : null}
      <Caution>
        <Words kind="small">
          Dark, padded, steadily warm. Below her best is safer than above it; above the mid-thirties is
          dangerous for most. No sun, no lamp, and no heat on the water end.
        </Words>
      </Caution>
    </>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
