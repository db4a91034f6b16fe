import { fireEvent, screen } from '@testing-library/react';
import { Linking } from 'react-native';
import { daysAgo, PretendServer, show } from '../../../test/kit';
import { RecordsPage } from './RecordsPage';

const choose = (name: RegExp) => fireEvent.click(screen.getByRole('radio', { name }));

test('what is taken along leaves places out unless they are asked for', async () => {
  const opened = jest.spyOn(Linking, 'openURL').mockResolvedValue(true as never);
  new PretendServer([]);
  show(<RecordsPage />);
  const take = (name: RegExp) => fireEvent.click(screen.getByRole('button', { name }));
  take(/Take the captures/);
  choose(/^Rounded/);
  take(/Take the captures/);
  take(/Take the log/);
  choose(/^Exact/);
  take(/Take the log/);
  // the keeper's zone goes along: the server may stand elsewhere
  const zone = `&zone=${encodeURIComponent(Intl.DateTimeFormat().resolvedOptions().timeZone)}`;
  expect(opened.mock.calls.map(([url]) => url)).toEqual(
    [
      '/api/captures.csv?places=withheld',
      '/api/captures.csv?places=rounded',
      '/api/export.jsonl?places=withheld',
      '/api/export.jsonl?places=exact',
    ].map((url) => url + zone),
  );
});

test('what the server had to set aside is told with why and where, the newest first', async () => {
  const server = new PretendServer([]);
  server.setAside = Array.from({ length: 5 }, (_, i) => ({
    at: daysAgo(i),
    says: `Line ${i + 1} of facts.jsonl cannot be read: it is damaged.`,
    where: `quarantine/facts.jsonl-${i}`,
  }));
  show(<RecordsPage />);
  await screen.findByRole('heading', { name: 'Set aside at a start' });
  screen.getByText('Line 1 of facts.jsonl cannot be read: it is damaged.');
  screen.getByText(/in quarantine\/facts\.jsonl-0 of the data directory/);
  expect(screen.queryByText(/^Line 5/)).toBeNull();
  fireEvent.click(screen.getByRole('button', { name: /2 more/ }));
  screen.getByText('Line 5 of facts.jsonl cannot be read: it is damaged.');
});
