import { hashKey, type QueryClient } from '@tanstack/react-query';

const newest = new WeakMap<QueryClient, Map<string, Promise<void>>>();

/**
 * Fetches again what is shown of it, and resolves when an answer has come that was asked for after this. One that is under way
 * was asked for before: it is not waited for, also when it is the first, which the library would take instead of asking again.
 */
export async function fetchAnew(client: QueryClient, queryKey: readonly string[]): Promise<void> {
  const mine = newest.get(client) ?? new Map<string, Promise<void>>();
  newest.set(client, mine);
  const key = hashKey(queryKey);
  const ask = async () => {
    await client.cancelQueries({ queryKey });
    await client.invalidateQueries({ queryKey });
  };
  let asked = ask();
  mine.set(key, asked);
  // who asks after this one breaks its answer off: then that later answer is waited for
  for (;;) {
    await asked;
    const later = mine.get(key);
    if (later === undefined || later === asked) return;
    asked = later;
  }
}
