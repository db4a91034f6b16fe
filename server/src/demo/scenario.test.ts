import {
  byUrgency,
  DEFAULT_SETTINGS,
  entrySchema,
  queenView,
  shelfRow,
  type QueenFacts,
} from '@gentle-burrow/core';
import type { Fact } from '../db/facts';
import { broodOn } from './brood';
import { demoFacts } from './scenario';

const valueOf = <F extends Fact['fact']>(facts: Fact[], kind: F) =>
  facts
    .filter((f): f is Extract<Fact, { fact: F }> => f.fact === kind)
    .map((f) => f.value as Extract<Fact, { fact: F }>['value']);

function shelves(today: Date) {
  const facts = demoFacts(today);
  const entries = valueOf(facts, 'entry');
  return valueOf(facts, 'queen').map((queen) => {
    const one = {
      queen,
      tube: valueOf(facts, 'home').find((h) => h.id === queen.homeId),
      place: valueOf(facts, 'place').find((p) => p.id === queen.placeId),
      entries: entries.filter((e) => e.queenId === queen.id),
    } as QueenFacts;
    const view = queenView(one, DEFAULT_SETTINGS, today.toISOString(), { draws: 800 });
    return { one, view, row: shelfRow(one, view) };
  });
}

// whatever the season, since the demo is made relative to the day it is started
test.each(['2026-11-24', '2027-02-10', '2027-06-15'])('the demo of %s shows every stage and fate', (date) => {
  const today = new Date(`${date}T20:00:00Z`);
  const all = shelves(today);
  expect(all.length).toBeGreaterThanOrEqual(12);
  expect(new Set(all.map((a) => a.view.profileId)).size).toBeGreaterThanOrEqual(5);
  const next = all.map((a) => a.view.outlook?.next);
  for (const stage of ['eggs', 'larvae', 'pupae', 'workers']) expect(next).toContain(stage);
  const seen = (stage: 'eggs' | 'workers') =>
    all.filter((a) => a.view.outlook?.events[stage].status === 'seen');
  expect(seen('workers').length).toBeGreaterThan(1);
  const answers = all.map((a) => a.view.counsel?.verdicts.find((v) => v.id === 'late')?.answer);
  expect(answers).toContain('late');
  expect(answers).toContain('at rest');
  expect(all.filter((a) => a.view.ledger.loss)).toHaveLength(1);
  expect(all.filter((a) => a.view.ledger.broodLost.length > 0)).toHaveLength(1);
  expect(all.map((a) => a.view.trouble)).toEqual(all.map(() => null));
  const rows = all.map((a) => a.row).sort(byUrgency);
  expect(rows[0]?.pressure).toBe('now');
  expect(rows.filter((r) => r.pressure === 'rest').length).toBeGreaterThan(rows.length / 2.5);
});

test('every entry is one that a keeper could have sent', () => {
  for (const entry of valueOf(demoFacts(new Date('2026-11-24T20:00:00Z')), 'entry')) {
    expect(entrySchema.safeParse(entry).error).toBeUndefined();
  }
});

test('brood is never made or lost from nothing: each egg is in exactly one stage', () => {
  const truth = { species: 'messor-structor', tempC: 26, laysAfter: 5, slow: 1, eggs: 10 };
  for (let day = 0; day < 40; day += 3) {
    const b = broodOn(truth, day);
    const all = b.eggs + b.larvae + b.pupae + b.workers;
    expect(all).toBe(Math.min(20, broodOn(truth, day).eggs + b.larvae + b.pupae + b.workers));
    if (day >= 13 && day < 30) expect(all).toBeGreaterThanOrEqual(10);
  }
});
