import { router } from 'expo-router';
import type { EntryBody } from '@gentle-burrow/core/log';
import { onlineManager } from '@tanstack/react-query';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { drop, outboxItems } from '@/data/outbox';
import { daysAgo, madeQueen, PretendServer, show } from '../../../test/kit';
import { TodayPage } from '@/features/today/TodayPage';
import * as deeds from '@/ui/open-deeds';
import { ShelfPage } from './ShelfPage';

afterEach(async () => {
  for (const i of outboxItems()) await drop(i.id);
});

const look = (ago: number, more: object = {}): EntryBody =>
  ({ kind: 'look', at: daysAgo(ago), queen: 'seen', eggs: { low: 5, high: 5 }, ...more }) as EntryBody;

test('an empty shelf says what to do first', async () => {
  new PretendServer([]);
  show(<ShelfPage />);
  await screen.findByText('Nothing yet. No queen stands on this shelf.');
  fireEvent.click(screen.getByRole('button', { name: 'Take in a queen' }));
  expect(router.push).toHaveBeenCalledWith('/queens/new');
});

test('the urgent first, the resting in their sleeves, the lost last', async () => {
  new PretendServer([
    madeQueen('Rest', 30, [look(3)]),
    madeQueen('Dry', 30, [look(3, { wetFront: 'dry' })]),
    madeQueen('Gone', 30, [{ kind: 'loss', at: daysAgo(2), how: 'died', cause: 'unknown' }]),
    madeQueen('Free', 45, [look(20)]),
  ]);
  show(<ShelfPage />);
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
  show(<ShelfPage />);
  await screen.findByText('12 tubes');
  await waitFor(() => expect(screen.getAllByRole('link')).toHaveLength(8));
  fireEvent.click(screen.getByRole('button', { name: 'Show all 12 tubes' }));
  await waitFor(() => expect(screen.getAllByRole('link')).toHaveLength(12));
});

test('when it cannot be fetched it says so and can be tried again', async () => {
  const server = new PretendServer([madeQueen('A', 30, [look(3)])]);
  server.down = true;
  show(<ShelfPage />);
  expect((await screen.findByRole('alert')).textContent).toMatch(
    /What you have written is kept on this device/,
  );
  server.down = false;
  act(() => onlineManager.setOnline(true));
  fireEvent.click(screen.getByRole('button', { name: /Try again/ }));
  await screen.findByRole('link', { name: /^A,/ });
});

test('Today draws what is urgent, and a long press or the dots open what can be written', async () => {
  const facts = madeQueen('Dry', 30, [look(3, { wetFront: 'dry' })]);
  new PretendServer([facts, madeQueen('Rest', 30, [look(3)])]);
  show(<TodayPage />);
  await screen.findByText(/One tube needs you now/);
  const row = await screen.findByRole('link', { name: /^Dry,/ });
  expect(row.getAttribute('href')).toBe(`/queens/${facts.queen.id}`);
  expect(screen.queryByRole('link', { name: /^Rest,/ })).toBeNull();
  const opened = jest.spyOn(deeds, 'openDeeds');
  fireEvent.click(screen.getByRole('button', { name: 'Write of Dry' }));
  expect(opened).toHaveBeenCalledWith(facts.queen.id);
  fireEvent.click(row);
  expect(router.push).toHaveBeenLastCalledWith(`/queens/${facts.queen.id}`);
  fireEvent.click(row, { ctrlKey: true });
  expect(router.push).toHaveBeenCalledTimes(1);
});

test('nine queens are searched and sorted; fewer are not', async () => {
  new PretendServer(Array.from({ length: 9 }, (_, k) => madeQueen(`Q${k}`, 30 + k, [look(3)])));
  const nine = show(<ShelfPage />);
  const search = await screen.findByRole('textbox', { name: /^Search by name/ });
  fireEvent.change(search, { target: { value: 'drawer of q7' } });
  await waitFor(() => expect(screen.getAllByRole('link')).toHaveLength(1));
  fireEvent.change(search, { target: { value: 'zz' } });
  expect(screen.getByText('No queen is found by “zz”.')).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Show all' }));
  fireEvent.click(screen.getByRole('radio', { name: 'Newest first' }));
  await waitFor(() => expect(screen.getAllByRole('link')).toHaveLength(8));
  expect(screen.getAllByRole('link')[0]?.getAttribute('aria-label')).toMatch(/^Q0,/);
  nine.unmount();
  new PretendServer([madeQueen('A', 30)]);
  show(<ShelfPage />);
  await screen.findByRole('link', { name: /^A,/ });
  expect(screen.queryByRole('textbox')).toBeNull();
});
