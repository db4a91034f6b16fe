import { connect, createServer, type AddressInfo, type Socket } from 'node:net';
import { Client } from 'pg';
import { buildApp } from '../app';
import { Views } from '../jobs/views';
import { project } from '../jobs/project-task';
import { factsOf, MIGRATIONS, newQueen, NOW } from '../test-kit';
import { holdAlone, OPEN_LOCK } from './one-server';
import { openDb } from './open';
import { Store } from './store';

const server = process.env.TEST_DATABASE_URL;

/** Where there is a PostgreSQL server. */
(server ? describe : describe.skip)('a PostgreSQL server', () => {
  let admin: Client;
  beforeAll(async () => {
    admin = new Client({ connectionString: server });
    await admin.connect();
  });
  afterAll(() => admin.end());
  /** An empty database of its own. */
  const made = async (name: string) => {
    await admin.query(`create database ${name}`);
    return new URL(`/${name}`, server).href;
  };
  const open = (databaseUrl: string) => openDb({ migrationsFolder: MIGRATIONS, databaseUrl });

  test('is opened by one of two that start together on an empty database; the other says why it does not', async () => {
    const databaseUrl = await made('together');
    const both = await Promise.allSettled([open(databaseUrl), open(databaseUrl)]);
    const [db] = both.flatMap((b) => (b.status === 'fulfilled' ? [b.value] : []));
    const [why] = both.flatMap((b) => (b.status === 'rejected' ? [b.reason as Error] : []));
    expect(why?.message).toMatch(/Another Gentle Burrow server has this database open.*Stop the other one/);
    const store = new Store(db as NonNullable<typeof db>);
    await store.prepare();
    expect(await store.queens()).toEqual([]);
    await store.close();
    // and once that one is closed another may open it
    const next = await open(databaseUrl);
    await next.close();
  }, 60_000);

  test('another server that has the database after a restart is told of, and this one lets go', async () => {
    const connectionString = await made('taken_over');
    const lost = jest.fn();
    const mine = await holdAlone(connectionString, 5000, lost);
    // the other one waits for the lock, and has it as soon as the line of this one is cut
    const other = new Client({ connectionString });
    await other.connect();
    const [{ pid }] = (
      await admin.query<{ pid: number }>(
        `select pid from pg_locks where locktype = 'advisory' and granted
          and database = (select oid from pg_database where datname = 'taken_over')`,
      )
    ).rows as [{ pid: number }];
    const waits = other.query('select pg_advisory_lock($1)', [OPEN_LOCK]);
    await admin.query('select pg_terminate_backend($1)', [pid]);
    await waits;
    for (const until = Date.now() + 30_000; lost.mock.calls.length === 0 && Date.now() < until;)
      await new Promise((r) => setTimeout(r, 50));
    expect(lost).toHaveBeenCalledTimes(1);
    await mine.release();
    await other.end();
  }, 60_000);

  test('ends in the midst of a write: the write is refused, the process lives, and goes on', async () => {
    const databaseUrl = await made('midst');
    const db = await open(databaseUrl);
    const store = new Store(db);
    await store.prepare();
    const name = new URL(databaseUrl).pathname.slice(1);
    for (let i = 0; i < 12; i++) {
      const writing = db.db.transaction(async (tx) => {
        await tx.execute('select 1');
        // every line of this server's is cut, as a restart does
        await admin.query('select pg_terminate_backend(pid) from pg_stat_activity where datname = $1', [
          name,
        ]);
        await tx.execute('select pg_sleep(0.05)');
      });
      await expect(writing).rejects.toThrow();
    }
    await store.write(factsOf(newQueen('A')));
    expect((await store.queens()).map((q) => q.label)).toEqual(['A']);
    await store.close();
  }, 60_000);

  test('may restart: it is said that it is away, and then all goes on', async () => {
    const line = await lineTo(await made('restarts'));
    const store = new Store(await open(line.url));
    await store.prepare();
    const one = newQueen('A');
    await store.write(factsOf(one));
    const views = new Views(store, { size: 1, run: async (task) => project(task), close: async () => {} });
    const app = await buildApp({ store, views, version: '0', now: () => NOW });
    const places = () => app.inject('/api/places');
    expect((await places()).statusCode).toBe(200);
    for (let restarts = 0; restarts < 3; restarts++) {
      // every line is broken, those in use and those that nobody uses just now, and nobody answers
      await line.down();
      const away = await places();
      expect([away.statusCode, away.headers['retry-after']]).toEqual([503, '5']);
      expect(away.json().error.message).toMatch(/cannot be reached just now/);
      await line.up();
      expect((await places()).statusCode).toBe(200);
    }
    expect((await store.queens()).map((q) => q.label)).toEqual(['A']);
    await app.close();
    await store.close();
    await line.down();
  }, 60_000);
});

/** A line to a database server that can be cut, as by a restart. */
async function lineTo(databaseUrl: string) {
  const to = new URL(databaseUrl);
  const open = new Set<Socket>();
  const between = createServer((socket) => {
    const far = connect(Number(to.port), to.hostname);
    for (const [a, b] of [
      [socket, far],
      [far, socket],
    ] as const) {
      open.add(a);
      a.on('error', () => b.destroy());
      a.on('close', () => {
        open.delete(a);
        b.destroy();
      });
      a.pipe(b);
    }
  });
  const up = (port = 0) => new Promise<void>((resolve) => between.listen(port, '127.0.0.1', resolve));
  await up();
  const { port } = between.address() as AddressInfo;
  const url = new URL(databaseUrl);
  url.host = `127.0.0.1:${port}`;
  return {
    url: url.href,
    up: () => up(port),
    async down() {
      const closed = new Promise((resolve) => between.close(resolve));
      for (const socket of open) socket.destroy();
      await closed;
    },
  };
}
