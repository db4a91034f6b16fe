import Svg from 'react-native-svg';
import type { BodyOf } from '@gentle-burrow/core/log';
import { Ants, type Build } from '@/features/tube/Ant';
import { useBurrow } from '@/theme/theme';

export type Shape = NonNullable<BodyOf<'sign'>['shape']>;

/** The queen that is drawn everywhere, heavier or slimmer. */
const BUILDS: Record<Shape, Build> = {
  'large-gaster': { gaster: 1.2, thorax: 1.2, head: 0.8 },
  between: { gaster: 0.95, thorax: 0.9, head: 1 },
  'slim-large-head': { gaster: 0.68, thorax: 0.6, head: 1.2 },
};

export const SHAPE_LABELS: Record<Shape, { label: string; hint: string }> = {
  'large-gaster': { label: 'Heavy', hint: 'big gaster and thorax, small head' },
  between: { label: 'Between', hint: 'neither of the two' },
  'slim-large-head': { label: 'Slim', hint: 'slim gaster, narrow thorax, large head' },
};

/** A queen from the side, by her proportions alone: no species, only shape. */
export function Silhouette({ shape, width }: { shape: Shape; width: number }) {
  const p = useBurrow();
  return (
    <Svg width={width} height={width * 0.42} viewBox="-0.58 -0.45 1.22 0.5" aria-hidden>
      <Ants
        ants={[{ x: 0, facesWater: false }]}
        floor={0}
        lengthMm={1}
        color={p.queen}
        queen
        build={BUILDS[shape]}
      />
    </Svg>
  );
}
