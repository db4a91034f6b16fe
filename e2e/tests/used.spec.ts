import { expect, seriousFaults, test, toView } from '../burrow';

test(
  'a used tube stands in the stock with its history, is set up for another, and tells of both',
  { tag: '@phone' },
  async ({ page, demo }) => {
    await page.goto(`${demo.url}/stock`);
    const used = page
      .getByRole('group', { name: /^Tube, 16 mm × 150/ })
      .filter({ hasText: 'A2 lived in it' });
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
    const inStock = async () =>
      (await demo.api<{ used: { left: boolean }[] }>('/stock')).used.filter((u) => !u.left).length;
    await expect.poll(inStock).toBe(0);

    // taken away again, unwashed: it is in the stock, and not offered as clean
    await toView(page, 'Now');
    await page.getByRole('button', { name: 'Her home', exact: true }).click();
    await page.getByRole('radio', { name: 'Taken away', exact: true }).click();
    await page.getByRole('radio', { name: 'Kept aside', exact: true }).click();
    await page.getByRole('button', { name: 'Keep this', exact: true }).click();
    await expect.poll(inStock).toBe(1);
    await page.goto(`${demo.url}/stock`);
    await expect(used).toContainText(/not cleaned: hot water and soap/);
    await used.getByRole('button', { name: 'It is cleaned' }).click();
    await expect(used).toContainText(/Clean since/);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(used).toContainText(/not cleaned/);

    // what a queen who died left behind is cleaned from there, and stands with the others
    await page.getByRole('button', { name: 'Left by queens that are gone: 1' }).click();
    const left = page.getByRole('group', { name: /^Tube/ }).filter({ hasText: 'A1 lived in it' });
    await left.getByRole('button', { name: 'It is cleaned' }).click();
    await expect(left).toContainText(/Clean since/);
    await expect(page.getByRole('button', { name: /Left by queens/ })).toBeHidden();
    expect(await seriousFaults(page)).toEqual([]);
    // her page still opens, though nothing of hers stands any more
    await page.goto(`${demo.url}/queens/${await demo.queenId('A1')}`);
    await expect(page.getByRole('heading', { name: 'How is A1 doing?' })).toBeVisible();
    await expect(page.getByRole('img', { name: /^Tube 16 by 150 mm/ }).first()).toBeVisible();
  },
);
