import { countBrood, expect, keepLook, placePath, test, visit } from '../burrow';
import { PAGES, VIEWS } from '../pages';

/** Double the size of every text, as a browser does that enlarges text alone. */
function enlarge(): void {
  for (const e of document.querySelectorAll<HTMLElement>('*')) {
    const s = getComputedStyle(e);
    const words = [...e.childNodes].some((n) => n.nodeType === Node.TEXT_NODE && n.textContent?.trim());
    if ((!words && !(e instanceof HTMLInputElement)) || e.closest('svg') || /material/i.test(s.fontFamily))
      continue;
    e.style.fontSize = `${2 * parseFloat(s.fontSize)}px`;
    if (parseFloat(s.lineHeight)) e.style.lineHeight = `${2 * parseFloat(s.lineHeight)}px`;
  }
}

/** What cannot be reached or read: beyond the window, too small for a finger, cut off, or in a slit too low to read in. */
function unreachable(): string[] {
  const controls =
    'a[href],button,input,textarea,[role=radio],[role=tab],[role=checkbox],[role=slider],[role=button]';
  const found: string[] = [];
  if (document.documentElement.scrollWidth > innerWidth + 1) found.push('the page scrolls sideways');
  for (const e of document.querySelectorAll<HTMLElement>(controls)) {
    const r = e.getBoundingClientRect();
    if (e.closest('[aria-hidden=true]') || (r.width === 0 && r.height === 0)) continue;
    const name = (e.getAttribute('aria-label') ?? e.textContent ?? e.tagName).slice(0, 40);
    if (r.left < -1 || r.right > innerWidth + 1) found.push(`${name}: beyond the window`);
    // a word in a sentence is as high as its line (WCAG 2.2, 2.5.8, leaves out what stands in a sentence)
    if (!name.endsWith('what is that?') && (r.width < 24 || r.height < 24))
      found.push(`${name}: ${r.width} by ${r.height} px`);
    const cut = [...e.querySelectorAll('*')].some(
      (t) =>
        t.clientWidth > 0 && t.scrollWidth > t.clientWidth + 1 && getComputedStyle(t).overflowX === 'hidden',
    );
    if (cut) found.push(`${name}: its words are cut`);
  }
  for (const r of document.querySelectorAll('[role=region]')) {
    if (r.scrollWidth > r.clientWidth + 1) found.push(`${r.getAttribute('aria-label')}: scrolls sideways`);
    if (r.clientHeight < 150) found.push(`${r.getAttribute('aria-label')}: ${r.clientHeight} px to read in`);
  }
  return found;
}

for (const [how, size, text] of [
  ['195 px wide, as at four times the size', { width: 195, height: 422 }, false],
  ['text of double size', { width: 390, height: 844 }, true],
] as const) {
  test(`nothing is out of reach: ${how}`, { tag: '@phone' }, async ({ page, demo }) => {
    const id = await demo.queenId('C1');
    await page.setViewportSize(size);
    const place = await placePath(demo, 'Warm cupboard');
    const views = [...VIEWS, '/transfer'].map((v) => `/queens/${id}${v}`);
    for (const path of [...PAGES, '/scan', place, ...views]) {
      // words that were enlarged stay so
      await (text ? page.goto(demo.url + path) : visit(page, demo, path));
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      await expect(page.getByRole('heading', { name: 'One moment' })).toBeHidden();
      await expect(page.getByRole('status', { name: /^Loading/ })).toBeHidden();
      if (text) await page.evaluate(enlarge);
      await expect.poll(() => page.evaluate(unreachable), { message: `${how}: ${path}` }).toEqual([]);
    }
  });
}

test('at 195 px a look is written to its end', { tag: '@phone' }, async ({ page, demo }) => {
  const id = await demo.queenId('S1');
  await page.setViewportSize({ width: 195, height: 422 });
  await page.goto(`${demo.url}/queens/${id}/look`);
  await countBrood(page, { eggs: 8 });
  await keepLook(page);
  await expect(page.getByText(/eggs 8/).first()).toBeVisible();
});
