import { Text } from 'react-native';

/** In tests: the icon's name as hidden text, with no font to load. */
export default function Icon({ name }: { name: string }) {
  return <Text aria-hidden>{name}</Text>;
}
Icon.font = {};
