import { addDays, type CountRange } from '../../quantity';
import type { Entry } from '../../log';
import { speciesProfile } from '../../species/catalogue';
import { placeTemperature } from '../../warmth';
import { stageEvidence } from '../learning';
import { neverLaysPrior } from '../outlook/never-lays';
import { mayBeForeign, ownCounts, type BroodMove } from './foreign';
import { ledger } from './ledger';

// What given brood may and may not prove. Facts of the trade: common practice, no source.

const START = '2026-05-01T18:00:00Z';
const day = (n: number) => addDays(START, n);
const n = (low: number, high: number | null = low): CountRange => ({ low, high });
const received = (at: number, counts: BroodMove['counts']): BroodMove => ({
  at: day(at),
  entryId: `b${at}`,
  way: 'received',
  otherId: 'other',
  counts,
});

let serial = 0;
const entry = (at: number, body: object): Entry =>
  ({ id: `e${++serial}`, queenId: 'q', at: day(at), loggedAt: day(at), ...body }) as Entry;
const intake = () =>
  entry(0, {
    kind: 'intake',
    found: 'walking',
    wings: 'dealate',
    species: { profileId: 'tetramorium-immigrans', sure: 'certain' },
  });
const look = (at: number, [eggs, larvae, pupae, workers]: number[]) =>
  entry(at, {
    kind: 'look',
    queen: 'seen',
    eggs: n(eggs as number),
    larvae: n(larvae as number),
    pupae: n(pupae as number),
    workers: n(workers as number),
  });
const brood = (at: number, way: 'given' | 'received', counts: BroodMove['counts']) =>
  entry(at, { kind: 'brood', way, otherId: 'other', counts });
const ledgerOf = (entries: Entry[], at: number) => {
  const found = ledger(entries, day(at)).q;
  if (!found) throw new Error('no ledger');
  return found;
};

test('what may be foreign moves on through the stages and never back', () => {
  const moves = [received(10, { larvae: 3, pupae: 5 })];
  const at = (stage: 'eggs' | 'larvae' | 'pupae' | 'workers', d: number) =>
    mayBeForeign(moves, stage, day(d));
  expect([at('eggs', 12), at('larvae', 12), at('pupae', 12), at('workers', 12)]).toEqual([0, 3, 8, 8]);
  // before it came there was none of it
  expect(at('pupae', 9)).toBe(0);
  // no pupa lies for half a year; a larva may rest over a winter; workers stay
  expect(at('pupae', 10 + 200)).toBe(3);
  expect(at('workers', 10 + 900)).toBe(8);
});

test('hers is at least what cannot be foreign, and at most what was counted', () => {
  const moves = [received(10, { pupae: 5 })];
  const own = ownCounts(moves, { eggs: n(4), larvae: n(2), pupae: n(7), workers: n(3) }, day(20));
  expect(own).toEqual({ eggs: n(4), larvae: n(2), pupae: n(2, 7), workers: n(0, 3) });
  expect(ownCounts(moves, { pupae: n(0) }, day(20))).toEqual({ pupae: n(0) });
  expect(ownCounts([], { pupae: n(7) }, day(20))).toEqual({ pupae: n(7) });
});

test('given pupae and the workers out of them prove nothing of her, and teach nothing', () => {
  const log = [intake(), look(20, [0, 0, 0, 0]), brood(22, 'received', { pupae: 5 }), look(30, [0, 0, 3, 2])];
  const known = ledgerOf(log, 31);
  expect(known.appearances.eggs.interval).toEqual({ after: day(30), by: null });
  expect(known.appearances.workers.interval.by).toBeNull();
  expect(neverLaysPrior(known)).toBeGreaterThan(0);
  // and yet they are there, and eat
  expect(known.counts.workers?.range).toEqual(n(2));
  expect(known.contradictions).toEqual([]);
  expect(known.broodLost).toEqual([]);
});

test('larvae beside given pupae are hers', () => {
  const known = ledgerOf([intake(), brood(22, 'received', { pupae: 5 }), look(40, [3, 2, 2, 3])], 41);
  expect(known.appearances.larvae.interval.by).toBe(day(40));
  expect(known.appearances.pupae.interval.by).toBeNull();
});

test('more workers than were given are hers', () => {
  const known = ledgerOf([intake(), brood(22, 'received', { pupae: 5 }), look(80, [3, 2, 0, 8])], 81);
  expect(known.appearances.workers.interval.by).toBe(day(80));
});

test('what came and went changes the last counts, and is neither eaten nor lost', () => {
  const donor = ledgerOf([intake(), look(40, [0, 2, 9, 4]), brood(42, 'given', { larvae: 2, pupae: 9 })], 43);
  expect(donor.counts.pupae?.range).toEqual(n(0));
  expect(donor.counts.larvae?.range).toEqual(n(0));
  const after = ledgerOf(
    [intake(), look(40, [0, 2, 9, 4]), brood(42, 'given', { larvae: 2, pupae: 9 }), look(50, [0, 0, 0, 4])],
    51,
  );
  expect(after.vanished).toEqual([]);
  expect(after.broodLost).toEqual([]);
  const had = ledgerOf([intake(), look(20, [2, 0, 0, 0]), brood(22, 'received', { pupae: 6 })], 23);
  expect(had.counts.pupae?.range).toEqual(n(6));
  // nobody had counted her pupae: there are at least those
  expect(
    ledgerOf(
      [intake(), entry(20, { kind: 'look', queen: 'seen', eggs: n(2) }), brood(22, 'received', { pupae: 6 })],
      23,
    ).counts.pupae?.range,
  ).toEqual(n(6));
});

test('of brood that was only partly given, the rest can still be eaten', () => {
  const log = [intake(), look(30, [0, 0, 10, 0]), brood(32, 'given', { pupae: 3 }), look(40, [0, 0, 0, 0])];
  expect(ledgerOf(log, 41).broodLost).toHaveLength(1);
  const all = [
    intake(),
    look(30, [0, 0, 10, 0]),
    brood(32, 'given', { pupae: 10 }),
    look(40, [0, 0, 0, 0]),
    look(55, [0, 0, 0, 0]),
  ];
  expect(ledgerOf(all, 56).broodLost).toEqual([]);
});

test('eggs beside given pupae are no second clutch', () => {
  const known = ledgerOf([intake(), brood(22, 'received', { pupae: 5 }), look(30, [4, 0, 4, 0])], 31);
  expect(known.batches).toHaveLength(1);
});

test('stages that ended after brood was moved teach nothing of her kind; those before do', () => {
  const profile = speciesProfile('tetramorium-immigrans');
  const temperature = placeTemperature({
    id: 'p',
    name: 'Drawer',
    tempC: 25,
    roomRelHumidity: 0.5,
    winter: null,
  } as never);
  const seen = [
    intake(),
    look(6, [0, 0, 0, 0]),
    look(9, [5, 0, 0, 0]),
    look(15, [5, 0, 0, 0]),
    look(22, [4, 3, 0, 0]),
  ];
  const taught = (log: Entry[]) =>
    Object.keys(stageEvidence(profile, ledgerOf(log, 60), temperature, 'north'));
  expect(taught(seen)).toEqual(['laying', 'egg']);
  expect(taught([...seen, brood(12, 'received', { pupae: 5 })])).toEqual(['laying']);
});
