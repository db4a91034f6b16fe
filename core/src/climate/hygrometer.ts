import { linearRegression } from 'simple-statistics';
import { need } from '../quantity';

/** What the instrument showed where the truth was known; both in the same unit. */
export interface CheckPoint {
  shown: number;
  truth: number;
}

/** truth = offset + slope · shown */
export interface Correction {
  offset: number;
  slope: number;
}

/**
 * What has to be done to what an instrument shows: from one point (or several where it showed the same) the shift alone, from
 * two or more the straight line of least squares.
 * @param points at least one
 * @throws InputError without a point, or for what is no number
 */
export function hygrometerCorrection(points: readonly CheckPoint[]): Correction {
  need(points.length > 0, 'points', 'No check was made. Give what it showed and what it should have shown.');
  for (const { shown, truth } of points)
    need(
      Number.isFinite(shown) && Number.isFinite(truth),
      'points',
      'A point of the check is not a number. Give what it showed and what it should have shown.',
    );
  const shown = points.map((p) => p.shown);
  if (Math.max(...shown) - Math.min(...shown) <= 1e-9 * Math.max(1, ...shown.map(Math.abs))) {
    const shift = points.reduce((sum, p) => sum + p.truth - p.shown, 0) / points.length;
    return { offset: shift, slope: 1 };
  }
  const { m, b } = linearRegression(points.map((p) => [p.shown, p.truth]));
  return { offset: b, slope: m };
}

/** What is true by a check, of what was shown; as it was shown where nothing was checked. */
export const corrected = (shown: number, correction: Correction | undefined): number =>
  correction ? correction.offset + correction.slope * shown : shown;
