import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { Button } from './Button';
import { Words } from './Words';

interface ReturnedProps {
  /** Something begun earlier stands in the form. */
  kept: boolean;
  /** Empties the form. */
  onDiscard(): void;
}

/** Says that what stands here was begun earlier and not kept, and lets it be thrown away. */
export function Returned({ kept, onDiscard }: ReturnedProps) {
  const p = useBurrow();
  const [gone, setGone] = useState(false);
  if (!kept || gone) return null;
  return (
    <View role="status" style={[styles.line, { backgroundColor: p.mossWash }]}>
      <Words kind="small" style={styles.fill}>
        What you began earlier is here again. It is not written down yet.
      </Words>
      <Button
        compact
        mode="text"
        onPress={() => {
          onDiscard();
          setGone(true);
        }}
      >
        Discard it
      </Button>
    </View>
  );
}

const styles = StyleSheet.create({
  line: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    paddingHorizontal: SPACE.m,
    borderRadius: 4,
  },
  fill: { flexGrow: 1, flexShrink: 1, flexBasis: 160 },
});
