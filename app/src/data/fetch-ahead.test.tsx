import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, render } from '@testing-library/react';
import { useFetchAhead } from './fetch-ahead';
import { RefusedError } from './network';
import { shelfQuery } from './queries';

afterEach(() => jest.useRealTimers());

function Frame() {
  useFetchAhead();
  return null;
}

/** The frame over a shelf of three; each queen comes, or fails to, when it is said. */
function frame() {
  jest.useFakeTimers();
  const client = new QueryClient({ defaultOptions: { queries: { staleTime: Infinity } } });
  client.setQueryData(shelfQuery.queryKey, { rows: ['a', 'b', 'c'].map((id) => ({ queen: { id } })) });
  const answers: { come(): void; fail(error: Error): void }[] = [];
  const asked: unknown[] = [];
  jest.spyOn(client, 'fetchQuery').mockImplementation(({ queryKey }) => {
    asked.push(queryKey[1]);
    return new Promise<never>((come, fail) => answers.push({ come: () => come(null as never), fail }));
  });
  const { unmount } = render(
    <QueryClientProvider client={client}>
      <Frame />
    </QueryClientProvider>,
  );
  return { asked, answers, unmount, later: () => act(() => jest.advanceTimersByTimeAsync(5000)) };
}

test('queens are fetched ahead one at a time, so that nothing waits behind them, and no more once the page is left', async () => {
  const { asked, answers, unmount, later } = frame();
  expect(asked).toEqual([]);
  await later();
  expect(asked).toEqual(['a']);
  await later();
  expect(asked).toEqual(['a']);
  answers[0]?.come();
  await later();
  expect(asked).toEqual(['a', 'b']);
  unmount();
  answers[1]?.come();
  await later();
  expect(asked).toEqual(['a', 'b']);
});

test('one that is refused does not keep the others; where nobody answers the same is asked again after a while', async () => {
  const { asked, answers, unmount, later } = frame();
  await later();
  answers[0]?.fail(new RefusedError(404, 'There is no such queen.'));
  await later();
  expect(asked).toEqual(['a', 'b']);
  answers[1]?.fail(new TypeError('no connection'));
  await later();
  expect(asked).toEqual(['a', 'b']);
  for (let i = 0; i < 6; i++) await later();
  expect(asked).toEqual(['a', 'b', 'b']);
  unmount();
});
