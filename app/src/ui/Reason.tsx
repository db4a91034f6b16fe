import type { Criterion } from '@gentle-burrow/core/care';
import type { Entry } from '@gentle-burrow/core/log';
import { counted } from '@gentle-burrow/core/words';
import { StyleSheet, View } from 'react-native';
import { Icon } from 'react-native-paper';
import { usePreferences, type Preferences } from '@/theme/preferences';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { dayText } from './dates';
import { phraseText } from './Said';
import { tempDiffText } from './units';
import { KIND_NOUNS } from '@/words/kinds';
import { Told } from './Told';
import { Words } from './Words';

const STATES = {
  met: { icon: 'check-circle-outline', word: 'met' },
  unmet: { icon: 'close-circle-outline', word: 'not met' },
  unknown: { icon: 'help-circle-outline', word: 'not known' },
} as const;

/** One reason of an answer: met or not, by how much, from which entries, and who says that it matters. */
export function Reason({ criterion, entries }: { criterion: Criterion; entries: readonly Entry[] }) {
  const p = useBurrow();
  const units = usePreferences();
  const state = STATES[criterion.state];
  const color = { met: p.moss, unmet: p.amber, unknown: p.inkSoft }[criterion.state];
  const evidence = criterion.evidence.flatMap((id) => {
    const e = entries.find((x) => x.id === id);
    return e ? [`${KIND_NOUNS[e.kind]} of ${dayText(e.at)}`] : [];
  });
  return (
    <View style={styles.reason}>
      <View role="img" aria-label={state.word}>
        <Icon source={state.icon} size={20} color={color} />
      </View>
      <View style={styles.reasonWords}>
        <Told>{phraseText(criterion.says, units)}</Told>
        <Words kind="small" soft>
          {[
            marginText(criterion, units.temperature),
            evidence.length > 0 ? `from the ${evidence.join(' and the ')}` : null,
            criterion.source,
          ]
            .filter(Boolean)
            .join(' · ')}
        </Words>
        {criterion.state === 'unknown' && criterion.settles ? (
          <Words kind="small">{`Would settle it: ${criterion.settles}`}</Words>
        ) : null}
      </View>
    </View>
  );
}

function marginText({ margin, state }: Criterion, unit: Preferences['temperature']): string | null {
  if (!margin || state === 'unknown') return null;
  const size = Math.abs(margin.value);
  const side = margin.value >= 0 ? 'to spare' : 'short';
  if (margin.unit === 'days')
    return `${size < 1 ? 'less than a day' : counted(Math.round(size), 'day')} ${side}`;
  if (margin.unit === '°C') return `${tempDiffText(size, unit)} ${side}`;
  if (margin.unit === 'workers') return `${counted(Math.round(size), 'worker')} ${side}`;
  return null;
}

const styles = StyleSheet.create({
  reason: { flexDirection: 'row', gap: SPACE.s },
  reasonWords: { flex: 1, gap: 2 },
});
