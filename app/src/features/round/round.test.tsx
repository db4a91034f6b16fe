import type { EntryBody, Entry } from '@gentle-burrow/core/log';
import { shelfRow, queenView } from '@gentle-burrow/core/view';
import { router } from 'expo-router';
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { drop, outboxItems } from '@/data/outbox';
import { daysAgo, madeQueen, PretendServer, SETTINGS, show } from '../../../test/kit';
import { begin, changes, current, isTold, noChange } from './round';
import { LookPage } from '@/features/look/LookPage';
import { undoLast } from '@/ui/undo';
import { RoundPage } from './RoundPage';

const worker = { postMessage: jest.fn(), terminate: jest.fn() };
(globalThis as { Worker?: unknown }).Worker ??= jest.fn(() => worker);

afterEach(async () => {
  for (const i of outboxItems()) await drop(i.id);
  localStorage.clear();
});

const look = (ago: number, eggs: number): EntryBody => ({
  kind: 'look',
  at: daysAgo(ago),
  queen: 'seen',
  eggs: { low: eggs, high: eggs },
  wetFront: 'right',
});
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const rowOf = (q: ReturnType<typeof madeQueen>) => {
  const now = new Date().toISOString();
  return shelfRow(q, queenView(q, SETTINGS, now, { draws: 300 }));
};

test('twenty tubes without change: one tap each, and one to begin', async () => {
  const queens = Array.from({ length: 20 }, (_, i) => madeQueen(`Q${i + 1}`, 60, [look(30, 6)]));
  const server = new PretendServer(queens);
  show(<RoundPage />);
  let taps = 0;
  const tap = async (name: string) => {
    const words = await screen.findByText(name);
    // a tube is not written about before her newest log is there
    await waitFor(() => expect(words.closest('[aria-disabled="true"], [disabled]')).toBeNull());
    fireEvent.click(words);
    taps++;
  };
  await screen.findByText(/20 tubes may be looked at/);
  await tap('Begin');
  for (let i = 1; i <= 20; i++) {
    // by text: looking twenty times through all roles of a page takes a minute in jsdom
    await screen.findByText(new RegExp(`, ${i} of 20$`));
    await tap('No change');
  }
  await screen.findByRole('heading', { name: 'The round is over' });
  expect(taps).toBe(21);
  await waitFor(() => expect(server.bodiesOf('/entries')).toHaveLength(20));
  expect(server.bodiesOf('/entries')[0]).toMatchObject({
    kind: 'look',
    queen: 'seen',
    eggs: { low: 6, high: 6 },
  });
  expect(server.bodiesOf('/entries')[0]).not.toHaveProperty('waterLineMm');
}, 300_000);

test('left and gone on with where it stood; one tube left out, one counted', async () => {
  const server = new PretendServer([madeQueen('A', 60, [look(30, 6)]), madeQueen('B', 60, [look(30, 4)])]);
  const first = show(<RoundPage />);
  fireEvent.click(await screen.findByRole('button', { name: 'Begin' }));
  await screen.findByRole('heading', { name: /, 1 of 2$/ });
  fireEvent.click(await screen.findByRole('button', { name: 'Leave her out' }));
  await screen.findByRole('heading', { name: /, 2 of 2$/ });
  first.unmount();
  show(<RoundPage />);
  await screen.findByRole('heading', { name: /, 2 of 2$/ });
  press('3 eggs');
  press('Keep, next');
  await screen.findByText('One tube was looked at. Now shut the drawer.');
  await waitFor(() => expect(server.bodiesOf('/entries')).toHaveLength(1));
  expect(server.bodiesOf('/entries')[0]).toMatchObject({ eggs: { low: 3, high: 3 }, queen: 'seen' });
});

test('those at rest are left out unless the keeper says otherwise', async () => {
  new PretendServer([madeQueen('A', 2)]);
  show(<RoundPage />);
  expect(await screen.findByText(/All rest. The kindest round is none/)).toBeTruthy();
  press('With those at rest too');
  expect(await screen.findByRole('heading', { name: 'A, 1 of 1' })).toBeTruthy();
});

test('leftovers out and a feed are part of a card, and undone with it', async () => {
  const offered: EntryBody = { kind: 'feed', at: daysAgo(2), food: 'sugar', outcome: 'offered' };
  const server = new PretendServer([madeQueen('A', 60, [look(30, 6), offered])]);
  show(<RoundPage />);
  fireEvent.click(await screen.findByRole('button', { name: /^(Begin|With those)/ }));
  await screen.findByRole('heading', { name: 'A, 1 of 1' });
  fireEvent.click(screen.getByRole('radio', { name: 'Taken out' }));
  fireEvent.click(
    within(screen.getByRole('radiogroup', { name: 'Fed now' })).getByRole('radio', { name: 'Protein' }),
  );
  press('No change');
  await waitFor(() => expect(server.bodiesOf('/entries')).toHaveLength(3));
  expect(server.bodiesOf('/entries')).toMatchObject([
    { kind: 'look', text: 'no change' },
    { kind: 'feed', food: 'sugar', outcome: 'removed', offerId: expect.any(String) as string },
    { kind: 'feed', food: 'protein', outcome: 'offered' },
  ]);
  await act(async () => {
    await undoLast();
  });
  await waitFor(() => expect(server.bodiesOf('/entries')).toHaveLength(6));
  expect(await screen.findByRole('heading', { name: 'A, 1 of 1' })).toBeTruthy();
});

test('counts go along to the look’s own page; a look kept there is not asked for again', async () => {
  const [a, b] = [madeQueen('A', 60, [look(30, 6)]), madeQueen('B', 60, [look(30, 4)])];
  new PretendServer([a, b]);
  const round = show(<RoundPage />);
  fireEvent.click(await screen.findByRole('button', { name: 'Begin' }));
  const head = await screen.findByRole('heading', { name: /, 1 of 2$/ });
  const { id } = (head.textContent?.startsWith('A,') ? a : b).queen;
  press('3 eggs');
  round.unmount();
  const page = show(<LookPage id={id} />);
  expect(await screen.findByRole('tab', { name: 'eggs, 3' })).toBeTruthy();
  press('Keep this look');
  press('Nothing else in there');
  await waitFor(() => expect(router.replace).toHaveBeenCalled());
  page.unmount();
  show(<RoundPage />);
  await screen.findByRole('heading', { name: /, 2 of 2$/ });
});

describe('the round itself', () => {
  test('no change claims what was counted before, and no water line that nobody read', () => {
    const q = madeQueen('A', 60, [look(30, 6)]);
    const now = new Date().toISOString();
    const body = noChange(queenView(q, SETTINGS, now, { draws: 300 }), now);
    expect(body).toMatchObject({ eggs: { low: 6, high: 6 }, wetFront: 'right', text: 'no change' });
    expect(body).not.toHaveProperty('waterLineMm');
    // caught alone, she had none, and has none still
    expect(body).toMatchObject({ pupae: { low: 0, high: 0 } });
  });
  test('what it changed is told by how far the outlook moved', () => {
    const q = madeQueen('A', 60, [look(30, 6)]);
    const round = begin([rowOf(q)], new Date().toISOString());
    expect(current(round)).toBe(q.queen.id);
    const late: EntryBody = { ...look(0.01, 6), larvae: { low: 0, high: 0 } } as EntryBody;
    const after = {
      ...q,
      entries: [
        ...q.entries,
        { ...late, id: q.entries[0]!.id.replace(/.$/, '0'), queenId: q.queen.id, loggedAt: late.at } as Entry,
      ],
    };
    const done = { ...round, done: { [q.queen.id]: 'looked' as const } };
    expect(current(done)).toBeNull();
    // told this evening, no more a fortnight later
    expect(isTold(done, new Date())).toBe(false);
    expect(isTold(done, new Date(Date.now() + 14 * 86_400_000))).toBe(true);
    expect(isTold(round, new Date(Date.now() + 14 * 86_400_000))).toBe(false);
    const [change] = changes(done, [rowOf(after)], (at) => at.slice(0, 10));
    expect(change?.says).toMatch(/larvae \d+ days later, about \d{4}/);
  });
});
