import { need, within } from '../quantity';

const DAY_TEMPERATURE = { min: -60, max: 80, unit: '°C' };

/**
 * Degree-days of one day above a threshold by the single-sine method: the day's temperature is taken as a sine
 * between its minimum and maximum, and the area above the threshold is integrated in closed form.
 * With a ceiling, warmth above it adds nothing more (horizontal cut-off).
 * Source: Baskerville & Emin 1969, Ecology 50:514–517.
 * @returns degree-days, 0 or more
 * @throws InputError for values that are not numbers, max below min, or a ceiling not above the threshold
 */
export function degreeDays(
  { minC, maxC }: { minC: number; maxC: number },
  thresholdC: number,
  ceilingC?: number,
): number {
  within(minC, 'minC', "The day's minimum", DAY_TEMPERATURE);
  within(maxC, 'maxC', "The day's maximum", DAY_TEMPERATURE);
  within(thresholdC, 'thresholdC', 'The threshold', DAY_TEMPERATURE);
  need(
    maxC >= minC,
    'maxC',
    `The day's maximum (${maxC} °C) is below its minimum (${minC} °C). Swap the two or correct one.`,
  );
  if (ceilingC === undefined) return sineAbove(minC, maxC, thresholdC);
  within(ceilingC, 'ceilingC', 'The ceiling', DAY_TEMPERATURE);
  need(
    ceilingC > thresholdC,
    'ceilingC',
    `The ceiling (${ceilingC} °C) is not above the threshold (${thresholdC} °C). Raise it or leave it out.`,
  );
  return sineAbove(minC, maxC, thresholdC) - sineAbove(minC, maxC, ceilingC);
}

function sineAbove(minC: number, maxC: number, thresholdC: number): number {
  const mean = (minC + maxC) / 2;
  if (minC >= thresholdC) return mean - thresholdC;
  if (maxC <= thresholdC) return 0;
  const amplitude = (maxC - minC) / 2;
  const crossing = Math.asin((thresholdC - mean) / amplitude);
  return ((mean - thresholdC) * (Math.PI / 2 - crossing) + amplitude * Math.cos(crossing)) / Math.PI;
}
