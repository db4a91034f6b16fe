import { onlineManager } from '@tanstack/react-query';
import { act, screen, waitFor } from '@testing-library/react';
import { madeQueen, PretendServer, show } from '../../test/kit';
import { useLate } from '@/ui/useLate';
import { BackupPage } from './backup/BackupPage';
import { FillPage } from './fill/FillPage';
import { FitPage } from './fit/FitPage';
import { LabelsPage } from './labels/LabelsPage';
import { PlacePage } from './place/PlacePage';
import { PlacesPage } from './place/PlacesPage';
import { StockPage } from './stock/StockPage';
import { TodayPage } from './today/TodayPage';

// how long Today waits for alarms is a matter of time, what it does meanwhile is not
jest.mock('@/ui/useLate', () => ({ useLate: jest.fn(() => false) }));

const queen = madeQueen('Q1', 30);
const placeId = queen.place.id;

/** What is held back, and what can be tapped below where it will stand. */
const PAGES = [
  ['Today', <TodayPage key="" />, '/climate', 'button', 'Go round'],
  ['Today', <TodayPage key="" />, '/daily-backup', 'button', 'Go round'],
  ['places', <PlacesPage key="" />, '/climate', 'link', /Drawer of Q1/],
  ['places', <PlacesPage key="" />, '/places', 'button', 'A new place'],
  ['a place', <PlacePage key="" id={placeId} />, '/climate', 'button', 'A logger lies here'],
  ['the stock', <StockPage key="" />, '/stock', 'button', 'Count something new'],
  ['filling a tube', <FillPage key="" />, '/stock', 'radio', /^16 × 150/],
  ['fitting', <FitPage key="" />, '/stock', 'textbox', /^Head of the smallest worker/],
  ['labels', <LabelsPage key="" />, '/shelf', 'button', /^Open as PDF/],
  ['backups', <BackupPage key="" />, '/daily-backup', 'button', 'Choose a file'],
] as const;

/** All that was asked for has come, but for one. */
async function allElse(but: string): Promise<void> {
  const { calls, results } = jest.mocked(fetch).mock;
  const others = results.filter((_, i) => calls[i]?.[0] !== `/api${but}`);
  await act(async () => void (await Promise.all(others.map((r) => r.value as Promise<unknown>))));
}

test.each(PAGES)(
  'nothing that can be tapped is drawn on the page of %s above which something is still to come',
  async (_name, page, path, role, name) => {
    const server = new PretendServer([queen]);
    let release = () => {};
    server.slow = new Promise((r) => (release = r));
    server.slowAt = path;
    show(page);
    await screen.findByRole('status', { name: /^Loading/ });
    await allElse(path);
    expect(screen.queryByRole(role, { name })).toBeNull();
    await act(async () => release());
    expect((await screen.findAllByRole(role, { name })).length).toBeGreaterThan(0);
    expect(screen.queryByRole('status', { name: /^Loading/ })).toBeNull();
  },
);

test('the shelf does not wait for alarms that never come', async () => {
  const server = new PretendServer([queen]);
  server.slow = new Promise(() => {});
  server.slowAt = '/climate';
  jest
    .mocked(useLate)
    .mockImplementation(jest.requireActual<{ useLate: typeof useLate }>('@/ui/useLate').useLate);
  show(<TodayPage />);
  await screen.findByRole('status', { name: /^Loading/ });
  await allElse('/climate');
  expect(await screen.findByRole('button', { name: 'Go round' })).toBeTruthy();
});

test('what was begun on a page stays while what it needs is asked for again', async () => {
  const server = new PretendServer([queen]);
  server.down = true;
  show(<StockPage />);
  const add = await screen.findByRole('button', { name: 'Count something new' });
  await act(async () => add.click());
  expect(screen.getByRole('button', { name: 'Leave it' })).toBeTruthy();
  server.down = false;
  let release = () => {};
  server.slow = new Promise((r) => (release = r));
  const asked = () => jest.mocked(fetch).mock.calls.filter(([url]) => url === '/api/stock').length;
  const before = asked();
  await act(async () => {
    onlineManager.setOnline(false);
    onlineManager.setOnline(true);
  });
  await waitFor(() => expect(asked()).toBeGreaterThan(before));
  expect(screen.getByRole('button', { name: 'Leave it' })).toBeTruthy();
  await act(async () => release());
});
