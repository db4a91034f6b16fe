import { tzOffset } from '@date-fns/tz';
import { isZone, need, type Zone } from '../../quantity';

const MINUTE_MS = 60_000;
const HOUR_MS = 3_600_000;
/** Offsets are looked up once for so long a stretch, unless the clocks change in it. */
const STRETCH_MS = 24 * HOUR_MS;

type LocalMs = { ms: number } | { gap: true };

/** Turns what a wall clock shows into moments, row after row. */
export interface WallClock {
  /**
   * @param wallMs the wall's date and time, counted as if it were UTC
   * @returns its moment; or that the clock never showed it, since it was put forward over it
   */
  momentOf(wallMs: number): LocalMs;
}

/**
 * A clock on the wall of a time zone. An hour that comes twice in autumn is told apart by the order of the rows: it is the first
 * until the clock goes back (or an hour runs out), then the second.
 * @param zone an IANA zone; or "+02:00", for a logger whose clock is never changed
 * @throws InputError for neither
 */
export function wallClock(zone: Zone): WallClock {
  const fixed = /^([+-])(\d{2}):(\d{2})$/.exec(zone);
  if (fixed) {
    const minutes = (fixed[1] === '-' ? -1 : 1) * (60 * Number(fixed[2]) + Number(fixed[3]));
    return { momentOf: (wallMs) => ({ ms: wallMs - minutes * MINUTE_MS }) };
  }
  need(
    isZone(zone),
    'zone',
    `"${zone}" is not a time zone. Give one like Europe/Berlin, or a fixed one like +01:00.`,
  );
  const offset = (utcMs: number) => tzOffset(zone, new Date(utcMs)) * MINUTE_MS;
  const stretches = new Map<number, number | null>();
  /** The offset all through a day of the wall and the days beside it; null where it changes. */
  const steady = (wallMs: number): number | null => {
    const stretch = Math.floor(wallMs / STRETCH_MS);
    let found = stretches.get(stretch);
    if (found === undefined) {
      const before = offset((stretch - 1) * STRETCH_MS);
      const after = offset((stretch + 2) * STRETCH_MS);
      found = before === after && before === offset(stretch * STRETCH_MS + STRETCH_MS / 2) ? before : null;
      stretches.set(stretch, found);
    }
    return found;
  };
  let last = -Infinity;
  return {
    momentOf(wallMs) {
      const known = steady(wallMs);
      if (known !== null) return { ms: (last = wallMs - known) };
      // the offsets that hold around it, and the moments at which the wall really shows this
      const candidates = [...new Set([offset(wallMs - STRETCH_MS), offset(wallMs + STRETCH_MS)])]
        .map((o) => wallMs - o)
        .filter((ms) => ms + offset(ms) === wallMs)
        .sort((a, b) => a - b);
      const [first, second] = candidates;
      if (first === undefined) return { gap: true };
      // rows go forward: what would lie before the row before it is the second time round
      return { ms: (last = second !== undefined && first <= last ? second : first) };
    },
  };
}
