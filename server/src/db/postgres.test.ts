import { Client } from 'pg';
import { buildApp } from '../app';
import { Views } from '../jobs/views';
import { project } from '../jobs/project-task';
import { factsOf, MIGRATIONS, newQueen, NOW } from '../test-kit';
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

  test('is filled by one of two that start together on an empty database; both come up', async () => {
    const databaseUrl = await made('together');
    const both = await Promise.all([open(databaseUrl), open(databaseUrl)]);
    for (const db of both) {
      const store = new Store(db);
      await store.prepare();
      expect(await store.queens()).toEqual([]);
      await store.close();
    }
  }, 60_000);

  test('may restart: it is said that it is away, and then all goes on', async () => {
    const databaseUrl = await made('restarts');
    const store = new Store(await open(databaseUrl));
    await store.prepare();
    const one = newQueen('A');
    await store.write(factsOf(one));
    const views = new Views(store, { size: 1, run: async (task) => project(task), close: async () => {} });
    const app = await buildApp({ store, views, version: '0', now: () => NOW });
    const places = () => app.inject('/api/places');
    expect((await places()).statusCode).toBe(200);
    // nobody may come, and every line is broken: those in use and those that nobody uses just now
    await admin.query('alter database restarts allow_connections false');
    await admin.query("select pg_terminate_backend(pid) from pg_stat_activity where datname = 'restarts'");
    await new Promise((r) => setTimeout(r, 200));
    const away = await places();
    expect([away.statusCode, away.headers['retry-after']]).toEqual([503, '5']);
    expect(away.json().error.message).toMatch(/cannot be reached just now/);
    await admin.query('alter database restarts allow_connections true');
    expect((await places()).statusCode).toBe(200);
    expect((await store.queens()).map((q) => q.label)).toEqual(['A']);
    await app.close();
    await store.close();
  }, 60_000);
});
