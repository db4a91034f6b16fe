import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { columnsOf, lengthOf, sliced } from '@gentle-burrow/core/climate';
import { BATCH_MAX, batchOf } from '@gentle-burrow/core/records';
import { simulateProbe, USUAL_PROBE_WORLD } from '@gentle-burrow/core/world';
import type { Place } from '@gentle-burrow/core/facts';
import type { Entry } from '@gentle-burrow/core/log';
import { v7 } from 'uuid';
import { madeUpQueen } from './made-up';
import { ms, percentile, type Row } from './row';
import { startServer } from './server';

const QUEENS = 500;
const ENTRIES_EACH = 150;
const READINGS = 1_000_000;
const YEAR_MS = 365 * 86_400_000;

async function send(url: string, body: unknown, method = 'POST'): Promise<void> {
  const r = await fetch(url, {
    method,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  if (!r.ok) throw new Error(`${r.status} ${await r.text()}`);
}

async function timed(work: () => Promise<unknown>): Promise<number> {
  const start = performance.now();
  await work();
  return performance.now() - start;
}

/** A year of a million readings at the place where they all stand. */
async function measureYear(url: string, placeId: string, end: number): Promise<void> {
  const id = v7();
  const stays = [{ from: new Date(0).toISOString(), placeId }];
  await send(`${url}/api/probes/${id}`, { id, name: 'Bench', kind: 'logger', stays }, 'PUT');
  const world = { ...USUAL_PROBE_WORLD, meanC: 25, seed: 3, dropOuts: 0 };
  const from = end - YEAR_MS;
  const readings = [...simulateProbe(world, from, end, YEAR_MS / READINGS / 1000)].slice(0, READINGS);
  const columns = columnsOf(readings);
  for (let at = 0; at < lengthOf(columns); at += BATCH_MAX)
    await send(`${url}/api/readings`, batchOf(id, sliced(columns, at, at + BATCH_MAX)));
}

/** A shelf of 500 queens with 75,000 entries and a million readings: filling it, the first and the later answers, single appends, memory. */
export async function benchShelf(): Promise<Row[]> {
  const folder = mkdtempSync(join(tmpdir(), 'burrow-bench-'));
  const now = new Date();
  const place: Place = { id: v7(), name: 'Bench', tempC: 25, roomRelHumidity: 0.5, winter: null };
  let server = await startServer(folder);
  const filling = await timed(async () => {
    for (let k = 0; k < QUEENS; k++) {
      const { queen, home, entries } = madeUpQueen(k, ENTRIES_EACH, now, place);
      const [intake, ...rest] = entries;
      await send(`${server.url}/api/queens`, { queen, home, place, intake });
      await send(`${server.url}/api/entries`, { entries: rest });
    }
  });
  await measureYear(server.url, place.id, now.getTime());
  // as in use: the shelf has been looked at before the server is started again
  await fetch(`${server.url}/api/shelf`);
  console.log(`  (${QUEENS * ENTRIES_EACH} entries written in ${(filling / 1000).toFixed(0)} s)`);
  await server.stop();

  const shelf = () =>
    fetch(`${server.url}/api/shelf`).then((r) => r.json() as Promise<{ rows: { queen: { id: string } }[] }>);
  let rows: { queen: { id: string } }[] = [];
  const firstAnswer = async () => {
    server = await startServer(folder);
    const took = await timed(async () => {
      rows = (await shelf()).rows;
    });
    if (rows.length !== QUEENS) throw new Error(`${rows.length} rows`);
    return took;
  };
  // as on another day, or with another version
  rmSync(join(folder, 'shelf.json'), { force: true });
  const anew = await firstAnswer();
  await server.stop();
  const again = await firstAnswer();
  const warm: number[] = [];
  for (let i = 0; i < 100; i++) warm.push(await timed(shelf));
  const memory = server.memoryMb();

  const appends: number[] = [];
  const afterWrite: number[] = [];
  for (let i = 0; i < 200; i++) {
    const at = now.toISOString();
    const queenId = rows[i % rows.length]?.queen.id ?? '';
    const entry: Entry = { kind: 'note', id: v7(), queenId, at, loggedAt: at, text: `note ${i}` };
    appends.push(await timed(() => send(`${server.url}/api/entries`, entry)));
    if (i % 10 === 0) afterWrite.push(await timed(shelf));
  }
  await server.stop();
  rmSync(folder, { recursive: true, force: true });
  return [
    {
      what: 'shelf of 500 homes of up to six parts, 75,000 entries, 1,000,000 readings: warm answer p95',
      budget: '≤ 50 ms',
      measured: ms(percentile(warm, 0.95)),
    },
    { what: 'the same: first answer after a start', budget: '≤ 4 s', measured: ms(again) },
    {
      what: 'the same: first answer after a start on another day, or of another version',
      budget: '≤ 4 s',
      measured: ms(anew),
    },
    {
      what: 'the same: answer after one write, p95',
      budget: 'none set',
      measured: ms(percentile(afterWrite, 0.95)),
    },
    { what: 'server memory with that data', budget: '≤ 400 MB', measured: `${Math.round(memory)} MB` },
    { what: 'appending an entry, durable, p95', budget: '≤ 25 ms', measured: ms(percentile(appends, 0.95)) },
  ];
}
