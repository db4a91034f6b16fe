import {
  appendFileSync,
  cpSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Entry } from '@gentle-burrow/core/log';
import { v7 } from 'uuid';
import { DailyBackups } from '../backup/daily';
import { checkDir } from '../check';
import { openStore } from '../start';
import { factsOf, lookEntry, MIGRATIONS, newQueen, NOW } from '../test-kit';
import type { Store } from './store';

const sound = mkdtempSync(join(tmpdir(), 'burrow-sound-'));
let folder = sound;
beforeAll(made, 60_000);
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'burrow-damaged-'));
  cpSync(sound, folder, { recursive: true });
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));
afterAll(() => rmSync(sound, { recursive: true, force: true }));

const at = (name: string) => join(folder, name);
const open = () => openStore({ migrationsFolder: MIGRATIONS, dataDir: folder });
const one = newQueen('A');
const looks = [lookEntry(one.queen.id, 20, 3), lookEntry(one.queen.id, 10, 5), lookEntry(one.queen.id, 5, 9)];
const entriesIn = async (store: Store) =>
  ((await store.entriesOf([one.queen.id])).get(one.queen.id) ?? []).map((e) => e.id).sort();
const ids = (entries: Entry[]) => entries.map((e) => e.id).sort();
const everything = ids([one.intake, ...looks]);

/** A directory with one queen and three looks. */
async function made(): Promise<void> {
  const { store } = await open();
  await store.write(factsOf(one));
  for (const value of looks) await store.write([{ fact: 'entry', value }]);
  await store.close();
}

/** Opens it, tells what is there and what was set aside, and sees that it can be written and opened once more. */
async function opened() {
  const { store, aside, replayed } = await open();
  const found = await entriesIn(store);
  const more = lookEntry(one.queen.id, 1, 1);
  await store.write([{ fact: 'entry', value: more }]);
  await store.close();
  const again = await open();
  expect(await entriesIn(again.store)).toEqual([...found, more.id].sort());
  // what was wrong is told once
  expect(again.aside).toEqual([]);
  expect(
    again.store
      .setAside()
      .slice(0, aside.length)
      .map((a) => a.says)
      .reverse(),
  ).toEqual(aside.map((says) => says.replace(/ It lies in .*$/, '')));
  await again.store.close();
  return { found, aside, replayed };
}

describe('a start does not fail on one bad thing', () => {
  test('a garbage line among the facts: the others are there, and it is set aside', async () => {
    const lines = readFileSync(at('facts.jsonl'), 'utf8').split('\n');
    lines.splice(2, 0, '{"fact":"entry","val');
    writeFileSync(at('facts.jsonl'), lines.join('\n'));
    rmSync(at('db'), { recursive: true });
    const { found, aside } = await opened();
    expect(found).toEqual(everything);
    expect(aside).toEqual([
      expect.stringMatching(/^Line 3 of facts\.jsonl cannot be read.* It lies in .*quarantine/),
    ]);
  }, 120_000);

  test('a torn last line, and a line of the right form that no schema takes', async () => {
    const [, second] = looks;
    appendFileSync(
      at('facts.jsonl'),
      `${JSON.stringify({ fact: 'entry', value: { ...second, id: v7(), kind: 'dance' } })}\n{"fact":`,
    );
    const { found, aside } = await opened();
    expect(found).toEqual(everything);
    expect(aside).toEqual([
      expect.stringMatching(/The end of facts\.jsonl was cut off/),
      expect.stringMatching(/A line of facts\.jsonl does not have the right shape/),
    ]);
  }, 120_000);

  test('an amendment that stands before its entry is stored with it, whatever lies between', async () => {
    const late = lookEntry(one.queen.id, 2, 4);
    const amendment: Entry = {
      kind: 'amendment',
      id: v7(),
      queenId: one.queen.id,
      at: late.at,
      loggedAt: late.at,
      amends: late.id,
      replacement: null,
    };
    const { place } = one;
    const between = Array.from({ length: 1500 }, (_, i) => ({
      fact: 'place',
      value: { ...place, name: `P${i}` },
    }));
    const line = (fact: object) => `${JSON.stringify(fact)}\n`;
    appendFileSync(
      at('facts.jsonl'),
      [{ fact: 'entry', value: amendment }, ...between, { fact: 'entry', value: late }].map(line).join(''),
    );
    const { found, aside } = await opened();
    expect(found).toEqual([...everything, amendment.id, late.id].sort());
    expect(aside).toEqual([]);
  }, 120_000);

  test('a missing journal is written anew from the database', async () => {
    rmSync(at('facts.jsonl'));
    const { found, aside } = await opened();
    expect(found).toEqual(everything);
    expect(aside).toEqual([expect.stringMatching(/facts\.jsonl was missing or empty\. It was written anew/)]);
    // and with it alone the database can be made
    rmSync(at('db'), { recursive: true });
    expect((await opened()).found).toHaveLength(5);
  }, 120_000);

  test('an older journal beside a newer database: both together are there, and what is newer of a place stays', async () => {
    const old = readFileSync(at('facts.jsonl'));
    const first = await open();
    await first.store.write([{ fact: 'place', value: { ...one.place, name: 'Renamed' } }]);
    const value = lookEntry(one.queen.id, 3, 9);
    await first.store.write([{ fact: 'entry', value }]);
    await first.store.close();
    writeFileSync(at('facts.jsonl'), old.subarray(0, old.lastIndexOf(0x0a, old.length - 2) + 1));
    const { found } = await opened();
    expect(found).toEqual([...everything, value.id].sort());
    rmSync(at('db'), { recursive: true });
    const { store } = await open();
    expect((await store.places()).map((p) => p.name)).toEqual(['Renamed']);
    expect(await entriesIn(store)).toEqual(expect.arrayContaining([...everything, value.id]));
    await store.close();
  }, 120_000);

  test.each([
    ['without its version', () => rmSync(at('db/PG_VERSION'))],
    ['with a cut control file', () => truncateSync(at('db/global/pg_control'), 100)],
    ['with tables that are gone', () => rmSync(at('db/base'), { recursive: true })],
  ])(
    'a database %s is set aside and made anew from the journal',
    async (_, damage) => {
      damage();
      const told: number[] = [];
      const { store, aside } = await openStore({
        migrationsFolder: MIGRATIONS,
        dataDir: folder,
        progress: (share) => told.push(share),
      });
      expect(await entriesIn(store)).toEqual(everything);
      expect(aside).toEqual([expect.stringMatching(/database was damaged\. It was made anew/)]);
      expect(told.at(-1)).toBe(1);
      await store.close();
      expect(readdirSync(at('quarantine'))).toContainEqual(expect.stringMatching(/^db-/));
    },
    120_000,
  );

  test('no mark of the format, or a damaged one', async () => {
    rmSync(at('burrow.json'));
    expect((await opened()).found).toEqual(everything);
    writeFileSync(at('burrow.json'), '{"name":');
    const { store, aside } = await open();
    expect(aside).toEqual([expect.stringMatching(/burrow\.json was damaged/)]);
    await store.close();
  }, 120_000);

  test('foreign, empty and dateless files among the photos', async () => {
    const named = (queenId: string, ms: number | string) => at(`photos/${v7()}.${queenId}.${ms}.jpg`);
    writeFileSync(at('photos/holiday.jpg'), 'not ours');
    writeFileSync(named(one.queen.id, 1_750_000_000_000), '');
    // the year 0
    writeFileSync(named(one.queen.id, -62_167_219_200_000), 'x');
    mkdirSync(at('photos/folder'));
    const unfinished = `${v7()}.${one.queen.id}.1750000000000.jpg.123456`;
    writeFileSync(at(`photos/${unfinished}`), 'half');
    const { aside } = await opened();
    expect(aside).toHaveLength(4);
    expect(aside).toContainEqual(expect.stringMatching(/is damaged or empty/));
    expect(readdirSync(at('photos'))).toEqual([]);
    expect(readdirSync(at('quarantine'))).toHaveLength(5);
  }, 120_000);

  test('what was cut off while it was written beside the data is swept away, what else lies there is not', async () => {
    for (const name of ['backup.json.698669924', 'owner.json.1', 'mine.json.bak', 'notes.1'])
      writeFileSync(at(name), '{');
    mkdirSync(at('shelf.json.7'));
    const { aside } = await opened();
    expect(aside).toEqual([]);
    const left = readdirSync(at('.')).filter((name) => /\.json\.|notes/.test(name));
    expect(left.sort()).toEqual(['mine.json.bak', 'notes.1', 'shelf.json.7']);
  }, 120_000);

  test.each(['', '{"folder":', '{"folder":7}'])(
    'where the daily backup goes, damaged (%j): it is set aside with what to do, and a folder can be chosen again',
    async (text) => {
      writeFileSync(at('backup.json'), text);
      const { store } = await open();
      const daily = new DailyBackups(store, '0.0.0-test', () => NOW);
      expect((await daily.state()).folder).toBeNull();
      expect(store.setAside()).toMatchObject([
        { says: expect.stringMatching(/^backup\.json was damaged\. No backup .* choose its folder again/) },
      ]);
      const target = mkdtempSync(join(tmpdir(), 'burrow-daily-'));
      expect((await daily.choose(target)).last?.went).toBe('well');
      await store.close();
      rmSync(target, { recursive: true });
    },
    60_000,
  );
});

describe('a check', () => {
  const check = () => checkDir(folder, MIGRATIONS);
  /** Every file with its content and time, so that a write would be seen. */
  const snapshot = () =>
    readdirSync(folder, { recursive: true, withFileTypes: true })
      .filter((f) => f.isFile())
      .map((f) => {
        const path = join(f.parentPath, f.name);
        return [path, statSync(path).mtimeMs, readFileSync(path).length];
      });

  test('of what is sound says so, counts, and writes nothing, also while it is open', async () => {
    const before = snapshot();
    expect(await check()).toEqual({
      wrong: [],
      counts: { settings: 1, place: 1, home: 1, queen: 1, entry: 4, photo: 0 },
    });
    expect(snapshot()).toEqual(before);
    const { store } = await open();
    expect((await check()).wrong).toEqual([]);
    await store.close();
  }, 120_000);

  test('tells what a start would set aside, and leaves that to the start', async () => {
    appendFileSync(at('facts.jsonl'), 'garbage\n{"fact":"en');
    rmSync(at('burrow.json'));
    writeFileSync(at('photos/holiday.jpg'), 'x');
    const before = snapshot();
    const { wrong } = await check();
    expect(wrong).toEqual([
      expect.stringMatching(/burrow\.json is missing/),
      expect.stringMatching(/The end of facts\.jsonl was cut off/),
      expect.stringMatching(/Line \d+ of facts\.jsonl cannot be read/),
      expect.stringMatching(/holiday\.jpg in the folder of photos is none of ours/),
    ]);
    expect(snapshot()).toEqual(before);
  }, 120_000);

  test('tells what would keep it from starting, and that there is nothing', async () => {
    writeFileSync(at('burrow.json'), '{"name":"gentle-burrow","format":99}');
    expect((await check()).wrong).toEqual([expect.stringMatching(/written by a newer version/)]);
    await expect(checkDir(at('nowhere'), MIGRATIONS)).rejects.toThrow(/There is no data directory/);
  }, 60_000);
});
