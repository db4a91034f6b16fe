import { expect, seriousFaults, test } from '../burrow';

test('what fits: two tubes by a sleeve of the stock, a nest by what is added, and what to buy if there is none', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/bench`);
  await page.getByRole('link', { name: /What fits/ }).click();
  await expect(page.getByText('They fit by Soft sleeve, 16 mm.')).toBeVisible();
  await expect(
    page.getByText(/[Ff]irst end in Soft sleeve, 16 mm: slides in, gap 0\.2 mm; air comes in here/),
  ).toBeVisible();

  // the port of a nest: a hole that takes 9.8 mm; nothing in the stock ends so
  const second = page.getByRole('group', { name: 'Second end' });
  await second.getByRole('radio', { name: /^Another end/ }).click();
  await second.getByRole('textbox', { name: 'Bore inside, mm' }).fill('3.5');
  await expect(page.getByText('Nothing in your stock joins them and lets air in.')).toBeVisible();
  await expect(page.getByText(/at the second an outside of 3\.\d+ mm to 3\.5 mm in it/)).toBeVisible();

  // tenths of a millimetre decide, and are told
  await expect(page.getByText(/at the first end an outside of 13\.\d+ mm to 14 mm in it/)).toBeVisible();

  await page.getByRole('link', { name: /The stock/ }).click();
  await page.getByRole('button', { name: 'Count something new' }).click();
  await page.getByRole('radio', { name: 'Connectors' }).click();
  await page.getByRole('textbox', { name: 'What you call it' }).fill('Thin nipple');
  await page.getByRole('radio', { name: 'An adapter' }).click();
  await page.getByRole('textbox', { name: 'Other end, bore inside, mm' }).fill('2');
  await page.getByRole('textbox', { name: 'Other end, outside, mm' }).fill('3.35');
  // hundredths stay as they are typed
  await expect(page.getByRole('textbox', { name: 'Other end, outside, mm' })).toHaveValue('3.35');
  await page.getByRole('textbox', { name: 'How many now' }).fill('1');
  await page.getByRole('button', { name: 'Keep it in the stock' }).click();
  await expect(page.getByText('Thin nipple').first()).toBeVisible();
  await page.goto(`${demo.url}/bench/fit`);
  // what was described is still there
  await expect(page.getByText('They fit by Thin nipple.')).toBeVisible();
  await expect(page.getByText(/^2\. /)).toBeVisible();
  expect(await seriousFaults(page)).toEqual([]);
});
