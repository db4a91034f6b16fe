import type { EntryBody } from '@gentle-burrow/core/log';
import { usualTube } from '@gentle-burrow/core/tube';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { v7 } from 'uuid';
import { drop, outboxItems } from '@/data/outbox';
import { daysAgo, madeQueen, PretendServer, show } from '../../../test/kit';
import { Colony } from '../../../test/pages';
import { StockPage } from './StockPage';

afterEach(async () => {
  for (const i of outboxItems()) await drop(i.id);
  localStorage.clear();
});

/** A queen who moved house; her first tube was kept aside, or cleaned. */
function moved(to: 'kept-aside' | 'cleaned', mould: 'none' | 'near-brood' = 'none') {
  const facts = madeQueen('Vesper', 90);
  const { setUpAt: _, ...part } = usualTube(v7(), '');
  const home = (days: number, change: object): EntryBody =>
    ({ kind: 'home', at: daysAgo(days), change }) as EntryBody;
  const bodies: EntryBody[] = [
    { kind: 'look', at: daysAgo(45), mould },
    home(40, { what: 'set-up', part, purpose: 'move', by: 'taped' }),
    home(35, { what: 'moved-in', partId: part.id, queen: true, how: 'by-themselves' }),
    home(30, { what: 'taken-away', partId: facts.home.id, to }),
  ];
  const head = { queenId: facts.queen.id, loggedAt: daysAgo(30) };
  return {
    ...facts,
    entries: [...facts.entries, ...bodies.map((b) => ({ ...b, ...head, id: v7() }) as never)],
  };
}

test('a used tube is not offered as clean: its history stands there, and what to do first', async () => {
  const facts = moved('kept-aside');
  const server = new PretendServer([facts]);
  show(<StockPage />);
  const one = await screen.findByRole('group', { name: /^Tube, 16 mm × 150/ });
  expect(one.textContent).toMatch(/Vesper lived in it, .* to .*; no mould seen/);
  expect(one.textContent).toMatch(/not cleaned: hot water and soap/);
  fireEvent.click(within(one).getByRole('button', { name: 'It is cleaned' }));
  await waitFor(() =>
    expect(server.bodiesOf('/entries')[0]).toMatchObject({
      queenId: facts.queen.id,
      change: { what: 'cleaned', partId: facts.home.id, aside: true },
    }),
  );
  await waitFor(() =>
    expect(screen.getByRole('group', { name: /^Tube, 16 mm × 150/ }).textContent).toMatch(/Clean since/),
  );
  fireEvent.click(screen.getByRole('button', { name: 'Thrown away' }));
  await waitFor(() => expect(screen.queryByRole('group', { name: /^Tube, 16 mm × 150/ })).toBeNull());
});

test('a clean one is set up for another queen, and says that it was used', async () => {
  const old = moved('cleaned');
  const hazel = madeQueen('Hazel', 60);
  const server = new PretendServer([old, hazel]);
  show(<Colony id={hazel.queen.id} />);
  await screen.findByRole('heading', { name: 'How is Hazel doing?' });
  fireEvent.click(screen.getByRole('button', { name: 'Her home' }));
  fireEvent.click(await screen.findByRole('radio', { name: /Vesper lived in it/ }));
  fireEvent.click(screen.getByRole('radio', { name: /^Taped/ }));
  fireEvent.click(screen.getByRole('button', { name: 'Keep this' }));
  await waitFor(() =>
    expect(server.bodiesOf('/entries')[0]).toMatchObject({
      change: { what: 'set-up', part: { kind: 'tube', was: old.home.id } },
    }),
  );
  fireEvent.click(screen.getByRole('link', { name: 'Log' }));
  expect(await screen.findByText(/tube that was used before 16 × 150 mm/)).toBeTruthy();
});

test('one with mould at the brood is not offered, though it was washed', async () => {
  const hazel = madeQueen('Hazel', 60);
  new PretendServer([moved('cleaned', 'near-brood'), hazel]);
  show(<Colony id={hazel.queen.id} />);
  await screen.findByRole('heading', { name: 'How is Hazel doing?' });
  fireEvent.click(screen.getByRole('button', { name: 'Her home' }));
  await screen.findByRole('radiogroup', { name: /^Fresh tube/ });
  expect(screen.queryByRole('radiogroup', { name: /was used/ })).toBeNull();
});
