import {
  createWriteStream,
  cpSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { Readable } from 'node:stream';
import type { BroughtBack } from '@gentle-burrow/contract';
import { DEFAULT_SETTINGS } from '@gentle-burrow/core/facts';
import { v7 } from 'uuid';
import { openPromise } from 'yauzl';
import { ZipFile } from 'yazl';
import type { Fact } from '../db/facts';
import { daysAgo, factsOf, lookEntry, newQueen, NOW, picture, testServer } from '../test-kit';
import type { Store } from '../db/store';
import { bringBack } from './bring-back';
import { DailyBackups, readBack } from './daily';
import { openBrought } from './read-archive';

let here: Awaited<ReturnType<typeof testServer>>;
let there: Awaited<ReturnType<typeof testServer>>;
let folder: string;
const one = newQueen('A');
const look = lookEntry(one.queen.id, 5, 8);
const probe = {
  id: v7(),
  name: 'Logger',
  kind: 'logger' as const,
  stays: [{ from: daysAgo(90), placeId: one.place.id }],
  silentAfterH: null,
  checks: [],
};
const item = { id: v7(), kind: 'plug' as const, name: 'Cotton', tube: null, lowAt: 2 };
const photo = { id: v7(), queenId: one.queen.id, at: new Date(daysAgo(5)) };
const ms = [0, 1, 2].map((i) => Date.UTC(2026, 5, 1, i));
const everything: Fact[] = [
  ...factsOf({ ...one, intake: { ...one.intake, where: 'Millrace Meadow' } as never }),
  { fact: 'entry', value: look },
  { fact: 'probe', value: probe },
  { fact: 'readings', value: { probeId: probe.id, ms, tempC: [20, 21, 22.5], rh: [0.5, null, 0.6] } },
  { fact: 'stock-item', value: item },
  {
    fact: 'stock-move',
    value: { id: v7(), itemId: item.id, at: daysAgo(1), delta: 4, why: 'bought', queenId: one.queen.id },
  },
  { fact: 'settings', value: { ...DEFAULT_SETTINGS, hemisphere: 'south' } },
];

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'burrow-backup-'));
  here = await testServer();
  there = await testServer();
  await here.store.write(everything);
  await here.store.photos.keep(photo, await picture('#804020'));
  await bytesOf('/api/backup.zip', 'whole.zip');
}, 60_000);
afterAll(async () => {
  await here.close();
  await there.close();
  rmSync(folder, { recursive: true, force: true });
});

const at = (name: string) => join(folder, name);
async function bytesOf(url: string, name: string): Promise<string> {
  const answer = await here.app.inject(url);
  expect(answer.statusCode).toBe(200);
  writeFileSync(at(name), answer.rawPayload);
  return at(name);
}
async function send(
  server: typeof here,
  name: string,
  query = '',
  type = name.endsWith('.zip') ? 'application/zip' : 'application/jsonl',
) {
  return server.app.inject({
    method: 'POST',
    url: `/api/bring-back?${query}`,
    headers: { 'content-type': type },
    payload: readFileSync(at(name)),
  });
}
const told = (answer: Awaited<ReturnType<typeof send>>) => {
  expect([answer.statusCode, answer.statusCode === 200 ? '' : answer.body]).toEqual([200, '']);
  return answer.json<BroughtBack>();
};
const countsOf = (b: BroughtBack) =>
  Object.fromEntries(b.counts.map((c) => [c.what, [c.fresh, c.same, c.contradictory]]));
async function exported(store: Store): Promise<string> {
  const lines: string[] = [];
  for await (const fact of store.allFacts()) lines.push(JSON.stringify(fact));
  return lines.join('\n');
}

/** A zip with other files in it, or without some. */
async function changed(name: string, change: (files: Map<string, Buffer>) => void): Promise<string> {
  const files = new Map<string, Buffer>();
  const zip = await openPromise(at('whole.zip'), { lazyEntries: true, autoClose: false });
  for await (const entry of zip.eachEntry()) {
    const parts: Buffer[] = [];
    for await (const part of await zip.openReadStreamPromise(entry)) parts.push(part as Buffer);
    files.set(entry.fileName, Buffer.concat(parts));
  }
  zip.close();
  change(files);
  const next = new ZipFile();
  for (const [file, bytes] of files) next.addBuffer(bytes, file);
  next.end();
  await pipeline(next.outputStream as Readable, createWriteStream(at(name)));
  return name;
}
const swap = (files: Map<string, Buffer>, name: string, from: string, to: string) =>
  files.set(name, Buffer.from((files.get(name) as Buffer).toString('utf8').replace(from, to)));
const photoName = (files: Map<string, Buffer>) =>
  [...files.keys()].find((n) => n.startsWith('photos/')) as string;

const NEW = {
  queen: [1, 0, 0],
  entry: [2, 0, 0],
  photo: [1, 0, 0],
  place: [1, 0, 0],
  home: [1, 0, 0],
  probe: [1, 0, 0],
  readings: [3, 0, 0],
  'stock-item': [1, 0, 0],
  'stock-move': [1, 0, 0],
  settings: [1, 0, 0],
};

describe('a whole backup', () => {
  test('is told before it is taken, comes back whole, and a second time changes nothing', async () => {
    const before = await exported(there.store);
    const found = told(await send(there, 'whole.zip'));
    expect(found).toMatchObject({ taken: false, madeAt: NOW.toISOString(), refused: [], warnings: [] });
    expect(countsOf(found)).toEqual(NEW);
    expect(await exported(there.store)).toBe(before);

    const taken = told(await send(there, 'whole.zip', 'take=yes'));
    expect(countsOf(taken)).toEqual(NEW);
    expect(taken).toMatchObject({ taken: true, refused: [] });
    expect(await exported(there.store)).toBe(await exported(here.store));
    expect(await there.store.photos.read(photo.id, 'whole')).toEqual(
      await here.store.photos.read(photo.id, 'whole'),
    );
    expect(await there.store.photos.read(photo.id, 'thumb')).not.toBeNull();

    const again = told(await send(there, 'whole.zip', 'take=yes'));
    expect(again.counts.every((c) => c.fresh === 0 && c.contradictory === 0)).toBe(true);
    expect(again.counts.map((c) => c.same).reduce((a, b) => a + b)).toBe(13);
    expect(await exported(there.store)).toBe(await exported(here.store));
  });

  test('a log alone, without the sites, is the same as what is here and takes no site away', async () => {
    await bytesOf('/api/export.jsonl', 'log.jsonl');
    expect(readFileSync(at('log.jsonl'), 'utf8')).not.toContain('Millrace');
    const without = (await here.app.inject('/api/export.jsonl?readings=without')).body;
    expect([without.includes('"fact":"entry"'), without.includes('"fact":"readings"')]).toEqual([
      true,
      false,
    ]);
    const before = await exported(here.store);
    const found = told(await send(here, 'log.jsonl', 'take=yes&prefer=file'));
    expect(found.counts.every((c) => c.fresh === 0 && c.contradictory === 0)).toBe(true);
    expect(await exported(here.store)).toBe(before);
  });

  test('what is told otherwise: what is here stays, or what may change does, as is chosen', async () => {
    const two = await testServer();
    try {
      await two.store.write(everything);
      const warmer = { ...one.place, tempC: 28 };
      await two.store.write([{ fact: 'place', value: warmer }]);
      const found = told(await send(two, 'whole.zip'));
      expect(found.contradictions).toEqual([
        { what: 'place', name: one.place.name, about: ['tempC'], lasting: false },
      ]);
      await send(two, 'whole.zip', 'take=yes');
      expect(await two.store.places()).toEqual([warmer]);
      await send(two, 'whole.zip', 'take=yes&prefer=file');
      expect(await two.store.places()).toEqual([one.place]);

      // an entry is only ever added to
      await changed('entry.zip', (files) =>
        swap(files, 'facts.jsonl', '"low":8,"high":8', '"low":9,"high":9'),
      );
      const otherwise = told(await send(two, 'entry.zip', 'take=yes&prefer=file'));
      expect(otherwise.contradictions).toMatchObject([{ what: 'entry', about: ['eggs'], lasting: true }]);
      expect(await two.store.entriesOf([one.queen.id])).toEqual(await here.store.entriesOf([one.queen.id]));
    } finally {
      await two.close();
    }
  }, 60_000);
});

describe('a damaged file', () => {
  test('lines that cannot be read are told with their number, the others can be taken', async () => {
    const lines = readFileSync(at('log.jsonl'), 'utf8').split('\n');
    const stranger = lookEntry(v7(), 3, 2);
    lines.splice(1, 0, '{"fact":"entry","val', JSON.stringify({ fact: 'dance', value: {} }));
    lines.push(JSON.stringify({ fact: 'entry', value: stranger }));
    // what a database cannot store
    const odd = { ...lookEntry(one.queen.id, 2, 1), text: 'a\u0000b' };
    lines.push(JSON.stringify({ fact: 'entry', value: odd }));
    writeFileSync(at('torn.jsonl'), `\uFEFF${lines.join('\r\n')}`);
    const found = told(await send(there, 'torn.jsonl', 'take=yes'));
    expect(found.refused.map((r) => `${r.where}: ${r.reason}`)).toEqual([
      expect.stringMatching(/^Line 2: It is not JSON/),
      expect.stringMatching(/^Line 3: It cannot be read.*no fact that is known here/),
      expect.stringMatching(/^Line \d+: A text holds a character that is none/),
      expect.stringMatching(/^Line \d+: Its queen is neither here nor in the file/),
    ]);
    expect(found.refusedCount).toBe(4);
    expect(await exported(there.store)).toBe(await exported(here.store));
  });

  test.each<[string, (files: Map<string, Buffer>) => void, RegExp]>([
    ['a list that is missing', (f) => f.delete('manifest.json'), /no list of what is in it/],
    ['a file beside', (f) => f.set('notes.txt', Buffer.from('x')), /notes\.txt is none of ours/],
    [
      'facts that were changed',
      (f) => swap(f, 'facts.jsonl', '"Cotton"', '"Wool"'),
      /facts\.jsonl is not as it was/,
    ],
    ['a photo that is missing', (f) => f.delete(photoName(f)), /is in its list, but not in the file/],
  ])('%s is told', async (_, change, says) => {
    const answer = await send(there, await changed('changed.zip', change));
    expect(answer.statusCode === 200 ? told(answer).warnings.join(' ') : answer.body).toMatch(says);
  });

  test('a photo that was changed is not taken', async () => {
    const name = await changed('photo.zip', (f) => {
      const bytes = Buffer.from(f.get(photoName(f)) as Buffer);
      bytes[bytes.length - 9] = (bytes[bytes.length - 9] ?? 0) ^ 0xff;
      f.set(photoName(f), bytes);
    });
    expect(told(await send(there, name)).refused).toEqual([
      { where: expect.stringMatching(/^photos\//), reason: expect.stringContaining('damaged') },
    ]);
  });

  test('one that was cut off, one of a newer version, a picture and nothing at all are refused with a sentence', async () => {
    cpSync(at('whole.zip'), at('cut.zip'));
    truncateSync(at('cut.zip'), 900);
    const cut = await send(there, 'cut.zip');
    expect([cut.statusCode, cut.json().error.message]).toEqual([422, expect.stringContaining('cut off')]);
    await changed('newer.zip', (f) => swap(f, 'manifest.json', '"format": 1', '"format": 99'));
    const newer = await send(there, 'newer.zip');
    expect([newer.statusCode, newer.json().error.message]).toEqual([
      422,
      expect.stringContaining('newer version'),
    ]);
    writeFileSync(at('picture.jsonl'), await picture('#000000'));
    expect((await send(there, 'picture.jsonl')).json().error.code).toBe('not-a-backup');
    expect((await send(there, 'whole.zip', '', 'application/json')).statusCode).toBe(400);
  });

  /** The whole backup with other bytes for those of its names and headers. */
  function forged(name: string, change: (zip: Buffer) => void): string {
    const zip = readFileSync(at('whole.zip'));
    change(zip);
    writeFileSync(at(name), zip);
    return name;
  }
  const renamed = (to: string) => (zip: Buffer) => {
    for (let i = zip.indexOf('facts.jsonl'); i >= 0; i = zip.indexOf('facts.jsonl', i + 1)) zip.write(to, i);
  };
  test.each([
    ['../ts.jsonl', /leads out of its folder/],
    ['/acts.jsonl', /leads out of its folder/],
    ['..\\ts.jsonl', /leads out of its folder/],
  ])('a zip with the name %s is refused with a sentence', async (name, says) => {
    const answer = await send(there, forged('name.zip', renamed(name)));
    expect([answer.statusCode, answer.json().error.message]).toEqual([422, expect.stringMatching(says)]);
  });

  test('an encrypted zip, and one of nonsense after the first bytes, are refused with a sentence', async () => {
    // APPNOTE 4.4.4: bit 0 of the flags, 8 bytes into a central header of which the name begins at 46
    const encrypted = forged('encrypted.zip', (zip) => {
      const header = zip.lastIndexOf('facts.jsonl') - 46;
      zip.writeUInt16LE(zip.readUInt16LE(header + 8) | 1, header + 8);
    });
    const answer = await send(there, encrypted);
    expect([answer.statusCode, answer.json().error.message]).toEqual([
      422,
      expect.stringMatching(/encrypted/),
    ]);
    const nonsense = forged('nonsense.zip', (zip) => zip.fill(0x55, 40, zip.length - 40));
    expect((await send(there, nonsense)).statusCode).toBe(422);
  });

  test('what lies in the future is refused, as at the door', async () => {
    const one = newQueen('Later');
    const log = [
      ...factsOf(one),
      { fact: 'entry', value: { ...lookEntry(one.queen.id, 1), at: '2031-01-01T00:00:00.000Z' } },
    ];
    writeFileSync(at('later.jsonl'), log.map((f) => JSON.stringify(f)).join('\n'));
    const answer = told(await send(there, 'later.jsonl'));
    expect(answer.refused).toEqual([
      { where: `Line ${log.length}`, reason: expect.stringMatching(/lies in the future/) },
    ]);
  });

  test('more than the memory holds is refused before it fills it, and says what to do', async () => {
    const file = await openBrought(at('whole.zip'));
    const small = { facts: 500_000, bytes: 500, readingLines: 1000 };
    await expect(bringBack(there.store, file, { take: true, prefer: 'here' }, small)).rejects.toThrow(
      /more in this file than this server can sort out.*parts/,
    );
    file.close();
  });
});

describe('the daily backup', () => {
  const into = (name: string) => {
    const made = mkdtempSync(join(folder, name));
    return made;
  };

  test('is made once a day, read back, seven are kept, and what else lies there stays', async () => {
    const clock = { now: NOW };
    const daily = new DailyBackups(here.store, '0.0.0-test', () => clock.now);
    const target = into('daily-');
    writeFileSync(join(target, 'gentle-burrow-2020-01-01-abcdef.zip'), 'of others');
    const first = await daily.choose(target);
    expect(first.last).toEqual({
      at: NOW.toISOString(),
      went: 'well',
      says: 'Read back: 1 queen, 2 entries, 1 photo and 3 readings.',
    });
    for (let n = 1; n <= 8; n++) {
      clock.now = new Date(NOW.getTime() + n * 86_400_000);
      await daily.tend();
      await daily.tend();
    }
    const { kept } = await daily.state();
    expect(kept.map((k) => k.name.slice(14, 24))).toEqual([9, 8, 7, 6, 5, 4, 3].map((d) => `2026-07-0${d}`));
    expect(readdirSync(target)).toHaveLength(8);
    const [newest] = kept;
    expect(await readBack(join(target, newest?.name ?? ''))).toMatchObject({ queen: 1, entry: 2 });
    expect((await daily.choose(null)).folder).toBeNull();
    clock.now = new Date(NOW.getTime() + 9 * 86_400_000);
    await daily.tend();
    expect(readdirSync(target)).toHaveLength(8);
  }, 60_000);

  test('where something was lost, those that hold more are not pushed out, and it is told; until it is there again', async () => {
    const target = into('lost-');
    const clock = { now: NOW };
    const chosen = { mark: 'abc123', folder: target, last: null };
    const days = async (of: typeof here, first: number, last: number) => {
      const daily = new DailyBackups(of.store, '0.0.0-test', () => clock.now);
      await of.store.machine.keep('backup', chosen);
      for (let n = first; n <= last; n++) {
        clock.now = new Date(NOW.getTime() + n * 86_400_000);
        await daily.tend();
      }
      return daily.state();
    };
    const full = await days(here, 1, 9);
    expect(full.kept).toHaveLength(7);
    // the same machine, on data that still know her, but not what was written of her
    const emptied = await testServer();
    const { kept, last } = await emptied.store
      .write(factsOf(one))
      .then(() => days(emptied, 10, 19))
      .finally(emptied.close);
    expect(kept.map((k) => k.name)).toEqual(expect.arrayContaining(full.kept.map((k) => k.name)));
    expect(kept).toHaveLength(14);
    expect(last).toMatchObject({
      went: 'less',
      says: `It holds 1 queen, 1 entry, 0 photos and 0 readings. In ${full.kept[0]?.name}: 1 queen, 2 entries, 1 photo and 3 readings.`,
    });
    const again = await days(here, 20, 20);
    expect(again.last?.went).toBe('well');
    expect(again.kept).toHaveLength(7);
  }, 60_000);

  test('one that is not what it should be does not count', async () => {
    await changed('fewer.zip', (f) => swap(f, 'manifest.json', '"queen": 1', '"queen": 2'));
    await expect(readBack(at('fewer.zip'))).rejects.toThrow('should hold 2 of “queen” and holds 1');
    await changed('other.zip', (f) => swap(f, 'facts.jsonl', '"Cotton"', '"Wool"'));
    await expect(readBack(at('other.zip'))).rejects.toThrow('not as it was');
  });

  test('a folder that went away is told with what to do, and tried again', async () => {
    const daily = new DailyBackups(here.store, '0.0.0-test', () => NOW);
    const target = into('gone-');
    await daily.choose(target);
    rmSync(target, { recursive: true });
    await daily.tend();
    const { last } = await daily.state();
    expect(last).toMatchObject({ went: 'wrong', says: expect.stringContaining('Is its disk connected?') });
    await daily.choose(null);
  });

  test.each([
    ['backups', /whole path/],
    ['/nowhere/at/all', /There is no folder/],
  ])('%s is refused', async (name, says) => {
    const answer = await here.app.inject({
      method: 'PUT',
      url: '/api/daily-backup',
      payload: { folder: name },
    });
    expect([answer.statusCode, answer.json().error.message]).toEqual([422, expect.stringMatching(says)]);
  });
});
