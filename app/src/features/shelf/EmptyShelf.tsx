import { StyleSheet, View } from 'react-native';
import { SAMPLE_TUBE } from '@/features/intake/tubes';
import { TubeDrawing } from '@/features/tube/TubeDrawing';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { useWidth } from '@/ui/useWidth';
import { Words } from '@/ui/Words';
import { go } from '@/ui/way';

/** Before the first queen. */
export function EmptyShelf() {
  const [width, onLayout] = useWidth();
  return (
    <View style={styles.empty} onLayout={onLayout}>
      <Words kind="answer">Nothing yet. No queen stands on this shelf.</Words>
      <TubeDrawing tube={SAMPLE_TUBE} width={width} lineMm={SAMPLE_TUBE.waterLineMm} empty scaleBar />
      <Words>
        Take in your first queen: how you found her, her tube, where she stands. Then log what you see now and
        then, and read here when to look, when workers are likely, and how long to leave her alone.
      </Words>
      <Button mode="contained" icon="plus" onPress={() => go('/queens/new')}>
        Take in a queen
      </Button>
    </View>
  );
}

const styles = StyleSheet.create({ empty: { gap: SPACE.l } });
