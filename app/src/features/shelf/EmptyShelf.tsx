import { StyleSheet, View } from 'react-native';
import { showExample } from '@/data/example';
import { SAMPLE_TUBE } from '@/features/intake/tubes';
import { TubeDrawing } from '@/features/tube/TubeDrawing';
import { SPACE } from '@/theme/tokens';
import { Button } from '@/ui/Button';
import { useWidth } from '@/ui/useWidth';
import { Words } from '@/ui/Words';
import { go } from '@/ui/way';
import { NAMES } from '@/words/names';

const LINES = [
  '1. Take in each queen: how you found her, her tube, where she stands.',
  '2. Log a short look now and then, on the drawing of her tube.',
  '3. Read here every day who needs you, what comes when, and who is best left alone.',
];

/** Before the first queen: what this is for, in three lines and a drawing, and a shelf to try it on. */
export function EmptyShelf() {
  const [width, onLayout] = useWidth();
  return (
    <View style={styles.empty} onLayout={onLayout}>
      <Words kind="answer">Nothing yet. No queen stands on this shelf.</Words>
      <TubeDrawing tube={SAMPLE_TUBE} width={width} lineMm={SAMPLE_TUBE.waterLineMm} empty scaleBar />
      <View role="list" style={styles.lines}>
        {LINES.map((line) => (
          <View role="listitem" key={line}>
            <Words>{line}</Words>
          </View>
        ))}
      </View>
      <View style={styles.ways}>
        <Button mode="contained" icon="plus" onPress={() => go('/queens/new')}>
          {NAMES.takeIn}
        </Button>
        <Button mode="outlined" icon="eye-outline" onPress={() => showExample(true)}>
          Try a made-up shelf
        </Button>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  empty: { gap: SPACE.l },
  lines: { gap: SPACE.s },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
