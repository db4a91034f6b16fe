import { execFile } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { promisify } from 'node:util';
import type { Page } from '@playwright/test';
import { type Burrow, expect, keepLook, seriousFaults, test, testOffline, travel } from '../burrow';
import { clockMs } from '../clock';

const root = fileURLToPath(new URL('../..', import.meta.url));

/** The made-up logger, as a keeper's own would run beside the application. */
const logger = (...args: string[]) =>
  promisify(execFile)(process.execPath, ['--import', 'tsx', join('scripts', 'probe.ts'), ...args], {
    cwd: root,
    env: { ...process.env, BURROW_NOW: new Date(clockMs()).toISOString() },
  });

const DAY = 86_400_000;
let folder: string;
test.beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'burrow-logger-'))));
test.afterEach(() => rmSync(folder, { recursive: true, force: true }));

interface Detail {
  view: {
    tempC: number;
    warmth: { measuredSince: string | null };
    outlook: { events: { firstBatchEnd: { band: { p50: string } } } };
    counsel: {
      verdicts: { id: string; answer: string; asks: { task: string; notBefore?: string }[] }[];
    };
  };
}

interface Climate {
  probes: { probe: { id: string; name: string }; latest: { at: string; tempC: number; rh: number } | null }[];
  alarms: { id: string }[];
}

async function toPlace(page: Page, burrow: Burrow, name: RegExp): Promise<void> {
  await page.goto(`${burrow.url}/places`);
  await page.getByRole('link', { name }).click();
  await expect(page.getByRole('heading', { name: /^How is it at/ })).toBeVisible();
}

async function newLogger(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name: 'A logger lies here' }).click();
  await page.getByRole('textbox', { name: 'Name of the logger' }).fill(name);
  await page.getByRole('button', { name: 'Keep this logger' }).click();
  await page.getByRole('button', { name: `More about ${name}` }).click();
}

test('a logger’s file: columns seen and put right, what cannot be used told by its line, and the same again changes nothing', async ({
  page,
  demo,
}) => {
  const file = join(folder, 'shelf.csv');
  await logger('--out', file, '--days', '10', '--every', '900', '--seed', '5');
  const lines = readFileSync(file, 'utf8').trimEnd().split('\r\n');
  // as a logger writes that is set to another language: day first, commas, and a row that was torn
  const foreign = lines.map((line, i) => {
    if (i === 0) return 'Datum;Temperatur;Feuchte';
    const [at = '', temp = '', rh = ''] = line.split(';');
    const [, y, m, d, clock] = /^(\d+)-(\d+)-(\d+)T([\d:]+)/.exec(at) ?? [];
    return `${d}.${m}.${y} ${clock};${temp.replace('.', ',')};${rh.replace('.', ',')}`;
  });
  foreign.splice(3, 0, '31.02.2026 12:00:00;21,0;50,0');
  writeFileSync(file, foreign.join('\r\n'));
  const good = lines.length - 1;

  await toPlace(page, demo, /Pantry shelf/);
  await newLogger(page, 'Pantry logger');
  const readIn = async () => {
    await page.getByLabel('A file of Pantry logger').setInputFiles(file);
    await expect(page.getByText('Is this what stands in the columns?')).toBeVisible();
    await expect(
      page.getByText(/as day, month, year; temperature from .* decimals with a comma/),
    ).toBeVisible();
    await page.getByRole('button', { name: 'Put the columns right' }).click();
    await expect(page.getByRole('radio', { name: 'Comma: 23,5' })).toBeChecked();
    await page.getByRole('textbox', { name: 'Time zone of the logger' }).fill('+00:00');
    await page.getByRole('button', { name: 'Read the rows' }).click();
    await expect(page.getByText(/^Line 4: “31.02.2026 12:00:00” is not in the calendar/)).toBeVisible();
    await page.getByRole('button', { name: `Keep ${good.toLocaleString('en')} readings` }).click();
  };
  await readIn();
  await expect(page.getByText(`${good.toLocaleString('en')} readings are new.`)).toBeVisible();
  await expect(page.getByText(/One row could not be used/)).toBeVisible();
  await expect(page.getByRole('slider', { name: 'Read at' })).toBeVisible();
  await expect(page.getByText(/^Between .* in the middle\.$/)).toBeVisible();
  expect(await seriousFaults(page)).toEqual([]);

  await readIn();
  await expect(
    page.getByText(`0 readings are new. ${good.toLocaleString('en')} were there already.`, { exact: false }),
  ).toBeVisible();

  // a mark that swallows the rest of the file is not passed over in silence
  lines.splice(10, 1, `"${lines[10]}`);
  writeFileSync(file, lines.join('\r\n'));
  await page.getByLabel('A file of Pantry logger').setInputFiles(file);
  await page.getByRole('button', { name: 'Read the rows' }).click();
  await expect(page.getByText(/^Line 11: A quotation mark is opened here and never closed/)).toBeVisible();
  await page.getByRole('button', { name: 'Leave it' }).click();
});

test('what a logger measured re-dates the queens that stand there; another place can be tried, and nothing is written', async ({
  page,
  demo,
}) => {
  const file = join(folder, 'pantry.csv');
  const world = '--days 50 --every 1800 --seed 7 --mean 17 --season 0'.split(' ');
  await logger('--out', file, ...world);
  const { rows } = await demo.api<{ rows: { queen: { id: string; label: string } }[] }>('/shelf');
  const queen = rows.find((r) => r.queen.label === 'M1')?.queen;
  const outlook = async () => {
    const { view } = await demo.api<Detail>(`/queens/${queen?.id}`);
    return { ...view, batch: Date.parse(view.outlook.events.firstBatchEnd.band.p50) };
  };
  const told = await outlook();
  expect([told.tempC, told.warmth.measuredSince]).toEqual([21, null]);

  await toPlace(page, demo, /Pantry shelf/);
  await newLogger(page, 'Pantry logger');
  await page.getByLabel('A file of Pantry logger').setInputFiles(file);
  await page.getByRole('button', { name: 'Read the rows' }).click();
  await page.getByRole('button', { name: /^Keep [\d,]+ readings$/ }).click();
  await expect(page.getByText(/readings are new/)).toBeVisible();
  await expect(page.getByText(/^Reckoned as measured, 1\d(\.\d)? °C/)).toBeVisible();
  // the wrong file, or the wrong place: all of it is taken back, and read in once more
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText(/^Reckoned with 21 °C/)).toBeVisible();
  await page.getByLabel('A file of Pantry logger').setInputFiles(file);
  await page.getByRole('button', { name: 'Read the rows' }).click();
  await page.getByRole('button', { name: /^Keep [\d,]+ readings$/ }).click();
  await expect(page.getByText(/^Reckoned as measured, 1\d(\.\d)? °C/)).toBeVisible();

  await page.goto(`${demo.url}/queens/${queen?.id}/ahead`);
  await expect(page.getByText(/^Warmth as it was measured at Pantry shelf since/)).toBeVisible();
  const measured = await outlook();
  expect(measured.tempC).toBeLessThan(19);
  // four degrees less than was told: it takes her days longer
  expect(measured.batch).toBeGreaterThan(told.batch + 2 * DAY);

  await page.getByRole('button', { name: 'What if?' }).click();
  await page.getByRole('radio', { name: 'Winter box' }).click();
  await expect(page.getByText(/^what if: /).first()).toBeVisible();
  await page.getByRole('slider', { name: 'Wintered' }).fill('10');
  await page.getByRole('slider', { name: 'Her winter begins' }).fill('4');
  expect(await seriousFaults(page)).toEqual([]);
  await page.getByRole('button', { name: 'As it is' }).click();
  await expect(page.getByRole('radio', { name: 'Pantry shelf. as it is' })).toBeChecked();
  expect((await outlook()).batch).toBe(measured.batch);
});

test('in hot dry air her water ends sooner: the fresh tube is asked for in time, and at once when the line says so', async ({
  page,
  demo,
}) => {
  const id = await demo.queenId('P1');
  const water = async () => {
    const { counsel } = (await demo.api<Detail>(`/queens/${id}`)).view;
    return counsel.verdicts.find((v) => v.id === 'water');
  };
  const offered = async () =>
    Date.parse((await water())?.asks.find((a) => a.task === 'fresh-home')?.notBefore ?? '');
  const told = await offered();

  const now = clockMs();
  await toPlace(page, demo, /Pantry shelf/);
  await newLogger(page, 'Pantry logger');
  await page.getByRole('button', { name: 'Let it send by itself' }).click();
  const address = await page.getByRole('textbox', { name: 'Address' }).inputValue();
  const token = await page.getByRole('textbox', { name: 'Secret' }).inputValue();
  /** All that the logger has kept from one moment until another is sent. */
  const send = async (from: number, until: number) => {
    const file = join(folder, `until-${until}.csv`);
    await logger(
      ...['--out', file, '--from', new Date(from).toISOString(), '--days', String((until - from) / DAY)],
      ...'--every 3600 --seed 7 --mean 29 --season 0 --humidity 15 --drop-outs 0'.split(' '),
    );
    const lines = readFileSync(file, 'utf8').trimEnd().split('\r\n').slice(1);
    for (let i = 0; i < lines.length; i += 1000) {
      const answer = await fetch(address, {
        method: 'POST',
        headers: { 'content-type': 'text/plain', authorization: `Bearer ${token}` },
        body: lines
          .slice(i, i + 1000)
          .map((line) => line.replaceAll(';', ' '))
          .join('\n'),
      });
      expect(answer.status, await answer.text()).toBeLessThan(300);
    }
  };
  await send(now - 40 * DAY, now);
  await expect.poll(offered).toBeLessThan(told - 14 * DAY);

  // once it is to be offered it stands on the first page, weeks before the earliest day on which she may be dry
  const later = (await offered()) + 5 * DAY;
  await travel(page, demo, new Date(later).toISOString());
  await send(now, later);
  await page.goto(demo.url);
  const all = page.getByRole('button', { name: /^All \d+ of this visit$/ });
  const visit = page.getByRole('link', { name: 'To P1' }).filter({ hasText: /Offer a fresh tube/ });
  // on a phone a large visit is folded
  await expect(visit.or(all).first()).toBeVisible();
  if (await all.isVisible()) await all.click();
  await expect(visit.first()).toBeVisible();
  expect((await water())?.answer).toMatch(/for some weeks|not for long/);

  // her line tells that it went faster still
  await page.goto(`${demo.url}/queens/${id}/look`);
  const line = page.getByRole('slider', { name: 'Water line' });
  // until it was read, it stands where it is reckoned to be, which a newer answer may change
  while (Number(await line.getAttribute('aria-valuenow')) > 12) await line.press('ArrowLeft');
  await expect(page.getByText('Water line read at 12 mm.')).toBeVisible();
  await keepLook(page, { asked: false });
  await expect(page.getByRole('link', { name: /^P1, .* now\. .*Offer a fresh tube now/ })).toBeVisible();
  expect((await water())?.answer).toMatch(/not for long|may be dry/);
  expect(await seriousFaults(page)).toEqual([]);
});

test('a logger sends by itself: it is seen at once; heat is told where it stands and on the first page, until it is over', async ({
  page,
  demo,
}) => {
  await toPlace(page, demo, /Pantry shelf/);
  await newLogger(page, 'Live logger');
  await page.getByRole('button', { name: 'Let it send by itself' }).click();
  const address = await page.getByRole('textbox', { name: 'Address' }).inputValue();
  const token = await page.getByRole('textbox', { name: 'Secret' }).inputValue();
  const send = (mean: string) =>
    logger(
      ...['--to', address, '--token', token, '--mean', mean, '--season', '0', '--day', '0', '--noise', '0.2'],
      ...['--drop-outs', '0', '--every', '1', '--for', '0'],
    );
  const climate = () => demo.api<Climate>('/climate');
  await send('37.5');
  await expect.poll(async () => (await climate()).alarms.map((a) => a.id)).toEqual(['too-hot']);
  await page.reload();
  await expect(page.getByText(/From .* on queens and brood die\./)).toBeVisible();
  await expect(page.getByText(/carry the tubes to a cooler place now/)).toBeVisible();
  expect(await seriousFaults(page)).toEqual([]);
  await page.goto(demo.url);
  const alarm = page.getByRole('link', { name: /^Now · Pantry shelf/ });
  await expect(alarm).toBeVisible();
  await alarm.click();
  await expect(page.getByRole('heading', { name: 'How is it at Pantry shelf?' })).toBeVisible();

  // whoever does not know the secret tells nothing
  const foreign = await fetch(address, {
    method: 'POST',
    headers: { 'content-type': 'text/plain', authorization: 'Bearer guess' },
    body: `${new Date(clockMs()).toISOString()} 20`,
  });
  expect(foreign.status).toBe(401);
  // cooler again: what just was is still told, and no longer as now
  await send('24');
  await expect.poll(async () => (await climate()).alarms.map((a) => a.id)).toEqual(['was-hot']);
});

test('a hygrometer is checked over salt: from then on its readings are put right; a second logger stands beside it', async ({
  page,
  demo,
}) => {
  await toPlace(page, demo, /Warm cupboard/);
  const of = async () =>
    (await demo.api<Climate>('/climate')).probes.find((p) => p.probe.name === 'Cupboard logger')?.latest
      ?.rh ?? NaN;
  const before = await of();
  await page.getByRole('button', { name: 'More about Cupboard logger' }).click();
  await page.getByRole('button', { name: 'Check what it shows' }).click();
  await page.getByRole('textbox', { name: 'Temperature in the box, °C' }).fill('25');
  await page.getByRole('textbox', { name: 'It shows, %' }).fill('80.3');
  await page.getByRole('button', { name: 'Keep this check' }).click();
  await expect(page.getByText(/^Checked on .*its humidity, at 60 %, by −5 %/)).toBeVisible();
  // 75.3 % over table salt at 25 °C: Greenspan 1977 (from memory)
  await expect.poll(async () => Math.round(1000 * ((await of()) - before))).toBe(-50);
  await page.getByRole('radio', { name: 'Drawer under the window seat' }).first().click();
  await expect(page.getByRole('img', { name: /at Warm cupboard/ })).toBeVisible();
  await page.getByRole('slider', { name: 'Read at' }).press('ArrowLeft');
  await expect(page.getByRole('slider', { name: 'Read at' })).toHaveAttribute('aria-valuetext', /°C/);
  expect(await seriousFaults(page)).toEqual([]);
});

testOffline(
  'a thermometer read by hand is written down, and sent later',
  { tag: '@phone' },
  async ({ page, demo }) => {
    await toPlace(page, demo, /Pantry shelf/);
    await page.evaluate(() => navigator.serviceWorker.ready);
    await demo.stop();
    await page.getByRole('button', { name: 'Write down a reading' }).click();
    await page.getByRole('textbox', { name: 'Temperature, °C' }).fill('20.5');
    await page.getByRole('textbox', { name: 'Temperature, °C' }).press('Enter');
    await expect(page.getByText('20.5 °C, just now')).toBeVisible();
    await expect(page.getByText(/kept here and will be sent later/)).toBeVisible();
    await demo.start();
    await expect
      .poll(async () => (await demo.api<Climate>('/climate')).probes.map((p) => p.latest?.tempC))
      .toContain(20.5);
  },
);

test('the heat at her tube is read, moved as told, and followed by her dates', async ({ page, demo }) => {
  const { rows } = await demo.api<{ rows: { placeId: string; queen: { id: string; label: string } }[] }>(
    '/shelf',
  );
  const queen = rows.find((r) => r.queen.label === 'M1');
  const warmth = async () => (await demo.api<Detail>(`/queens/${queen?.queen.id}`)).view.tempC;
  expect(await warmth()).toBe(21);
  await page.goto(`${demo.url}/queens/${queen?.queen.id}`);
  const sheet = page.getByRole('dialog', { name: 'What of M1?' });
  const open = async () => {
    await page.getByRole('button', { name: 'Write of M1' }).click();
    await sheet.getByRole('button', { name: 'Heat along the tube' }).click();
  };
  await open();
  const field = (name: string) => sheet.getByRole('textbox', { name });
  await field('From the mouth to the heat, mm').fill('10');
  await field('Room beside it, °C').fill('17');
  await field('Warm end of her cell, °C').fill('29');
  await expect(sheet.getByText(/is our own prior until two places were read/)).toBeVisible();
  await field('Cool end of her cell, °C').fill('24');
  // warmer than a mountain kind likes: back, by so much that her cell is below her best
  const told = sheet.getByText(/^Move it \d+ mm back, to \d+ mm from the mouth/);
  await expect(told).toBeVisible();
  const [, mm = ''] = /to (\d+) mm from the mouth/.exec((await told.textContent()) ?? '') ?? [];
  expect(await seriousFaults(page)).toEqual([]);
  await sheet.getByRole('button', { name: 'Keep this setting' }).click();
  await expect(page.getByText(/^Kept how the heat lies at M1/)).toBeVisible();
  await expect.poll(warmth).toBeGreaterThan(25);

  // moved as told, and read at one place: the fall is known by now
  await open();
  await field('From the mouth to the heat, mm').fill(mm);
  await field('Room beside it, °C').fill('17');
  await field('Warm end of her cell, °C').fill('22.5');
  await expect(sheet.getByText(/is our own prior until two places were read/)).toBeHidden();
  await sheet.getByRole('button', { name: 'Keep this setting' }).click();
  await expect.poll(warmth).toBeLessThan(23);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(warmth).toBeGreaterThan(25);

  // at a tube beside hers one reading is enough
  const neighbour = rows.find((r) => r.placeId === queen?.placeId && r.queen.id !== queen.queen.id);
  await demo.api('/shelf');
  await page.goto(`${demo.url}/queens/${neighbour?.queen.id}`);
  await page.getByRole('button', { name: `Write of ${neighbour?.queen.label}` }).click();
  const beside = page.getByRole('dialog', { name: `What of ${neighbour?.queen.label}?` });
  await beside.getByRole('button', { name: 'Heat along the tube' }).click();
  await beside.getByRole('textbox', { name: 'From the mouth to the heat, mm' }).fill('20');
  await beside.getByRole('textbox', { name: 'Room beside it, °C' }).fill('17');
  await beside.getByRole('textbox', { name: 'Warm end of her cell, °C' }).fill('22.5');
  await expect(beside.getByText(/^How fast the warmth falls is known from one reading/)).toBeVisible();
});

test('a winter is planned, begun and ended: her dates wait for it, and she is let alone meanwhile', async ({
  page,
  demo,
}) => {
  const { rows } = await demo.api<{ rows: { queen: { id: string; label: string } }[] }>('/shelf');
  const queen = rows.find((r) => r.queen.label === 'T3')?.queen;
  const detail = async () => (await demo.api<Detail>(`/queens/${queen?.id}`)).view;
  const batch = async () => Date.parse((await detail()).outlook.events.firstBatchEnd.band.p50);
  const before = await batch();
  await page.goto(`${demo.url}/queens/${queen?.id}`);
  const sheet = page.getByRole('dialog', { name: 'What of T3?' });
  const open = async (deed: string) => {
    await page.getByRole('button', { name: 'Write of T3' }).click();
    await sheet.getByRole('button', { name: deed, exact: true }).click();
  };
  const day = (ahead: number) => new Date(clockMs() + ahead * DAY).toISOString().slice(0, 10);
  await open('Her winter');
  await sheet
    .getByRole('radio', { name: /^Winter box/ })
    .first()
    .click();
  await sheet.getByLabel('Cooled from').fill(day(120));
  await sheet.getByLabel('Warmed from').fill(day(10));
  await expect(sheet.getByText(/Her winter ends before it begins/)).toBeVisible();
  await sheet.getByLabel('Cooled from').fill(day(1));
  await sheet.getByLabel('Warmed from').fill(day(120));
  await expect(sheet.getByText(/^Into the cold: \d+ °C from .*, \d+ °C from/)).toBeVisible();
  await expect(sheet.getByText(/^Out of it: /)).toBeVisible();
  expect(await seriousFaults(page)).toEqual([]);
  await sheet.getByRole('button', { name: 'Keep this plan' }).click();
  await expect(page.getByText(/^The winter of T3 is planned/)).toBeVisible();
  // nothing comes before she is warmed again
  await expect.poll(batch).toBeGreaterThan(Date.parse(day(120)));

  await open('Move');
  await sheet.getByRole('radio', { name: /^Winter box/ }).click();
  await sheet.getByRole('button', { name: 'Keep this move' }).click();
  await expect.poll(async () => (await detail()).tempC).toBe(7);
  await expect
    .poll(async () => (await detail()).counsel.verdicts.find((v) => v.id === 'food')?.answer)
    .toBe('not in winter');

  // ended early: called off, and carried back
  await open('Her winter');
  await sheet.getByRole('checkbox', { name: 'It is called off, or over' }).click();
  await sheet.getByRole('button', { name: 'Keep this plan' }).click();
  await open('Move');
  await sheet.getByRole('radio', { name: /^Drawer under the window seat/ }).click();
  await sheet.getByRole('button', { name: 'Keep this move' }).click();
  await expect.poll(async () => (await detail()).tempC).toBeGreaterThan(20);
  await expect.poll(async () => Math.abs((await batch()) - before) < 10 * DAY).toBe(true);
});
