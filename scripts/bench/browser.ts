import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { openBrowser } from './chromium';
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

/** From navigation to the first tube drawn on the shelf: phone size, CPU slowed four times, nothing cached. */
async function firstPaint(url: string): Promise<number[]> {
  const browser = await openBrowser();
  const times: number[] = [];
  for (let i = 0; i < 5; i++) {
    const context = await browser.newContext({
      viewport: { width: 390, height: 844 },
      serviceWorkers: 'block',
    });
    const page = await context.newPage();
    const cdp = await context.newCDPSession(page);
    await cdp.send('Emulation.setCPUThrottlingRate', { rate: 4 });
    await page.addInitScript(() => {
      new MutationObserver((_, observer) => {
        if (!document.querySelector('[role="link"] svg')) return;
        observer.disconnect();
        requestAnimationFrame(() => {
          (window as unknown as { burrowPaint: number }).burrowPaint = performance.now();
        });
      }).observe(document, { childList: true, subtree: true });
    });
    await page.goto(url);
    await page.waitForFunction(() => 'burrowPaint' in window);
    times.push(await page.evaluate(() => (window as unknown as { burrowPaint: number }).burrowPaint));
    await context.close();
  }
  await browser.close();
  return times;
}

export async function benchBrowser(): Promise<Row[]> {
  const folder = mkdtempSync(join(tmpdir(), 'burrow-bench-web-'));
  const server = await startServer(folder, { BURROW_DEMO: '1' });
  await fetch(`${server.url}/api/shelf`);
  const paints = await firstPaint(server.url);
  await server.stop();
  rmSync(folder, { recursive: true, force: true });
  return [
    {
      what: 'first useful paint, production build, 4× CPU slow-down, phone size',
      budget: '≤ 2.5 s',
      measured: `median ${ms(percentile(paints, 0.5))} of ${paints.length}`,
    },
    {
      what: 'JavaScript before the first screen, gzip',
      budget: '≤ 430 kB, the aim is 400',
      measured: `${Math.round(scriptKb())} kB`,
    },
  ];
}
