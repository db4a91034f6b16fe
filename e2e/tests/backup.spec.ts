import { execFileSync } from 'node:child_process';
import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, seriousFaults, test } from '../burrow';

let folder: string;
test.beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'burrow-backups-'))));
test.afterEach(() => rmSync(folder, { recursive: true, force: true }));

test('everything goes into one file, and comes back where nothing is', async ({ page, demo, burrow }) => {
  await page.goto(`${demo.url}/records`);
  await page.getByRole('link', { name: /Backup and bringing back/ }).click();
  await expect(page.getByRole('heading', { name: 'What if it were lost?' })).toBeVisible();

  // every day by itself: what cannot be is said, and what was typed stays
  const named = page.getByRole('textbox', { name: 'Folder of the daily backup' });
  await named.fill(join(folder, 'nowhere'));
  await page.getByRole('button', { name: 'Make one every day' }).click();
  await expect(page.getByText(/There is no folder .*nowhere/)).toBeVisible();
  await expect(named).toHaveValue(join(folder, 'nowhere'));
  await named.fill(folder);
  await page.getByRole('button', { name: 'Make one every day' }).click();
  await expect(page.getByText(/^Read back: 17 queens/)).toBeVisible();
  expect(await seriousFaults(page)).toEqual([]);
  const [made = ''] = readdirSync(folder);

  await page.goto(`${burrow.url}/backup`);
  const file = page.getByLabel('A backup or a log');
  await file.setInputFiles(join(folder, made));
  await expect(page.getByText(/things are new/)).toBeVisible();
  await expect(page.getByRole('row', { name: /^Queens 17 0 0/ })).toBeVisible();
  expect(await seriousFaults(page)).toEqual([]);
  // nothing is here before it is taken
  expect((await burrow.api<{ queens: unknown[] }>('/queens')).queens).toEqual([]);
  await page.getByRole('button', { name: 'Bring it back' }).click();
  await expect(page.getByText(/^Brought back: 17 queens/)).toBeVisible();

  const log = async (url: string) => (await fetch(`${url}/api/export.jsonl?places=exact`)).text();
  const [first, second] = [await log(demo.url), await log(burrow.url)];
  const withoutSettings = (text: string) =>
    text.split('\n').filter((l) => !l.startsWith('{"fact":"settings"'));
  expect(withoutSettings(second)).toEqual(withoutSettings(first));
  await page.getByRole('link', { name: 'Shelf' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await page.goto(`${burrow.url}/backup`);

  // the same again changes nothing; what is told otherwise is held against it
  const { places } = await burrow.api<{ places: { id: string; name: string; tempC: number }[] }>('/places');
  const [place] = places;
  await burrow.send('PUT', `/places/${place?.id}`, { ...place, tempC: 31 });
  await file.setInputFiles(join(folder, made));
  await expect(page.getByText(/nothing in it is new/)).toBeVisible();
  await page.getByRole('button', { name: 'What differs' }).click();
  await expect(page.getByText(`Place ${place?.name}: temperature`)).toBeVisible();
  await page.getByRole('radio', { name: /As in the file/ }).click();
  await page.getByRole('button', { name: 'Bring it back' }).click();
  await expect(page.getByText(/^Nothing was new/)).toBeVisible();
  const after = await burrow.api<{ places: { id: string; tempC: number }[] }>('/places');
  expect(after.places.find((p) => p.id === place?.id)?.tempC).toBe(place?.tempC);
});

test('a file that is no backup, and a log with lines that cannot be read, say so @phone', async ({
  page,
  demo,
  burrow,
}) => {
  await page.goto(`${burrow.url}/backup`);
  const file = page.getByLabel('A backup or a log');
  await file.setInputFiles({
    name: 'shelf.zip',
    mimeType: 'application/zip',
    buffer: Buffer.from('PK nothing'),
  });
  await expect(page.getByText(/damaged or was cut off/)).toBeVisible();
  const lines = (await (await fetch(`${demo.url}/api/export.jsonl`)).text()).trim().split('\n');
  lines.splice(3, 0, 'not a line');
  await file.setInputFiles({
    name: 'log.jsonl',
    mimeType: 'application/octet-stream',
    buffer: Buffer.from(lines.join('\n')),
  });
  await expect(page.getByText(/^Line 4: It is not JSON/)).toBeVisible();
  await page.getByRole('button', { name: 'Bring it back' }).click();
  await expect(page.getByText(/^Brought back: 17 queens/)).toBeVisible();
});

test('a backup is brought back into a directory of its own by the command line @wide', async ({ demo }) => {
  const file = join(folder, 'shelf.zip');
  writeFileSync(file, Buffer.from(await (await fetch(`${demo.url}/api/backup.zip`)).arrayBuffer()));
  const program = fileURLToPath(new URL('../../server/dist/restore-main.js', import.meta.url));
  const restore = (...args: string[]) =>
    execFileSync(process.execPath, [program, file, '--into', join(folder, 'data'), ...args], {
      encoding: 'utf8',
    });
  expect(restore('--look')).toMatch(/queens: 17 new, 0 the same, 0 told otherwise/);
  expect(restore()).toMatch(/queens: 17 new[^]*Taken:[^]*queens: 17 new/);
  expect(restore()).toMatch(/Taken:[^]*queens: 0 new, 17 the same, 0 told otherwise/);
});
