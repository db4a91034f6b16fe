import type { EntryBody } from '@gentle-burrow/core/log';
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { router } from 'expo-router';
import { drop, outboxItems } from '@/data/outbox';
import { ShelfPage } from '@/features/shelf/ShelfPage';
import { undoLast } from '@/ui/undo';
import { daysAgo, madeQueen, PretendServer, show } from '../../../test/kit';

afterEach(async () => {
  for (const i of outboxItems()) await drop(i.id);
  localStorage.clear();
});

const LOOK: EntryBody = {
  kind: 'look',
  at: daysAgo(9),
  queen: 'seen',
  eggs: { low: 5, high: 8 },
} as EntryBody;

const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const tick = (name: RegExp, shiftKey = false) =>
  fireEvent.click(screen.getByRole('checkbox', { name }), { shiftKey });

/** The shelf with these queens, all in one place, and several being selected. */
async function selecting(labels: readonly string[], bodies: (label: string) => EntryBody[] = () => []) {
  const made = labels.map((l) => madeQueen(l, 30, bodies(l)));
  const place = { ...made[0]!.place, name: 'Drawer' };
  const here = made.map((f) => ({ ...f, place, places: [place], queen: { ...f.queen, placeId: place.id } }));
  const cellar = madeQueen('Z', 30);
  cellar.place.name = 'Cellar';
  cellar.place.tempC = 12;
  const server = new PretendServer([...here, cellar]);
  show(<ShelfPage />);
  fireEvent.click(await screen.findByRole('button', { name: 'Select' }));
  await screen.findByRole('checkbox', { name: new RegExp(`^${labels.at(-1)},`) });
  return { server, here, cellar };
}

test('five queens are carried to the cellar by six taps, and back by one', async () => {
  const { server, here, cellar } = await selecting(['L1', 'L2', 'L3', 'L4', 'L5']);
  // one tap led here: the first, the last, Move, Cellar, Save
  tick(/^L1,/);
  tick(/^L5,/, true);
  expect(screen.getByText('5 queens selected')).toBeTruthy();
  press('Move');
  fireEvent.click(await screen.findByRole('radio', { name: /^Cellar/ }));
  press('Save for 5 queens');
  await waitFor(() => expect(server.bodiesOf('/entries')).toHaveLength(5));
  const sent = server.bodiesOf('/entries') as {
    id: string;
    queenId: string;
    kind: string;
    placeId: string;
  }[];
  expect(sent.map((e) => e.queenId).sort()).toEqual(here.map((f) => f.queen.id).sort());
  expect(new Set(sent.map((e) => `${e.kind} ${e.placeId}`))).toEqual(new Set([`move ${cellar.place.id}`]));
  // the selection is over
  expect(screen.queryByRole('checkbox', { name: /^L1,/ })).toBeNull();
  await act(async () => void (await undoLast()));
  await waitFor(() => expect(server.bodiesOf('/entries')).toHaveLength(10));
  const back = (server.bodiesOf('/entries') as { amends: string; replacement: null }[]).slice(5);
  expect(back.map((b) => b.amends).sort()).toEqual(sent.map((e) => e.id).sort());
});

test('as before: each look says what was counted of her; who was never looked at is left out and named', async () => {
  const { server } = await selecting(['A', 'B', 'C'], (l) => (l === 'C' ? [] : [LOOK]));
  tick(/^A,/);
  tick(/^B,/);
  tick(/^C,/);
  press('Looked: as before');
  expect(
    await screen.findByText('C: There is no look to compare with. Log the first look by itself.'),
  ).toBeTruthy();
  press('Save for 2 queens');
  await waitFor(() => expect(server.bodiesOf('/entries')).toHaveLength(2));
  expect(server.bodiesOf('/entries')[0]).toMatchObject({
    kind: 'look',
    queen: 'seen',
    eggs: { low: 5, high: 8 },
    text: 'no change',
  });
});

test('a winter is planned for those who winter, also when the first of them does not', async () => {
  const { server, here } = await selecting(['A', 'B', 'C'], (l) =>
    l === 'A'
      ? [{ kind: 'identify', at: daysAgo(20), species: { profileId: 'unknown-tropical', sure: 'certain' } }]
      : [],
  );
  for (const name of [/^A,/, /^B,/, /^C,/]) tick(name);
  press('Plan winter');
  expect(await screen.findByText(/^A: Her species does not winter/)).toBeTruthy();
  fireEvent.click(
    within(screen.getByRole('radiogroup', { name: /^Where she winters/ })).getByRole('radio', {
      name: /^Cellar/,
    }),
  );
  press('Take the usual dates');
  press('Save for 2 queens');
  await waitFor(() => expect(server.bodiesOf('/entries')).toHaveLength(2));
  const sent = server.bodiesOf('/entries') as { queenId: string; kind: string }[];
  expect(sent.map((e) => e.queenId).sort()).toEqual(
    here
      .slice(1)
      .map((f) => f.queen.id)
      .sort(),
  );
});

test('eleven wrong batches are corrected together; names are each her own', async () => {
  const labels = Array.from({ length: 11 }, (_, k) => `B${k + 1}`);
  const { server } = await selecting(labels);
  // one tap led here: the group, Correct, Save
  fireEvent.change(screen.getByRole('textbox', { name: /^Search/ }), { target: { value: 'drawer tetra' } });
  await waitFor(() => expect(screen.getAllByRole('checkbox', { name: /^B\d+,/ })).toHaveLength(11));
  press('All');
  // the one whose drawer is another is not hit by the search
  expect(screen.getByText('11 queens selected')).toBeTruthy();
  press('Correct');
  expect(await screen.findByRole('textbox', { name: 'Batch' })).toBeTruthy();
  expect(screen.queryByRole('textbox', { name: 'Letter or name on the tube' })).toBeNull();
  fireEvent.change(screen.getByRole('textbox', { name: 'Batch' }), { target: { value: 'Second swarm' } });
  press('Correct 11 queens');
  await waitFor(() => expect(server.bodiesOf('/entries')).toHaveLength(11));
  for (const body of server.bodiesOf('/entries'))
    expect(body).toMatchObject({ kind: 'correct', batch: { was: '', is: 'Second swarm' } });
});

test('one foraging space is set up with each of them, a part of its own', async () => {
  const { server } = await selecting(['A', 'B']);
  tick(/^A,/);
  tick(/^B,/);
  press('More');
  press('Change home');
  fireEvent.click(await screen.findByRole('radio', { name: /Something set up/ }));
  fireEvent.click(screen.getByRole('radio', { name: /^Foraging space/ }));
  fireEvent.click(screen.getByRole('radio', { name: /^Only beside it/ }));
  press('Save for 2 queens');
  await waitFor(() => expect(server.bodiesOf('/entries')).toHaveLength(2));
  const parts = (
    server.bodiesOf('/entries') as { change: { what: string; part: { id: string; kind: string } } }[]
  ).map((b) => b.change);
  expect(parts.map((c) => `${c.what} ${c.part.kind}`)).toEqual(['set-up outworld', 'set-up outworld']);
  expect(new Set(parts.map((c) => c.part.id)).size).toBe(2);
});

test('labels of those selected are printed', async () => {
  const { here } = await selecting(['A', 'B', 'C']);
  tick(/^C,/);
  tick(/^A,/);
  press('More');
  press('Print labels');
  expect(router.push).toHaveBeenLastCalledWith(`/labels?queens=${here[2]!.queen.id},${here[0]!.queen.id}`);
});
