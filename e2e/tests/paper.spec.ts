import type { Page } from '@playwright/test';
import { expect, test } from '../burrow';

/** Holds what would be printed, so that it can be looked at as the printer sees it. */
async function holdPrint(page: Page): Promise<() => Promise<void>> {
  await page.addInitScript(() => {
    Object.assign(window, { print: () => Object.assign(window, { printed: true }) });
  });
  return async () => {
    await page.waitForFunction(() => (window as { printed?: boolean }).printed === true);
    await page.emulateMedia({ media: 'print' });
  };
}

/** What is drawn outside the paper; nothing may be. */
const besideThePaper = (page: Page) =>
  page.evaluate(
    () =>
      [...document.body.children].filter(
        (e) => !e.classList.contains('paper') && e.getBoundingClientRect().height > 0,
      ).length,
  );

test('one clean sheet for a colony: her tube in real size, dates, log, the code of her label', async ({
  page,
  demo,
}) => {
  const printed = await holdPrint(page);
  await page.goto(`${demo.url}/queens/${await demo.queenId('C1')}/log`);
  await page.getByRole('button', { name: 'Print the sheet of C1' }).click();
  await printed();
  const paper = page.locator('.paper');
  await expect(paper.getByRole('heading', { name: 'C1' })).toBeVisible();
  await expect(paper.getByRole('heading', { name: 'Dates' })).toBeVisible();
  await expect(paper.getByRole('row', { name: /^Taken in/ })).toBeVisible();
  await expect(paper.getByRole('button')).toHaveCount(0);
  expect(await besideThePaper(page)).toBe(0);
  // 96 px are 25.4 mm (CSS Values and Units): a tube of 150 mm, and the margins and wall drawn around it
  const tube = (await paper.getByRole('img', { name: /^Tube 16 by 150 mm/ }).boundingBox())!;
  expect((tube.width * 25.4) / 96).toBeGreaterThan(150);
  expect((tube.width * 25.4) / 96).toBeLessThan(160);
  const code = paper.getByRole('img', { name: 'Her label, with its code' });
  expect(await code.evaluate((e) => (e as HTMLImageElement).naturalWidth)).toBeGreaterThan(0);
});

test('the round as a list with boxes', async ({ page, demo }) => {
  const printed = await holdPrint(page);
  await page.goto(`${demo.url}/round`);
  await page.getByRole('button', { name: 'Print the list' }).click();
  await printed();
  const paper = page.locator('.paper');
  await expect(paper.getByRole('heading', { name: /^Round of / })).toBeVisible();
  const boxes = await paper.locator('.box').count();
  expect(boxes).toBeGreaterThan(0);
  await expect(paper.getByRole('row')).toHaveCount(boxes + 1);
  expect(await besideThePaper(page)).toBe(0);
});

test('labels print as the sheet itself, in real size', async ({ page, demo }) => {
  const printed = await holdPrint(page);
  await page.goto(`${demo.url}/labels`);
  await page.getByRole('radio', { name: /^3 × 8/ }).click();
  await page.getByRole('button', { name: 'Print', exact: true }).click();
  await printed();
  const sheet = page.locator('.paper').getByRole('img', { name: 'Sheet 1' });
  const box = (await sheet.boundingBox())!;
  // A4: 210 × 297 mm (ISO 216)
  expect((box.width * 25.4) / 96).toBeCloseTo(210, 0);
  expect((box.height * 25.4) / 96).toBeCloseTo(297, 0);
  expect(await besideThePaper(page)).toBe(0);
  const pdf = await page.pdf({ preferCSSPageSize: true });
  // one page of the size of the sheet, in points (PDF 32000-1: 1/72 inch)
  const sizes = [...pdf.toString('latin1').matchAll(/\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/g)];
  expect(sizes.map((m) => [Math.round(Number(m[1])), Math.round(Number(m[2]))])).toEqual([[595, 842]]);
});
