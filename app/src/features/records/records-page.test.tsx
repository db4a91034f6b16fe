import { fireEvent, screen } from '@testing-library/react';
import { Linking } from 'react-native';
import { PretendServer, show } from '../../../test/kit';
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
  expect(opened.mock.calls.map(([url]) => url)).toEqual([
    '/api/captures.csv?places=withheld',
    '/api/captures.csv?places=rounded',
    '/api/export.jsonl?places=withheld',
    '/api/export.jsonl?places=exact',
  ]);
});
