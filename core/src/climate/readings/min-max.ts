import { addCalendarDays, dayOf, instantOf, msOf, startOfDay, type Zone } from '../../quantity';
import { HOUR_MS } from './day';
import type { Reading } from './reading';

/** A day is coolest and warmest at about these hours of the keeper's clock: as the single sine lays it. Priors. */
const HOURS = { coolest: 5, warmest: 15 } as const;

/**
 * What a thermometer that remembers lowest and highest showed for the day before: it does not say when, so each is put at the hour at
 * which days are usually so.
 * @returns two readings, the earlier first
 */
export function lowestAndHighest(lowC: number, highC: number, nowMs: number, zone: Zone): Reading[] {
  const at = (hour: number): number => {
    const today = dayOf(instantOf(nowMs), zone);
    const ms = (day: string) => msOf(startOfDay(day, zone)) + hour * HOUR_MS;
    return ms(today) <= nowMs ? ms(today) : ms(addCalendarDays(today, -1));
  };
  return [
    { ms: at(HOURS.coolest), tempC: lowC, rh: null },
    { ms: at(HOURS.warmest), tempC: highC, rh: null },
  ].sort((a, b) => a.ms - b.ms);
}
