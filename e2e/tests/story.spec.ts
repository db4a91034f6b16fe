import { readFileSync } from 'node:fs';
import { expect, seriousFaults, test, toView } from '../burrow';

test('her story goes along as a small file without private things, and is taken in as swapped', async ({
  page,
  demo,
}, info) => {
  const id = await demo.queenId('C2');
  await page.goto(`${demo.url}/queens/${id}/log`);
  await page.getByRole('button', { name: 'Give her story along' }).click();
  expect(await seriousFaults(page), info.project.name).toEqual([]);
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the file' }).click();
  const text = readFileSync(await (await saved).path(), 'utf8');
  expect(text).not.toMatch(/Salter|Cork wood|Warm cupboard/);
  expect(text.trim().split('\n').length).toBeGreaterThan(4);

  // here and at another keeper's the way is the same: the file is read where queens are taken in
  await page.goto(`${demo.url}/queens/new`);
  await expect(page.getByRole('heading', { name: 'How did she come to you?' })).toBeVisible();
  // a file that is no story is refused with the way out
  await page.getByLabel('File of her story').setInputFiles({
    name: 'notes.jsonl',
    mimeType: 'application/jsonl',
    buffer: Buffer.from('hello'),
  });
  await expect(page.getByText(/“notes.jsonl” was not taken: Line 1 is not JSON/)).toBeVisible();
  await page.getByLabel('File of her story').setInputFiles({
    name: 'C2-story.jsonl',
    mimeType: 'application/jsonl',
    buffer: Buffer.from(text),
  });
  const sheet = page.getByRole('dialog', { name: 'Take her in with her story' });
  await expect(sheet.getByText('Crematogaster scutellaris')).toBeVisible();
  await sheet.getByRole('textbox', { name: 'Letter or name on the tube' }).fill('Z9');
  await sheet.getByRole('radio', { name: /^Pantry shelf/ }).click();
  expect(await seriousFaults(page), info.project.name).toEqual([]);
  await sheet.getByRole('button', { name: 'Take her in' }).click();
  await expect(page.getByRole('heading', { name: 'How is Z9 doing?' })).toBeVisible();
  await toView(page, 'Log');
  await expect(page.getByText(/swapped/).first()).toBeVisible();
  const her = async () =>
    (await demo.api<{ rows: { queen: { label: string }; placeName: string }[] }>('/shelf')).rows.find(
      (r) => r.queen.label === 'Z9',
    )?.placeName;
  await expect.poll(her).toBe('Pantry shelf');
});
