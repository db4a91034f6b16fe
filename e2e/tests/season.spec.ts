import { usualTube } from '@gentle-burrow/core/tube';
import type { Page } from '@playwright/test';
import { v7 } from 'uuid';
import { addDays } from '@gentle-burrow/core/quantity';
import { type Milestone } from '@gentle-burrow/core/species';
import { speciesProfile } from '@gentle-burrow/core/species/catalogue';
import { plainGenerator, simulateQueen } from '@gentle-burrow/core/world';
import { countBrood, expect, seriousFaults, test, type Burrow, type Counts, toView, travel } from '../burrow';

interface Detail {
  entries: { kind: string; at: string }[];
  view: {
    ledger: { looksSpent: number; appearances: Record<Milestone, { interval: { by: string | null } }> };
    outlook: {
      events: Record<Milestone, { status: string; band: { p10: string; p50: string; p90: string } }>;
    } | null;
    learnedFrom: { kind: number; genus: number };
  };
}
interface Row {
  queen: { id: string; label: string };
  pressure: string;
  due: { notBefore: string; notAfter: string }[];
}

const START = '2026-05-10T17:00:00.000Z';
const TEMP_C = 25;
const KINDS = ['tetramorium-immigrans', 'camponotus-vagus', 'messor-structor'] as const;
const STAGES = ['eggs', 'larvae', 'pupae', 'workers'] as const;

interface Queen {
  id: string;
  label: string;
  /** Days after the start on which eggs, larvae, pupae and workers come, in truth. */
  truth: number[];
}

/** Ten queens caught on one evening; what each will do is drawn once and for all, apart from the outlook. */
async function tenQueens(burrow: Burrow): Promise<Queen[]> {
  const random = plainGenerator(20260510);
  const place = { id: v7(), name: 'Season shelf', tempC: TEMP_C, roomRelHumidity: 0.5, winter: null };
  const queens: Queen[] = [];
  for (let i = 0; i < 10; i++) {
    const kind = KINDS[i % 3] as string;
    const home = { ...usualTube(v7(), START), waterLineMm: 95 };
    const label = `Q${i + 1}`;
    const id = v7();
    const queen = {
      id,
      label,
      batch: 'Season',
      homeId: home.id,
      placeId: place.id,
      lookingSchool: null,
      createdAt: START,
    };
    const intake = {
      kind: 'intake',
      id: v7(),
      queenId: id,
      at: START,
      loggedAt: START,
      found: 'walking',
      wings: 'dealate',
      species: { profileId: kind, sure: 'certain' },
    };
    await burrow.send('POST', '/queens', { queen, home, place, intake });
    queens.push({ id, label, truth: simulateQueen(speciesProfile(kind), TEMP_C, random) });
  }
  return queens;
}

/** What a look on a day of the season finds: brood moves on, over about a week. */
function foundOn(truth: readonly number[], day: number): Required<Counts> {
  const [eggs = 0, larvae = 0, pupae = 0, workers = 0] = truth;
  return {
    eggs: day >= eggs && day < larvae + 7 ? 8 : 0,
    larvae: day >= larvae && day < pupae + 7 ? 6 : 0,
    pupae: day >= pupae && day < workers + 7 ? 5 : 0,
    workers: day < workers ? 0 : day < workers + 7 ? 5 : 10,
  };
}

/** Goes round by the screen: counts where something has changed, one tap where nothing has. */
async function goRound(page: Page, burrow: Burrow, queens: Queen[], last: Map<string, string>, day: number) {
  await page.goto(`${burrow.url}/round`);
  // the shelf of today, not the one that was kept of the last visit
  await expect(page.getByText(`${queens.length} tubes may be looked at`)).toBeVisible();
  await page.getByRole('button', { name: 'Begin' }).click();
  for (;;) {
    const heading = page.getByRole('heading', { level: 1, name: /, \d+ of \d+$|The round is over/ });
    const title = (await heading.textContent()) ?? '';
    if (title.startsWith('The round')) break;
    const queen = queens.find((q) => title.startsWith(`${q.label},`)) as Queen;
    const found = foundOn(queen.truth, day);
    if (last.get(queen.id) === JSON.stringify(found))
      await page.getByRole('button', { name: 'No change' }).click();
    else {
      await countBrood(page, found);
      await page.getByRole('button', { name: 'Keep, next' }).click();
    }
    last.set(queen.id, JSON.stringify(found));
    await expect(heading).not.toHaveText(title);
  }
  await expect(page.getByText(/Now shut the drawer/)).toBeVisible();
  // what was kept has been sent
  await expect.poll(() => page.evaluate(unsent)).toBe(0);
}

/** What still waits in the browser. */
function unsent(): Promise<number> {
  return new Promise((resolve, reject) => {
    const open = indexedDB.open('burrow-outbox');
    open.onerror = () => reject(open.error ?? new Error('no outbox'));
    open.onsuccess = () => {
      const db = open.result;
      const [name] = db.objectStoreNames;
      const count = db
        .transaction(name as string)
        .objectStore(name as string)
        .count();
      count.onsuccess = () => {
        db.close();
        resolve(count.result);
      };
    };
  });
}

test(
  'ten queens over a season: few looks, few visits, and bands that hold',
  { tag: '@phone' },
  async ({ page, burrow }) => {
    test.setTimeout(900_000);
    await travel(page, burrow, START);
    // the season that is gone through is a northern one
    await burrow.send('PUT', '/settings', { hemisphere: 'north' });
    const queens = await tenQueens(burrow);
    const last = new Map(queens.map((q) => [q.id, JSON.stringify(foundOn(q.truth, 0))]));

    await page.goto(burrow.url);
    await expect(page.getByText(/^Nothing needs you until .*\. Leave the drawer shut\.$/)).toBeVisible();
    const early = new Map<string, { p10: string; p90: string }>();

    for (const day of [15, 30, 45, 60, 75, 90]) {
      const at = addDays(START, day);
      await travel(page, burrow, at);
      await goRound(page, burrow, queens, last, day);
      for (const q of queens) {
        const { view } = await burrow.api<Detail>(`/queens/${q.id}`);
        // nothing is seen before it is there
        STAGES.forEach((stage, k) => {
          const { by } = view.ledger.appearances[stage].interval;
          if (by)
            expect(Date.parse(by)).toBeGreaterThanOrEqual(
              Date.parse(addDays(START, q.truth[k] as number)) - 60_000,
            );
        });
        const workers = view.outlook?.events.workers;
        if (workers?.status === 'ahead' && day === 30) early.set(q.id, workers.band);
        if (workers?.status === 'ahead')
          expect(workers.band.p90 > at, `${q.label}, day ${day}: ${JSON.stringify(workers.band)}`).toBe(true);
      }
      if (day === 30) {
        // as few visits as the windows allow: no more than one for each, and all within them
        const { rows } = await burrow.api<{ rows: Row[] }>('/shelf');
        const windows = rows.flatMap((r) => r.due);
        await page.goto(burrow.url);
        const said = (await page.getByText(/visits? in the next three months/).textContent()) ?? '';
        const visits = Number(/^\d+/.exec(said)?.[0] ?? (said.startsWith('One') ? 1 : NaN));
        expect(windows.length).toBeGreaterThanOrEqual(10);
        expect(visits).toBeLessThan(windows.length);
        expect(await seriousFaults(page)).toEqual([]);
      }
    }

    // one dies, and why is only guessed; her workers, if any, live on
    const dead = queens[9] as Queen;
    await page.goto(`${burrow.url}/queens/${dead.id}`);
    await page.getByRole('button', { name: /Loss$/ }).click();
    await page.getByRole('radio', { name: 'Died', exact: true }).click();
    await page.getByRole('radio', { name: 'Mould' }).click();
    await page.getByRole('radio', { name: 'A guess' }).click();
    await page.getByRole('button', { name: 'Keep this loss' }).click();
    await toView(page, 'Log');
    await expect(page.getByText(/died, mould, a guess/).first()).toBeVisible();
    await toView(page, 'Now');
    if ((dead.truth[3] as number) < 90)
      await expect(page.getByText(/Without a queen since/).first()).toBeVisible();

    // the bands told on day 30 held most of the truths, as four in five should
    const held = queens.filter((q) => {
      const band = early.get(q.id);
      const came = addDays(START, q.truth[3] as number);
      return band && band.p10 <= came && came <= band.p90;
    });
    expect(early.size).toBeGreaterThanOrEqual(8);
    expect(held.length / early.size).toBeGreaterThanOrEqual(0.6);

    // fortnightly looks and no more; sisters have learned from one another
    const details = await Promise.all(queens.map((q) => burrow.api<Detail>(`/queens/${q.id}`)));
    for (const d of details) expect(d.view.ledger.looksSpent).toBeLessThanOrEqual(6);
    expect(Math.max(...details.map((d) => d.view.learnedFrom.kind))).toBeGreaterThanOrEqual(2);

    await page.goto(`${burrow.url}/cohort`);
    await page.getByRole('radio', { name: 'All together' }).click();
    await expect(page.getByText(/10 queens, 1 died/)).toBeVisible();
    expect(await seriousFaults(page)).toEqual([]);
    const feed = await (await fetch(`${burrow.url}/api/agenda.ics`)).text();
    expect(feed).toMatch(/^BEGIN:VCALENDAR/);
    expect(feed.match(/BEGIN:VEVENT/g)?.length).toBeGreaterThan(0);
  },
);
