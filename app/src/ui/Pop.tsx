import type { ReactNode } from 'react';
import { Modal, Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { IconButton } from 'react-native-paper';
import { useBurrow } from '@/theme/theme';
import { SPACE, TARGET } from '@/theme/tokens';
import { Words } from './Words';

interface PopProps {
  title: string;
  onClose(): void;
  children: ReactNode;
}

/** A sheet over the page, from below where the thumb is. It takes the focus, keeps it, and gives it back; Escape closes it. */
export function Pop({ title, onClose, children }: PopProps) {
  const p = useBurrow();
  return (
    <Modal visible transparent onRequestClose={onClose} aria-label={title}>
      <View style={styles.over}>
        <Pressable
          aria-hidden
          tabIndex={-1}
          onPress={onClose}
          style={[styles.veil, { backgroundColor: p.ink }]}
        />
        <View style={[styles.sheet, { backgroundColor: p.ground, borderColor: p.rule }]}>
          <View style={styles.head}>
            <View style={styles.fill}>
              <Words kind="answer" level={2}>
                {title}
              </Words>
            </View>
            <IconButton icon="close" accessibilityLabel="Close" style={styles.close} onPress={onClose} />
          </View>
          <ScrollView contentContainerStyle={styles.content}>{children}</ScrollView>
        </View>
      </View>
    </Modal>
  );
}

const styles = StyleSheet.create({
  over: { flex: 1, justifyContent: 'flex-end', alignItems: 'center' },
  veil: { position: 'absolute', top: 0, left: 0, right: 0, bottom: 0, opacity: 0.4 },
  sheet: {
    width: '100%',
    maxWidth: 640,
    maxHeight: '88%',
    borderWidth: 1,
    borderTopLeftRadius: 14,
    borderTopRightRadius: 14,
    paddingTop: SPACE.m,
  },
  head: { flexDirection: 'row', alignItems: 'center', paddingHorizontal: SPACE.l },
  fill: { flex: 1 },
  close: { margin: 0, width: TARGET, height: TARGET },
  content: { padding: SPACE.l, gap: SPACE.m },
});
