import { Pressable, StyleSheet, View } from 'react-native';
import { Icon } from 'react-native-paper';
import { useBurrow } from '@/theme/theme';
import { SPACE, TARGET } from '@/theme/tokens';
import { Words } from './Words';

/** One of a list, ticked or not: the whole line is the target. */
export function Tick({ label, on, onPress }: { label: string; on: boolean; onPress(): void }) {
  const p = useBurrow();
  return (
    <Pressable role="checkbox" aria-checked={on} aria-label={label} onPress={onPress} style={styles.line}>
      <Icon
        source={on ? 'checkbox-marked' : 'checkbox-blank-outline'}
        size={24}
        color={on ? p.moss : p.inkSoft}
      />
      <View style={styles.words}>
        <Words>{label}</Words>
      </View>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s, minHeight: TARGET },
  words: { flexShrink: 1 },
});
