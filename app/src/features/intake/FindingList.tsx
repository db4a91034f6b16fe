import { FINDING_ADVICE } from '@gentle-burrow/core/care';
import type { BodyOf } from '@gentle-burrow/core/log';
import { FINDINGS } from '@gentle-burrow/core/vocabulary';
import { StyleSheet, View } from 'react-native';
import { SPACE } from '@/theme/tokens';
import { Tick } from '@/ui/Tick';
import { Words } from '@/ui/Words';

type Findings = BodyOf<'health'>['findings'];

/** What was found on her, each with what to do for it. */
export function FindingList({ findings, onChange }: { findings: Findings; onChange(next: Findings): void }) {
  return (
    <View style={styles.list}>
      {FINDINGS.map((id) => {
        const advice = FINDING_ADVICE.find((a) => a.id === id);
        const on = findings.includes(id);
        return (
          <View key={id}>
            <Tick
              label={advice?.name ?? id}
              on={on}
              onPress={() => onChange(on ? findings.filter((f) => f !== id) : [...findings, id])}
            />
            {on ? (
              <View style={styles.advice}>
                <Words kind="small">{advice?.doNow}</Words>
              </View>
            ) : null}
          </View>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.s },
  advice: { paddingLeft: SPACE.xxl },
});
