import { StyleSheet, View } from 'react-native';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { Button } from './Button';
import { Words } from './Words';

interface ReturnedProps {
  /** Something begun earlier stands in the form. */
  kept: boolean;
}

/** Says, above a form, that what stands in it was begun earlier and not saved. */
export function Returned({ kept }: ReturnedProps) {
  const p = useBurrow();
  return (
    <View role="status">
      {kept ? (
        <View style={[styles.line, { backgroundColor: p.mossWash }]}>
          <Words kind="small">You started this earlier. It is not saved yet.</Words>
        </View>
      ) : null}
    </View>
  );
}

interface DiscardProps extends ReturnedProps {
  /** Empties the form; it is offered back. */
  onDiscard(): void;
}

/** Throws away what was begun earlier. It stands behind the fields: whoever goes by Tab comes to them first. */
export function Discard({ kept, onDiscard }: DiscardProps) {
  if (!kept) return null;
  return (
    <Button compact mode="text" style={styles.left} onPress={onDiscard}>
      Discard draft
    </Button>
  );
}

const styles = StyleSheet.create({
  line: { padding: SPACE.m, borderRadius: 4 },
  left: { alignSelf: 'flex-start' },
});
