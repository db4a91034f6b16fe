// `npm run screenshots [-- NAME]`: a picture of each main view, or of the one named, from the demo, into docs/screenshots.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, Page } from '@playwright/test';
import { openBrowser } from './bench/chromium';
import { root, startServer } from './bench/server';

const SIZES = { phone: { width: 390, height: 844 }, wide: { width: 1280, height: 800 } };

interface View {
  name: string;
  path: string;
  sizes: (keyof typeof SIZES)[];
  appearance?: string;
  prepare?: (page: Page) => Promise<void>;
}

const scrollTo = (top: number) => async (page: Page) => {
  await page
    .getByRole('region')
    .last()
    .evaluate((e, y) => (e.scrollTop = y), top);
};

async function toTubeStep(page: Page): Promise<void> {
  const next = async (question: string) => {
    await page.getByRole('button', { name: 'Next' }).click();
    await page.getByRole('heading', { name: question }).waitFor();
  };
  await page.getByRole('radio', { name: 'Caught walking' }).click();
  await next('Is she healthy?');
  await next('What is she?');
  await page.getByRole('radio', { name: /Messor structor/ }).click();
  await next('Which tube, and how full?');
}

async function beginRound(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.getByRole('heading', { name: /, 1 of/ }).waitFor();
}

async function openPlace(page: Page): Promise<void> {
  await page.getByRole('link', { name: /^Drawer under/ }).click();
  await page.getByRole('slider', { name: 'Read at' }).waitFor();
}

async function moveWarmth(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'What if?' }).click();
  const slider = page.getByRole('slider', { name: 'Warmer (a mat) or cooler from today' });
  await slider.focus();
  for (let i = 0; i < 8; i++) await page.keyboard.press('ArrowLeft');
  await page.waitForTimeout(800);
  await page.getByText('Nothing is changed in her log').scrollIntoViewIfNeeded();
}

async function halfLook(page: Page): Promise<void> {
  await page.getByRole('radio', { name: 'Yesterday' }).click();
  await page.getByRole('button', { name: '8 eggs', exact: true }).click();
  await page.getByRole('button', { name: '12 eggs', exact: true }).click();
  await scrollTo(120)(page);
}

const VIEWS = (id: (label: string) => string): View[] => [
  { name: 'today', path: '/', sizes: ['phone', 'wide'] },
  { name: 'shelf', path: '/shelf', sizes: ['phone', 'wide'] },
  { name: 'queen', path: `/queens/${id('S2')}`, sizes: ['phone'] },
  { name: 'moving', path: `/queens/${id('C2')}`, sizes: ['wide'] },
  { name: 'queen-ahead', path: `/queens/${id('C1')}/ahead`, sizes: ['phone'] },
  { name: 'queen-why', path: `/queens/${id('C1')}/why`, sizes: ['phone'] },
  { name: 'kind', path: '/kinds/tetramorium-immigrans', sizes: ['phone'] },
  { name: 'look', path: `/queens/${id('S1')}/look`, sizes: ['phone'], prepare: halfLook },
  { name: 'watch', path: `/queens/${id('C1')}/watch`, sizes: ['phone'] },
  { name: 'what-if', path: `/queens/${id('C1')}/ahead`, sizes: ['wide'], prepare: moveWarmth },
  { name: 'new-queen', path: '/queens/new', sizes: ['phone'], prepare: toTubeStep },
  { name: 'round', path: '/round', sizes: ['phone'], prepare: beginRound },
  { name: 'feed', path: '/feed', sizes: ['phone'] },
  { name: 'bench', path: '/bench/tube', sizes: ['phone'], prepare: scrollTo(260) },
  { name: 'stock', path: '/stock', sizes: ['phone'] },
  { name: 'places', path: '/places', sizes: ['phone'], prepare: openPlace },
  { name: 'red-light', path: `/queens/${id('V1')}`, sizes: ['phone'], appearance: 'red' },
];

async function take(browser: Browser, url: string, view: View, size: keyof typeof SIZES): Promise<void> {
  const context = await browser.newContext({
    viewport: SIZES[size],
    serviceWorkers: 'block',
    locale: 'en-GB',
  });
  const page = await context.newPage();
  await page.addInitScript(
    (appearance) => localStorage.setItem('burrow.preferences', JSON.stringify({ appearance })),
    view.appearance ?? 'paper',
  );
  await page.goto(url + view.path, { waitUntil: 'networkidle' });
  await page.evaluate(() => document.fonts.ready);
  await view.prepare?.(page);
  await page.waitForTimeout(600);
  await page.screenshot({ path: join(root, 'docs', 'screenshots', `${view.name}-${size}.png`) });
  await context.close();
}

const folder = mkdtempSync(join(tmpdir(), 'burrow-shots-'));
const server = await startServer(folder, { BURROW_DEMO: '1' });
const { queens } = (await (await fetch(`${server.url}/api/queens`)).json()) as {
  queens: { id: string; label: string }[];
};
const browser = await openBrowser();
const only = process.argv[2];
for (const view of VIEWS((label) => queens.find((q) => q.label === label)?.id ?? '')) {
  for (const size of only && view.name !== only ? [] : view.sizes) {
    await take(browser, server.url, view, size);
    console.log(`${view.name}-${size}.png`);
  }
}
await browser.close();
await server.stop();
rmSync(folder, { recursive: true, force: true });
