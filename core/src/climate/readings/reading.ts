/** One reading of a probe, as it was shown; what it does not measure is null. */
export interface Reading {
  /** Milliseconds since 1970. */
  ms: number;
  tempC: number | null;
  /** 0..1 */
  rh: number | null;
}

/** What a household probe can show at all, °C: beyond it the figure is a fault of the probe or of the unit. Prior. */
const SHOWN_C = { min: -40, max: 85 } as const;
/** Nobody kept a logger before. */
const FIRST_MS = Date.UTC(2000, 0, 1);
/** A clock may be so far ahead. */
const AHEAD_MS = 24 * 3_600_000;

/** What is wrong with a reading, as a sentence; null when nothing is. */
export function readingFault({ ms, tempC, rh }: Reading, nowMs: number): string | null {
  if (!Number.isFinite(ms)) return 'Its moment is not a date and time.';
  if (ms < FIRST_MS)
    return 'It lies before the year 2000. Check the clock of the logger, or the order of day and month.';
  if (ms > nowMs + AHEAD_MS)
    return 'It lies in the future. Check the clock of the logger, the year, and the order of day and month.';
  if (tempC === null && rh === null) return 'It has neither a temperature nor a humidity.';
  if (tempC !== null && !(tempC >= SHOWN_C.min && tempC <= SHOWN_C.max))
    return `${figure(tempC)} °C is outside ${SHOWN_C.min} to ${SHOWN_C.max} °C. Check the unit, and the probe.`;
  if (rh !== null && !(rh >= 0 && rh <= 1))
    return `${figure(100 * rh)} % is no humidity: it lies between 0 and 100 %.`;
  return null;
}

const figure = (value: number): string =>
  Number.isFinite(value) ? String(Math.round(10 * value) / 10) : '“not a number”';
