import { StyleSheet } from 'react-native';
import { Button } from '@/ui/Button';
import { Screen } from '@/ui/Screen';
import { go } from '@/ui/way';
import { Words } from '@/ui/Words';
import { NAMES } from '@/words/names';

/** An address of a queen whom nobody knows. */
export function NoSuchQueen() {
  return (
    <Screen question="There is no such queen" back="/shelf">
      <Words>
        The address may be mistyped, or it comes from another burrow. All who live here stand on the shelf.
      </Words>
      <Button mode="contained" icon="test-tube" style={styles.left} onPress={() => go('/shelf')}>
        {NAMES.toShelf}
      </Button>
    </Screen>
  );
}

const styles = StyleSheet.create({ left: { alignSelf: 'flex-start' } });
