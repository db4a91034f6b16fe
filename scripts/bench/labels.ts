import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Place } from '@gentle-burrow/core/facts';
import { v7 } from 'uuid';
import { madeUpQueen } from './made-up';
import { ms, type Row } from './row';
import { startServer } from './server';

const LABELS = 500;
const ENTRIES_EACH = 100;

/** A sheet of 500 labels over HTTP, how long others wait meanwhile, and what it takes of memory; the same of the API's description. */
export async function benchLabels(): Promise<Row[]> {
  const folder = mkdtempSync(join(tmpdir(), 'burrow-bench-'));
  const server = await startServer(folder);
  const send = async (path: string, body: unknown) => {
    const r = await fetch(server.url + path, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    if (!r.ok) throw new Error(`${r.status} ${await r.text()}`);
  };
  const now = new Date();
  const place: Place = { id: v7(), name: 'Bench', tempC: 25, roomRelHumidity: 0.5, winter: null };
  const ids: string[] = [];
  for (let k = 0; k < LABELS; k++) {
    const { queen, home, entries } = madeUpQueen(k, ENTRIES_EACH, now, place);
    const [intake, ...rest] = entries;
    await send('/api/queens', { queen, home, place, intake });
    await send('/api/entries', { entries: rest });
    ids.push(queen.id);
  }

  /** How long it took, the longest that a question of another's waited meanwhile, and the memory that came with it. */
  async function measured(path: string) {
    const before = server.memoryMb();
    let [going, worst, most] = [true, 0, before];
    const watching = (async () => {
      while (going) {
        const began = performance.now();
        await fetch(`${server.url}/api/health`);
        worst = Math.max(worst, performance.now() - began);
        most = Math.max(most, server.memoryMb());
        await new Promise((r) => setTimeout(r, 10));
      }
    })();
    await new Promise((r) => setTimeout(r, 300));
    worst = 0;
    const began = performance.now();
    const answer = await fetch(server.url + path);
    if (!answer.ok) throw new Error(`${answer.status} ${await answer.text()}`);
    await answer.arrayBuffer();
    const took = performance.now() - began;
    going = false;
    await watching;
    return { took, worst, more: most - before };
  }

  const sheet = `/api/labels.pdf?sheet=a4-3x8&origin=http://localhost:4860&queens=${ids.join(',')}`;
  const first = await measured(sheet);
  const again = await measured(sheet);
  const described = await measured('/api/openapi.json');
  await server.stop();
  rmSync(folder, { recursive: true, force: true });
  return [
    {
      what: `${LABELS} labels as PDF, over HTTP`,
      budget: '≤ 3 s, ≤ 100 MB, health ≤ 100 ms',
      measured: `${ms(first.took)}, +${first.more.toFixed(0)} MB, health at worst ${ms(first.worst)}; again ${ms(again.took)}`,
    },
    {
      what: 'description of the API, the first time',
      budget: 'health ≤ 100 ms',
      measured: `${ms(described.took)}, health at worst ${ms(described.worst)}`,
    },
  ];
}
