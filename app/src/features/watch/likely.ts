import { DAY_MS } from '@gentle-burrow/core/quantity';
import type { LaterOutlook, Outlook } from '@gentle-burrow/core/founding';
import { MILESTONES, type Milestone } from '@gentle-burrow/core/species';
import { listed, numbered } from '@gentle-burrow/core/words';
import { HER_FIRST } from '@/words/stages';

/** "Probably 8 to 14 larvae and 2 to 9 pupae; perhaps eggs." */
export function insideWords({ inside }: LaterOutlook): string {
  const number = (m: Milestone) => {
    const low = Math.max(1, Math.round(inside[m].count.p10));
    const high = Math.max(low, Math.round(inside[m].count.p90));
    return low === high ? numbered(low, m) : `${low} to ${high} ${m}`;
  };
  const there = (from: number, to: number) =>
    MILESTONES.filter((m) => inside[m].chance >= from && inside[m].chance < to);
  const probably = there(0.6, 1.01).map(number);
  const perhaps = there(0.15, 0.6);
  if (probably.length === 0 && perhaps.length === 0) return 'Probably she sits alone and waits.';
  const first =
    probably.length > 0
      ? `Probably ${listed(probably)}`
      : `Probably no brood yet; perhaps ${listed(perhaps)}`;
  return probably.length > 0 && perhaps.length > 0 ? `${first}; perhaps ${listed(perhaps)}.` : `${first}.`;
}

export interface Countdown {
  title: string;
  says: string;
  /** Days from today. */
  low: number;
  middle: number;
  high: number;
}

/** Days until the next thing, as a band; null when nothing is awaited, or it is beyond the horizon. */
export function countdown(outlook: Outlook, now: Date): Countdown | null {
  const event = outlook.next === null || outlook.next === 'firstBatchEnd' ? outlook.next : 'workers';
  const band = event ? outlook.events[event].band : outlook.later?.secondBatch.workers;
  const { p10, p50, p90 } = band ?? {};
  if (!p10 || !p50 || !p90) return null;
  const days = (at: string) => Math.max(0, (Date.parse(at) - now.getTime()) / DAY_MS);
  const [low, middle, high] = [days(p10), days(p50), days(p90)];
  const [from, to] = [Math.round(low), Math.round(high)];
  const says =
    high === 0
      ? 'probably there by now'
      : to <= 1
        ? 'any day now'
        : from < 1
          ? `within ${to} days`
          : from === to
            ? `in about ${to} days`
            : `in ${from} to ${to} days`;
  return { title: event ? HER_FIRST[event] : 'Workers of her second batch', says, low, middle, high };
}
