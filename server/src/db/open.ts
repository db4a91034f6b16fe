import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import type { PgDatabase } from 'drizzle-orm/pg-core';
import type { PgQueryResultHKT } from 'drizzle-orm/pg-core/session';
import { StartError } from '../errors';
import * as schema from './schema';

export type Db = PgDatabase<PgQueryResultHKT, typeof schema>;

export interface OpenDb {
  db: Db;
  kind: 'pglite' | 'postgres';
  close(): Promise<void>;
}

export interface DbOptions {
  migrationsFolder: string;
  /** A PostgreSQL server; PGlite when not given. */
  databaseUrl?: string | undefined;
  /** PGlite's directory; in memory when not given. */
  pgliteDir?: string | undefined;
}

/** Opens the database and brings its schema up to date. */
export async function openDb({ migrationsFolder, databaseUrl, pgliteDir }: DbOptions): Promise<OpenDb> {
  return databaseUrl ? openServer(databaseUrl, migrationsFolder) : openPglite(pgliteDir, migrationsFolder);
}

async function openServer(connectionString: string, migrationsFolder: string): Promise<OpenDb> {
  const [{ Pool }, { drizzle }, { migrate }] = await Promise.all([
    import('pg').then((m) => m.default),
    import('drizzle-orm/node-postgres'),
    import('drizzle-orm/node-postgres/migrator'),
  ]);
  const pool = new Pool({ connectionString });
  const db = drizzle(pool, { schema });
  try {
    await refuseNewer(db, migrationsFolder);
    await migrate(db, { migrationsFolder });
  } catch (error) {
    await pool.end();
    if (error instanceof StartError) throw error;
    throw new StartError(
      `The database at DATABASE_URL cannot be used (${(error as Error).message}). Check the address, the rights and that the server runs.`,
    );
  }
  return { db, kind: 'postgres', close: () => pool.end() };
}

async function openPglite(dataDir: string | undefined, migrationsFolder: string): Promise<OpenDb> {
  const [{ PGlite }, { drizzle }, { migrate }] = await Promise.all([
    import('@electric-sql/pglite'),
    import('drizzle-orm/pglite'),
    import('drizzle-orm/pglite/migrator'),
  ]);
  const client = await PGlite.create({
    dataDir: dataDir ?? 'memory://',
    // 128 MB by default, all of it inside this process
    postgresqlconf: ['shared_buffers=32MB'],
  });
  const db = drizzle(client, { schema });
  await refuseNewer(db, migrationsFolder);
  await migrate(db, { migrationsFolder });
  // PGlite has no background workers, so nobody else ever vacuums
  const tend = setInterval(() => void client.exec('vacuum analyze').catch(() => {}), 24 * 3_600_000);
  tend.unref();
  return {
    db,
    kind: 'pglite',
    async close() {
      clearInterval(tend);
      await client.close();
    },
  };
}

/** @throws StartError when the schema has migrations that this version does not know */
async function refuseNewer(db: Db, migrationsFolder: string): Promise<void> {
  const journal = JSON.parse(readFileSync(join(migrationsFolder, 'meta', '_journal.json'), 'utf8')) as {
    entries: unknown[];
  };
  const found = await db.execute(
    sql`select to_regclass('drizzle.__drizzle_migrations') is not null as there`,
  );
  if ((rowsOf(found)[0] as { there: boolean } | undefined)?.there !== true) return;
  const counted = await db.execute(sql`select count(*)::int as n from drizzle.__drizzle_migrations`);
  const n = (rowsOf(counted)[0] as { n: number }).n;
  if (n > journal.entries.length) {
    throw new StartError(
      'The database was written by a newer version of Gentle Burrow. Update the application, or use another database.',
    );
  }
}

function rowsOf(result: unknown): unknown[] {
  return (result as { rows: unknown[] }).rows;
}
