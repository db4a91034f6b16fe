import { readFileSync } from 'node:fs';
import { expect, logLook, seriousFaults, test } from '../burrow';

test('first workers are said once, with how soon they came, and a card of them is kept', async ({
  page,
  demo,
}, info) => {
  const id = await demo.queenId('C1');
  await page.goto(`${demo.url}/queens/${id}`);
  await expect(page.getByRole('heading', { name: 'How is C1 doing?' })).toBeVisible();
  await logLook(page, 0, { workers: 2 });
  const first = page.getByRole('heading', { name: /^First workers after (\d+ to )?\d+ days\.$/ });
  await expect(first).toBeVisible();
  await expect(
    page.getByText(
      /^(Sooner|Later) than about \d in 10 of her species at .*|^About when half of her species/,
    ),
  ).toBeVisible();
  expect(await seriousFaults(page), info.project.name).toEqual([]);
  await page.getByRole('button', { name: 'Make a card' }).click();
  const card = page.getByRole('dialog', { name: 'A card to keep' });
  await expect(card.getByRole('img', { name: /^Tube/ })).toBeVisible();
  // nothing on it says where she was found or stands
  await expect(card.getByText(/Cork wood|Salter|Warm cupboard/)).toHaveCount(0);
  expect(await seriousFaults(page), info.project.name).toEqual([]);
  const saved = page.waitForEvent('download');
  await card.getByRole('button', { name: 'Save as picture' }).click();
  const png = readFileSync(await (await saved).path());
  // PNG, 1080 wide (the format's own signature and header)
  expect(png.subarray(0, 8).toString('hex')).toBe('89504e470d0a1a0a');
  expect(png.readUInt32BE(16)).toBe(1080);
  expect(png.length).toBeGreaterThan(10_000);
  await page.keyboard.press('Escape');
  await page.getByRole('status').getByRole('button', { name: 'Close', exact: true }).click();
  await expect(first).toBeHidden();
  await page.reload();
  await expect(page.getByRole('heading', { name: 'How is C1 doing?' })).toBeVisible();
  await expect(first).toBeHidden();
});
