import { provenanceText, STAGES, type Provenance, type SpeciesProfile } from '@gentle-burrow/core/species';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { usePreferences } from '@/theme/preferences';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { Sheet } from '@/ui/Sheet';
import { lengthText, tempText } from '@/ui/units';
import { Words } from '@/ui/Words';

const STAGE_WORDS = { laying: 'Until she lays', egg: 'Egg', larva: 'Larva', pupa: 'Pupa' } as const;

/** Every figure that is used for her, and where it comes from. */
export function SaysWho({ profile }: { profile: SpeciesProfile }) {
  const [open, setOpen] = useState(false);
  const { temperature, length } = usePreferences();
  const temp = (c: number) => tempText(c, temperature);
  const size = (mm: number) => lengthText(mm, length);
  const between = (s: { low: number; high: number }, f: (n: number) => string) =>
    `${f(s.low)} to ${f(s.high)}`;
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
          <Row
            name="Founder type"
            value={profile.founder.value.replace('-', ' ')}
            source={profile.founder.source}
          />
          <Row
            name="Best warmth"
            value={between(profile.bestTempC.value, temp)}
            source={profile.bestTempC.source}
          />
          <Row
            name="Queen's length"
            value={between(profile.queenLengthMm.value, size)}
            source={profile.queenLengthMm.source}
          />
          <Row
            name="Worker's length"
            value={between(profile.workerLengthMm.value, size)}
            source={profile.workerLengthMm.source}
          />
          <Row
            name="Bore that suits"
            value={between(profile.boreMm.value, size)}
            source={profile.boreMm.source}
          />
          <Row name="Pupae" value={profile.pupae.value} source={profile.pupae.source} />
          <Row
            name="First batch"
            value={`${between(profile.firstBatch.value, String)} workers`}
            source={profile.firstBatch.source}
          />
          {STAGES.map((s) => {
            const w = profile.stages[s];
            return (
              <Row
                key={s}
                name={STAGE_WORDS[s]}
                value={`${Math.round(w.degreeDays)} degree-days above ${temp(w.thresholdC)}, best at ${temp(w.optimumC)}, none at ${temp(w.upperC)}; spread ×÷ ${Math.exp(w.logSpread).toFixed(2)}`}
                source={w.source}
              />
            );
          })}
        </View>
      ) : null}
    </Sheet>
  );
}

function Row({ name, value, source }: { name: string; value: string; source: Provenance }) {
  return (
    <View style={styles.row}>
      <Words kind="smallBold">{`${name}: ${value}`}</Words>
      <Words kind="small" soft>
        {provenanceText(source)}
      </Words>
    </View>
  );
}

const styles = StyleSheet.create({
  button: { alignSelf: 'flex-start' },
  list: { gap: SPACE.s },
  row: { gap: 0 },
});
