import { setFlagsFromString } from 'node:v8';
import { StartError } from './errors';
import { isLoopback } from './routes/guard';
import { prepare, serve } from './serve';

// the database's code is compiled once, quickly: compiling it again for speed costs a keeper's server more memory and time at the
// start than its few requests gain
setFlagsFromString('--liftoff-only');

const env = process.env;
const port = Number(env.PORT ?? 4860);
const host = env.HOST ?? '127.0.0.1';
/** A made-up moment to start at, so that a whole season can be gone through; it runs on from there. */
const startedAt = env.BURROW_NOW ? Date.parse(env.BURROW_NOW) : Date.now();
const ahead = startedAt - Date.now();
const opening = {
  dataDir: env.BURROW_DATA,
  databaseUrl: env.DATABASE_URL,
  demo: env.BURROW_DEMO === '1',
  now: () => new Date(Date.now() + ahead),
};

/** Stops what is open; until then, what is being opened. */
let stop: (() => Promise<unknown>) | null = null;
const ending = new AbortController();
/** Asked to end while it starts, it does not wait for what it opens. */
function endWhenAsked(): void {
  for (const signal of ['SIGINT', 'SIGTERM'] as const) {
    process.on(signal, () => {
      if (ending.signal.aborted) return;
      ending.abort();
      // what is written is safe at any moment: a start can be broken off
      void (stop?.() ?? Promise.resolve()).then(() => process.exit(0));
    });
  }
}

async function run(): Promise<void> {
  endWhenAsked();
  if (!Number.isInteger(port) || port < 0 || port > 65535) {
    throw new StartError(`PORT is "${env.PORT}", which is not a port. Give a number from 1 to 65535.`);
  }
  if (Number.isNaN(startedAt)) {
    throw new StartError(
      `BURROW_NOW is "${env.BURROW_NOW}", which is not a moment. Give one like 2026-05-10T18:00:00Z, or leave it out.`,
    );
  }
  const { url, replayed, aside, ...served } = await serve({
    ...opening,
    ending: ending.signal,
    host,
    port,
    hosts: env.BURROW_HOSTS,
    webRoot: env.WEB_ROOT,
  });
  ({ stop } = served);
  for (const says of aside) console.log(says);
  if (replayed > 0)
    console.log(`${replayed} entries that the database had lost were written again from the journal.`);
  console.log(`Gentle Burrow is open at ${url}`);
  if (!isLoopback(host))
    console.log(
      'It listens beyond this machine: whoever reaches that address can read everything, exact places too, and write. Open it only in a network that you trust.',
    );
}

try {
  await (process.argv.includes('--prepare') ? prepare(opening) : run());
} catch (error) {
  if (ending.signal.aborted) process.exit(0);
  console.error(error instanceof StartError ? error.message : error);
  process.exit(1);
}
