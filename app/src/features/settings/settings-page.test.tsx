import { fireEvent, screen, waitFor } from '@testing-library/react';
import { drop, outboxItems } from '@/data/outbox';
import { setPreferences } from '@/theme/preferences';
import { madeQueen, PretendServer, SETTINGS, show } from '../../../test/kit';
import { SettingsPage } from './SettingsPage';

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

test('when the old home is lit, and how long each step is given, is decided for all', async () => {
  const server = await open();
  fireEvent.click(screen.getByRole('button', { name: /^Moving house/ }));
  choose(/^Never lit/);
  await waitFor(() => expect(server.bodiesOf('/settings')).toEqual([{ ...SETTINGS, lightSchool: 'never' }]));
  choose(/^As long as it takes/);
  await waitFor(() => expect(server.bodiesOf('/settings')).toHaveLength(2));
  expect(server.bodiesOf('/settings')[1]).toMatchObject({ patienceSchool: 'as-long-as-it-takes' });
});
