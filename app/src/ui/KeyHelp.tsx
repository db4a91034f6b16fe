import { StyleSheet, View } from 'react-native';
import { Button, Dialog, Portal } from 'react-native-paper';
import { SPACE } from '@/theme/tokens';
import { KEYS } from './keys';
import { Words } from './Words';

export function KeyHelp({ visible, onDismiss }: { visible: boolean; onDismiss(): void }) {
  return (
    <Portal>
      <Dialog visible={visible} onDismiss={onDismiss} style={styles.dialog}>
        <Dialog.Content>
          <View role="dialog" aria-label="Keys" style={styles.list}>
            <Words kind="heading" level={2}>
              Keys
            </Words>
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
          </View>
        </Dialog.Content>
        <Dialog.Actions>
          <Button onPress={onDismiss}>Close</Button>
        </Dialog.Actions>
      </Dialog>
    </Portal>
  );
}

const styles = StyleSheet.create({
  dialog: { maxWidth: 480, width: '92%', alignSelf: 'center' },
  list: { gap: SPACE.s },
  row: { flexDirection: 'row', gap: SPACE.m },
  key: { width: 84 },
  does: { flex: 1 },
});
