import { spawnSync } from 'node:child_process';
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { housingOf } from '@gentle-burrow/core/housing';
import { KIND_NAMES } from '@gentle-burrow/core/log';
import { askLog, logOf, readFacts, type Fact } from '@gentle-burrow/core/records';
import { sql } from 'drizzle-orm';
import { DATA_FORMAT } from './db/data-dir';
import { openDb } from './db/open';
import { Store } from './db/store';
import { openStore } from './start';
import { MIGRATIONS, newQueen } from './test-kit';

/** An export and a data directory as version 1 wrote them, with every kind of entry in them, amendments too. */
const VERSION_1 = join(__dirname, '..', 'test', 'version-1');
const EXPORT = join(VERSION_1, 'export.jsonl');
const AT = '2026-07-01T18:00:00.000Z';

/** Kinds of entries that version 1 did not know. */
const ADDED_SINCE: readonly string[] = ['correct', 'home', 'brood', 'heat', 'winter'];

const kindsOf = (facts: readonly Fact[]) =>
  new Set(facts.flatMap((f) => (f.fact === 'entry' ? [f.value.kind] : [])));

let folder: string;
beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'burrow-version-'))));
afterEach(() => rmSync(folder, { recursive: true, force: true }));

test('an export of version 1 is read whole, and every queen of it is answered', () => {
  const facts = readFacts(readFileSync(EXPORT, 'utf8'));
  const then = KIND_NAMES.filter((k) => !ADDED_SINCE.includes(k));
  expect([...kindsOf(facts)].sort()).toEqual([...then, 'amendment'].sort());
  const log = logOf(facts);
  expect(log.queens.map((q) => q.queen.label)).toEqual(['K1', 'K2']);
  // what that version did not ask is filled in, what it did ask is kept
  expect(log.settings).toMatchObject({
    lookingSchool: 'three-to-four-weeks',
    zone: null,
    nestSchool: 'count',
  });
  const { queens } = askLog(log, AT, 'Europe/Berlin', 300);
  expect(queens.map((q) => q.headline.length > 0 && q.verdicts.length > 0)).toEqual([true, true]);
  expect(queens[1]?.headline).toMatch(/Without a queen since 2026-06-11/);
});

test('a data directory of version 1 opens, and gives back what it was given', async () => {
  for (const file of ['burrow.json', 'facts.jsonl']) cpSync(join(VERSION_1, file), join(folder, file));
  const { store } = await openStore({ migrationsFolder: MIGRATIONS, dataDir: folder });
  try {
    const facts: Fact[] = [];
    for await (const fact of store.allFacts()) facts.push(fact);
    const before = readFacts(readFileSync(EXPORT, 'utf8'));
    const entries = (list: readonly Fact[]) =>
      list.flatMap((f) => (f.fact === 'entry' ? [f.value] : [])).sort((a, b) => (a.id < b.id ? -1 : 1));
    expect(entries(facts)).toEqual(entries(before));
    // and is of the present format from then on
    expect(JSON.parse(readFileSync(join(folder, 'burrow.json'), 'utf8'))).toMatchObject({
      format: DATA_FORMAT,
    });
    expect(logOf(facts).queens.map((q) => [q.queen.label, q.place.name])).toEqual([
      ['K1', 'Window drawer'],
      ['K2', 'Window drawer'],
    ]);
  } finally {
    await store.close();
  }
});

/** The same as version 2 wrote them: first homes that are no tube, and every change of a home. */
const VERSION_2 = join(__dirname, '..', 'test', 'version-2');

test('an export of version 2 is read whole: her home is what its changes made of it', () => {
  const log = logOf(readFacts(readFileSync(join(VERSION_2, 'export.jsonl'), 'utf8')));
  const homes = Object.fromEntries(log.queens.map((q) => [q.queen.label, housingOf(q)]));
  expect(homes.K3?.parts.map((p) => [p.part.kind, p.waterings.length, p.cleanedAt !== null])).toEqual([
    ['cell', 1, true],
  ]);
  expect(homes.K1?.faults).toEqual([]);
  expect(homes.K1?.parts.map((p) => [p.part.kind, p.purpose])).toEqual([
    ['tube', 'first'],
    ['outworld', 'room'],
    ['nest', 'move'],
    ['tube', 'room'],
  ]);
  expect(homes.K1?.parts[0]?.part).toMatchObject({ divider: { atMm: 120, strawMm: 4 } });
  expect(homes.K1?.parts[2]?.gates).toMatchObject({
    'room-2': { value: 'shut' },
    'port-1': { value: 'open' },
  });
  expect(homes.K1?.links).toEqual([]);
  const { queens } = askLog(log, AT, 'Europe/Berlin', 300);
  expect(queens.every((q) => q.headline.length > 0)).toBe(true);
});

test.each([
  ['1', VERSION_1],
  ['2', VERSION_2],
])('a data directory of format %s opens and gives back its homes', async (_, version) => {
  for (const file of ['burrow.json', 'facts.jsonl']) cpSync(join(version, file), join(folder, file));
  const { store } = await openStore({ migrationsFolder: MIGRATIONS, dataDir: folder });
  try {
    const homes = (list: readonly Fact[]) =>
      list.flatMap((f) => (f.fact === 'home' ? [f.value] : [])).sort((a, b) => (a.id < b.id ? -1 : 1));
    const facts: Fact[] = [];
    for await (const fact of store.allFacts()) facts.push(fact);
    expect(homes(facts)).toEqual(homes(readFacts(readFileSync(join(version, 'export.jsonl'), 'utf8'))));
  } finally {
    await store.close();
  }
});

test('tubes of a database of format 1 are the same tubes after it was brought up to date', async () => {
  // the migrations that format 1 ended with
  const then = join(folder, 'migrations');
  cpSync(MIGRATIONS, then, { recursive: true });
  const file = join(then, 'meta', '_journal.json');
  const journal = JSON.parse(readFileSync(file, 'utf8')) as { entries: { tag: string }[] };
  journal.entries = journal.entries.filter(({ tag }) => tag <= '0004_connectors');
  writeFileSync(file, JSON.stringify(journal));
  const pgliteDir = join(folder, 'db');
  const old = await openDb({ migrationsFolder: then, pgliteDir });
  const one = newQueen();
  const { queen, home, place } = one;
  await old.db.execute(sql`insert into places (id, name, temp_c, room_rel_humidity)
    values (${place.id}, ${place.name}, ${place.tempC}, ${place.roomRelHumidity})`);
  await old.db
    .execute(sql`insert into homes (id, kind, outside_mm, bore_mm, length_mm, "end", water_line_mm, inner_plug_mm,
    outer_plug_mm, set_up_at) values (${home.id}, 'tube', ${home.outsideMm}, ${home.boreMm}, ${home.lengthMm}, ${home.end},
    ${home.waterLineMm}, ${home.plugs.innerMm}, ${home.plugs.outerMm}, ${home.setUpAt})`);
  await old.db.execute(sql`insert into queens (id, label, home_id, place_id, created_at)
    values (${queen.id}, ${queen.label}, ${home.id}, ${place.id}, ${queen.createdAt})`);
  await old.close();

  const store = new Store(await openDb({ migrationsFolder: MIGRATIONS, pgliteDir }));
  try {
    const [back] = await store.queenFacts([queen.id]);
    expect(back).toEqual({ queen, home, place, places: [place], entries: [] });
  } finally {
    await store.close();
  }
});

describe('asking about a log from the command line', () => {
  const ask = (...args: string[]) => {
    const root = join(__dirname, '..', '..');
    const { status, stdout, stderr } = spawnSync(
      process.execPath,
      ['--import', 'tsx', join('scripts', 'ask.ts'), ...args],
      { cwd: root, encoding: 'utf8' },
    );
    return { status, stdout, stderr };
  };
  const broken = (text: string) => {
    const file = join(folder, 'log.jsonl');
    writeFileSync(file, text);
    return file;
  };

  test('one JSON document, every queen with all that is said', () => {
    const { status, stdout } = ask(EXPORT, '--at', AT, '--zone', 'America/Chicago');
    expect(status).toBe(0);
    const told = JSON.parse(stdout) as { at: string; queens: Record<string, unknown>[] };
    expect(told.at).toBe(AT);
    for (const queen of told.queens)
      expect(Object.keys(queen)).toEqual([
        'label',
        'pressure',
        'headline',
        'restUntil',
        'verdicts',
        'due',
        'outlook',
        'neverLays',
        'tempC',
        'offset',
        'inside',
        'water',
        'watering',
        'founder',
        'disturbance',
      ]);
  });

  test('a broken line is named with its number and how to mend it; nothing is guessed', () => {
    const good = readFileSync(EXPORT, 'utf8').split('\n')[0] ?? '';
    const cut = ask(broken(`${good}\n{"fact":"entry","val`));
    expect([cut.status, cut.stderr]).toEqual([2, expect.stringMatching(/^Line 2 is not JSON\..*cut off/)]);
    const foreign = ask(broken(`\n${JSON.stringify({ fact: 'wish', value: {} })}\n`));
    expect([foreign.status, foreign.stderr]).toEqual([
      2,
      expect.stringMatching(/^Line 2 .*no fact that is known/),
    ]);
    const eggs = JSON.parse(
      readFileSync(EXPORT, 'utf8')
        .split('\n')
        .find((l) => l.includes('"kind":"look"')) ?? '{}',
    ) as {
      value: { eggs: object };
    };
    eggs.value.eggs = { low: 9, high: 2 };
    const upside = ask(broken(JSON.stringify(eggs)));
    expect([upside.status, upside.stderr]).toEqual([
      2,
      expect.stringMatching(/^Line 1 .*eggs.*below the lower count/),
    ]);
  });

  test('no file, no such file, no moment, no zone: one sentence each', () => {
    expect(ask()).toMatchObject({ status: 2, stderr: expect.stringMatching(/^Name one exported log/) });
    expect(ask(join(folder, 'none.jsonl'))).toMatchObject({
      status: 2,
      stderr: expect.stringMatching(/cannot be read/),
    });
    expect(ask(EXPORT, '--at', 'soon')).toMatchObject({
      status: 2,
      stderr: expect.stringMatching(/is not a date/),
    });
    expect(ask(EXPORT, '--zone', 'Nowhere')).toMatchObject({
      status: 2,
      stderr: expect.stringMatching(/not a time zone/),
    });
    expect(ask(EXPORT, '--soon')).toMatchObject({
      status: 2,
      stderr: expect.stringMatching(/Unknown option/),
    });
  });
});
