import { StyleSheet, View } from 'react-native';
import { usePreferences } from '@/theme/preferences';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { Button } from './Button';
import { inUnits } from './units';
import { Words } from './Words';

/** Words that stand still: nothing here moves while the work that is waited for needs the processor. */
export function Loading({ what }: { what: string }) {
  return (
    <View style={styles.state} role="status" aria-label={`Loading ${what}`}>
      <Words soft>{`Fetching ${what} …`}</Words>
    </View>
  );
}

export function Failed({ error, onRetry }: { error: Error; onRetry(): void }) {
  const p = useBurrow();
  const units = usePreferences();
  return (
    <View style={styles.state} role="alert">
      <Words kind="answer" color={p.clay}>
        This could not be shown.
      </Words>
      <Words>{`${inUnits(error.message, units)} What you have written is kept on this device.`}</Words>
      <Button mode="outlined" icon="refresh" onPress={onRetry}>
        Try again
      </Button>
    </View>
  );
}

const styles = StyleSheet.create({
  state: { gap: SPACE.m, paddingVertical: SPACE.xl, alignItems: 'flex-start' },
});
