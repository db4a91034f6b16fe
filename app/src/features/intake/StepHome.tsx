import {
  daysBetween,
  reservoirBand,
  tubeSchema,
  tubeVolumeMl,
  type Place,
  type TubeHome,
} from '@gentle-burrow/core';
import { useState } from 'react';
import { Controller, useFormContext } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { v7 } from 'uuid';
import { useSpecies } from '@/data/queries';
import { anatomyOf } from '@/features/tube/anatomy';
import { DragLine } from '@/features/tube/DragLine';
import { scaleOf, TubeDrawing } from '@/features/tube/TubeDrawing';
import { usePreferences } from '@/theme/preferences';
import { SPACE, TARGET } from '@/theme/tokens';
import { Choice } from '@/ui/Choice';
import { Fault, NumberField, TextField } from '@/ui/fields';
import { Caution, Sheet } from '@/ui/Sheet';
import { fromC, fromMm, lengthText, toC, toMm } from '@/ui/units';
import { useWidth } from '@/ui/useWidth';
import { Words } from '@/ui/Words';
import { tubeOf, type QueenForm } from './queen-form';
import { COMMON_TUBES } from './tubes';

const ENDS = [
  { value: 'round', label: 'Round' },
  { value: 'flat', label: 'Flat' },
] as const;
const OWN = { value: 'own', label: 'My own', hint: 'give its size' } as const;
const NEW_PLACE = 'new';

/** Step 3: her tube, drawn while the numbers change, and the place where it stands. */
export function StepHome({ places }: { places: readonly Place[] }) {
  const { watch, setValue, control } = useFormContext<QueenForm>();
  const form = watch();
  const common = COMMON_TUBES.find(
    (t) => t.outsideMm === form.outsideMm && t.boreMm === form.boreMm && t.lengthMm === form.lengthMm,
  );
  const [own, setOwn] = useState(!common);
  const choose = (value: string) => {
    const tube = COMMON_TUBES.find((t) => t.value === value);
    setOwn(!tube);
    if (!tube) return;
    setValue('outsideMm', tube.outsideMm);
    setValue('boreMm', tube.boreMm);
    // the same share of water as before
    const share = form.lengthMm > 0 ? form.waterLineMm / form.lengthMm : 0.55;
    setValue('lengthMm', tube.lengthMm);
    setValue('waterLineMm', Math.round(tube.lengthMm * share), { shouldValidate: true });
  };
  return (
    <>
      <Choice
        label="Tube, outside × length in mm"
        options={[...COMMON_TUBES, OWN]}
        value={own ? 'own' : (common?.value ?? 'own')}
        onChange={choose}
      />
      {own ? (
        <View style={styles.row}>
          <Length name="outsideMm" label="Outside" />
          <Length name="boreMm" label="Bore inside" />
          <Length name="lengthMm" label="Length" />
        </View>
      ) : null}
      <LiveTube />
      <View style={styles.row}>
        <Length name="waterLineMm" label="Water line" />
        <Length name="innerMm" label="Inner plug" />
        <Length name="outerMm" label="Outer plug" />
      </View>
      <Controller
        control={control}
        name="end"
        render={({ field }) => (
          <Choice label="Closed end" options={ENDS} value={field.value} onChange={field.onChange} />
        )}
      />
      <Caution>
        <Words kind="small">
          Push the plug with a rod, never by force: glass breaks into the hand. Wash hands and tube hot and
          soapy; nothing from a used set-up.
        </Words>
      </Caution>
      <Sheet tight>
        <Words kind="heading" level={2}>
          Where does the tube stand?
        </Words>
        <PlaceFields places={places} />
      </Sheet>
    </>
  );
}

type LengthName = 'outsideMm' | 'boreMm' | 'lengthMm' | 'waterLineMm' | 'innerMm' | 'outerMm';

function Length({ name, label }: { name: LengthName; label: string }) {
  const { control } = useFormContext<QueenForm>();
  const { length } = usePreferences();
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <NumberField
          label={label}
          unit={length}
          value={Number.isFinite(field.value) ? fromMm(field.value, length) : null}
          onChange={(v) => field.onChange(v === null ? NaN : toMm(v, length))}
          fault={fieldState.error?.message}
        />
      )}
    />
  );
}

/** The tube as the numbers have it, its water to be dragged, and what follows from it. */
function LiveTube() {
  const { watch, setValue, trigger } = useFormContext<QueenForm>();
  const units = usePreferences();
  const [width, onLayout] = useWidth();
  const form = watch();
  const profile = useSpecies().find((s) => s.id === form.profileId);
  const now = new Date().toISOString();
  const checked = tubeSchema.safeParse(tubeOf(form, v7(), now));
  const [lastGood, setLastGood] = useState<TubeHome | null>(checked.data ?? null);
  if (checked.success && !sameTube(checked.data, lastGood)) setLastGood(checked.data);
  const tube = checked.data ?? lastGood;
  if (!tube) return <Words soft>Give the tube’s size, and it is drawn here.</Words>;
  const scale = scaleOf(tube, width);
  const maxLine = tube.lengthMm - tube.plugs.innerMm - tube.plugs.outerMm - 5;
  return (
    <View style={styles.live} onLayout={onLayout}>
      <View style={{ height: scale.height + TARGET }}>
        <TubeDrawing tube={tube} width={width} lineMm={tube.waterLineMm} profile={profile} />
        {width > 0 ? (
          <DragLine
            label="Water line"
            mm={tube.waterLineMm}
            min={5}
            max={maxLine}
            scale={scale}
            text={lengthText(tube.waterLineMm, units.length)}
            onChange={(mm) => {
              setValue('waterLineMm', mm);
              void trigger('waterLineMm');
            }}
          />
        ) : null}
      </View>
      {checked.success ? <Consequences tube={tube} /> : <Fault>{checked.error.issues[0]?.message}</Fault>}
    </View>
  );
}

const sameTube = (a: TubeHome, b: TubeHome | null): boolean =>
  b !== null &&
  a.outsideMm === b.outsideMm &&
  a.boreMm === b.boreMm &&
  a.lengthMm === b.lengthMm &&
  a.end === b.end &&
  a.waterLineMm === b.waterLineMm &&
  a.plugs.innerMm === b.plugs.innerMm &&
  a.plugs.outerMm === b.plugs.outerMm;

/** Volume, chamber, and how long the water lasts at this place. */
function Consequences({ tube }: { tube: TubeHome }) {
  const { watch } = useFormContext<QueenForm>();
  const units = usePreferences();
  const { tempC, roomRelHumidity } = watch();
  const a = anatomyOf(tube);
  const roomKnown = tempC >= 0 && tempC <= 45 && roomRelHumidity >= 0 && roomRelHumidity <= 1;
  const now = new Date().toISOString();
  const water = roomKnown
    ? reservoirBand(
        tube,
        [{ at: now, mm: tube.waterLineMm }],
        { tempC, roomRelHumidity, plugs: tube.plugs },
        now,
      )
    : null;
  const months = (at: string | null) =>
    at === null ? 'years' : `${(daysBetween(now, at) / 30.44).toFixed(0)}`;
  return (
    <View aria-live="polite">
      <Words kind="bold">
        {`${tubeVolumeMl(tube, tube.waterLineMm).toFixed(1)} ml of water · chamber ${lengthText(a.chamberEnd - a.chamberStart, units.length)}`}
      </Words>
      {water ? (
        <Words kind="small" soft>
          {`Lasts ${months(water.dryAt.p10)} to ${months(water.dryAt.p90)} months here: Stefan’s diffusion tube, spread by our own prior; her water line will correct it.`}
        </Words>
      ) : null}
    </View>
  );
}

function PlaceFields({ places }: { places: readonly Place[] }) {
  const { control, watch, setValue } = useFormContext<QueenForm>();
  const { temperature } = usePreferences();
  const placeId = watch('placeId');
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
  return (
    <>
      {places.length > 0 ? (
        <Choice
          label="Place"
          hideLabel
          options={options}
          value={isNew ? NEW_PLACE : placeId}
          onChange={choose}
        />
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
          <View style={styles.row}>
            <Controller
              control={control}
              name="tempC"
              render={({ field, fieldState }) => (
                <NumberField
                  label="Temperature"
                  unit={`°${temperature}`}
                  value={Number.isFinite(field.value) ? fromC(field.value, temperature) : null}
                  onChange={(v) => field.onChange(v === null ? NaN : toC(v, temperature))}
                  fault={fieldState.error?.message}
                />
              )}
            />
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
    </>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  live: { gap: SPACE.s },
});
