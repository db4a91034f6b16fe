import { Text, View } from 'react-native';

/** Nothing but a line of text, for the first paint to be held against. */
export default function Empty() {
  return (
    <View role="main">
      <Text>Nothing here.</Text>
    </View>
  );
}
