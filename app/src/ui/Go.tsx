import type { ReactNode } from 'react';
import {
  Pressable,
  type GestureResponderEvent,
  type PressableProps,
  type StyleProp,
  type ViewStyle,
} from 'react-native';
import { go } from './way';

interface GoProps extends Omit<PressableProps, 'onPress' | 'style' | 'children'> {
  to: string;
  /** Instead of going there when it is pressed plainly. */
  onGo?: (() => void) | undefined;
  style?: StyleProp<ViewStyle>;
  children: ReactNode;
}

/** A press that the browser answers itself: in a new tab or window, or by saving it. */
const isForBrowser = ({ nativeEvent }: GestureResponderEvent): boolean => {
  const e = nativeEvent as unknown as MouseEvent;
  return e.ctrlKey || e.metaKey || e.shiftKey || (e.button ?? 0) > 0;
};

/** A long press that is answered here must not open the browser's own sheet about the link. */
const NO_CALLOUT = { WebkitTouchCallout: 'none', userSelect: 'none' } as object;

/** A place to go to: a real link, which can be opened in a new tab and copied. */
export function Go({ to, onGo, style, children, ...rest }: GoProps) {
  const link = { href: to } as object;
  return (
    <Pressable
      role="link"
      {...link}
      {...rest}
      style={[style, rest.onLongPress ? NO_CALLOUT : null]}
      onPress={(e) => {
        if (isForBrowser(e)) return;
        e.preventDefault();
        if (onGo) onGo();
        else go(to);
      }}
    >
      {children}
    </Pressable>
  );
}
