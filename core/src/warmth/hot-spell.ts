import { HOUR_MS, PART_MS, type PlaceRecord } from '../climate';
import { DAY_MS, instantOf, msOf, type Instant } from '../quantity';
import type { Stay } from './stays';

/** A time in which it was measured to be as hot as that where she stood. */
export interface HotSpell {
  from: Instant;
  until: Instant;
  /** In all: pauses are not counted. */
  hours: number;
  /** The warmest mean of three hours, °C. */
  maxC: number;
}

/** Parts of days that are no further apart are one spell, ms. Prior: an afternoon's heat that comes again the next day. */
const ONE_SPELL_MS = DAY_MS;

/**
 * When it was measured to be as hot as a limit or hotter where she stood, oldest first. What was told of a place, or is expected of it,
 * is no measurement.
 * @param stays where she stood, one place after another
 * @param since before that she was not there
 * @param limitC from there on it counts, °C
 */
export function hotSpells(
  stays: readonly Stay[],
  records: readonly PlaceRecord[],
  { since, now, limitC }: { since: Instant; now: Instant; limitC: number },
): HotSpell[] {
  const spells: HotSpell[] = [];
  stays.forEach(({ from, place }, s) => {
    const next = stays[s + 1];
    const begin = Math.max(msOf(from), msOf(since));
    const end = Math.min(next ? msOf(next.from) : Infinity, msOf(now));
    const days = records.find((r) => r.placeId === place.id)?.days ?? [];
    for (const { day, partsC } of days) {
      if ((day + 1) * DAY_MS <= begin || day * DAY_MS >= end) continue;
      partsC.forEach((tempC, i) => {
        const ms = day * DAY_MS + i * PART_MS;
        const until = Math.min(ms + PART_MS, end);
        if (tempC === null || tempC < limitC || until <= begin || ms >= end) return;
        const start = Math.max(ms, begin);
        const hours = (until - start) / HOUR_MS;
        const last = spells.at(-1);
        if (last && start - msOf(last.until) <= ONE_SPELL_MS) {
          last.until = instantOf(until);
          last.hours += hours;
          last.maxC = Math.max(last.maxC, tempC);
        } else spells.push({ from: instantOf(start), until: instantOf(until), hours, maxC: tempC });
      });
    }
  });
  return spells;
}
