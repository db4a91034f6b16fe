import type { Entry } from '@gentle-burrow/core/log';
import { addDays, DAY_MS, msOf, type Instant } from '@gentle-burrow/core/quantity';
import { useSyncExternalStore } from 'react';
import type { Outgoing } from './outbox';

/** Clocks that differ by no more are taken to be alike: an answer takes its time, and nobody sets a clock to the second. Prior. */
const ALIKE_MS = 5 * 60_000;
/** What is written so soon after it happened was dated by the clock, not by the keeper. */
const AT_ONCE_MS = 5 * 60_000;

let aheadMs = 0;
const listeners = new Set<() => void>();

/** Hears what the server's clock shows, and how long ago at the most. */
export function noteServerClock(serverNow: Instant, askedMs: number, answeredMs: number): void {
  const ms = Date.parse(serverNow);
  if (Number.isNaN(ms)) return;
  aheadMs = (askedMs + answeredMs) / 2 - ms;
  for (const l of listeners) l();
}

/** By how much this device's clock is ahead of the server's, ms; behind where it is negative; 0 where they are alike. */
export const clockAheadMs = (): number => (Math.abs(aheadMs) > ALIKE_MS ? aheadMs : 0);

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}
export const useClockAhead = (): number => useSyncExternalStore(subscribe, clockAheadMs, () => 0);

/** A difference that can be allowed for: of more than a day nobody knows which of the two clocks is right. */
export const canBeAllowedFor = (ms: number): boolean => Math.abs(ms) <= DAY_MS;

/**
 * What was written by a clock that is wrong, by the server's: in the same order, and with what the device showed. A day that the keeper
 * chose stays, unless it would lie in the future.
 */
export function allowedFor(out: Outgoing, ahead: number, nowMs = Date.now()): Outgoing {
  const right = (at: Instant): Instant => addDays(at, -ahead / DAY_MS);
  const lies = (at: Instant) => msOf(at) > nowMs - ahead;
  const byClock = (at: Instant, loggedAt: Instant) => Math.abs(msOf(loggedAt) - msOf(at)) <= AT_ONCE_MS;
  const entry = <E extends Entry>(e: E): E => {
    const shifts = byClock(e.at, e.loggedAt) || lies(e.at);
    const put =
      e.kind === 'amendment' && e.replacement && lies(e.replacement.at)
        ? { replacement: { ...e.replacement, at: right(e.replacement.at) } }
        : {};
    return {
      ...e,
      ...put,
      at: shifts ? right(e.at) : e.at,
      loggedAt: right(e.loggedAt),
      ...(shifts ? { ownAt: e.at } : {}),
    };
  };
  switch (out.what) {
    case 'entries':
      return { ...out, entries: out.entries.map(entry) };
    case 'queen': {
      const { queen, home, intake } = out.body;
      const put = entry(intake);
      // her tube was set up when she came into it: the two stay one moment
      const together = home.setUpAt === intake.at;
      return {
        ...out,
        body: {
          ...out.body,
          queen: { ...queen, createdAt: right(queen.createdAt) },
          home: {
            ...home,
            setUpAt: together ? put.at : lies(home.setUpAt) ? right(home.setUpAt) : home.setUpAt,
          },
          intake: put,
        },
      };
    }
    case 'photo':
      return lies(out.at) ? { ...out, at: right(out.at) } : out;
    case 'stock-move':
      return lies(out.move.at) ? { ...out, move: { ...out.move, at: right(out.move.at) } } : out;
    default:
      return out;
  }
}
