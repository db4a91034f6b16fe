import { fireEvent, screen, waitFor } from '@testing-library/react';
import { Linking } from 'react-native';
import { drop, outboxItems } from '@/data/outbox';
import { setPreferences } from '@/theme/preferences';
import { madeQueen, PretendServer, SETTINGS, show } from '../../../test/kit';
import { SettingsPage } from './SettingsPage';

jest.mock('expo-router', () => ({ router: { navigate: jest.fn() } }));

afterEach(async () => {
  for (const i of outboxItems()) await drop(i.id);
  setPreferences({ temperature: 'C', length: 'mm', appearance: 'auto' });
});

async function open() {
  const server = new PretendServer([madeQueen('A', 30)]);
  show(<SettingsPage />);
  await screen.findByRole('radio', { name: /^Hands off/ });
  return server;
}
const choose = (name: RegExp | string) => fireEvent.click(screen.getByRole('radio', { name }));

test('the school is decided for all queens and sent', async () => {
  const server = await open();
  choose(/^Hands off/);
  await waitFor(() =>
    expect(server.bodiesOf('/settings')).toEqual([{ ...SETTINGS, lookingSchool: 'hands-off' }]),
  );
});

test('units are this device’s, and are kept', async () => {
  await open();
  choose('°F');
  expect(JSON.parse(localStorage.getItem('burrow.preferences') ?? '{}')).toMatchObject({ temperature: 'F' });
});

test('what is taken along leaves places out unless they are asked for', async () => {
  const opened = jest.spyOn(Linking, 'openURL').mockResolvedValue(true as never);
  await open();
  const take = (name: RegExp) => fireEvent.click(screen.getByRole('button', { name }));
  take(/Take the captures/);
  choose(/^Rounded/);
  take(/Take the captures/);
  take(/Take the log/);
  choose(/^Exact/);
  take(/Take the log/);
  expect(opened.mock.calls.map(([url]) => url)).toEqual([
    '/api/captures.csv?places=withheld',
    '/api/captures.csv?places=rounded',
    '/api/export.jsonl?places=withheld',
    '/api/export.jsonl?places=exact',
  ]);
});
