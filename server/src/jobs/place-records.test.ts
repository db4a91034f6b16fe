import { DEFAULT_SETTINGS, probeSchema, type Probe } from '@gentle-burrow/core/facts';
import { msOf } from '@gentle-burrow/core/quantity';
import { v7 } from 'uuid';
import { openDb } from '../db/open';
import { Store } from '../db/store';
import { daysAgo, factsOf, MIGRATIONS, newQueen, NOW } from '../test-kit';
import { PlaceRecords } from './place-records';
import type { Projector } from './pool';
import { project } from './project-task';
import { Views } from './views';

const HOUR = 3_600_000;
let store: Store;
let views: Views;
let runs: string[];
const now = NOW.toISOString();
let [a, b] = [newQueen('A', 20), newQueen('B', 20)];
let probe: Probe;

beforeAll(async () => {
  store = new Store(await openDb({ migrationsFolder: MIGRATIONS }));
  await store.prepare();
  await store.write([{ fact: 'settings', value: { ...DEFAULT_SETTINGS, learn: false } }]);
}, 60_000);
afterAll(() => store.close());
beforeEach(async () => {
  [a, b] = [newQueen('A', 20), newQueen('B', 20)];
  probe = probeSchema.parse({
    id: v7(),
    name: 'Logger',
    kind: 'logger',
    stays: [{ from: daysAgo(400), placeId: a.place.id }],
  });
  runs = [];
  const mine = new Set([a.queen.id, b.queen.id]);
  const watched: Projector = {
    size: 1,
    run: async (task) => {
      runs.push(...task.facts.filter((f) => mine.has(f.queen.id)).map((f) => f.queen.label));
      return project(task);
    },
    close: async () => {},
  };
  await store.write([...factsOf(a), ...factsOf(b), { fact: 'probe', value: probe }]);
  views = new Views(store, watched);
});

const measure = (from: number, until: number, tempC: number, everyH = 1) => {
  const n = Math.ceil((until - from) / (everyH * HOUR));
  const ms = Array.from({ length: n }, (_, i) => from + i * everyH * HOUR);
  const value = { probeId: probe.id, ms, tempC: ms.map(() => tempC), rh: ms.map(() => 0.5) };
  return store.write([{ fact: 'readings', value }]);
};
const ago = (days: number) => msOf(daysAgo(days));
const shown = async (q = a) => {
  const found = await views.queen(q.queen.id, now);
  if (!found?.view.outlook) throw new Error('no outlook');
  runs = [];
  return { ...found, workers: msOf(found.view.outlook.events.workers.band.p50 as string) };
};
/** Labels worked out anew since the last call, for the shelf. */
const anew = async () => {
  await views.shelf(now);
  const labels = [...runs].sort();
  runs = [];
  return labels;
};

test('what a logger showed re-dates the queens that stand there, and them alone', async () => {
  const before = await shown();
  await anew();
  await measure(ago(20), NOW.getTime(), 21);
  expect(await anew()).toEqual(['A']);
  const after = await shown();
  expect(after.view.tempC).toBeCloseTo(21, 1);
  // 21 °C where 25 was told: later by more than a week
  expect(after.workers - before.workers).toBeGreaterThan(7 * 24 * HOUR);
  expect(after.facts.measured).toHaveLength(1);
  expect((await shown(b)).facts.measured).toEqual([]);
});

test('a reading that is as the last day was makes nothing anew; heat, a new day, the past and a check do', async () => {
  await measure(ago(20), NOW.getTime() - 2 * HOUR, 25);
  await anew();
  await measure(NOW.getTime() - HOUR, NOW.getTime(), 25.4);
  expect(await anew()).toEqual([]);
  await measure(NOW.getTime(), NOW.getTime() + 1, 36);
  expect(await anew()).toEqual(['A']);
  expect((await shown()).view.counsel?.pressure).toBe('now');
  await measure(ago(40), ago(39), 25);
  expect(await anew()).toEqual(['A']);
  const unchecked = (await shown()).view.tempC;
  await store.write([
    { fact: 'probe', value: { ...probe, checks: [{ what: 'ice', at: daysAgo(1), shownC: 1 }] } },
  ]);
  expect(await anew()).toEqual(['A']);
  expect((await shown()).view.tempC).toBeCloseTo(unchecked - 1, 1);
  await measure(NOW.getTime() + 13 * HOUR, NOW.getTime() + 14 * HOUR, 25);
  expect(await anew()).toEqual(['A']);
});

test('what was read in by mistake and taken back is as if it had never been', async () => {
  const before = await shown();
  await measure(ago(20), NOW.getTime(), 30);
  expect((await shown()).view.tempC).toBeCloseTo(30, 1);
  const ms = Array.from({ length: 481 }, (_, i) => ago(20) + i * HOUR);
  await store.write([{ fact: 'readings-taken-back', value: { probeId: probe.id, ms } }]);
  const after = await shown();
  expect(after.facts.measured).toEqual([]);
  expect(after.view.outlook).toEqual(before.view.outlook);
});

test('who asks while it is read gets the same, and what is written meanwhile is not missed', async () => {
  await measure(ago(10), NOW.getTime(), 22);
  const records = new PlaceRecords(store);
  store.onWrite((facts) => records.note(facts));
  const asked = Promise.all([1, 2, 3].map(() => records.of([a.place.id])));
  const answers = await asked;
  expect(answers.map((r) => r[0]?.days.length)).toEqual([11, 11, 11]);
  const [again] = await Promise.all([records.of([a.place.id]), measure(ago(11), ago(10), 20)]);
  expect(again[0]?.days.length).toBeGreaterThanOrEqual(11);
  expect((await records.of([a.place.id]))[0]?.days).toHaveLength(12);
});

test('a file that spans three stays is heard of at each place, the one between too', async () => {
  const stays = [
    { from: daysAgo(400), placeId: a.place.id },
    { from: daysAgo(20), placeId: b.place.id },
    { from: daysAgo(10), placeId: a.place.id },
  ];
  await store.write([{ fact: 'probe', value: { ...probe, stays } }]);
  expect((await shown(b)).facts.measured).toEqual([]);
  await measure(ago(30), NOW.getTime(), 22);
  expect((await shown(b)).facts.measured[0]?.days.length).toBeGreaterThan(9);
});

test('a record that grew bit by bit is the same as one that is read at once', async () => {
  const records = new PlaceRecords(store);
  store.onWrite((facts) => records.note(facts));
  for (let d = 12; d > 0; d--) {
    await measure(ago(d), ago(d - 1), 20 + (d % 5), 0.5);
    await records.of([a.place.id]);
  }
  // and something late, from a week ago
  await measure(ago(7) + HOUR / 4, ago(6), 30);
  const grown = await records.of([a.place.id]);
  expect(grown[0]?.days).toHaveLength(13);
  expect(grown).toEqual(await new PlaceRecords(store).of([a.place.id]));
});
