import { act, fireEvent, screen } from '@testing-library/react';
import { show } from '../../../test/kit';
import { CalendarAddress, reachOf } from './CalendarAddress';

// private networks by RFC 1918 and RFC 4193, link-local by RFC 3927 and RFC 4291, ".local" by RFC 6762
test.each([
  ['localhost', /very computer/],
  ['127.0.0.1', /very computer/],
  ['[::1]', /very computer/],
  ['192.168.1.5', /home network/],
  ['10.0.0.7', /home network/],
  ['172.20.3.4', /home network/],
  ['burrow.local', /home network/],
  ['[fd12:3456::1]', /home network/],
  ['172.32.0.1', /Every device/],
  ['burrow.example', /Every device/],
])('%s', (host, says) => expect(reachOf(host)).toMatch(says));

test('the address is copied, or it is said that it cannot be', async () => {
  const writeText = jest.fn().mockResolvedValue(undefined);
  Object.assign(navigator, { clipboard: { writeText } });
  show(<CalendarAddress />);
  await act(async () => fireEvent.click(screen.getByRole('button', { name: /Copy the address/ })));
  expect(writeText).toHaveBeenCalledWith(
    `http://localhost/api/agenda.ics?zone=${encodeURIComponent(Intl.DateTimeFormat().resolvedOptions().timeZone)}`,
  );
  expect(screen.getByText('Copied.')).toBeTruthy();
  Object.assign(navigator, { clipboard: undefined });
  await act(async () => fireEvent.click(screen.getByRole('button', { name: /Copy the address/ })));
  expect(screen.getByText(/does not let the page copy/)).toBeTruthy();
});
