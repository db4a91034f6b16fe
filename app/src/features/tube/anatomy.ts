import type { TubeHome } from '@gentle-burrow/core/facts';
import type { CountRange } from '@gentle-burrow/core/quantity';
import type { Milestone } from '@gentle-burrow/core/species';
import { countText } from '@gentle-burrow/core/light';
import type { Preferences } from '@/theme/preferences';
import { lengthText, sizeText } from '@/ui/units';

/** Where things are in a tube, mm from the closed end. */
export interface Anatomy {
  plugStart: number;
  chamberStart: number;
  chamberEnd: number;
  /** Where the room ends in which her brood lies: at a wall, or with the chamber. */
  innerEnd: number;
  /** Inner radius. */
  r: number;
  /** Outer radius. */
  R: number;
}

/** Half of a wall and the end of its straw, mm. */
const WALL_ROOM_MM = 4;

export function anatomyOf(tube: TubeHome): Anatomy {
  const plugStart = tube.waterLineMm;
  return {
    plugStart,
    chamberStart: plugStart + tube.plugs.innerMm,
    chamberEnd: tube.lengthMm - tube.plugs.outerMm,
    innerEnd: tube.divider ? tube.divider.atMm - WALL_ROOM_MM : tube.lengthMm - tube.plugs.outerMm,
    r: tube.boreMm / 2,
    R: tube.outsideMm / 2,
  };
}

export type Counts = Partial<Record<Milestone, CountRange | null>>;

/** How many to draw: the middle of the range, a handful for "some", never a crowd. */
export function drawnNumber(count: CountRange | null | undefined): number {
  if (!count) return 0;
  const high = count.high ?? Math.max(count.low, 6);
  return Math.min(40, Math.round((count.low + high) / 2));
}

/** The drawing in words, for those who listen. */
export function tubeInWords(
  tube: TubeHome,
  lineMm: number,
  counts: Counts,
  {
    sleeve,
    queenAtMm,
    unit = 'mm',
  }: {
    sleeve?: string | undefined;
    queenAtMm?: number | null | undefined;
    unit?: Preferences['length'];
  } = {},
): string {
  const a = anatomyOf(tube);
  const brood = (['eggs', 'larvae', 'pupae', 'workers'] as const)
    .flatMap((m) => (counts[m] ? [`${m} ${countText(counts[m])}`] : []))
    .join(', ');
  return [
    `Tube ${sizeText(tube.outsideMm, tube.lengthMm, unit).replace('×', 'by')} ${unit}`,
    `water to ${lengthText(Math.round(lineMm), unit)}`,
    `chamber ${lengthText(Math.round(a.chamberEnd - a.chamberStart), unit)}`,
    ...(tube.divider ? [`divided at ${lengthText(tube.divider.atMm, unit)}`] : []),
    ...(sleeve ? [`in its sleeve: ${sleeve}`] : []),
    ...(!sleeve && queenAtMm != null ? [`queen at ${lengthText(Math.round(queenAtMm), unit)}`] : []),
    ...(!sleeve && brood ? [brood] : []),
  ].join('; ');
}

/** Piles of brood lie along the floor of the chamber: eggs nearest the water. */
export const PILE_AT: Record<Milestone, number> = { eggs: 0.2, larvae: 0.38, pupae: 0.58, workers: 0.84 };

/**
 * Places n things of a size as a mound on the floor, in rows that grow shorter upwards.
 * @returns centres, mm, relative to the middle of the mound's base; y upwards
 */
export function mound(n: number, width: number, height: number): { x: number; y: number; turn: number }[] {
  const places: { x: number; y: number; turn: number }[] = [];
  let base = Math.max(1, Math.ceil((Math.sqrt(8 * n + 1) - 1) / 2));
  base = Math.min(base + 1, n);
  for (let row = 0, left = n; left > 0; row++) {
    const inRow = Math.min(left, Math.max(1, base - row));
    for (let i = 0; i < inRow; i++) {
      const k = places.length;
      places.push({
        x: (i - (inRow - 1) / 2) * width * 0.92 + jitter(k) * width * 0.18,
        y: height / 2 + row * height * 0.78,
        turn: jitter(k + 31) * 40,
      });
    }
    left -= inRow;
  }
  return places;
}

/** A fixed scatter between −0.5 and 0.5, the same at every drawing. */
export function jitter(k: number): number {
  const x = Math.sin(k * 12.9898 + 4.1414) * 43758.5453;
  return x - Math.floor(x) - 0.5;
}
