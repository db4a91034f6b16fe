import { DAY_MS } from '@gentle-burrow/core/quantity';
import { asBefore, stillThere, type Offer, type OutlookEvent } from '@gentle-burrow/core/founding';
import { effectiveEntries, type BodyOf, type Entry } from '@gentle-burrow/core/log';
import type { FeedOutcome, Meal } from '@gentle-burrow/core/vocabulary';
import type { Instant } from '@gentle-burrow/core/quantity';
import type { QueenView, ShelfRow } from '@gentle-burrow/core/view';
import type { Preferences } from '@/theme/preferences';
import { phraseText } from '@/ui/Said';
import { chanceText } from '@/words/chance';
import { AWAITED } from '@/words/stages';

/** What became of one tube in this round. */
export type Outcome = 'no-change' | 'looked' | 'skipped';

/** A round under way: kept on this device, so that it can be left and gone on with. */
export interface Round {
  /** When it began; null before. */
  at: Instant | null;
  /** Queens in the order of the shelf; empty before it has begun. */
  queue: string[];
  done: Record<string, Outcome>;
  /** What each was expected to show next when the round began. */
  before: Record<string, { event: OutlookEvent; p50: Instant | null } | null>;
}

export const NO_ROUND: Round = { at: null, queue: [], done: {}, before: {} };

/** Who may be looked at, and who rests and is left out unless the keeper says otherwise. */
export function whoIsDue(rows: readonly ShelfRow[]): { due: ShelfRow[]; resting: ShelfRow[] } {
  const living = rows.filter((r) => !r.lost);
  return {
    due: living.filter((r) => r.pressure !== 'rest'),
    resting: living.filter((r) => r.pressure === 'rest'),
  };
}

export const begin = (rows: readonly ShelfRow[], at: Instant): Round => ({
  at,
  queue: rows.map((r) => r.queen.id),
  done: {},
  before: Object.fromEntries(
    rows.map((r) => [r.queen.id, r.next ? { event: r.next.event, p50: r.next.band.p50 } : null]),
  ),
});

/** What a finished round changed is told for so long; then the next one is asked for. */
const TOLD_MS = 12 * 3_600_000;
export const isTold = (round: Round, now: Date): boolean =>
  current(round) === null && (round.at === null || now.getTime() - Date.parse(round.at) > TOLD_MS);

/** The tube at hand; null when the round is over. */
export const current = ({ queue, done }: Round): string | null => queue.find((id) => !(id in done)) ?? null;

/** Whether she was looked at since the round began, wherever that was written: she is not asked for a second time. */
export const lookedSince = (entries: readonly Entry[], since: Instant | null): boolean =>
  since !== null &&
  effectiveEntries(entries).some(
    ({ entry, original }) => entry?.kind === 'look' && entry.at >= since && original.loggedAt >= since,
  );

/** What is done with food at one tube of the round. */
export interface FoodDone {
  /** What was offered now; null for nothing. */
  offered: Meal | null;
  /** What became of what stood there, by the offer. */
  became: Record<string, FeedOutcome>;
}

export const NO_FOOD: FoodDone = { offered: null, became: {} };

/** Food that may still stand at her tube, each kind once, the latest. */
export const standing = (view: QueenView): Offer[] => [
  ...new Map(view.ledger.offers.filter(stillThere).map((o) => [o.food, o])).values(),
];

/** The feeds to be written for what was done with food, what became of the old before what is new. */
export const feedsOf = (
  { offered, became }: FoodDone,
  there: readonly Offer[],
  at: Instant,
): BodyOf<'feed'>[] => [
  ...there.flatMap(({ entryId: offerId, food }): BodyOf<'feed'>[] => {
    const outcome = became[offerId];
    return outcome ? [{ kind: 'feed', at, food, outcome, offerId }] : [];
  }),
  ...(offered ? [{ kind: 'feed', at, food: offered, outcome: 'offered' } as const] : []),
];

/** One tap: everything as it was last counted, and she was seen. */
export const noChange = (view: QueenView, at: Instant): BodyOf<'look'> => ({ ...asBefore(view.ledger), at });

/** What to check at this tube, and why: what is due, then what is likely to be new. */
export function checksFor(row: ShelfRow | undefined, view: QueenView, units: Preferences): string[] {
  const next = view.outlook?.next;
  const chance = next ? view.outlook?.events[next].byNow : undefined;
  return [
    ...(row?.pressure === 'now' || row?.pressure === 'soon' ? [phraseText(row.says, units)] : []),
    ...(next && chance !== undefined
      ? [
          `${next === 'firstBatchEnd' ? 'Is the first batch complete' : `Are there ${AWAITED[next]}`}? By now ${chanceText(chance)}.`,
        ]
      : []),
    ...(view.ledger.wetFront === null && view.part.kind === 'tube'
      ? ['How far is the plug wet? Nobody has noted it.']
      : []),
    ...(view.ledger.mould && view.ledger.mould.value !== 'none' ? ['Has the mould spread?'] : []),
    ...(view.counsel?.water && view.counsel.water.readings < 2
      ? ['Read the water line: it corrects the reckoning.']
      : []),
  ];
}

export interface Change {
  id: string;
  label: string;
  outcome: Outcome;
  says: string;
}

/** What the round changed in the outlook, queen by queen. */
export function changes(round: Round, rows: readonly ShelfRow[], dayText: (at: Instant) => string): Change[] {
  return round.queue.flatMap((id) => {
    const row = rows.find((r) => r.queen.id === id);
    const outcome = round.done[id];
    if (!row || !outcome) return [];
    return [{ id, label: row.queen.label, outcome, says: shift(round.before[id] ?? null, row, dayText) }];
  });
}

function shift(
  before: Round['before'][string] | null,
  row: ShelfRow,
  dayText: (at: Instant) => string,
): string {
  const now = row.next;
  if (!before || !now) return row.lost ? 'lost' : 'nothing more is awaited';
  if (before.event !== now.event)
    return `${AWAITED[before.event]} seen; next ${AWAITED[now.event]}${when(now.band.p50, dayText)}`;
  const [a, b] = [before.p50, now.band.p50];
  if (!a || !b) return `${AWAITED[now.event]}${when(b, dayText)}`;
  const days = Math.round((Date.parse(b) - Date.parse(a)) / DAY_MS);
  if (days === 0) return `${AWAITED[now.event]} as before, about ${dayText(b)}`;
  return `${AWAITED[now.event]} ${Math.abs(days)} ${Math.abs(days) === 1 ? 'day' : 'days'} ${days > 0 ? 'later' : 'sooner'}, about ${dayText(b)}`;
}

const when = (at: Instant | null, dayText: (at: Instant) => string): string =>
  at ? ` about ${dayText(at)}` : '';
