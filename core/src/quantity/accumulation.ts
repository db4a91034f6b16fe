import { lastNotAfter } from './halving';

/** What gathers at a rate that changes from time to time: warmth in a stage, water out of a tube. 0 on day 0. */
export interface Accumulation {
  /** What is gathered by a day; before day 0 it is negative. */
  gathered(day: number): number;
  rateOn(day: number): number;
  /** The first day on which this much is gathered; Infinity when it never is. */
  dayOf(gathered: number): number;
}

/**
 * Sums kept at each change, so that any day and any amount is found by halving however many changes there are.
 * @param changes days on which the rate changes, in order
 * @param rates per day, none below 0; one more than there are changes: the first holds before the first change, the last for good
 */
export function accumulation(changes: readonly number[], rates: readonly number[]): Accumulation {
  if (changes.length === 0) return steady(rates[0] as number);
  const first = rates[0] as number;
  const beginning = changes[0] as number;
  // gathered at each change, from an arbitrary zero at the first
  const sums = new Float64Array(changes.length);
  for (let i = 1; i < changes.length; i++)
    sums[i] =
      (sums[i - 1] as number) + (rates[i] as number) * ((changes[i] as number) - (changes[i - 1] as number));
  const raw = (day: number): number => {
    const i = lastNotAfter(changes.length, (k) => changes[k] as number, day);
    if (i < 0) return first * (day - beginning);
    return (sums[i] as number) + (rates[i + 1] as number) * (day - (changes[i] as number));
  };
  const zero = raw(0);
  return {
    gathered: (day) => raw(day) - zero,
    rateOn: (day) => rates[lastNotAfter(changes.length, (k) => changes[k] as number, day) + 1] as number,
    dayOf: (gathered) => {
      const target = gathered + zero;
      if (target <= 0) return first > 0 ? beginning + target / first : beginning;
      // the first change by which enough is gathered: between it and the one before it lies the day
      let low = 0;
      let high = sums.length;
      while (low < high) {
        const middle = (low + high) >> 1;
        if ((sums[middle] as number) >= target) high = middle;
        else low = middle + 1;
      }
      const rate = rates[low] as number;
      if (!(rate > 0)) return Infinity;
      return (changes[low - 1] as number) + (target - (sums[low - 1] as number)) / rate;
    },
  };
}

function steady(rate: number): Accumulation {
  return {
    gathered: (day) => rate * day,
    rateOn: () => rate,
    dayOf: (gathered) => (rate > 0 ? gathered / rate : gathered <= 0 ? 0 : Infinity),
  };
}
