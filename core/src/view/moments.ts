import type { Outlook, QueenLedger } from '../founding';
import type { KindName } from '../log';
import { addDays, daysBetween, type Instant } from '../quantity';
import { MILESTONES, type Milestone } from '../species';
import type { QueenFacts } from './basis';

/** The first of a stage in a colony's life. */
export interface Moment {
  stage: Milestone;
  /** The look that showed it. */
  entryId: string;
  /** Days after she was taken in: not there yet at `low`, there at `high`. */
  days: { low: number; high: number };
  /** The middle of that time. */
  at: Instant;
}

/**
 * What a look has shown for the first time, the latest last. What came with her, was given to her, or was only concluded from a later
 * stage is no first sight; nor is what may have been there before anybody looked.
 */
export function momentsOf({ intake, appearances, broodMoves }: QueenLedger): Moment[] {
  if (!intake || broodMoves.length > 0) return [];
  return MILESTONES.flatMap((stage): Moment[] => {
    const { interval, byEntry, implied } = appearances[stage];
    const { after, by } = interval;
    if (after === null || by === null || byEntry === null || implied || byEntry === intake.entryId) return [];
    const days = { low: Math.max(0, daysBetween(intake.at, after)), high: daysBetween(intake.at, by) };
    return [{ stage, entryId: byEntry, days, at: addDays(intake.at, (days.low + days.high) / 2) }];
  });
}

/** Entries that say where and how she lives, and nothing of what she has. */
const CIRCUMSTANCE: readonly KindName[] = ['intake', 'move', 'winter', 'heat', 'home', 'identify', 'correct'];

/** Her log as if nobody had looked: what would be expected of any queen of her kind in her warmth. */
export const withoutSightings = (facts: QueenFacts): QueenFacts => ({
  ...facts,
  entries: facts.entries.filter((e) => e.kind === 'amendment' || CIRCUMSTANCE.includes(e.kind)),
});

/**
 * The share of her kind, of those that lay, in which a stage comes later than in her: 0.5 is the middle.
 * @param expected the outlook of a queen of whom nothing was seen, at the moment in which it came to this one
 */
export const shareLater = (expected: Pick<Outlook, 'events' | 'neverLays'>, stage: Milestone): number =>
  1 - Math.min(1, expected.events[stage].byNow / (1 - expected.neverLays));

/** "sooner than about 7 in 10 of her species", "about as soon as most of her species". */
export function soonerWords(later: number): string {
  const tenths = (share: number) => Math.min(9, Math.max(1, Math.round(10 * share)));
  const n = tenths(later);
  if (n >= 6) return `sooner than about ${n} in 10 of her species`;
  if (n <= 4) return `later than about ${tenths(1 - later)} in 10 of her species`;
  return 'about when half of her species have them';
}
