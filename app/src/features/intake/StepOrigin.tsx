import { MILESTONES, type Milestone } from '@gentle-burrow/core/species';
import { FOUND_HOW, WINGS as WINGS_SEEN } from '@gentle-burrow/core/vocabulary';
import { useState } from 'react';
import { Controller, useFormContext, type Path } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { CountPad } from '@/features/look/CountPad';
import { FOUND_WORDS, WINGS_WORDS } from '@/words/log';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { Choice, optionsOf } from '@/ui/Choice';
import { dayInput } from '@/ui/dates';
import { DateField, Fault, NumberField, TextField } from '@/ui/fields';
import { Caution, Sheet } from '@/ui/Sheet';
import { Words } from '@/ui/Words';
import { SistersField } from './SistersField';
import { comesWithBrood, isPurchase, type QueenForm } from './queen-form';

const FOUND = optionsOf(FOUND_HOW, FOUND_WORDS);
const STAGES: { value: Milestone; label: string }[] = MILESTONES.map((value) => ({ value, label: value }));
const WINGS = optionsOf(WINGS_SEEN, WINGS_WORDS);

/** Step 1: how found, when, where; her wings, how many queens, and what came with her. */
export function StepOrigin() {
  const { control, watch, setValue } = useFormContext<QueenForm>();
  const [stage, setStage] = useState<Milestone>('workers');
  const [found, queens, earliest, lat, lon, weather] = watch([
    'found',
    'queens',
    'earliest',
    'lat',
    'lon',
    'weather',
  ]);
  const [more, setMore] = useState(earliest !== '' || lat !== null || lon !== null || weather !== '');
  return (
    <>
      <Controller
        control={control}
        name="found"
        render={({ field, fieldState }) => (
          <>
            <Choice label="How found" options={FOUND} value={field.value ?? null} onChange={field.onChange} />
            <Fault>{fieldState.error?.message}</Fault>
          </>
        )}
      />
      <Controller
        control={control}
        name="day"
        render={({ field, fieldState }) => (
          <DateField
            label={more && earliest !== '' ? 'Not after' : 'Day she came into her tube'}
            value={field.value}
            max={dayInput(new Date())}
            onChange={field.onChange}
            fault={fieldState.error?.message}
          />
        )}
      />
      <Text name="label" label="Letter or name on the tube" />
      <SistersField />
      <Text
        name="batch"
        label="Batch"
        hint="Sisters caught together share one, and are compared at equal age."
      />
      <Text
        name="where"
        label="Where found"
        hint="Stays on this machine unless you ask for it in an export."
      />
      {more ? (
        <View style={styles.more}>
          <Controller
            control={control}
            name="earliest"
            render={({ field, fieldState }) => (
              <DateField
                label="Day not known for sure? Not before"
                value={field.value}
                max={dayInput(new Date())}
                onChange={field.onChange}
                fault={fieldState.error?.message}
              />
            )}
          />
          <View style={styles.row}>
            <Degrees name="lat" label="Latitude" />
            <Degrees name="lon" label="Longitude" />
            <Controller
              control={control}
              name="uncertaintyM"
              render={({ field, fieldState }) => (
                <NumberField
                  label="Within"
                  unit="m"
                  value={Number.isFinite(field.value) ? field.value : null}
                  onChange={(v) => field.onChange(v ?? NaN)}
                  fault={fieldState.error?.message}
                />
              )}
            />
          </View>
          <Words kind="small" soft>
            Coordinates are private: exports leave them out, or round them, unless you say otherwise.
          </Words>
          <Text name="weather" label="Weather" />
        </View>
      ) : (
        <Button mode="text" icon="plus" style={styles.left} onPress={() => setMore(true)}>
          Span of days, coordinates, weather
        </Button>
      )}
      <Controller
        control={control}
        name="wings"
        render={({ field }) => (
          <Choice label="Wings" options={WINGS} value={field.value} onChange={field.onChange} />
        )}
      />
      <Words kind="small" soft>
        Shed wings do not prove that she is mated; kept wings do not disprove it. Offspring do.
      </Words>
      <Controller
        control={control}
        name="queens"
        render={({ field, fieldState }) => (
          <View style={styles.row}>
            <NumberField
              label="Queens in this tube"
              value={Number.isFinite(field.value) ? field.value : null}
              onChange={(v) => field.onChange(v ?? NaN)}
              fault={fieldState.error?.message}
            />
          </View>
        )}
      />
      {queens > 1 ? (
        <Caution>
          <Words kind="small">
            One queen in a tube is the safe rule, even in kinds that found together: they may turn on each
            other later. If you keep them together, separate them at the first fight.
          </Words>
          <Button mode="outlined" style={styles.left} onPress={() => setValue('queens', 1)}>
            One queen after all
          </Button>
        </Caution>
      ) : null}
      {comesWithBrood(found) ? (
        <Sheet tight>
          <Words kind="heading" level={2}>
            What came with her?
          </Words>
          <Words kind="small" soft>
            Offspring are the only proof that she is mated. Leave open what you could not count.
          </Words>
          <Controller
            control={control}
            name="broodWithHer"
            render={({ field, fieldState }) => (
              <>
                <Choice label="Stage" options={STAGES} value={stage} onChange={(v) => setStage(v)} />
                <CountPad
                  key={stage}
                  stage={stage}
                  count={field.value[stage]}
                  unread={field.value.unread?.[stage]}
                  fault={fieldState.error?.message}
                  onChange={(c, text) =>
                    field.onChange({
                      ...field.value,
                      [stage]: c,
                      unread: { ...field.value.unread, [stage]: text },
                    })
                  }
                />
              </>
            )}
          />
        </Sheet>
      ) : null}
      <Caution>
        <Words kind="small">
          {isPurchase(found)
            ? 'Buying, importing and posting live ants is restricted in some places, and some kinds are held to be invasive. Ask your local authorities which rules and permits apply to you.'
            : 'Collecting ants is restricted in some places, and some species and sites are protected: is hers? Ask your local authorities which rules and permits apply to you.'}
        </Words>
        <Words kind="small">
          Some kinds sting or spray. Do not pick her up with bare fingers; whoever is allergic leaves her
          alone, and everyone knows the emergency number.
        </Words>
      </Caution>
    </>
  );
}

function Text({
  name,
  label,
  hint,
}: {
  name: Path<QueenForm> & ('label' | 'batch' | 'where' | 'weather');
  label: string;
  hint?: string;
}) {
  const { control } = useFormContext<QueenForm>();
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <TextField
          label={label}
          value={field.value}
          onChange={field.onChange}
          fault={fieldState.error?.message}
          {...(hint ? { hint } : {})}
        />
      )}
    />
  );
}

function Degrees({ name, label }: { name: 'lat' | 'lon'; label: string }) {
  const { control } = useFormContext<QueenForm>();
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <NumberField
          label={label}
          unit="°"
          value={field.value}
          onChange={field.onChange}
          fault={fieldState.error?.message}
        />
      )}
    />
  );
}

const styles = StyleSheet.create({
  left: { alignSelf: 'flex-start' },
  more: { gap: SPACE.m },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
