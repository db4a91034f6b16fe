import { latest, type Interval } from '../quantity';
import type { Milestone } from '../species';
import type { QueenLedger } from './ledger/queen-ledger';
import type { Outlook } from './outlook/outlook';

/**
 * Between which two moments a stage first came: not there at the one, there at the other. It cannot have come before the stage before it
 * and the shortest time that takes at her warmth, however long nobody looked.
 */
export function seenBetween(
  { ledger, outlook }: { ledger: Pick<QueenLedger, 'appearances'>; outlook: Outlook | null },
  stage: Milestone,
): Interval {
  const { interval } = ledger.appearances[stage];
  // what came with her, or had come before she was taken in, was not waited for
  if (interval.after === null || interval.by === null) return interval;
  const earliest = outlook?.events[stage].earliest ?? null;
  return { ...interval, after: latest(interval.after, earliest) };
}
