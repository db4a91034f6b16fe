import { QueryClient } from '@tanstack/react-query';
import { createAsyncStoragePersister } from '@tanstack/query-async-storage-persister';
import type { PersistedClient, PersistQueryClientOptions } from '@tanstack/react-query-persist-client';
import { del, get, set } from 'idb-keyval';
import { apart } from './example';
import { RefusedError } from './network';

// a timer holds 24.8 days at the most (2^31 ms); a longer one would fire at once and empty the cache
const KEEP_MS = 1000 * 60 * 60 * 24 * 21;

export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      gcTime: KEEP_MS,
      staleTime: 30_000,
      retry: (n, error) => !(error instanceof RefusedError) && n < 2,
    },
  },
});

const persister = createAsyncStoragePersister({
  key: apart('burrow-cache'),
  // what an earlier visit kept may lack what was written in its last moment: it is shown, and asked for anew
  deserialize: (text: string): PersistedClient => {
    const kept = JSON.parse(text) as PersistedClient;
    for (const query of kept.clientState.queries) query.state.dataUpdatedAt = 1;
    return kept;
  },
  throttleTime: 300,
  storage:
    typeof indexedDB === 'undefined'
      ? undefined
      : {
          getItem: async (k: string) => (await get<string>(k)) ?? null,
          setItem: (k: string, v: string) => set(k, v),
          removeItem: (k: string) => del(k),
        },
});

/** What was last seen is shown again without a connection. What was written is kept by the outbox, not here. */
export const persistOptions: Omit<PersistQueryClientOptions, 'queryClient'> = {
  persister,
  maxAge: KEEP_MS,
  buster: '8',
};
