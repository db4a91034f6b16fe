import { type Burrow, expect, seriousFaults, test } from '../burrow';

interface Row {
  queen: { id: string; label: string; batch: string };
  placeName: string;
}
const rowsOf = async (burrow: Burrow) => (await burrow.api<{ rows: Row[] }>('/shelf')).rows;
const inBatch = async (burrow: Burrow, batch: string) =>
  (await rowsOf(burrow))
    .filter((r) => r.queen.batch === batch)
    .map((r) => r.queen.label)
    .sort();

test('sisters in a row are carried to another place by six taps, and back by one', async ({
  page,
  demo,
}, info) => {
  await page.goto(`${demo.url}/shelf`);
  await page.getByRole('radio', { name: 'By name' }).click();
  let taps = 0;
  const tap = async (role: 'button' | 'checkbox' | 'radio', name: string | RegExp) => {
    await page.getByRole(role, { name }).first().click();
    taps++;
  };
  await tap('button', 'Select');
  await tap('checkbox', /^T1,/);
  // a held finger, or Shift with a click: all up to this one
  await page.getByRole('checkbox', { name: /^T5,/ }).click({ modifiers: ['Shift'] });
  taps++;
  await expect(page.getByText('5 queens selected')).toBeVisible();
  expect(await seriousFaults(page), info.project.name).toEqual([]);
  await tap('button', 'Move');
  await expect(page.getByRole('dialog', { name: /^Move: T1, T2, T3 and 2 more/ })).toBeVisible();
  await tap('radio', /^Pantry shelf/);
  expect(await seriousFaults(page), info.project.name).toEqual([]);
  await tap('button', 'Save for 5 queens');
  expect(taps).toBeLessThanOrEqual(6);
  const there = async () =>
    (await rowsOf(demo)).filter((r) => /^T[1-5]$/.test(r.queen.label) && r.placeName === 'Pantry shelf')
      .length;
  await expect.poll(there).toBe(5);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(there).toBe(0);
});

test('a held finger ticks all up to the one it holds', { tag: '@phone' }, async ({ page, demo }) => {
  await page.goto(`${demo.url}/shelf`);
  await page.getByRole('radio', { name: 'By name' }).click();
  await page.getByRole('button', { name: 'Select' }).click();
  await page.getByRole('checkbox', { name: /^T1,/ }).click();
  const last = page.getByRole('checkbox', { name: /^T4,/ });
  await last.scrollIntoViewIfNeeded();
  const box = (await last.boundingBox())!;
  await page.mouse.move(box.x + 40, box.y + 10);
  await page.mouse.down();
  await expect(page.getByText('4 queens selected')).toBeVisible();
  await page.mouse.up();
  // letting go takes none of the ticks away
  await expect(page.getByText('4 queens selected')).toBeVisible();
});

test('the wrong batch of a whole group is corrected by five taps and one word', async ({ page, demo }) => {
  await page.goto(`${demo.url}/shelf`);
  const wrong = await inBatch(demo, 'Brickfield Lane, warm evening');
  expect(wrong.length).toBeGreaterThan(2);
  let taps = 0;
  const tap = async (role: 'button' | 'checkbox' | 'radio', name: string | RegExp) => {
    await page.getByRole(role, { name }).first().click();
    taps++;
  };
  await tap('button', 'Select');
  await tap('radio', 'By batch');
  await tap('checkbox', /^Brickfield Lane, warm evening: all/);
  await tap('button', 'Correct');
  await page.getByRole('dialog').getByRole('textbox', { name: 'Batch', exact: true }).fill('Second swarm');
  await tap('button', `Correct ${wrong.length} queens`);
  expect(taps).toBeLessThanOrEqual(5);
  await expect.poll(() => inBatch(demo, 'Second swarm')).toEqual(wrong);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => inBatch(demo, 'Brickfield Lane, warm evening')).toEqual(wrong);
});

test('site and batch of a queen are corrected in one place, each beside what stood there', async ({
  page,
  demo,
}, info) => {
  const id = await demo.queenId('C2');
  await page.goto(`${demo.url}/queens/${id}`);
  await page.getByRole('button', { name: 'Correct', exact: true }).click();
  await page.getByRole('textbox', { name: 'Batch', exact: true }).fill('Quarry path');
  await expect(page.getByText(/^Before: /)).toHaveCount(1);
  await page.getByRole('textbox', { name: 'Where she was found' }).fill('Quarry path, third bend');
  await expect(page.getByText(/^Before: /)).toHaveCount(2);
  expect(await seriousFaults(page), info.project.name).toEqual([]);
  await page.getByRole('button', { name: 'Save correction' }).click();
  const intake = async () =>
    (
      await demo.api<{ entries: { kind: string; replacement?: { where?: string } }[] }>(
        `/queens/${id}/entries`,
      )
    ).entries.at(-1)?.replacement?.where;
  await expect.poll(intake).toBe('Quarry path, third bend');
  await expect.poll(() => inBatch(demo, 'Quarry path')).toEqual(['C2']);
});

test('labels are printed for those selected, in the order of their names', async ({ page, demo }) => {
  await page.goto(`${demo.url}/shelf`);
  await page.getByRole('button', { name: 'Select' }).click();
  for (const name of [/^T5,/, /^C1,/, /^T2,/]) await page.getByRole('checkbox', { name }).click();
  const more = page.getByRole('button', { name: 'More' });
  const print = page.getByRole('button', { name: 'Print labels' });
  await expect(more.or(print).first()).toBeVisible();
  if (await more.isVisible()) await more.click();
  await print.click();
  await expect(page.getByRole('heading', { name: /^3 of \d+ queens$/ })).toBeVisible();
  const ticked = await page.getByRole('checkbox', { checked: true }).allTextContents();
  expect(ticked.map((t) => /[CT]\d/.exec(t)?.[0])).toEqual(['C1', 'T2', 'T5']);
});
