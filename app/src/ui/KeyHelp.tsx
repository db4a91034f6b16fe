import { StyleSheet, View } from 'react-native';
import { SPACE } from '@/theme/tokens';
import { KEYS } from './keys';
import { Pop } from './Pop';
import { Words } from './Words';

/** Every key with what it does. */
export function KeyHelp({ onClose }: { onClose(): void }) {
  return (
    <Pop title="Keys" onClose={onClose}>
      {KEYS.map((k) => (
        <View key={k.keys} style={styles.row}>
          <View style={styles.key}>
            <Words kind="bold">{k.keys}</Words>
          </View>
          <View style={styles.does}>
            <Words>{k.does}</Words>
          </View>
        </View>
      ))}
    </Pop>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: SPACE.m },
  key: { width: 84 },
  does: { flex: 1 },
});
