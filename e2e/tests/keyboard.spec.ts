import { dayAgo, expect, test } from '../burrow';

test('the main job by keyboard alone', { tag: '@wide' }, async ({ page, burrow }) => {
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

  /** Tab into a group of one stop, then the arrows to the one that is meant. */
  const chooseBy = async (group: string, name: RegExp) => {
    const inGroup = () =>
      page.evaluate(
        (g) => document.activeElement?.closest('[role="radiogroup"]')?.getAttribute('aria-label') === g,
        group,
      );
    for (let i = 0; i < 60 && !(await inGroup()); i++) await press('Tab');
    const wanted = page.getByRole('radiogroup', { name: group, exact: true }).getByRole('radio', { name });
    for (let i = 0; i < 12; i++) {
      if (await wanted.evaluate((e) => e === document.activeElement)) break;
      await press('ArrowRight');
    }
    if ((await wanted.getAttribute('aria-checked')) !== 'true') await press('Space');
    await expect(wanted).toHaveAttribute('aria-checked', 'true');
  };

  /** The browser's language decides in which order a date input is typed. */
  const typeDay = async (label: string, ago: number) => {
    const field = page.getByLabel(label);
    const [year, month, day] = dayAgo(ago).split('-') as [string, string, string];
    for (const digits of [`${day}${month}${year}`, `${month}${day}${year}`]) {
      await field.focus();
      await page.keyboard.type(digits);
      if ((await field.inputValue()) === dayAgo(ago)) return;
      await press('Tab');
    }
    throw new Error(`${label} does not take ${dayAgo(ago)}`);
  };
  const leaveField = () => page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());

  // the first key may come before the window has the focus
  await expect(async () => {
    await press('n');
    await expect(page.getByRole('heading', { name: 'How did she come to you?' })).toBeVisible({
      timeout: 5000,
    });
  }).toPass();
  await chooseBy('How found', /^Caught walking/);
  await typeDay('Day she came into her tube', 40);
  const next = async (question: string) => {
    await tabTo(/^Next$/);
    await press('Enter');
    await expect(page.getByRole('heading', { name: question })).toBeVisible();
  };
  await next('Is she healthy?');
  await next('What is she?');
  await tabTo(/^Search by Latin/);
  await page.keyboard.type('tet imm');
  await chooseBy('Species', /^Tetramorium immigrans/);
  await next('Which tube, and how full?');
  await next('Where does she stand?');
  await tabTo(/^Name of the place/);
  await page.keyboard.type('Drawer');
  await tabTo(/^Temperature/);
  await page.keyboard.type('24');
  await tabTo(/^Take her in$/);
  await press('Enter');
  await expect(page.getByRole('heading', { name: 'How is A doing?' })).toBeVisible();

  await leaveField();
  await press('l');
  await expect(page.getByRole('heading', { name: 'What do you see?' })).toBeVisible();
  await chooseBy('When', /^Another day/);
  await typeDay('Day of the look', 20);
  await page.getByRole('heading', { name: 'What do you see?' }).focus();
  await tabTo(/^Water line$/, 'slider');
  const line = page.getByRole('slider', { name: 'Water line' });
  const at = Number(await line.getAttribute('aria-valuenow'));
  await press('ArrowLeft');
  await press('ArrowLeft');
  await expect(line).toHaveAttribute('aria-valuenow', String(at - 2));
  await tabTo(/^Where she sits$/, 'slider');
  await press('ArrowRight');
  await tabTo(/^eggs, a number/);
  await page.keyboard.type('6-9');
  await tabTo(/Keep this look$/);
  await press('Enter');
  await tabTo(/^Not looked for/);
  await press('Enter');
  await expect(page.getByText(/eggs 6–9/).first()).toBeVisible();

  // undone by one key, brought back by another way
  await leaveField();
  await press('u');
  await tabTo(/^Log$/, 'link');
  await press('Enter');
  await expect(page.getByRole('button', { name: '1 taken back' })).toBeVisible();
  await tabTo(/^1 taken back/);
  await press('Enter');
  await expect(page.getByText('Taken back; it counts for nothing.')).toBeVisible();
  await tabTo(/^Undo the change of: Look/);
  await press('Enter');
  await expect(page.getByText('Taken back; it counts for nothing.')).toBeHidden();

  // today's look has a slip in it
  await leaveField();
  await press('l');
  await tabTo(/^eggs, not counted/, 'tab');
  await press('ArrowRight');
  await tabTo(/^larvae, a number/);
  await page.keyboard.type('40');
  await tabTo(/Keep this look$/);
  await press('Enter');
  await tabTo(/^Not looked for/);
  await press('Enter');
  await expect(page.getByText(/larvae 40/).first()).toBeVisible();
  await expect(page.getByText(/Leave her alone until \d+ \w+/).first()).toBeVisible();

  await tabTo(/^Log$/, 'link');
  await press('Enter');
  await tabTo(/^Put right: Look/);
  await press('Enter');
  await expect(page.getByRole('heading', { name: 'What was it really?' })).toBeVisible();
  await tabTo(/^eggs, /, 'tab');
  await press('ArrowRight');
  await tabTo(/^larvae, a number/);
  await page.keyboard.press('Control+A');
  await page.keyboard.type('4');
  await tabTo(/Keep the correction$/);
  await press('Enter');
  await expect(page.getByText(/Put right .*larvae 40/)).toBeVisible();
  await page.reload();
  await expect(page.getByText(/Put right .*larvae 40/)).toBeVisible();
  await expect(page.getByText(/larvae 4\b/).first()).toBeVisible();
});

test('a look with all counts takes no more than fifteen keys', { tag: '@wide' }, async ({ page, demo }) => {
  const id = await demo.queenId('S1');
  await page.goto(`${demo.url}/queens/${id}`);
  await expect(page.getByRole('heading', { name: 'How is S1 doing?' })).toBeVisible();
  let keys = 0;
  const press = async (key: string) => {
    await page.keyboard.press(key);
    keys++;
  };
  await press('l');
  await expect(page.getByRole('heading', { name: 'What do you see?' })).toBeVisible();
  await press('q');
  await press('1');
  for (const [stage, n] of [
    ['eggs', '8'],
    ['larvae', '5'],
    ['pupae', '2'],
    ['workers', '0'],
  ] as const) {
    await expect(page.getByRole('textbox', { name: `${stage}, a number or a range` })).toBeFocused();
    await press(n);
    if (stage !== 'workers') await press('Enter');
  }
  await press('Control+Enter');
  await expect(page.getByText(/eggs 8, larvae 5, pupae 2, workers none/)).toBeVisible();
  expect(keys).toBeLessThanOrEqual(15);
});

test('keys move along the shelf, and a sheet lists them', { tag: '@wide' }, async ({ page, demo }) => {
  await page.goto(demo.url);
  await expect(page.getByRole('link', { name: /\. now\./ }).first()).toBeVisible();
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
  // it takes the focus, keeps it, and gives it back
  const within = () => page.evaluate(() => document.activeElement?.closest('[role="dialog"]') !== null);
  await expect.poll(within).toBe(true);
  for (let i = 0; i < 3; i++) await page.keyboard.press('Tab');
  expect(await within()).toBe(true);
  await page.keyboard.press('Escape');
  await expect(sheet).toBeHidden();
  for (const [key, question] of [
    ['g', 'Who stands here?'],
    ['b', 'What do you want to get ready?'],
    ['p', 'Where do the tubes stand?'],
    ['r', 'What is written down?'],
    ['f', 'Whom do you feed?'],
    ['t', 'What needs me today?'],
  ] as const) {
    await page.keyboard.press(key);
    await expect(page.getByRole('heading', { name: question })).toBeVisible();
  }
});
