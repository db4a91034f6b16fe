import { countBrood, expect, keepLook, nextTo, test, testOffline } from '../burrow';

/** What the browser keeps of the answers that were last shown. */
function lastSeen(): Promise<string> {
  return new Promise((resolve, reject) => {
    const open = indexedDB.open('keyval-store');
    open.onerror = () => reject(open.error ?? new Error('nothing is kept'));
    open.onsuccess = () => {
      const db = open.result;
      const done = (text: unknown) => {
        db.close();
        resolve(typeof text === 'string' ? text : '');
      };
      if (!db.objectStoreNames.contains('keyval')) return done('');
      const kept = db.transaction('keyval').objectStore('keyval').get('burrow-cache');
      kept.onsuccess = () => done(kept.result);
    };
  });
}

interface Log {
  entries: { kind: string; id: string }[];
}

testOffline(
  'server unreachable while logging: the look waits in the browser and is sent later, once',
  { tag: '@phone' },
  async ({ page, demo }) => {
    const id = await demo.queenId('S1');
    await page.goto(`${demo.url}/queens/${id}`);
    await expect(page.getByRole('heading', { name: 'How is S1 doing?' })).toBeVisible();
    // the application and what was last seen are kept by the browser
    await page.evaluate(() => navigator.serviceWorker.ready);
    await expect.poll(() => page.evaluate(lastSeen)).toContain(id);
    const before = (await demo.api<Log>(`/queens/${id}/entries`)).entries.length;

    await demo.stop();
    await page.getByRole('button', { name: 'Log a look' }).click();
    await countBrood(page, { eggs: 8, larvae: 2 });
    await keepLook(page);
    await expect(page.getByText(/1 entry is kept here and will be sent later/)).toBeVisible();
    // worked out here, by the same core
    await expect(page.getByText(/eggs 8, larvae 2/).first()).toBeVisible();
    await expect(page.getByText('Worked out on this device')).toBeVisible();

    await page.reload();
    await expect(page.getByText(/1 entry is kept here/)).toBeVisible();
    await expect(page.getByText(/eggs 8, larvae 2/).first()).toBeVisible();

    await demo.start();
    await expect(page.getByText(/kept here/)).toBeHidden({ timeout: 20_000 });
    await expect(page.getByText('Worked out on this device')).toBeHidden();
    await expect(page.getByText(/eggs 8, larvae 2/).first()).toBeVisible();
    const after = (await demo.api<Log>(`/queens/${id}/entries`)).entries;
    expect(after).toHaveLength(before + 1);
    await page.reload();
    await expect(page.getByText(/eggs 8, larvae 2/).first()).toBeVisible();
    expect((await demo.api<Log>(`/queens/${id}/entries`)).entries).toHaveLength(before + 1);
  },
);

test(
  'what the server could not give at first comes by itself: icons are drawn, and nothing is thrown',
  { tag: '@phone' },
  async ({ page, demo }) => {
    let away = true;
    await page.route(/\.ttf$/, (route) => (away ? route.abort() : route.continue()));
    await page.goto(demo.url);
    await expect(page.getByRole('heading', { name: 'What needs me today?' })).toBeVisible();
    const icons = page.getByRole('navigation').locator('[aria-hidden=true]').getByText(/\S/);
    await expect(icons).toHaveCount(0);
    away = false;
    await expect(icons.first()).toBeVisible();
  },
);

testOffline('a queen can be taken in without a connection', { tag: '@phone' }, async ({ page, burrow }) => {
  await page.goto(burrow.url);
  // from then on the application itself is kept by the browser
  await page.evaluate(() => navigator.serviceWorker.ready);
  await page.getByRole('button', { name: 'Take in a queen' }).first().click();
  await page.getByRole('radio', { name: 'Caught digging' }).click();
  await nextTo(page, 'Is she healthy?');
  await nextTo(page, 'What is she?');
  await page.getByRole('radio', { name: /Unknown, temperate/ }).click();
  await nextTo(page, 'Which tube, and how full?');
  await nextTo(page, 'Where does she stand?');
  await page.getByRole('textbox', { name: 'Name of the place' }).fill('Shoe box');
  await page.getByRole('textbox', { name: 'Temperature, °C' }).fill('24');
  await burrow.stop();
  await page.getByRole('button', { name: 'Take her in' }).click();
  await expect(page.getByRole('heading', { name: /How is A doing/ })).toBeVisible();
  await expect(page.getByText(/Leave her alone until/).first()).toBeVisible();
  await burrow.start();
  await expect
    .poll(async () => (await burrow.api<{ queens: unknown[] }>('/queens')).queens.length, { timeout: 20_000 })
    .toBe(1);
});

const looksIn = (logs: Log[]) => logs.flatMap((l) => l.entries).filter((e) => e.kind === 'look').length;

testOffline(
  'a round is gone on with where the connection ends, and is sent when it is back',
  { tag: '@phone' },
  async ({ page, demo }) => {
    const count = async () => {
      const { rows } = await demo.api<{ rows: { queen: { id: string } }[] }>('/shelf');
      const logs = await Promise.all(rows.map((r) => demo.api<Log>(`/queens/${r.queen.id}/entries`)));
      return { queens: rows.length, looks: looksIn(logs) };
    };
    const before = await count();
    const fetched = new Set<string>();
    page.on('requestfinished', (r) => {
      if (/\/api\/queens\/[0-9a-f-]{36}$/.test(r.url())) fetched.add(r.url());
    });
    await page.goto(demo.url);
    await page.evaluate(() => navigator.serviceWorker.ready);
    // the shelf fetches its queens ahead, one after the other
    await expect.poll(() => fetched.size).toBe(before.queens);
    await page.getByRole('button', { name: 'Go round' }).click();
    await page.getByRole('button', { name: 'Begin' }).click();
    const heading = page.getByRole('heading', { level: 1, name: /, 1 of \d+$/ });
    const of = Number(/of (\d+)$/.exec((await heading.textContent()) ?? '')?.[1]);
    expect(of).toBeGreaterThanOrEqual(3);
    await page.getByRole('button', { name: 'No change' }).click();
    await expect(page.getByRole('heading', { level: 1, name: new RegExp(`, 2 of ${of}$`) })).toBeVisible();
    await demo.stop();
    await page.getByRole('button', { name: 'No change' }).click();
    await expect(page.getByRole('heading', { level: 1, name: new RegExp(`, 3 of ${of}$`) })).toBeVisible();
    // left and come back to, still without a connection: it stands where it stood
    await page.reload();
    await expect(page.getByRole('heading', { level: 1, name: new RegExp(`, 3 of ${of}$`) })).toBeVisible();
    await countBrood(page, { eggs: 4 });
    await page.getByRole('button', { name: 'Keep, next' }).click();
    for (let i = 4; i <= of; i++) {
      await expect(
        page.getByRole('heading', { level: 1, name: new RegExp(`, ${i} of ${of}$`) }),
      ).toBeVisible();
      await page.getByRole('button', { name: 'Leave her out' }).click();
    }
    await expect(page.getByText('3 tubes were looked at. Now shut the drawer.')).toBeVisible();
    await expect(page.getByRole('list', { name: 'What it changed' }).getByRole('listitem')).toHaveCount(of);
    await demo.start();
    await expect.poll(async () => (await count()).looks, { timeout: 20_000 }).toBe(before.looks + 3);
  },
);
