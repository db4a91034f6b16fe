import type { Page, Request } from '@playwright/test';
import {
  allTubes,
  type Burrow,
  countBrood,
  expect,
  keepLook,
  placePath,
  seriousFaults,
  test,
  toView,
  visit,
} from '../burrow';
import { PAGES, VIEWS } from '../pages';

interface Entry {
  id: string;
  kind: string;
  food?: string;
  outcome?: string;
}

const logOf = async (burrow: Burrow, id: string) =>
  (await burrow.api<{ entries: Entry[] }>(`/queens/${id}/entries`)).entries;

/** Taps, counted. */
function counting(page: Page) {
  const taps = { n: 0 };
  const tap = async (role: 'button' | 'checkbox' | 'radio' | 'link', name: string | RegExp) => {
    await page.getByRole(role, { name }).first().click();
    taps.n++;
  };
  return { taps, tap };
}

test('three tubes are fed from Today with six taps, and one undo takes all back', async ({ page, demo }) => {
  const ids = await Promise.all(['T2', 'V1', 'T1'].map((l) => demo.queenId(l)));
  const fed = async () =>
    (await Promise.all(ids.map((id) => logOf(demo, id)))).map(
      (log) => log.filter((e) => e.kind === 'feed').length,
    );
  const before = await fed();
  await page.goto(demo.url);
  const { taps, tap } = counting(page);
  await tap('button', 'Feed several');
  for (const label of ['T2', 'V1', 'T1']) await tap('checkbox', new RegExp(`^${label},`));
  await tap('radio', 'Sugar');
  await tap('button', 'Keep 3 feeds');
  expect(taps.n).toBeLessThanOrEqual(6);
  await expect(page.getByRole('heading', { name: 'What needs me today?' })).toBeVisible();
  await expect.poll(fed).toEqual(before.map((n) => n + 1));
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect
    .poll(async () => {
      const logs = await Promise.all(ids.map((id) => logOf(demo, id)));
      return logs.filter((log) => log.some((e) => e.kind === 'amendment')).length;
    })
    .toBe(3);
});

test('from a row of the shelf a note is three taps away; a long press opens the same', async ({
  page,
  demo,
}, info) => {
  const id = await demo.queenId('S1');
  await page.goto(`${demo.url}/shelf`);
  await allTubes(page, demo);
  const { taps, tap } = counting(page);
  await tap('button', 'Write of S1');
  await tap('button', 'Note');
  await page.getByRole('dialog').getByRole('textbox', { name: 'Note' }).fill('calm tonight');
  await tap('button', 'Keep this note');
  expect(taps.n).toBe(3);
  await expect(page.getByRole('dialog')).toBeHidden();
  await expect(page.getByRole('heading', { name: 'Who stands here?' })).toBeVisible();
  await expect.poll(async () => (await logOf(demo, id)).at(-1)?.kind).toBe('note');
  const row = page.getByRole('link', { name: /^S1,/ });
  await row.scrollIntoViewIfNeeded();
  const box = (await row.boundingBox())!;
  await page.mouse.move(box.x + 30, box.y + 20);
  await page.mouse.down();
  await expect(page.getByRole('dialog', { name: 'What of S1?' })).toBeVisible();
  await page.mouse.up();
  expect(await seriousFaults(page), info.project.name).toEqual([]);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toBeHidden();
  // the press that opened the sheet did not also lead away
  await expect(page.getByRole('heading', { name: 'Who stands here?' })).toBeVisible();
});

test('every deed is one tap from her page; the due one stands first', async ({ page, demo }) => {
  await page.goto(`${demo.url}/queens/${await demo.queenId('T2')}`);
  const deeds = page.getByRole('group', { name: 'What can be written of her' }).getByRole('button');
  await expect(deeds.first()).toHaveAccessibleName(/Feed/);
  for (const deed of [/Note/, /Move/, /Log a sign/, /Looked over/, /Tube was bumped/, /Loss/, /Correct/])
    await expect(deeds.filter({ hasText: deed })).toBeVisible();
  for (const deed of ['Log a look', 'Leave alone'])
    await expect(page.getByRole('button', { name: deed, exact: true })).toBeVisible();
});

test('search and order on the shelf; its rows are links that open in a new tab', async ({ page, demo }) => {
  await page.goto(`${demo.url}/shelf`);
  await page.getByRole('textbox', { name: /^Search by name/ }).fill('messor');
  const rows = page.getByRole('main').getByRole('link');
  await expect(rows).toHaveCount(2);
  await page.getByRole('textbox', { name: /^Search by name/ }).fill('');
  await page.getByRole('radio', { name: 'By species' }).click();
  await expect(page.getByRole('heading', { name: 'Aphaenogaster subterranea' })).toBeVisible();
  const row = page.getByRole('link', { name: /^A2,/ });
  expect(await row.getAttribute('href')).toBe(`/queens/${await demo.queenId('A2')}`);
  const [tab] = await Promise.all([
    page.context().waitForEvent('page'),
    row.click({ modifiers: ['ControlOrMeta'] }),
  ]);
  await expect(tab.getByRole('heading', { name: 'How is A2 doing?' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Who stands here?' })).toBeVisible();
  // opened by itself, "back" leads to the page above
  await tab.getByRole('button', { name: 'Back' }).click();
  await expect(tab.getByRole('heading', { name: 'Who stands here?' })).toBeVisible();
});

test('back goes where one came from, step by step inside the intake too', async ({ page, demo }) => {
  await page.goto(demo.url);
  await page.getByRole('link', { name: /^T2,/ }).first().click();
  await toView(page, 'Why');
  await toView(page, 'Log');
  await page.getByRole('button', { name: 'Back', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'What needs me today?' })).toBeVisible();
  await page.goto(`${demo.url}/shelf`);
  await page.getByRole('button', { name: 'Take in a queen' }).click();
  await page.getByRole('radio', { name: 'Caught walking' }).click();
  await page.getByRole('button', { name: 'Next' }).click();
  await expect(page.getByRole('heading', { name: 'Is she healthy?' })).toBeVisible();
  await page.goBack();
  await expect(page.getByRole('heading', { name: 'How did she come to you?' })).toBeVisible();
  await expect(page.getByRole('radio', { name: 'Caught walking' })).toHaveAttribute('aria-checked', 'true');
  await page.getByRole('button', { name: 'Back', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Who stands here?' })).toBeVisible();
  // what was begun is come back to, and can be thrown away
  await page.getByRole('button', { name: 'Take in a queen' }).click();
  await expect(page.getByText(/You started this earlier/)).toBeVisible();
  await page.getByRole('button', { name: 'Discard draft' }).click();
  await expect(page.getByRole('radio', { name: 'Caught walking' })).toHaveAttribute('aria-checked', 'false');
});

test(
  'old addresses go on, deep ones open, and those of nobody lead to the shelf',
  { tag: '@wide' },
  async ({ page, demo }) => {
    for (const [old, question] of [
      ['/workbench', 'What do you want to get ready?'],
      ['/visits', 'What needs me today?'],
      ['/stock', 'What is ready?'],
      ['/cohort', 'What do my queens show so far?'],
    ] as const) {
      await page.goto(demo.url + old);
      await expect(page.getByRole('heading', { name: question })).toBeVisible();
    }
    await page.goto(`${demo.url}/queens/${await demo.queenId('C1')}/ahead`);
    await expect(page.getByRole('heading', { name: 'What comes next for C1?' })).toBeVisible();
    for (const nobody of [
      '01a0e96c-8b40-7efe-a766-c5484cc9c466',
      '01a0e96c-8b40-7efe-a766-c5484cc9c466/look',
      'x',
    ]) {
      await page.goto(`${demo.url}/queens/${nobody}`);
      await expect(page.getByRole('heading', { name: 'There is no such queen' })).toBeVisible();
    }
    await page.getByRole('button', { name: 'To the shelf' }).click();
    await expect(page.getByRole('heading', { name: 'Who stands here?' })).toBeVisible();
  },
);

test('in the round: a feed with the look, counts that go along to “more”, and no second look', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/round`);
  await page.getByRole('button', { name: 'Begin' }).click();
  const heading = page.getByRole('heading', { level: 1, name: /, \d+ of \d+$/ });
  const title = (await heading.textContent()) ?? '';
  const first = await demo.queenId(title.split(',')[0] as string);
  await page
    .getByRole('radiogroup', { name: 'Fed now' })
    .getByRole('radio', { name: 'Sugar', exact: true })
    .click();
  await page.getByRole('button', { name: 'No change' }).click();
  await expect(heading).not.toHaveText(title);
  await expect
    .poll(async () =>
      (await logOf(demo, first))
        .slice(-2)
        .map((e) => e.kind)
        .sort(),
    )
    .toEqual(['feed', 'look']);
  const second = (await heading.textContent()) ?? '';
  await countBrood(page, { eggs: 3 });
  await page.getByRole('button', { name: 'More, or stop here' }).click();
  await page.getByRole('button', { name: 'Plug, mould, note' }).click();
  await expect(page.getByRole('tab', { name: 'eggs, 3' })).toBeVisible();
  await page.getByRole('textbox', { name: 'Note' }).fill('cotton a little loose');
  await keepLook(page);
  // back in the round, at the next tube
  await expect(heading).toBeVisible();
  await expect(heading).not.toHaveText(second);
});

test('the first start: three lines, a drawing, and a made-up shelf of which nothing stays', async ({
  page,
  burrow,
}) => {
  await page.goto(burrow.url);
  await expect(page.getByRole('main').getByRole('listitem')).toHaveCount(3);
  await page.getByRole('button', { name: 'Try a made-up shelf' }).click();
  await expect(page.getByText(/A made-up shelf to try things on/)).toBeVisible();
  await page
    .getByRole('link', { name: /\. now\./ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Note' }).click();
  await page.getByRole('textbox', { name: 'Note' }).fill('a try');
  await page.getByRole('button', { name: 'Keep this note' }).click();
  await toView(page, 'Log');
  await expect(page.getByText('a try')).toBeVisible();
  expect(await seriousFaults(page)).toEqual([]);
  await page.getByRole('button', { name: 'To my own' }).click();
  await expect(page.getByText('Nothing yet.').first()).toBeVisible();
  expect((await burrow.api<{ queens: unknown[] }>('/queens')).queens).toEqual([]);
});

test(
  'a trade word explains itself where it stands; all words are on one page',
  { tag: '@wide' },
  async ({ page, demo }) => {
    await page.goto(`${demo.url}/queens/${await demo.queenId('C1')}/why`);
    await page.getByRole('button', { name: 'settle: what is that?' }).first().click();
    const sheet = page.getByRole('dialog', { name: 'settle' });
    await expect(sheet.getByText(/To come to rest after a move/)).toBeVisible();
    await sheet.getByRole('button', { name: 'All words' }).click();
    await expect(page.getByRole('heading', { name: 'What does this word mean?' })).toBeVisible();
    await page.getByRole('textbox', { name: 'Search' }).fill('semi');
    await expect(page.getByText(/must eat while she raises/)).toBeVisible();
  },
);

test(
  'inches and °F everywhere: in the stock, on the bench, in an error, on the drawing',
  { tag: '@phone' },
  async ({ page, demo }) => {
    await page.addInitScript(() =>
      localStorage.setItem('burrow.preferences', JSON.stringify({ length: 'in', temperature: 'F' })),
    );
    await page.goto(`${demo.url}/stock`);
    await page.getByRole('button', { name: 'Count something new' }).click();
    await expect(page.getByRole('textbox', { name: 'Outside, in' })).toBeVisible();
    await page.goto(`${demo.url}/bench/tube`);
    await expect(page.getByText('Tube, outside × length in inches')).toBeVisible();
    await page.getByRole('textbox', { name: 'Water line, in' }).fill('8');
    await expect(
      page.getByText(/lies beyond the tube \(5\.91 in\)|leave no chamber in a tube of 5\.91 in/).first(),
    ).toBeVisible();
    await page.goto(`${demo.url}/labels`);
    await expect(page.getByRole('radio', { name: / in\b/ }).first()).toBeVisible();
    await page.goto(`${demo.url}/queens/${await demo.queenId('C1')}`);
    await expect(page.getByText('½ in')).toBeVisible();
    await expect(page.getByText(/\d mm\b/)).toHaveCount(0);
  },
);

test(
  'no page is longer than two and a half phone screens before folding',
  { tag: '@phone' },
  async ({ page, demo }) => {
    const id = await demo.queenId('T2');
    const place = await placePath(demo, 'Warm cupboard');
    const asking = new Set<Request>();
    page.on('request', (r) => asking.add(r));
    page.on('requestfinished', (r) => asking.delete(r));
    page.on('requestfailed', (r) => asking.delete(r));
    for (const path of [...PAGES, place, ...VIEWS.map((v) => `/queens/${id}${v}`)]) {
      await visit(page, demo, path);
      await expect(page.getByRole('heading', { name: 'One moment' })).toBeHidden();
      await expect(page.getByRole('status', { name: /^Loading/ })).toBeHidden();
      // what is asked for last makes a page longer too
      await expect.poll(() => asking.size).toBe(0);
      const region = page.getByRole('main').getByRole('region');
      expect(await region.evaluate((e) => e.scrollHeight), path).toBeLessThanOrEqual(2.5 * 844);
    }
  },
);
