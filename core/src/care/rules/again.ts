import { addDays, daysBetween, type Instant } from '../../quantity';

/** The next of a row of dates, evenly apart, that is still to come. */
export function againAfter(first: Instant, everyDays: number, now: Instant): Instant {
  const past = Math.max(0, daysBetween(first, now));
  return addDays(first, (Math.floor(past / everyDays) + 1) * everyDays);
}
