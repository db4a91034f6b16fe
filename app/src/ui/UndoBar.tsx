import { useEffect } from 'react';
import { StyleSheet, View } from 'react-native';
import { IconButton } from 'react-native-paper';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { Button } from './Button';
import { dismissUndo, undoLast, useUndoable } from './undo';
import { Words } from './Words';

const SHOWN_MS = 15_000;

/** Offers to take back what was just written. It stands under the page, never over its buttons. */
export function UndoBar() {
  const p = useBurrow();
  const offer = useUndoable();
  useEffect(() => {
    if (!offer) return;
    const timer = setTimeout(dismissUndo, SHOWN_MS);
    return () => clearTimeout(timer);
  }, [offer]);
  return (
    <View role="status">
      {offer ? (
        <View style={[styles.bar, { backgroundColor: p.mossWash, borderTopColor: p.rule }]}>
          <Words style={styles.says}>{offer.says}</Words>
          <Button compact mode="text" icon="undo" onPress={() => void undoLast()}>
            Undo
          </Button>
          <IconButton icon="close" size={20} accessibilityLabel="Close this message" onPress={dismissUndo} />
        </View>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  bar: { flexDirection: 'row', alignItems: 'center', paddingLeft: SPACE.l, borderTopWidth: 1 },
  says: { flex: 1 },
});
