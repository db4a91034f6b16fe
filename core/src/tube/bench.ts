import { daysBetween, InputError, within, type Band, type Instant } from '../quantity';
import type { Span } from '../species';
import { dropsOf, floodReserveMl, safeStepC } from './flood';
import { chamberLengthMm, tubeVolumeMl, waterLineForMl, type Plugs, type TubeShape } from './geometry';
import { reservoirBand } from './reservoir';

export interface FillSchool {
  id: 'half' | 'two-thirds' | 'three-quarters';
  name: string;
  share: number;
  says: string;
}

/** How much of a tube is water (common practice, no source). */
export const FILL_SCHOOLS: readonly FillSchool[] = [
  { id: 'half', name: 'Half', share: 1 / 2, says: 'leaves her room to grow' },
  { id: 'two-thirds', name: 'Two thirds', share: 2 / 3, says: 'between the two' },
  {
    id: 'three-quarters',
    name: 'Three quarters',
    share: 3 / 4,
    says: 'lasts longest, and a tight cell, which queens like',
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
