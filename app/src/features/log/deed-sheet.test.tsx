import { fireEvent, screen, waitFor } from '@testing-library/react';
import { drop, outboxItems } from '@/data/outbox';
import { madeQueen, PretendServer, show } from '../../../test/kit';
import { DeedSheet } from './DeedSheet';

afterEach(async () => {
  for (const i of outboxItems()) await drop(i.id);
  localStorage.clear();
});

test('anything is written from where one is: the sheet opens over the page and closes when it is kept', async () => {
  const facts = madeQueen('Vesper', 30);
  const server = new PretendServer([facts]);
  const onClose = jest.fn();
  show(<DeedSheet id={facts.queen.id} onClose={onClose} />);
  expect(await screen.findByRole('dialog', { name: 'What of Vesper?' })).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Note' }));
  // the form takes the place of the other deeds
  expect(screen.queryByRole('button', { name: 'Feed' })).toBeNull();
  fireEvent.change(screen.getByRole('textbox', { name: 'Note' }), { target: { value: 'calm' } });
  fireEvent.click(screen.getByRole('button', { name: 'Keep this note' }));
  await waitFor(() => expect(onClose).toHaveBeenCalledTimes(1));
  await waitFor(() =>
    expect(server.bodiesOf('/entries')).toMatchObject([
      { kind: 'note', text: 'calm', queenId: facts.queen.id },
    ]),
  );
});
