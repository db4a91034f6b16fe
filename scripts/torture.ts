// `npm run torture -- --kills 200 --seed N`: kills a server at random moments while it is written to, started and backed up, and tells
// whether anything that it acknowledged is lost or doubled, also when the database is made anew from the journals.
import { spawn, type ChildProcess } from 'node:child_process';
import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { isDeepStrictEqual, parseArgs } from 'node:util';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { DEFAULT_SETTINGS, type KeeperSettings, type Place } from '@gentle-burrow/core/facts';
import type { Entry } from '@gentle-burrow/core/log';
import { readFacts, type Fact } from '@gentle-burrow/core/records';
import { usualTube } from '@gentle-burrow/core/tube';
import { plainGenerator } from '@gentle-burrow/core/world';
import sharp from 'sharp';
import { v7 } from 'uuid';
import { readBack } from '../server/src/backup/daily';
import { root } from './bench/server';

const { values } = parseArgs({
  options: {
    kills: { type: 'string', default: '200' },
    seed: { type: 'string', default: String(Date.now() % 1_000_000) },
    /** So many devices write at once. */
    hands: { type: 'string', default: '3' },
  },
});
const [kills, seed, hands] = [Number(values.kills), Number(values.seed), Number(values.hands)];
const random = plainGenerator(seed);
const upTo = (n: number): number => Math.floor(random() * n);
const pick = <T>(list: readonly T[]): T => list[upTo(list.length)] as T;
/** One of so many is killed while it starts, within so long, ms. */
const STARTING = 4;
const STARTS_MS = 1500;
/** The others are killed within so long after they are up, ms. */
const LIVES_MS = 5000;
/** So often everything is looked through, and the database made anew. */
const LOOK_EVERY = 20;

const folder = mkdtempSync(join(tmpdir(), 'burrow-torture-'));
const data = join(folder, 'data');
const backups = join(folder, 'backups');
mkdirSync(backups);
const port = 20_000 + upTo(20_000);
const url = `http://127.0.0.1:${port}`;

interface Running {
  process: ChildProcess;
  gone: Promise<void>;
  said(): string;
}

function start(): Running {
  const child = spawn(process.execPath, [join(root, 'server', 'dist', 'main.js')], {
    env: { ...process.env, BURROW_DATA: data, PORT: String(port), HOST: '127.0.0.1', DATABASE_URL: '' },
  });
  let said = '';
  child.stdout.on('data', (d: Buffer) => (said += d.toString()));
  child.stderr.on('data', (d: Buffer) => (said += d.toString()));
  return { process: child, gone: new Promise((r) => child.once('exit', () => r())), said: () => said };
}

async function isUp(server: Running): Promise<void> {
  for (;;) {
    if (server.process.exitCode !== null || server.process.signalCode !== null)
      throw new Error(`It did not start again:\n${server.said()}`);
    const up = await fetch(`${url}/api/health`).then(
      (r) => r.ok,
      () => false,
    );
    if (up) return;
    await sleep(20);
  }
}

/** Something that was sent, and what must be there from then on. */
interface Deed {
  what: string;
  method: 'POST' | 'PUT';
  path: string;
  body: unknown;
  bytes?: Buffer;
  /** Facts that are only ever added. */
  facts: Fact[];
}

/** Acknowledged: must be there once, and say the same. */
const added = new Map<string, Fact>();
/** Of what is put in its newest form: what may stand there, the last that was acknowledged and whatever was sent since. */
const newest = new Map<string, unknown[]>();
const photos = new Map<string, string>();
const readings = new Map<string, number>();
/** Sent and not acknowledged: it is sent again, as a device does. */
const open: Deed[] = [];
const acknowledged: Record<string, number> = {};
const count = (what: string) => (acknowledged[what] = (acknowledged[what] ?? 0) + 1);
const queens: string[] = [];
const places: Place[] = [];
const entries: Entry[] = [];
const items: string[] = [];
const probe = {
  id: v7(),
  name: 'Logger',
  kind: 'logger',
  stays: [] as object[],
  silentAfterH: null,
  checks: [],
};
let minute = Date.UTC(2026, 0, 1);
const picture = await sharp({ create: { width: 60, height: 40, channels: 3, background: '#805030' } })
  .jpeg()
  .toBuffer();
const ago = (days: number) => new Date(Date.now() - days * 86_400_000).toISOString();

function newQueen(): Deed {
  const at = ago(30 + upTo(60));
  const home = usualTube(v7(), at);
  const place: Place = {
    id: v7(),
    name: `Shelf ${places.length}`,
    tempC: 24,
    roomRelHumidity: 0.5,
    winter: null,
  };
  const id = v7();
  const queen = {
    id,
    label: `Q${id.slice(-6)}`,
    batch: '',
    homeId: home.id,
    placeId: place.id,
    lookingSchool: null,
    createdAt: at,
  };
  const intake = {
    kind: 'intake',
    id: v7(),
    queenId: id,
    at,
    loggedAt: at,
    found: 'walking',
    species: { profileId: 'tetramorium-immigrans', sure: 'likely' },
  };
  return {
    what: 'queen',
    method: 'POST',
    path: '/queens',
    body: { queen, home, place, intake },
    facts: [
      { fact: 'place', value: place },
      { fact: 'queen', value: queen },
      { fact: 'entry', value: intake as Entry },
    ],
  };
}

function entriesDeed(): Deed {
  const list = Array.from({ length: 1 + upTo(4) }, (): Entry => {
    const queenId = pick(queens);
    const at = ago(upTo(28));
    const head = { id: v7(), queenId, at, loggedAt: at };
    const hers = entries.filter((e) => e.queenId === queenId && e.kind !== 'amendment');
    const way = upTo(3);
    if (way === 0 && hers.length > 0)
      return { kind: 'amendment', ...head, amends: pick(hers).id, replacement: null } as Entry;
    if (way === 1) return { kind: 'note', ...head, text: `Note ${head.id} “ä” 蟻` } as Entry;
    return { kind: 'look', ...head, queen: 'seen', eggs: { low: upTo(20), high: 20 } } as Entry;
  });
  return {
    what: 'entry',
    method: 'POST',
    path: '/entries',
    body: { entries: list },
    facts: list.map((value) => ({ fact: 'entry', value })),
  };
}

function placeDeed(): Deed {
  const value = { ...pick(places), tempC: 15 + upTo(150) / 10 };
  return {
    what: 'place',
    method: 'PUT',
    path: `/places/${value.id}`,
    body: value,
    facts: [{ fact: 'place', value }],
  };
}

function settingsDeed(): Deed {
  const value: KeeperSettings = { ...DEFAULT_SETTINGS, learn: upTo(2) === 0, weekdays: [upTo(7)] };
  return {
    what: 'settings',
    method: 'PUT',
    path: '/settings',
    body: value,
    facts: [{ fact: 'settings', value }],
  };
}

function stockDeed(): Deed {
  if (items.length === 0 || upTo(6) === 0) {
    const value = {
      id: v7(),
      kind: 'plug' as const,
      name: `Cotton ${items.length}`,
      tube: null,
      lowAt: upTo(5),
    };
    return {
      what: 'stock item',
      method: 'PUT',
      path: `/stock/items/${value.id}`,
      body: value,
      facts: [{ fact: 'stock-item', value }],
    };
  }
  const value = {
    id: v7(),
    itemId: pick(items),
    at: ago(1),
    delta: 1 + upTo(9),
    why: 'bought' as const,
    queenId: null,
  };
  return {
    what: 'stock change',
    method: 'POST',
    path: '/stock/moves',
    body: value,
    facts: [{ fact: 'stock-move', value }],
  };
}

function photoDeed(): Deed {
  const [id, queenId] = [v7(), pick(queens)];
  const at = encodeURIComponent(ago(upTo(20)));
  return {
    what: 'photo',
    method: 'PUT',
    path: `/photos/${id}?queen=${queenId}&at=${at}`,
    body: null,
    bytes: picture,
    facts: [],
  };
}

function readingsDeed(): Deed {
  const ms = Array.from({ length: 50 }, () => (minute += 60_000));
  return {
    what: 'readings',
    method: 'POST',
    path: '/readings',
    body: { probeId: probe.id, ms, tempC: ms.map(() => 20 + upTo(80) / 10), rh: ms.map(() => null) },
    facts: [],
  };
}

function nextDeed(): Deed {
  if (queens.length === 0) return newQueen();
  const way = upTo(100);
  if (way < 12) return newQueen();
  if (way < 62) return entriesDeed();
  if (way < 70) return placeDeed();
  if (way < 76) return settingsDeed();
  if (way < 86) return stockDeed();
  if (way < 92) return photoDeed();
  return readingsDeed();
}

/** What stands there from when it is sent on, whether it is acknowledged or not. */
function mayBe(deed: Deed): void {
  for (const { fact, value } of deed.facts)
    if (fact === 'place' || fact === 'settings' || fact === 'stock-item') {
      const key = fact === 'settings' ? fact : (value as { id: string }).id;
      newest.set(key, [...(newest.get(key) ?? []), value]);
    }
}

function mustBe(deed: Deed): void {
  count(deed.what);
  for (const one of deed.facts) {
    if (one.fact === 'entry' || one.fact === 'stock-move' || one.fact === 'queen') {
      added.set(one.value.id, one);
      if (one.fact === 'queen') queens.push(one.value.id);
      if (one.fact === 'entry') entries.push(one.value);
    }
    if (one.fact === 'place' && deed.what === 'queen') places.push(one.value);
    if (one.fact === 'stock-item') items.push(one.value.id);
  }
  if (deed.what === 'photo') {
    const [, id = '', queenId = ''] = /photos\/([^?]+)\?queen=([^&]+)/.exec(deed.path) ?? [];
    photos.set(id, queenId);
  }
  if (deed.what === 'readings') {
    const { ms, tempC } = deed.body as { ms: number[]; tempC: number[] };
    ms.forEach((at, i) => readings.set(`${at}`, tempC[i] as number));
  }
}

/** Only one at a time writes what is put in its newest form: which of two holds that are under way together is nobody's to say. */
let putting: Promise<unknown> = Promise.resolve();
const isPut = (deed: Deed) => ['place', 'settings', 'stock item'].includes(deed.what);

async function send(deed: Deed): Promise<void> {
  mayBe(deed);
  let answer: Response;
  try {
    answer = await fetch(`${url}/api${deed.path}`, {
      method: deed.method,
      headers: { 'content-type': deed.bytes ? 'application/octet-stream' : 'application/json' },
      body: deed.bytes ? new Uint8Array(deed.bytes) : JSON.stringify(deed.body),
    });
    await answer.arrayBuffer();
  } catch {
    open.push(deed);
    return;
  }
  if (!answer.ok) throw new Error(`${deed.method} ${deed.path} was refused with ${answer.status}`);
  if (isPut(deed))
    for (const { value } of deed.facts) newest.set('id' in value ? value.id : 'settings', [value]);
  mustBe(deed);
}

let going = false;
const sent = (deed: Deed) => (isPut(deed) ? (putting = putting.then(() => send(deed))) : send(deed));
async function hand(): Promise<void> {
  while (going) {
    // what was put in its newest form is not sent again once something newer was
    const again = open.shift();
    if (again && isPut(again)) continue;
    await sent(again ?? nextDeed());
  }
}

/** Backups are made, fetched and brought back meanwhile. */
async function backing(): Promise<void> {
  while (going) {
    try {
      // each begins a first one again
      for (const folderOrNone of [null, backups])
        await fetch(`${url}/api/daily-backup`, {
          method: 'PUT',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ folder: folderOrNone }),
        });
      count('daily backup');
      const zip = Buffer.from(await (await fetch(`${url}/api/backup.zip`)).arrayBuffer());
      const answer = await fetch(`${url}/api/bring-back?take=yes`, {
        method: 'POST',
        headers: { 'content-type': 'application/zip' },
        body: new Uint8Array(zip),
      });
      if (answer.ok) {
        const found = (await answer.json()) as { refusedCount: number; refused: unknown[] };
        if (found.refusedCount > 0)
          throw new Faulty(`Of a backup was refused: ${JSON.stringify(found.refused[0])}`);
        count('backup brought back');
      }
      for (const name of readdirSync(backups)) if (name.endsWith('.zip')) rmSync(join(backups, name));
    } catch (error) {
      if (error instanceof Faulty) throw error;
      await sleep(50);
    }
  }
}
class Faulty extends Error {}

const lost: string[] = [];
const doubled: string[] = [];
/** Everything that was acknowledged is there, once, as it was acknowledged. */
async function lookThrough(when: string): Promise<void> {
  const text = await (await fetch(`${url}/api/export.jsonl?places=exact`)).text();
  const facts = readFacts(text);
  const there = new Map<string, Fact>();
  const measured = new Map<string, number>();
  for (const f of facts) {
    if (f.fact === 'readings') {
      f.value.ms.forEach((at, i) => {
        if (measured.has(`${at}`)) doubled.push(`${when}: the reading of ${at}`);
        measured.set(`${at}`, f.value.tempC[i] as number);
      });
      continue;
    }
    if (f.fact === 'readings-taken-back') continue;
    const id = f.fact === 'settings' ? f.fact : f.value.id;
    if (there.has(id)) doubled.push(`${when}: ${f.fact} ${id}`);
    there.set(id, f);
  }
  for (const [id, fact] of added) {
    const found = there.get(id);
    if (!found) lost.push(`${when}: ${fact.fact} ${id}`);
    else if (fact.fact !== 'queen' && !holds(found.value, fact.value))
      lost.push(`${when}: what ${fact.fact} ${id} said`);
  }
  for (const [id, may] of newest) {
    const found = there.get(id);
    // one that was never acknowledged need not be there
    if (found && !may.some((value) => holds(found.value, value)))
      lost.push(`${when}: the newest of ${found.fact} ${id}`);
  }
  for (const [at, tempC] of readings)
    if (measured.get(at) !== Math.round(tempC * 100) / 100) lost.push(`${when}: the reading of ${at}`);
  const shown = new Map<string, number>();
  for (const queenId of new Set(photos.values())) {
    const { photos: hers } = (await (await fetch(`${url}/api/queens/${queenId}/photos`)).json()) as {
      photos: { id: string }[];
    };
    for (const { id } of hers) shown.set(id, (shown.get(id) ?? 0) + 1);
  }
  for (const id of photos.keys()) {
    const n = shown.get(id) ?? 0;
    const bytes =
      n > 0 ? Buffer.from(await (await fetch(`${url}/api/photos/${id}`)).arrayBuffer()) : Buffer.alloc(0);
    if (n === 0 || bytes.subarray(0, 2).toString('hex') !== 'ffd8') lost.push(`${when}: the photo ${id}`);
    if (n > 1) doubled.push(`${when}: the photo ${id}`);
  }
}

/** Whether what was found says all that was told; what was not told is filled in. */
function holds(found: unknown, told: unknown): boolean {
  if (typeof told !== 'object' || told === null || Array.isArray(told)) return isDeepStrictEqual(found, told);
  return Object.entries(told).every(([k, v]) => holds((found as Record<string, unknown> | null)?.[k], v));
}

async function stopped(server: Running, signal: NodeJS.Signals): Promise<void> {
  server.process.kill(signal);
  await server.gone;
}

/** The database is made anew from the journals alone. */
async function madeAnew(n: number): Promise<void> {
  rmSync(join(data, 'db'), { recursive: true, force: true });
  const server = start();
  await isUp(server);
  await lookThrough(`after kill ${n}, made anew`);
  await stopped(server, 'SIGTERM');
}

console.log(`${kills} kills, seed ${seed} …`);
const began = Date.now();
let beforeUp = 0;
for (let n = 1; n <= kills; n++) {
  const server = start();
  // the first is left to make its database, and to take in a queen
  const first = places.length === 0;
  const starting = !first && upTo(STARTING) === 0;
  const kill = (ms: number) => sleep(ms).then(() => stopped(server, 'SIGKILL'));
  const early = starting ? kill(upTo(STARTS_MS)) : null;
  const up = await isUp(server).then(
    () => true,
    () => false,
  );
  if (up && !starting) {
    if (first) {
      await sent(newQueen());
      probe.stays.push({ from: ago(400), placeId: (places[0] as Place).id });
      await fetch(`${url}/api/probes/${probe.id}`, {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(probe),
      });
    }
    going = true;
    const work = [...Array.from({ length: hands }, hand), backing()];
    await kill(upTo(LIVES_MS));
    going = false;
    await Promise.all(work);
  } else {
    if (!early) throw new Error(`It did not start again:\n${server.said()}`);
    beforeUp++;
    await early;
  }
  for (const name of readdirSync(backups).filter((f) => f.endsWith('.zip')))
    // under its name it is whole, whenever the server was killed
    await readBack(join(backups, name)).catch((e: Error) =>
      lost.push(`after kill ${n}: the backup ${name}: ${e.message}`),
    );
  if (n % LOOK_EVERY === 0 || n === kills) {
    const again = start();
    await isUp(again);
    await lookThrough(`after kill ${n}`);
    await stopped(again, 'SIGTERM');
    await madeAnew(n);
    console.log(
      `${n} kills, ${lost.length} lost, ${doubled.length} doubled, ${((Date.now() - began) / 1000).toFixed(0)} s`,
    );
  }
}

const aside = join(data, 'quarantine', 'list.jsonl');
let setAside: string[] = [];
try {
  setAside = readFileSync(aside, 'utf8').trim().split('\n');
} catch {
  // nothing was
}
for (const one of [...new Set(lost)].slice(0, 20)) console.log(`lost: ${one}`);
for (const one of [...new Set(doubled)].slice(0, 20)) console.log(`doubled: ${one}`);
const counts = Object.entries(acknowledged).map(([what, n]) => `${n} × ${what}`);
console.log(
  `${new Date().toISOString().slice(0, 10)}, seed ${seed}: ${kills} kills (${beforeUp} of them at a start), acknowledged ${counts.join(', ')}; ${readings.size} readings. ${lost.length} lost, ${doubled.length} doubled. ${setAside.length} things were set aside at a start.`,
);
rmSync(folder, { recursive: true, force: true });
process.exit(lost.length + doubled.length > 0 ? 1 : 0);
