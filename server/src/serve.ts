import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, readFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { dirname, join, resolve } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { fileURLToPath } from 'node:url';
import { instantOf } from '@gentle-burrow/core/quantity';
import { buildApp } from './app';
import { tidyAtRest } from './at-rest';
import { DailyBackups } from './backup/daily';
import { seedDemo } from './demo/seed';
import { StartError } from './errors';
import { KeptShelf } from './jobs/kept-shelf';
import { WorkerPool, type Projector } from './jobs/pool';
import { Views } from './jobs/views';
import { drawApart, Printer } from './labels/printer';
import { knownHosts } from './routes/guard';
import { migrationsIn, openStore } from './start';

// bundled beside its worker in server/dist
const here = dirname(fileURLToPath(import.meta.url));
const serverFolder = resolve(here, '..');
const program = join(here, 'main.js');
const worker = join(here, 'project.worker.js');
/** Making it takes a third of a second in which nobody is answered: the build has laid it there. */
const description = join(here, 'openapi.json');

export interface Opening {
  /** Where the data lies; beside the server when not given. */
  dataDir?: string | undefined;
  /** A PostgreSQL server; PGlite in the directory when not given. */
  databaseUrl?: string | undefined;
  /** Puts the demo in where nothing is yet. */
  demo: boolean;
  now: () => Date;
}

interface Serving extends Opening {
  host: string;
  port: number;
  /** Further names under which it may be asked, by commas. */
  hosts?: string | undefined;
  webRoot?: string | undefined;
  /** Aborted when it is to end before it is open. */
  ending?: AbortSignal | undefined;
  /** Threads that project; of its own when not given. */
  pool?: Projector | undefined;
}

interface Served {
  url: string;
  replayed: number;
  /** What had to be set aside, a sentence each. */
  aside: readonly string[];
  stop(): Promise<void>;
}

const dataDirOf = ({ dataDir }: Opening): string => resolve(dataDir ?? join(serverFolder, '..', 'data'));

const openAt = (opening: Opening) =>
  openStore({
    migrationsFolder: migrationsIn(serverFolder),
    databaseUrl: opening.databaseUrl,
    dataDir: dataDirOf(opening),
    progress: tenths((share) => console.log(`Writing the database again from the journal: ${share} %`)),
    lost() {
      console.error(
        'Another process has taken over the data. This one ends, so that nothing is written twice.',
      );
      process.exit(1);
    },
  });

/** What a start writes again is mostly the last write alone, in at once: only what takes longer is told of. */
const QUIET_MS = 1000;

/** Tells every tenth, where it goes on for a while. */
function tenths(tell: (percent: number) => void): (share: number) => void {
  let told = 0;
  let since: number | undefined;
  return (share) => {
    since ??= performance.now();
    const percent = 10 * Math.floor(10 * share);
    if (percent > told && share < 1 && performance.now() - since > QUIET_MS) tell((told = percent));
  };
}

/** So long an answer may take once the server is asked to stop. */
const GRACE_MS = 1500;

/** Threads for projections, one a core. */
export const projectors = (size = Math.max(1, Math.min(4, availableParallelism()))): WorkerPool =>
  new WorkerPool(worker, size);

/** Makes the data directory, with the demo in it where that is asked for. */
export async function prepare(opening: Opening): Promise<void> {
  const { store } = await openAt(opening);
  if (opening.demo) await seedDemo(store, opening.now());
  await store.close();
}

/** Making a PGlite directory takes memory that the process would keep: a child makes it and leaves. */
async function prepareInChild(opening: Opening, signal?: AbortSignal): Promise<void> {
  console.log('Making the data directory …');
  const child = spawn(process.execPath, [...process.execArgv, program, '--prepare'], {
    stdio: 'inherit',
    // who is asked to end meanwhile ends the child too: what it has made so far is made anew at the next start
    signal,
    killSignal: 'SIGKILL',
    env: {
      ...process.env,
      BURROW_DATA: dataDirOf(opening),
      BURROW_DEMO: opening.demo ? '1' : '',
      BURROW_NOW: opening.now().toISOString(),
    },
  });
  const [status] = (await once(child, 'exit')) as [number | null];
  if (status !== 0) throw new StartError('The data directory could not be made. The lines above say why.');
}

/**
 * Opens the data and listens.
 * @throws StartError with one sentence when the data cannot be opened or nobody can listen there
 */
export async function serve(serving: Serving): Promise<Served> {
  const { host, port, demo, now } = serving;
  if (!serving.databaseUrl && !existsSync(join(dataDirOf(serving), 'db', 'PG_VERSION')))
    await prepareInChild(serving, serving.ending);
  const { store, replayed, aside, shelfFile } = await openAt(serving);
  if (demo) await seedDemo(store, now());

  const own = serving.pool ? null : projectors();
  const pool = serving.pool ?? (own as WorkerPool);
  const { version } = JSON.parse(readFileSync(join(serverFolder, 'package.json'), 'utf8')) as {
    version: string;
  };
  const views = new Views(store, pool, shelfFile ? new KeptShelf(shelfFile, worker) : null);
  const backups = new DailyBackups(store, version, now);
  const app = await buildApp({
    store,
    backups,
    views,
    version,
    logger: true,
    description: existsSync(description) ? readFileSync(description, 'utf8') : undefined,
    now,
    knows: knownHosts(host, serving.hosts),
    printer: new Printer(drawApart(join(here, 'print.worker.js'))),
    webRoot: serving.webRoot ?? join(serverFolder, '..', 'app', 'dist'),
  });
  const moment = () => instantOf(now().getTime());
  let endReady = () => {};
  const stop = async () => {
    endReady();
    backups.end();
    // what is asked now is still answered; who only holds a line open, or never ends asking, does not keep the server from ending
    await Promise.race([app.close(), sleep(GRACE_MS, undefined, { ref: false })]);
    app.server.closeAllConnections();
    await views.keep(moment()).catch(() => undefined);
    await own?.close();
    await store.close();
  };
  try {
    await app.listen({ host, port });
  } catch (error) {
    await stop();
    throw listenError(error as NodeJS.ErrnoException, host, port);
  }
  tidyAtRest(app.server);
  endReady = views.readyAhead(moment);
  backups.begin();
  const address = app.server.address();
  const bound = typeof address === 'object' && address ? address.port : port;
  return { url: `http://${host}:${bound}`, replayed, aside, stop };
}

function listenError(error: NodeJS.ErrnoException, host: string, port: number): Error {
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
