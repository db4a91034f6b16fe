import { within } from '../quantity';
import type { SpeciesProfile, Stage } from '../species';

/**
 * Share of a stage that the median queen's brood gets through per day at a steady temperature: 0 at or below the
 * threshold, (T − threshold) / degree-days up to the optimum, then falling linearly to 0 at the upper limit.
 * The rising part is the degree-day rule, so at a constant temperature 1 / rate is the stage's length in days.
 * @param tempC −20 to 60 °C
 * @returns per day
 * @throws InputError when the temperature is not a number in that range
 */
export function developmentRate(profile: SpeciesProfile, stage: Stage, tempC: number): number {
  return warmthPerDay(profile, stage, tempC) / profile.stages[stage].degreeDays;
}

/** Whether nothing develops at this temperature: no stage of hers gathers anything. */
export const nothingDevelops = ({ stages }: SpeciesProfile, tempC: number): boolean =>
  tempC <= Math.max(...Object.values(stages).map((s) => s.thresholdC));

/** Degree-days gathered per day at a steady temperature, with the fall above the optimum. */
export function warmthPerDay(profile: SpeciesProfile, stage: Stage, tempC: number): number {
  checkTemp(tempC);
  return answer(profile.stages[stage], tempC);
}

/** @throws InputError when it is not a number between −20 and 60 °C */
export const checkTemp = (tempC: number): number =>
  within(tempC, 'tempC', 'The temperature', { min: -20, max: 60, unit: '°C' });

/**
 * Degree-days gathered per day by a stage that spends equal parts of it at each of these temperatures. The answer to warmth is bent, so
 * that days which swing across the threshold gather more than their mean would, and those which swing across the best gather less.
 * @param partsC checked before, for they are asked about very often
 * @param offC added to each
 */
export function meanWarmthPerDay(
  profile: SpeciesProfile,
  stage: Stage,
  partsC: readonly number[],
  offC = 0,
): number {
  const limits = profile.stages[stage];
  let sum = 0;
  for (const c of partsC) sum += answer(limits, c + offC);
  return sum / partsC.length;
}

function answer({ thresholdC, optimumC, upperC }: SpeciesProfile['stages'][Stage], tempC: number): number {
  if (tempC <= thresholdC || tempC >= upperC) return 0;
  if (tempC <= optimumC) return tempC - thresholdC;
  return ((optimumC - thresholdC) * (upperC - tempC)) / (upperC - optimumC);
}
