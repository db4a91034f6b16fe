import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';

/** A part of a screen under a rule, like a section of a notebook page. */
export function Sheet({ children, tight = false }: { children: ReactNode; tight?: boolean }) {
  const p = useBurrow();
  return <View style={[styles.sheet, tight && styles.tight, { borderTopColor: p.rule }]}>{children}</View>;
}

/** The usual caution, at the step where it counts. */
export function Caution({ children }: { children: ReactNode }) {
  const p = useBurrow();
  return (
    <View role="note" style={[styles.caution, { borderLeftColor: p.amber, backgroundColor: p.amberWash }]}>
      {children}
    </View>
  );
}

const styles = StyleSheet.create({
  sheet: { gap: SPACE.m, paddingTop: SPACE.l, borderTopWidth: 1 },
  tight: { gap: SPACE.s, paddingTop: SPACE.m },
  caution: { borderLeftWidth: 4, padding: SPACE.m, gap: SPACE.xs },
});
