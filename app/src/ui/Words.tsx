import type { ReactNode, Ref } from 'react';
import { StyleSheet, Text, type StyleProp, type TextStyle } from 'react-native';
import { useBurrow } from '@/theme/theme';
import { FONTS } from '@/theme/tokens';

const KINDS = StyleSheet.create({
  question: { fontFamily: FONTS.serif, fontVariant: ['lining-nums'], fontSize: 28, lineHeight: 34 },
  answer: { fontFamily: FONTS.serif, fontVariant: ['lining-nums'], fontSize: 21, lineHeight: 28 },
  heading: { fontFamily: FONTS.serifBold, fontVariant: ['lining-nums'], fontSize: 18, lineHeight: 24 },
  latin: { fontFamily: FONTS.serifItalic, fontVariant: ['lining-nums'], fontSize: 16, lineHeight: 22 },
  body: { fontFamily: FONTS.sans, fontSize: 16, lineHeight: 23 },
  bold: { fontFamily: FONTS.sansBold, fontSize: 16, lineHeight: 23 },
  small: { fontFamily: FONTS.sans, fontSize: 14, lineHeight: 20 },
  smallBold: { fontFamily: FONTS.sansBold, fontSize: 14, lineHeight: 20 },
  tiny: { fontFamily: FONTS.sans, fontSize: 12, lineHeight: 16 },
  tinyBold: { fontFamily: FONTS.sansBold, fontSize: 12, lineHeight: 16 },
});

/** A heading that is focused to be read out is no control. */
const NO_OUTLINE = { outlineStyle: 'none' } as object;

export interface WordsProps {
  kind?: keyof typeof KINDS;
  /** Makes it a heading of this level for those who listen. */
  level?: 1 | 2 | 3;
  soft?: boolean;
  /** Lets the text be focused from code, though not by Tab. */
  focusRef?: Ref<Text>;
  color?: string;
  style?: StyleProp<TextStyle>;
  children: ReactNode;
}

/** All text of the application: one of a few kinds. */
export function Words({ kind = 'body', level, soft = false, focusRef, color, style, children }: WordsProps) {
  const p = useBurrow();
  return (
    <Text
      {...(level ? { role: 'heading', 'aria-level': level } : {})}
      {...(focusRef ? { ref: focusRef, tabIndex: -1 as const } : {})}
      style={[
        KINDS[kind],
        focusRef ? NO_OUTLINE : null,
        { color: color ?? (soft ? p.inkSoft : p.ink) },
        style,
      ]}
    >
      {children}
    </Text>
  );
}
