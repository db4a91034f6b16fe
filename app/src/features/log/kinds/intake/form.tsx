import { intakeSchema } from '@gentle-burrow/core/log';
import { FOUND_HOW, WINGS as WINGS_SEEN } from '@gentle-burrow/core/vocabulary';
import { StyleSheet, View } from 'react-native';
import { SPACE } from '@/theme/tokens';
import { Choice, optionsOf } from '@/ui/Choice';
import { Fault, NumberField, TextField } from '@/ui/fields';
import { FOUND_WORDS, WINGS_WORDS } from '@/words/log';
import type { FieldsProps, KindForm, Saying } from '../../kind-form';

/** All that was said when she was taken in; what has no field here stays as it was. */
type Draft = Partial<Saying<'intake'>> & { queens: number };

const FOUND = optionsOf(FOUND_HOW, FOUND_WORDS);
const WINGS = optionsOf(WINGS_SEEN, WINGS_WORDS);
const queensOf = intakeSchema.shape.queens;

function Fields({ draft, change }: FieldsProps<Draft>) {
  return (
    <View style={styles.form}>
      <Choice
        label="How found"
        options={FOUND}
        value={draft.found ?? null}
        onChange={(found) => change({ found })}
      />
      <TextField label="Where found" value={draft.where ?? ''} onChange={(where) => change({ where })} />
      <Choice
        label="Her wings"
        options={WINGS}
        value={draft.wings ?? 'unknown'}
        onChange={(wings) => change({ wings })}
      />
      <View style={styles.number}>
        <NumberField
          label="Queens in the tube"
          value={Number.isFinite(draft.queens) ? draft.queens : null}
          onChange={(n) => change({ queens: n ?? NaN })}
        />
      </View>
      <Fault>{queensOf.safeParse(draft.queens).error?.issues[0]?.message}</Fault>
      <TextField label="Weather" value={draft.weather ?? ''} onChange={(weather) => change({ weather })} />
    </View>
  );
}

/** An intake is only put right here: a queen is taken in on a page of its own. */
export const intake: KindForm<'intake', Draft> = {
  deed: 'Taken in',
  keep: 'Keep the correction',
  kept: () => 'Intake put right.',
  begin(_, body) {
    const { kind: _kind, at: _at, text: _text, ...said } = body ?? ({} as NonNullable<typeof body>);
    return { ...said, queens: said.queens ?? 1 };
  },
  finish({ queens, where, weather, earliest, ...rest }, _, at) {
    if (!rest.found || !rest.species || !queensOf.safeParse(queens).success) return null;
    return {
      ...(rest as Saying<'intake'>),
      ...(queens > 1 ? { queens } : {}),
      ...(where?.trim() ? { where: where.trim() } : {}),
      ...(weather?.trim() ? { weather: weather.trim() } : {}),
      // a span of days ends with the day itself
      ...(earliest && earliest < at ? { earliest } : {}),
    };
  },
  Fields,
};

const styles = StyleSheet.create({
  form: { gap: SPACE.m },
  number: { flexDirection: 'row', maxWidth: 200 },
});
