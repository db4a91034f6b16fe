import { caughtAlone } from '../../facts/vocabulary';
import { CASTES, foodsOf, MOULD_SIZES, type MouldSize } from '../../facts';
import type { EntryOf, KindName, Tally } from '../../log';
import { countRange, isNone, isSome, need, type Instant } from '../../quantity';
import { MILESTONES } from '../../species';
import { observe, type Counts } from './observe';
import type { Observation } from './batches';
import { foldBrood } from './foreign';
import { foldFeed, leaveBehind } from './offers';
import { FIRST_TUBE, unseenTube, type QueenLedger } from './queen-ledger';

export type Fold<K extends KindName> = (
  one: QueenLedger,
  entry: EntryOf<K>,
  observations: Observation[],
) => void;

export const OWN_LOG = 'your log';

const seenIn = (entry: { at: Instant; id: string }) => ({ at: entry.at, entryId: entry.id });

/** How each kind of entry changes what is known of a queen. */
export const FOLDS: { [K in KindName]: Fold<K> } = {
  intake(one, entry, observations) {
    const seen = seenIn(entry);
    one.intake = {
      ...seen,
      earliest: entry.earliest ?? null,
      found: entry.found,
      wings: entry.wings,
      queens: entry.queens ?? 1,
      where: entry.where ?? null,
    };
    one.species = entry.species;
    if (entry.inspection) {
      const { findings, quarantineUntil = null } = entry.inspection;
      one.health = { ...seen, findings, quarantineUntil };
    }
    if (entry.welcomeDrop) one.welcomeDrop = seen;
    if (entry.wings !== 'unknown')
      one.founderSigns.push({ kind: 'wings', value: entry.wings, source: OWN_LOG, entryId: entry.id });
    const none = caughtAlone(entry.found) ? { low: 0, high: 0 } : undefined;
    const counts = {
      eggs: entry.eggs ?? none,
      larvae: entry.larvae ?? none,
      pupae: entry.pupae ?? none,
      workers: entry.workers ?? none,
    };
    // the brood was looked at when she was found, which is not later than the earliest day that may be
    observe(one, { ...entry, at: entry.earliest ?? entry.at }, counts, undefined, observations);
  },

  look(one, entry, observations) {
    const seen = seenIn(entry);
    one.looksSpent += 1;
    one.lastLook = seen;
    const before = one.counts.workers;
    observe(one, entry, entry, entry.deadWorkers, observations, entry.alates);
    // those found dead are fewer alive, where nobody counted the living as well
    if (!entry.workers && entry.deadWorkers && before) {
      const { low, high } = entry.deadWorkers;
      one.counts.workers = {
        ...seen,
        range: {
          low: Math.max(0, before.range.low - (high ?? Infinity)),
          high: before.range.high === null ? null : Math.max(0, before.range.high - low),
        },
      };
    }
    if (entry.workers || entry.deadWorkers)
      one.workerLook = {
        ...seen,
        before,
        workers: entry.workers ?? null,
        dead: entry.deadWorkers ?? null,
      };
    foldCastes(one, entry);
    if (entry.waterLineMm !== undefined) {
      need(
        Number.isFinite(entry.waterLineMm) && entry.waterLineMm >= 0,
        'waterLineMm',
        `The water line (${entry.waterLineMm}) is not a length from the closed end. Give it in mm, 0 or more.`,
      );
      one.waterReadings.push({ ...seen, mm: entry.waterLineMm });
    }
    if (entry.wetFront) one.wetFront = lasting(one.wetFront, entry.wetFront, seen);
    foldTroubles(one, entry);
    if (entry.queen === 'seen') {
      one.queenSeen = { ...seen, atMm: entry.queenAtMm ?? null };
      if (entry.queenAtMm !== undefined) one.seats.push({ ...seen, atMm: entry.queenAtMm });
      one.queenMissing = [];
    } else if (entry.queen === 'not-seen') one.queenMissing.push(seen);
    if (entry.queensSeen !== undefined) one.queensSeen = { ...seen, n: entry.queensSeen };
  },

  feed(one, entry) {
    const workersThere = one.counts.workers !== null && isSome(one.counts.workers.range);
    foldFeed(one.offers, entry, workersThere);
    // what workers eat says nothing of her
    if (workersThere || !foodsOf(entry.food).includes('protein')) return;
    if (entry.outcome !== 'taken' && entry.outcome !== 'left') return;
    const value = entry.outcome === 'taken' ? 'accepted' : 'refused';
    one.founderSigns.push({ kind: 'protein', value, source: OWN_LOG, entryId: entry.id });
  },

  heat(one, entry) {
    const { matMm, roomC, readings, setC } = entry;
    one.heats.push({ ...seenIn(entry), matMm, roomC, readings, setC });
  },

  winter(one, entry) {
    one.winterPlan = entry.plan ? { entryId: entry.id, ...entry.plan } : null;
  },

  move(one, entry) {
    one.moves.push({ ...seenIn(entry), placeId: entry.placeId });
  },

  health(one, entry) {
    one.health = {
      ...seenIn(entry),
      findings: entry.findings,
      quarantineUntil: entry.quarantineUntil,
    };
  },

  identify(one, entry) {
    one.species = entry.species;
  },

  sign(one, entry) {
    const from = { source: OWN_LOG, entryId: entry.id };
    if (entry.shape !== undefined) one.founderSigns.push({ kind: 'shape', value: entry.shape, ...from });
    if (entry.restless !== undefined)
      one.founderSigns.push({ kind: 'restless', value: entry.restless, ...from });
    if (entry.protein !== undefined)
      one.founderSigns.push({ kind: 'protein', value: entry.protein, ...from });
    if (entry.broodUnfed !== undefined)
      one.founderSigns.push({ kind: 'brood-unfed', value: entry.broodUnfed, ...from });
  },

  rest(one, entry) {
    one.restUntil = { until: entry.until, entryId: entry.id };
  },

  loss(one, entry) {
    one.loss = {
      ...seenIn(entry),
      how: entry.how,
      cause: entry.cause,
      certainty: entry.certainty ?? null,
      orphans: entry.colonyGoesOn ?? false,
    };
  },

  brood: foldBrood,

  // felt, but nothing is learned of her
  knock() {},
  note() {},
  // what it puts right stands outside the ledger
  correct() {},

  home(one, entry, observations) {
    const { change } = entry;
    if (change.what === 'set-up') one.elsewhere[change.part.id] = unseenTube();
    if (change.what !== 'moved-in' && change.what !== 'cleaned') return;
    const id = tubeKey(one, change.partId);
    if (change.what === 'cleaned') {
      const cleaned = id === one.livesIn ? one : (one.elsewhere[id] ??= unseenTube());
      Object.assign(cleaned, { mould: null, mouldSize: null, mouldGrew: null, troubles: [] });
      return;
    }
    if (change.queen === true && id !== one.livesIn) {
      livesNowIn(one, id);
      leaveBehind(one.offers, seenIn(entry));
    }
    if (change.tally) observe(one, entry, talliedCounts(change.tally), undefined, observations);
    if (change.waterLineMm === undefined) return;
    const reading = { ...seenIn(entry), mm: change.waterLineMm };
    (id === one.livesIn ? one : (one.elsewhere[id] ??= unseenTube())).waterReadings.push(reading);
  },
};

/** What came in was counted one by one; what nobody touched was not counted. */
function talliedCounts({ out, into }: Tally): Counts {
  const counted = MILESTONES.filter((m) => out[m] !== undefined || into[m] !== undefined);
  return Object.fromEntries(counted.map((m) => [m, countRange(into[m] ?? 0, into[m] ?? 0, m)]));
}

/** A tube that no entry set up is the one she was taken in with. */
const tubeKey = (one: QueenLedger, partId: string): string =>
  partId === one.livesIn || partId in one.elsewhere ? partId : FIRST_TUBE;

/** She lives in another tube: what was read and seen of the one she left stays with it. */
function livesNowIn(one: QueenLedger, id: string): void {
  const { waterReadings, wetFront, mould, mouldSize, mouldGrew, troubles } = one;
  one.elsewhere[one.livesIn] = { waterReadings, wetFront, mould, mouldSize, mouldGrew, troubles };
  Object.assign(one, one.elsewhere[id] ?? unseenTube());
  delete one.elsewhere[id];
  one.livesIn = id;
  // where she sat in the other is no place in this one
  if (one.queenSeen) one.queenSeen = { ...one.queenSeen, atMm: null };
}

/** A state of the tube, with the look since which it has been so. */
function lasting<V>(
  had: { value: V; since: Instant } | null,
  value: V,
  seen: { at: Instant; entryId: string },
) {
  return { ...seen, value, since: had?.value === value ? had.since : seen.at };
}

/** What a look says of mould, and of all else that is wrong with the part she lives in. */
function foldTroubles(one: QueenLedger, look: EntryOf<'look'>): void {
  const seen = seenIn(look);
  if (look.mould === 'none') Object.assign(one, { mouldSize: null, mouldGrew: null });
  else if (look.mouldSize) {
    const rank = (size: MouldSize) => MOULD_SIZES.indexOf(size);
    if (one.mouldSize && rank(look.mouldSize) > rank(one.mouldSize)) one.mouldGrew = seen;
    one.mouldSize = look.mouldSize;
  }
  if (look.mould) one.mould = lasting(one.mould, look.mould, seen);
  if (look.troubles)
    one.troubles = look.troubles.map((what) => ({
      ...seen,
      what,
      since: one.troubles.find((t) => t.what === what)?.since ?? look.at,
    }));
}

/** What a look says of workers of a kind, of winged young and of the dead. */
function foldCastes(one: QueenLedger, look: EntryOf<'look'>): void {
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
  if (look.deadWorkers && !isNone(look.deadWorkers)) {
    const { low, high } = look.deadWorkers;
    const before = one.deadWorkers;
    one.deadWorkers = {
      low: before.low + low,
      high: before.high === null || high === null ? null : before.high + high,
    };
  }
  if (look.pupaeIn) one.pupaeIn = look.pupaeIn;
}
