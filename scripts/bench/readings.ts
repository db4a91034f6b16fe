import { createReadStream, createWriteStream, mkdtempSync, rmSync, statSync } from 'node:fs';
import { once } from 'node:events';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { lengthOf, rowReader, sliced, type Columns, type Mapping } from '@gentle-burrow/core/climate';
import { BATCH_MAX, batchOf } from '@gentle-burrow/core/records';
import { simulateProbe, USUAL_PROBE_WORLD } from '@gentle-burrow/core/world';
import Papa from 'papaparse';
import { v7 } from 'uuid';
import { ms, percentile, type Row } from './row';
import { startServer } from './server';

const READINGS = 1_000_000;
const PROBES = 50;
const PUSHES_EACH = 6;
const YEAR_MS = 365 * 86_400_000;

const MAPPING: Mapping = {
  headRows: 1,
  time: 0,
  clock: null,
  order: 'year-month-day',
  zone: 'Europe/Berlin',
  temp: 1,
  tempUnit: 'C',
  rh: 2,
  rhUnit: 'percent',
  decimal: '.',
};

async function timed<T>(work: () => Promise<T>): Promise<[number, T]> {
  const start = performance.now();
  const answer = await work();
  return [performance.now() - start, answer];
}

/** A year of a million readings in a logger's file: read, sent and stored; drawn; and fifty probes that send at once. */
export async function benchReadings(): Promise<Row[]> {
  const folder = mkdtempSync(join(tmpdir(), 'burrow-readings-'));
  const file = join(folder, 'year.csv');
  const end = Math.floor(Date.now() / 60_000) * 60_000;
  await writeYear(file, end);
  const server = await startServer(join(folder, 'data'));
  const send = async <T>(path: string, method: string, body: unknown, headers = {}): Promise<T> => {
    const r = await fetch(server.url + path, {
      method,
      headers: { 'content-type': typeof body === 'string' ? 'text/plain' : 'application/json', ...headers },
      body: typeof body === 'string' ? body : JSON.stringify(body),
    });
    if (!r.ok) throw new Error(`${r.status} ${await r.text()}`);
    return (await r.json()) as T;
  };
  const place = { id: v7(), name: 'Bench', tempC: 25, roomRelHumidity: 0.5, winter: null };
  await send(`/api/places/${place.id}`, 'PUT', place);
  const probes = Array.from({ length: PROBES + 1 }, (_, i) => ({
    id: v7(),
    name: `Probe ${i}`,
    kind: 'logger',
    stays: [{ from: new Date(0).toISOString(), placeId: place.id }],
    silentAfterH: 2,
  }));
  for (const p of probes) await send(`/api/probes/${p.id}`, 'PUT', p);
  const [first, ...others] = probes as [(typeof probes)[number], ...typeof probes];

  let peak = server.memoryMb();
  const watch = setInterval(() => (peak = Math.max(peak, server.memoryMb())), 50);
  const [reading, columns] = await timed(() => readRows(file));
  const [storing] = await timed(async () => {
    for (let at = 0; at < lengthOf(columns); at += BATCH_MAX)
      await send('/api/readings', 'POST', batchOf(first.id, sliced(columns, at, at + BATCH_MAX)));
  });
  const imported = peak;
  const stored = statSync(join(folder, 'data', 'readings.jsonl')).size / 1e6;

  const year = `/api/probes/${first.id}/series?from=${new Date(end - YEAR_MS).toISOString()}&to=${new Date(end).toISOString()}`;
  const views: number[] = [];
  for (const count of [183, 390, 1000])
    for (let i = 0; i < 20; i++)
      views.push(
        (await timed(() => fetch(`${server.url}${year}&columns=${count}`).then((r) => r.json())))[0],
      );

  const tokens = await Promise.all(
    others.map((p) => send<{ token: string }>(`/api/probes/${p.id}/token`, 'POST', {})),
  );
  const appends: number[] = [];
  const pushes = others.map(async (p, i) => {
    for (let n = 0; n < PUSHES_EACH; n++) {
      const line = `${new Date(end - n * 60_000).toISOString()} 24.${n} 55`;
      const headers = { authorization: `Bearer ${tokens[i]?.token}` };
      appends.push((await timed(() => send(`/api/probes/${p.id}/push`, 'POST', line, headers)))[0]);
    }
  });
  const [together] = await timed(() => Promise.all(pushes));
  clearInterval(watch);
  await server.stop();
  rmSync(folder, { recursive: true, force: true });
  const s = (value: number) => `${(value / 1000).toFixed(1)} s`;
  return [
    {
      what: `import of ${READINGS.toLocaleString('en')} readings: file read, sent, stored; server at most`,
      budget: '≤ 20 s, ≤ 600 MB',
      measured: `${s(reading + storing)} (${s(reading)} + ${s(storing)}), ${Math.round(imported)} MB; journal ${Math.round(stored)} MB`,
    },
    {
      what: 'a year of them as 183, 390 and 1,000 columns',
      budget: '≤ 100 ms',
      measured: `median ${ms(percentile(views, 0.5))}, p95 ${ms(percentile(views, 0.95))}`,
    },
    {
      what: `${PROBES} probes sending at once, ${PUSHES_EACH} readings each, durable`,
      budget: '–',
      measured: `${Math.round((1000 * appends.length) / together)} a second; one in ${ms(percentile(appends, 0.5))}, p95 ${ms(percentile(appends, 0.95))}`,
    },
  ];
}

async function writeYear(file: string, end: number): Promise<void> {
  const out = createWriteStream(file);
  out.write('time,temperature,humidity\r\n');
  const everyS = YEAR_MS / READINGS / 1000;
  let n = 0;
  const world = { ...USUAL_PROBE_WORLD, seed: 3, dropOuts: 0 };
  for (const r of simulateProbe(world, end - YEAR_MS, end, everyS)) {
    if (n++ >= READINGS) break;
    const line = `${new Date(r.ms).toISOString()},${r.tempC},${r.rh === null ? '' : (100 * r.rh).toFixed(1)}\r\n`;
    if (!out.write(line)) await once(out, 'drain');
  }
  out.end();
  await once(out, 'finish');
}

/** As the application does it in a thread of its own: each row by the standard parser, what is taken in columns. */
async function readRows(file: string): Promise<Columns> {
  const reader = rowReader(MAPPING, Date.now());
  let line = 0;
  await new Promise<void>((resolve, reject) => {
    Papa.parse<string[]>(createReadStream(file), {
      step: ({ data }) => {
        line++;
        if (line <= MAPPING.headRows) return;
        const reason = reader.read(data, line);
        if (reason) throw new Error(`${line}: ${reason}`);
      },
      complete: () => resolve(),
      error: reject,
    });
  });
  return reader.taken();
}
