import { existsSync, openAsBlob, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import type { PgDatabase } from 'drizzle-orm/pg-core';
import type { PgQueryResultHKT } from 'drizzle-orm/pg-core/session';
import type { Pool } from 'pg';
import { Refusal, StartError } from '../errors';
import { inTurn } from '../unhurried';
import { holdAlone, type Held } from './one-server';
import * as schema from './schema';

export type Db = PgDatabase<PgQueryResultHKT, typeof schema>;

export interface OpenDb {
  db: Db;
  kind: 'pglite' | 'postgres';
  close(): Promise<void>;
}

interface DbOptions {
  migrationsFolder: string;
  /** A PostgreSQL server; PGlite when not given. */
  databaseUrl?: string | undefined;
  /** PGlite's directory; in memory when not given. */
  pgliteDir?: string | undefined;
  /** Called when another server has the database although this one lives. */
  lost?: (() => void) | undefined;
}

/** Opens the database and brings its schema up to date. */
export async function openDb({
  migrationsFolder,
  databaseUrl,
  pgliteDir,
  lost = () => undefined,
}: DbOptions): Promise<OpenDb> {
  return databaseUrl
    ? openServer(databaseUrl, migrationsFolder, lost)
    : openPglite(pgliteDir, migrationsFolder);
}

async function openServer(
  connectionString: string,
  migrationsFolder: string,
  lost: () => void,
): Promise<OpenDb> {
  const [{ Pool }, { drizzle }, { migrate }] = await Promise.all([
    import('pg').then((m) => m.default),
    import('drizzle-orm/node-postgres'),
    import('drizzle-orm/node-postgres/migrator'),
  ]);
  const pool = new Pool({ connectionString, connectionTimeoutMillis: CONNECT_MS });
  // a server that restarts breaks lines that nobody uses just now: they are opened again when they are needed
  pool.on('error', () => undefined);
  // and those that are lent out: what was asked on them is refused, and nobody else needs to hear of it
  pool.on('connect', (client) => client.on('error', () => undefined));
  const db = drizzle(pool, { schema });
  let held: Held;
  try {
    held = await holdAlone(connectionString, CONNECT_MS, lost);
  } catch (error) {
    await pool.end();
    throw asStartError(error);
  }
  try {
    await alone(pool, async () => {
      await refuseNewer(db, migrationsFolder);
      await migrate(db, { migrationsFolder });
    });
  } catch (error) {
    await held.release();
    await pool.end();
    throw asStartError(error);
  }
  return {
    db,
    kind: 'postgres',
    async close() {
      await pool.end();
      await held.release();
    },
  };
}

const asStartError = (error: unknown): StartError =>
  error instanceof StartError
    ? error
    : new StartError(
        `The database at DATABASE_URL cannot be used (${(error as Error).message}). Check the address, the rights and that the server runs.`,
      );

/** So long a server may take to answer that it is there. */
const CONNECT_MS = 10_000;
/** Any number, as long as every one of our servers asks for the same. */
const SCHEMA_LOCK = 4860;

/** Of all that start together over one database one brings the schema up to date, the others wait for it. */
async function alone(pool: Pool, work: () => Promise<void>): Promise<void> {
  const client = await pool.connect();
  try {
    await client.query('select pg_advisory_lock($1)', [SCHEMA_LOCK]);
    await work();
    await client.query('select pg_advisory_unlock($1)', [SCHEMA_LOCK]);
  } finally {
    // whatever has happened, the line is closed and the lock with it
    client.release(true);
  }
}

async function openPglite(dataDir: string | undefined, migrationsFolder: string): Promise<OpenDb> {
  const [{ PGlite }, { drizzle }, { migrate }] = await Promise.all([
    import('@electric-sql/pglite'),
    import('drizzle-orm/pglite'),
    import('drizzle-orm/pglite/migrator'),
  ]);
  const isNew = dataDir === undefined || !existsSync(join(dataDir, 'PG_VERSION'));
  const empty = join(migrationsFolder, '..', '.empty', 'db.tar');
  const client = await PGlite.create({
    dataDir: dataDir ?? 'memory://',
    // the build has laid one there: to unpack it takes a tenth of the time
    ...(isNew && existsSync(empty) ? { loadDataDir: await openAsBlob(empty) } : {}),
    // 128 MB by default, all of it inside this process
    postgresqlconf: ['shared_buffers=32MB'],
  });
  const query = client.query.bind(client);
  client.query = (...asked: Parameters<typeof query>) => inTurn(() => query(...asked) as Promise<never>);
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

/** What the system and the database say when a server is not there, or is just going or coming: class 08 and 57. */
const AWAY = /^(?:08.{3}|57P0[1-3]|ECONNREFUSED|ECONNRESET|EPIPE|ETIMEDOUT|ENOTFOUND|EAI_AGAIN|ENOENT)$/;
const AWAY_SAYS = /Connection terminated|timeout exceeded when trying to connect/;

/** A database that cannot be reached as a refusal; null when it is something else. */
export function refusalOfDatabase(error: unknown): Refusal | null {
  for (let e = error as (Error & { code?: unknown }) | undefined; e; e = e.cause as typeof e)
    if (AWAY.test(String(e.code)) || AWAY_SAYS.test(e.message)) return new Refusal('database-away');
  return null;
}

function rowsOf(result: unknown): unknown[] {
  return (result as { rows: unknown[] }).rows;
}
