import { SHAPES } from '@gentle-burrow/core/vocabulary';
import { Pressable, StyleSheet, View } from 'react-native';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { roving, tabStop } from '@/ui/roving';
import { Words } from '@/ui/Words';
import { Silhouette, SHAPE_LABELS, type Shape } from './Silhouette';

interface ShapeChoiceProps {
  value: Shape | null;
  onChange(value: Shape | null): void;
}

/** Her shape against three drawn ones; tapping the chosen one again takes it back. */
export function ShapeChoice({ value, onChange }: ShapeChoiceProps) {
  const p = useBurrow();
  return (
    <View role="radiogroup" aria-label="Her shape" style={styles.row} {...roving('radio')}>
      {SHAPES.map((shape, i) => {
        const chosen = shape === value;
        const { label, hint } = SHAPE_LABELS[shape];
        return (
          <Pressable
            key={shape}
            role="radio"
            tabIndex={tabStop(i, value === null ? -1 : SHAPES.indexOf(value))}
            aria-checked={chosen}
            aria-label={`${label}: ${hint}`}
            onPress={() => onChange(chosen ? null : shape)}
            style={[
              styles.shape,
              { borderColor: chosen ? p.moss : p.rule, backgroundColor: chosen ? p.mossWash : p.sheet },
              chosen && styles.chosen,
            ]}
          >
            <Silhouette shape={shape} width={84} />
            <Words kind={chosen ? 'smallBold' : 'small'}>{label}</Words>
            <Words kind="small" soft style={styles.center}>
              {hint}
            </Words>
          </Pressable>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: SPACE.s },
  shape: { flex: 1, alignItems: 'center', borderWidth: 1, borderRadius: 4, padding: SPACE.s, gap: 2 },
  chosen: { borderWidth: 2, padding: SPACE.s - 1 },
  center: { textAlign: 'center' },
});
