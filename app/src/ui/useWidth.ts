import { useState } from 'react';
import { useWindowDimensions, type LayoutChangeEvent } from 'react-native';
import { COLUMN, SIDE, SPACE, WIDE } from '@/theme/tokens';

/**
 * The width that an element has been given, px. Before it is laid out it is guessed from the window, so that drawings
 * are there with the first picture; on a phone the guess is right.
 */
export function useWidth(): [number, (e: LayoutChangeEvent) => void] {
  const window = useWindowDimensions().width;
  const [width, setWidth] = useState<number | null>(null);
  const pane = window >= WIDE ? SIDE : Math.min(window, COLUMN);
  return [width ?? pane - 2 * SPACE.l, (e) => setWidth(Math.floor(e.nativeEvent.layout.width))];
}
