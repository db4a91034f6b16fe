import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, render } from '@testing-library/react';
import { useFetchAhead } from './fetch-ahead';
import { shelfQuery } from './queries';

afterEach(() => jest.useRealTimers());

function Frame() {
  useFetchAhead();
  return null;
}

test('queens are fetched ahead one at a time, so that nothing waits behind them, and no more once the page is left', async () => {
  jest.useFakeTimers();
  const client = new QueryClient({ defaultOptions: { queries: { staleTime: Infinity } } });
  client.setQueryData(shelfQuery.queryKey, { rows: ['a', 'b', 'c'].map((id) => ({ queen: { id } })) });
  const came: (() => void)[] = [];
  const asked: unknown[] = [];
  jest.spyOn(client, 'prefetchQuery').mockImplementation(({ queryKey }) => {
    asked.push(queryKey[1]);
    return new Promise<void>((r) => came.push(r));
  });
  const later = () => act(() => jest.advanceTimersByTimeAsync(5000));
  const { unmount } = render(
    <QueryClientProvider client={client}>
      <Frame />
    </QueryClientProvider>,
  );
  expect(asked).toEqual([]);
  await later();
  expect(asked).toEqual(['a']);
  await later();
  expect(asked).toEqual(['a']);
  came[0]?.();
  await later();
  expect(asked).toEqual(['a', 'b']);
  unmount();
  came[1]?.();
  await later();
  expect(asked).toEqual(['a', 'b']);
});
