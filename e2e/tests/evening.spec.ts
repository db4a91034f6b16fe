import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { chromium, type Page } from '@playwright/test';
import { expect, nextTo, pickKind, test, type Burrow, toView } from '../burrow';

interface Detail {
  queen: { id: string; label: string };
  place: { name: string };
  entries: { kind: string }[];
  view: {
    founder: { course: string };
    counsel: { verdicts: { id: string; answer: string }[] };
    species: { profileId: string; share: number }[];
  };
}
interface Stock {
  levels: { item: { id: string; name: string }; count: number }[];
}

const radio = (page: Page, name: string | RegExp) => page.getByRole('radio', { name }).first().click();
const idNow = (page: Page) => page.url().split('/').pop() as string;

async function finish(page: Page): Promise<string> {
  await nextTo(page, 'Where does she stand?');
  const name = page.getByRole('textbox', { name: 'Name of the place' });
  if (await name.isVisible()) {
    await name.fill('Cupboard');
    await page.getByRole('textbox', { name: 'Temperature, °C' }).fill('24');
  }
  await page.getByRole('button', { name: 'Take her in' }).click();
  await expect(page.getByRole('heading', { name: /How is . doing\?/ })).toBeVisible();
  return idNow(page);
}

const foodOf = (d: Detail) => d.view.counsel.verdicts.find((v) => v.id === 'food')?.answer;
async function detailOf(burrow: Burrow, id: string): Promise<Detail> {
  await expect.poll(async () => (await burrow.api<Detail>(`/queens/${id}`)).queen?.id).toBe(id);
  return burrow.api<Detail>(`/queens/${id}`);
}

test('three queens of a first evening end in three plans', async ({ page, burrow }) => {
  // bought with workers: she is fed
  await page.goto(`${burrow.url}/queens/new`);
  await radio(page, 'Bought with workers');
  await expect(page.getByText(/Buying, importing and posting/)).toBeVisible();
  await page.getByRole('button', { name: '8 workers', exact: true }).click();
  await nextTo(page, 'Is she healthy?');
  await radio(page, 'Nothing found');
  await nextTo(page, 'What is she?');
  await pickKind(page, 'Messor structor');
  await nextTo(page, 'Which tube, and how full?');
  await radio(page, /^Half water/);
  const bought = await finish(page);
  await toView(page, 'Why');
  await page.getByRole('button', { name: 'Does she need food? not yet' }).click();
  await expect(page.getByText(/Let them settle until .*, then a few small dry seeds/)).toBeVisible();

  // caught winged, and nobody knows what she is: offered a little, and watched
  await page.goto(`${burrow.url}/queens/new`);
  await radio(page, 'Caught walking');
  await radio(page, 'Kept');
  await nextTo(page, 'Is she healthy?');
  await radio(page, 'Something found');
  await page.getByRole('checkbox', { name: 'Mites' }).click();
  await expect(page.getByText(/Lift single ones off/)).toBeVisible();
  await nextTo(page, 'What is she?');
  await radio(page, /Unknown, temperate/);
  await radio(page, /^Between/);
  await expect(page.getByText(/wings kept: proves nothing either way/)).toBeVisible();
  await expect(page.getByText(/Would tell most/)).toBeVisible();
  await nextTo(page, 'Which tube, and how full?');
  const unknown = await finish(page);
  await toView(page, 'Why');
  await expect(page.getByRole('button', { name: /Is she healthy\? in quarantine/ })).toBeVisible();

  // semi-claustral for certain: fed all through, with room for a divider
  await page.goto(`${burrow.url}/queens/new`);
  await radio(page, 'Swapped');
  await nextTo(page, 'Is she healthy?');
  await nextTo(page, 'What is she?');
  await pickKind(page, 'Manica rubida');
  await radio(page, 'Certain');
  await expect(page.getByText(/severe allergic reactions/)).toBeVisible();
  await nextTo(page, 'Which tube, and how full?');
  await radio(page, /^Yes. leaves 25 mm/);
  await page.getByRole('textbox', { name: 'Water line, mm' }).fill('70');
  await expect(page.getByText(/cell 25 mm/).first()).toBeVisible();
  const semi = await finish(page);
  await toView(page, 'Why');
  await page.getByRole('button', { name: 'Does she need food? fed' }).click();
  await expect(page.getByText(/Offer food again by/).first()).toBeVisible();

  const plans = await Promise.all([bought, unknown, semi].map((id) => detailOf(burrow, id)));
  expect(plans.map((d) => d.view.founder.course)).toEqual([
    'water-only',
    'offer-and-watch',
    'feed-throughout',
  ]);
  expect(plans.map(foodOf)).toEqual(['not yet', 'not known', 'fed']);
  // the shape that was tapped went with her as an entry of its own
  await expect
    .poll(async () => (await burrow.api<Detail>(`/queens/${unknown}`)).entries.map((e) => e.kind).sort())
    .toEqual(['intake', 'sign']);
});

test('another one like the last: three taps, and a tube less in the stock', async ({ page, demo }) => {
  await page.goto(`${demo.url}/queens/new`);
  await radio(page, 'Caught digging');
  await page.getByRole('textbox', { name: 'Batch' }).fill('Evening by the weir');
  await nextTo(page, 'Is she healthy?');
  await nextTo(page, 'What is she?');
  await pickKind(page, 'Prenolepis imparis');
  await page.getByRole('button', { name: 'She may be another species' }).click();
  await pickKind(page, 'Temnothorax nylanderi', 'She may also be');
  await nextTo(page, 'Which tube, and how full?');
  await radio(page, /16 × 150, filled/);
  const first = await finish(page);
  const ready = async () =>
    (await demo.api<Stock>('/stock')).levels.find((l) => l.item.name === '16 × 150, filled')?.count;
  await expect.poll(ready).toBe(3);

  await page.goto(`${demo.url}/shelf`);
  await page.getByRole('button', { name: 'Take in a queen' }).click();
  await page.getByRole('button', { name: 'Another one like the last' }).click();
  await page.getByRole('button', { name: /^Take . in$/ }).click();
  await expect(page.getByRole('heading', { name: /How is . doing\?/ })).toBeVisible();
  const second = idNow(page);
  expect(second).not.toBe(first);
  const [a, b] = [await detailOf(demo, first), await detailOf(demo, second)];
  expect(b.queen.label).not.toBe(a.queen.label);
  expect(b.view.species.map((s) => [s.profileId, s.share])).toEqual([
    ['prenolepis-imparis', 0.7],
    ['temnothorax-nylanderi', 0.3],
  ]);
  await expect.poll(ready).toBe(2);
  // taken by hand from the stock page, and put back by undo
  await page.goto(`${demo.url}/stock`);
  await page.getByRole('button', { name: 'One 16 × 150, filled used' }).click();
  await expect.poll(ready).toBe(1);
  await expect(page.getByText(/(^|\W)1 used on /).first()).toBeVisible();
  await expect(page.getByText(/used -/)).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(ready).toBe(2);
});

/** A sheet of labels as a browser draws it, and the queen of its first label. */
async function drawnLabel(
  page: Page,
  demo: Burrow,
  type: 'png' | 'jpeg',
): Promise<{ picture: Buffer; id: string }> {
  const id = await demo.queenId('T1');
  const query = `queens=${id}&sheet=strip-16&origin=${encodeURIComponent('http://10.1.2.3:4860')}`;
  // as sharp as a telephone sees it from a hand's breadth
  const near = await page.context().browser()!.newContext({ deviceScaleFactor: 4 });
  const side = await near.newPage();
  await side.goto(`${demo.url}/api/labels.svg?${query}`);
  const picture = await side.screenshot({ type, clip: { x: 0, y: 0, width: 400, height: 220 } });
  await near.close();
  return { picture, id };
}

test(
  'labels are printed, and one is scanned back from a picture',
  { tag: '@wide' },
  async ({ page, demo }) => {
    await page.goto(`${demo.url}/labels`);
    await expect(page.getByText(/^\d+ of \d+ queens$/)).toBeVisible();
    await expect(page.getByRole('img', { name: 'The first sheet of labels' })).toBeVisible();
    const [opened] = await Promise.all([
      page.context().waitForEvent('page'),
      page.getByRole('button', { name: 'Open as SVG' }).click(),
    ]);
    await opened.waitForLoadState();
    expect(await opened.locator('text').allTextContents()).toEqual(expect.arrayContaining(['T1', 'M1']));
    const pdf = await page.request.get(opened.url().replace('labels.svg', 'labels.pdf'));
    expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');

    const { picture, id } = await drawnLabel(page, demo, 'png');
    await page.goto(`${demo.url}/scan`);
    await expect(page.getByRole('button', { name: 'Choose a picture' })).toBeVisible();
    const file = page.getByLabel('A picture of the label');
    await file.setInputFiles({ name: 'wall.png', mimeType: 'image/png', buffer: await page.screenshot() });
    await expect(page.getByText(/No code was found in that picture/)).toBeVisible();
    await file.setInputFiles({ name: 'label.png', mimeType: 'image/png', buffer: picture });
    await expect(page).toHaveURL(`${demo.url}/queens/${id}/look`);
    await expect(page.getByRole('heading', { name: 'What do you see?' })).toBeVisible();
    // one of another shelf, whose squares fall so badly that a quick reading finds nothing at any size
    await page.goto(`${demo.url}/scan`);
    await file.setInputFiles(fileURLToPath(new URL('../pictures/hard-label.png', import.meta.url)));
    await expect(page).toHaveURL(/\/queens\/01a0aba0-3b40-7584-8064-dd711406543e\/look$/);
  },
);

test('a label is scanned by the camera', { tag: '@phone' }, async ({ page, demo }, info) => {
  const { picture, id } = await drawnLabel(page, demo, 'jpeg');
  // what the pretended camera sees: the label, again and again
  const film = join(info.outputDir, 'label.mjpeg');
  mkdirSync(info.outputDir, { recursive: true });
  writeFileSync(film, Buffer.concat(Array.from({ length: 30 }, () => picture)));
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--use-fake-ui-for-media-stream',
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-video-capture=${film}`,
    ],
  });
  try {
    const seeing = await browser.newPage({ permissions: ['camera'] });
    await seeing.goto(`${demo.url}/scan`);
    await seeing.getByRole('button', { name: 'Use the camera' }).click();
    await expect(seeing).toHaveURL(`${demo.url}/queens/${id}/look`, { timeout: 30_000 });
  } finally {
    await browser.close();
  }
});

test('a tube is carried to another place, and the bench keeps what was set', async ({ page, demo }) => {
  const id = await demo.queenId('S1');
  await page.goto(`${demo.url}/queens/${id}`);
  await page.getByRole('button', { name: /Move$/ }).click();
  await radio(page, /Pantry shelf/);
  await page.getByRole('button', { name: 'Keep this move' }).click();
  await toView(page, 'Log');
  await expect(page.getByText(/carried to Pantry shelf/).first()).toBeVisible();
  await expect.poll(async () => (await demo.api<Detail>(`/queens/${id}`)).place.name).toBe('Pantry shelf');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect
    .poll(async () => (await demo.api<Detail>(`/queens/${id}`)).place.name)
    .not.toBe('Pantry shelf');

  await page.goto(`${demo.url}/bench`);
  await page.getByRole('link', { name: /^A founding tube/ }).click();
  await radio(page, /^Two thirds/);
  await page.getByRole('button', { name: /Warming and flood/ }).click();
  await page.getByRole('textbox', { name: 'Bubble, ml' }).fill('2');
  await expect(page.getByText(/^Pushes [\d.]+ ml out: [\d.]+ drops\.$/)).toBeVisible();
  await page.reload();
  await expect(page.getByRole('radio', { name: /^Two thirds/ })).toHaveAttribute('aria-checked', 'true');
});

test(
  'what was written of yesterday is put right where it stands, and undone',
  { tag: '@phone' },
  async ({ page, demo }) => {
    const id = await demo.queenId('S1');
    const food = async () => (await demo.api<Detail>(`/queens/${id}`)).entries.at(-1);
    await page.goto(`${demo.url}/queens/${id}`);
    await page.getByRole('button', { name: /Feed$/ }).click();
    await radio(page, 'Sugar and protein');
    await radio(page, 'Yesterday');
    await page.getByRole('button', { name: 'Keep this feed' }).click();
    await expect.poll(food).toMatchObject({ kind: 'feed', food: 'both', outcome: 'offered' });
    await toView(page, 'Log');
    await page
      .getByRole('button', { name: /^Put right: Fed/ })
      .first()
      .click();
    await radio(page, 'Eaten');
    await page.getByRole('button', { name: 'Keep the correction' }).click();
    await expect(page.getByText(/Before: sugar and protein, offered/)).toBeVisible();
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(page.getByText(/Before: sugar and protein, offered/)).toBeHidden();
  },
);

test(
  'her name is put right in her log, and one taken in by mistake is gone from the shelf',
  { tag: '@wide' },
  async ({ page, demo }) => {
    const id = await demo.queenId('S2');
    await page.goto(`${demo.url}/queens/${id}`);
    await page.getByRole('button', { name: 'Correct', exact: true }).click();
    await page.getByRole('textbox', { name: 'Letter or name on the tube' }).fill('Seven');
    await page.getByRole('button', { name: /^First tube: / }).click();
    await page.getByRole('textbox', { name: 'Length, mm' }).fill('160');
    await page.getByRole('button', { name: 'Save correction' }).click();
    await expect(page.getByRole('heading', { name: 'How is Seven doing?' })).toBeVisible();
    await toView(page, 'Log');
    await expect(page.getByText(/name Seven, was S2/).first()).toBeVisible();
    await expect.poll(async () => (await demo.api<Detail>(`/queens/${id}`)).queen.label).toBe('Seven');

    await page.getByRole('button', { name: /^Show all/ }).click();
    await page.getByRole('button', { name: 'Taken in by mistake: take her back whole' }).click();
    await expect(page.getByText('Seven was taken in by mistake and is taken back.')).toBeVisible();
    const shelf = async () =>
      (await demo.api<{ rows: { queen: { id: string } }[] }>('/shelf')).rows.some((r) => r.queen.id === id);
    await expect.poll(shelf).toBe(false);
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'What was written of Seven?' })).toBeVisible();
    await expect.poll(shelf).toBe(true);
  },
);

test(
  'captures leave the house without their places unless that is asked for',
  { tag: '@wide' },
  async ({ page, demo }) => {
    await page.goto(`${demo.url}/records`);
    const taken = async () => {
      const [download] = await Promise.all([
        page.context().waitForEvent('download'),
        page.getByRole('button', { name: 'Take the captures with you' }).click(),
      ]);
      const chunks: Buffer[] = [];
      for await (const c of await download.createReadStream()) chunks.push(c as Buffer);
      return Buffer.concat(chunks).toString();
    };
    const withheld = await taken();
    expect(withheld).toContain('scientificName');
    expect(withheld).not.toContain('Brickfield');
    await radio(page, /^Exact/);
    expect(await taken()).toContain('Brickfield Lane');
  },
);
