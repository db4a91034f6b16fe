import { Pressable, StyleSheet, View } from 'react-native';
import { Icon } from 'react-native-paper';
import { useBurrow } from '@/theme/theme';
import { SPACE, TARGET } from '@/theme/tokens';
import { Words } from './Words';

interface TickProps {
  label: string;
  /** For those who listen, where the label alone does not say what it is of. */
  name?: string;
  /** More about it, below. */
  says?: string | undefined;
  on: boolean;
  onPress(): void;
}

/** One of a list, ticked or not: the whole line is the target. */
export function Tick({ label, name = label, says, on, onPress }: TickProps) {
  const p = useBurrow();
  return (
    <Pressable
      role="checkbox"
      aria-checked={on}
      aria-label={says ? `${name}. ${says}` : name}
      onPress={onPress}
      style={styles.line}
    >
      <Icon
        source={on ? 'checkbox-marked' : 'checkbox-blank-outline'}
        size={24}
        color={on ? p.moss : p.inkSoft}
      />
      <View style={styles.words}>
        <Words>{label}</Words>
        {says ? (
          <Words kind="small" soft>
            {says}
          </Words>
        ) : null}
      </View>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s, minHeight: TARGET, maxWidth: '100%' },
  words: { flexShrink: 1 },
});
