import type { KindCard } from '@gentle-burrow/core/species';
import { View } from 'react-native';
import Svg from 'react-native-svg';
import { Ants } from '@/features/tube/Ant';
import { useBurrow } from '@/theme/theme';

/** The largest queens fill the width: so many mm. */
const WIDEST_MM = 22;
const TALL_MM = 9;

/** A queen of the kind in her size beside the others, all from the same edge; with one node or two. */
export function KindSilhouette({ kind, width = 56 }: { kind: KindCard; width?: number }) {
  const p = useBurrow();
  const { low, high } = kind.queenLengthMm.value;
  const lengthMm = Math.min(WIDEST_MM * 0.9, (low + high) / 2);
  return (
    <View aria-hidden>
      <Svg width={width} height={(width * TALL_MM) / WIDEST_MM} viewBox={`0 0 ${WIDEST_MM} ${TALL_MM}`}>
        <Ants
          ants={[{ x: 0.55 * lengthMm, facesWater: false }]}
          floor={TALL_MM - 0.4}
          lengthMm={lengthMm}
          color={p.queen}
          queen
          nodes={kind.waist.value === 'two nodes' ? 2 : 1}
        />
      </Svg>
    </View>
  );
}
