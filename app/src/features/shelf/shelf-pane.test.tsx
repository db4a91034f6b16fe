import { DEFAULT_SETTINGS } from '@gentle-burrow/core/facts';
import type { EntryBody } from '@gentle-burrow/core/log';
import { onlineManager } from '@tanstack/react-query';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { drop, outboxItems, put } from '@/data/outbox';
import { Banner } from '@/ui/Banner';
import { daysAgo, madeQueen, PretendServer, show } from '../../../test/kit';
import { ShelfPane } from './ShelfPane';

const { router } = jest.requireMock<{ router: { navigate: jest.Mock } }>('expo-router');
jest.mock('expo-router', () => ({ router: { navigate: jest.fn(), replace: jest.fn() } }));

afterEach(async () => {
  for (const i of outboxItems()) await drop(i.id);
});

const look = (ago: number, more: object = {}): EntryBody =>
  ({ kind: 'look', at: daysAgo(ago), queen: 'seen', eggs: { low: 5, high: 5 }, ...more }) as EntryBody;

test('an empty shelf says what to do first', async () => {
  new PretendServer([]);
  show(<ShelfPane />);
  await screen.findByText('Nothing yet. No queen stands on this shelf.');
  fireEvent.click(screen.getByRole('button', { name: 'Take in a queen' }));
  expect(router.navigate).toHaveBeenCalledWith('/queens/new');
});

test('the urgent first, the resting in their sleeves, the lost last', async () => {
  new PretendServer([
    madeQueen('Rest', 30, [look(3)]),
    madeQueen('Dry', 30, [look(3, { wetFront: 'dry' })]),
    madeQueen('Gone', 30, [{ kind: 'loss', at: daysAgo(2), how: 'died', cause: 'unknown' }]),
    madeQueen('Free', 45, [look(20)]),
  ]);
  show(<ShelfPane />);
  await screen.findByText(/One tube needs you now/);
  // the most urgent are drawn at once, the rest a moment after
  await waitFor(() => expect(screen.getAllByRole('link')).toHaveLength(4));
  const names = screen.getAllByRole('link').map((l) => l.getAttribute('aria-label') ?? '');
  expect(names.map((n) => n.split(',')[0])).toEqual(['Dry', 'Free', 'Rest', 'Gone']);
  expect(names[2]).toMatch(/at rest\. Leave her alone until/);
  expect(screen.getByText(/^rests until \d+ \w+/)).toBeTruthy();
  const titles = screen.getAllByRole('heading', { level: 2 }).map((h) => h.textContent);
  expect(titles).toEqual(['Needs you', 'May be looked at', 'At rest', 'Lost']);
});

test('a long shelf is drawn to its end', async () => {
  new PretendServer(Array.from({ length: 12 }, (_, k) => madeQueen(`Q${k}`, 30, [look(3)])));
  show(<ShelfPane />);
  await screen.findByText('12 tubes');
  await waitFor(() => expect(screen.getAllByRole('link')).toHaveLength(12));
});

test('when it cannot be fetched it says so and can be tried again', async () => {
  const server = new PretendServer([madeQueen('A', 30, [look(3)])]);
  server.down = true;
  show(<ShelfPane />);
  expect((await screen.findByRole('alert')).textContent).toMatch(
    /What you have written is kept on this device/,
  );
  server.down = false;
  act(() => onlineManager.setOnline(true));
  fireEvent.click(screen.getByRole('button', { name: /Try again/ }));
  await screen.findByRole('link', { name: /^A,/ });
});

describe('the banner', () => {
  test('is not there while all is well', () => {
    new PretendServer([]);
    const { container } = show(<Banner />);
    expect(container.textContent).toBe('');
  });

  test('says what waits while the server cannot be reached', async () => {
    const server = new PretendServer([]);
    server.down = true;
    show(<Banner />);
    await act(() => put({ what: 'settings', settings: { ...DEFAULT_SETTINGS, lookingSchool: 'weekly' } }));
    await screen.findByText('The server cannot be reached. 1 entry is kept here and will be sent later.');
  });

  test('shows what the server refused until it is dropped', async () => {
    globalThis.fetch = jest.fn(async () => ({
      ok: false,
      status: 422,
      json: async () => ({ error: { code: 'x', message: 'The date lies in the future. Correct it.' } }),
    })) as never;
    show(<Banner />);
    await act(() => put({ what: 'settings', settings: { ...DEFAULT_SETTINGS, lookingSchool: 'weekly' } }));
    await screen.findByText('The server refused an entry: The date lies in the future. Correct it.');
    fireEvent.click(screen.getByRole('button', { name: 'Drop it' }));
    await waitFor(() => expect(outboxItems()).toEqual([]));
  });
});
