import { mkdtempSync, readFileSync, rmSync, truncateSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { usualBody } from '@gentle-burrow/core/housing';
import type { Entry } from '@gentle-burrow/core/log';
import { sql } from 'drizzle-orm';
import { v7 } from 'uuid';
import { factsOf, lookEntry, MIGRATIONS, newQueen } from '../test-kit';
import { Journal } from './journal';
import { openDb, type OpenDb } from './open';
import { Store } from './store';

const server = process.env.TEST_DATABASE_URL;

/** PGlite always; the same on a PostgreSQL server when its address is given. */
describe.each(server ? ['pglite', 'postgres'] : ['pglite'])('storage on %s', (kind) => {
  let open: OpenDb;
  let store: Store;
  beforeAll(async () => {
    open = await openDb({
      migrationsFolder: MIGRATIONS,
      databaseUrl: kind === 'postgres' ? server : undefined,
    });
    store = new Store(open);
    await store.prepare();
  }, 60_000);
  afterAll(() => store.close());

  const added = async (label?: string) => {
    const one = newQueen(label);
    await store.write([...factsOf(one)]);
    return one;
  };

  test('says which database it is', () => expect(store.kind).toBe(kind));

  test('gives back exactly what was written', async () => {
    const one = await added();
    const look = lookEntry(one.queen.id, 3, 7);
    await store.write([{ fact: 'entry', value: look }]);
    const [back] = await store.queenFacts([one.queen.id]);
    expect(back).toEqual({
      queen: one.queen,
      home: one.home,
      place: one.place,
      places: [one.place],
      entries: [one.intake, look],
    });
  });

  test('an entry sent twice is stored once; another entry under its id is refused', async () => {
    const { queen } = await added();
    const look = lookEntry(queen.id, 3, 7);
    const first = await store.write([{ fact: 'entry', value: look }]);
    const again = await store.write([{ fact: 'entry', value: look }]);
    expect(first).toEqual({ accepted: [look.id], known: [] });
    expect(again).toEqual({ accepted: [], known: [look.id] });
    const other = { ...lookEntry(queen.id, 3, 8), id: look.id };
    await expect(store.write([{ fact: 'entry', value: other }])).rejects.toMatchObject({ code: 'id-taken' });
    expect((await store.entriesOf([queen.id])).get(queen.id)).toHaveLength(2);
  });

  test('a batch is taken whole or not at all', async () => {
    const { queen } = await added();
    const good = lookEntry(queen.id, 2);
    const stray = lookEntry(v7(), 2);
    const write = store.write([good, stray].map((value) => ({ fact: 'entry' as const, value })));
    await expect(write).rejects.toMatchObject({ code: 'no-such-queen' });
    expect((await store.entriesOf([queen.id])).get(queen.id)).toHaveLength(1);
  });

  test('amendments must point at an entry of the same queen and kind', async () => {
    const [a, b] = [await added('a'), await added('b')];
    const look = lookEntry(a.queen.id, 5, 9);
    await store.write([{ fact: 'entry', value: look }]);
    const amend = (queenId: string, amends: string, replacement: unknown) => {
      const value = {
        kind: 'amendment',
        id: v7(),
        queenId,
        at: look.at,
        loggedAt: look.at,
        amends,
        replacement,
      };
      return store.write([{ fact: 'entry', value: value as Entry }]);
    };
    await expect(amend(b.queen.id, look.id, null)).rejects.toMatchObject({ code: 'no-such-entry' });
    await expect(amend(a.queen.id, v7(), null)).rejects.toMatchObject({ code: 'no-such-entry' });
    const note = { kind: 'note', at: look.at, text: 'x' };
    await expect(amend(a.queen.id, look.id, note)).rejects.toMatchObject({ code: 'wrong-kind' });
    await expect(amend(a.queen.id, look.id, null)).resolves.toMatchObject({ known: [] });
  });

  test('the log is append-only in the database itself', async () => {
    await added();
    await expect(open.db.execute(sql`update entries set kind = 'note'`)).rejects.toThrow();
    await expect(open.db.execute(sql`delete from entries`)).rejects.toThrow();
  });

  test('the database refuses a queen without a home, and water beyond the tube', async () => {
    const one = newQueen();
    await expect(
      store.write([
        { fact: 'place', value: one.place },
        { fact: 'queen', value: one.queen },
      ]),
    ).rejects.toThrow();
    const flooded = { ...one.home, waterLineMm: 400 };
    await expect(store.write([{ fact: 'home', value: flooded }])).rejects.toThrow();
  });

  test('a first home that is no tube is given back as it was written', async () => {
    const one = newQueen();
    const cell = { ...usualBody(one.home.id, 'cell'), setUpAt: one.home.setUpAt };
    await store.write([...factsOf({ ...one, home: cell })]);
    const [back] = await store.queenFacts([one.queen.id]);
    expect(back?.home).toEqual(cell);
  });

  test('an unknown species is refused', async () => {
    const one = newQueen();
    const intake = { ...one.intake, species: { profileId: 'griffin', sure: 'guess' } } as Entry;
    const facts = factsOf({ ...one, intake });
    await expect(store.write([...facts])).rejects.toMatchObject({ code: 'no-such-species' });
    expect(await store.queenFacts([one.queen.id])).toEqual([]);
  });

  test('everything comes out again in an order in which it can be read back', async () => {
    await added();
    const kinds: string[] = [];
    const ids = new Set<string>();
    for await (const f of store.allFacts()) {
      kinds.push(f.fact);
      if (f.fact === 'queen') expect(ids.has(f.value.homeId) && ids.has(f.value.placeId)).toBe(true);
      if (f.fact === 'entry') expect(ids.has(f.value.queenId)).toBe(true);
      if (f.fact !== 'settings') ids.add(f.value.id);
    }
    expect(new Set(kinds)).toEqual(new Set(['settings', 'place', 'home', 'queen', 'entry']));
  });
});

describe('journal', () => {
  let folder: string;
  beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'burrow-journal-'))));
  afterEach(() => rmSync(folder, { recursive: true }));

  test('writes again what a database has lost, and nothing twice', async () => {
    const file = join(folder, 'facts.jsonl');
    const one = newQueen();
    const look = lookEntry(one.queen.id, 4, 5);
    const first = new Store(await openDb({ migrationsFolder: MIGRATIONS }), new Journal(file));
    await first.prepare();
    await first.write([...factsOf(one)]);
    await first.write([{ fact: 'entry', value: look }]);
    await first.write([{ fact: 'entry', value: look }]);
    await first.close();
    expect(readFileSync(file, 'utf8').trim().split('\n')).toHaveLength(5);

    // a new, empty database beside the same journal: as after a power cut that took everything
    const second = new Store(await openDb({ migrationsFolder: MIGRATIONS }), new Journal(file));
    expect(await second.prepare()).toEqual({ replayed: 2 });
    expect((await second.queenFacts([one.queen.id]))[0]?.entries).toEqual([one.intake, look]);
    expect(await second.prepare()).toEqual({ replayed: 0 });
    await second.close();
  }, 60_000);

  test('a line cut off by a crash is dropped, the lines before it stay', () => {
    const file = join(folder, 'facts.jsonl');
    const { place } = newQueen();
    const journal = new Journal(file);
    journal.append([
      { fact: 'place', value: place },
      { fact: 'place', value: { ...place, name: 'Other' } },
    ]);
    journal.close();
    truncateSync(file, readFileSync(file).length - 9);
    const reopened = new Journal(file);
    expect(reopened.since(0)).toEqual([{ fact: 'place', value: place }]);
    reopened.append([{ fact: 'place', value: place }]);
    expect(reopened.since(0)).toHaveLength(2);
    reopened.close();
    writeFileSync(file, '');
    expect(new Journal(file).since(0)).toEqual([]);
  });
});
