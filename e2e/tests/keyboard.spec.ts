import { dayAgo, expect, test } from '../burrow';

test.beforeEach(({}, info) => {
  test.skip(info.project.name !== 'wide', 'keys are for the wide view');
});

test('the main job by keyboard alone', async ({ page, burrow }) => {
  await page.goto(burrow.url);
  await expect(page.getByText('Nothing yet.').first()).toBeVisible();
  const press = (key: string) => page.keyboard.press(key);
  /** Tab until the focused element answers to the name. */
  const tabTo = async (name: RegExp, role?: string) => {
    for (let i = 0; i < 120; i++) {
      await press('Tab');
      const here = await page.evaluate(() => {
        const e = document.activeElement;
        return {
          name: e?.getAttribute('aria-label') ?? e?.closest('label')?.textContent ?? e?.textContent ?? '',
          role: e?.getAttribute('role') ?? e?.tagName.toLowerCase() ?? '',
        };
      });
      if (name.test(here.name) && (!role || here.role === role)) return;
    }
    throw new Error(`no ${name} by Tab`);
  };

  await press('n');
  await expect(page.getByRole('heading', { name: 'How did she come to you?' })).toBeVisible();
  await tabTo(/^Caught walking/);
  await press('Enter');
  await expect(page.getByRole('radio', { name: 'Caught walking' })).toHaveAttribute('aria-checked', 'true');
  const dayField = page.getByLabel('Day she came into her tube');
  await dayField.focus();
  const [year, month, day] = dayAgo(40).split('-') as [string, string, string];
  // the browser's language decides in which order a date input is typed
  await page.keyboard.type(`${day}${month}${year}`);
  if ((await dayField.inputValue()) !== dayAgo(40)) {
    await press('Tab');
    await dayField.focus();
    await page.keyboard.type(`${month}${day}${year}`);
  }
  await expect(dayField).toHaveValue(dayAgo(40));
  await tabTo(/^Next$/);
  await press('Enter');
  await tabTo(/^Tetramorium immigrans/);
  await press('Enter');
  await tabTo(/^Next$/);
  await press('Enter');
  await tabTo(/^Name of the place/);
  await page.keyboard.type('Drawer');
  await tabTo(/^Take her in$/);
  await press('Enter');
  await expect(page.getByRole('heading', { name: 'How is A doing?' })).toBeVisible();

  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await press('l');
  await expect(page.getByRole('heading', { name: 'What do you see?' })).toBeVisible();
  await tabTo(/^Water line$/, 'slider');
  const line = page.getByRole('slider', { name: 'Water line' });
  const at = Number(await line.getAttribute('aria-valuenow'));
  await press('ArrowLeft');
  await press('ArrowLeft');
  await expect(line).toHaveAttribute('aria-valuenow', String(at - 2));
  await tabTo(/^Where she sits$/, 'slider');
  await press('ArrowRight');
  await tabTo(/^eggs from/);
  await page.keyboard.type('6');
  await tabTo(/^eggs to/);
  await page.keyboard.type('9');
  await tabTo(/^Keep this look$/);
  await press('Enter');
  await expect(page.getByText(/eggs 6–9/).first()).toBeVisible();
  await expect(page.getByText(/Leave her alone until/).first()).toBeVisible();

  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await press('u');
  await expect(page.getByText('Withdrawn; it counts for nothing.')).toBeVisible();
  await page.reload();
  await expect(page.getByText('Withdrawn; it counts for nothing.')).toBeVisible();
});

test('keys move along the shelf, and a sheet lists them', async ({ page, demo }) => {
  await page.goto(demo.url);
  await expect(page.getByRole('heading', { name: 'What needs me today?' })).toBeVisible();
  await expect(page.getByRole('link').first()).toBeVisible();
  await page.keyboard.press('j');
  await expect(page.getByRole('heading', { name: /^How is/ })).toBeVisible();
  const first = page.url();
  await page.keyboard.press('j');
  await expect.poll(() => page.url()).not.toBe(first);
  await page.keyboard.press('k');
  await expect.poll(() => page.url()).toBe(first);
  await page.keyboard.press('?');
  const sheet = page.getByRole('dialog', { name: 'Keys' });
  await expect(sheet.getByText('log a look at this queen')).toBeVisible();
});
