import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { WorkerPool } from './pool';
import type { ProjectTask } from './project-task';

// Stand-ins for the worker: the pool knows nothing of what is computed.
const folder = mkdtempSync(join(tmpdir(), 'burrow-pool-'));
afterAll(() => rmSync(folder, { recursive: true }));

function workerThat(does: string): string {
  const file = join(folder, `${Math.random().toString(36).slice(2)}.cjs`);
  writeFileSync(
    file,
    `const { parentPort, threadId } = require('node:worker_threads');
     parentPort.on('message', ({ id, task }) => { ${does} });`,
  );
  return file;
}
const task = (n: number) => ({ draws: n }) as unknown as ProjectTask;
const results = (all: unknown[]) => all as unknown as { n: number; thread: number }[][];

test('shares tasks between threads and answers each asker', async () => {
  const file = workerThat(
    'setTimeout(() => parentPort.postMessage({ id, done: [{ n: task.draws, thread: threadId }] }), 40)',
  );
  const pool = new WorkerPool(file, 2);
  const answers = results(await Promise.all([1, 2, 3, 4, 5].map((n) => pool.run(task(n)))));
  expect(answers.map((a) => a[0]?.n)).toEqual([1, 2, 3, 4, 5]);
  expect(new Set(answers.map((a) => a[0]?.thread)).size).toBe(2);
  await pool.close();
});

test('a task that fails is refused with what went wrong, and the thread goes on', async () => {
  const file = workerThat(
    "parentPort.postMessage(task.draws === 1 ? { id, failed: 'no such warmth' } : { id, done: [{ n: task.draws }] })",
  );
  const pool = new WorkerPool(file, 1);
  await expect(pool.run(task(1))).rejects.toThrow('no such warmth');
  expect(results([await pool.run(task(2))])[0]?.[0]?.n).toBe(2);
  await pool.close();
});

test('a thread that dies takes only its own task with it', async () => {
  const file = workerThat(
    "if (task.draws === 1) throw new Error('died'); parentPort.postMessage({ id, done: [{ n: task.draws }] })",
  );
  const pool = new WorkerPool(file, 1);
  const dying = pool.run(task(1));
  const waiting = pool.run(task(2));
  await expect(dying).rejects.toThrow('died');
  expect(results([await waiting])[0]?.[0]?.n).toBe(2);
  await pool.close();
});

test('what still waits when the server stops is refused', async () => {
  const pool = new WorkerPool(workerThat(''), 1);
  const first = pool.run(task(1));
  const second = pool.run(task(2));
  const both = Promise.allSettled([first, second]);
  await pool.close();
  expect((await both).map((r) => r.status)).toEqual(['rejected', 'rejected']);
  await expect(pool.run(task(3))).rejects.toThrow('The server is stopping.');
});
