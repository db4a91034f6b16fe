import { DAY_MS, daysBetween, msOf, type Instant } from '../quantity';
import { feltOf, isRestless, openings, perWeekAt } from './disturbance';
import { figure } from './practice';
import { freeFrom, type Undisturbed } from './reasons';
import type { LookingSchool } from './schools';

/** The one account of what she has been put through, and of when she may be looked at again. */
export interface Peace {
  /** In looks, over the last four weeks. */
  spent: number;
  /** Looks that the keeper's method allows in four weeks; null for hands off, which goes by a date. */
  allowed: number | null;
  /** From then on a look costs her little; null when it does so now. */
  nextFree: Instant | null;
  /** Disturbances a week up to the last one, in looks, feeding a queen that must eat left out. */
  perWeek: number;
  /** Looks since she was taken in. */
  looks: number;
  /** More than is good for her, and lately. */
  restless: boolean;
  lastAt: Instant | null;
  evidence: string[];
}

export function peaceOf(c: Undisturbed, school: LookingSchool): Peace {
  const { known, mustEat, now } = c;
  const list = openings(known, mustEat);
  const recent = list.filter((o) => msOf(now) - msOf(o.at) < figure('periodDays') * DAY_MS);
  const spent = recent.reduce((sum, o) => sum + o.weight, 0);
  const free = freeFrom(c, school);
  const felt = feltOf(list, mustEat);
  const intake = known.intake?.at ?? null;
  const last = felt[felt.length - 1]?.at ?? null;
  const quietDays = last === null ? Infinity : daysBetween(last, now);
  return {
    spent,
    allowed: school.everyDays === null ? null : figure('periodDays') / school.everyDays,
    nextFree: free !== null && msOf(free) > msOf(now) ? free : null,
    perWeek: last === null ? 0 : perWeekAt(felt, last, intake),
    looks: known.looksSpent,
    restless: isRestless(list, mustEat, intake) && quietDays < figure('mostQuietDays'),
    lastAt: list[list.length - 1]?.at ?? null,
    evidence: felt.slice(-3).map((o) => o.entryId),
  };
}
