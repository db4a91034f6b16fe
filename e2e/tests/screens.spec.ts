import {
  allTubes,
  COLOURS,
  expect,
  seriousFaults,
  test,
  toView,
  testOffline,
  placePath,
  visit,
} from '../burrow';

// colours are looked at as they stay, not as they fade in
test.use({ contextOptions: { reducedMotion: 'reduce' } });

/** By the light of the device: paper by day, night in the dark; or deep red, whatever the device says. */
const APPEARANCES = ['auto', 'red'] as const;

/** Whether the page shows light words on a dark ground. */
function isDark(): boolean {
  const heading = document.querySelector('h1, [role="heading"]');
  const shades = heading ? getComputedStyle(heading).color.match(/\d+/g) : null;
  return (shades ?? []).slice(0, 3).reduce((sum, c) => sum + Number(c), 0) > 384;
}

for (const appearance of APPEARANCES) {
  const name = appearance === 'red' ? 'red' : 'paper and night';
  // red light is for a phone in the dark
  const tag = appearance === 'red' ? '@phone' : [];
  test(`no serious fault on any screen, ${name}`, { tag }, async ({ page, demo }, info) => {
    await page.addInitScript(
      (a) => localStorage.setItem('burrow.preferences', JSON.stringify({ appearance: a })),
      appearance,
    );
    const v2 = await demo.queenId('V2');
    const a1 = await demo.queenId('A1');
    const screens: [string, RegExp][] = [
      ['/', /What needs me today/],
      ['/shelf', /Who stands here/],
      ['/feed', /Whom do you feed/],
      [`/queens/${v2}`, /How is V2/],
      [`/queens/${v2}/ahead`, /What comes next for V2/],
      [`/queens/${v2}/why`, /Why is V2/],
      [`/queens/${v2}/log`, /What was written of V2/],
      [`/queens/${a1}`, /How is A1/],
      [`/queens/${v2}/look`, /What do you see/],
      [`/queens/${v2}/watch`, /What is V2 probably doing/],
      ['/queens/new', /How did she come/],
      ['/round', /Shall we go round/],
      ['/cohort', /What do my queens show/],
      ['/bench', /What do you want to get ready/],
      ['/bench/fit', /Do they fit/],
      ['/bench/tube', /How shall her tube be filled/],
      ['/records', /What is written down/],
      ['/kinds', /What is known of a kind/],
      ['/kinds/messor-structor', /What is known of Messor structor/],
      ['/kinds/messor-structor/own', /What do you know better/],
      ['/glossary', /What does this word mean/],
      ['/stock', /What is ready/],
      ['/places', /Where do the tubes stand/],
      [await placePath(demo, 'Warm cupboard'), /How is it at Warm cupboard/],
      ['/labels', /Which labels/],
      ['/scan', /Which queen is it/],
      ['/settings', /How do you keep/],
      ['/no-such-page', /no such page/],
    ];
    for (const [path, heading] of screens) {
      await visit(page, demo, path);
      await expect(page.getByRole('heading', { name: heading }).first()).toBeVisible();
      // the appearances differ in their colours alone
      const which = appearance === 'red' ? COLOURS : undefined;
      expect(await seriousFaults(page, which), `${name} ${path}`).toEqual([]);
      // and the same at any width
      if (appearance === 'red' || info.project.name === 'wide') continue;
      await page.emulateMedia({ colorScheme: 'dark' });
      await expect.poll(() => page.evaluate(isDark)).toBe(true);
      expect(await seriousFaults(page, COLOURS), `night ${path}`).toEqual([]);
      await page.emulateMedia({ colorScheme: 'light' });
    }
  });
}

test('the shelf: most urgent first, calm for the rest, with dates', async ({ page, demo }) => {
  await page.goto(`${demo.url}/shelf`);
  const shelf = await allTubes(page, demo);
  await expect(shelf.first()).toHaveAccessibleName(/now\./);
  const names = await shelf.evaluateAll((all) => all.map((e) => e.getAttribute('aria-label') ?? ''));
  expect(names.length).toBeGreaterThanOrEqual(12);
  const pressures = ['now', 'soon', 'may look', 'at rest'];
  const order = names.map((n) => pressures.indexOf(/\. (now|soon|may look|at rest)\./.exec(n)?.[1] ?? ''));
  const living = order.filter((o) => o >= 0);
  expect(living).toEqual([...living].sort());
  expect(names.filter((n) => /at rest\. Leave her alone until \d+ \w+/.test(n)).length).toBeGreaterThan(3);
});

test('units and school follow the settings at once', { tag: '@phone' }, async ({ page, demo }) => {
  const id = await demo.queenId('C1');
  await page.goto(`${demo.url}/settings`);
  await page.getByRole('radio', { name: '°F' }).click();
  await page.getByRole('radio', { name: 'inches' }).click();
  await page.getByRole('radio', { name: /^Weekly/ }).click();
  await page.goto(`${demo.url}/queens/${id}`);
  await expect(page.getByText(/Water now about [\d.]+ in/)).toBeVisible();
  await toView(page, 'Why');
  await expect(page.getByText('This is the method “Weekly”. Others would say:')).toBeVisible();
  await page.getByRole('button', { name: /Is she late/ }).click();
  await expect(page.getByText(/her best 75 °F to 82 °F/)).toBeVisible();
});

testOffline('nothing is asked of any other host', { tag: '@phone' }, async ({ page, demo }) => {
  const others: string[] = [];
  page.on('request', (r) => {
    if (!r.url().startsWith(demo.url) && !r.url().startsWith('data:') && !r.url().startsWith('blob:'))
      others.push(r.url());
  });
  await page.goto(demo.url);
  await expect(page.getByRole('link').first()).toBeVisible();
  await page.goto(`${demo.url}/queens/${await demo.queenId('T2')}`);
  await expect(page.getByRole('heading', { name: 'How is T2 doing?' })).toBeVisible();
  await page.evaluate(() => document.fonts.ready);
  expect(others).toEqual([]);
});
