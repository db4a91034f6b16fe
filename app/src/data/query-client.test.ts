import { persistOptions, queryClient } from './query-client';

test('what was seen stays in the cache when no page shows it any more', async () => {
  queryClient.setQueryData(['queen', 'x'], { label: 'Vesper' });
  const watching = queryClient.getQueryCache().find({ queryKey: ['queen', 'x'] });
  expect(watching).toBeDefined();
  await new Promise((r) => setTimeout(r, 50));
  expect(queryClient.getQueryData(['queen', 'x'])).toEqual({ label: 'Vesper' });
});

test('it is kept as long in the browser as in memory, and no longer than a timer can hold', () => {
  const { gcTime } = queryClient.getDefaultOptions().queries ?? {};
  expect(gcTime).toBe(persistOptions.maxAge);
  expect(gcTime).toBeLessThan(2 ** 31);
});
