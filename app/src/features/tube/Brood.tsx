import { Ellipse, G, Path } from 'react-native-svg';
import type { Palette } from '@/theme/tokens';
import { mound } from './anatomy';

interface PileProps {
  n: number;
  /** Middle of the pile, mm. */
  x: number;
  floor: number;
  /** A worker's length: brood is drawn in proportion to her, to scale. */
  workerMm: number;
  palette: Palette;
}

export function Eggs({ n, x, floor, workerMm, palette }: PileProps) {
  const long = workerMm * 0.17;
  const wide = long * 0.6;
  return (
    <G>
      {mound(n, long * 1.05, wide * 1.15).map((e, i) => (
        <Ellipse
          key={i}
          cx={x + e.x}
          cy={floor - e.y}
          rx={long / 2}
          ry={wide / 2}
          transform={`rotate(${e.turn} ${x + e.x} ${floor - e.y})`}
          fill={palette.brood}
          stroke={palette.broodLine}
          strokeWidth={0.08}
        />
      ))}
    </G>
  );
}

/** Comma-shaped, the head end thin. */
export function Larvae({ n, x, floor, workerMm, palette }: PileProps) {
  const s = workerMm * 0.5;
  return (
    <G>
      {mound(n, s * 0.8, s * 0.5).map((l, i) => (
        <Path
          key={i}
          d="M-0.5 0.18 C-0.55 -0.2 -0.1 -0.34 0.22 -0.22 C0.42 -0.15 0.5 0.02 0.46 0.14 C0.3 0.02 0.18 0.02 0.06 0.14 C-0.1 0.32 -0.44 0.36 -0.5 0.18 Z"
          transform={`translate(${x + l.x} ${floor - l.y}) rotate(${l.turn}) scale(${s})`}
          fill={palette.brood}
          stroke={palette.broodLine}
          strokeWidth={0.05}
        />
      ))}
    </G>
  );
}

/** Ovals in cocoons; naked ones show the folded ant. */
export function Pupae({ n, x, floor, workerMm, palette, cocoons }: PileProps & { cocoons: boolean }) {
  const long = workerMm * 0.85;
  const wide = long * 0.42;
  return (
    <G>
      {mound(n, long * 0.95, wide).map((u, i) => (
        <G key={i} transform={`translate(${x + u.x} ${floor - u.y}) rotate(${u.turn / 3})`}>
          <Ellipse
            rx={long / 2}
            ry={wide / 2}
            fill={cocoons ? palette.cocoon : palette.brood}
            stroke={palette.broodLine}
            strokeWidth={0.1}
          />
          {cocoons ? (
            <Ellipse cx={-long * 0.46} rx={long * 0.05} ry={wide * 0.12} fill={palette.broodLine} />
          ) : (
            <Path
              d={`M${-long * 0.1} ${-wide * 0.45} q${long * 0.06} ${wide * 0.45} 0 ${wide * 0.9} M${long * 0.2} ${-wide * 0.4} q${long * 0.05} ${wide * 0.4} 0 ${wide * 0.8}`}
              stroke={palette.broodLine}
              strokeWidth={0.1}
              fill="none"
            />
          )}
        </G>
      ))}
    </G>
  );
}
