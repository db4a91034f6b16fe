import type { EntryBody } from '@gentle-burrow/core/log';
import { act, fireEvent, renderHook, screen, waitFor, within } from '@testing-library/react';
import { drop, outboxItems } from '@/data/outbox';
import { closeDeeds, useDeedsOf } from '@/ui/open-deeds';
import { undoLast } from '@/ui/undo';
import { daysAgo, madeQueen, PretendServer, show } from '../../../test/kit';
import { Colony } from '../../../test/pages';
import { router } from 'expo-router';

afterEach(async () => {
  for (const i of outboxItems()) await drop(i.id);
});

const look = (ago: number, eggs: number, more: object = {}): EntryBody =>
  ({
    kind: 'look',
    at: daysAgo(ago),
    queen: 'seen',
    queenAtMm: 118,
    eggs: { low: eggs, high: eggs },
    larvae: { low: 0, high: 0 },
    pupae: { low: 0, high: 0 },
    workers: { low: 0, high: 0 },
    ...more,
  }) as EntryBody;

async function page(bodies: EntryBody[], takenIn = 30) {
  const facts = madeQueen('Vesper', takenIn, bodies);
  const server = new PretendServer([facts]);
  show(<Colony id={facts.queen.id} />);
  await screen.findByRole('heading', { name: 'How is Vesper doing?' });
  return { server, facts };
}

/** Presses the first of that name: in the log, the newest. */
const press = async (name: string | RegExp) => {
  const [first] = await screen.findAllByRole('button', { name });
  fireEvent.click(first as HTMLElement);
};

/** To another view of her page. */
const to = (view: 'Now' | 'Ahead' | 'Why' | 'Log') =>
  fireEvent.click(screen.getByRole('link', { name: view }));

test('says how she is doing, when, and why, with what other methods would say', async () => {
  await page([look(20, 0), look(6, 7)]);
  expect(screen.getAllByText(/^Leave her alone until \d+ \w+/)[0]).toBeTruthy();
  // its trade words are elements of their own
  expect(screen.getByText(/^As seen 6 days ago/).textContent).toMatch(/: eggs 7, larvae none/);
  to('Ahead');
  expect(screen.getByRole('heading', { name: 'What comes next for Vesper?' })).toBeTruthy();
  expect(screen.getByText(/^seen between/)).toBeTruthy(); // eggs, between two looks
  to('Why');
  expect(screen.getByRole('button', { name: 'May I look? not yet' }).getAttribute('aria-expanded')).toBe(
    'true',
  );
  expect(screen.getByText(/This is the method “Every two weeks”/)).toBeTruthy();
  expect(screen.getByText(/^Weekly: wait until/)).toBeTruthy();
  expect(screen.getByText(/8 days short · from the look of/)).toBeTruthy();
});

test('a count from an earlier look than the last keeps its own day', async () => {
  const later = { kind: 'look', at: daysAgo(2), queen: 'seen', larvae: { low: 4, high: 4 } } as EntryBody;
  await page([look(9, 7), later]);
  const seen = screen.getByText(/^As seen 2 days ago/).textContent ?? '';
  expect(seen).toMatch(/eggs 7 \(\d+ \w+( \d+)?\), larvae 4,/);
});

test('another question opens, and the first closes', async () => {
  await page([look(20, 0), look(6, 7)]);
  to('Why');
  await press(/^Is she late\?/);
  expect(screen.getByText(/She stands at 25 °C, within her best 22 °C to 27 °C/)).toBeTruthy();
  expect(screen.queryByText(/This is the method/)).toBeNull();
});

test('a plug gone dry comes first, and is worth a look', async () => {
  await page([look(3, 5, { wetFront: 'dry', waterLineMm: 6 })]);
  expect(screen.getAllByText(/gone dry: she has no water/).length).toBeGreaterThan(0);
  to('Why');
  expect(screen.getByRole('button', { name: 'May I look? yes, once' })).toBeTruthy();
});

test('a look not taken is two taps, not one by mistake, and undone by another', async () => {
  const { server } = await page([look(20, 0)]);
  await press('Leave alone');
  expect(server.bodiesOf('/entries')).toHaveLength(0);
  await press('Leave alone for 14 days');
  await waitFor(() => expect(server.bodiesOf('/entries')).toHaveLength(1));
  const rest = server.bodiesOf('/entries')[0] as { id: string; kind: string; until: string };
  expect(rest.kind).toBe('rest');
  expect((Date.parse(rest.until) - Date.now()) / 86_400_000).toBeCloseTo(14, 1);
  await act(async () => {
    await undoLast();
  });
  await waitFor(() => expect(server.bodiesOf('/entries')).toHaveLength(2));
  expect(server.bodiesOf('/entries')[1]).toMatchObject({
    kind: 'amendment',
    amends: rest.id,
    replacement: null,
  });
});

test('an entry is withdrawn and brought back; the log keeps both', async () => {
  const { server, facts } = await page([look(20, 0), look(6, 7)]);
  const second = facts.entries[2];
  to('Log');
  await press(/^Take back: Look/);
  await press('1 taken back');
  await screen.findByText('Taken back; it counts for nothing.');
  await waitFor(() =>
    expect(server.bodiesOf('/entries')[0]).toMatchObject({ amends: second?.id, replacement: null }),
  );
  await press(/^Undo the change of/);
  await waitFor(() => expect(screen.queryByText('Taken back; it counts for nothing.')).toBeNull());
});

test('what is asked of her now is answered under the headline, by one tap', async () => {
  const offered: EntryBody = {
    kind: 'feed',
    at: daysAgo(1),
    food: 'sugar',
    outcome: 'offered',
    spot: 'cell',
    way: 'drop',
  };
  const { server, facts } = await page([look(20, 3), offered]);
  // the whole form stands one tap away too
  await press('Vesper: log something else');
  const { result } = renderHook(() => useDeedsOf());
  expect(result.current).toEqual({ queenId: facts.queen.id, start: { kind: 'feed' } });
  act(closeDeeds);
  await press('Vesper: Eaten up');
  await waitFor(() =>
    expect(server.bodiesOf('/entries')[0]).toMatchObject({
      kind: 'feed',
      outcome: 'taken',
      offerId: facts.entries.find((e) => e.kind === 'feed')?.id,
    }),
  );
});

test('a feed is written with what became of it', async () => {
  const { server } = await page([look(20, 0)]);
  await press('Feed');
  const keep = screen.getByRole('button', { name: 'Keep this feed' });
  expect(keep.getAttribute('aria-disabled')).toBe('true');
  fireEvent.click(screen.getByRole('radio', { name: 'Sugar and protein' }));
  fireEvent.click(screen.getByRole('radio', { name: 'Left' }));
  await press('Keep this feed');
  await waitFor(() =>
    expect(server.bodiesOf('/entries')[0]).toMatchObject({ kind: 'feed', food: 'both', outcome: 'left' }),
  );
});

test('a loss warns against release, and an unknown cause is taken', async () => {
  const { server } = await page([look(20, 0)]);
  await press('Loss');
  fireEvent.click(screen.getByRole('radio', { name: 'Died' }));
  expect(
    within(screen.getByRole('radiogroup', { name: 'Cause' })).getByRole('radio', { checked: true })
      .textContent,
  ).toBe('Cause unknown');
  expect(screen.getByText(/never released, not even native ones/)).toBeTruthy();
  await press('Keep this loss');
  await waitFor(() =>
    expect(server.bodiesOf('/entries')[0]).toMatchObject({ kind: 'loss', how: 'died', cause: 'unknown' }),
  );
  await screen.findByText(/nobody can tell why, and that is normal/);
  expect(screen.queryByRole('button', { name: 'Log a look' })).toBeNull();
});

test('a half-written note is there again after leaving', async () => {
  const facts = madeQueen('Vesper', 30, [look(20, 0)]);
  new PretendServer([facts]);
  const first = show(<Colony id={facts.queen.id} />);
  await press('Note');
  fireEvent.change(screen.getByRole('textbox', { name: 'Note' }), { target: { value: 'calm tonight' } });
  first.unmount();
  show(<Colony id={facts.queen.id} />);
  await press('Note');
  expect((screen.getByRole('textbox', { name: 'Note' }) as HTMLTextAreaElement).value).toBe('calm tonight');
});

test('every figure answers who says so', async () => {
  await page([look(20, 0)]);
  to('Why');
  await press(/Says who/);
  expect(screen.getByText(/^Best warmth: 22 °C to 27 °C/)).toBeTruthy();
  expect(screen.getAllByText(/^prior: /).length).toBeGreaterThan(3);
  expect(screen.getAllByText(/common practice, no source$/).length).toBeGreaterThan(3);
  // what her species does not say is taken from her genus, and says so
  expect(screen.getAllByText(/^of her genus; /).length).toBeGreaterThan(3);
});

test('a queen whom nobody knows is said so, with the way to the shelf', async () => {
  new PretendServer([]);
  show(<Colony id="01a0e96c-8b40-7efe-a766-c5484cc9c466" />);
  expect(await screen.findByRole('heading', { name: 'There is no such queen' })).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'To the shelf' }));
  expect(router.push).toHaveBeenLastCalledWith('/shelf');
});

test('a queen who dies with workers leaves a colony that goes on, and the cause may be a guess', async () => {
  const { server } = await page([look(30, 4), look(6, 0, { workers: { low: 6, high: 6 } })], 80);
  await press('Loss');
  fireEvent.click(screen.getByRole('radio', { name: 'Died' }));
  fireEvent.click(screen.getByRole('radio', { name: 'Mould' }));
  fireEvent.click(screen.getByRole('radio', { name: 'A guess' }));
  const goesOn = screen.getByRole('checkbox', { name: 'Her workers and brood live on here' });
  expect(goesOn.getAttribute('aria-checked')).toBe('true');
  await press('Keep this loss');
  await waitFor(() =>
    expect(server.bodiesOf('/entries')[0]).toMatchObject({
      kind: 'loss',
      cause: 'mould',
      certainty: 'guess',
      colonyGoesOn: true,
    }),
  );
  expect((await screen.findAllByText(/^Without a queen since/)).length).toBeGreaterThan(0);
  // workers are looked after: the tube can still be opened, but nothing is foretold
  expect(screen.getByRole('button', { name: 'Log a look' })).toBeTruthy();
  to('Ahead');
  expect(screen.getByText(/there is nothing to wait for/)).toBeTruthy();
});

test('two entries that exclude one another are shown with both readings; the look leads to its correction', async () => {
  const { facts } = await page([
    look(20, 0),
    { kind: 'look', at: daysAgo(12), workers: { low: 4, high: 4 } } as EntryBody,
  ]);
  expect(screen.getByText(/Nothing was there at one look and workers 8 days later/)).toBeTruthy();
  expect(screen.getByText(/^Either: Brood was overlooked/)).toBeTruthy();
  expect(screen.getByText(/^Or: They were not workers/)).toBeTruthy();
  const [first, second] = screen.getAllByRole('button', { name: /^Put right the look of/ });
  fireEvent.click(second as HTMLElement);
  expect(router.push).toHaveBeenLastCalledWith(
    `/queens/${facts.queen.id}/look?amend=${facts.entries[2]?.id}`,
  );
  fireEvent.click(first as HTMLElement);
  expect(router.push).toHaveBeenLastCalledWith(
    `/queens/${facts.queen.id}/look?amend=${facts.entries[1]?.id}`,
  );
});

test('beyond the first batch: the second, and how many by winter, with where that comes from', async () => {
  await page([look(20, 0), look(6, 7)]);
  to('Ahead');
  expect(screen.getByText(/^Second batch: eggs .*, workers /)).toBeTruthy();
  expect(screen.getByText(/^By the profile alone/)).toBeTruthy();
});

test('one colony is given a method of its own, and it is taken back as it was', async () => {
  const { server, facts } = await page([look(6, 7)]);
  to('Why');
  fireEvent.click(await screen.findByRole('button', { name: /^Methods for this colony/ }));
  const group = screen.getByRole('radiogroup', { name: 'Light in a move' });
  expect(
    within(group)
      .getByRole('radio', { name: /^As for all/ })
      .getAttribute('aria-checked'),
  ).toBe('true');
  fireEvent.click(within(group).getByRole('radio', { name: /^Never lit/ }));
  const patches = () => server.bodiesOf(`/queens/${facts.queen.id}`);
  await waitFor(() => expect(patches()).toEqual([{ lightSchool: 'never' }]));
  await act(undoLast);
  await waitFor(() => expect(patches()).toEqual([{ lightSchool: 'never' }, { lightSchool: null }]));
});
