import { v7 } from 'uuid';
import { clockMs } from '../clock';
import { type Burrow, expect, seriousFaults, test, toView } from '../burrow';

interface Entry {
  id: string;
  kind: string;
  at: string;
  ownAt?: string;
  outcome?: string;
  offerId?: string;
}
interface Row {
  queen: { id: string; label: string };
  pressure: string;
  due: { task: string; notBefore: string }[];
}

const logOf = async (burrow: Burrow, id: string) =>
  (await burrow.api<{ entries: Entry[] }>(`/queens/${id}/entries`)).entries;
const rowsOf = async (burrow: Burrow) => (await burrow.api<{ rows: Row[] }>('/shelf')).rows;

/** One whose food of yesterday nobody has spoken of. */
async function withLeftovers(burrow: Burrow, label: string): Promise<string> {
  const id = await burrow.queenId(label);
  const at = new Date(clockMs() - 26 * 3_600_000).toISOString();
  await burrow.send('POST', '/entries', {
    kind: 'feed',
    id: v7(),
    queenId: id,
    at,
    loggedAt: at,
    food: 'protein',
    outcome: 'offered',
    spot: 'cell',
  });
  return id;
}

test('who presses stands in today’s visit; a deed is answered there by one tap, and undone', async ({
  page,
  demo,
}, info) => {
  const id = await withLeftovers(demo, 'T3');
  const pressing = (await rowsOf(demo)).filter((r) => r.pressure === 'now');
  await page.goto(demo.url);
  const all = page.getByRole('button', { name: /^All \d+ of this visit$/ });
  const answer = page.getByRole('button', { name: 'T3: Eaten up' });
  await expect(answer.or(all).first()).toBeVisible();
  if (await all.isVisible()) await all.click();
  for (const { queen } of pressing)
    await expect(page.getByRole('group', { name: `Answers for ${queen.label}` }).first()).toBeVisible();
  expect(await seriousFaults(page), info.project.name).toEqual([]);
  await answer.click();
  await expect
    .poll(async () => (await logOf(demo, id)).at(-1))
    .toMatchObject({ kind: 'feed', outcome: 'taken' });
  expect((await logOf(demo, id)).at(-1)?.offerId).toBeTruthy();
  await expect(answer).toBeHidden();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(answer).toBeVisible();
});

test('what is put off comes back when it is asked for; her page asks the same', async ({ page, demo }) => {
  const id = await withLeftovers(demo, 'T3');
  await page.goto(`${demo.url}/queens/${id}`);
  const answers = page.getByRole('group', { name: 'Answers for T3' }).first();
  await expect(answers.getByRole('button', { name: 'T3: Taken out' })).toBeVisible();
  await answers.getByRole('button', { name: 'T3: later' }).click();
  await expect(page.getByRole('button', { name: 'T3: Taken out' })).toBeHidden();
  await page.goto(demo.url);
  await page.getByRole('button', { name: /^Put off: / }).click();
  await page.getByRole('button', { name: 'Ask me now' }).first().click();
  await page.goto(`${demo.url}/queens/${id}`);
  await page.getByRole('button', { name: 'T3: Taken out' }).click();
  await expect.poll(async () => (await logOf(demo, id)).at(-1)?.outcome).toBe('removed');
});

test('What if, untouched, says what her page says', async ({ page, demo }) => {
  await page.goto(`${demo.url}/queens/${await demo.queenId('C1')}/ahead`);
  await page.getByRole('button', { name: 'What if?' }).click();
  await expect(page.getByText(/^what if: /).first()).toBeVisible();
  const said = async (which: string) =>
    (await page.getByText(new RegExp(`^${which}: `)).allTextContents()).map((t) =>
      t.replace(`${which}: `, ''),
    );
  // the worker has answered by now
  await expect(page.getByText(/until her first workers|Her workers are out/)).toBeVisible();
  expect(await said('what if')).toEqual(await said('as it is'));
});

/** A logger's file as an older program of Windows writes it: head lines, semicolons, one byte a letter, line ends of two kinds. */
function olderFile(): Buffer {
  const rows = Array.from({ length: 48 }, (_, h) => {
    const at = new Date(clockMs() - (72 - h) * 3_600_000);
    const two = (n: number) => String(n).padStart(2, '0');
    const day = `${two(at.getUTCDate())}.${two(at.getUTCMonth() + 1)}.${at.getUTCFullYear()}`;
    const warm = h >= 20 && h < 29 ? '36,4' : '24,1';
    return `${h + 1};${day} ${two(at.getUTCHours())}:00;${warm};50,2${h % 3 === 0 ? '\n' : '\r\n'}`;
  });
  const head = 'Gerät: Keller, Regal 2\r\nBesitzer: a, b\r\n\r\nNr;Zeit;Temperatur °C;Feuchte %\r\n';
  return Buffer.from(head + rows.join(''), 'latin1');
}

test('a logger’s file with head lines, old letters and mixed line ends is kept whole with five taps', async ({
  page,
  demo,
}) => {
  await page.goto(demo.url);
  let taps = 0;
  const tap = async (role: 'button' | 'link', name: string | RegExp) => {
    await page.getByRole(role, { name }).first().click();
    taps++;
  };
  await tap('link', 'Places');
  // a place without a logger: one is made from the name of the file
  await tap('link', /^Pantry/);
  const chooser = page.waitForEvent('filechooser');
  await tap('button', 'Read a logger’s file');
  await (await chooser).setFiles({ name: 'keller.csv', mimeType: 'text/csv', buffer: olderFile() });
  await expect(page.getByText(/“3: Temperatur °C” in °C/)).toBeVisible();
  await tap('button', 'Read the rows');
  await expect(page.getByText(/^48 readings, from/)).toBeVisible();
  await expect(page.getByText(/cannot be used/)).toBeHidden();
  await tap('button', 'Keep 48 readings');
  expect(taps).toBeLessThanOrEqual(5);
  await expect(page.getByText('48 readings are new.')).toBeVisible();
});

test('by a telephone eleven minutes ahead an entry is saved with the right time, and told', async ({
  page,
  demo,
  context,
}) => {
  const id = await demo.queenId('S1');
  const right = clockMs();
  await context.clock.setSystemTime(right + 11 * 60_000);
  await page.goto(`${demo.url}/queens/${id}`);
  await expect(page.getByText(/clock of this device is 11 minutes ahead/)).toBeVisible();
  await page.getByRole('button', { name: 'Note', exact: true }).click();
  await page.getByRole('textbox', { name: 'Note' }).fill('by a quick clock');
  await page.getByRole('button', { name: 'Keep this note' }).click();
  await expect.poll(async () => (await logOf(demo, id)).at(-1)?.kind).toBe('note');
  const { at, ownAt } = (await logOf(demo, id)).at(-1)!;
  expect(Date.parse(ownAt!) - Date.parse(at)).toBeGreaterThan(10 * 60_000);
  expect(Date.parse(at)).toBeLessThan(right + 5 * 60_000);
  await toView(page, 'Log');
  await expect(page.getByText(/The clock of the device showed/)).toBeVisible();
});

test('twelve sisters of one evening are taken in together with few taps, and one undo takes all back', async ({
  page,
  demo,
}) => {
  const before = (await rowsOf(demo)).length;
  await page.goto(`${demo.url}/queens/new`);
  let taps = 1; // the way here
  const tap = async (name: string | RegExp) => {
    await page.getByRole('button', { name }).first().click();
    taps++;
  };
  await page.getByRole('textbox', { name: 'Letter or name on the tube' }).fill('L');
  await tap('Another one like the last');
  await page.getByRole('textbox', { name: 'How many like her?' }).fill('12');
  await tap('Take L1–L12 in');
  expect(taps).toBeLessThanOrEqual(12);
  await expect.poll(async () => (await rowsOf(demo)).length).toBe(before + 12);
  const labels = (await rowsOf(demo)).map((r) => r.queen.label);
  expect(labels).toEqual(expect.arrayContaining(Array.from({ length: 12 }, (_, i) => `L${i + 1}`)));
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(async () => (await rowsOf(demo)).length).toBe(before);
});

test('heat that was measured and is over is said on her page, and answered by one look', async ({
  page,
  demo,
}) => {
  const id = await demo.queenId('C1');
  const { place } = await demo.api<{ place: { id: string } }>(`/queens/${id}`);
  const probe = v7();
  await demo.send('PUT', `/probes/${probe}`, {
    id: probe,
    name: 'Old logger',
    kind: 'logger',
    stays: [{ from: new Date(0).toISOString(), placeId: place.id }],
    silentAfterH: null,
    checks: [],
  });
  const hours = Array.from({ length: 96 }, (_, h) => clockMs() - (96 - h) * 3_600_000);
  await demo.send('POST', '/readings', {
    probeId: probe,
    ms: hours,
    // after her last look, and a day ago: what is hotter now is danger; another logger lies there too, and what both show counts
    tempC: hours.map((_, h) => (h >= 50 && h < 64 ? 45 : 25)),
    rh: hours.map(() => null),
  });
  await page.goto(`${demo.url}/queens/${id}`);
  await expect(page.getByText(/Look once: are the queen and her brood alive/).first()).toBeVisible();
  await expect(page.getByText(/for about \d+ hours/).first()).toBeVisible();
  await page.getByRole('button', { name: 'C1: All as before' }).click();
  await expect(page.getByText(/Look once: are the queen/)).toBeHidden();
});

test('it can be put on a home screen: icons, shortcuts and a frame in the colour of the theme', async ({
  page,
  burrow,
}) => {
  await page.addInitScript(() =>
    localStorage.setItem('burrow.preferences', JSON.stringify({ appearance: 'red' })),
  );
  await page.goto(burrow.url);
  const frame = page.locator('meta[name="theme-color"]');
  await expect(frame).not.toHaveAttribute('content', '#f5efe3');
  const manifest = (await (await page.request.get(`${burrow.url}/manifest.webmanifest`)).json()) as {
    icons: { src: string }[];
    shortcuts: { url: string }[];
  };
  for (const { src } of [...manifest.icons, { src: '/apple-touch-icon.png' }])
    expect((await page.request.get(burrow.url + src)).headers()['content-type']).toMatch(/^image\//);
  for (const { url } of manifest.shortcuts) {
    await page.goto(burrow.url + url);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await expect(page.getByText('Page not found')).toBeHidden();
  }
});

test('what was written never leaves the log while it is sent, and is there on a page opened right after', async ({
  page,
  demo,
}) => {
  const id = await demo.queenId('S1');
  await page.goto(`${demo.url}/queens/${id}`);
  await page.getByRole('button', { name: 'Note', exact: true }).click();
  await page.getByRole('textbox', { name: 'Note' }).fill('seen to stay');
  const save = page.getByRole('button', { name: 'Keep this note' });
  // it stands in view while the fields above it scroll
  await expect(save).toBeInViewport({ ratio: 1 });
  await save.click();
  await toView(page, 'Log');
  await expect(page.getByText('seen to stay')).toBeVisible();
  const gone = await page.evaluate(
    () =>
      new Promise<number>((done) => {
        let missing = 0;
        let left = 120;
        const look = () => {
          if (!document.body.innerText.includes('seen to stay')) missing++;
          if (--left > 0) requestAnimationFrame(look);
          else done(missing);
        };
        look();
      }),
  );
  expect(gone).toBe(0);
  await expect.poll(async () => (await logOf(demo, id)).at(-1)?.kind).toBe('note');
});
