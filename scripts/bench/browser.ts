import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import type { Browser } from '@playwright/test';
import { openBrowser } from './chromium';
import { serveEmptyPage } from './empty-page';
import { ms, percentile, type Row } from './row';
import { root, startServer } from './server';

/** JavaScript that the first page asks for, gzipped. */
function scriptKb(): number {
  const dist = join(root, 'app', 'dist');
  const html = readFileSync(join(dist, 'index.html'), 'utf8');
  const scripts = [...html.matchAll(/<script[^>]*src="([^"]+)"/g)].map((m) => m[1] as string);
  if (scripts.length === 0) throw new Error(`no script in ${readdirSync(dist).join()}`);
  return (
    scripts.reduce((sum, s) => sum + gzipSync(readFileSync(join(dist, s)), { level: 9 }).length, 0) / 1000
  );
}

interface Page {
  url: string;
  /** Once this is drawn the page is of use. */
  drawn: string;
}

/** From navigation to what is of use being drawn: phone size, CPU slowed four times, nothing cached. */
async function firstPaint(browser: Browser, { url, drawn }: Page): Promise<number> {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    serviceWorkers: 'block',
  });
  const page = await context.newPage();
  const cdp = await context.newCDPSession(page);
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  await page.addInitScript((selector) => {
    new MutationObserver((_, observer) => {
      if (!document.querySelector(selector)) return;
      observer.disconnect();
      requestAnimationFrame(() => {
        (window as unknown as { burrowPaint: number }).burrowPaint = performance.now();
      });
    }).observe(document, { childList: true, subtree: true });
  }, drawn);
  await page.goto(url);
  await page.waitForFunction(() => 'burrowPaint' in window);
  const paint = await page.evaluate(() => (window as unknown as { burrowPaint: number }).burrowPaint);
  await context.close();
  return paint;
}

const TIMES = 7;

export async function benchBrowser(): Promise<Row[]> {
  const folder = mkdtempSync(join(tmpdir(), 'burrow-bench-web-'));
  const server = await startServer(join(folder, 'data'), { BURROW_DEMO: '1' });
  const empty = await serveEmptyPage(join(folder, 'empty'));
  await fetch(`${server.url}/api/shelf`);
  const browser = await openBrowser();
  const ours: number[] = [];
  const nothing: number[] = [];
  // taken in turn, so that both meet the machine in the same mood
  for (let i = 0; i < TIMES; i++) {
    nothing.push(await firstPaint(browser, { url: empty.url, drawn: '[role="main"]' }));
    ours.push(await firstPaint(browser, { url: server.url, drawn: '[role="link"] svg' }));
  }
  await browser.close();
  empty.stop();
  await server.stop();
  rmSync(folder, { recursive: true, force: true });
  const [paint, least] = [percentile(ours, 0.5), percentile(nothing, 0.5)];
  return [
    {
      what: 'first useful paint, production build, 4× CPU slow-down, phone size, against an empty page',
      budget: '≤ 1.7 ×',
      measured: `${(paint / least).toFixed(2)} × (medians of ${TIMES}: ${ms(paint)}, ${ms(least)})`,
    },
    {
      what: 'JavaScript before the first screen, gzip',
      budget: '≤ 430 kB, the aim is 400',
      measured: `${Math.round(scriptKb())} kB`,
    },
  ];
}
