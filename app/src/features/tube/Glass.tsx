import type { TubeHome } from '@gentle-burrow/core/facts';
import { G, Line, Path, Rect } from 'react-native-svg';
import type { Palette } from '@/theme/tokens';
import { jitter, type Anatomy } from './anatomy';

/** Outline from the mouth round the closed end and back; `grow` moves it outwards. */
function outline(tube: TubeHome, radius: number, grow: number): string {
  const L = tube.lengthMm;
  const r = tube.boreMm / 2;
  return tube.end === 'round'
    ? `M${L} ${-radius} H${r} A${radius} ${radius} 0 0 0 ${r} ${radius} H${L}`
    : `M${L} ${-radius} H${-grow} V${radius} H${L}`;
}

export function Glass({ tube, a, palette }: { tube: TubeHome; a: Anatomy; palette: Palette }) {
  const wall = a.R - a.r;
  return (
    <G>
      <Path d={`${outline(tube, a.R, wall)} Z`} fill={palette.glassFill} />
      <Path d={outline(tube, a.R, wall)} fill="none" stroke={palette.glass} strokeWidth={0.5} />
      <Path d={outline(tube, a.r, 0)} fill="none" stroke={palette.glass} strokeWidth={0.25} opacity={0.7} />
      <Path
        d={`M${tube.lengthMm} ${-a.R - 0.6}V${-a.r}M${tube.lengthMm} ${a.r}V${a.R + 0.6}`}
        stroke={palette.glass}
        strokeWidth={1.1}
      />
      <Line
        x1={a.r}
        y1={-a.r * 0.62}
        x2={tube.lengthMm - 4}
        y2={-a.r * 0.62}
        stroke={palette.glass}
        strokeWidth={0.35}
        opacity={0.35}
      />
    </G>
  );
}

/** Once so little is left, the film along the floor breaks off, mm (prior). */
const FILM_ENDS_MM = 6;

/**
 * Between the line and the plug of a lying tube the water goes on as a film along the floor and stands up at the cotton, until the
 * tube is nearly empty: what looks like a gap is damp, and the plug drinks.
 */
function Film({ from, to, r, palette }: { from: number; to: number; r: number; palette: Palette }) {
  const deep = r * 0.22;
  const foot = Math.min(r * 0.9, (to - from) / 2);
  return (
    <G>
      <Rect x={from} y={-r} width={to - from} height={2 * r} fill={palette.water} opacity={0.28} />
      <Path
        d={`M${from} ${r} H${to} V${-r * 0.1} Q${to - foot * 0.25} ${r - deep} ${to - foot} ${r - deep} H${from + foot} Q${from + foot * 0.3} ${r - deep} ${from} ${r * 0.2} Z`}
        fill={palette.water}
      />
    </G>
  );
}

/** Water from the closed end to its line, and on to the plug as a film. */
export function Water({
  tube,
  a,
  lineMm,
  plugMm,
  palette,
}: {
  tube: TubeHome;
  a: Anatomy;
  lineMm: number;
  /** Where the plug begins that it wets. */
  plugMm: number;
  palette: Palette;
}) {
  if (lineMm <= 0) return null;
  const { r } = a;
  const half = tube.end === 'round' && lineMm < r ? Math.sqrt(r * r - (r - lineMm) ** 2) : r;
  const body =
    tube.end === 'flat'
      ? `M${lineMm} ${-r} H0 V${r} H${lineMm} Z`
      : lineMm < r
        ? `M${lineMm} ${-half} A${r} ${r} 0 0 0 ${lineMm} ${half} Z`
        : `M${lineMm} ${-r} H${r} A${r} ${r} 0 0 0 ${r} ${r} H${lineMm} Z`;
  return (
    <G>
      {lineMm > FILM_ENDS_MM && plugMm - lineMm > 1 ? (
        <Film from={lineMm} to={plugMm} r={r} palette={palette} />
      ) : null}
      <Path d={body} fill={palette.water} />
      <Path
        d={`M${lineMm} ${-half} Q${lineMm - 1.2} 0 ${lineMm} ${half}`}
        fill="none"
        stroke={palette.waterDeep}
        strokeWidth={0.6}
      />
    </G>
  );
}

interface CottonProps {
  from: number;
  to: number;
  r: number;
  /** Share of the plug that is wet, from its water side; 0..1. */
  wet: number;
  palette: Palette;
}

/** A plug of cotton: soft ends, fibres, and the dark front of what has soaked in. */
export function Cotton({ from, to, r, wet, palette }: CottonProps) {
  const length = to - from;
  const front = from + length * wet;
  const bulge = Math.min(1.4, length * 0.12);
  const shape = (end: number) =>
    `M${from} ${-r} Q${from - bulge * 0.6} 0 ${from} ${r} L${end - bulge} ${r} Q${end + bulge} 0 ${end - bulge} ${-r} Z`;
  const fibres = Array.from({ length: Math.round(length * 1.1) }, (_, k) => {
    const x = from + 0.6 + Math.max(0, length - 4.4) * (jitter(k) + 0.5);
    const y = jitter(k + 57) * 2 * (r - 0.8);
    return `M${x} ${y} q${1.2 + jitter(k + 3)} ${jitter(k + 11) * 2} ${2.2} ${jitter(k + 23) * 1.6}`;
  }).join(' ');
  return (
    <G>
      <Path d={shape(to)} fill={palette.cotton} stroke={palette.cottonLine} strokeWidth={0.25} />
      {wet > 0 ? <Path d={shape(Math.max(from + bulge, front))} fill={palette.cottonWet} /> : null}
      <Path d={fibres} stroke={palette.cottonLine} strokeWidth={0.28} fill="none" strokeLinecap="round" />
    </G>
  );
}

/** A puddle in the chamber, when the plug lets water through. */
export function Puddle({ from, to, r, palette }: { from: number; to: number; r: number; palette: Palette }) {
  return (
    <Rect x={from} y={r * 0.72} width={(to - from) * 0.4} height={r * 0.28} rx={0.6} fill={palette.water} />
  );
}
