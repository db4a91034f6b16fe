import { join } from 'node:path';
import { openDataDir } from './db/data-dir';
import { Journal } from './db/journal';
import { openDb } from './db/open';
import { Store } from './db/store';

/** Opens the data and makes it ready: schema, profiles, and what a crash may have left behind. */
export async function openStore(options: {
  migrationsFolder: string;
  databaseUrl?: string | undefined;
  dataDir: string;
}): Promise<{
  store: Store;
  replayed: number;
  /** Where the shelf is kept for the next start; null with a PostgreSQL server. */
  shelfFile: string | null;
}> {
  const { migrationsFolder, databaseUrl } = options;
  if (databaseUrl) {
    const store = new Store(await openDb({ migrationsFolder, databaseUrl }));
    return { store, shelfFile: null, ...(await store.prepare()) };
  }
  const dir = openDataDir(options.dataDir);
  try {
    const open = await openDb({ migrationsFolder, pgliteDir: dir.db });
    const store = new Store(
      { ...open, close: () => open.close().finally(dir.unlock) },
      new Journal(dir.journal),
      dir.photos,
      new Journal(dir.readings),
    );
    return { store, shelfFile: dir.shelf, ...(await store.prepare()) };
  } catch (error) {
    dir.unlock();
    throw error;
  }
}

export const migrationsIn = (serverFolder: string): string => join(serverFolder, 'drizzle');
