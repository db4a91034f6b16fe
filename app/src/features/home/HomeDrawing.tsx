import { standing, type Housing, type PartNow } from '@gentle-burrow/core/housing';
import { StyleSheet, View } from 'react-native';
import { TubeDrawing, wholeMm, type TubeDrawingProps } from '@/features/tube/TubeDrawing';

/** The other tube of her home when just two are tied mouth to mouth; null when there is none, or when there are more. */
export function tiedTo(housing: Housing): PartNow | null {
  const parts = standing(housing);
  const other = parts.find((p) => p.tube.id !== housing.home);
  return parts.length === 2 && other && parts.some((p) => p.joint !== null) ? other : null;
}

interface HomeDrawingProps extends Omit<TubeDrawingProps, 'view'> {
  other: PartNow;
  otherLineMm: number;
}

/** Two tubes as one home, mouth to mouth and to one scale: hers on the left, the other turned round. */
export function HomeDrawing({ other, otherLineMm, ...hers }: HomeDrawingProps) {
  const both = wholeMm(hers.tube) + wholeMm(other.tube);
  const mine = (hers.width * wholeMm(hers.tube)) / both;
  return (
    <View style={styles.home}>
      <TubeDrawing {...hers} width={mine} />
      <View style={styles.turned}>
        <TubeDrawing tube={other.tube} width={hers.width - mine} lineMm={otherLineMm} empty />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  home: { flexDirection: 'row', alignItems: 'flex-start' },
  turned: { transform: [{ scaleX: -1 }] },
});
