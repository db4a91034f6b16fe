import { TZDate } from '@date-fns/tz';
import { differenceInCalendarDays } from 'date-fns/differenceInCalendarDays';
import { format } from 'date-fns/format';
import { isSameYear } from 'date-fns/isSameYear';
import type { Band, Instant, Interval } from '@gentle-burrow/core/quantity';

let zone: string | null = null;

/** The keeper's time zone, for every date that is shown; null is that of the device. */
export function showDatesIn(keepers: string | null): void {
  zone = keepers;
}

/** The keeper's zone now: as set, or that of the device. */
export const zoneNow = (): string => zone ?? Intl.DateTimeFormat().resolvedOptions().timeZone;

/** A moment whose day, month and year are those of the keeper's zone. */
const keepers = (at: Instant | Date): Date =>
  zone === null ? new Date(at) : new TZDate(new Date(at).getTime(), zone);

/** "3 Jun", with the year when it is not this one. */
export function dayText(at: Instant, now = new Date()): string {
  const date = keepers(at);
  return format(date, isSameYear(date, keepers(now)) ? 'd MMM' : 'd MMM yyyy');
}

/** "June". */
export const monthName = (at: Instant): string => format(keepers(at), 'MMMM');

/** "today", "yesterday", "in 3 days", "12 days ago"; the date itself beyond two weeks. */
export function nearText(at: Instant, now = new Date()): string {
  const days = differenceInCalendarDays(keepers(at), keepers(now));
  if (days === 0) return 'today';
  if (days === 1) return 'tomorrow';
  if (days === -1) return 'yesterday';
  if (days > 0 && days <= 14) return `in ${days} days`;
  if (days < 0 && days >= -14) return `${-days} days ago`;
  return dayText(at, now);
}

/** "between 3 and 9 Jun", "between 28 May and 3 Jun". */
export function spanText(from: Instant, to: Instant, now = new Date()): string {
  const [a, b] = [keepers(from), keepers(to)];
  if (dayText(from, now) === dayText(to, now)) return `on ${dayText(to, now)}`;
  const short = format(a, 'MMM yyyy') === format(b, 'MMM yyyy') ? format(a, 'd') : dayText(from, now);
  return `between ${short} and ${dayText(to, now)}`;
}

export function intervalText({ after, by }: Interval): string {
  if (by === null) return 'not seen';
  return after === null ? `by ${dayText(by)}` : spanText(after, by);
}

/** What is ahead: "between 3 and 9 Jun, likely the 6th"; what is overdue says so. */
export function bandText({ p10, p50, p90 }: Band<Instant | null>, now = new Date()): string {
  if (p50 === null) return 'not at this warmth';
  const past = (at: Instant) => new Date(at) < now;
  if (p10 === null || p90 === null) return `from ${dayText(p10 ?? p50, now)} on, perhaps much later`;
  if (past(p90)) return 'probably there by now';
  if (past(p10)) return `any day until ${dayText(p90, now)}`;
  return spanText(p10, p90, now);
}

/** "3 Jun, 14:05": a day and the keeper's clock. */
export const momentText = (at: Instant, now = new Date()): string =>
  `${dayText(at, now)}, ${format(keepers(at), 'HH:mm')}`;

/** "4 minutes ago", "3 hours ago"; then as `nearText`. */
export function agoText(at: Instant, now = new Date()): string {
  const minutes = Math.round((now.getTime() - Date.parse(at)) / 60_000);
  if (minutes < 1) return 'just now';
  if (minutes < 60) return minutes === 1 ? 'a minute ago' : `${minutes} minutes ago`;
  const hours = Math.round(minutes / 60);
  return hours < 24 ? (hours === 1 ? 'an hour ago' : `${hours} hours ago`) : nearText(at, now);
}

/** For an input of type time: the keeper's clock. */
export const timeInput = (date: Date): string => format(keepers(date), 'HH:mm');

/** For an input of type date: the keeper's calendar day. */
export const dayInput = (date: Date): string => format(keepers(date), 'yyyy-MM-dd');
