import { fireEvent, screen, waitFor } from '@testing-library/react';
import { drop, outboxItems } from '@/data/outbox';
import { setPreferences } from '@/theme/preferences';
import { madeQueen, PretendServer, show } from '../../../test/kit';
import { SettingsPage } from './SettingsPage';

jest.mock('expo-router', () => ({ router: { navigate: jest.fn() } }));

afterEach(async () => {
  for (const i of outboxItems()) await drop(i.id);
  setPreferences({ temperature: 'C', length: 'mm', appearance: 'auto' });
});

async function open() {
  const server = new PretendServer([madeQueen('A', 30)]);
  show(<SettingsPage />);
  await screen.findByText('Drawer of A');
  return server;
}
const choose = (name: RegExp | string) => fireEvent.click(screen.getByRole('radio', { name }));

test('the school is decided for all queens and sent', async () => {
  const server = await open();
  choose(/^Hands off/);
  await waitFor(() =>
    expect(server.bodiesOf('/settings')).toEqual([{ lookingSchool: 'hands-off', hemisphere: 'north' }]),
  );
});

test('units are this device’s, and are kept', async () => {
  await open();
  expect(screen.getByText('25 °C · 50 % humidity')).toBeTruthy();
  choose('°F');
  expect(screen.getByText('77 °F · 50 % humidity')).toBeTruthy();
  expect(JSON.parse(localStorage.getItem('burrow.preferences') ?? '{}')).toMatchObject({ temperature: 'F' });
});

test('a place is changed in the keeper’s unit and sent in °C', async () => {
  const server = await open();
  choose('°F');
  fireEvent.click(screen.getByRole('button', { name: 'Change Drawer of A' }));
  fireEvent.change(screen.getByRole('textbox', { name: 'Temperature, °F' }), { target: { value: '68' } });
  fireEvent.change(screen.getByRole('textbox', { name: 'Room humidity, %' }), { target: { value: '40' } });
  fireEvent.click(screen.getByRole('button', { name: 'Keep the change' }));
  await waitFor(() => expect(server.sent).toHaveLength(1));
  const body = server.sent[0]?.body as { tempC: number; roomRelHumidity: number };
  expect(body.tempC).toBeCloseTo(20, 9);
  expect(body.roomRelHumidity).toBeCloseTo(0.4, 9);
});

test.each([
  ['Temperature, °C', '60', /no queen lives there/],
  ['Temperature, °C', 'warm', /"warm" is not a number|not a number/],
  ['Room humidity, %', '140', /above 100 %/],
])('%s of %s is refused with the way to mend it', async (field, value, says) => {
  await open();
  fireEvent.click(screen.getByRole('button', { name: 'Change Drawer of A' }));
  fireEvent.change(screen.getByRole('textbox', { name: field }), { target: { value } });
  expect(screen.getByRole('alert').textContent).toMatch(says);
  expect(screen.getByRole('button', { name: 'Keep the change' }).getAttribute('aria-disabled')).toBe('true');
});
