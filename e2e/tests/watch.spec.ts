import { v7 } from 'uuid';
import { countBrood, expect, keepLook, seriousFaults, test, toView } from '../burrow';
import { clockMs } from '../clock';

interface Detail {
  entries: { id: string; kind: string; photos?: string[] }[];
  view: { ledger: { contradictions: { says: string }[]; deadWorkers: { low: number } } };
}

/** A small picture, drawn by the browser itself. */
const PICTURE = `(() => {
  const c = document.createElement('canvas');
  c.width = 640; c.height = 480;
  const g = c.getContext('2d');
  g.fillStyle = '#cfd8d2'; g.fillRect(0, 0, 640, 480);
  g.fillStyle = '#2a1b10'; g.beginPath(); g.ellipse(330, 300, 60, 26, 0, 0, 7); g.fill();
  return c.toDataURL('image/jpeg').split(',')[1];
})()`;

test('what she is probably doing, and what if', async ({ page, demo }) => {
  const id = await demo.queenId('C1');
  const before = (await demo.api<Detail>(`/queens/${id}`)).entries;
  await page.goto(`${demo.url}/queens/${id}`);
  await toView(page, 'Ahead');
  await page.getByRole('button', { name: 'What is she probably doing?' }).click();
  await expect(page.getByRole('heading', { name: 'What is C1 probably doing?' })).toBeVisible();
  await expect(page.getByText('likely, not seen')).toBeVisible();
  await expect(page.getByText(/^Probably .*pupae/)).toBeVisible();
  await expect(page.getByText(/days$|any day now/).first()).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: /^First workers/ })).toBeVisible();
  expect(await seriousFaults(page)).toEqual([]);
  await page.getByRole('button', { name: 'Back' }).click();

  await page.getByRole('button', { name: 'What if?' }).click();
  const warmer = page.getByRole('slider', { name: 'Warmer (a mat) or cooler from today' });
  const answer = page.locator('[aria-live="polite"]').filter({ hasText: 'First workers' });
  await expect(answer).toContainText(/until|between/);
  // both bars have their names
  for (const bar of ['as it is', 'what if'])
    await expect(answer.getByText(bar, { exact: true })).toBeVisible();
  const asItIs = await answer.textContent();
  await warmer.focus();
  for (let i = 0; i < 8; i++) await page.keyboard.press('ArrowLeft');
  await expect(page.getByText('4 °C cooler')).toBeVisible();
  await expect(answer).not.toHaveText(asItIs ?? '');
  const winter = page.getByRole('slider', { name: 'Wintered' });
  await winter.focus();
  for (let i = 0; i < 12; i++) await page.keyboard.press('ArrowRight');
  await expect(page.getByText('12 weeks at 6.5 °C')).toBeVisible();
  expect(await seriousFaults(page)).toEqual([]);
  await page.getByRole('button', { name: 'As it is' }).click();
  await expect(answer).toHaveText(asItIs ?? '');
  // nothing was written
  expect((await demo.api<Detail>(`/queens/${id}`)).entries).toEqual(before);
});

test('a photo, dead workers and lots of larvae go with a look, and stay', async ({ page, demo }) => {
  const id = await demo.queenId('T1');
  await page.goto(`${demo.url}/queens/${id}/look`);
  const picture = Buffer.from(await page.evaluate<string>(PICTURE), 'base64');
  await countBrood(page, { workers: 10 });
  await page.getByRole('tab', { name: /^larvae/ }).click();
  await page.getByRole('button', { name: 'lots of larvae' }).click();
  await page.getByRole('button', { name: 'Photos, castes, the dead' }).click();
  await page
    .locator('input[type=file][multiple]')
    .setInputFiles({ name: 'tube.jpg', mimeType: 'image/jpeg', buffer: picture });
  await expect(page.getByRole('img', { name: 'Photo 1 of this look' })).toBeVisible();
  await page.getByRole('radio', { name: 'dead workers' }).click();
  await page.getByRole('button', { name: '2 dead workers', exact: true }).click();
  await keepLook(page);
  await toView(page, 'Log');
  await expect(page.getByText(/larvae lots, workers 10.*dead workers 2, a photo/).first()).toBeVisible();
  await expect
    .poll(async () => (await demo.api<Detail>(`/queens/${id}`)).view.ledger.deadWorkers.low)
    .toBe(2);
  const look = (await demo.api<Detail>(`/queens/${id}`)).entries.find((e) => e.photos);
  const photo = look?.photos?.[0] as string;
  await expect
    .poll(
      async () => (await page.request.get(`${demo.url}/api/photos/${photo}/thumb`)).headers()['content-type'],
    )
    .toBe('image/jpeg');
  await page.reload();
  await toView(page, 'Now');
  await page.getByRole('button', { name: /^Photo of/ }).click();
  const large = page.getByRole('img', { name: /^Photo of/ }).last();
  await expect(large).toBeVisible();
  await expect.poll(() => large.evaluate((img: HTMLImageElement) => img.naturalWidth)).toBe(640);
  expect(await seriousFaults(page)).toEqual([]);
});

test(
  'what cannot both be right is shown with both readings, and either can be put right',
  { tag: '@phone' },
  async ({ page, demo }) => {
    const id = await demo.queenId('S1');
    const at = new Date(clockMs() - 3_600_000).toISOString();
    await demo.send('POST', '/entries', {
      kind: 'look',
      id: v7(),
      queenId: id,
      at,
      loggedAt: at,
      queensSeen: 3,
    });
    await page.goto(`${demo.url}/queens/${id}`);
    await expect(page.getByText('These cannot both be right')).toBeVisible();
    await expect(page.getByText(/^Either: Fewer queens were seen/)).toBeVisible();
    await page.getByRole('button', { name: /^Put right the intake of/ }).click();
    await page.getByRole('textbox', { name: 'Queens in the tube' }).fill('3');
    await page.getByRole('button', { name: 'Keep the correction' }).click();
    await expect(page.getByText('These cannot both be right')).toBeHidden();
    await expect
      .poll(async () => (await demo.api<Detail>(`/queens/${id}`)).view.ledger.contradictions)
      .toEqual([]);
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(page.getByText('These cannot both be right')).toBeVisible();
  },
);
