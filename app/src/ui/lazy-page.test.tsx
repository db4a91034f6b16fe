import { Component, type ReactNode } from 'react';
import { Text } from 'react-native';
import { act, screen } from '@testing-library/react';
import { show } from '../../test/kit';
import { lazyPage } from './lazy-page';

class Guard extends Component<{ children: ReactNode }, { said: string | null }> {
  override state = { said: null as string | null };
  static getDerivedStateFromError = (error: Error) => ({ said: error.message });
  override render() {
    return this.state.said === null ? this.props.children : <Text>{this.state.said}</Text>;
  }
}

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

test('a page that cannot be fetched is told to whoever stands guard', async () => {
  const quiet = jest.spyOn(console, 'error').mockImplementation(() => {});
  const Page = lazyPage<object>(() => Promise.reject(new Error('no way through')));
  show(
    <Guard>
      <Page />
    </Guard>,
  );
  expect(await screen.findByText('no way through')).toBeTruthy();
  quiet.mockRestore();
});
