import { fireEvent, screen, waitFor, act } from '@testing-library/react';
import { drop, outboxItems } from '@/data/outbox';
import { undoLast } from '@/ui/undo';
import { madeQueen, PretendServer, show } from '../../../test/kit';
import { FeedPage } from './FeedPage';

afterEach(async () => {
  for (const i of outboxItems()) await drop(i.id);
  localStorage.clear();
});

const tick = (name: RegExp) => fireEvent.click(screen.getByRole('checkbox', { name }));

test('three are fed at once by six taps, and undone by one', async () => {
  const server = new PretendServer(['A', 'B', 'C', 'D'].map((l) => madeQueen(l, 30)));
  show(<FeedPage />);
  // nobody is fed whom the keeper did not tick; one tap led here
  await screen.findByRole('checkbox', { name: /^A,/, checked: false });
  const keep = () => screen.getByRole('button', { name: /^Keep/ });
  expect(keep().getAttribute('aria-disabled')).toBe('true');
  tick(/^A,/);
  tick(/^B,/);
  tick(/^D,/);
  fireEvent.click(screen.getByRole('radio', { name: 'Sugar' }));
  expect(keep().textContent).toContain('Keep 3 feeds');
  // a hasty second press is not a second meal
  fireEvent.click(keep());
  fireEvent.keyDown(document.body, { key: 'Enter', ctrlKey: true });
  await waitFor(() => expect(server.bodiesOf('/entries')).toHaveLength(3));
  const fed = server.bodiesOf('/entries') as {
    kind: string;
    food: string;
    queenId: string;
    outcome: string;
  }[];
  expect(fed.every((e) => e.kind === 'feed' && e.food === 'sugar' && e.outcome === 'offered')).toBe(true);
  const ids = ['A', 'B', 'D'].map((l) => server.queens.find((q) => q.queen.label === l)?.queen.id);
  expect(fed.map((e) => e.queenId).sort()).toEqual([...ids].sort());
  await act(async () => {
    await undoLast();
  });
  await waitFor(() => expect(server.bodiesOf('/entries')).toHaveLength(6));
  expect(server.bodiesOf('/entries').slice(3)).toMatchObject(
    Array.from({ length: 3 }, () => ({ kind: 'amendment', replacement: null })),
  );
});

test('a day before one of them was there is refused, and what was ticked stays when it is left', async () => {
  new PretendServer([madeQueen('Old', 60), madeQueen('Young', 5)]);
  const first = show(<FeedPage />);
  await screen.findByRole('checkbox', { name: /^Old,/ });
  tick(/^Old,/);
  tick(/^Young,/);
  fireEvent.click(screen.getByRole('radio', { name: 'Seeds' }));
  fireEvent.click(screen.getByRole('radio', { name: 'Another day' }));
  const tenDaysAgo = new Date(Date.now() - 10 * 86_400_000).toISOString().slice(0, 10);
  fireEvent.change(screen.getByLabelText('Day'), { target: { value: tenDaysAgo } });
  expect(screen.getByRole('alert').textContent).toMatch(/Choose that day or a later one/);
  expect(screen.getByRole('button', { name: 'Keep 2 feeds' }).getAttribute('aria-disabled')).toBe('true');
  first.unmount();
  show(<FeedPage />);
  expect(await screen.findByRole('checkbox', { name: /^Young,/, checked: true })).toBeTruthy();
});
