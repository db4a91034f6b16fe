import Svg, { Path } from 'react-native-svg';
import type { BodyOf } from '@gentle-burrow/core/log';
import { ellipsePath } from '@/features/tube/paths';
import { useBurrow } from '@/theme/theme';

export type Shape = NonNullable<BodyOf<'sign'>['shape']>;

/** Half axes in body lengths: gaster, thorax, head. */
const SHAPES: Record<Shape, { gaster: [number, number]; thorax: [number, number]; head: [number, number] }> =
  {
    'large-gaster': { gaster: [0.25, 0.17], thorax: [0.18, 0.14], head: [0.085, 0.075] },
    between: { gaster: [0.22, 0.135], thorax: [0.16, 0.1], head: [0.1, 0.085] },
    'slim-large-head': { gaster: [0.2, 0.095], thorax: [0.15, 0.068], head: [0.125, 0.105] },
  };

export const SHAPE_LABELS: Record<Shape, { label: string; hint: string }> = {
  'large-gaster': { label: 'Heavy', hint: 'big gaster and thorax, small head' },
  between: { label: 'Between', hint: 'neither of the two' },
  'slim-large-head': { label: 'Slim', hint: 'slim gaster, narrow thorax, large head' },
};

/** A queen from the side, by her proportions alone: no species, only shape. */
export function Silhouette({ shape, width }: { shape: Shape; width: number }) {
  const p = useBurrow();
  const { gaster, thorax, head } = SHAPES[shape];
  const body = [
    ellipsePath(-0.27, 0, gaster[0], gaster[1], 6),
    ellipsePath(-0.015, 0.03, 0.035, 0.045, 0),
    ellipsePath(0.16, -0.02, thorax[0], thorax[1], 0),
    ellipsePath(0.4, 0.02, head[0], head[1], 12),
  ].join('');
  const limbs =
    'M0.06 0.05L-0.04 -0.02L-0.14 0.25M0.15 0.06L0.16 0L0.12 0.25M0.23 0.05L0.32 -0.03L0.38 0.25' +
    'M0.45 -0.05L0.51 -0.16L0.6 -0.1';
  return (
    <Svg width={width} height={width * 0.42} viewBox="-0.56 -0.2 1.18 0.48" aria-hidden>
      <Path
        d={limbs}
        stroke={p.queen}
        strokeWidth={0.022}
        fill="none"
        strokeLinecap="round"
        strokeLinejoin="round"
      />
      <Path d={body} fill={p.queen} />
    </Svg>
  );
}
