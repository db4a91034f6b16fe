import { daysBetween, msOf, type Instant } from '../quantity';
import { day, DAY_ZERO, entry, look, QUEEN, testId, TUBE } from '../test-kit';
import { DEFAULT_SETTINGS } from '../facts';
import { queenView, whatIf, type QueenFacts, type WhatIf } from './index';

const place = { id: testId(), name: 'Drawer', tempC: 24, roomRelHumidity: 0.5, winter: null };
const queen = {
  id: QUEEN,
  label: 'W',
  batch: '',
  homeId: TUBE.id,
  placeId: place.id,
  lookingSchool: null,
  createdAt: DAY_ZERO,
};
const facts: QueenFacts = {
  queen,
  home: TUBE,
  place,
  places: [place],
  entries: [entry(0, { kind: 'intake' }), look(8, [0, 0, 0, 0]), look(14, [6, 0, 0, 0])],
};
const NOW = day(16);
const AS_IT_IS: WhatIf = {
  warmerC: 0,
  placeId: null,
  winterWeeks: 0,
  winterInWeeks: 0,
  lookEveryDays: 14,
  learn: true,
};
const ask = (change: Partial<WhatIf>) =>
  whatIf(facts, DEFAULT_SETTINGS, NOW, { ...AS_IT_IS, ...change }, { draws: 2000 });
const workers = (change: Partial<WhatIf>) => ask(change).outlook?.events.workers.band.p50 as Instant;

test('nothing changed gives what her page says', () => {
  const view = queenView(facts, DEFAULT_SETTINGS, NOW, { draws: 2000 });
  expect(ask({}).outlook?.events).toEqual(view.outlook?.events);
});

test('warmer is sooner by the degree-day rule; the past stays', () => {
  expect(daysBetween(workers({ warmerC: 3 }), workers({}))).toBeGreaterThan(4);
  const eggs = (change: Partial<WhatIf>) => ask(change).outlook?.events.eggs.band.p50 as Instant;
  expect(Math.abs(daysBetween(eggs({ warmerC: 3 }), eggs({})))).toBeLessThan(0.5);
});

test('a winter now puts everything off by about its length', () => {
  const late = daysBetween(workers({}), workers({ winterWeeks: 12 }));
  expect(late).toBeGreaterThan(80);
  expect(late).toBeLessThan(88);
});

test('a winter that is still to come puts off only what would come after its beginning', () => {
  const beginning = daysBetween(NOW, workers({}));
  const none = workers({ winterWeeks: 12, winterInWeeks: Math.ceil(beginning / 7) + 10 });
  expect(Math.abs(daysBetween(workers({}), none))).toBeLessThan(1);
  const soon = workers({ winterWeeks: 12, winterInWeeks: 1 });
  expect(daysBetween(workers({}), soon)).toBeGreaterThan(80);
});

test("carried to another place she goes at that place's pace, and nothing is written", () => {
  const cool = { ...place, id: testId(), tempC: 19 };
  const both = { ...facts, places: [place, cool] };
  const at = (placeId: string | null) =>
    whatIf(both, DEFAULT_SETTINGS, NOW, { ...AS_IT_IS, placeId }, { draws: 2000 }).outlook?.events.workers
      .band.p50 as Instant;
  expect(daysBetween(at(null), at(cool.id))).toBeGreaterThan(10);
  expect(at(place.id)).toBe(at(null));
  expect(both.entries).toHaveLength(3);
  const hot = { ...place, id: testId(), tempC: 38 };
  const asked = whatIf({ ...both, places: [place, hot] }, DEFAULT_SETTINGS, NOW, {
    ...AS_IT_IS,
    placeId: hot.id,
  });
  expect(asked.heat).toBe('danger');
});

test('fewer looks: fewer spent, later noticed', () => {
  const often = ask({ lookEveryDays: 7 }).looks;
  const seldom = ask({ lookEveryDays: 28 }).looks;
  expect(seldom?.until.p50).toBeLessThan(often?.until.p50 as number);
  expect(seldom?.noticed).toEqual({ usual: 14, most: 28 });
  const days = daysBetween(NOW, workers({}));
  expect(often?.until.p50).toBe(Math.ceil(days / 7));
});

test('with or without what other queens showed', () => {
  // thirty queens whose eggs took half as long again
  const learned = { 'tetramorium-immigrans': { egg: { n: 30, precision: 600, weighted: 600 * 5.2 } } };
  const answer = (learn: boolean) =>
    msOf(
      whatIf(facts, DEFAULT_SETTINGS, NOW, { ...AS_IT_IS, learn }, { draws: 2000, learned }).outlook?.events
        .larvae.band.p50 as Instant,
    );
  expect(answer(true)).not.toBe(answer(false));
  expect(answer(false)).toBe(msOf(ask({}).outlook?.events.larvae.band.p50 as Instant));
});

test('what cannot be is refused, and a log without an intake says so', () => {
  expect(() => ask({ warmerC: 40 })).toThrow(/change of warmth/);
  expect(() => ask({ lookEveryDays: 0 })).toThrow(/between looks/);
  const bare = { ...facts, entries: [entry(0, { kind: 'note', text: 'found' })] };
  expect(whatIf(bare, DEFAULT_SETTINGS, NOW, AS_IT_IS).trouble).toMatch(/no intake/);
});
