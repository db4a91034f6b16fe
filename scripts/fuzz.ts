// `npm run fuzz -- --requests 12000 --seed N`: asks a server rightly, almost rightly and out of spite, and tells what it did.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { plainGenerator } from '@gentle-burrow/core/world';
import { hostile, type ApiDocument } from '../server/test/hostile';
import { startServer } from './bench/server';

const { values } = parseArgs({
  options: {
    requests: { type: 'string', default: '12000' },
    seed: { type: 'string', default: String(Date.now() % 1_000_000) },
  },
});
const [requests, seed] = [Number(values.requests), Number(values.seed)];
/** What must hold. */
const MOST_MS = 2000;
const HEALTH_P99_MS = 250;
const MORE_MB = 50;
/** So many at once, as many devices. */
const AT_ONCE = 8;

const folder = mkdtempSync(join(tmpdir(), 'burrow-fuzz-'));
const server = await startServer(folder, { BURROW_DEMO: '1' });
const json = async <T>(path: string) => (await (await fetch(`${server.url}${path}`)).json()) as T;
const doc = await json<ApiDocument>('/api/openapi.json');
const { rows } = await json<{ rows: { queen: { id: string }; placeId: string }[] }>('/api/shelf');
const next = hostile(
  doc,
  { queens: rows.map((r) => r.queen.id), places: rows.map((r) => r.placeId) },
  plainGenerator(seed),
);
console.log(`${requests} requests, seed ${seed} …`);
const before = server.memoryMb();

let going = true;
const health: number[] = [];
const watching = (async () => {
  while (going) {
    const began = performance.now();
    await fetch(`${server.url}/api/health`);
    health.push(performance.now() - began);
    await new Promise((r) => setTimeout(r, 20));
  }
})();

const statuses = new Map<number, number>();
const failed: string[] = [];
const slow: string[] = [];
let left = requests;
async function ask(): Promise<void> {
  while (left-- > 0) {
    const { method, url, headers, body } = next();
    const began = performance.now();
    let status = 0;
    let says = '';
    try {
      const answer = await fetch(server.url + url, {
        method,
        headers,
        ...(body === undefined ? {} : { body }),
      });
      says = await answer.text();
      ({ status } = answer);
    } catch (error) {
      says = String((error as Error).cause ?? error);
    }
    const ms = performance.now() - began;
    statuses.set(status, (statuses.get(status) ?? 0) + 1);
    const what = `${method} ${url.slice(0, 160)} ${body?.slice(0, 300) ?? ''}`;
    if (status >= 500 || status === 0) failed.push(`${status} ${what} → ${says.slice(0, 200)}`);
    if (ms > MOST_MS) slow.push(`${Math.round(ms)} ms ${what}`);
  }
}
await Promise.all(Array.from({ length: AT_ONCE }, ask));
going = false;
await watching;
// what threads and answers held is given back after a while
const settled = Date.now() + 90_000;
while (server.memoryMb() > before + MORE_MB && Date.now() < settled)
  await new Promise((r) => setTimeout(r, 1000));
const more = server.memoryMb() - before;
await server.stop();
rmSync(folder, { recursive: true, force: true });

const sorted = health.sort((a, b) => a - b);
const p99 = sorted[Math.floor(0.99 * sorted.length)] ?? 0;
console.log(
  [...statuses]
    .sort(([a], [b]) => a - b)
    .map(([s, n]) => `${s}: ${n}`)
    .join(', '),
);
console.log(
  `health p99 ${Math.round(p99)} ms (at most ${HEALTH_P99_MS}), memory ${Math.round(more)} MB more (at most ${MORE_MB})`,
);
for (const line of [...failed.slice(0, 20), ...slow.slice(0, 20)]) console.log(line);
const wrong = [
  failed.length > 0 ? `${failed.length} failed` : '',
  slow.length > 0 ? `${slow.length} took more than ${MOST_MS} ms` : '',
  p99 > HEALTH_P99_MS ? 'health was asked for in vain for too long' : '',
  more > MORE_MB ? 'memory did not come back' : '',
].filter(Boolean);
console.log(wrong.length === 0 ? 'All of it was answered.' : `${wrong.join('; ')}.`);
process.exit(wrong.length === 0 ? 0 : 1);
