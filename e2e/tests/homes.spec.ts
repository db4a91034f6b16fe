import type { Page } from '@playwright/test';
import { expect, logLook, nextTo, pickKind, seriousFaults, test, toView, testOffline } from '../burrow';

interface Detail {
  home: { id: string; kind: string };
  view: {
    part: { id: string; kind: string };
    housing: {
      move: { stage: string } | null;
      parts: { part: { id: string; kind: string }; gates: Record<string, { value: string }> }[];
      links: unknown[];
    };
    counsel: { watering: { partId: string; lastAt: string; from: number }[] };
    ledger: { looksSpent: number; livesIn: string };
  };
}

const openHome = (page: Page) => page.getByRole('button', { name: 'Her home', exact: true }).click();
const choose = (page: Page, name: string | RegExp) =>
  page.getByRole('radio', { name, exact: typeof name === 'string' }).click();
const keep = (page: Page) => page.getByRole('button', { name: 'Keep this', exact: true }).click();
const writeOf = (page: Page, part: RegExp) => page.getByRole('button', { name: part }).click();

test('no tube at hand: she is taken in in a cell, which is watered, looked into, and told when it is dry', async ({
  page,
  burrow,
}) => {
  await page.goto(burrow.url);
  await page.getByRole('button', { name: 'Take in a queen' }).first().click();
  await choose(page, 'Caught walking');
  await nextTo(page, 'Is she healthy?');
  await nextTo(page, 'What is she?');
  await pickKind(page, 'Tetramorium immigrans');
  await nextTo(page, 'Which tube, and how full?');
  await choose(page, 'Founding cell');
  await expect(page.getByText(/A tube is kinder where you have one/)).toBeVisible();
  await page.getByRole('button', { name: 'Side by side: how long water lasts' }).click();
  await expect(page.getByRole('table', { name: 'First homes side by side' })).toBeVisible();
  await expect(page.getByRole('img', { name: /^Founding cell 40 by 30 mm; wet stone/ })).toBeVisible();
  expect(await seriousFaults(page)).toEqual([]);
  // a width that is none is told, and nothing of it is lost
  await page.getByRole('textbox', { name: /^Width inside/ }).fill('2');
  await page.getByRole('button', { name: 'Next' }).click();
  await expect(page.getByText(/The width inside is below 5 mm/).first()).toBeVisible();
  await page.getByRole('textbox', { name: /^Width inside/ }).fill('45');
  await nextTo(page, 'Where does she stand?');
  await page.getByRole('textbox', { name: 'Name of the place' }).fill('Drawer');
  await page.getByRole('textbox', { name: 'Temperature, °C' }).fill('24');
  await page.getByRole('button', { name: 'Take her in' }).click();
  await expect(page.getByRole('heading', { name: 'How is A doing?' })).toBeVisible();
  const id = page.url().split('/').pop() as string;
  const detail = () => burrow.api<Detail>(`/queens/${id}`);
  await expect.poll(async () => (await detail()).home?.kind).toBe('cell');

  // a tap on the part opens what is written of it: mostly water
  await writeOf(page, /^Write of this part: Her founding cell/);
  await expect(page.getByRole('radio', { name: 'Watered', exact: true })).toBeChecked();
  await choose(page, 'Still wet');
  await keep(page);
  await expect(page.getByText('A: watered.')).toBeVisible();
  await expect.poll(async () => (await detail()).view.counsel.watering.length).toBe(1);
  await logLook(page, 0, { eggs: 3 });
  await expect.poll(async () => (await detail()).view.ledger.looksSpent).toBe(1);
  await expect(
    page.getByRole('img', { name: /^Founding cell 45 by 30 mm; wet stone; eggs 3/ }),
  ).toBeVisible();
  await toView(page, 'Log');
  await expect(page.getByText('her founding cell watered, it was still wet')).toBeVisible();
  await toView(page, 'Why');
  await expect(page.getByText('Is her founding cell moist?')).toBeVisible();
});

testOffline(
  'a nest is made ready shut, opened without a connection, and moved into; its rooms are shut',
  async ({ page, demo }) => {
    const id = await demo.queenId('A2');
    const detail = () => demo.api<Detail>(`/queens/${id}`);
    await page.goto(`${demo.url}/queens/${id}`);
    await page.evaluate(() => navigator.serviceWorker.ready);
    await openHome(page);
    await choose(page, 'Something set up');
    await choose(page, 'Nest');
    await choose(page, 'By a pipe');
    await page.getByRole('checkbox', { name: 'The way into it is still shut' }).click();
    await keep(page);
    await expect(page.getByText('A nest stands with A2.')).toBeVisible();
    await expect.poll(async () => (await detail()).view.housing.move?.stage).toBe('offered');
    await expect(page.getByText(/The nest: by a pipe to her old tube.*port 1 shut/)).toBeVisible();
    expect(await seriousFaults(page)).toEqual([]);

    // nobody walks into what is shut
    await writeOf(page, /^Write of this part: The nest/);
    await choose(page, 'Who is in which part');
    await choose(page, 'Yes');
    await expect(page.getByText(/This nest is shut: nobody walks into it/)).toBeVisible();
    await expect(page.getByRole('button', { name: 'Keep this', exact: true })).toBeDisabled();
    await choose(page, 'A door opened or shut');
    await choose(page, /^Port 1/);
    await choose(page, 'Open');
    await demo.stop();
    await keep(page);
    await expect(page.getByText(/kept here and will be sent later/)).toBeVisible();
    await expect(page.getByText(/The nest: by a pipe to her old tube.*port 1 shut/)).toHaveCount(0);
    await demo.start();
    await expect(page.getByText(/kept here/)).toBeHidden({ timeout: 20_000 });
    const nest = async () => (await detail()).view.housing.parts.find((p) => p.part.kind === 'nest');
    await expect.poll(async () => (await nest())?.gates['port-1']?.value).toBe('open');

    await writeOf(page, /^Write of this part: The nest/);
    await choose(page, 'Who is in which part');
    await choose(page, 'Yes');
    await choose(page, 'All workers');
    await keep(page);
    await expect.poll(async () => (await detail()).view.part.kind).toBe('nest');
    await expect.poll(async () => (await detail()).view.housing.move?.stage).toBe('finished');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect.poll(async () => (await detail()).view.part.kind).toBe('tube');
  },
);

test('her home in one picture: a tap on a part writes of it; the same picture on the shelf', async ({
  page,
  demo,
}) => {
  const id = await demo.queenId('S2');
  await page.goto(`${demo.url}/queens/${id}`);
  const space = page.getByRole('img', { name: /^Foraging space 200 by 150 mm/ });
  await expect(space).toBeVisible();
  await space.click();
  await expect(page.getByRole('heading', { name: 'What of S2?' })).toBeVisible();
  await expect(page.getByRole('radio', { name: 'The foraging space' })).toBeChecked();
  await page.keyboard.press('Escape');
  await page.goto(`${demo.url}/shelf`);
  await expect(
    page.getByRole('img', { name: /^Foraging space 200 by 150 mm/, includeHidden: true }).first(),
  ).toBeVisible();
});

test('by keyboard: a wall is set into her tube', { tag: '@wide' }, async ({ page, demo }) => {
  const id = await demo.queenId('C1');
  await page.goto(`${demo.url}/queens/${id}`);
  await page.getByRole('button', { name: 'Her home', exact: true }).focus();
  await page.keyboard.press('Enter');
  const what = page.getByRole('radiogroup', { name: 'What was done or seen' });
  await what.getByRole('radio').first().focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Space');
  await expect(what.getByRole('radio', { name: 'Divided by a wall' })).toBeChecked();
  const wall = page.getByRole('radiogroup', { name: 'The wall' });
  await wall.getByRole('radio', { name: 'Set in' }).focus();
  await page.keyboard.press('Space');
  await page.getByRole('button', { name: 'Keep this', exact: true }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('C1: home kept.')).toBeVisible();
  await expect(page.getByRole('img', { name: /divided at 110 mm/ }).first()).toBeVisible();
});

test('a box around her open tube is one choice; a feed in a room that is not in her log asks for it', async ({
  page,
  demo,
}, info) => {
  const id = await demo.queenId('V1');
  const detail = () => demo.api<Detail>(`/queens/${id}`);
  await page.goto(`${demo.url}/queens/${id}`);
  await page.getByRole('button', { name: 'Feed', exact: true }).click();
  await choose(page, 'Sugar');
  await choose(page, 'In the foraging space');
  await page.getByRole('button', { name: 'Keep this feed' }).click();
  const asks = page.getByText(/You fed them in a foraging space, and none is in the log/);
  await expect(asks.first()).toBeVisible();
  await openHome(page);
  await choose(page, /^Box in which her open tube lies/);
  await choose(page, /^Narrowed/);
  expect(await seriousFaults(page), info.project.name).toEqual([]);
  await keep(page);
  await expect
    .poll(async () => (await detail()).view.housing.links)
    .toMatchObject([
      { a: { partId: (await detail()).home.id, port: 'mouth' }, b: { port: 'floor' }, by: 'lies-in' },
    ]);
  await expect(asks).toHaveCount(0);
});

test('winter is planned in a place that is made with the plan', async ({ page, demo }) => {
  const id = await demo.queenId('C2');
  await page.goto(`${demo.url}/queens/${id}`);
  await page.getByRole('button', { name: 'Her winter', exact: true }).click();
  await page
    .getByRole('radiogroup', { name: /^Where she winters/ })
    .getByRole('radio', { name: 'A new place' })
    .click();
  await page.getByRole('textbox', { name: 'Name of the new place' }).fill('Cellar stairs');
  await page.getByRole('button', { name: 'Take the usual dates' }).click();
  const save = page.getByRole('button', { name: 'Keep this plan' });
  // its warmth is missing
  await expect(save).toBeDisabled();
  await page.getByRole('textbox', { name: 'Its temperature, °C' }).fill('6');
  await save.click();
  const places = async () =>
    (await demo.api<{ places: { name: string; tempC: number }[] }>('/places')).places.find(
      (p) => p.name === 'Cellar stairs',
    )?.tempC;
  await expect.poll(places).toBe(6);
  await toView(page, 'Log');
  await expect(page.getByText(/Cellar stairs/).first()).toBeVisible();
});
