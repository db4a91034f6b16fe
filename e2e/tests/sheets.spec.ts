import { expect, seriousFaults, test, type Burrow } from '../burrow';
import { START } from '../clock';
import type { Page } from '@playwright/test';

const table = (name: string, text: string) => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
/** So many days ago, as a spreadsheet of a European keeper writes it. */
const day = (ago: number): string =>
  new Date(Date.parse(START) - ago * 86_400_000).toISOString().slice(0, 10).split('-').reverse().join('.');
const CAPTURES = [
  'Queen;Species;Date;Found;Site',
  `K1;Messor structor;${day(40)};walking;Millrace Meadow`,
  `K2;Camponotus vagus;${day(39)};;`,
].join('\n');
const LOG = [
  'Date;Queen;Eggs;Larvae;Fed;Notes',
  `${day(30)};K1;5;;;first eggs`,
  `${day(20)};K1;8-10;2;;`,
  `${day(15)};K2;;;honey;`,
  `${day(14)};K3;4;;;`,
  '31.02.2026;K1;4;;;',
].join('\r\n');

async function readIn(page: Page, kind: RegExp, file: ReturnType<typeof table>): Promise<void> {
  await page.getByRole('radio', { name: kind }).click();
  await page.getByLabel('A table').setInputFiles(file);
  await expect(page.getByText(/is this what stands in it/)).toBeVisible();
}

async function entriesOf(burrow: Burrow, label: string) {
  const id = await burrow.queenId(label);
  return (
    await burrow.api<{ entries: { kind: string; eggs?: object; text?: string }[] }>(`/queens/${id}/entries`)
  ).entries;
}

test('queens and a log that were kept in a spreadsheet are read in, and a second time nothing is', async ({
  page,
  burrow,
}) => {
  await page.goto(`${burrow.url}/records`);
  await page.getByRole('link', { name: /^Spreadsheets/ }).click();
  await readIn(page, /^Captures/, table('captures.csv', CAPTURES));
  // where they are kept is asked, and told before anything is written
  await expect(page.getByText(/^Row 2: It names no place/)).toBeVisible();
  await page.getByRole('radio', { name: /^In a room/ }).click();
  await expect(page.getByText('2 queens in Room (a new place, warmth not measured).')).toBeVisible();
  await expect(page.getByText('2 rows can be read.')).toBeVisible();
  await page.getByRole('button', { name: 'See what is new' }).click();
  await expect(page.getByRole('row', { name: /^Queens 2 0 0/ })).toBeVisible();
  await page.getByRole('button', { name: 'Write it down here' }).click();
  await expect(page.getByText(/^Written down: 2 queens/)).toBeVisible();
  await page.getByRole('button', { name: 'Read another one in' }).click();

  await readIn(page, /^A log/, table('looks.csv', LOG));
  await expect(page.getByText(/Dates are read as day, month, year/)).toBeVisible();
  await expect(page.getByText('3 rows can be read.')).toBeVisible();
  await expect(page.getByText(/^Row 5: There is no queen “K3” here/)).toBeVisible();
  await expect(page.getByText(/^Row 6: .*not in the calendar/)).toBeVisible();
  expect(await seriousFaults(page)).toEqual([]);
  await page.getByRole('button', { name: 'See what is new' }).click();
  await page.getByRole('button', { name: 'Write it down here' }).click();
  await expect(page.getByText(/^Written down: 3 entries/)).toBeVisible();
  expect(await entriesOf(burrow, 'K1')).toMatchObject([
    { kind: 'intake', where: 'Millrace Meadow' },
    { kind: 'look', eggs: { low: 5, high: 5 }, text: 'first eggs' },
    { kind: 'look', eggs: { low: 8, high: 10 }, larvae: { low: 2, high: 2 } },
  ]);
  expect((await entriesOf(burrow, 'K2')).map((e) => e.kind)).toEqual(['intake', 'feed']);

  await page.getByRole('button', { name: 'Read another one in' }).click();
  await readIn(page, /^A log/, table('looks.csv', LOG));
  await expect(page.getByText('No row tells something new. 3 rows are here already.')).toBeVisible();
  await page.getByRole('button', { name: 'Leave it' }).click();

  // what goes out as a table comes in again as what is here
  const out = await (await fetch(`${burrow.url}/api/log.csv`)).text();
  await readIn(page, /^A log/, table('log.csv', out));
  await expect(page.getByText('No row tells something new. 5 rows are here already.')).toBeVisible();
  await page.getByRole('link', { name: 'Shelf' }).click();
  await expect(page.getByRole('link', { name: /K1/ }).first()).toBeVisible();
});

test('a table that cannot be read says why, and columns are put right by hand @phone', async ({
  page,
  burrow,
}) => {
  await page.goto(`${burrow.url}/sheets`);
  const file = page.getByLabel('A table');
  await file.setInputFiles(table('open.csv', 'Date,Queen\n2026-05-01,"K1\n2026-05-02,K2\n'));
  await expect(page.getByText(/quotation mark is opened/)).toBeVisible();
  await file.setInputFiles({
    name: 'book.xls',
    mimeType: 'application/octet-stream',
    buffer: Buffer.from([0xd0, 0, 0, 1]),
  });
  await expect(page.getByText(/no table of text/)).toBeVisible();
  await page.getByRole('radio', { name: /^Stock/ }).click();
  await file.setInputFiles(table('things.csv', 'Ding;Stück\nCotton;7\nWool;x\n'));
  await expect(page.getByText(/None of its columns is known here/)).toBeVisible();
  await page.getByRole('radiogroup', { name: 'Name' }).getByRole('radio', { name: '1: Ding' }).click();
  await page.getByRole('radiogroup', { name: 'Count' }).getByRole('radio', { name: '2: Stück' }).click();
  await expect(page.getByText('One row can be read.')).toBeVisible();
  await expect(page.getByText(/^Row 3: “x” is not a number of pieces/)).toBeVisible();
  await page.getByRole('button', { name: 'See what is new' }).click();
  await page.getByRole('button', { name: 'Write it down here' }).click();
  await expect(page.getByText(/^Written down: 1 things in stock/)).toBeVisible();
  const { levels } = await burrow.api<{ levels: { item: { name: string }; count: number }[] }>('/stock');
  expect(levels.map((l) => [l.item.name, l.count])).toEqual([['Cotton', 7]]);
});
