import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';

/** The buttons that save a form: they stay at the lower edge of what is seen while the fields above them scroll. */
export function SaveBar({ children }: { children: ReactNode }) {
  const p = useBurrow();
  return <View style={[styles.bar, STICKS, { backgroundColor: p.ground }]}>{children}</View>;
}

const STICKS = { position: 'sticky', bottom: 0, zIndex: 1 } as object;

const styles = StyleSheet.create({
  bar: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s, paddingVertical: SPACE.s },
});
