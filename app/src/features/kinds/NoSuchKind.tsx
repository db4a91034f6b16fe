import { StyleSheet } from 'react-native';
import { Button } from '@/ui/Button';
import { Screen } from '@/ui/Screen';
import { go } from '@/ui/way';
import { Words } from '@/ui/Words';

/** An address of a kind that nobody knows. */
export function NoSuchKind() {
  return (
    <Screen question="There is no such kind" back="/kinds">
      <Words>
        The address may be mistyped, or it is a profile of another keeper: read it in from a file.
      </Words>
      <Button mode="contained" icon="magnify" style={styles.left} onPress={() => go('/kinds')}>
        To the kinds
      </Button>
    </Screen>
  );
}

const styles = StyleSheet.create({ left: { alignSelf: 'flex-start' } });
