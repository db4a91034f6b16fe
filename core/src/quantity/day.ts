import { TZDate } from '@date-fns/tz';
import { need } from './input-error';
import { DAY_MS, instantOf, msOf, type Instant } from './time';

/** A calendar day of the keeper's, yyyy-mm-dd. */
export type CalendarDay = string;
/** An IANA time zone, such as "Europe/Berlin". */
export type Zone = string;

export const UTC: Zone = 'UTC';

/**
 * The calendar day on which a moment falls for a keeper in this zone.
 * @throws InputError when the zone or the moment is none
 */
export function dayOf(at: Instant, zone: Zone): CalendarDay {
  if (zone === UTC) return instantOf(msOf(at)).slice(0, 10);
  const d = inZone(msOf(at), zone);
  return calendarDay(d.getFullYear(), d.getMonth() + 1, d.getDate());
}

/** What a clock shows at a moment for a keeper in this zone, hh:mm. */
export function clockOf(at: Instant, zone: Zone): string {
  const d = inZone(msOf(at), zone);
  return `${String(d.getHours()).padStart(2, '0')}:${String(d.getMinutes()).padStart(2, '0')}`;
}

/** The moment at which a calendar day begins in this zone. */
export function startOfDay(day: CalendarDay, zone: Zone): Instant {
  const [year, month, date] = partsOf(day);
  if (zone === UTC) return instantOf(Date.UTC(year, month - 1, date));
  return instantOf(new TZDate(year, month - 1, date, 0, 0, 0, knownZone(zone)).getTime());
}

/** 0 Sunday to 6 Saturday: a calendar day has its weekday wherever it is. */
export function weekdayOf(day: CalendarDay): number {
  return new Date(utcOf(day)).getUTCDay();
}

/** Calendar days on, or back when negative: never an hour short over a change of the clocks. */
export function addCalendarDays(day: CalendarDay, days: number): CalendarDay {
  return instantOf(utcOf(day) + days * DAY_MS).slice(0, 10);
}

/** Whole calendar days from one to another; negative when `to` is earlier. */
export function calendarDaysBetween(from: CalendarDay, to: CalendarDay): number {
  return Math.round((utcOf(to) - utcOf(from)) / DAY_MS);
}

/** @param month 1 to 12; a date beyond the month's end is not mended */
export function calendarDay(year: number, month: number, date: number): CalendarDay {
  return `${String(year).padStart(4, '0')}-${String(month).padStart(2, '0')}-${String(date).padStart(2, '0')}`;
}

/** Whether a name is a time zone here. */
export function isZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return true;
  } catch {
    return false;
  }
}

const partsOf = (day: CalendarDay): [number, number, number] => {
  const found = /^(\d{4})-(\d{2})-(\d{2})$/.exec(day);
  need(found !== null, 'day', `"${day}" is not a day. Write it like 2026-06-03.`);
  return [Number(found[1]), Number(found[2]), Number(found[3])];
};

const utcOf = (day: CalendarDay): number => {
  const [year, month, date] = partsOf(day);
  return Date.UTC(year, month - 1, date);
};

const zones = new Set<string>();
/** Asked for every date that is shown: a zone is looked up once. */
function knownZone(zone: Zone): Zone {
  if (!zones.has(zone)) {
    need(isZone(zone), 'zone', `"${zone}" is not a time zone. Give one like Europe/Berlin.`);
    zones.add(zone);
  }
  return zone;
}

const inZone = (ms: number, zone: Zone): TZDate => new TZDate(ms, knownZone(zone));
