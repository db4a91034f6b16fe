import { provenanceText, STAGES, type KindFigure, type SpeciesProfile } from '@gentle-burrow/core/species';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { usePreferences } from '@/theme/preferences';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { Sheet } from '@/ui/Sheet';
import { fineText, lengthText, tempText } from '@/ui/units';
import { Words } from '@/ui/Words';
import {
  CASTE_WORDS,
  DEFENCE_WORDS,
  DIET_WORDS,
  FOUNDER_WORDS,
  LEVEL_WORDS,
  monthsText,
  QUEENS_WORDS,
  winterWords,
} from '@/words/kind';

const STAGE_WORDS = { laying: 'Until she lays', egg: 'Egg', larva: 'Larva', pupa: 'Pupa' } as const;

/** Every figure that is used for her, and where it comes from. */
export function SaysWho({ profile }: { profile: SpeciesProfile }) {
  const [open, setOpen] = useState(false);
  const { temperature, length } = usePreferences();
  const temp = (c: number) => tempText(c, temperature);
  const size = (mm: number) => lengthText(mm, length);
  const fine = (mm: number) => fineText(mm, length);
  const between = (s: { low: number; high: number }, f: (n: number) => string) =>
    `${f(s.low)} to ${f(s.high)}`;
  const rows: [string, string, Sourced][] = [
    ['Founder type', FOUNDER_WORDS[profile.founder.value], profile.founder],
    ['Best warmth', between(profile.bestTempC.value, temp), profile.bestTempC],
    ["Queen's length", between(profile.queenLengthMm.value, size), profile.queenLengthMm],
    ["Worker's length", between(profile.workerLengthMm.value, size), profile.workerLengthMm],
    ["Worker's head", between(profile.workerHeadMm.value, fine), profile.workerHeadMm],
    ['Bore that suits', between(profile.boreMm.value, size), profile.boreMm],
    ['Pupae', profile.pupae.value, profile.pupae],
    ['First batch', `${between(profile.firstBatch.value, String)} workers`, profile.firstBatch],
    ['Winters', winterWords(profile), profile.winters],
    ['Flies', monthsText(profile.flightMonths.value), profile.flightMonths],
    ['Queens', QUEENS_WORDS[profile.queens.value], profile.queens],
    ['Workers', CASTE_WORDS[profile.castes.value], profile.castes],
    ['Eats', DIET_WORDS[profile.diet.value], profile.diet],
    ['Climbs glass', profile.climbsGlass.value ? 'yes' : 'no', profile.climbsGlass],
    ['Defends herself', DEFENCE_WORDS[profile.defence.value], profile.defence],
    ['Temper', profile.temper.value, profile.temper],
  ];
  return (
    <Sheet tight>
      <Button
        mode="text"
        icon={open ? 'chevron-up' : 'chevron-down'}
        onPress={() => setOpen(!open)}
        style={styles.button}
      >
        Says who? The figures used for her
      </Button>
      {open ? (
        <View style={styles.list}>
          {rows.map(([name, value, figure]) => (
            <Row key={name} name={name} value={value} figure={figure} />
          ))}
          {STAGES.map((s) => {
            const w = profile.stages[s];
            return (
              <Row
                key={s}
                name={STAGE_WORDS[s]}
                value={`${Math.round(w.degreeDays)} degree-days above ${temp(w.thresholdC)}, best at ${temp(w.optimumC)}, none at ${temp(w.upperC)}; spread ×÷ ${Math.exp(w.logSpread).toFixed(2)}`}
                figure={w}
              />
            );
          })}
        </View>
      ) : null}
    </Sheet>
  );
}

type Sourced = Pick<KindFigure<unknown>, 'source' | 'level'>;

function Row({ name, value, figure: { source, level } }: { name: string; value: string; figure: Sourced }) {
  return (
    <View style={styles.row}>
      <Words kind="smallBold">{`${name}: ${value}`}</Words>
      <Words kind="small" soft>
        {`${LEVEL_WORDS[level]}${provenanceText(source)}`}
      </Words>
    </View>
  );
}

const styles = StyleSheet.create({
  button: { alignSelf: 'flex-start' },
  list: { gap: SPACE.s },
  row: { gap: 0 },
});
