// `npm run torture -- --kills 200 --seed N`: kills a server at random moments while it is written to, started and backed up, and tells
// whether anything that it acknowledged is lost or doubled, also when the database is made anew from the journals.
import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import type { BroughtBack } from '@gentle-burrow/contract';
import { plainGenerator } from '@gentle-burrow/core/world';
import { readBack } from '../../server/src/backup/daily';
import { Account, isPut } from './account';
import { Deeds, type Deed } from './deeds';
import { isUp, start, stopped, urlOf } from './victim';

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
const url = urlOf(port);

const account = new Account();
const deeds = new Deeds({ upTo, pick }, account);
/** Sent and not acknowledged: it is sent again, as a device does. */
const open: Deed[] = [];

/** Only one at a time writes what is put in its newest form: which of two holds that are under way together is nobody's to say. */
let putting: Promise<unknown> = Promise.resolve();

async function send(deed: Deed): Promise<void> {
  account.mayBe(deed);
  let answer: Response;
  let said: string;
  try {
    answer = await fetch(`${url}/api${deed.path}`, {
      method: deed.method,
      headers: { 'content-type': deed.bytes?.type ?? 'application/json' },
      body: deed.bytes ? new Uint8Array(deed.bytes.content) : JSON.stringify(deed.body),
    });
    said = await answer.text();
  } catch {
    open.push(deed);
    return;
  }
  if (!answer.ok) throw new Error(`${deed.method} ${deed.path} was refused with ${answer.status}`);
  if (deed.what === 'log brought back') mustBeWhole(JSON.parse(said) as BroughtBack);
  account.mustBe(deed);
}

let going = false;
const sent = (deed: Deed) => (isPut(deed) ? (putting = putting.then(() => send(deed))) : send(deed));
async function hand(): Promise<void> {
  while (going) {
    // what was put in its newest form is not sent again once something newer was
    const again = open.shift();
    if (again && isPut(again)) continue;
    await sent(again ?? deeds.next());
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
      account.count('daily backup');
      const zip = Buffer.from(await (await fetch(`${url}/api/backup.zip`)).arrayBuffer());
      const answer = await fetch(`${url}/api/bring-back?take=yes`, {
        method: 'POST',
        headers: { 'content-type': 'application/zip' },
        body: new Uint8Array(zip),
      });
      if (answer.ok) {
        mustBeWhole((await answer.json()) as BroughtBack);
        account.count('backup brought back');
      }
      for (const name of readdirSync(backups)) if (name.endsWith('.zip')) rmSync(join(backups, name));
    } catch (error) {
      if (error instanceof Faulty) throw error;
      await sleep(50);
    }
  }
}
class Faulty extends Error {}
function mustBeWhole({ refusedCount, refused }: BroughtBack): void {
  if (refusedCount > 0) throw new Faulty(`What was brought back was refused: ${JSON.stringify(refused[0])}`);
}

/** The database is made anew from the journals alone. */
async function madeAnew(n: number): Promise<void> {
  rmSync(join(data, 'db'), { recursive: true, force: true });
  const server = start(data, port);
  await isUp(server);
  await account.lookThrough(url, `after kill ${n}, made anew`);
  await stopped(server, 'SIGTERM');
}

console.log(`${kills} kills, seed ${seed} …`);
const began = Date.now();
let beforeUp = 0;
for (let n = 1; n <= kills; n++) {
  const server = start(data, port);
  // the first is left to make its database, and to take in a queen
  const first = account.places.length === 0;
  const starting = !first && upTo(STARTING) === 0;
  const kill = (ms: number) => sleep(ms).then(() => stopped(server, 'SIGKILL'));
  const early = starting ? kill(upTo(STARTS_MS)) : null;
  const up = await isUp(server).then(
    () => true,
    () => false,
  );
  if (up && !starting) {
    if (first) {
      await sent(deeds.queen());
      const { probe } = deeds;
      probe.stays.push({ from: new Date(0).toISOString(), placeId: account.places[0]?.id });
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
      account.lost.push(`after kill ${n}: the backup ${name}: ${e.message}`),
    );
  if (n % LOOK_EVERY === 0 || n === kills) {
    const again = start(data, port);
    await isUp(again);
    await account.lookThrough(url, `after kill ${n}`);
    await stopped(again, 'SIGTERM');
    await madeAnew(n);
    console.log(
      `${n} kills, ${account.lost.length} lost, ${account.doubled.length} doubled, ${((Date.now() - began) / 1000).toFixed(0)} s`,
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
const { lost, doubled, acknowledged, readings } = account;
for (const one of [...new Set(lost)].slice(0, 20)) console.log(`lost: ${one}`);
for (const one of [...new Set(doubled)].slice(0, 20)) console.log(`doubled: ${one}`);
const counts = Object.entries(acknowledged).map(([what, n]) => `${n} × ${what}`);
console.log(
  `${new Date().toISOString().slice(0, 10)}, seed ${seed}: ${kills} kills (${beforeUp} of them at a start), acknowledged ${counts.join(', ')}; ${readings.size} readings. ${lost.length} lost, ${doubled.length} doubled. ${setAside.length} things were set aside at a start.`,
);
rmSync(folder, { recursive: true, force: true });
process.exit(lost.length + doubled.length > 0 ? 1 : 0);
