import { daysBetween, InputError, within, type Band, type Instant } from '../quantity';
import type { Span } from '../species';
import { dropsOf, floodReserveMl, safeStepC } from './flood';
import { chamberLengthMm, tubeVolumeMl, waterLineForMl, type Plugs, type TubeShape } from './geometry';
import { reservoirBand } from './reservoir';
import { freePath } from './water';

export interface FillSchool {
  id: 'half' | 'two-thirds' | 'three-quarters';
  name: string;
  share: number;
  /** Its own reason, quoted; what is reckoned may say otherwise. */
  because: string;
  /** What it holds of its water: that it lasts longest. */
  holdsLongest: boolean;
}

/** How much of a tube is water (common practice, no source). */
export const FILL_SCHOOLS: readonly FillSchool[] = [
  {
    id: 'half',
    name: 'Half',
    share: 1 / 2,
    because: 'less water leaves her room to grow',
    holdsLongest: false,
  },
  { id: 'two-thirds', name: 'Two thirds', share: 2 / 3, because: 'a little of both', holdsLongest: false },
  {
    id: 'three-quarters',
    name: 'Three quarters',
    share: 3 / 4,
    because: 'more water lasts longer, and leaves a tighter chamber, which queens like',
    holdsLongest: true,
  },
];

export interface FillConditions {
  plugs: Plugs;
  tempC: number;
  /** 0..1 */
  roomRelHumidity: number;
  queenLengthMm: Span;
  /** Room kept for a divider and a feeding room in front, mm; 0 when she is not fed in the tube. */
  dividerMm?: number;
  /** Air shut in behind the plug, ml; 0 when not given. */
  bubbleMl?: number;
}

/** What one fill of a tube comes to. */
export interface Fill {
  lineMm: number;
  waterMl: number;
  chamberMm: number;
  /** Chamber in body lengths, for the longest and the shortest queen of her kind. */
  bodies: Span;
  /** Her cell behind a divider, mm; the whole chamber without one. */
  cellMm: number;
  /** How far the vapour has to go, as mm of still air. */
  pathMm: number;
  /** Days of water; Infinity when it would last for more than ten years. */
  days: Band;
  floodReserveMl: number;
  floodReserveDrops: number;
  /** The largest step of warming that stays within the reserve, °C. */
  safeStepC: number;
  fit: 'cramped' | 'snug' | 'roomy' | 'wide';
}

/** A cell of two body lengths is the least she turns round in; beyond eight it is a hall. Priors, after practice. */
const CRAMPED_BODIES = 2;
const SNUG_BODIES = 5;
const WIDE_BODIES = 8;

/**
 * What a share of water comes to in this tube.
 * @param share 0..1 of the tube's inner length, or of its volume
 * @throws InputError when water and plugs leave no chamber
 */
export function fillOf(
  tube: TubeShape,
  share: number,
  by: 'length' | 'volume',
  conditions: FillConditions,
  now: Instant,
): Fill {
  within(share, 'share', 'The share of water', { min: 0.05, max: 0.95, unit: 'of the tube' });
  const lineMm =
    by === 'length' ? tube.lengthMm * share : waterLineForMl(tube, tubeVolumeMl(tube, tube.lengthMm) * share);
  return fillTo(tube, lineMm, conditions, now);
}

/** What a water line comes to in this tube. @throws InputError when water and plugs leave no chamber */
export function fillTo(
  tube: TubeShape,
  lineMm: number,
  { plugs, tempC, roomRelHumidity, queenLengthMm, dividerMm = 0, bubbleMl = 0 }: FillConditions,
  now: Instant,
): Fill {
  const chamberMm = chamberLengthMm(tube, lineMm, plugs);
  const cellMm = chamberMm - dividerMm;
  if (cellMm <= 0) {
    throw new InputError(
      'dividerMm',
      `The divider (${dividerMm} mm) leaves no cell in a chamber of ${Math.round(chamberMm)} mm. Use less water or a longer tube.`,
    );
  }
  const waterMl = tubeVolumeMl(tube, lineMm);
  const water = reservoirBand(
    tube,
    [{ at: now, mm: lineMm }],
    [{ from: now, tempC, roomRelHumidity }],
    plugs,
    now,
  );
  const days = (at: Instant | null) => (at === null ? Infinity : daysBetween(now, at));
  const reserveMl = floodReserveMl(tube, lineMm, plugs);
  const bodies = { low: cellMm / queenLengthMm.high, high: cellMm / queenLengthMm.low };
  return {
    lineMm,
    waterMl,
    chamberMm,
    bodies,
    cellMm,
    pathMm: freePath(tube, lineMm, plugs).wholeMm,
    days: { p10: days(water.dryAt.p10), p50: days(water.dryAt.p50), p90: days(water.dryAt.p90) },
    floodReserveMl: reserveMl,
    floodReserveDrops: dropsOf(reserveMl),
    safeStepC: safeStepC({ bubbleMl, waterMl, fromC: tempC }, reserveMl).stepC,
    fit:
      bodies.low < CRAMPED_BODIES
        ? 'cramped'
        : bodies.low < SNUG_BODIES
          ? 'snug'
          : bodies.low < WIDE_BODIES
            ? 'roomy'
            : 'wide',
  };
}

/** Where one fill stands among others, by how long its water is reckoned to last. */
export type Lasting = 'longest' | 'shortest' | 'between' | 'alike';

/** Nearer than that two fills last alike: the spread of the reckoning is far wider. Prior. */
const ALIKE_TIMES = 1.1;

/** By the middle of their bands, in the order given; null for a fill that cannot be. */
export function lastingOf(fills: readonly (Pick<Fill, 'days'> | null)[]): (Lasting | null)[] {
  const days = fills.flatMap((f) => (f ? [f.days.p50] : []));
  const [least, most] = [Math.min(...days), Math.max(...days)];
  return fills.map((f) => {
    if (!f) return null;
    if (days.length < 2 || most <= least * ALIKE_TIMES) return 'alike';
    return f.days.p50 === most ? 'longest' : f.days.p50 === least ? 'shortest' : 'between';
  });
}
