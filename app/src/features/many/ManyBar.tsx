import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { IconButton } from 'react-native-paper';
import { SPACE, TARGET } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { useIsWide } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { MANY_WORDS, queensText } from '@/words/many';
import { kindIcon } from '@/features/log/kind-views';
import { MANY_KINDS, type ManyKind } from './many-kinds';

/** What is done with those who are ticked. */
export type ManyDeed = ManyKind | 'correct' | 'labels';

/** In the order of how often they are wanted (prior). */
const DEEDS: readonly ManyDeed[] = [
  'move',
  'feed',
  'look',
  'winter',
  'correct',
  ...MANY_KINDS.filter((k) => k !== 'move' && k !== 'feed' && k !== 'look' && k !== 'winter'),
  'labels',
];
/** So many stand on a phone before the rest is folded: with all of them the bar would hide the queens. */
const FIRST = 5;
const iconOf = (deed: ManyDeed): string => (deed === 'labels' ? 'printer-outline' : kindIcon(deed));

interface ManyBarProps {
  n: number;
  /** All that are shown are ticked. */
  full: boolean;
  onAll(): void;
  onDeed(deed: ManyDeed): void;
  onEnd(): void;
}

/** How many are ticked, and what can be done with them, at the foot of the shelf. */
export function ManyBar({ n, full, onAll, onDeed, onEnd }: ManyBarProps) {
  const wide = useIsWide();
  const [more, setMore] = useState(false);
  const deeds = wide || more ? DEEDS : DEEDS.slice(0, FIRST);
  return (
    <View style={styles.bar}>
      <View style={styles.head}>
        <View role="status" style={styles.fill}>
          <Words kind="bold">
            {n === 0 ? 'Tick the queens. Hold one to tick all up to it.' : `${queensText(n)} selected`}
          </Words>
        </View>
        <Button compact mode="text" onPress={onAll}>
          {full ? 'None' : 'All'}
        </Button>
        <IconButton icon="close" accessibilityLabel="Stop selecting" style={styles.icon} onPress={onEnd} />
      </View>
      {n > 0 ? (
        <View role="group" aria-label="With those selected" style={styles.deeds}>
          {deeds.map((deed) => (
            <Button key={deed} compact mode="outlined" icon={iconOf(deed)} onPress={() => onDeed(deed)}>
              {MANY_WORDS[deed]}
            </Button>
          ))}
          {deeds.length < DEEDS.length ? (
            <Button compact mode="text" onPress={() => setMore(true)}>
              More
            </Button>
          ) : null}
        </View>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  bar: { gap: SPACE.xs },
  head: { flexDirection: 'row', alignItems: 'center' },
  fill: { flex: 1 },
  icon: { margin: 0, width: TARGET, height: TARGET },
  deeds: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.xs },
});
