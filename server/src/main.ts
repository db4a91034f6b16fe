import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { setFlagsFromString } from 'node:v8';
import { buildApp } from './app';
import { seedDemo } from './demo/seed';
import { StartError } from './errors';
import { WorkerPool } from './jobs/pool';
import { Views } from './jobs/views';
import { migrationsIn, openStore } from './start';

// the database's code is compiled once, quickly: compiling it again for speed costs a keeper's server more memory and time at the
// start than its few requests gain
setFlagsFromString('--liftoff-only');

// bundled beside its worker in server/dist
const here = dirname(fileURLToPath(import.meta.url));
const serverFolder = resolve(here, '..');
const dataDir = resolve(process.env.BURROW_DATA ?? join(serverFolder, '..', 'data'));
const host = process.env.HOST ?? '127.0.0.1';
const port = Number(process.env.PORT ?? 4860);
const databaseUrl = process.env.DATABASE_URL;
const demo = process.env.BURROW_DEMO === '1';
/** A made-up moment to start at, so that a whole season can be gone through; it runs on from there. */
const startedAt = process.env.BURROW_NOW ? Date.parse(process.env.BURROW_NOW) : Date.now();
const ahead = startedAt - Date.now();
const now = () => new Date(Date.now() + ahead);
const prepareOnly = process.argv.includes('--prepare');

async function open() {
  return openStore({ migrationsFolder: migrationsIn(serverFolder), databaseUrl, dataDir });
}

/** Making a PGlite directory takes memory that the process would keep: a child makes it and leaves. */
function prepareInChild(): void {
  console.log('Making the data directory …');
  const child = spawnSync(
    process.execPath,
    [...process.execArgv, fileURLToPath(import.meta.url), '--prepare'],
    {
      stdio: 'inherit',
    },
  );
  if (child.status !== 0) process.exit(child.status ?? 1);
}

async function prepare(): Promise<void> {
  const { store } = await open();
  if (demo) await seedDemo(store, now());
  await store.close();
}

async function serve(): Promise<void> {
  if (!Number.isInteger(port) || port < 0 || port > 65535) {
    throw new StartError(
      `PORT is "${process.env.PORT}", which is not a port. Give a number from 1 to 65535.`,
    );
  }
  if (Number.isNaN(startedAt)) {
    throw new StartError(
      `BURROW_NOW is "${process.env.BURROW_NOW}", which is not a moment. Give one like 2026-05-10T18:00:00Z, or leave it out.`,
    );
  }
  if (!databaseUrl && !existsSync(join(dataDir, 'db', 'PG_VERSION'))) prepareInChild();
  const { store, replayed } = await open();
  if (replayed > 0)
    console.log(`${replayed} entries that the database had lost were written again from the journal.`);
  if (demo) await seedDemo(store, now());

  const pool = new WorkerPool(
    join(here, 'project.worker.js'),
    Math.max(1, Math.min(4, availableParallelism())),
  );
  const { version } = JSON.parse(readFileSync(join(serverFolder, 'package.json'), 'utf8')) as {
    version: string;
  };
  const app = await buildApp({
    store,
    views: new Views(store, pool),
    version,
    logger: true,
    now,
    webRoot: process.env.WEB_ROOT ?? join(serverFolder, '..', 'app', 'dist'),
  });
  const stop = async () => {
    await app.close();
    await pool.close();
    await store.close();
  };
  try {
    await app.listen({ host, port });
  } catch (error) {
    await stop();
    throw listenError(error as NodeJS.ErrnoException);
  }
  const address = app.server.address();
  const bound = typeof address === 'object' && address ? address.port : port;
  console.log(`Gentle Burrow is open at http://${host}:${bound}`);

  let stopping = false;
  for (const signal of ['SIGINT', 'SIGTERM'] as const) {
    process.on(signal, () => {
      if (stopping) return;
      stopping = true;
      void stop().then(() => process.exit(0));
    });
  }
}

function listenError(error: NodeJS.ErrnoException): Error {
  if (error.code === 'EADDRINUSE') {
    return new StartError(
      `Port ${port} on ${host} is taken by another program. Stop it, or choose another with PORT=….`,
    );
  }
  if (error.code === 'EACCES') {
    return new StartError(
      `Port ${port} needs rights that you do not have. Choose one above 1023 with PORT=….`,
    );
  }
  if (error.code === 'EADDRNOTAVAIL' || error.code === 'ENOTFOUND') {
    return new StartError(
      `This machine has no address ${host}. Set HOST to 127.0.0.1, or to one that it has.`,
    );
  }
  return error;
}

try {
  await (prepareOnly ? prepare() : serve());
} catch (error) {
  console.error(error instanceof StartError ? error.message : error);
  process.exit(1);
}
