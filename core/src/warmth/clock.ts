import { accumulation, type Accumulation, type Instant } from '../quantity';
import type { SpeciesProfile, Stage } from '../species';
import { meanWarmthPerDay } from './response';
import { warmthCourse, type Temperature, type WarmthCourse } from './series';

/**
 * Converts between calendar and gathered warmth for one stage. Days count from the clock's origin and may be negative;
 * gathered degree-days are 0 at the origin; a day that never comes is Infinity.
 */
export type WarmthClock = Pick<Accumulation, 'gathered' | 'dayOf'>;

/** @throws InputError for temperatures that are not numbers between −20 and 60 °C, or steps that do not run forward in time */
export function warmthClock(
  profile: SpeciesProfile,
  stage: Stage,
  temperature: Temperature,
  origin: Instant,
): WarmthClock {
  return clockOf(profile, stage, warmthCourse(temperature, origin));
}

/** How far off the thermometer is, and what is expected, °C. */
export interface Off {
  offC: number;
  aheadC: number;
}

export function clockOf(
  profile: SpeciesProfile,
  stage: Stage,
  { changes, pieces, ahead }: WarmthCourse,
  { offC, aheadC }: Off = { offC: 0, aheadC: 0 },
): WarmthClock {
  const rates = pieces.map((parts, i) => {
    const begins = i === 0 ? -Infinity : (changes[i - 1] as number);
    const expected = ahead !== null && begins >= ahead.from && begins < ahead.until;
    return parts === null ? 0 : meanWarmthPerDay(profile, stage, parts, expected ? offC + aheadC : offC);
  });
  return accumulation(changes, rates);
}
