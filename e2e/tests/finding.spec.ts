import { expect, seriousFaults, test } from '../burrow';

test('"/" leads into a search from any page; a site or an everyday name finds her, Enter opens the only one', async ({
  page,
  demo,
}, info) => {
  await page.goto(`${demo.url}/bench`);
  await expect(page.getByRole('heading', { name: 'What do you want to get ready?' })).toBeVisible();
  await page.keyboard.press('/');
  const search = page.getByRole('textbox', { name: /^Search by name/ });
  await expect(search).toBeFocused();
  // where she was found
  await page.keyboard.type('dry bank');
  await expect(page.getByRole('main').getByRole('link')).toHaveCount(1);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'How is S1 doing?' })).toBeVisible();
  expect(await seriousFaults(page), info.project.name).toEqual([]);
  // a page that has a search of its own is searched itself
  await page.goto(`${demo.url}/kinds`);
  await expect(page.getByRole('heading', { name: 'What is known of a kind?' })).toBeVisible();
  await page.keyboard.press('/');
  await expect(page.getByRole('textbox', { name: /^Search by Latin/ })).toBeFocused();
  await page.keyboard.type('Rote Waldameise');
  await expect(page.getByText('Formica rufa').first()).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Formica rufa' })).toBeVisible();
});

test('a queen is taken in without a mouse, step by step with Ctrl and Enter; the key knows the month', async ({
  page,
  demo,
}) => {
  await page.goto(demo.url);
  await expect(page.getByRole('heading', { name: 'What needs me today?' })).toBeVisible();
  await page.keyboard.press('n');
  await expect(page.getByRole('heading', { name: 'How did she come to you?' })).toBeVisible();
  await page.getByRole('radio', { name: 'Caught walking' }).press(' ');
  await page.keyboard.press('Control+Enter');
  await expect(page.getByRole('heading', { name: 'Is she healthy?' })).toBeVisible();
  await page.keyboard.press('Control+Enter');
  await expect(page.getByRole('heading', { name: 'What is she?' })).toBeVisible();
  await page.getByRole('button', { name: /^Not sure\? Narrow it down/ }).press('Enter');
  // the day of the capture was said in the first step
  await expect(
    page.getByRole('radiogroup', { name: 'Month of her flight' }).getByRole('radio', { checked: true }),
  ).toHaveCount(1);
  await page.getByRole('textbox', { name: /^Search by Latin/ }).fill('große knotenameise');
  await expect(page.getByText(/^1 found/)).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('radio', { name: /^Manica rubida/ })).toBeChecked();
  await page.keyboard.press('Control+Enter');
  await expect(page.getByRole('heading', { name: 'Which tube, and how full?' })).toBeVisible();
  await page.keyboard.press('Control+Enter');
  await expect(page.getByRole('heading', { name: 'Where does she stand?' })).toBeVisible();
  await page.keyboard.press('Control+Enter');
  await expect(page.getByRole('heading', { name: /^How is .* doing\?$/ })).toBeVisible();
});
