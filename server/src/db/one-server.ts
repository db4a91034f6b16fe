import { setTimeout as sleep } from 'node:timers/promises';
import pg from 'pg';
import { StartError } from '../errors';

/** Any number, as long as every one of our servers asks for the same. */
export const OPEN_LOCK = 4861;
/** So long a server that was ended may still seem to hold the database, and between two tries, ms. */
const PATIENCE = { tries: 10, everyMs: 500 };

/** One server a database: held for as long as it is open. */
export interface Held {
  release(): Promise<void>;
}

/**
 * Holds a database for this server alone, by a lock on a line of its own. Several servers on one database are not supported: each keeps
 * readings and views in its memory, and a second one would lose what the first was told.
 * @param lost is called when another server has the database after a restart of PostgreSQL
 * @throws StartError when another server has it
 */
export async function holdAlone(
  connectionString: string,
  connectMs: number,
  lost: () => void,
): Promise<Held> {
  let released = false;
  let line: pg.Client | null = null;

  const take = async (): Promise<boolean> => {
    const client = new pg.Client({ connectionString, connectionTimeoutMillis: connectMs });
    // the end of the line tells enough
    client.on('error', () => undefined);
    await client.connect();
    const { rows } = await client.query<{ mine: boolean }>('select pg_try_advisory_lock($1) as mine', [
      OPEN_LOCK,
    ]);
    if (!rows[0]?.mine) {
      await client.end();
      return false;
    }
    client.on('end', () => {
      if (!released && line === client) void again();
    });
    line = client;
    return true;
  };

  /** PostgreSQL ended and is coming back: whoever is first has it again. */
  async function again(): Promise<void> {
    let refusals = 0;
    while (!released) {
      try {
        if (await take()) {
          // released while it was taken
          if (released) await line?.end();
          return;
        }
        refusals++;
      } catch {
        refusals = 0;
      }
      if (refusals >= PATIENCE.tries) return lost();
      await sleep(PATIENCE.everyMs);
    }
  }

  for (let i = 0; !(await take()); i++) {
    if (i >= PATIENCE.tries)
      throw new StartError(
        'Another Gentle Burrow server has this database open, and two on one database would lose readings. Stop the other one, or give this one another database.',
      );
    await sleep(PATIENCE.everyMs);
  }
  return {
    async release() {
      released = true;
      await line?.end().catch(() => undefined);
    },
  };
}
