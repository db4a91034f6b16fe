import { G, Path } from 'react-native-svg';
import type { Palette } from '@/theme/tokens';
import { mound } from './anatomy';
import { ellipsePath, placed } from './paths';

interface PileProps {
  n: number;
  /** Middle of the pile, mm; it keeps within the room where one is given. */
  x: number;
  room?: { from: number; to: number };
  floor: number;
  /** A worker's length: brood is drawn in proportion to her, to scale. */
  workerMm: number;
  palette: Palette;
}

/** A mound about x, moved as a whole so that nothing of it lies in the walls. */
function heap({ n, x, room }: Pick<PileProps, 'n' | 'x' | 'room'>, wide: number, tall: number, long: number) {
  const places = mound(n, wide, tall);
  const half = Math.max(0, ...places.map((p) => Math.abs(p.x))) + long / 2;
  const at = room ? Math.max(room.from + half, Math.min(room.to - half, x)) : x;
  return places.map((p) => ({ ...p, x: at + p.x }));
}

export function Eggs({ floor, workerMm, palette, ...pile }: PileProps) {
  const long = workerMm * 0.17;
  const wide = long * 0.6;
  const eggs = heap(pile, long * 1.05, wide * 1.15, long).map((e) =>
    ellipsePath(e.x, floor - e.y, long / 2, wide / 2, e.turn),
  );
  return <Path d={eggs.join('')} fill={palette.brood} stroke={palette.broodLine} strokeWidth={0.08} />;
}

/** Comma-shaped, the head end thin; one long. */
const LARVA =
  'M-0.5 0.18C-0.55 -0.2 -0.1 -0.34 0.22 -0.22C0.42 -0.15 0.5 0.02 0.46 0.14C0.3 0.02 0.18 0.02 0.06 0.14' +
  'C-0.1 0.32 -0.44 0.36 -0.5 0.18Z';

export function Larvae({ floor, workerMm, palette, ...pile }: PileProps) {
  const s = workerMm * 0.5;
  const larvae = heap(pile, s * 0.8, s * 0.5, s).map((l) =>
    placed(LARVA, { x: l.x, y: floor - l.y, turn: l.turn, scaleX: s, scaleY: s }),
  );
  return <Path d={larvae.join('')} fill={palette.brood} stroke={palette.broodLine} strokeWidth={0.05 * s} />;
}

/** The folds of a naked pupa, one long and one wide. */
const FOLDS = 'M-0.1 -0.45C-0.04 -0.2 -0.04 0.2 -0.1 0.45M0.2 -0.4C0.25 -0.2 0.25 0.2 0.2 0.4';

/** Ovals in cocoons, with a dark spot at one end; naked ones show the folded ant. */
export function Pupae({ floor, workerMm, palette, cocoons, ...pile }: PileProps & { cocoons: boolean }) {
  const long = workerMm * 0.85;
  const wide = long * 0.42;
  const all = heap(pile, long * 0.95, wide, long).map((u) => ({ x: u.x, y: floor - u.y, turn: u.turn / 3 }));
  const ovals = all.map((u) => ellipsePath(u.x, u.y, long / 2, wide / 2, u.turn)).join('');
  const marks = all.map((u) => {
    const end = (u.turn * Math.PI) / 180;
    return cocoons
      ? ellipsePath(
          u.x - 0.45 * long * Math.cos(end),
          u.y - 0.45 * long * Math.sin(end),
          long * 0.04,
          wide * 0.1,
          u.turn,
        )
      : placed(FOLDS, { ...u, scaleX: long, scaleY: wide });
  });
  return (
    <G>
      <Path
        d={ovals}
        fill={cocoons ? palette.cocoon : palette.brood}
        stroke={palette.broodLine}
        strokeWidth={0.1}
      />
      <Path
        d={marks.join('')}
        fill={cocoons ? palette.broodLine : 'none'}
        stroke={palette.broodLine}
        strokeWidth={0.08}
      />
    </G>
  );
}
