import { BROOD } from '../../facts';
import { countRange, interval, isNone, isSome, latest, type CountRange, type Instant } from '../../quantity';
import { MILESTONES, type Milestone } from '../../species';
import type { Observation } from './batches';
import { ownCounts } from './foreign';
import { byMilestone, noAppearance, type QueenLedger } from './queen-ledger';
import { fullCount, vanishedBetween } from './vanished';

export type Counts = Partial<Record<Milestone, CountRange | undefined>>;

/** What one look or intake counted: first appearances, last counts, and brood that was lost. */
export function observe(
  one: QueenLedger,
  entry: { at: Instant; id: string },
  counts: Counts,
  dead: CountRange | undefined,
  observations: Observation[],
  winged?: CountRange,
): void {
  const own = ownCounts(one.broodMoves, counts, entry.at);
  observations.push({ at: entry.at, entryId: entry.id, counts: own });
  const counted = MILESTONES.flatMap((m) => {
    const c = counts[m];
    return c === undefined ? [] : [{ m, range: countRange(c.low, c.high, m, c.word) }];
  });
  const full = fullCount(counts, entry.at, entry.id, dead, winged);
  if (full) {
    const lost = one.lastFull && vanishedBetween(one.lastFull, full);
    if (lost) one.vanished.push(lost);
    one.lastFull = full;
  }
  askAfterEggs(one, counts, entry);
  if (!(winged && isSome(winged)) && broodIsGone(one, counts)) restart(one, entry);
  for (const { m, range } of counted) {
    one.counts[m] = { range, at: entry.at, entryId: entry.id };
    if (m === 'workers' && isSome(range)) one.lastWorkers = one.counts[m];
    const hers = own[m];
    if (hers && isSome(hers)) appear(one, m, entry);
  }
  for (const { m, range } of counted) {
    const a = one.appearances[m];
    if (!isNone(range) || a.interval.by !== null) continue;
    a.interval = { after: entry.at, by: null };
    a.afterEntry = entry.id;
    a.absentAt.push(entry.at);
  }
}

function appear(one: QueenLedger, milestone: Milestone, entry: { at: Instant; id: string }): void {
  const upTo = MILESTONES.indexOf(milestone);
  for (let i = 0; i <= upTo; i++) {
    const a = one.appearances[MILESTONES[i] as Milestone];
    if (a.interval.by !== null) continue;
    a.interval = interval(a.interval.after, entry.at);
    a.byEntry = entry.id;
    a.implied = i < upTo;
  }
}

const none = (counts: Counts, m: Milestone): boolean => {
  const c = counts[m];
  return c !== undefined && isNone(c);
};
/** Counted as none, or not counted where none had ever been. */
const noneOrNever = (one: QueenLedger, counts: Counts, m: Milestone): boolean =>
  counts[m] === undefined ? one.appearances[m].interval.by === null : none(counts, m);

/**
 * Eggs had been there, no worker came, and a look found neither eggs nor anything that they could have become. Where all of it
 * was given to another colony, none is gone in this sense.
 */
function broodIsGone(one: QueenLedger, counts: Counts): boolean {
  const left = BROOD.some((b) => one.counts[b] && isSome(one.counts[b].range));
  if (!left && one.broodMoves.some((b) => b.way === 'given')) return false;
  return (
    one.appearances.eggs.interval.by !== null &&
    one.appearances.workers.interval.by === null &&
    none(counts, 'eggs') &&
    none(counts, 'larvae') &&
    noneOrNever(one, counts, 'pupae') &&
    noneOrNever(one, counts, 'workers')
  );
}

/** Eggs are gone, and nobody said whether they have hatched. */
function askAfterEggs(one: QueenLedger, counts: Counts, entry: { at: Instant; id: string }): void {
  const had = one.counts.eggs;
  if (none(counts, 'eggs') && counts.larvae === undefined && had && isSome(had.range))
    one.eggsUnclear = { at: entry.at, entryId: entry.id, eggsAt: had.at };
  else if (counts.larvae !== undefined || (counts.eggs && isSome(counts.eggs))) one.eggsUnclear = null;
}

/** How many there had been at the most; null when nobody counted to an end. */
function mostOf({ counts }: QueenLedger): number | null {
  let sum = 0;
  for (const b of BROOD) {
    const range = counts[b]?.range;
    if (range && range.high === null) return null;
    sum += range?.high ?? 0;
  }
  return sum;
}

function restart(one: QueenLedger, entry: { at: Instant; id: string }): void {
  const withBrood = (['eggs', 'larvae', 'pupae'] as const).map((m) =>
    one.counts[m] && isSome(one.counts[m].range) ? one.counts[m].at : null,
  );
  const [, larvae, pupae] = withBrood;
  one.broodLost.push({
    interval: { after: latest(...withBrood), by: entry.at },
    what: larvae || pupae ? 'brood' : 'eggs',
    most: mostOf(one),
    entryId: entry.id,
  });
  one.appearances = byMilestone(noAppearance);
}
