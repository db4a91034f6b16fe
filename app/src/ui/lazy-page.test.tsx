import { onlineManager } from '@tanstack/react-query';
import { Text } from 'react-native';
import { act, screen } from '@testing-library/react';
import { show } from '../../test/kit';
import { lazyPage } from './lazy-page';

const Named = ({ name }: { name: string }) => <Text>{`Page of ${name}`}</Text>;

test('waits with words, then shows the page with its props', async () => {
  let come: (page: typeof Named) => void = () => {};
  const Page = lazyPage<{ name: string }>(() => new Promise((resolve) => (come = resolve)));
  show(<Page name="S1" />);
  expect(screen.getByRole('status', { name: 'Loading this page' })).toBeTruthy();
  await act(async () => come(Named));
  expect(screen.getByText('Page of S1')).toBeTruthy();
});

test('a page that has come once is there at once', async () => {
  const load = jest.fn(() => Promise.resolve(Named));
  const Page = lazyPage<{ name: string }>(load);
  const first = show(<Page name="S1" />);
  await screen.findByText('Page of S1');
  first.unmount();
  show(<Page name="S2" />);
  expect(screen.getByText('Page of S2')).toBeTruthy();
  expect(load).toHaveBeenCalledTimes(1);
});

test('a page that cannot be fetched says so, and comes when the server can be reached again', async () => {
  const load = jest.fn((): Promise<typeof Named> => Promise.reject(new Error('no way through')));
  const Page = lazyPage<{ name: string }>(load);
  show(<Page name="S1" />);
  expect(await screen.findByText(/could not be fetched from the server/)).toBeTruthy();
  load.mockImplementation(() => Promise.resolve(Named));
  await act(async () => {
    onlineManager.setOnline(false);
    onlineManager.setOnline(true);
  });
  expect(await screen.findByText('Page of S1')).toBeTruthy();
});

test('a page that breaks keeps what stands around it', async () => {
  const quiet = jest.spyOn(console, 'error').mockImplementation(() => {});
  const Page = lazyPage<object>(() =>
    Promise.resolve(() => {
      throw new Error('a fault inside');
    }),
  );
  show(
    <>
      <Text>around it</Text>
      <Page />
    </>,
  );
  expect(await screen.findByText('This page broke.')).toBeTruthy();
  expect(screen.getByText('a fault inside')).toBeTruthy();
  expect(screen.getByText('around it')).toBeTruthy();
  quiet.mockRestore();
});
