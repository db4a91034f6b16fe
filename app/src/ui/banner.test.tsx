import { DEFAULT_SETTINGS } from '@gentle-burrow/core/facts';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { drop, outboxItems, put } from '@/data/outbox';
import { PretendServer, show } from '../../test/kit';
import { Banner } from './Banner';
import { UndoBar } from './UndoBar';

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

  const settings = {
    what: 'settings' as const,
    settings: { ...DEFAULT_SETTINGS, lookingSchool: 'weekly' as const },
  };
  const answers = (status: number, message: string) => {
    globalThis.fetch = jest.fn(async () => ({
      ok: status < 400,
      status,
      json: async () => ({ error: { code: 'x', message } }),
    })) as never;
  };

  test('shows what the server refused until it is dropped, and takes it up again', async () => {
    answers(422, 'The date lies in the future. Correct it.');
    show(
      <>
        <Banner />
        <UndoBar />
      </>,
    );
    await act(() => put(settings));
    const says = 'The server did not take your settings: The date lies in the future. Correct it.';
    await screen.findByText(says);
    fireEvent.click(screen.getByRole('button', { name: 'Drop it' }));
    await waitFor(() => expect(outboxItems()).toEqual([]));
    fireEvent.click(await screen.findByRole('button', { name: 'Undo' }));
    await screen.findByText(says);
  });

  test('sends again what was refused, as it is', async () => {
    answers(409, 'This id belongs to something else already.');
    show(<Banner />);
    await act(() => put(settings));
    await screen.findByText(/did not take your settings/);
    answers(200, '');
    fireEvent.click(screen.getByRole('button', { name: 'Send again' }));
    await waitFor(() => expect(outboxItems()).toEqual([]));
    expect(screen.queryByText(/did not take/)).toBeNull();
  });

  test('says that a page is to be left open whose browser could not store what waits', async () => {
    const server = new PretendServer([]);
    server.down = true;
    const full = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    show(<Banner />);
    await act(() => put(settings));
    await screen.findByText(/could not store it: leave this page open/);
    expect(screen.getByText(/1 entry is waiting on this page and will be sent later/)).toBeTruthy();
    expect(screen.queryByText(/kept here/)).toBeNull();
    full.mockRestore();
  });

  test('says why a server that answers stores nothing for now, and that it is sent again', async () => {
    answers(507, 'The disk is full, so this was not stored.');
    show(<Banner />);
    await act(() => put(settings));
    await screen.findByText(
      'The disk is full, so this was not stored. 1 entry is kept here and will be sent again by itself.',
    );
    expect(screen.queryByRole('button', { name: 'Drop it' })).toBeNull();
  });
});
