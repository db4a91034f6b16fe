import { useState, type ReactNode } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Icon } from 'react-native-paper';
import { useBurrow } from '@/theme/theme';
import { SPACE, TARGET } from '@/theme/tokens';
import { Words } from './Words';

interface FoldProps {
  title: string;
  /** Open at first, where there is room for it. */
  begin?: boolean;
  children: ReactNode;
}

/** A part of a page that is opened when it is wanted. */
export function Fold({ title, begin = false, children }: FoldProps) {
  const p = useBurrow();
  const [open, setOpen] = useState(begin);
  return (
    <View style={[styles.fold, { borderTopColor: p.rule }]}>
      <Pressable role="button" aria-expanded={open} onPress={() => setOpen(!open)} style={styles.head}>
        <Icon source={open ? 'chevron-up' : 'chevron-down'} size={22} color={p.moss} />
        <Words kind="heading" color={p.moss}>
          {title}
        </Words>
      </Pressable>
      {open ? <View style={styles.body}>{children}</View> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  // the head is as tall as a finger by itself: room above it would be added to every fold of a page
  fold: { borderTopWidth: 1, gap: SPACE.s },
  head: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s, minHeight: TARGET },
  body: { gap: SPACE.m },
});
