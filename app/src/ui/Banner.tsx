import { onlineManager } from '@tanstack/react-query';
import { useSyncExternalStore } from 'react';
import { StyleSheet, View } from 'react-native';
import { Icon } from 'react-native-paper';
import { EXAMPLE, showExample } from '@/data/example';
import { drop, useOutbox } from '@/data/outbox';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { Button } from './Button';
import { Words } from './Words';

const subscribe = (listener: () => void) => onlineManager.subscribe(listener);
const isOnline = () => onlineManager.isOnline();

/** Says when there is no connection and what waits for it; and when the server refused something. */
export function Banner() {
  const p = useBurrow();
  const online = useSyncExternalStore(subscribe, isOnline, isOnline);
  const items = useOutbox();
  const refused = items.filter((i) => i.refused !== undefined);
  const waiting = items.length - refused.length;
  if (online && refused.length === 0 && !EXAMPLE) return null;
  return (
    <View role="status" style={[styles.banner, { backgroundColor: p.amberWash, borderBottomColor: p.amber }]}>
      {EXAMPLE ? (
        <View style={styles.row}>
          <Words kind="small" style={styles.fill}>
            A made-up shelf to try things on. Nothing written here is kept.
          </Words>
          <Button compact mode="text" onPress={() => showExample(false)}>
            To my own
          </Button>
        </View>
      ) : null}
      {online ? null : (
        <View style={styles.row}>
          <Icon source="lan-disconnect" size={18} color={p.amber} />
          <Words kind="small" style={styles.fill}>
            {waiting === 0
              ? 'The server cannot be reached. You can go on: what you write is kept here and sent later.'
              : `The server cannot be reached. ${waiting === 1 ? '1 entry is' : `${waiting} entries are`} kept here and will be sent later.`}
          </Words>
        </View>
      )}
      {refused.map((i) => (
        <View key={i.id} style={styles.row}>
          <Words kind="small" style={styles.fill}>{`The server refused an entry: ${i.refused}`}</Words>
          <Button compact mode="text" onPress={() => void drop(i.id)}>
            Drop it
          </Button>
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  banner: { paddingHorizontal: SPACE.l, paddingVertical: SPACE.s, borderBottomWidth: 1, gap: SPACE.xs },
  row: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  fill: { flex: 1 },
});
