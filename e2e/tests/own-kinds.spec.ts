import { readFileSync } from 'node:fs';
import { expect, nextTo, pickKind, seriousFaults, test, testOffline, toView } from '../burrow';

interface Kinds {
  kinds: {
    id: string;
    name: string;
    retired?: true;
    figures: Record<string, { value: unknown; says: string }>;
  }[];
}
interface Detail {
  view: { profileId: string };
}

test('what my queens say becomes a profile of mine in two taps; it is used, changed, taken along and read in', async ({
  page,
  demo,
}) => {
  const kinds = async () => (await demo.api<Kinds>('/own-kinds')).kinds;
  await page.goto(`${demo.url}/records`);
  await page.getByRole('link', { name: /^Kinds/ }).click();
  await expect(page.getByRole('heading', { name: 'What is known of a kind?' })).toBeVisible();
  await page.getByLabel('Search by Latin, former or everyday name').fill('tet imm');
  await page.getByRole('link', { name: /^Tetramorium immigrans/ }).click();
  await expect(page.getByRole('heading', { name: 'What is known of Tetramorium immigrans?' })).toBeVisible();
  await expect(page.getByRole('table', { name: /^What your queens say/ })).toBeVisible();
  expect(await seriousFaults(page)).toEqual([]);

  await page.getByRole('button', { name: 'Make a profile of what they say' }).click();
  await page.getByRole('button', { name: 'Keep this profile' }).click();
  const mine = 'Tetramorium immigrans, mine';
  await expect(page.getByRole('heading', { name: `What is known of ${mine}?` })).toBeVisible();
  await expect(page.getByText(/^Egg: .* says my own queens \(n=\d+\)/)).toBeVisible();
  await expect.poll(async () => (await kinds()).map((k) => k.name)).toEqual([mine]);
  expect(await seriousFaults(page)).toEqual([]);

  // another figure, with everything that can be wrong with it
  await page.getByRole('button', { name: 'Change it' }).click();
  await page.getByRole('button', { name: "Change Worker's length" }).click();
  await page.getByRole('textbox', { name: "Worker's length from, mm" }).fill('5');
  await page.getByRole('textbox', { name: "Worker's length to, mm" }).fill('3');
  await page.getByRole('button', { name: 'Keep the change' }).click();
  await expect(page.getByText('The lower figure is above the higher one. Change them round.')).toBeVisible();
  expect(await seriousFaults(page)).toEqual([]);
  await page.getByRole('textbox', { name: "Worker's length from, mm" }).fill('2.4');
  await page.getByRole('textbox', { name: "Who says so: Worker's length" }).fill('a ruler');
  await page.getByRole('button', { name: 'Keep the change' }).click();
  await expect(page.getByText("Worker's length: 2.4 mm to 3 mm, says a ruler")).toBeVisible();

  // a queen is named by it
  const id = await demo.queenId('T1');
  await page.goto(`${demo.url}/queens/${id}/why`);
  await page.getByRole('button', { name: 'What kind of founder is she?' }).click();
  await page.getByRole('button', { name: /Change species/ }).click();
  await pickKind(page, mine);
  await page.getByRole('button', { name: 'Keep this name' }).click();
  await expect(page.getByText(mine).first()).toBeVisible();
  const profileId = (await kinds())[0]?.id;
  await expect.poll(async () => (await demo.api<Detail>(`/queens/${id}`)).view.profileId).toBe(profileId);
  await page.getByRole('button', { name: /Says who/ }).click();
  await expect(page.getByText('your own figure: a ruler')).toBeVisible();

  // taken along; a changed copy of the file comes in beside it, and what is wrong in it is told
  await page.goto(`${demo.url}/kinds`);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Take them with you' }).click(),
  ]);
  const doc = JSON.parse(readFileSync(await download.path(), 'utf8')) as {
    kinds: { name: string; figures: Record<string, Record<string, unknown>> }[];
  };
  const [own] = doc.kinds;
  expect(own?.figures.workerLengthMm).toEqual({
    value: { low: 2.4, high: 3 },
    unit: 'mm',
    source: 'a ruler',
  });
  const broken = JSON.parse(JSON.stringify(own)) as NonNullable<typeof own>;
  broken.name = 'Broken';
  delete broken.figures.workerLengthMm?.unit;
  (own as NonNullable<typeof own>).figures.workerLengthMm = {
    ...own?.figures.workerLengthMm,
    value: { low: 2, high: 4 },
  };
  await page.getByLabel('A file of profiles').setInputFiles({
    name: 'profiles.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify({ ...doc, kinds: [own, broken] })),
  });
  await expect(page.getByText('“Broken”: workerLengthMm has no unit, or another one.')).toBeVisible();
  await page.getByRole('button', { name: 'Keep this profile' }).click();
  await expect.poll(async () => (await kinds()).length).toBe(2);
  expect((await kinds()).find((k) => k.id === profileId)?.figures.workerLengthMm?.value).toEqual({
    low: 2.4,
    high: 3,
  });
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(async () => (await kinds()).filter((k) => !k.retired).length).toBe(1);
  expect(await seriousFaults(page)).toEqual([]);
});

test(
  'by keyboard: what is seen of her narrows the list, at intake too',
  { tag: '@wide' },
  async ({ page, burrow }) => {
    await page.goto(`${burrow.url}/queens/new`);
    await page.getByRole('radio', { name: 'Caught walking' }).click();
    await nextTo(page, 'Is she healthy?');
    await nextTo(page, 'What is she?');
    await page.getByRole('button', { name: /Not sure/ }).focus();
    await page.keyboard.press('Enter');
    await page.keyboard.press('Tab');
    await page.keyboard.type('9');
    await expect(page.getByRole('textbox', { name: /^Her length/ })).toHaveValue('9');
    await page.keyboard.press('Tab');
    await page.keyboard.press('ArrowRight');
    await expect(page.getByRole('radio', { name: /^Two nodes/ })).toBeChecked();
    await page.getByRole('radio', { name: 'Europe' }).first().click();
    await page.getByRole('radio', { name: 'Of two colours' }).click();
    // the day of the capture gave the month; hers flies later, so the keeper takes it back
    await page
      .getByRole('radiogroup', { name: 'Month of her flight' })
      .getByRole('radio', { checked: true })
      .click();
    await expect(page.getByText(/^\d of \d+ species are left\.$/)).toBeVisible();
    expect(await seriousFaults(page)).toEqual([]);
    await page.getByRole('radio', { name: /^Crematogaster scutellaris/ }).click();
    await expect(page.getByText(/escapes through very small gaps/)).toBeVisible();
  },
);

testOffline(
  'a profile made without a connection is used at once and sent later',
  { tag: '@phone' },
  async ({ page, demo }) => {
    const id = await demo.queenId('M1');
    await page.goto(`${demo.url}/queens/${id}`);
    await expect(page.getByRole('heading', { name: 'How is M1 doing?' })).toBeVisible();
    await page.evaluate(() => navigator.serviceWorker.ready);
    await page.goto(`${demo.url}/kinds/manica-rubida`);
    await expect(page.getByRole('heading', { name: 'What is known of Manica rubida?' })).toBeVisible();
    await demo.stop();
    await page.getByRole('button', { name: 'Copy and change' }).click();
    await page.getByRole('button', { name: 'Change Egg' }).click();
    await page.getByRole('textbox', { name: 'Egg, days at 25 °C' }).fill('21');
    await page.getByRole('textbox', { name: 'Who says so: Egg' }).fill('my own queens');
    await page.getByRole('button', { name: 'Keep this profile' }).click();
    await expect(page.getByText('Egg: 21 days at 25 °C, says my own queens')).toBeVisible();
    await page.goto(`${demo.url}/queens/${id}/why`);
    await page.getByRole('button', { name: 'What kind of founder is she?' }).click();
    await page.getByRole('button', { name: /Change species/ }).click();
    await pickKind(page, 'Manica rubida, mine');
    await page.getByRole('button', { name: 'Keep this name' }).click();
    await toView(page, 'Now');
    await expect(page.getByText('Worked out on this device')).toBeVisible();
    await toView(page, 'Why');
    await page.getByRole('button', { name: /Says who/ }).click();
    await expect(page.getByText('your own figure: my own queens')).toBeVisible();
    await demo.start();
    await expect(page.getByText(/kept here/)).toBeHidden({ timeout: 30_000 });
    const names = async () => (await demo.api<Kinds>('/own-kinds')).kinds.map((k) => k.name);
    await expect.poll(names).toEqual(['Manica rubida, mine']);
    const mine = (await demo.api<Kinds>('/own-kinds')).kinds[0]?.id;
    await expect.poll(async () => (await demo.api<Detail>(`/queens/${id}`)).view.profileId).toBe(mine);
  },
);
