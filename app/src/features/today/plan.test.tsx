import { dueAt } from '@gentle-burrow/core/agenda';
import type { EntryBody } from '@gentle-burrow/core/log';
import { queenView, shelfRow } from '@gentle-burrow/core/view';
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { undoLast } from '@/ui/undo';
import { CohortPage } from '@/features/cohort/CohortPage';
import { drop, outboxItems } from '@/data/outbox';
import { daysAgo, madeQueen, PretendServer, SETTINGS, show } from '../../../test/kit';
import { planOf, toPrepare } from './plan';
import { Plan } from './Plan';

afterEach(async () => {
  for (const i of outboxItems()) await drop(i.id);
  localStorage.clear();
});

const look = (ago: number, body: Partial<Extract<EntryBody, { kind: 'look' }>> = {}): EntryBody => ({
  kind: 'look',
  at: daysAgo(ago),
  queen: 'seen',
  ...body,
});
/** A queen that can wait: water only. */
const waiting = (label: string) => {
  const q = madeQueen(label, 3);
  const [intake] = q.entries;
  if (intake?.kind === 'intake') intake.species = { profileId: 'messor-structor', sure: 'certain' };
  return q;
};
const workers = (ago: number) => look(ago, { workers: { low: 5, high: 5 } });
const rowsOf = (...queens: ReturnType<typeof madeQueen>[]) => {
  const now = new Date().toISOString();
  return queens.map((q) => shelfRow(q, queenView(q, SETTINGS, now, { draws: 300 })));
};

describe('the plan of a shelf', () => {
  test('who is wanted today does not rest today', () => {
    const rows = rowsOf(waiting('A'), madeQueen('B', 80, [workers(20)]));
    const plan = planOf(rows, { weekdays: [], absences: [] }, new Date());
    expect(plan.resting.map((r) => r.row.queen.label)).toEqual(['A']);
    // until her first look, two weeks after she was taken in
    expect(plan.resting[0]!.until! >= new Date(Date.now() + 10 * 86_400_000).toISOString().slice(0, 10)).toBe(
      true,
    );
    expect(plan.visits[0]?.windows.map((w) => w.queenId)).toContain(rows[1]?.queen.id);
  });
  test('what to have ready is said once', () => {
    const rows = rowsOf(madeQueen('A', 80, [workers(20)]), madeQueen('B', 80, [workers(20)]));
    const list = toPrepare(rows.flatMap(dueAt));
    expect(new Set(list).size).toBe(list.length);
    expect(list).toContain('foil');
  });
});

test('visits with what to prepare, then all that rests; my days are kept', async () => {
  const server = new PretendServer([waiting('A'), madeQueen('B', 80, [workers(20)])]);
  show(<Plan />);
  expect(await screen.findByText(/in the next three months; the next today/)).toBeTruthy();
  expect(screen.getAllByText(/^Have ready: .*sugar water/).length).toBeGreaterThan(0);
  fireEvent.click(screen.getByRole('button', { name: 'At rest: 1 tube' }));
  expect(screen.getByText(/^A: until/)).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: /My days/ }));
  fireEvent.click(screen.getByRole('button', { name: 'Sun' }));
  await waitFor(() => expect(server.bodiesOf('/settings')).toMatchObject([{ weekdays: [0] }]));
});

/** A must-eat queen whose sugar of yesterday nobody has spoken of. */
const withSugar = () =>
  madeQueen('M', 40, [
    look(20, { eggs: { low: 5, high: 5 } }),
    { kind: 'feed', at: daysAgo(1), food: 'sugar', outcome: 'offered', spot: 'cell', way: 'drop' },
  ]);

test('a deed is answered where it is asked, by one tap, and that is undone', async () => {
  const q = withSugar();
  const server = new PretendServer([q]);
  show(<Plan />);
  fireEvent.click(await screen.findByRole('button', { name: 'M: Taken out' }));
  await waitFor(() => expect(server.bodiesOf('/entries')).toHaveLength(1));
  const offer = q.entries.find((e) => e.kind === 'feed');
  expect(server.bodiesOf('/entries')[0]).toMatchObject({
    kind: 'feed',
    food: 'sugar',
    outcome: 'removed',
    offerId: offer?.id,
  });
  await act(async () => {
    await undoLast();
  });
  await waitFor(() => expect(server.bodiesOf('/entries')).toHaveLength(2));
  expect(server.bodiesOf('/entries')[1]).toMatchObject({ kind: 'amendment', replacement: null });
});

test('what is put off is asked about later, on this device, and at once when the keeper wishes', async () => {
  const server = new PretendServer([withSugar()]);
  show(<Plan />);
  const answer = await screen.findByRole('button', { name: 'M: Taken out' });
  const group = within(answer.closest('[role="group"]') as HTMLElement);
  fireEvent.click(group.getByRole('button', { name: 'M: later' }));
  await waitFor(() => expect(screen.queryByRole('button', { name: 'M: Taken out' })).toBeNull());
  expect(server.bodiesOf('/entries')).toEqual([]);
  fireEvent.click(screen.getByRole('button', { name: /^Put off: 1 deed/ }));
  fireEvent.click(screen.getByRole('button', { name: 'Ask me now' }));
  expect(await screen.findByRole('button', { name: 'M: Taken out' })).toBeTruthy();
});

test('of a large visit the first deeds are told on a phone, and all of them when they are asked for', async () => {
  new PretendServer(Array.from({ length: 9 }, (_, k) => madeQueen(`B${k}`, 80, [workers(20)])));
  show(<Plan />);
  const all = await screen.findByRole('button', { name: /^All \d+ of this visit$/ });
  const n = Number(/\d+/.exec(all.textContent ?? '')?.[0]);
  expect(n).toBeGreaterThanOrEqual(9);
  expect(screen.getAllByRole('link', { name: /^To B\d/ })).toHaveLength(4);
  fireEvent.click(all);
  expect(screen.getAllByRole('link', { name: /^To B\d/ })).toHaveLength(n);
});

test('the cohort says plainly that a few queens carry no ranking', async () => {
  const died: EntryBody = { kind: 'loss', at: daysAgo(10), how: 'died', cause: 'unknown' };
  new PretendServer([madeQueen('A', 40), madeQueen('B', 60, [died])]);
  show(<CohortPage />);
  expect(await screen.findByText(/Too few queens to say anything/)).toBeTruthy();
  fireEvent.click(screen.getByRole('radio', { name: 'All together' }));
  // a line in a table, and no curve of two
  expect(await screen.findByRole('row', { name: /All queens.*2.*1/ })).toBeTruthy();
  expect(screen.queryByRole('img')).toBeNull();
});
