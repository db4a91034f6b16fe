import { expect, seriousFaults, test, toView } from '../burrow';

test('a used tube stands in the stock with its history, is set up for another, and tells of both', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/stock`);
  const used = page.getByRole('group', { name: /^Tube, 16 mm × 150/ });
  await expect(used).toContainText(/A2 lived in it, .* to .*; mould on the far plug/);
  await expect(used).toContainText(/Clean since/);
  expect(await seriousFaults(page)).toEqual([]);

  const id = await demo.queenId('T1');
  await page.goto(`${demo.url}/queens/${id}`);
  await page.getByRole('button', { name: 'Her home', exact: true }).click();
  await page.getByRole('radio', { name: /A2 lived in it/ }).click();
  await page.getByRole('radio', { name: 'Taped mouth to mouth', exact: true }).click();
  await page.getByRole('button', { name: 'Keep this', exact: true }).click();
  await toView(page, 'Log');
  await expect(page.getByText(/tube that was used before 16 × 150 mm/)).toBeVisible();
  await expect.poll(async () => (await demo.api<{ used: unknown[] }>('/stock')).used.length).toBe(0);

  // taken away again, unwashed: it is in the stock, and not offered as clean
  await toView(page, 'Now');
  await page.getByRole('button', { name: 'Her home', exact: true }).click();
  await page.getByRole('radio', { name: 'Taken away', exact: true }).click();
  await page.getByRole('radio', { name: 'Kept aside', exact: true }).click();
  await page.getByRole('button', { name: 'Keep this', exact: true }).click();
  await expect.poll(async () => (await demo.api<{ used: unknown[] }>('/stock')).used.length).toBe(1);
  await page.goto(`${demo.url}/stock`);
  await expect(used).toContainText(/not cleaned: hot water and soap/);
  await used.getByRole('button', { name: 'It is cleaned' }).click();
  await expect(used).toContainText(/Clean since/);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(used).toContainText(/not cleaned/);
});
