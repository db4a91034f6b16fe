import { DAY_MS, msOf, need, type Instant } from '../quantity';
import type { SpeciesProfile, Stage } from '../species';
import { warmthPerDay } from './response';

/**
 * How warm she stands: one steady temperature, or steps of it, each from a moment until the next. The first step also
 * holds before its moment.
 */
export type Temperature = number | { steps: { from: Instant; tempC: number }[] };

/**
 * Converts between calendar and gathered warmth for one stage. Days count from the clock's origin and may be negative;
 * gathered degree-days are 0 at the origin.
 */
export interface WarmthClock {
  gathered(day: number): number;
  /** The day on which this much is gathered; Infinity when the warmth planned never suffices. */
  dayOf(gathered: number): number;
}

/** @throws InputError for temperatures that are not numbers, or steps that do not run forward in time */
export function warmthClock(
  profile: SpeciesProfile,
  stage: Stage,
  temperature: Temperature,
  origin: Instant,
): WarmthClock {
  return clockOf(profile, stage, warmthCourse(temperature, origin));
}

/** Temperature in steps counted in days, for whoever needs many clocks of it. */
export interface WarmthCourse {
  /** Days after the origin on which it changes. */
  changes: number[];
  /** °C, one more than there are changes. */
  tempsC: number[];
}

/** @throws InputError for steps that do not run forward in time */
export function warmthCourse(temperature: Temperature, origin: Instant): WarmthCourse {
  if (typeof temperature === 'number') return { changes: [], tempsC: [temperature] };
  const { steps } = temperature;
  need(steps.length > 0, 'temperature', 'No temperature is given. Give at least one step.');
  const originMs = msOf(origin);
  const days = steps.map((s) => (msOf(s.from, 'temperature') - originMs) / DAY_MS);
  need(
    days.every((d, i) => i === 0 || d > (days[i - 1] as number)),
    'temperature',
    'The temperature steps do not follow one another in time. Sort them and leave out doubles.',
  );
  return { changes: days.slice(1), tempsC: steps.map((s) => s.tempC) };
}

/** @throws InputError for temperatures that are not numbers between −20 and 60 °C */
export function clockOf(
  profile: SpeciesProfile,
  stage: Stage,
  { changes, tempsC }: WarmthCourse,
): WarmthClock {
  const rates = tempsC.map((c) => warmthPerDay(profile, stage, c));
  return changes.length === 0 ? steadyClock(rates[0] as number) : steppedClock(changes, rates);
}

function steadyClock(rate: number): WarmthClock {
  return {
    gathered: (day) => rate * day,
    dayOf: (gathered) => (rate > 0 ? gathered / rate : gathered <= 0 ? 0 : Infinity),
  };
}

/** @param changes days on which the rate changes; rates has one more entry */
function steppedClock(changes: number[], rates: number[]): WarmthClock {
  const first = rates[0] as number;
  // gathered warmth at each change, from an arbitrary zero at the first change
  const sums: number[] = [0];
  for (let i = 1; i < changes.length; i++) {
    sums.push(
      (sums[i - 1] as number) + (rates[i] as number) * ((changes[i] as number) - (changes[i - 1] as number)),
    );
  }
  // the last change not after a value; -1 before the first. Asked in every draw: found by halving
  const lastNotAfter = (values: readonly number[], value: number): number => {
    let low = -1;
    let high = values.length - 1;
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if ((values[middle] as number) <= value) low = middle;
      else high = middle - 1;
    }
    return low;
  };
  const raw = (day: number): number => {
    const i = lastNotAfter(changes, day);
    if (i < 0) return first * (day - (changes[0] as number));
    return (sums[i] as number) + (rates[i + 1] as number) * (day - (changes[i] as number));
  };
  const zero = raw(0);
  return {
    gathered: (day) => raw(day) - zero,
    dayOf: (gathered) => {
      const target = gathered + zero;
      if (target <= 0) return first > 0 ? (changes[0] as number) + target / first : (changes[0] as number);
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

/** The temperature that holds at a moment. */
export function temperatureAt(temperature: Temperature, at: Instant): number {
  if (typeof temperature === 'number') return temperature;
  const ms = msOf(at);
  const past = temperature.steps.filter((s) => msOf(s.from) <= ms);
  const step = past[past.length - 1] ?? temperature.steps[0];
  need(step !== undefined, 'temperature', 'No temperature is given. Give at least one step.');
  return step.tempC;
}
