import { addDays, msOf, startOfDay, type Instant } from '@gentle-burrow/core/quantity';
import { dayInput, zoneNow } from '@/ui/dates';

/** The day that is being written about. */
export interface WhenDraft {
  /** Calendar day of the keeper; null for now. */
  day: string | null;
  /** The day is chosen from the calendar. */
  otherDay: boolean;
  /** Earlier today: the hour of the keeper's clock, hh:mm; null for the usual hour of a day. */
  time: string | null;
}

export const NOW: WhenDraft = { day: null, otherDay: false, time: null };

/** The day of something that is there already. */
export const whenOf = (at: Instant): WhenDraft => ({
  day: dayInput(new Date(at)),
  otherDay: true,
  time: null,
});

const EVENING = 20 / 24;

/**
 * The moment of what was seen or done: now for today, the evening of another day, never before she was taken in on that
 * same day.
 * @param sameDayAs keeps the time of an entry that is being amended while its day stays the same
 */
export function momentOf(
  day: string | null,
  now: Date,
  intakeAt: Instant | null,
  sameDayAs?: Instant,
  time: string | null = null,
): Instant {
  if (day === null && time !== null) return momentAt(dayInput(now), time);
  if (sameDayAs && day === dayInput(new Date(sameDayAs))) return sameDayAs;
  if (day === null || day === dayInput(now)) return now.toISOString();
  const evening = addDays(startOfDay(day, zoneNow()), EVENING);
  const onIntakeDay = intakeAt !== null && day === dayInput(new Date(intakeAt));
  return onIntakeDay && msOf(evening) <= msOf(intakeAt)
    ? new Date(msOf(intakeAt) + 60_000).toISOString()
    : evening;
}

/** An hour of a day on the keeper's clock. */
const momentAt = (day: string, time: string): Instant => {
  const [hours = 0, minutes = 0] = time.split(':').map(Number);
  return addDays(startOfDay(day, zoneNow()), (hours + minutes / 60) / 24);
};

/** Days that an entry may have. */
export interface DayLimits {
  /** When she was taken in; an intake itself has no such limit. */
  from: Instant | null;
  /** An intake is not later than what was written of her after it. */
  to?: Instant | null;
}

/** What is wrong with a day, and how to mend it; null when nothing is. */
export function dayFault(
  day: string | null,
  now: Date,
  { from, to = null }: DayLimits,
  time: string | null = null,
): string | null {
  if (day === null && time !== null) {
    if (!/^\d{2}:\d{2}$/.test(time)) return 'The hour is not complete. Give hours and minutes.';
    const at = momentAt(dayInput(now), time);
    if (msOf(at) > now.getTime()) return 'That hour is still to come. Choose an earlier one.';
    if (from !== null && msOf(at) < msOf(from))
      return 'That was before she was taken in. Choose a later hour.';
  }
  if (day === null) return null;
  if (!/^\d{4}-\d{2}-\d{2}$/.test(day)) return 'The day is not complete. Choose day, month and year.';
  if (day > dayInput(now)) return 'That day is still to come. Choose today or an earlier day.';
  const taken = from === null ? null : dayInput(new Date(from));
  if (taken !== null && day < taken) return `She was taken in on ${taken}. Choose that day or a later one.`;
  const first = to === null ? null : dayInput(new Date(to));
  if (first !== null && day > first)
    return `Something was written of her on ${first} already. Choose that day or an earlier one.`;
  return null;
}
