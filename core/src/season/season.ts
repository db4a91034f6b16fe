import { calendarDay, msOf, startOfDay, UTC, type Instant, type Zone } from '../quantity';

export type Hemisphere = 'north' | 'south';

/** The dates of one winter, as keepers of temperate kinds go by them. */
export interface Winter {
  /** Late summer: from now on every answer knows the date. */
  tellFrom: Instant;
  /** Last good feeds, brood looked to. */
  prepareFrom: Instant;
  /** Cooling may begin, is usual, should have begun. */
  beginFrom: Instant;
  begin: Instant;
  beginBy: Instant;
  /** Too late in the winter to begin one. */
  notAfter: Instant;
  /** Warming may begin, is usual, should have begun. */
  wakeFrom: Instant;
  wake: Instant;
  wakeBy: Instant;
}

/** Where a moment stands in the keeper's year. */
export type Phase = 'growing' | 'late-summer' | 'autumn' | 'begin' | 'winter' | 'spring';

/**
 * Month and day of each date in the north; half a year later in the south. Common practice: cooling begins about the end
 * of October, laying resumes about March. The days around those two are priors.
 */
const DATES: Record<keyof Winter, [month: number, day: number, yearsOn: 0 | 1]> = {
  tellFrom: [8, 15, 0],
  prepareFrom: [10, 1, 0],
  beginFrom: [10, 15, 0],
  begin: [10, 31, 0],
  beginBy: [11, 30, 0],
  notAfter: [1, 10, 1],
  wakeFrom: [3, 1, 1],
  wake: [3, 15, 1],
  wakeBy: [4, 15, 1],
};

/** At or below this a place winters those that stand in it; 5 to 8 °C is common practice, 11 the edge of it a prior. */
export const WINTER_TEMP_C = { low: 5, high: 8, edge: 11 } as const;

/** How cold a winter that is only tried is taken to be, °C. */
export const WHAT_IF_WINTER_C = (WINTER_TEMP_C.low + WINTER_TEMP_C.high) / 2;

/** A cool winter, or an unheated room: common practice, no source. */
export const COOL_WINTER_C = { low: 12, high: 16 } as const;

/** How warm a winter is, by how deep it suits her; of whom it is not known, cool: never a fridge. */
export const winterRange = (rest: 'none' | 'cool' | 'cold' | 'unknown'): { low: number; high: number } =>
  rest === 'cold' ? { low: WINTER_TEMP_C.low, high: WINTER_TEMP_C.high } : { ...COOL_WINTER_C };

export const isWinteringTempC = (tempC: number): boolean => tempC <= WINTER_TEMP_C.edge;

/** The winter that a moment stands in, or the next one: from late summer until she should be awake again. */
export function winterAround(now: Instant, hemisphere: Hemisphere, zone: Zone = UTC): Winter {
  const year = new Date(msOf(now)).getUTCFullYear();
  for (const first of [year - 1, year, year + 1]) {
    const winter = winterOf(first, hemisphere, zone);
    if (msOf(winter.wakeBy) > msOf(now)) return winter;
  }
  return winterOf(year + 1, hemisphere, zone);
}

const known = new Map<string, Winter>();

/** The winter that begins in this year (in the south: whose late summer lies in it). */
function winterOf(year: number, hemisphere: Hemisphere, zone: Zone): Winter {
  const key = `${year}${hemisphere}${zone}`;
  const kept = known.get(key);
  if (kept) return kept;
  const shift = hemisphere === 'north' ? 0 : -6;
  const date = ([month, day, yearsOn]: (typeof DATES)[keyof Winter]): Instant => {
    const months = 12 * (year + yearsOn) + month - 1 + shift;
    // every month that a date falls in, in either hemisphere, has 30 days
    return startOfDay(calendarDay(Math.floor(months / 12), (months % 12) + 1, Math.min(day, 30)), zone);
  };
  const winter = Object.fromEntries(
    Object.entries(DATES).map(([name, given]) => [name, date(given)]),
  ) as unknown as Winter;
  known.set(key, winter);
  return winter;
}

/** The half of the earth in which spring or summer is: what is made up to be shown is shown in its season. */
export function growingHemisphere(now: Instant): Hemisphere {
  const date = new Date(msOf(now));
  const middle = (month: number) => Date.UTC(date.getUTCFullYear(), month - 1, 15);
  return date.getTime() >= middle(2) && date.getTime() < middle(8) ? 'north' : 'south';
}

/** Where in the year a moment stands for a temperate kind. */
export function phaseOf(now: Instant, winter: Winter): Phase {
  const ms = msOf(now);
  if (ms < msOf(winter.tellFrom)) return 'growing';
  if (ms < msOf(winter.prepareFrom)) return 'late-summer';
  if (ms < msOf(winter.beginFrom)) return 'autumn';
  if (ms < msOf(winter.notAfter)) return 'begin';
  return ms < msOf(winter.wakeFrom) ? 'winter' : 'spring';
}

/** The month that it would be in the north, 1 to 12. */
export function northMonth(at: Instant, hemisphere: Hemisphere): number {
  const month = new Date(msOf(at)).getUTCMonth();
  return ((month + (hemisphere === 'south' ? 6 : 0)) % 12) + 1;
}
