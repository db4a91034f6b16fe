import { twinId, type EntryBody } from '@gentle-burrow/core/log';
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { drop, outboxItems } from '@/data/outbox';
import { UndoBar } from '@/ui/UndoBar';
import { daysAgo, madeQueen, PretendServer, show } from '../../../../../test/kit';
import { Colony } from '../../../../../test/pages';

afterEach(async () => {
  for (const i of outboxItems()) await drop(i.id);
  localStorage.clear();
});

const n = (count: number) => ({ low: count, high: count });
const STRONG: EntryBody[] = [
  { kind: 'look', at: daysAgo(6), queen: 'seen', eggs: n(5), larvae: n(6), pupae: n(8), workers: n(30) },
];

async function page(strong = STRONG) {
  const vesper = madeQueen('Vesper', 30);
  const hazel = madeQueen('Hazel', 200, strong);
  const server = new PretendServer([vesper, hazel]);
  show(
    <>
      <Colony id={vesper.queen.id} />
      <UndoBar />
    </>,
  );
  await screen.findByRole('heading', { name: 'How is Vesper doing?' });
  fireEvent.click(screen.getByRole('button', { name: 'Brood given or received' }));
  return { server, vesper, hazel };
}

const count = (stage: string, text: string) =>
  fireEvent.change(screen.getByRole('textbox', { name: stage }), { target: { value: text } });
const keep = () => screen.getByRole('button', { name: 'Keep in both logs' });

test('brood of another is written into both logs at once, and one undo takes it out of both', async () => {
  const { server, vesper, hazel } = await page();
  fireEvent.click(screen.getByRole('radio', { name: 'Received' }));
  fireEvent.click(await screen.findByRole('radio', { name: /^Hazel/ }));
  count('Pupae', '6');
  await waitFor(() => expect(keep().getAttribute('aria-disabled')).not.toBe('true'));
  fireEvent.click(keep());
  await waitFor(() => expect(server.sent.filter((s) => s.path === '/entries')).toHaveLength(1));
  const [hers, theirs] = server.bodiesOf('/entries') as { id: string }[];
  expect(hers).toMatchObject({
    queenId: vesper.queen.id,
    way: 'received',
    otherId: hazel.queen.id,
    counts: { pupae: 6 },
  });
  expect(theirs).toMatchObject({
    queenId: hazel.queen.id,
    way: 'given',
    otherId: vesper.queen.id,
    counts: { pupae: 6 },
  });
  expect(theirs?.id).toBe(twinId(hers?.id ?? ''));
  fireEvent.click(await screen.findByRole('button', { name: 'Undo' }));
  await waitFor(() => expect(server.bodiesOf('/entries')).toHaveLength(4));
  expect(server.bodiesOf('/entries').slice(2)).toMatchObject([
    { kind: 'amendment', queenId: vesper.queen.id, amends: hers?.id, replacement: null },
    { kind: 'amendment', queenId: hazel.queen.id, amends: theirs?.id, replacement: null },
  ]);
});

test('brood out of nothing is said so, and is not kept', async () => {
  const { server } = await page();
  fireEvent.click(await screen.findByRole('radio', { name: /^Hazel/ }));
  count('Pupae', '60');
  expect(await screen.findByText(/at most 19 pupae at Hazel/)).toBeTruthy();
  fireEvent.click(keep());
  count('Pupae', '2.5');
  expect(await screen.findByText(/Count whole ones/)).toBeTruthy();
  fireEvent.click(keep());
  expect(server.bodiesOf('/entries')).toEqual([]);
});

test('a donor with mites is refused where she is chosen', async () => {
  await page([...STRONG, { kind: 'health', at: daysAgo(3), findings: ['mites'], quarantineUntil: null }]);
  fireEvent.click(await screen.findByRole('radio', { name: /^Hazel/ }));
  expect(await screen.findByText(/Mites or other parasites/)).toBeTruthy();
});

test('the chill is timed, and its minutes are filled in', async () => {
  await page();
  fireEvent.click(screen.getByRole('button', { name: 'How brood is moved' }));
  const steps = screen.getAllByRole('listitem').map((s) => s.textContent ?? '');
  expect(steps.join(' ')).toMatch(/Never freeze/);
  jest.useFakeTimers({ now: Date.now() });
  try {
    fireEvent.click(screen.getByRole('button', { name: 'They go into the cold' }));
    act(() => void jest.advanceTimersByTime(130_000));
    expect(within(screen.getByRole('timer')).getByText('In the cold for 2:10 minutes')).toBeTruthy();
    expect(screen.queryByText(/Look at them now/)).toBeNull();
    act(() => void jest.advanceTimersByTime(200_000));
    expect(screen.getByText(/Look at them now/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'They are out' }));
  } finally {
    jest.useRealTimers();
  }
  expect((screen.getByRole('textbox', { name: 'Chilled, minutes' }) as HTMLInputElement).value).toBe('6');
});
