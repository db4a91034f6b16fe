import type { Page } from '@playwright/test';
import { expect, seriousFaults, test, toView, testOffline } from '../burrow';

interface Detail {
  view: {
    ledger: { broodMoves: { way: string; counts: object }[]; counts: { pupae: { range: object } | null } };
  };
}

const DEED = 'Brood given or received';
const open = (page: Page) => page.getByRole('button', { name: DEED, exact: true }).click();
const keep = (page: Page) => page.getByRole('button', { name: 'Keep in both logs', exact: true });

test('pupae of a colony with workers are given to a sister: both logs say so, and one undo takes it out of both', async ({
  page,
  demo,
}) => {
  const [t1, t3] = [await demo.queenId('T1'), await demo.queenId('T3')];
  const moves = async (id: string) =>
    (await demo.api<Detail>(`/queens/${id}`)).view.ledger.broodMoves.map((m) => m.way);
  await page.goto(`${demo.url}/queens/${t3}`);
  await open(page);
  await page.getByRole('radio', { name: /^T1/ }).click();
  // neither is certain to be of the same kind: a caution, and no bar
  await expect(page.getByText(/the kind is not certain/)).toBeVisible();
  await expect(keep(page)).toBeDisabled();
  await page.getByRole('textbox', { name: 'Pupae' }).fill('400');
  await expect(page.getByText(/at most \d+ pupae at T1.*Count again/)).toBeVisible();
  await expect(keep(page)).toBeDisabled();
  await page.getByRole('textbox', { name: 'Pupae' }).fill('3');
  await page.getByRole('button', { name: 'How brood is moved' }).click();
  await expect(page.getByText(/Never freeze them/)).toBeVisible();
  await page.getByRole('textbox', { name: 'Chilled, minutes' }).fill('4');
  expect(await seriousFaults(page)).toEqual([]);
  await keep(page).click();
  await expect(page.getByText('3 pupae: kept in both logs.')).toBeVisible();
  await expect.poll(() => moves(t3)).toEqual(['received']);
  await expect.poll(() => moves(t1)).toEqual(['given', 'given']);
  await expect(page.getByText(/3 pupae came/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => moves(t3)).toEqual([]);
  await expect.poll(() => moves(t1)).toEqual(['given']);
});

test(
  'what was given is put right in the log of one, and stands right in that of the other',
  { tag: '@phone' },
  async ({ page, demo }) => {
    const [t1, t5] = [await demo.queenId('T1'), await demo.queenId('T5')];
    const counts = async (id: string) =>
      (await demo.api<Detail>(`/queens/${id}`)).view.ledger.broodMoves.map((m) => m.counts);
    await page.goto(`${demo.url}/queens/${t5}`);
    await expect(page.getByText(/4 pupae came/).first()).toBeVisible();
    await toView(page, 'Log');
    await expect(page.getByText('4 pupae from T1, chilled for 4 minutes')).toBeVisible();
    await page.getByRole('button', { name: /^Put right: Brood moved/ }).click();
    await page.getByRole('textbox', { name: 'Pupae' }).fill('5');
    await page.getByRole('button', { name: 'Keep the correction' }).click();
    await expect.poll(() => counts(t1)).toEqual([{ pupae: 5 }]);
    await expect.poll(() => counts(t5)).toEqual([{ pupae: 5 }]);
    await page.goto(`${demo.url}/queens/${t1}/log`);
    await expect(page.getByText('5 pupae given to T5, chilled for 4 minutes')).toBeVisible();
    await page.getByRole('button', { name: /^Take back: Brood moved/ }).click();
    await expect.poll(() => counts(t5)).toEqual([]);
    await expect.poll(() => counts(t1)).toEqual([]);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect.poll(() => counts(t5)).toEqual([{ pupae: 5 }]);
  },
);

testOffline(
  'without a connection it waits whole, and is sent whole',
  { tag: '@phone' },
  async ({ page, demo }) => {
    const [t1, t3] = [await demo.queenId('T1'), await demo.queenId('T3')];
    await page.goto(`${demo.url}/queens/${t3}`);
    await page.evaluate(() => navigator.serviceWorker.ready);
    await open(page);
    await page.getByRole('radio', { name: /^T1/ }).click();
    await expect(page.getByText(/the kind is not certain/)).toBeVisible();
    await demo.stop();
    await page.getByRole('textbox', { name: 'Pupae' }).fill('3');
    await keep(page).click();
    await expect(page.getByText(/1 entry is kept here and will be sent later/)).toBeVisible();
    await expect(page.getByText(/3 pupae came/).first()).toBeVisible();
    await demo.start();
    await expect(page.getByText(/kept here/)).toBeHidden();
    for (const [id, way] of [
      [t3, 'received'],
      [t1, 'given'],
    ] as const)
      await expect
        .poll(async () => (await demo.api<Detail>(`/queens/${id}`)).view.ledger.broodMoves.at(-1))
        .toMatchObject({ way, counts: { pupae: 3 } });
  },
);

test(
  'by keyboard: the brood of a dead queen, with the risk that it is',
  { tag: '@wide' },
  async ({ page, demo }) => {
    const a1 = await demo.queenId('A1');
    await page.goto(`${demo.url}/queens/${a1}`);
    await page.getByRole('button', { name: DEED, exact: true }).focus();
    await page.keyboard.press('Enter');
    const other = page.getByRole('radiogroup', { name: 'Given to' });
    await expect(other.getByRole('radio')).toHaveCount(1);
    await other.getByRole('radio').focus();
    await page.keyboard.press('Space');
    await expect(page.getByText(/Why its queen died is not known for sure/)).toBeVisible();
    await page.getByRole('textbox', { name: 'Pupae' }).focus();
    await page.keyboard.type('3');
    await expect(keep(page)).toBeEnabled();
  },
);
