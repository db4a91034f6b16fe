import { G, Path } from 'react-native-svg';
import { ellipsePath, placed } from './paths';

interface AntPlace {
  /** Middle of the body, mm. */
  x: number;
  /** Head towards the closed end. */
  facesWater: boolean;
}

interface AntsProps {
  ants: readonly AntPlace[];
  /** The floor they stand on, mm. */
  floor: number;
  lengthMm: number;
  color: string;
  queen?: boolean;
  /** Nodes between thorax and gaster. */
  nodes?: 1 | 2;
  /** How she is built, by how much more or less than usual. */
  build?: Build;
  /** A rim in this colour, so that she stands out from what lies behind her. */
  halo?: string;
}

// One long: head to the right, feet at 0, y downwards.
const LIMBS =
  'M0.06 -0.15L-0.03 -0.24L-0.13 0M0.14 -0.14L0.15 -0.23L0.12 0M0.22 -0.15L0.31 -0.24L0.36 0' +
  'M0.44 -0.25L0.5 -0.35L0.6 -0.29M0.46 -0.24L0.54 -0.31L0.62 -0.23';

/** Heights of gaster and thorax, and size of the head, as shares of the usual ones. */
export interface Build {
  gaster: number;
  thorax: number;
  head: number;
}
const USUAL: Build = { gaster: 1, thorax: 1, head: 1 };

/** Gaster, waist, thorax, head. A queen has the large thorax that held her wings. */
const bodyParts = (queen: boolean, nodes: 1 | 2, build: Build) => [
  { x: -0.26, y: -0.2, rx: queen ? 0.24 : 0.18, ry: (queen ? 0.145 : 0.115) * build.gaster, turn: 6 },
  ...(nodes === 1
    ? [{ x: -0.01, y: -0.16, rx: 0.035, ry: 0.05, turn: 0 }]
    : [-0.03, 0.03].map((x) => ({ x, y: -0.16, rx: 0.03, ry: 0.045, turn: 0 }))),
  {
    x: 0.16,
    y: queen ? -0.22 : -0.19,
    rx: queen ? 0.17 : 0.14,
    ry: (queen ? 0.115 : 0.065) * build.thorax,
    turn: 0,
  },
  { x: 0.39, y: -0.2, rx: 0.105 * build.head, ry: 0.085 * build.head, turn: 14 },
];

/** Ants seen from the side, drawn to their length. */
export function Ants({
  ants,
  floor,
  lengthMm,
  color,
  queen = false,
  nodes = 1,
  build = USUAL,
  halo,
}: AntsProps) {
  const side = (a: AntPlace) => (a.facesWater ? -lengthMm : lengthMm);
  const limbs = ants.map((a) =>
    placed(LIMBS, { x: a.x, y: floor, turn: 0, scaleX: side(a), scaleY: lengthMm }),
  );
  const bodies = ants.flatMap((a) =>
    bodyParts(queen, nodes, build).map((b) =>
      ellipsePath(
        a.x + b.x * side(a),
        floor + b.y * lengthMm,
        b.rx * lengthMm,
        b.ry * lengthMm,
        a.facesWater ? -b.turn : b.turn,
      ),
    ),
  );
  return (
    <G>
      {halo ? (
        <Path
          d={bodies.join('')}
          fill={halo}
          stroke={halo}
          strokeWidth={0.1 * lengthMm}
          strokeLinejoin="round"
        />
      ) : null}
      <Path
        d={limbs.join('')}
        stroke={color}
        strokeWidth={0.028 * lengthMm}
        fill="none"
        strokeLinecap="round"
        strokeLinejoin="round"
      />
      <Path d={bodies.join('')} fill={color} />
    </G>
  );
}
