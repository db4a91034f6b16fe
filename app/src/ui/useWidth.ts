import { useState } from 'react';
import type { LayoutChangeEvent } from 'react-native';

/** The width that an element has been given, px; 0 before it is laid out. */
export function useWidth(): [number, (e: LayoutChangeEvent) => void] {
  const [width, setWidth] = useState(0);
  return [width, (e) => setWidth(Math.floor(e.nativeEvent.layout.width))];
}
