import { fork, type ChildProcess } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, utimesSync, writeFileSync } from 'node:fs';
import { hostname, tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildSync } from 'esbuild';
import { lockDir } from './lock';

let folder: string;
const running: ChildProcess[] = [];
beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'burrow-lock-'))));
afterEach(() => {
  running.splice(0).forEach((p) => p.kill('SIGKILL'));
  rmSync(folder, { recursive: true, force: true });
});

const program = join(mkdtempSync(join(tmpdir(), 'burrow-locker-')), 'locker.js');
beforeAll(() => {
  buildSync({
    stdin: {
      contents: `import { lockDir } from './lock';
        lockDir(process.argv[2], () => process.send('lost')).then(
          () => process.send('locked'),
          (error) => process.send(error.message),
        );
        setInterval(() => {}, 1000);`,
      resolveDir: __dirname,
      loader: 'ts',
    },
    bundle: true,
    platform: 'node',
    outfile: program,
  });
});

/** Another process that wants the folder, and what it says first. */
function other(): { child: ChildProcess; says: Promise<string> } {
  const child = fork(program, [folder]);
  running.push(child);
  return { child, says: new Promise((resolve) => child.once('message', (m) => resolve(String(m)))) };
}
const gone = (child: ChildProcess) => {
  const ended = new Promise((resolve) => child.once('exit', resolve));
  child.kill('SIGKILL');
  return ended;
};
const owner = (over: object) =>
  writeFileSync(
    join(folder, 'owner.json'),
    JSON.stringify({ token: 'before', pid: 1, host: hostname(), pids: '', ...over }),
  );

test('a folder that is open is refused, naming who has it; closed, it can be opened again', async () => {
  const first = await lockDir(folder, () => {});
  const second = other();
  expect(await second.says).toContain(`already open in process ${process.pid} on ${hostname()}`);
  first.unlock();
  expect(first.held()).toBe(false);
  expect(await other().says).toBe('locked');
}, 60_000);

test('whoever was killed leaves nothing that stands in the way', async () => {
  const killed = other();
  expect(await killed.says).toBe('locked');
  await gone(killed.child);
  const began = Date.now();
  const next = await lockDir(folder, () => {});
  // at once: its number is nobody’s
  expect(Date.now() - began).toBeLessThan(5000);
  next.unlock();
}, 60_000);

/** Signs of life in quick succession, so that the death of one is seen soon. */
const QUICK = { beat: 1000, dead: 3000 };

test('a process number that was given out again is not taken for the owner', async () => {
  mkdirSync(join(folder, 'lock'));
  // process 1 always lives, and has never heard of this folder
  owner({ pid: 1 });
  const next = await lockDir(folder, () => {}, QUICK);
  expect(next.held()).toBe(true);
  next.unlock();
}, 60_000);

test('an owner in another container, whose number means another process here, is known by its signs of life', async () => {
  mkdirSync(join(folder, 'lock'));
  owner({ pid: process.pid, host: 'another' });
  const signs = setInterval(() => utimesSync(join(folder, 'lock'), new Date(), new Date()), 500);
  await expect(lockDir(folder, () => {}, QUICK)).rejects.toThrow(/open in process .* on another/);
  clearInterval(signs);
  await expect(lockDir(folder, () => {}, QUICK)).resolves.toBeDefined();
}, 60_000);

test('of five that start at once on what a dead one left, one lives', async () => {
  for (let round = 0; round < 3; round++) {
    const killed = other();
    expect(await killed.says).toBe('locked');
    await gone(killed.child);
    const five = Array.from({ length: 5 }, other);
    const said = await Promise.all(five.map((f) => f.says));
    expect(said.filter((s) => s === 'locked')).toHaveLength(1);
    await Promise.all(five.map((f) => gone(f.child)));
    // the next round is of another dead one
    expect(existsSync(join(folder, 'lock'))).toBe(true);
  }
}, 120_000);

test('who was thought dead and wakes up writes no more', async () => {
  const slept = await lockDir(folder, () => {});
  expect(slept.held()).toBe(true);
  owner({ token: 'the next' });
  expect(slept.held()).toBe(false);
  slept.unlock();
  expect(readFileSync(join(folder, 'owner.json'), 'utf8')).toContain('the next');
});
