import type { FounderType } from '@gentle-burrow/core';
import { Controller, useFormContext } from 'react-hook-form';
import { Pressable, StyleSheet, View } from 'react-native';
import { RadioButton } from 'react-native-paper';
import { useSpecies } from '@/data/queries';
import { useBurrow } from '@/theme/theme';
import { SPACE, TARGET } from '@/theme/tokens';
import { Choice } from '@/ui/Choice';
import { Fault, TextField } from '@/ui/fields';
import { Loading } from '@/ui/states';
import { Caution } from '@/ui/Sheet';
import { Words } from '@/ui/Words';
import type { QueenForm } from './queen-form';

const SURE = [
  { value: 'certain', label: 'Certain' },
  { value: 'likely', label: 'Likely' },
  { value: 'guess', label: 'A guess' },
] as const;
const WINGS = [
  { value: 'dealate', label: 'Shed' },
  { value: 'winged', label: 'Kept' },
  { value: 'unknown', label: 'Not noted' },
] as const;
const FOUNDER_WORDS: Record<FounderType, string> = {
  'fully-claustral': 'founds without food',
  'semi-claustral': 'must eat while founding',
  'socially-parasitic': 'needs a host colony',
  unknown: 'founding type not known',
};

/** Step 2: species, how sure, wings. */
export function StepSpecies() {
  const p = useBurrow();
  const species = useSpecies();
  const { control, watch } = useFormContext<QueenForm>();
  const chosen = species.find((s) => s.id === watch('profileId'));
  if (species.length === 0) return <Loading what="the species" />;
  const ordered = [...species].sort(
    (a, b) => Number(a.id.startsWith('unknown')) - Number(b.id.startsWith('unknown')),
  );
  return (
    <>
      <Controller
        control={control}
        name="profileId"
        render={({ field, fieldState }) => (
          <View role="radiogroup" aria-label="Species">
            {ordered.map((s) => (
              <Pressable
                key={s.id}
                role="radio"
                aria-checked={field.value === s.id}
                aria-label={`${s.name}, ${s.plainName}`}
                onPress={() => field.onChange(s.id)}
                style={[styles.species, { borderBottomColor: p.rule }]}
              >
                <View aria-hidden>
                  <RadioButton.Android
                    value={s.id}
                    status={field.value === s.id ? 'checked' : 'unchecked'}
                    disabled={false}
                  />
                </View>
                <View style={styles.fill}>
                  <Words kind="latin">{s.name}</Words>
                  <Words kind="small" soft>
                    {`${s.plainName} · ${FOUNDER_WORDS[s.founder.value]}`}
                  </Words>
                </View>
              </Pressable>
            ))}
            <Fault>{fieldState.error?.message}</Fault>
          </View>
        )}
      />
      {chosen?.founder.value === 'semi-claustral' ? (
        <Caution>
          <Words kind="small">
            She must eat while raising her first brood: give her a small foraging space from the start, and
            small offers every two to four days.
          </Words>
        </Caution>
      ) : null}
      {chosen?.cautions.map((c) => (
        <Caution key={c}>
          <Words kind="small">{c}</Words>
        </Caution>
      ))}
      <Controller
        control={control}
        name="sure"
        render={({ field }) => (
          <Choice label="How sure is the name" options={SURE} value={field.value} onChange={field.onChange} />
        )}
      />
      <Controller
        control={control}
        name="namedBy"
        render={({ field, fieldState }) => (
          <TextField
            label="Who named her"
            value={field.value}
            onChange={field.onChange}
            fault={fieldState.error?.message}
          />
        )}
      />
      <Controller
        control={control}
        name="wings"
        render={({ field }) => (
          <Choice label="Wings" options={WINGS} value={field.value} onChange={field.onChange} />
        )}
      />
      <Words kind="small" soft>
        Shed wings do not prove that she is mated; kept wings do not disprove it.
      </Words>
    </>
  );
}

const styles = StyleSheet.create({
  species: {
    flexDirection: 'row',
    alignItems: 'center',
    minHeight: TARGET + 10,
    borderBottomWidth: 1,
    gap: SPACE.s,
  },
  fill: { flex: 1 },
});
