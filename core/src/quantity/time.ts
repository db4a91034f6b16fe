import { need } from './input-error';

/** A moment as an ISO 8601 string in UTC, such as "2026-05-03T18:20:00.000Z". */
export type Instant = string;

export const DAY_MS = 86_400_000;

/**
 * Milliseconds since 1970 of an instant.
 * @throws InputError when the text is not a moment
 */
export function msOf(instant: Instant, field = 'at'): number {
  const ms = Date.parse(instant);
  // asked very often: the sentence is only made when it is needed
  if (Number.isNaN(ms)) need(false, field, `"${instant}" is not a date. Write it like 2026-05-03T18:20:00Z.`);
  return ms;
}

export function instantOf(ms: number): Instant {
  return new Date(ms).toISOString();
}

/** Days from one instant to another; negative when `to` is earlier. */
export function daysBetween(from: Instant, to: Instant): number {
  return (msOf(to) - msOf(from)) / DAY_MS;
}

export function addDays(instant: Instant, days: number): Instant {
  return instantOf(msOf(instant) + days * DAY_MS);
}

/** The later of the moments that are given, or null when none is. */
export function latest(...instants: (Instant | null | undefined)[]): Instant | null {
  const given = instants.filter((i): i is Instant => i != null);
  return given.reduce<Instant | null>((a, b) => (a === null || msOf(b) > msOf(a) ? b : a), null);
}

/** The earliest of the moments that are given, or null when none is. */
export function earliest(...instants: (Instant | null | undefined)[]): Instant | null {
  const given = instants.filter((i): i is Instant => i != null);
  return given.reduce<Instant | null>((a, b) => (a === null || msOf(b) < msOf(a) ? b : a), null);
}
