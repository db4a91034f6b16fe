import { existsSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { getTableName, is, sql, Table } from 'drizzle-orm';
import { openDataDir, type DataDir } from './db/data-dir';
import { refusalOfDisk } from './db/disk';
import { openFiles } from './db/files';
import { openDb, type OpenDb } from './db/open';
import * as schema from './db/schema';
import { Store } from './db/store';
import { StartError } from './errors';

interface StoreOptions {
  migrationsFolder: string;
  databaseUrl?: string | undefined;
  dataDir: string;
  /** Hears how far a database is written again, 0..1. */
  progress?: (share: number) => void;
  /** Is called when another process has taken the data over although this one lives. */
  lost?: () => void;
}

/** Opens the data and makes it ready: schema, profiles, and what a crash may have left behind. */
export async function openStore(options: StoreOptions): Promise<{
  store: Store;
  replayed: number;
  /** What had to be set aside, a sentence each. */
  aside: readonly string[];
  /** Where the shelf is kept for the next start; null with a PostgreSQL server. */
  shelfFile: string | null;
}> {
  const { migrationsFolder, databaseUrl, progress } = options;
  if (databaseUrl) {
    const store = new Store(await openDb({ migrationsFolder, databaseUrl, lost: options.lost }));
    return { store, shelfFile: null, aside: [], ...(await store.prepare()) };
  }
  const dir = await openDataDir(options.dataDir, options.lost);
  try {
    const open = await openOrRebuild(dir, migrationsFolder);
    const { root, aside, lock } = dir;
    const store = new Store(
      { ...open, close: () => open.close().finally(lock.unlock) },
      openFiles(root, { aside, held: lock.held }),
    );
    const prepared = await store.prepare(progress);
    return {
      store,
      shelfFile: dir.shelf,
      aside: aside.fresh.map((a) => `${a.says} It lies in ${join(root, a.where)}.`),
      ...prepared,
    };
  } catch (error) {
    dir.lock.unlock();
    const refusal = refusalOfDisk(error);
    if (refusal)
      throw new StartError(
        `The data in ${dir.root} cannot be opened for writing. ${refusal.message.split('. ').slice(1).join('. ')}`,
      );
    throw error;
  }
}

/** The database; one that is damaged is set aside, and an empty one takes its place: the journal fills it. */
async function openOrRebuild({ root, db, aside }: DataDir, migrationsFolder: string): Promise<OpenDb> {
  const open = () => openDb({ migrationsFolder, pgliteDir: db });
  try {
    if (existsSync(db) && readdirSync(db).length > 0 && !existsSync(join(db, 'PG_VERSION')))
      throw new Error('PG_VERSION is missing');
    const opened = await open();
    await readThrough(opened);
    return opened;
  } catch (error) {
    if (error instanceof StartError || refusalOfDisk(error)) throw error;
    const journal = statSync(join(root, 'facts.jsonl'), { throwIfNoEntry: false });
    aside.move(
      db,
      'db',
      journal && journal.size > 0
        ? 'The database was damaged. It was made anew from the journal; probes that send by themselves need new secrets.'
        : 'The database was damaged, and there is no journal to make it from: it begins empty. Put back a backup of the data directory if there is one.',
    );
    return open();
  }
}

/** Every table is there and can be read. */
async function readThrough({ db }: OpenDb): Promise<void> {
  for (const table of Object.values(schema))
    if (is(table, Table)) await db.execute(sql`select count(*) from ${sql.identifier(getTableName(table))}`);
}

export const migrationsIn = (serverFolder: string): string => join(serverFolder, 'drizzle');
