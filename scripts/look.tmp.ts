import { openBrowser } from './bench/chromium';
const url = 'http://127.0.0.1:4860';
const [,, ...args] = process.argv;
const { queens } = (await (await fetch(`${url}/api/queens`)).json()) as { queens: { id: string; label: string }[] };
const browser = await openBrowser();
for (const a of args) {
  const [path, size, scroll, name, click] = a.split('|');
  const real = path!.replace(/:(\w+)/, (_, l) => queens.find((q) => q.label === l)?.id ?? l);
  const ctx = await browser.newContext({ viewport: size === 'wide' ? { width: 1280, height: 800 } : { width: 390, height: 844 }, serviceWorkers: 'block', locale: 'en-GB' });
  const page = await ctx.newPage();
  page.on('pageerror', (e) => console.log('ERR', e.message));
  await page.addInitScript(() => localStorage.setItem('burrow.preferences', JSON.stringify({ appearance: 'paper' })));
  await page.goto(url + real, { waitUntil: 'networkidle' });
  await page.evaluate(() => document.fonts.ready);
  if (click) for (const c of click.split(';')) { await page.getByRole('button', { name: c }).first().click(); await page.waitForTimeout(300); }
  await page.getByRole('region').last().evaluate((e, y) => (e.scrollTop = y), Number(scroll));
  await page.waitForTimeout(900);
  await page.screenshot({ path: `/tmp/shots/${name}.png` });
  await ctx.close();
}
await browser.close();
