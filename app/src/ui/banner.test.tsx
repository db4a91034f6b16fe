import { DEFAULT_SETTINGS } from '@gentle-burrow/core/facts';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { drop, outboxItems, put } from '@/data/outbox';
import { PretendServer, show } from '../../test/kit';
import { Banner } from './Banner';

afterEach(async () => {
  for (const i of outboxItems()) await drop(i.id);
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
