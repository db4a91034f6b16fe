import { addDays, phrase, type Instant, type Phrase } from '../quantity';
import { figure } from './practice';

/** From this day on she stands at about so much. */
export interface TempStep {
  at: Instant;
  tempC: number;
}

/** A change of warmth in small steps of equal size, the last one at the end; none when it is small enough to be taken at once. */
export function gradualSteps(fromC: number, toC: number, from: Instant): TempStep[] {
  const count = Math.ceil(Math.abs(toC - fromC) / figure('winterStepC'));
  return Array.from({ length: count }, (_, i) => ({
    at: addDays(from, i * figure('winterStepDays')),
    tempC: fromC + ((toC - fromC) * (i + 1)) / count,
  }));
}

/** "20 °C from 31 October, 16 °C from 3 November". */
export const stepsPhrase = (steps: readonly TempStep[]): Phrase =>
  steps.flatMap(({ at, tempC }, i) => [
    ...(i > 0 ? [', '] : []),
    ...phrase`${{ tempC: Math.round(tempC) }} from ${{ date: at }}`,
  ]);
