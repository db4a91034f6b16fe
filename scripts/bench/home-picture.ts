import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { usualBody } from '@gentle-burrow/core/housing';
import { v7 } from 'uuid';
import { openBrowser } from './chromium';
import { ms, percentile, type Row } from './row';
import { startServer } from './server';

const PARTS = 12;
const TIMES = 10;

/** Run in the page; as text, since what is bundled here names its helpers in a way that the page does not know. */
const TO_THE_PICTURE_AND_BACK = `(async () => {
  const spaces = () => document.querySelectorAll('[role="img"][aria-label^="Foraging space"]').length;
  const tap = (name) =>
    [...document.querySelectorAll('[aria-label="Views of her"] a')].find((a) => a.textContent === name)?.click();
  const frame = () => new Promise((r) => requestAnimationFrame(r));
  const from = performance.now();
  tap('Now');
  while (spaces() === 0) await frame();
  await frame();
  const ms = performance.now() - from;
  const n = spaces();
  tap('Why');
  while (spaces() > 0) await frame();
  return { ms, n };
})()`;

/** A home of twelve parts: from the tap on “Now” until her page has drawn its picture. */
export async function benchHomePicture(): Promise<Row[]> {
  const folder = mkdtempSync(join(tmpdir(), 'burrow-bench-home-'));
  const server = await startServer(folder, { BURROW_DEMO: '1' });
  const browser = await openBrowser();
  try {
    const { rows } = (await (await fetch(`${server.url}/api/shelf`)).json()) as {
      rows: { queen: { id: string; label: string } }[];
    };
    const id = rows.find((r) => r.queen.label === 'C1')?.queen.id;
    const start = Date.now() - PARTS * 60_000;
    // each space hangs by a pipe on the one before it
    let last: string | undefined;
    const entries = Array.from({ length: PARTS - 1 }, (_, i) => {
      const at = new Date(start + i * 60_000).toISOString();
      const part = usualBody(v7(), 'outworld');
      const joint = { by: 'pipe', gapMm: 0, lengthMm: 60, ...(last ? { toId: last } : {}) };
      last = part.id;
      const change = { what: 'set-up', part, purpose: 'room', ...joint };
      return { kind: 'home', id: v7(), queenId: id, at, loggedAt: at, change };
    });
    const answer = await fetch(`${server.url}/api/entries`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ entries }),
    });
    if (!answer.ok) throw new Error(await answer.text());
    const page = await browser.newPage({ viewport: { width: 390, height: 844 }, serviceWorkers: 'block' });
    await page.goto(`${server.url}/queens/${id}/why`);
    await page.getByRole('heading', { name: /^Why is/ }).waitFor();
    const taken: number[] = [];
    let drawn = 0;
    for (let i = 0; i < TIMES; i++) {
      const measured = await page.evaluate<{ ms: number; n: number }>(TO_THE_PICTURE_AND_BACK);
      taken.push(measured.ms);
      drawn = measured.n;
    }
    return [
      {
        what: `a home of ${drawn + 1} parts: from the tap to its picture drawn (${TIMES} times)`,
        budget: 'none set',
        measured: `median ${ms(percentile(taken, 0.5))}, p95 ${ms(percentile(taken, 0.95))}`,
      },
    ];
  } finally {
    await browser.close();
    await server.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}
