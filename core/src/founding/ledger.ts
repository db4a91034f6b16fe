import {
  addDays,
  countRange,
  daysBetween,
  interval,
  isNone,
  isSome,
  latest,
  msOf,
  need,
  type CountRange,
  type Instant,
} from '../quantity';
import { CASTES, effectiveEntries, type Entry, type FactEntry } from '../log';
import { MILESTONES, type Milestone } from '../species';
import { batchesOf, type Observation } from './batches';
import { contradictionsIn } from './contradictions';
import { byMilestone, emptyLedger, noAppearance, type Disturbance, type QueenLedger } from './queen-ledger';
import { fullCount, vanishedBetween } from './vanished';

/** A clock may run a little ahead of another; more than this is a wrong date. */
const CLOCK_TOLERANCE_DAYS = 10 / 1440;

/**
 * Folds log entries into what is known of each queen now. Amendments are applied; order of the entries does not matter.
 * @returns by queen id
 * @throws InputError for a date in the future or not a date, and for counts or lines that cannot be
 */
export function ledger(entries: readonly Entry[], now: Instant): Record<string, QueenLedger> {
  const limit = msOf(addDays(now, CLOCK_TOLERANCE_DAYS));
  const byQueen: Record<string, QueenLedger> = {};
  const facts: Record<string, FactEntry[]> = {};
  const seen: Record<string, Observation[]> = {};
  for (const { entry } of effectiveEntries(entries)) {
    if (entry === null) continue;
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
  const seen = { at: entry.at, entryId: entry.id };
  switch (entry.kind) {
    case 'intake': {
      one.intake = {
        ...seen,
        earliest: entry.earliest ?? null,
        found: entry.found,
        wings: entry.wings,
        queens: entry.queens ?? 1,
      };
      one.species = entry.species;
      disturb(one, entry);
      if (entry.inspection) {
        const { findings, quarantineUntil = null } = entry.inspection;
        one.health = { ...seen, findings, quarantineUntil };
      }
      if (entry.welcomeDrop) one.welcomeDrop = { ...seen, goneAt: null };
      if (entry.wings !== 'unknown')
        one.founderSigns.push({ kind: 'wings', value: entry.wings, source: OWN_LOG, entryId: entry.id });
      const caughtAlone = ['walking', 'digging', 'in-water'].includes(entry.found);
      const none = caughtAlone ? { low: 0, high: 0 } : undefined;
      // the brood was looked at when she was found, which is not later than the earliest day that may be
      observe(
        one,
        { ...entry, at: entry.earliest ?? entry.at },
        {
          eggs: entry.eggs ?? none,
          larvae: entry.larvae ?? none,
          pupae: entry.pupae ?? none,
          workers: entry.workers ?? none,
        },
        observations,
      );
      break;
    }
    case 'look':
      one.looksSpent += 1;
      one.lastLook = seen;
      disturb(one, entry);
      observe(one, entry, entry, observations);
      foldCastes(one, entry);
      if (entry.waterLineMm !== undefined) {
        need(
          Number.isFinite(entry.waterLineMm) && entry.waterLineMm >= 0,
          'waterLineMm',
          `The water line (${entry.waterLineMm}) is not a length from the closed end. Give it in mm, 0 or more.`,
        );
        one.waterReadings.push({ ...seen, mm: entry.waterLineMm });
      }
      if (entry.wetFront) one.wetFront = { ...seen, value: entry.wetFront };
      if (entry.mould) one.mould = { ...seen, value: entry.mould };
      if (entry.queen === 'seen') one.queenSeen = { ...seen, atMm: entry.queenAtMm ?? null };
      if (entry.queensSeen !== undefined) one.queensSeen = { ...seen, n: entry.queensSeen };
      break;
    case 'feed':
      disturb(one, entry);
      // taking leftovers out disturbs her, but feeds nobody
      if (entry.outcome !== 'removed') one.lastFeed = { ...seen, food: entry.food, outcome: entry.outcome };
      if (
        one.welcomeDrop &&
        one.welcomeDrop.goneAt === null &&
        entry.outcome !== 'offered' &&
        entry.food !== 'protein'
      )
        one.welcomeDrop.goneAt = entry.at;
      if (entry.food !== 'sugar' && (entry.outcome === 'taken' || entry.outcome === 'left')) {
        const value = entry.outcome === 'taken' ? 'accepted' : 'refused';
        one.founderSigns.push({ kind: 'protein', value, source: OWN_LOG, entryId: entry.id });
      }
      break;
    case 'knock':
      disturb(one, entry);
      break;
    case 'move':
      disturb(one, entry);
      one.moves.push({ ...seen, placeId: entry.placeId });
      break;
    case 'health':
      disturb(one, entry);
      one.health = { ...seen, findings: entry.findings, quarantineUntil: entry.quarantineUntil };
      break;
    case 'identify':
      one.species = entry.species;
      break;
    case 'sign':
      addSigns(one, entry);
      break;
    case 'rest':
      one.restUntil = { until: entry.until, entryId: entry.id };
      break;
    case 'loss':
      one.loss = {
        ...seen,
        how: entry.how,
        cause: entry.cause,
        certainty: entry.certainty ?? null,
        orphans: entry.colonyGoesOn ?? false,
      };
      break;
    case 'note':
      break;
  }
}

function disturb(one: QueenLedger, { kind, at, id }: FactEntry): void {
  one.lastDisturbed = { at, entryId: id };
  one.disturbances.push({ kind: kind as Disturbance, at, entryId: id });
}

const OWN_LOG = 'your log';

function addSigns(one: QueenLedger, entry: FactEntry & { kind: 'sign' }): void {
  const from = { source: OWN_LOG, entryId: entry.id };
  if (entry.shape !== undefined) one.founderSigns.push({ kind: 'shape', value: entry.shape, ...from });
  if (entry.restless !== undefined)
    one.founderSigns.push({ kind: 'restless', value: entry.restless, ...from });
  if (entry.protein !== undefined) one.founderSigns.push({ kind: 'protein', value: entry.protein, ...from });
  if (entry.broodUnfed !== undefined)
    one.founderSigns.push({ kind: 'brood-unfed', value: entry.broodUnfed, ...from });
}

type Counts = Partial<Record<Milestone, CountRange | undefined>>;

/** What a look says of workers of a kind, of winged young and of the dead. */
function foldCastes(one: QueenLedger, look: FactEntry & { kind: 'look' }): void {
  for (const caste of CASTES) {
    const c = look[caste];
    if (c === undefined) continue;
    const last = { range: countRange(c.low, c.high, caste, c.word), at: look.at, entryId: look.id };
    const had = one.castes[caste];
    if (had?.first.by) one.castes[caste] = { first: had.first, last };
    else
      one.castes[caste] = {
        first: isSome(c) ? { after: had?.last.at ?? null, by: look.at } : { after: look.at, by: null },
        last,
      };
  }
  if (look.deadWorkers) {
    const { low, high } = look.deadWorkers;
    const before = one.deadWorkers;
    one.deadWorkers = {
      low: before.low + low,
      high: before.high === null || high === null ? null : before.high + high,
    };
  }
  if (look.pupaeIn) one.pupaeIn = look.pupaeIn;
}

function observe(one: QueenLedger, entry: FactEntry, counts: Counts, observations: Observation[]): void {
  observations.push({ at: entry.at, entryId: entry.id, counts });
  const counted = MILESTONES.flatMap((m) => {
    const c = counts[m];
    return c === undefined ? [] : [{ m, range: countRange(c.low, c.high, m, c.word) }];
  });
  const full = fullCount(counts, entry.at, entry.id, entry.kind === 'look' ? entry.deadWorkers : undefined);
  if (full) {
    const lost = one.lastFull && vanishedBetween(one.lastFull, full);
    if (lost) one.vanished.push(lost);
    one.lastFull = full;
  }
  if (broodIsGone(one, counts)) restart(one, entry);
  for (const { m, range } of counted) {
    one.counts[m] = { range, at: entry.at, entryId: entry.id };
    if (isSome(range)) appear(one, m, entry);
  }
  for (const { m, range } of counted) {
    const a = one.appearances[m];
    if (!isNone(range) || a.interval.by !== null) continue;
    a.interval = { after: entry.at, by: null };
    a.afterEntry = entry.id;
    a.absentAt.push(entry.at);
  }
}

function appear(one: QueenLedger, milestone: Milestone, entry: FactEntry): void {
  const upTo = MILESTONES.indexOf(milestone);
  for (let i = 0; i <= upTo; i++) {
    const a = one.appearances[MILESTONES[i] as Milestone];
    if (a.interval.by !== null) continue;
    a.interval = interval(a.interval.after, entry.at);
    a.byEntry = entry.id;
    a.implied = i < upTo;
  }
}

/** Eggs had been there, no worker came, and a look that counted everything found nothing. */
function broodIsGone(one: QueenLedger, counts: Counts): boolean {
  const none = (m: Milestone) => counts[m] !== undefined && isNone(counts[m]);
  return (
    one.appearances.eggs.interval.by !== null &&
    one.appearances.workers.interval.by === null &&
    none('eggs') &&
    none('larvae') &&
    none('pupae') &&
    (counts.workers === undefined || none('workers'))
  );
}

function restart(one: QueenLedger, entry: FactEntry): void {
  const withBrood = (['eggs', 'larvae', 'pupae'] as const).map((m) =>
    one.counts[m] && isSome(one.counts[m].range) ? one.counts[m].at : null,
  );
  one.broodLost.push({ interval: { after: latest(...withBrood), by: entry.at }, entryId: entry.id });
  one.appearances = byMilestone(noAppearance);
}

function finish(one: QueenLedger, now: Instant): void {
  const pupae = one.appearances.pupae;
  if (pupae.byEntry && pupae.byEntry !== one.intake?.entryId && !one.lastFeed && !one.welcomeDrop)
    one.founderSigns.push({ kind: 'brood-unfed', value: true, source: OWN_LOG, entryId: pupae.byEntry });
  if (one.lastDisturbed) one.daysSinceDisturbed = Math.max(0, daysBetween(one.lastDisturbed.at, now));
}
