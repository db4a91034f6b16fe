import { StyleSheet, type StyleProp, type ViewStyle } from 'react-native';
import { Button as PaperButton, type ButtonProps as PaperButtonProps } from 'react-native-paper';

type ButtonProps = Omit<PaperButtonProps, 'style' | 'theme'> & { style?: StyleProp<ViewStyle> };

/** A button whose words go on in a second line where there is too little room, instead of being cut. */
export function Button({ style, labelStyle, ...rest }: ButtonProps) {
  return (
    <PaperButton {...rest} style={[styles.button, style]} labelStyle={[styles.label, WRAPS, labelStyle]} />
  );
}

const WRAPS = { whiteSpace: 'normal', overflow: 'visible' } as object;

const styles = StyleSheet.create({
  button: { maxWidth: '100%' },
  label: { flexShrink: 1, textAlign: 'center' },
});
