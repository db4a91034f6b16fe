import { useEffect, useRef, type ReactNode } from 'react';
import { ScrollView, StyleSheet, useWindowDimensions, View, type Text } from 'react-native';
import { IconButton } from 'react-native-paper';
import { COLUMN, LOW, SIDE, SPACE, TARGET, WIDE } from '@/theme/tokens';
import { goBack } from './way';
import { Words } from './Words';

interface ScreenProps {
  /** The one question of this screen, in plain words. */
  question: string;
  /** The page above: where "back" leads when this one was opened by itself. No arrow when not given. */
  back?: string | undefined;
  /** Instead of leaving the page: one step back within it. */
  onBack?: (() => void) | undefined;
  /** Stands right of the question. */
  aside?: ReactNode;
  /** Stands under the question, above both columns. */
  head?: ReactNode;
  /** Stays in view beside the rest on a wide screen; on a phone it comes first. */
  side?: ReactNode;
  /** Takes the whole width, for what stands beside one another in it. */
  wide?: boolean;
  /** Stays at the bottom while the rest scrolls. */
  foot?: ReactNode;
  children: ReactNode;
}

/** Whether a page has two columns, by the width of the window. */
export const useIsWide = (): boolean => useWindowDimensions().width >= WIDE;

export function Screen({
  question,
  back,
  onBack,
  aside,
  head,
  side,
  wide = false,
  foot,
  children,
}: ScreenProps) {
  useEffect(() => {
    document.title = `${question} – Gentle Burrow`;
  }, [question]);
  // who comes by keyboard or listens starts at the question, not at the top of the window
  const heading = useRef<Text>(null);
  useEffect(() => {
    const element = heading.current as unknown as HTMLElement | null;
    element?.focus({ preventScroll: true });
  }, []);
  // on a low window what stands at the foot would leave no room to read in
  const low = useWindowDimensions().height < LOW;
  const two = useIsWide() && side !== undefined;
  const top = (
    <>
      <View style={styles.head}>
        {back === undefined && !onBack ? null : (
          <IconButton
            icon="arrow-left"
            accessibilityLabel="Back"
            size={24}
            style={styles.back}
            onPress={onBack ?? (() => goBack(back ?? '/'))}
          />
        )}
        <View style={styles.fill}>
          <Words kind="question" level={1} focusRef={heading}>
            {question}
          </Words>
        </View>
        {aside}
      </View>
      {head}
    </>
  );
  if (!two)
    return (
      <View role="main" style={styles.fill}>
        <ScrollView
          style={styles.fill}
          contentContainerStyle={[styles.content, wide ? null : styles.alone]}
          tabIndex={0}
          role="region"
          aria-label={question}
        >
          {top}
          {side}
          {children}
          {low ? foot : null}
        </ScrollView>
        {foot && !low ? <View style={styles.foot}>{foot}</View> : null}
      </View>
    );
  return (
    <View role="main" style={styles.fill}>
      <View style={styles.over}>{top}</View>
      <View style={[styles.fill, styles.columns]}>
        <View style={styles.side}>
          <ScrollView
            style={styles.fill}
            contentContainerStyle={styles.content}
            tabIndex={0}
            role="region"
            aria-label={`${question} What stays in view`}
          >
            {side}
          </ScrollView>
        </View>
        <ScrollView
          style={styles.fill}
          contentContainerStyle={[styles.content, styles.column]}
          tabIndex={0}
          role="region"
          aria-label={question}
        >
          {children}
        </ScrollView>
      </View>
      {foot ? <View style={[styles.foot, styles.footLeft]}>{foot}</View> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  fill: { flex: 1 },
  content: { padding: SPACE.l, paddingBottom: SPACE.xxl, gap: SPACE.l, width: '100%' },
  alone: { maxWidth: COLUMN, alignSelf: 'center' },
  column: { maxWidth: COLUMN },
  over: { paddingHorizontal: SPACE.l, paddingTop: SPACE.l, gap: SPACE.s },
  columns: { flexDirection: 'row' },
  side: { width: SIDE },
  head: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s, minHeight: TARGET },
  back: { margin: 0, marginLeft: -SPACE.s, width: TARGET, height: TARGET },
  foot: {
    paddingHorizontal: SPACE.l,
    paddingVertical: SPACE.s,
    width: '100%',
    maxWidth: COLUMN,
    alignSelf: 'center',
  },
  footLeft: { alignSelf: 'flex-start' },
});
