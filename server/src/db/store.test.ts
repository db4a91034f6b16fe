import { mkdtempSync, readFileSync, rmSync, truncateSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { usualBody } from '@gentle-burrow/core/housing';
import { readingsOf } from '@gentle-burrow/core/climate';
import type { Probe } from '@gentle-burrow/core/facts';
import type { Entry } from '@gentle-burrow/core/log';
import type { ReadingBatch } from '@gentle-burrow/core/records';
import { sql } from 'drizzle-orm';
import { v7 } from 'uuid';
import { factsOf, lookEntry, MIGRATIONS, newQueen } from '../test-kit';
import { openFiles } from './files';
import { Journal } from './journal';
import { openDb, type OpenDb } from './open';
import { Store } from './store';
import { worthTidying } from './tidy-readings';

/** The facts of a journal, none of which is damaged. */
const told = (journal: Journal): unknown[] =>
  [...journal.since(0)].map((l) => ('fact' in l ? l.fact : l.garbage));

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
    expect(first).toMatchObject({ accepted: [look.id], known: [] });
    expect(again).toMatchObject({ accepted: [], known: [look.id] });
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

  describe('readings', () => {
    const START = Date.UTC(2026, 5, 1);
    const batch = (probeId: string, minutes: number, temp = (i: number) => 24 + (i % 10) / 10) => ({
      probeId,
      ms: Array.from({ length: minutes }, (_, i) => START + i * 60_000),
      tempC: Array.from({ length: minutes }, (_, i) => temp(i)),
      rh: Array.from({ length: minutes }, () => 0.5),
    });
    const probeAt = async () => {
      const { place } = await added();
      const probe: Probe = {
        id: v7(),
        name: 'Probe',
        kind: 'logger',
        stays: [{ from: new Date(START).toISOString(), placeId: place.id }],
        silentAfterH: 2,
        checks: [],
      };
      await store.write([{ fact: 'probe', value: probe }]);
      return probe;
    };
    const write = (value: ReadingBatch) => store.write([{ fact: 'readings', value }]).then((w) => w.readings);

    test('come back as they came, and the same again changes nothing', async () => {
      const probe = await probeAt();
      const sent = batch(probe.id, 3 * 1440);
      expect(await write(sent)).toMatchObject({ added: 4320, known: 0, contradictory: 0 });
      expect(await write(sent)).toMatchObject({ added: 0, known: 4320, contradictory: 0 });
      const back = [];
      for await (const c of store.readings(probe.id, START, START + 4 * 86_400_000))
        back.push(...readingsOf(c));
      expect(back.map((r) => r.ms)).toEqual(sent.ms);
      expect(back.map((r) => r.tempC)).toEqual(sent.tempC);
      expect((await store.latest()).find((l) => l.probeId === probe.id)?.ms).toBe(sent.ms.at(-1));
    });

    test('what contradicts is counted, and the first stays; what fills a gap goes between', async () => {
      const probe = await probeAt();
      const whole = batch(probe.id, 60);
      const half = (rest: number) => ({
        ...whole,
        ms: whole.ms.filter((_, i) => i % 2 === rest),
        tempC: whole.tempC.filter((_, i) => i % 2 === rest),
        rh: whole.rh.filter((_, i) => i % 2 === rest),
      });
      await write(half(1));
      expect(await write(half(0))).toMatchObject({ added: 30 });
      expect(await write(batch(probe.id, 60, () => 30))).toMatchObject({
        added: 0,
        known: 0,
        contradictory: 60,
      });
      const [hour] = await store.hours(probe.id, START, START + 3_600_000);
      expect(hour).toMatchObject({ n: 60, temp: { min: 2400, max: 2490 } });
    });

    test('hours and days are in step with what they are rolled up from, whatever width a chart has', async () => {
      const probe = await probeAt();
      const sent = batch(probe.id, 200 * 24, (i) => 20 + (i % 1440) / 100);
      // an hour apart, two hundred days
      sent.ms = sent.ms.map((_, i) => START + i * 3_600_000);
      await write(sent);
      for (const [days, columns] of [
        [200, 100],
        [30, 60],
        [1, 24],
      ] as const) {
        const series = await store.series(probe.id, START, START + days * 86_400_000, columns);
        const taken = sent.tempC.slice(0, days * 24);
        expect(series).toHaveLength(columns);
        expect(series.reduce((n, c) => n + c.n, 0)).toBe(days * 24);
        expect(Math.min(...series.map((c) => c.temp?.min ?? NaN))).toBe(Math.round(100 * Math.min(...taken)));
        expect(Math.max(...series.map((c) => c.temp?.max ?? NaN))).toBe(Math.round(100 * Math.max(...taken)));
        const mean = series.reduce((sum, c) => sum + (c.temp?.mean ?? NaN) * c.n, 0) / (days * 24);
        expect(mean).toBeCloseTo((100 * taken.reduce((a, b) => a + b, 0)) / taken.length, 0);
      }
    });

    test('taken back are gone, from the hours too; the others of the day stay', async () => {
      const probe = await probeAt();
      const sent = batch(probe.id, 120);
      await write(sent);
      const ms = sent.ms.slice(0, 60);
      await store.write([{ fact: 'readings-taken-back', value: { probeId: probe.id, ms } }]);
      const hours = await store.hours(probe.id, START, START + 86_400_000);
      expect(hours.map((h) => [h.ms - START, h.n])).toEqual([[3_600_000, 60]]);
      await store.write([{ fact: 'readings-taken-back', value: { probeId: probe.id, ms: sent.ms } }]);
      expect((await store.latest()).some((l) => l.probeId === probe.id)).toBe(false);
    });

    test('of a probe that is not known are refused', async () => {
      await expect(write(batch(v7(), 3))).rejects.toMatchObject({ code: 'no-such-probe' });
    });
  });

  test('everything comes out again in an order in which it can be read back', async () => {
    await added();
    const kinds: string[] = [];
    const ids = new Set<string>();
    for await (const f of store.allFacts()) {
      kinds.push(f.fact);
      if (f.fact === 'queen') expect(ids.has(f.value.homeId) && ids.has(f.value.placeId)).toBe(true);
      if (f.fact === 'entry') expect(ids.has(f.value.queenId)).toBe(true);
      if (f.fact === 'readings' || f.fact === 'readings-taken-back')
        expect(ids.has(f.value.probeId)).toBe(true);
      else if (f.fact !== 'settings') ids.add(f.value.id);
    }
    expect(new Set(kinds)).toEqual(
      new Set(['settings', 'place', 'probe', 'home', 'queen', 'entry', 'readings']),
    );
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
    const first = new Store(await openDb({ migrationsFolder: MIGRATIONS }), openFiles(folder));
    await first.prepare();
    await first.write([...factsOf(one)]);
    await first.write([{ fact: 'entry', value: look }]);
    await first.write([{ fact: 'entry', value: look }]);
    await first.close();
    expect(readFileSync(file, 'utf8').trim().split('\n')).toHaveLength(5);

    // a new, empty database beside the same journal: as after a power cut that took everything
    const second = new Store(await openDb({ migrationsFolder: MIGRATIONS }), openFiles(folder));
    expect(await second.prepare()).toEqual({ replayed: 2 });
    expect((await second.queenFacts([one.queen.id]))[0]?.entries).toEqual([one.intake, look]);
    expect(await second.prepare()).toEqual({ replayed: 0 });
    await second.close();
  }, 60_000);

  test('readings that a database has lost are written again too', async () => {
    const { place } = newQueen();
    const probe: Probe = {
      id: v7(),
      name: 'Probe',
      kind: 'logger',
      stays: [{ from: '2026-05-01T00:00:00.000Z', placeId: place.id }],
      silentAfterH: null,
      checks: [],
    };
    const value = { probeId: probe.id, ms: [Date.UTC(2026, 5, 1)], tempC: [24.5], rh: [null] };
    const first = new Store(await openDb({ migrationsFolder: MIGRATIONS }), openFiles(folder));
    await first.prepare();
    await first.write([
      { fact: 'place', value: place },
      { fact: 'probe', value: probe },
    ]);
    await first.write([{ fact: 'readings', value }]);
    await first.write([{ fact: 'readings', value }]);
    const mistake = { probeId: probe.id, ms: [Date.UTC(2026, 5, 2)], tempC: [45], rh: [null] };
    await first.write([{ fact: 'readings', value: mistake }]);
    await first.write([{ fact: 'readings-taken-back', value: { probeId: probe.id, ms: mistake.ms } }]);
    await first.close();
    expect(readFileSync(join(folder, 'readings.jsonl'), 'utf8').trim().split('\n')).toHaveLength(3);
    // what belongs to nobody keeps no server from starting
    const own = readFileSync(join(folder, 'readings.jsonl'), 'utf8');
    writeFileSync(join(folder, 'readings.jsonl'), `${JSON.stringify({ ...value, probeId: v7() })}\n${own}`);
    expect(readFileSync(join(folder, 'facts.jsonl'), 'utf8')).not.toContain('readings');

    const second = new Store(await openDb({ migrationsFolder: MIGRATIONS }), openFiles(folder));
    await second.prepare();
    expect(await second.latest()).toEqual([
      { probeId: probe.id, ms: Date.UTC(2026, 5, 1), centiC: 2450, centiPct: -32768 },
    ]);
    await second.close();
  }, 60_000);

  test('readings that came one by one are written anew, a line a day, and nothing is lost', async () => {
    const { place } = newQueen();
    const probe: Probe = {
      id: v7(),
      name: 'Probe',
      kind: 'logger',
      stays: [{ from: '2026-05-01T00:00:00.000Z', placeId: place.id }],
      silentAfterH: null,
      checks: [],
    };
    const files = openFiles(folder);
    const opened = await openDb({ migrationsFolder: MIGRATIONS });
    const first = new Store(opened, files);
    await first.prepare();
    await first.write([
      { fact: 'place', value: place },
      { fact: 'probe', value: probe },
    ]);
    const ms = Array.from({ length: 60 }, (_, i) => Date.UTC(2026, 5, 1 + Math.floor(i / 30), 0, i));
    for (const at of ms)
      await first.write([
        { fact: 'readings', value: { probeId: probe.id, ms: [at], tempC: [24], rh: [null] } },
      ]);
    const { db } = opened;
    const sent = files.readings.position;
    expect(await worthTidying(db, files)).toBe(false);
    expect(await worthTidying(db, files, 0)).toBe(true);
    await first.tidyReadings(files.readings);
    expect(files.readings.position).toBeLessThan(sent / 2);
    expect(await worthTidying(db, files, 0)).toBe(false);
    // and it goes on from there
    const last = { probeId: probe.id, ms: [Date.UTC(2026, 5, 3)], tempC: [25], rh: [null] };
    await first.write([{ fact: 'readings', value: last }]);
    await first.close();
    const lines = readFileSync(join(folder, 'readings.jsonl'), 'utf8').trim().split('\n');
    expect(lines).toHaveLength(3);
    const second = new Store(await openDb({ migrationsFolder: MIGRATIONS }), openFiles(folder));
    await second.prepare();
    let n = 0;
    for await (const fact of second.allFacts()) if (fact.fact === 'readings') n += fact.value.ms.length;
    expect(n).toBe(61);
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
    expect(told(reopened)).toEqual([{ fact: 'place', value: place }]);
    reopened.append([{ fact: 'place', value: place }]);
    expect(told(reopened)).toHaveLength(2);
    reopened.close();
    writeFileSync(file, '');
    expect([...new Journal(file).since(0)]).toEqual([]);
  });
});
