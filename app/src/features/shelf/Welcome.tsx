import { useShelf } from '@/data/queries';
import { KEYS } from '@/ui/keys';
import { Screen } from '@/ui/Screen';
import { StyleSheet, View } from 'react-native';
import { SPACE } from '@/theme/tokens';
import { Words } from '@/ui/Words';
import { EmptyShelf } from './EmptyShelf';
import { answer } from './ShelfPane';

/** The right pane of a wide screen while no queen is chosen. */
export function Welcome() {
  const rows = useShelf().data;
  return (
    <Screen question="Which tube?">
      {rows && rows.length === 0 ? <EmptyShelf /> : null}
      {rows && rows.length > 0 ? <Words kind="answer">{answer(rows)}</Words> : null}
      <View style={styles.keys}>
        {KEYS.map((k) => (
          <View key={k.keys} style={styles.row}>
            <View style={styles.key}>
              <Words kind="bold">{k.keys}</Words>
            </View>
            <Words soft>{k.does}</Words>
          </View>
        ))}
      </View>
    </Screen>
  );
}

const styles = StyleSheet.create({
  keys: { gap: SPACE.xs },
  row: { flexDirection: 'row', gap: SPACE.m },
  key: { width: 90 },
});
