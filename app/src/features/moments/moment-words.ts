import type { Milestone } from '@gentle-burrow/core/species';
import { daysText } from '@gentle-burrow/core/quantity';
import { soonerWords, type Moment } from '@gentle-burrow/core/view';

/** Days this far apart are told as one. */
const CLOSE_DAYS = 1.5;

const FIRST: Record<Milestone, string> = {
  eggs: 'First eggs',
  larvae: 'First larvae',
  pupae: 'First pupae',
  workers: 'First workers',
};

/** "First workers", "First cocoons". */
export const firstWords = (stage: Milestone, inCocoons: boolean): string =>
  stage === 'pupae' && inCocoons ? 'First cocoons' : FIRST[stage];

/** "after 54 days", "after 50 to 54 days", "on the first day". */
export function afterWords({ low, high }: Moment['days']): string {
  const last = Math.round(high);
  if (last < 1) return 'on the first day';
  const first = Math.round(low);
  return high - low <= CLOSE_DAYS || first === last
    ? `after ${daysText(last)}`
    : `after ${first} to ${daysText(last)}`;
}

/** "Sooner than about 7 in 10 of her species at 24 °C (our own estimate)." */
export function againstWords(later: number, warmth: string): string {
  const words = `${soonerWords(later)} at ${warmth} (our own estimate).`;
  return words.charAt(0).toUpperCase() + words.slice(1);
}
