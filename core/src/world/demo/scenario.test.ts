import { usedFault, usedParts } from '../../housing';
import { DEFAULT_SETTINGS } from '../../facts';
import { entrySchema, placeIdNow } from '../../log';
import { byUrgency, queenView, shelfRow, type QueenFacts } from '../../view';
import type { Fact } from '../../records';
import { broodOn } from '../brood';
import { DEMO_KINDS } from './kinds';
import { demoFacts } from './scenario';

/** Ids in the order in which they are asked for, as an UUID of version 7 looks. */
function ids() {
  let n = 0;
  return () => `018f0000-0000-7000-8000-${String(n++).padStart(12, '0')}`;
}

const valueOf = <F extends Fact['fact']>(facts: Fact[], kind: F) =>
  facts
    .filter((f): f is Extract<Fact, { fact: F }> => f.fact === kind)
    .map((f) => f.value as Extract<Fact, { fact: F }>['value']);

function shelves(today: Date) {
  const facts = demoFacts(today, ids());
  const entries = valueOf(facts, 'entry');
  return valueOf(facts, 'queen').map((queen) => {
    const mine = entries.filter((e) => e.queenId === queen.id);
    const places = valueOf(facts, 'place');
    const one = {
      queen,
      home: valueOf(facts, 'home').find((h) => h.id === queen.homeId),
      place: places.find((p) => p.id === placeIdNow(queen, mine)),
      places,
      entries: mine,
    } as QueenFacts;
    const [settings = DEFAULT_SETTINGS] = valueOf(facts, 'settings');
    const view = queenView(one, settings, today.toISOString(), { draws: 800 });
    return { one, view, row: shelfRow(one, view) };
  });
}

// whatever the season, since the demo is made relative to the day it is started
test.each(['2026-11-24', '2027-02-10', '2027-06-15'])('the demo of %s shows every stage and fate', (date) => {
  const today = new Date(`${date}T20:00:00Z`);
  const all = shelves(today);
  expect(all.length).toBeGreaterThanOrEqual(12);
  expect(new Set(all.map((a) => a.view.profileId)).size).toBeGreaterThanOrEqual(5);
  const named = all
    .flatMap((a) => a.view.species.map((k) => k.profileId))
    .filter((k) => !k.startsWith('unknown'));
  expect(named.filter((k) => !DEMO_KINDS.some((d) => d === k))).toEqual([]);
  const next = all.map((a) => a.view.outlook?.next);
  for (const stage of ['eggs', 'larvae', 'pupae', 'workers']) expect(next).toContain(stage);
  const seen = (stage: 'eggs' | 'workers') =>
    all.filter((a) => a.view.outlook?.events[stage].status === 'seen');
  expect(seen('workers').length).toBeGreaterThan(1);
  const answers = all.map((a) => a.view.counsel?.verdicts.find((v) => v.id === 'late')?.answer);
  expect(answers).toContain('late');
  expect(answers).toContain('at rest');
  expect(all.filter((a) => a.view.ledger.loss)).toHaveLength(1);
  expect(all.map((a) => a.view.founder?.course)).toEqual(
    expect.arrayContaining(['water-only', 'offer-and-watch', 'feed-throughout']),
  );
  expect(all.filter((a) => a.view.species.length > 1)).toHaveLength(1);
  expect(all.filter((a) => a.view.ledger.health?.quarantineUntil)).toHaveLength(1);
  expect(all.filter((a) => a.view.ledger.moves.length > 0)).toHaveLength(1);
  expect(all.filter((a) => a.view.housing.move !== null)).toHaveLength(1);
  // a cell that is watered by hand, a foraging space, a divided tube
  expect(all.filter((a) => a.view.part.kind === 'cell')).toHaveLength(1);
  expect(all.filter((a) => a.view.housing.links.some((l) => l.by === 'pipe'))).toHaveLength(1);
  expect(all.filter((a) => a.view.part.kind === 'tube' && a.view.part.divider)).toHaveLength(1);
  expect(all.flatMap((a) => a.view.housing.faults)).toEqual([]);
  expect(all.map((a) => a.view.ledger.broodLost.length).filter((n) => n > 0)).toEqual([1, 3]);
  // one whose clutches were eaten was given pupae of a sister: both logs say so
  const given = all.flatMap((a) => a.view.ledger.broodMoves.map((m) => [a.row.queen.label, m.way, m.counts]));
  expect(given).toEqual([
    ['T1', 'given', { pupae: 4 }],
    ['T5', 'received', { pupae: 4 }],
  ]);
  expect(all.map((a) => a.view.trouble)).toEqual(all.map(() => null));
  // one moved house: her old tube stands in the stock, cleaned, with its history; what the dead left stands there too
  const used = usedParts(
    all.map((a) => a.one),
    today.toISOString(),
  ).filter((u) => !u.left);
  expect(used.map((u) => [u.stays.map((s) => s.label), u.mould, usedFault(u)])).toEqual([
    [['A2'], 'far-plug', null],
  ]);
  const rows = all.map((a) => a.row).sort(byUrgency);
  expect(rows[0]?.pressure).toBe('now');
  expect(rows.filter((r) => r.pressure === 'rest').length).toBeGreaterThan(rows.length / 2.5);
});

test('every entry is one that a keeper could have sent', () => {
  for (const entry of valueOf(demoFacts(new Date('2026-11-24T20:00:00Z'), ids()), 'entry')) {
    expect(entrySchema.safeParse(entry).error).toBeUndefined();
  }
});

test('brood is laid once, moves on through its stages, and none is lost on the way', () => {
  const truth = { species: 'messor-structor', tempC: 26, laysAfter: 5, slow: 1, eggs: 10 };
  const sum = (day: number) => Object.values(broodOn(truth, day)).reduce((a, b) => a + b, 0);
  for (let day = 1; day < 120; day++) expect(sum(day)).toBeGreaterThanOrEqual(sum(day - 1));
  expect(sum(4)).toBe(0); // before she lays
  expect(sum(14)).toBe(10); // the first batch is laid over eight days
  expect(broodOn(truth, 120)).toEqual({ eggs: 0, larvae: 0, pupae: 0, workers: 20 }); // both batches are out
  expect(broodOn({ ...truth, eatenOn: [30] }, 30)).toEqual({ eggs: 0, larvae: 0, pupae: 0, workers: 0 });
});
