import { fork, spawn, type ChildProcess } from 'node:child_process';
import { cpSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { plainGenerator } from '@gentle-burrow/core/world';
import { test as base, expect, type Locator, type Page } from '@playwright/test';
import { clockMs, setClock, START } from './clock';

const root = fileURLToPath(new URL('..', import.meta.url));
const template = (demo: boolean) => join(root, 'e2e', 'test-results', demo ? 'demo-data' : 'empty-data');
const axeSource = `${readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')};0`;

/** The process in which most tests' servers live, each on a directory of its own; one a worker. */
class Host {
  private static running: Host | null = null;
  private readonly process = fork(join(root, 'e2e', 'host.mjs'), { silent: true });
  private readonly asked = new Map<number, (fault?: string) => void>();
  private said = '';

  private constructor() {
    this.process.stdout?.on('data', (d: Buffer) => (this.said += d.toString()));
    this.process.stderr?.on('data', (d: Buffer) => (this.said += d.toString()));
    this.process.on('message', ({ id, fault }: { id: number; fault?: string }) =>
      this.asked.get(id)?.(fault),
    );
    this.process.on('exit', () => {
      Host.running = null;
      for (const answer of this.asked.values()) answer('The host ended.');
    });
  }

  static get(): Host {
    return (Host.running ??= new Host());
  }

  async ask(deed: 'start' | 'stop', what: object): Promise<void> {
    const id = this.asked.size;
    const fault = await new Promise<string | undefined>((resolve) => {
      this.asked.set(id, resolve);
      this.process.send({ id, deed, ...what });
    });
    if (fault) throw new Error(`${fault}\n${this.said}`);
  }
}

/** The real server on a real PGlite directory of its own, which can be stopped, killed and started again. */
export class Burrow {
  private process: ChildProcess | null = null;
  private hosted = false;
  said = '';
  private constructor(
    readonly folder: string,
    private port: number,
    private readonly demo: boolean,
    /** In a process of its own, which can be killed. */
    private readonly alone: boolean,
  ) {}

  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  static async open({ demo = false, alone = false } = {}): Promise<Burrow> {
    const folder = mkdtempSync(join(tmpdir(), 'burrow-e2e-'));
    // making a database takes seconds: each kind was made once and is copied
    cpSync(template(demo), folder, { recursive: true });
    const burrow = new Burrow(folder, await freePort(), demo, alone);
    // a port that was free may have been taken since by whatever else asks for one
    for (let tries = 0; ; tries++)
      try {
        await burrow.start();
        return burrow;
      } catch (error) {
        if (tries >= 3 || !/is taken by another program/.test(String(error))) throw error;
        burrow.port = await freePort();
      }
  }

  /** Makes what the directories of all tests begin with. */
  static async makeTemplate(demo: boolean): Promise<void> {
    const burrow = new Burrow(template(demo), await freePort(), demo, true);
    // what it writes is older than what the tests begin with
    setClock(new Date(Date.parse(START) - 600_000).toISOString());
    await burrow.start();
    // the keeper lives in the north; the demo's keeper where it is spring or summer
    if (!demo) await burrow.send('PUT', '/settings', { hemisphere: 'north' });
    // and the shelf stands as after a start of the day
    await burrow.api('/shelf');
    await burrow.stop();
  }

  async start(): Promise<void> {
    const { folder, port, demo } = this;
    if (this.alone) return this.startAlone();
    await Host.get().ask('start', { folder, port, demo, aheadMs: clockMs() - Date.now() });
    this.hosted = true;
  }

  private async startAlone(): Promise<void> {
    const server = spawn(process.execPath, [join(root, 'server', 'dist', 'main.js')], {
      env: {
        ...process.env,
        BURROW_DATA: this.folder,
        PORT: String(this.port),
        HOST: '127.0.0.1',
        DATABASE_URL: '',
        BURROW_DEMO: this.demo ? '1' : '',
        BURROW_NOW: new Date(clockMs()).toISOString(),
      },
    });
    this.process = server;
    this.said = '';
    server.stdout.on('data', (d: Buffer) => (this.said += d.toString()));
    server.stderr.on('data', (d: Buffer) => (this.said += d.toString()));
    // that it starts is asked here, not how soon; a little before the test's own limit it says why it did not
    for (const until = Date.now() + 150_000; Date.now() < until;) {
      if (server.exitCode !== null) throw new Error(`The server ended: ${this.said}`);
      const up = await fetch(`${this.url}/api/health`).then(
        (r) => r.ok,
        () => false,
      );
      if (up) return;
      await new Promise((r) => setTimeout(r, 100));
    }
    throw new Error(`The server did not start: ${this.said}`);
  }

  /** Nobody answers any more, whichever way. */
  async stop(): Promise<void> {
    if (this.hosted) await Host.get().ask('stop', { folder: this.folder });
    this.hosted = false;
    await this.end('SIGTERM');
  }

  /** Ends it in the midst of whatever it does; only one in a process of its own can be. */
  async kill(): Promise<void> {
    if (!this.alone) throw new Error('A server among others cannot be killed: open it alone.');
    await this.end('SIGKILL');
  }

  private async end(signal: 'SIGTERM' | 'SIGKILL'): Promise<void> {
    const server = this.process;
    this.process = null;
    if (!server || server.exitCode !== null) return;
    const gone = new Promise((r) => server.once('exit', r));
    server.kill(signal);
    await gone;
  }

  async close(): Promise<void> {
    await (this.alone ? this.kill() : this.stop());
    rmSync(this.folder, { recursive: true, force: true });
  }

  async api<T>(path: string): Promise<T> {
    return (await (await fetch(`${this.url}/api${path}`)).json()) as T;
  }

  async send(method: 'POST' | 'PUT', path: string, body: unknown): Promise<void> {
    const r = await fetch(`${this.url}/api${path}`, {
      method,
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    if (!r.ok) throw new Error(`${r.status}: ${await r.text()}`);
  }

  async queenId(label: string): Promise<string> {
    const { queens } = await this.api<{ queens: { id: string; label: string }[] }>('/queens');
    const queen = queens.find((q) => q.label === label);
    if (!queen) throw new Error(`no queen ${label}`);
    return queen.id;
  }
}

/** The address of a place's page. */
export async function placePath(burrow: Burrow, name: string): Promise<string> {
  const { places } = await burrow.api<{ places: { id: string; name: string }[] }>('/places');
  const place = places.find((p) => p.name === name);
  if (!place) throw new Error(`no place ${name}`);
  return `/places/${place.id}`;
}

/**
 * To another page. Once the application is there it stays and only its address changes, as when one goes back: loading it
 * anew for each of many pages takes a second every time.
 */
export async function visit(page: Page, burrow: Burrow, path: string): Promise<void> {
  if (!page.url().startsWith(burrow.url)) {
    await page.goto(burrow.url + path);
    return;
  }
  await page.evaluate((to) => {
    history.pushState(null, '', to);
    dispatchEvent(new PopStateEvent('popstate', { state: null }));
  }, path);
  // the application notes where it has been when it shows it; a page may have added its step
  await expect
    .poll(() =>
      page.evaluate(
        () => (JSON.parse(sessionStorage.getItem('burrow.trail') ?? '[]') as string[]).at(-1)?.split('?')[0],
      ),
    )
    .toBe(path);
}

/** To another moment: the server is started again in it, and the page lives in it. */
export async function travel(page: Page, burrow: Burrow, at: string): Promise<void> {
  await burrow.stop();
  setClock(at);
  await burrow.start();
  await page.clock.setSystemTime(clockMs());
}

async function freePort(): Promise<number> {
  const server = createServer().listen(0, '127.0.0.1');
  await new Promise((r) => server.once('listening', r));
  const { port } = server.address() as AddressInfo;
  await new Promise((r) => server.close(r));
  return port;
}

interface Fixtures {
  /** Every test begins at the same moment, in its page as in its server. */
  moment: void;
  /** Its server has a process of its own, which can be killed. */
  alone: boolean;
  /** An empty burrow. */
  burrow: Burrow;
  /** One with the demo in it. */
  demo: Burrow;
}

export const test = base.extend<Fixtures>({
  moment: [
    async ({ context }, use) => {
      setClock(START);
      await context.clock.setSystemTime(clockMs());
      await use();
    },
    { auto: true },
  ],
  alone: [false, { option: true }],
  burrow: async ({ alone, context }, use) => {
    const burrow = await Burrow.open({ alone });
    await use(burrow);
    // a page that is still asking would hold the server up for as long as it gives to whoever asks
    await context.close();
    await burrow.close();
  },
  demo: async ({ alone, context }, use) => {
    const burrow = await Burrow.open({ demo: true, alone });
    await use(burrow);
    await context.close();
    await burrow.close();
  },
  page: async ({ page }, use) => {
    const faults: string[] = [];
    page.on('pageerror', (e) => faults.push(e.message));
    // nobody taps in the very moment in which text takes its own face and lines break elsewhere: such a tap may miss
    const goto = page.goto.bind(page);
    page.goto = async (...to) => {
      const answer = await goto(...to);
      await page.evaluate(() => document.fonts.ready.then(() => undefined));
      return answer;
    };
    if (process.env.LATE) await answerLate(page, Number(process.env.LATE));
    await use(page);
    expect(faults, 'errors thrown in the page').toEqual([]);
  },
});

/** With `LATE=SEED` half of all answers come up to two seconds late: what only holds while they come at once is found so. */
async function answerLate(page: Page, seed: number): Promise<void> {
  const random = plainGenerator(seed);
  await page.route('**/api/**', async (route) => {
    if (random() < 0.5) await new Promise((r) => setTimeout(r, 2000 * random()));
    // the page may have been left meanwhile
    await route.continue().catch(() => {});
  });
}

/** With the application kept for offline, as a keeper's browser keeps it. */
export const testOffline = test.extend({ serviceWorkers: 'allow' });

/** With a server that can be killed. */
export const testKilled = test.extend({ alone: true });

export { expect };

interface AxeFinding {
  id: string;
  impact: string | null;
  nodes: { html: string; failureSummary: string }[];
}

const ALL = {
  type: 'tag',
  values: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'],
};
/** Those of them that look at colours. */
export const COLOURS = { type: 'rule', values: ['color-contrast', 'link-in-text-block'] };

/** Serious and critical faults by WCAG 2.2 AA, as axe-core finds them: all, or those that some rules find. */
export async function seriousFaults(page: Page, which = ALL): Promise<string[]> {
  // pages run no script but their own: this one is brought in from outside them
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axeSource);
  const found = await page.evaluate(async (runOnly) => {
    const { axe } = window as unknown as {
      axe: { run(o: object): Promise<{ violations: AxeFinding[] }> };
    };
    return (await axe.run({ runOnly })).violations;
  }, which);
  return found
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .flatMap((v) =>
      v.nodes.map((n) => `${v.id}: ${n.html.slice(0, 200)} — ${n.failureSummary.slice(0, 200)}`),
    );
}

/** A local calendar day so many days ago, as a date input takes it. */
export function dayAgo(days: number): string {
  const d = new Date(clockMs() - days * 86_400_000);
  return new Intl.DateTimeFormat('en-CA', { timeZone: process.env.BURROW_ZONE ?? 'Europe/Berlin' }).format(d);
}

export interface Counts {
  eggs?: number | [number, number];
  larvae?: number | [number, number];
  pupae?: number | [number, number];
  workers?: number | [number, number];
}

/** Counts brood on the pad by tapping numbers, as a thumb would. */
export async function countBrood(page: Page, counts: Counts): Promise<void> {
  for (const [stage, count] of Object.entries(counts)) {
    await page.getByRole('tab', { name: new RegExp(`^${stage}`) }).click();
    for (const n of [count].flat() as number[]) {
      const name = n === 0 ? `no ${stage}` : `${n} ${stage}`;
      await page.getByRole('button', { name, exact: true }).click();
    }
  }
}

/** All tubes of the shelf, which is shown: the first are drawn at once, the rest a moment after, on a phone when asked for. */
export async function allTubes(page: Page, burrow: Burrow): Promise<Locator> {
  const { queens } = await burrow.api<{ queens: unknown[] }>('/queens');
  const tubes = page.getByRole('main').getByRole('link');
  const all = page.getByRole('button', { name: /^Show all \d+ tubes/ });
  await expect(all.or(tubes.nth(queens.length - 1)).first()).toBeVisible();
  if (await all.isVisible()) await all.click();
  await expect(tubes).toHaveCount(queens.length);
  return tubes;
}

/** To another view of a colony's page. */
export async function toView(page: Page, view: 'Now' | 'Ahead' | 'Why' | 'Log'): Promise<void> {
  const link = page.getByRole('navigation', { name: 'Views of her' }).getByRole('link', { name: view });
  await link.click();
  await expect(link).toHaveAttribute('aria-current', 'page');
}

/** Finds a kind by its name and chooses it, in the picker of that name. */
export async function pickKind(page: Page, name: string, picker = 'Species'): Promise<void> {
  const group = page.getByRole('group', { name: picker, exact: true });
  await group.getByLabel('Search by Latin, former or everyday name').fill(name);
  await group.getByRole('radio', { name: new RegExp(`^${name},`) }).click();
}

/** On to the next step of taking a queen in. */
export async function nextTo(page: Page, question: string): Promise<void> {
  await page.getByRole('button', { name: 'Next' }).click();
  await expect(page.getByRole('heading', { name: question })).toBeVisible();
}

/** Keeps a look. Asked: of some stages nothing was noted, and nobody looked for them. */
export async function keepLook(page: Page, { asked = true } = {}): Promise<void> {
  await page.getByRole('button', { name: 'Keep this look' }).click();
  if (asked) await page.getByRole('button', { name: 'Not looked for' }).click();
}

/** Opens "log a look", fills it and keeps it. */
export async function logLook(
  page: Page,
  daysAgo: number,
  counts: Counts,
  more?: () => Promise<void>,
): Promise<void> {
  await page.getByRole('button', { name: 'Log a look' }).click();
  await expect(page.getByRole('heading', { name: 'What do you see?' })).toBeVisible();
  if (daysAgo > 0) {
    await page.getByRole('radio', { name: 'Another day' }).click();
    await page.getByLabel('Day of the look').fill(dayAgo(daysAgo));
  }
  await countBrood(page, counts);
  await more?.();
  const stages = Object.keys(counts).length;
  await keepLook(page, { asked: stages > 0 && stages < 4 });
  await expect(page.getByRole('heading', { name: /^How is/ })).toBeVisible();
}
