import { tubeSchema, type Place, type TubeHome } from '@gentle-burrow/core/facts';
import { fillTo, type FillConditions } from '@gentle-burrow/core/tube';
import { useState } from 'react';
import { ROOM_WARM_C } from '@gentle-burrow/core/warmth';
import { Controller, useFormContext } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { v7 } from 'uuid';
import { useSpecies } from '@/data/queries';
import { useStock } from '@/data/stock';
import { SlideLine } from '@/features/fill/SlideLine';
import { DIVIDER_MM } from '@/features/tube/divider';
import { attempt, FillRows, FillWords } from '@/features/fill/FillRows';
import { tubeSizes } from '@/features/fill/tube-sizes';
import { usePreferences } from '@/theme/preferences';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Fault, NumberField } from '@/ui/fields';
import { Caution } from '@/ui/Sheet';
import { fromMm, lengthName, lengthText, toMm } from '@/ui/units';
import { Words } from '@/ui/Words';
import { FirstHome } from './FirstHome';
import { HerBody } from './HerBody';
import { tubeOf, type QueenForm } from './queen-form';
import { go } from '@/ui/way';

const ENDS = [
  { value: 'round', label: 'Round' },
  { value: 'flat', label: 'Flat' },
] as const;
const OWN = { value: 'own', label: 'My own', hint: 'give its size' } as const;

/** Step 4: what she founds in; a tube from the stock or described, drawn while the numbers change, or something else. */
export function StepTube({ places }: { places: readonly Place[] }) {
  const { watch } = useFormContext<QueenForm>();
  const homeKind = watch('homeKind');
  return (
    <>
      <FirstHome places={places} />
      {homeKind === 'tube' ? <HerTube places={places} /> : <HerBody />}
    </>
  );
}

function HerTube({ places }: { places: readonly Place[] }) {
  const { watch, setValue, trigger, control } = useFormContext<QueenForm>();
  const { length } = usePreferences();
  const form = watch();
  const stock = useStock();
  const sizes = tubeSizes(stock.levels, length);
  const chosen =
    sizes.find((t) => t.itemId !== null && t.itemId === form.itemId) ??
    sizes.find(
      (t) =>
        t.itemId === null &&
        t.outsideMm === form.outsideMm &&
        t.boreMm === form.boreMm &&
        t.lengthMm === form.lengthMm,
    );
  const [own, setOwn] = useState(!chosen);
  const profile = useSpecies().find((s) => s.id === form.profileId);
  const place = places.find((p) => p.id === form.placeId);
  const choose = (value: string) => {
    const size = sizes.find((t) => t.value === value);
    setOwn(!size);
    setValue('itemId', size?.itemId ?? '');
    if (!size) return;
    setValue('outsideMm', size.outsideMm);
    setValue('boreMm', size.boreMm);
    setValue('end', size.end);
    // the same share of water as before
    const share = form.lengthMm > 0 ? form.waterLineMm / form.lengthMm : 0.55;
    setValue('lengthMm', size.lengthMm);
    setValue('waterLineMm', Math.round(size.lengthMm * share), { shouldValidate: true });
  };
  const setLine = (mm: number) => {
    setValue('waterLineMm', mm);
    void trigger('waterLineMm');
  };
  const now = new Date().toISOString();
  const checked = tubeSchema.safeParse(tubeOf(form, v7(), now));
  const [lastGood, setLastGood] = useState<TubeHome | null>(checked.data ?? null);
  if (checked.success && !sameTube(checked.data, lastGood)) setLastGood(checked.data);
  const tube = checked.data ?? lastGood;
  const conditions: FillConditions = {
    plugs: { innerMm: form.innerMm, outerMm: form.outerMm },
    // a tube is filled before its place is chosen
    tempC: place?.tempC ?? (Number.isFinite(form.tempC ?? NaN) ? (form.tempC as number) : ROOM_WARM_C),
    roomRelHumidity: place?.roomRelHumidity ?? form.roomRelHumidity,
    queenLengthMm: profile?.queenLengthMm.value ?? { low: 6, high: 12 },
    dividerMm: form.divider ? DIVIDER_MM : 0,
  };
  return (
    <>
      <Choice
        label={`Tube, outside × length in ${lengthName(length)}`}
        options={[...sizes, OWN]}
        value={own ? 'own' : (chosen?.value ?? 'own')}
        onChange={choose}
      />
      {own ? (
        <View style={styles.row}>
          <Length name="outsideMm" label="Outside" />
          <Length name="boreMm" label="Bore inside" />
          <Length name="lengthMm" label="Length" />
        </View>
      ) : null}
      <Controller
        control={control}
        name="divider"
        render={({ field }) => (
          <Choice
            label="Will she be fed in the tube?"
            options={[
              { value: 'no', label: 'No' },
              { value: 'yes', label: 'Yes', hint: `leaves ${lengthText(DIVIDER_MM, length)} for a divider` },
            ]}
            value={field.value ? 'yes' : 'no'}
            onChange={(v) => field.onChange(v === 'yes')}
          />
        )}
      />
      {tube ? (
        <>
          <SlideLine tube={tube} profile={profile} onChange={setLine} />
          {checked.success ? (
            <FillWords fill={attempt(() => fillTo(checked.data, form.waterLineMm, conditions, now))} />
          ) : (
            <Fault>{checked.error.issues[0]?.message}</Fault>
          )}
        </>
      ) : (
        <Words soft>Give the tube’s size, and it is drawn here.</Words>
      )}
      <View style={styles.row}>
        <Length name="waterLineMm" label="Water line" />
        <Length name="innerMm" label="Inner plug" />
        <Length name="outerMm" label="Outer plug" />
      </View>
      <Words kind="heading" level={2}>
        How full by each method
      </Words>
      {tube ? (
        <FillRows
          tube={tube}
          profile={profile}
          conditions={conditions}
          by="length"
          lineMm={form.waterLineMm}
          onChoose={setLine}
        />
      ) : null}
      <Controller
        control={control}
        name="end"
        render={({ field }) => (
          <Choice label="Closed end" options={ENDS} value={field.value} onChange={field.onChange} />
        )}
      />
      <Button mode="text" icon="beaker-outline" style={styles.left} onPress={() => go('/bench/tube')}>
        Plugs, water and flood: to the bench
      </Button>
      <Caution>
        <Words kind="small">
          Push the plug with a rod, never by force: glass breaks into the hand. Wash hands and tube hot and
          soapy; nothing from a used set-up.
        </Words>
      </Caution>
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

const sameTube = (a: TubeHome, b: TubeHome | null): boolean =>
  b !== null &&
  a.outsideMm === b.outsideMm &&
  a.boreMm === b.boreMm &&
  a.lengthMm === b.lengthMm &&
  a.end === b.end &&
  a.waterLineMm === b.waterLineMm &&
  a.plugs.innerMm === b.plugs.innerMm &&
  a.plugs.outerMm === b.plugs.outerMm;

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  left: { alignSelf: 'flex-start' },
});
