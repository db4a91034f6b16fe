import type { TubeHome } from '@gentle-burrow/core/facts';
import type { CountRange } from '@gentle-burrow/core/quantity';
import type { Milestone, KindLooks } from '@gentle-burrow/core/species';
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

/** The middle of what is known of a length, mm. */
export const middle = (span: { low: number; high: number } | undefined, otherwise: number): number =>
  span ? (span.low + span.high) / 2 : otherwise;

/** A queen as long as those of her kind, where she was seen, or where most sit. */
export function queenIn(
  a: Anatomy,
  seenMm: number | null | undefined,
  profile: Pick<KindLooks, 'queenLengthMm'> | undefined,
): { atMm: number; lengthMm: number } {
  const lengthMm = middle(profile?.queenLengthMm.value, 9);
  const atMm = seenMm ?? a.chamberStart + (a.innerEnd - a.chamberStart) * 0.74;
  return {
    lengthMm,
    atMm: Math.max(a.chamberStart + lengthMm / 2, Math.min(a.chamberEnd - lengthMm / 2, atMm)),
  };
}

/** Piles of brood lie along the floor, as shares of the room there is: eggs nearest the water. */
const PILE_AT: Record<Milestone, number> = { eggs: 0.13, larvae: 0.38, pupae: 0.64, workers: 0.9 };

/**
 * Where the piles lie, mm from the closed end: beside her, on the side where there is more room, so that neither hides the other.
 * @param queen where her middle is and how long she is, mm; null when she is not drawn
 */
export function pilesOf(
  { chamberStart, innerEnd }: Pick<Anatomy, 'chamberStart' | 'innerEnd'>,
  queen: { atMm: number; lengthMm: number } | null,
): Record<Milestone, number> {
  let [from, to] = [chamberStart, innerEnd];
  if (queen) {
    const [rear, front] = [queen.atMm - queen.lengthMm / 2, queen.atMm + queen.lengthMm / 2];
    if (rear < to && front > from) [from, to] = rear - from > to - front ? [from, rear] : [front, to];
  }
  const at = (stage: Milestone): number => from + Math.max(0, to - from) * PILE_AT[stage];
  return { eggs: at('eggs'), larvae: at('larvae'), pupae: at('pupae'), workers: at('workers') };
}

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
