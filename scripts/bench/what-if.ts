import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openBrowser } from './chromium';
import { ms, percentile, type Row } from './row';
import { startServer } from './server';

const STEPS = 40;
const STEP_MS = 50;

/**
 * Moves the slider of “What if?” on a queen's page of the demo step by step: how long the main thread was blocked at the
 * most, and how long after each step the drawing showed another answer.
 */
export async function benchWhatIf(): Promise<Row[]> {
  const folder = mkdtempSync(join(tmpdir(), 'burrow-bench-what-'));
  const server = await startServer(folder, { BURROW_DEMO: '1' });
  const browser = await openBrowser();
  try {
    const { rows } = (await (await fetch(`${server.url}/api/shelf`)).json()) as {
      rows: { queen: { id: string; label: string } }[];
    };
    const id = rows.find((r) => r.queen.label === 'C1')?.queen.id;
    const page = await browser.newPage({ viewport: { width: 390, height: 844 }, serviceWorkers: 'block' });
    await page.goto(`${server.url}/queens/${id}/ahead`);
    await page.getByRole('button', { name: 'What if?' }).click();
    const slider = page.getByRole('slider', { name: 'Warmer (a mat) or cooler from today' });
    await slider.waitFor();
    await page.waitForTimeout(1500);
    const { blocks, answers } = await slider.evaluate(
      async (input: HTMLInputElement, { steps, stepMs }) => {
        const blocks: number[] = [];
        new PerformanceObserver((list) => blocks.push(...list.getEntries().map((e) => e.duration))).observe({
          type: 'longtask',
        });
        const drawn = document
          .querySelector('[aria-live="polite"] svg [stroke-width="2"]')
          ?.closest('[aria-live]');
        const answers: number[] = [];
        let moved = 0;
        const watch = new MutationObserver(() => {
          if (moved === 0) return;
          const at = moved;
          moved = 0;
          requestAnimationFrame(() => answers.push(performance.now() - at));
        });
        watch.observe(drawn as Element, {
          subtree: true,
          attributes: true,
          childList: true,
          characterData: true,
        });
        const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set;
        for (let i = 1; i <= steps; i++) {
          set?.call(input, String((i % 2 === 0 ? -1 : 1) * (i / steps) * 8));
          moved = performance.now();
          input.dispatchEvent(new Event('input', { bubbles: true }));
          await new Promise((r) => setTimeout(r, stepMs));
        }
        await new Promise((r) => setTimeout(r, 500));
        return { blocks, answers };
      },
      { steps: STEPS, stepMs: STEP_MS },
    );
    // a long task is reported from 50 ms on
    const longest = Math.max(0, ...blocks);
    return [
      {
        what: `longest main-thread block while a what-if slider moves (${STEPS} steps)`,
        budget: '≤ 50 ms',
        measured: longest === 0 ? 'none reached 50 ms' : ms(longest),
      },
      {
        what: 'what-if: from a step of the slider to the answer drawn',
        budget: 'a frame or two',
        measured: `median ${ms(percentile(answers, 0.5))}, p95 ${ms(percentile(answers, 0.95))} of ${answers.length}`,
      },
    ];
  } finally {
    await browser.close();
    await server.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}
