import { router } from 'expo-router';
import { useEffect, useRef, type ReactNode } from 'react';
import { ScrollView, StyleSheet, View, type Text } from 'react-native';
import { IconButton } from 'react-native-paper';
import { SPACE, TARGET } from '@/theme/tokens';
import { Words } from './Words';

interface ScreenProps {
  /** The one question of this screen, in plain words. */
  question: string;
  /** Where "back" leads; no arrow when not given. */
  back?: string | undefined;
  /** Stands beside the main page, and leaves the window's title and landmark to it. */
  beside?: boolean;
  /** Stands right of the question. */
  aside?: ReactNode;
  /** Stays at the bottom while the rest scrolls. */
  foot?: ReactNode;
  children: ReactNode;
}

export function Screen({ question, back, beside = false, aside, foot, children }: ScreenProps) {
  useEffect(() => {
    if (!beside) document.title = `${question} – Gentle Burrow`;
  }, [question, beside]);
  // who comes by keyboard or listens starts at the question, not at the top of the window
  const heading = useRef<Text>(null);
  useEffect(() => {
    const element = heading.current as unknown as HTMLElement | null;
    if (!beside) element?.focus({ preventScroll: true });
  }, [beside]);
  return (
    <View {...(beside ? {} : { role: 'main' as const })} style={styles.fill}>
      <ScrollView
        style={styles.fill}
        contentContainerStyle={styles.content}
        tabIndex={0}
        role="region"
        aria-label={question}
      >
        <View style={styles.head}>
          {back === undefined ? null : (
            <IconButton
              icon="arrow-left"
              accessibilityLabel="Back"
              size={24}
              style={styles.back}
              onPress={() => router.navigate(back as never)}
            />
          )}
          <View style={styles.fill}>
            <Words kind="question" level={1} focusRef={heading}>
              {question}
            </Words>
          </View>
          {aside}
        </View>
        {children}
      </ScrollView>
      {foot ? <View style={styles.foot}>{foot}</View> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  fill: { flex: 1 },
  content: {
    padding: SPACE.l,
    paddingBottom: SPACE.xxl * 2,
    gap: SPACE.l,
    width: '100%',
    maxWidth: 760,
    alignSelf: 'center',
  },
  head: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s, minHeight: TARGET },
  back: { margin: 0, marginLeft: -SPACE.s, width: TARGET, height: TARGET },
  foot: {
    paddingHorizontal: SPACE.l,
    paddingVertical: SPACE.m,
    width: '100%',
    maxWidth: 760,
    alignSelf: 'center',
  },
});
