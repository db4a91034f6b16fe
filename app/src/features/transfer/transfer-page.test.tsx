import type { EntryBody } from '@gentle-burrow/core/log';
import { usualTube } from '@gentle-burrow/core/tube';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { v7 } from 'uuid';
import { drop, outboxItems } from '@/data/outbox';
import { daysAgo, madeQueen, PretendServer, show } from '../../../test/kit';
import { TransferPage } from './TransferPage';

afterEach(async () => {
  for (const i of outboxItems()) await drop(i.id);
});

const { setUpAt: _, ...part } = usualTube(v7(), '');
const OFFERED = {
  kind: 'home',
  at: daysAgo(3),
  change: { what: 'set-up', part, purpose: 'move', by: 'taped' },
} as EntryBody;

async function open() {
  const facts = madeQueen('Vesper', 60, [OFFERED]);
  const server = new PretendServer([facts]);
  show(<TransferPage id={facts.queen.id} />);
  await screen.findByText('Tap what you take out, then what you set in.');
  return server;
}
const count = (what: string, times = 1) => {
  for (let i = 0; i < times; i++)
    fireEvent.click(screen.getByRole('button', { name: new RegExp(`^One more: ${what},`) }));
};
const keep = () => fireEvent.click(screen.getByRole('button', { name: 'Keep this transfer' }));

test('those who are missing are counted as left or as lost, and then in equals out', async () => {
  const server = await open();
  count('workers out', 3);
  count('queens out');
  count('queens in');
  count('workers in');
  expect(screen.getByText('Still missing: 2 workers.')).toBeTruthy();
  keep();
  expect(server.bodiesOf('/entries')).toEqual([]);
  count('workers left in the old one');
  expect(screen.getByText('Still missing: 1 worker.')).toBeTruthy();
  count('workers lost');
  expect(screen.getByText('In equals out.')).toBeTruthy();
  keep();
  await waitFor(() =>
    expect(server.bodiesOf('/entries')).toMatchObject([
      {
        kind: 'home',
        change: {
          what: 'moved-in',
          how: 'by-hand',
          tally: {
            out: { workers: 3, queens: 1 },
            into: { workers: 1, queens: 1 },
            left: { workers: 1 },
            lost: { workers: 1 },
          },
        },
      },
    ]),
  );
});

test('one counted too many is taken back, and whoever came in without going out is a fault', async () => {
  const server = await open();
  count('workers in', 2);
  keep();
  expect(await screen.findByText(/More workers came in/)).toBeTruthy();
  expect(server.bodiesOf('/entries')).toEqual([]);
  count('workers out');
  fireEvent.click(screen.getByRole('button', { name: 'One fewer: workers in' }));
  expect(screen.getByText('In equals out.')).toBeTruthy();
});
