import { DAY_MS, daysBetween, instantOf, latest, msOf, type Instant } from '../quantity';
import { COOL_WINTER_C, isWinteringTempC, phaseOf, winterAround } from '../season';
import { wintersAt, type Room } from '../warmth';
import type { Case } from './case';
import { figure } from './practice';

type Sleeper = Pick<Case, 'profile' | 'rooms' | 'hemisphere' | 'now'>;

/** Whether she stood in the cold of winter on a day. A winter is no evidence of silence, lateness or an unread line. */
function slept({ profile, hemisphere }: Sleeper, { tempC }: Room, ms: number): boolean {
  if (tempC > COOL_WINTER_C.high) return false;
  const at = instantOf(ms);
  return wintersAt(profile, tempC, isWinteringTempC(tempC), phaseOf(at, winterAround(at, hemisphere)));
}

/** The days from one moment to another on which she stood in the cold of winter, oldest first: when each began there, and how much of it. */
function* daysAsleep(c: Sleeper, from: Instant, to: Instant): Generator<{ ms: number; days: number }> {
  if (!c.profile.winters.value) return;
  const end = msOf(to);
  for (let i = 0; i < c.rooms.length; i++) {
    const room = c.rooms[i] as Room;
    const next = c.rooms[i + 1];
    if (room.tempC > COOL_WINTER_C.high) continue;
    const first = Math.max(msOf(from), i === 0 ? -Infinity : msOf(room.from));
    const last = Math.min(end, next ? msOf(next.from) : Infinity);
    for (let ms = first; ms < last; ms += DAY_MS)
      if (slept(c, room, ms)) yield { ms, days: Math.min(1, (last - ms) / DAY_MS) };
  }
}

/** How many of the days between two moments she was awake. */
export function daysAwake(c: Sleeper, from: Instant, to: Instant): number {
  let asleep = 0;
  for (const { days } of daysAsleep(c, from, to)) asleep += days;
  return Math.max(0, daysBetween(from, to) - asleep);
}

/** When she was woken last, since a moment; null when she has not slept since. Kept warm, a kind that rests wakes with the season. */
function wokeAt(c: Sleeper, since: Instant): Instant | null {
  let last: Instant | null = null;
  for (const { ms } of daysAsleep(c, since, c.now)) last = instantOf(ms);
  const rests = c.profile.winters.value && c.profile.inTheCold.value === 'rests';
  if (!rests) return last;
  // the winter that ended last: the one that stands around half a year ago, or the present one when it is over
  const spring = [
    winterAround(instantOf(msOf(c.now) - 200 * DAY_MS), c.hemisphere),
    winterAround(c.now, c.hemisphere),
  ]
    .filter((w) => msOf(w.wakeFrom) <= msOf(c.now) && msOf(w.begin) >= msOf(since))
    .map((w) => w.wakeFrom);
  return latest(last, ...spring);
}

/** She was woken so lately that lying still is usual: nothing is said of never having mated. */
export function justWoken(c: Sleeper, since: Instant): boolean {
  const woke = wokeAt(c, since);
  return woke !== null && daysBetween(woke, c.now) < figure('afterWakingDays');
}
