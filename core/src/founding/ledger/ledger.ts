import { addDays, daysBetween, msOf, need, type Instant } from '../../quantity';
import { disturbanceOf, effectiveEntries, type Entry, type FactEntry } from '../../log';
import type { Milestone } from '../../species';
import { batchesOf, type Observation } from './batches';
import { contradictionsIn } from './contradictions';
import { FOLDS, OWN_LOG, type Fold } from './folds';
import { byMilestone, emptyLedger, type QueenLedger } from './queen-ledger';

/** A clock may run a little ahead of another; more than this is a wrong date. */
const CLOCK_TOLERANCE_DAYS = 10 / 1440;

/**
 * Folds log entries into what is known of each queen now. Amendments are applied; order of the entries does not matter.
 * @param ignored ids of entries that cannot be, and count for nothing until they are put right
 * @returns by queen id
 * @throws InputError for a date in the future or not a date, and for counts or lines that cannot be
 */
export function ledger(
  entries: readonly Entry[],
  now: Instant,
  ignored: ReadonlySet<string> = new Set(),
): Record<string, QueenLedger> {
  const limit = msOf(addDays(now, CLOCK_TOLERANCE_DAYS));
  const byQueen: Record<string, QueenLedger> = {};
  const facts: Record<string, FactEntry[]> = {};
  const seen: Record<string, Observation[]> = {};
  for (const { entry } of effectiveEntries(entries)) {
    if (entry === null || ignored.has(entry.id)) continue;
    need(
      msOf(entry.at) <= limit,
      'at',
      `The ${entry.kind} of ${entry.at.slice(0, 16).replace('T', ' ')} lies in the future. Correct its date.`,
    );
    const one = (byQueen[entry.queenId] ??= emptyLedger(entry.queenId));
    (facts[entry.queenId] ??= []).push(entry);
    fold(one, entry, (seen[entry.queenId] ??= []));
  }
  for (const [id, one] of Object.entries(byQueen)) {
    one.contradictions = contradictionsIn(facts[id] ?? [], seen[id] ?? []);
    const since = one.broodLost[one.broodLost.length - 1]?.interval.by ?? null;
    const first = (m: Milestone) => one.appearances[m].interval;
    one.batches = batchesOf(seen[id] ?? [], byMilestone(first), since);
    finish(one, now);
  }
  return byQueen;
}

function fold(one: QueenLedger, entry: FactEntry, observations: Observation[]): void {
  const kind = disturbanceOf(entry);
  if (kind !== null) {
    one.lastDisturbed = { at: entry.at, entryId: entry.id };
    one.disturbances.push({ kind, at: entry.at, entryId: entry.id });
  }
  (FOLDS[entry.kind] as Fold<never>)(one, entry as never, observations);
}

function finish(one: QueenLedger, now: Instant): void {
  const pupae = one.appearances.pupae;
  const unfed = one.offers.length === 0 && !one.welcomeDrop;
  if (pupae.byEntry && pupae.byEntry !== one.intake?.entryId && unfed)
    one.founderSigns.push({ kind: 'brood-unfed', value: true, source: OWN_LOG, entryId: pupae.byEntry });
  if (one.lastDisturbed) one.daysSinceDisturbed = Math.max(0, daysBetween(one.lastDisturbed.at, now));
}
