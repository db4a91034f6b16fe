import { v7 } from 'uuid';
import { shelfSchema } from '@gentle-burrow/contract';
import type { StockItem, StockMove } from '@gentle-burrow/core/facts';
import { Store } from './db/store';
import { openDb } from './db/open';
import { project, type ProjectTask } from './jobs/project-task';
import { Views } from './jobs/views';
import { buildApp } from './app';
import { daysAgo, factsOf, lookEntry, MIGRATIONS, newQueen, NOW } from './test-kit';

/** A server that is slow at reckoning: whatever is asked and written meanwhile meets in its midst. */
async function slowServer() {
  const store = new Store(await openDb({ migrationsFolder: MIGRATIONS }));
  await store.prepare();
  const pause = () => new Promise((r) => setTimeout(r, 15));
  const run = async (task: ProjectTask) => {
    await pause();
    return project({ ...task, draws: 20 });
  };
  const views = new Views(store, { size: 1, run, close: async () => {} });
  const app = await buildApp({ store, views, version: '0', now: () => NOW });
  return { store, app };
}

let server: Awaited<ReturnType<typeof slowServer>>;
beforeAll(async () => (server = await slowServer()), 60_000);
afterAll(async () => {
  await server.app.close();
  await server.store.close();
});

const post = (url: string, payload: object) => server.app.inject({ method: 'POST', url, payload });
const shelf = async () => shelfSchema.parse((await server.app.inject('/api/shelf')).json()).rows;
const queens = Array.from({ length: 6 }, (_, i) => newQueen(`Q${i}`));

test('a shelf that is read while another device writes lacks no queen, and always has what its reader wrote', async () => {
  for (const q of queens) await server.store.write(factsOf(q));
  await shelf();
  let writing = true;
  /** A device that writes on and on. */
  const writer = (async () => {
    for (let i = 0; i < 40; i++) {
      const q = queens[i % queens.length] as (typeof queens)[number];
      expect((await post('/api/entries', lookEntry(q.queen.id, 25, i))).statusCode).toBe(200);
      await new Promise((r) => setTimeout(r, 7));
    }
    writing = false;
  })();
  let read = 0;
  while (writing) {
    const her = queens[read % queens.length] as (typeof queens)[number];
    const mine = lookEntry(her.queen.id, 1, 100 + read);
    expect((await post('/api/entries', mine)).statusCode).toBe(200);
    const rows = await shelf();
    expect(rows.map((r) => r.queen.label).sort()).toEqual(queens.map((q) => q.queen.label));
    expect(rows.find((r) => r.queen.id === her.queen.id)?.counts.eggs?.range.low).toBeGreaterThanOrEqual(100);
    const calendar = await server.app.inject('/api/agenda.ics');
    expect(calendar.statusCode).toBe(200);
    read++;
  }
  await writer;
  expect(read).toBeGreaterThan(5);
}, 60_000);

test('settings that change in the midst of an answer take no queen from it', async () => {
  const asked = Array.from({ length: 10 }, async (_, i) => {
    await new Promise((r) => setTimeout(r, 12 * i));
    return shelf();
  });
  for (let i = 0; i < 10; i++) {
    const payload = { ...(await server.store.settings()), lookingSchool: i % 2 ? 'weekly' : 'hands-off' };
    await server.app.inject({ method: 'PUT', url: '/api/settings', payload });
    await new Promise((r) => setTimeout(r, 11));
  }
  for (const rows of await Promise.all(asked)) expect(rows).toHaveLength(queens.length);
}, 60_000);

test('a queen that is sent late changes nothing of a place that is known better by now', async () => {
  const late = newQueen('Late');
  const { place } = late;
  await server.store.write([{ fact: 'place', value: { ...place, name: 'As it is called now', tempC: 19 } }]);
  expect((await post('/api/queens', { ...late })).statusCode).toBe(201);
  const stored = (await server.store.places()).find((p) => p.id === place.id);
  expect(stored).toMatchObject({ name: 'As it is called now', tempC: 19 });
});

describe('an id that was used before', () => {
  test('for the tube of another queen is refused, and hers stays as it was', async () => {
    const [one, other] = [newQueen('One'), newQueen('Other')];
    expect((await post('/api/queens', { ...one })).statusCode).toBe(201);
    const home = { ...other.home, id: one.home.id, waterLineMm: 40 };
    const answer = await post('/api/queens', { ...other, home, queen: { ...other.queen, homeId: home.id } });
    expect(answer.statusCode).toBe(409);
    expect(answer.json().error.message).toMatch(/belongs to something else already/);
    expect((await server.store.queenFacts([one.queen.id]))[0]?.home).toEqual(one.home);
    expect(await server.store.queenFacts([other.queen.id])).toEqual([]);
  });

  test('for another queen is refused; the same telling again is harmless, also after she was renamed', async () => {
    const one = newQueen('Twice');
    expect((await post('/api/queens', { ...one })).statusCode).toBe(201);
    const renamed = await server.app.inject({
      method: 'PATCH',
      url: `/api/queens/${one.queen.id}`,
      payload: { label: 'Renamed', lookingSchool: 'weekly' },
    });
    expect(renamed.statusCode).toBe(200);
    const again = await post('/api/queens', { ...one });
    expect([again.statusCode, again.json().label]).toEqual([201, 'Renamed']);
    // written without the digits of a second, it is the same moment
    const asWritten = {
      ...one,
      queen: { ...one.queen, createdAt: one.queen.createdAt.replace('.000Z', 'Z') },
    };
    expect((await post('/api/queens', asWritten)).statusCode).toBe(201);
    const { intake } = one;
    const changed = await post('/api/queens', { ...one, intake: { ...intake, wings: 'winged' } });
    expect(changed.statusCode).toBe(409);
    const stored = (await server.store.entriesOf([one.queen.id])).get(one.queen.id);
    expect(stored?.[0]).toEqual(intake);
  });

  test('for another change of the stock is refused, not taken and dropped', async () => {
    const item: StockItem = { id: v7(), kind: 'plug', name: 'Cotton', tube: null, lowAt: 0 };
    await server.store.write([{ fact: 'stock-item', value: item }]);
    const move: StockMove = {
      id: v7(),
      itemId: item.id,
      at: daysAgo(3),
      delta: 5,
      why: 'bought',
      queenId: null,
    };
    expect((await post('/api/stock/moves', move)).statusCode).toBe(201);
    expect((await post('/api/stock/moves', move)).statusCode).toBe(201);
    const other = await post('/api/stock/moves', { ...move, delta: 7 });
    expect(other.statusCode).toBe(409);
    expect((await server.store.stock()).moves.find((m) => m.id === move.id)?.delta).toBe(5);
  });
});
