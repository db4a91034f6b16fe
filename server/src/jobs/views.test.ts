import { DEFAULT_SETTINGS } from '@gentle-burrow/core/facts';
import { shelfSchema } from '@gentle-burrow/contract';
import { v7 } from 'uuid';
import { openDb } from '../db/open';
import { Store } from '../db/store';
import { daysAgo, factsOf, lookEntry, MIGRATIONS, newQueen, NOW } from '../test-kit';
import type { Projector } from './pool';
import { project, type ProjectTask } from './project-task';
import { Views } from './views';

/** Projects at once, and remembers what it was asked. */
class Watched implements Projector {
  readonly size = 2;
  tasks: ProjectTask[] = [];
  /** Runs before a task is answered, once. */
  before: (() => Promise<unknown>) | null = null;
  async run(task: ProjectTask) {
    this.tasks.push(task);
    const { before } = this;
    this.before = null;
    await before?.();
    return project(task);
  }
  async close() {}
  /** Labels projected since the last call. */
  taken(): string[] {
    const labels = this.tasks.flatMap((t) => t.facts.map((f) => f.queen.label));
    this.tasks = [];
    return labels.sort();
  }
}

const ALONE = { ...DEFAULT_SETTINGS, learn: false };
let store: Store;
let watched: Watched;
let views: Views;
const now = NOW.toISOString();
const [a, b] = [newQueen('A'), newQueen('B')];
const shared = { ...b, place: a.place, queen: { ...b.queen, placeId: a.place.id } };
const shelf = async (at = now) => shelfSchema.parse(JSON.parse(await views.shelf(at)));

beforeAll(async () => {
  store = new Store(await openDb({ migrationsFolder: MIGRATIONS }));
  await store.prepare();
  await store.write([...factsOf(a), ...factsOf(shared)]);
  // who learns from whom has a test of its own, the last
  await store.write([{ fact: 'settings', value: ALONE }]);
  await store.write([{ fact: 'entry', value: lookEntry(a.queen.id, 5, 4) }]);
}, 60_000);
afterAll(() => store.close());
beforeEach(() => {
  watched = new Watched();
  views = new Views(store, watched);
});

test('a clock that jumped decades ahead and is set again answers rightly, without a restart', async () => {
  const right = await shelf();
  const id = a.queen.id;
  const page = await views.queen(id, now);
  const far = '2060-01-01T12:00:00.000Z';
  await shelf(far);
  await views.queen(id, far);
  watched.taken();
  expect(await shelf()).toEqual(right);
  expect((await views.queen(id, now))?.view).toEqual(page?.view);
  expect([...new Set(watched.taken())]).toEqual(['A', 'B']);
  // and one that was in 1970 before it was set
  await shelf('1970-01-02T00:00:00.000Z');
  expect(await shelf()).toEqual(right);
});

test('the shelf is worked out once and kept', async () => {
  const first = await shelf();
  expect(watched.taken()).toEqual(['A', 'B']);
  expect(await shelf()).toEqual(first);
  expect(watched.taken()).toEqual([]);
});

test('asked many times at once it is worked out once', async () => {
  await Promise.all([shelf(), shelf(), shelf()]);
  expect(watched.taken()).toEqual(['A', 'B']);
});

test('a write about one queen makes her anew and leaves the others', async () => {
  await shelf();
  watched.taken();
  await store.write([{ fact: 'entry', value: lookEntry(b.queen.id, 3, 2) }]);
  await shelf();
  expect(watched.taken()).toEqual(['B']);
});

test('a changed place makes all that stand there anew, a setting makes everyone anew', async () => {
  await shelf();
  watched.taken();
  await store.write([{ fact: 'place', value: { ...a.place, tempC: 22 } }]);
  await shelf();
  expect(watched.taken()).toEqual(['A', 'B']);
  await store.write([{ fact: 'place', value: newQueen('elsewhere').place }]);
  await shelf();
  expect(watched.taken()).toEqual([]);
  await store.write([{ fact: 'settings', value: { ...ALONE, lookingSchool: 'weekly' } }]);
  await shelf();
  expect(watched.taken()).toEqual(['A', 'B']);
});

test('time makes it anew', async () => {
  await shelf();
  watched.taken();
  await shelf(new Date(NOW.getTime() + 31 * 60_000).toISOString());
  expect(watched.taken()).toEqual(['A', 'B']);
});

test('a write that overtakes an answer is in the next one', async () => {
  const late = lookEntry(a.queen.id, 1, 9);
  watched.before = () => store.write([{ fact: 'entry', value: late }]);
  await shelf();
  const next = await shelf();
  const row = next.rows.find((r) => r.queen.label === 'A');
  expect(row?.counts.eggs).toMatchObject({ entryId: late.id, range: { low: 9, high: 9 } });
});

test("a queen's page is kept until something about her is written", async () => {
  const page = () => views.queen(a.queen.id, now);
  await shelf();
  watched.taken();
  await page();
  await page();
  expect(watched.taken()).toEqual(['A']);
  await store.write([{ fact: 'queen', value: { ...a.queen, label: 'A again' } }]);
  expect((await page())?.facts.queen.label).toBe('A again');
  expect(watched.taken()).toEqual(['A again']);
  expect(await views.queen(v7(), now)).toBeNull();
});

test('the page is drawn finer than the shelf', async () => {
  await shelf();
  await views.queen(a.queen.id, now);
  const draws = watched.tasks.map((t) => [t.want, t.draws]);
  expect(draws).toContainEqual(['rows', 500]);
  expect(draws).toContainEqual(['views', 4000]);
});

test('how the heat at a place falls is read at one tube and known at the others, with nobody elsewhere made anew', async () => {
  const [read, beside] = [newQueen('read', 20), newQueen('beside', 20)];
  const roomC = read.place.tempC;
  const besideHer = { ...beside, place: read.place, queen: { ...beside.queen, placeId: read.place.id } };
  const cold = newQueen('no heat', 20);
  const unheated = { ...cold, place: read.place, queen: { ...cold.queen, placeId: read.place.id } };
  const heat = (queenId: string, readings: { mm: number; tempC: number }[]) => {
    const at = daysAgo(3);
    const value = {
      kind: 'heat' as const,
      id: v7(),
      queenId,
      at,
      loggedAt: at,
      matMm: 20,
      roomC,
      readings,
    };
    return { fact: 'entry' as const, value };
  };
  // the water goes by the warmth at the wet front
  const lineAndC = async (id: string) => [
    (await shelf()).rows.find((r) => r.queen.id === id)?.lineMm as number,
    (await views.queen(id, now))?.view.tempC as number,
  ];
  await store.write([...factsOf(read), ...factsOf(besideHer), ...factsOf(unheated)]);
  await store.write([heat(beside.queen.id, [{ mm: 130, tempC: roomC + 6 }])]);
  const before = await lineAndC(beside.queen.id);
  watched.taken();
  // falls to a half in 20 mm, far steeper than the prior
  const steep = heat(read.queen.id, [
    { mm: 130, tempC: roomC + 8 },
    { mm: 110, tempC: roomC + 4 },
  ]);
  await store.write([steep]);
  await shelf();
  expect(watched.taken()).toEqual(['beside', 'read']);
  const [line, tempC] = (await lineAndC(beside.queen.id)) as [number, number];
  expect(line).toBeGreaterThan(before[0] as number);
  expect(tempC).toBeLessThan((before[1] as number) - 0.4);
  const told = (await views.queen(beside.queen.id, now))?.facts.falls;
  expect(told).toEqual([{ placeId: read.place.id, lengthMm: expect.closeTo(20 / Math.LN2, 3) }]);
  // taken back, it is as it was
  const id = v7();
  const { queenId, at } = steep.value;
  const value = {
    kind: 'amendment' as const,
    id,
    queenId,
    at,
    loggedAt: at,
    amends: steep.value.id,
    replacement: null,
  };
  await store.write([{ fact: 'entry', value }]);
  expect(await lineAndC(beside.queen.id)).toEqual(before);
});

test('a lost queen stays on the shelf, last', async () => {
  const at = daysAgo(0);
  const value = {
    kind: 'loss' as const,
    id: v7(),
    queenId: b.queen.id,
    at,
    loggedAt: at,
    how: 'escaped' as const,
    cause: 'unknown' as const,
  };
  await store.write([{ fact: 'entry', value }]);
  const rows = (await shelf()).rows;
  expect(rows.map((r) => r.queen.label).pop()).toBe('B');
});

test('finished stages of one queen move the outlook of her sisters, not her own, and can be left out', async () => {
  const [slow, sister] = [newQueen('slow', 60), newQueen('sister', 60)];
  await store.write([...factsOf(slow), ...factsOf(sister)]);
  await shelf();
  const workers = async (id: string) => {
    const view = (await views.queen(id, now))?.view;
    return { from: view?.learnedFrom, p50: view?.outlook?.events.larvae.band.p50 as string };
  };
  const before = await workers(sister.queen.id);
  expect(before.from).toEqual({ kind: 0, genus: 0 });
  await store.write([{ fact: 'settings', value: DEFAULT_SETTINGS }]);
  // eggs ten days after she was taken in, larvae not for another four weeks
  await store.write(
    [
      lookEntry(slow.queen.id, 51),
      lookEntry(slow.queen.id, 49, 4),
      lookEntry(slow.queen.id, 22, 9),
      lookEntry(slow.queen.id, 20, 9, 3),
    ].map((value) => ({
      fact: 'entry' as const,
      value,
    })),
  );
  await shelf();
  const after = await workers(sister.queen.id);
  expect(after.from).toEqual({ kind: 3, genus: 0 });
  expect(after.p50 > before.p50).toBe(true);
  // her own part is taken out: A and B, who have laid
  expect((await workers(slow.queen.id)).from).toEqual({ kind: 2, genus: 0 });
  await store.write([{ fact: 'settings', value: ALONE }]);
  expect(await workers(sister.queen.id)).toEqual(before);
});

test('what one queen teaches makes the rows of her genus anew, and no other’s', async () => {
  const of = (label: string, profileId: string) => {
    const q = newQueen(label, 60);
    const species = { profileId, sure: 'certain' as const };
    return { ...q, intake: { ...q.intake, species } as typeof q.intake };
  };
  const [teacher, sister, stranger] = [
    of('teacher', 'lasius-niger'),
    of('sister of her genus', 'lasius-flavus'),
    of('stranger', 'messor-structor'),
  ];
  await store.write([{ fact: 'settings', value: DEFAULT_SETTINGS }]);
  await store.write([...factsOf(teacher), ...factsOf(sister), ...factsOf(stranger)]);
  await shelf();
  watched.taken();
  await store.write(
    [
      lookEntry(teacher.queen.id, 51),
      lookEntry(teacher.queen.id, 49, 4),
      lookEntry(teacher.queen.id, 30, 9),
      lookEntry(teacher.queen.id, 28, 9, 3),
    ].map((value) => ({ fact: 'entry' as const, value })),
  );
  await shelf();
  const again = watched.taken();
  expect(again).toEqual(expect.arrayContaining(['teacher', 'sister of her genus']));
  expect(again).not.toContain('stranger');
  await store.write([{ fact: 'settings', value: ALONE }]);
});

test('the shelf reads no notes, and says the same', async () => {
  const row = async () => (await shelf()).rows.find((r) => r.queen.id === a.queen.id);
  const before = await row();
  const at = daysAgo(2);
  const note = { kind: 'note' as const, id: v7(), queenId: a.queen.id, at, loggedAt: at, text: 'calm' };
  await store.write([{ fact: 'entry', value: note }]);
  watched.taken();
  expect(await row()).toEqual(before);
  expect(watched.tasks.flatMap((t) => t.facts.flatMap((f) => f.entries.map((e) => e.kind)))).not.toContain(
    'note',
  );
  // her own page has it
  expect((await views.queen(a.queen.id, now))?.facts.entries.map((e) => e.id)).toContain(note.id);
});
