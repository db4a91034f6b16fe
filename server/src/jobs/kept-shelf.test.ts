import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { DEFAULT_SETTINGS, probeSchema } from '@gentle-burrow/core/facts';
import { addDays, msOf } from '@gentle-burrow/core/quantity';
import { v7 } from 'uuid';
import { openFiles } from '../db/files';
import { openDb } from '../db/open';
import { Store } from '../db/store';
import { daysAgo, factsOf, lookEntry, MIGRATIONS, newQueen, NOW } from '../test-kit';
import { KeptShelf } from './kept-shelf';
import type { Projector } from './pool';
import { project } from './project-task';
import { Views } from './views';

const now = NOW.toISOString();
const [a, b] = [newQueen('A', 20), newQueen('B', 20)];
const probe = probeSchema.parse({
  id: v7(),
  name: 'Logger',
  kind: 'logger',
  stays: [{ from: daysAgo(400), placeId: a.place.id }],
});
let folder: string;
let store: Store;
let runs: string[] = [];
/** Runs when the journal has what is written, and the views, who listen later, have not heard of it. */
let inMidst: () => unknown = () => undefined;
const watched: Projector = {
  size: 1,
  run: async (task) => {
    runs.push(...task.facts.map((f) => f.queen.label));
    return project(task);
  },
  close: async () => {},
};
const at = (name: string) => join(folder, name);
const HOUR = 3_600_000;
const measure = (from: number, until: number, tempC: number) => {
  const ms = Array.from({ length: Math.round((until - from) / HOUR) }, (_, i) => from + i * HOUR);
  const value = { probeId: probe.id, ms, tempC: ms.map(() => tempC), rh: ms.map(() => 0.5) };
  return store.write([{ fact: 'readings', value }]);
};

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'burrow-kept-'));
  writeFileSync(at('program.js'), 'one');
  const open = await openDb({ migrationsFolder: MIGRATIONS });
  store = new Store(open, openFiles(folder));
  store.onWrite(() => void inMidst());
  await store.prepare();
  await store.write([{ fact: 'settings', value: { ...DEFAULT_SETTINGS, learn: false } }]);
  await store.write([...factsOf(a), ...factsOf(b), { fact: 'probe', value: probe }]);
  await measure(msOf(daysAgo(20)), NOW.getTime() - HOUR, 23);
}, 60_000);
afterAll(async () => {
  await store.close();
  rmSync(folder, { recursive: true, force: true });
});

/** As after a start of the server. */
const started = () => new Views(store, watched, new KeptShelf(at('shelf.json'), at('program.js')));
/** The shelf, and who was worked out anew for it. */
async function seen(views: Views, when = now) {
  runs = [];
  const { rows } = JSON.parse(await views.shelf(when)) as { rows: object[] };
  return { rows, anew: [...runs].sort() };
}
async function stopped(when = now) {
  const views = started();
  const { rows } = await seen(views, when);
  await views.keep(when);
  return rows;
}

test('after a stop and a start the shelf is there, and nobody is worked out anew', async () => {
  const before = await stopped();
  expect(before).toHaveLength(2);
  expect(await seen(started())).toEqual({ rows: before, anew: [] });
});

test('a start over what was written since, as after a crash, works all out anew', async () => {
  const before = await stopped();
  await store.write([{ fact: 'entry', value: lookEntry(b.queen.id, 3, 2) }]);
  const after = await seen(started());
  expect(after.anew).toEqual(['A', 'B']);
  expect(after.rows).not.toEqual(before);
});

test('a stop in the midst of a write keeps nothing that may be older than what is written', async () => {
  rmSync(at('shelf.json'), { force: true });
  const views = started();
  await seen(views);
  let kept = Promise.resolve();
  inMidst = () => (kept = views.keep(now));
  await store.write([{ fact: 'entry', value: lookEntry(a.queen.id, 1, 7) }]);
  inMidst = () => undefined;
  await kept;
  expect((await seen(started())).anew).toContain('A');
});

test('readings that came since are enough for it', async () => {
  await stopped();
  await measure(NOW.getTime() - HOUR, NOW.getTime(), 23);
  expect((await seen(started())).anew).toEqual(['A', 'B']);
});

test('what is written after the start moves her who rests on it, also what a probe shows', async () => {
  await stopped();
  const views = started();
  expect((await seen(views)).anew).toEqual([]);
  await store.write([{ fact: 'entry', value: lookEntry(a.queen.id, 2, 2) }]);
  expect((await seen(views)).anew).toEqual(['A']);
  await measure(NOW.getTime() - HOUR / 2, NOW.getTime() + HOUR / 2, 37);
  expect((await seen(views)).anew).toEqual(['A']);
});

test('another program, another day, a clock set back, and a damaged file are not believed', async () => {
  await stopped();
  writeFileSync(at('program.js'), 'two');
  expect((await seen(started())).anew).toEqual(['A', 'B']);
  await stopped();
  expect((await seen(started(), addDays(now, 2))).anew).toEqual(['A', 'B']);
  expect((await seen(started(), addDays(now, -1))).anew).toEqual(['A', 'B']);
  writeFileSync(at('shelf.json'), '{"stamp":');
  expect((await seen(started())).anew).toEqual(['A', 'B']);
});

test('the shelf is ready before anybody asks: after a start, and when a day has begun', async () => {
  rmSync(at('shelf.json'), { force: true });
  jest.useFakeTimers({ doNotFake: ['nextTick', 'setImmediate', 'setTimeout', 'queueMicrotask'] });
  let when = now;
  runs = [];
  const views = started();
  const end = views.readyAhead(() => when);
  const both = async () => {
    for (let i = 0; i < 1000 && runs.length < 2; i++) await new Promise((r) => setTimeout(r, 10));
    // who asks now waits for what is under way
    await views.shelf(when);
    return [...runs].sort();
  };
  expect(await both()).toEqual(['A', 'B']);
  jest.advanceTimersByTime(60_000);
  expect(runs).toHaveLength(2);
  when = addDays(now, 1);
  runs = [];
  jest.advanceTimersByTime(60_000);
  expect(await both()).toEqual(['A', 'B']);
  end();
  when = addDays(now, 3);
  runs = [];
  jest.advanceTimersByTime(600_000);
  expect(jest.getTimerCount()).toBe(0);
  expect(runs).toEqual([]);
  jest.useRealTimers();
});
