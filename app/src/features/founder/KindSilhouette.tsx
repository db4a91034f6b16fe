import type { KindCard } from '@gentle-burrow/core/species';
import { View } from 'react-native';
import Svg from 'react-native-svg';
import { Ants } from '@/features/tube/Ant';
import { useBurrow } from '@/theme/theme';

/** The paper that a queen is drawn on, in mm of a queen of `LARGEST_MM`. */
const WIDE = 22;
const TALL = 9;
const LARGEST_MM = 20;

/**
 * A queen of the kind, all from the same edge, with one node or two. Larger ones are drawn larger, though not in proportion:
 * beside the largest the smallest would be a dot.
 */
export function KindSilhouette({ kind, width = 56 }: { kind: KindCard; width?: number }) {
  const p = useBurrow();
  const { low, high } = kind.queenLengthMm.value;
  const length = LARGEST_MM * Math.sqrt(Math.min(1, (low + high) / 2 / LARGEST_MM));
  return (
    <View aria-hidden>
      <Svg width={width} height={(width * TALL) / WIDE} viewBox={`0 0 ${WIDE} ${TALL}`}>
        <Ants
          ants={[{ x: 0.55 * length, facesWater: false }]}
          floor={TALL - 0.4}
          lengthMm={length}
          color={p.queen}
          queen
          nodes={kind.waist.value === 'two nodes' ? 2 : 1}
        />
      </Svg>
    </View>
  );
}
