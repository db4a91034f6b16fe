import { DAY_MS, msOf, need, within, type Instant } from '../quantity';

/** One reading of a thermometer. */
export interface TempReading {
  at: Instant;
  tempC: number;
}

/**
 * Degree-days above a threshold gathered between the first and the last reading, with the temperature running in a straight line
 * from one to the next: the area between that line and the threshold, exactly. With a ceiling, warmth above it adds nothing more
 * (horizontal cut-off, as in `degreeDays`). A gap in the readings is a longer straight line: leave out what is too long to be one.
 * @param readings in any order; fewer than two cover no time
 * @returns degree-days, 0 or more
 * @throws InputError for moments or temperatures that cannot be, or a ceiling not above the threshold
 */
export function degreeDaysOfReadings(
  readings: readonly TempReading[],
  thresholdC: number,
  ceilingC?: number,
): number {
  within(thresholdC, 'thresholdC', 'The threshold', TEMPERATURE);
  if (ceilingC !== undefined) {
    within(ceilingC, 'ceilingC', 'The ceiling', TEMPERATURE);
    need(
      ceilingC > thresholdC,
      'ceilingC',
      `The ceiling (${ceilingC} °C) is not above the threshold (${thresholdC} °C). Raise it or leave it out.`,
    );
  }
  const points = readings
    .map(({ at, tempC }) => ({ ms: msOf(at), tempC: within(tempC, 'tempC', 'A reading', TEMPERATURE) }))
    .sort((a, b) => a.ms - b.ms);
  let sum = 0;
  for (let i = 1; i < points.length; i++) {
    const [a, b] = [points[i - 1] as Point, points[i] as Point];
    const mean = meanAbove(a.tempC, b.tempC, thresholdC);
    const cut = ceilingC === undefined ? 0 : meanAbove(a.tempC, b.tempC, ceilingC);
    sum += (mean - cut) * ((b.ms - a.ms) / DAY_MS);
  }
  return sum;
}

interface Point {
  ms: number;
  tempC: number;
}

const TEMPERATURE = { min: -60, max: 80, unit: '°C' };

/** Mean height above a level of a straight line from one value to another, counting only what is above. */
function meanAbove(from: number, to: number, level: number): number {
  const high = Math.max(from, to) - level;
  const low = Math.min(from, to) - level;
  if (low >= 0) return (low + high) / 2;
  return high <= 0 ? 0 : (high * high) / (2 * (high - low));
}
