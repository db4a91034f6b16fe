import { execFileSync, spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, statfsSync, writeFileSync } from 'node:fs';
import { connect, createServer, type AddressInfo, type Socket } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { queenDetailSchema } from '@gentle-burrow/contract';
import { openDataDir } from './db/data-dir';
import { lookEntry, newQueen } from './test-kit';

beforeAll(() => execFileSync(process.execPath, [join(__dirname, '..', 'build.mjs')]), 60_000);

let folder: string;
beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'burrow-start-'))));
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const running: ChildProcess[] = [];
afterEach(() => running.splice(0).forEach((p) => p.kill('SIGKILL')));

/** The server as a program of its own, on a real data directory. */
function start(env: Record<string, string>) {
  const server = spawn(process.execPath, [join(__dirname, '..', 'dist', 'main.js')], {
    env: {
      ...process.env,
      BURROW_DATA: folder,
      PORT: '0',
      DATABASE_URL: '',
      WEB_ROOT: join(folder, 'none'),
      ...env,
    },
  });
  running.push(server);
  let said = '';
  server.stdout.on('data', (d: Buffer) => (said += d.toString()));
  server.stderr.on('data', (d: Buffer) => (said += d.toString()));
  const ended = new Promise<{ code: number | null; said: string }>((resolve) =>
    server.on('exit', (code) => resolve({ code, said })),
  );
  const address = new Promise<string>((resolve, reject) => {
    server.stdout.on('data', () => {
      const found = /open at (http:\S+)/.exec(said);
      if (found) resolve(found[1] as string);
    });
    void ended.then((e) => reject(new Error(`ended: ${e.said}`)));
  });
  address.catch(() => {});
  return { server, address, ended };
}

const send = (url: string, body: unknown) =>
  fetch(url, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });

test('an acknowledged entry survives kill -9', async () => {
  const one = newQueen('Survivor');
  const first = start({});
  const base = await first.address;
  expect((await send(`${base}/api/queens`, one)).status).toBe(201);
  const sent = [];
  for (let i = 20; i > 0; i--) {
    const look = lookEntry(one.queen.id, i, i % 7);
    const answer = await send(`${base}/api/entries`, look);
    expect(answer.status).toBe(200);
    sent.push(look);
  }
  first.server.kill('SIGKILL');
  await first.ended;

  const second = start({});
  const detail = queenDetailSchema.parse(
    await (await fetch(`${await second.address}/api/queens/${one.queen.id}`)).json(),
  );
  expect(detail.entries).toEqual(expect.arrayContaining([one.intake, ...sent]));
  expect(detail.entries).toHaveLength(21);
  expect(detail.view.outlook).not.toBeNull(); // computed by a real worker thread
}, 120_000);

test('asked to end in the midst of its first start it ends at once, and starts whole the next time', async () => {
  const first = start({ BURROW_DEMO: '1' });
  await new Promise<void>((resolve) =>
    first.server.stdout.on('data', (d: Buffer) => {
      if (d.toString().includes('Making the data directory')) resolve();
    }),
  );
  // while a child makes it
  const asked = Date.now();
  first.server.kill('SIGTERM');
  const { code } = await first.ended;
  expect(code).toBe(0);
  expect(Date.now() - asked).toBeLessThan(5000);
  const second = start({ BURROW_DEMO: '1' });
  const base = await second.address;
  const shelf = (await (await fetch(`${base}/api/shelf`)).json()) as { rows: unknown[] };
  expect(shelf.rows.length).toBeGreaterThan(10);
}, 60_000);

test('a busy port is one clear sentence', async () => {
  const taken = createServer().listen(0, '127.0.0.1');
  await new Promise((r) => taken.once('listening', r));
  const port = String((taken.address() as AddressInfo).port);
  const { code, said } = await start({ PORT: port }).ended;
  taken.close();
  expect(code).toBe(1);
  expect(said).toContain(`Port ${port} on 127.0.0.1 is taken by another program.`);
  expect(said).not.toMatch(/at .*\.ts:/);
}, 60_000);

test('asked to stop it ends, though one holds a line open and another never ends asking', async () => {
  const { server, address, ended } = start({});
  const { hostname, port } = new URL(await address);
  const open = async (half: string): Promise<Socket> => {
    const socket = connect(Number(port), hostname);
    socket.on('error', () => {});
    await new Promise((r) => socket.once('connect', r));
    socket.write(half);
    return socket;
  };
  const waiting = [
    await open(''),
    await open(
      'POST /api/entries HTTP/1.1\r\nhost: a\r\ncontent-type: application/json\r\ncontent-length: 9\r\n\r\n{',
    ),
  ];
  // both are there for the server: what came after them is answered
  expect((await fetch(`http://${hostname}:${port}/api/health`)).ok).toBe(true);
  server.kill('SIGTERM');
  expect((await ended).code).toBe(0);
  for (const socket of waiting) socket.destroy();
}, 60_000);

test('while labels are drawn everybody else is answered', async () => {
  const base = await start({}).address;
  const ids: string[] = [];
  for (let i = 0; i < 60; i++) {
    const one = newQueen(`L${i}`);
    expect((await send(`${base}/api/queens`, one)).status).toBe(201);
    ids.push(one.queen.id);
  }
  let printing = true;
  // the same queens many times: as many labels as there may be at once
  const asked = Array.from({ length: 480 }, (_, i) => ids[i % ids.length]).join(',');
  const printed = fetch(
    `${base}/api/labels.pdf?queens=${asked}&sheet=a4-3x8&origin=${encodeURIComponent(base)}`,
  ).then(async (answer) => {
    const bytes = await answer.arrayBuffer();
    printing = false;
    return [answer.status, bytes.byteLength] as const;
  });
  let answered = 0;
  while (printing) {
    await fetch(`${base}/api/health`);
    if (printing) answered++;
  }
  const [status, bytes] = await printed;
  expect(status).toBe(200);
  expect(bytes).toBeGreaterThan(100_000);
  // a server that draws by itself answers one or two, who came before it began
  expect(answered).toBeGreaterThan(20);
}, 120_000);

/** A file system of its own, so small that it is soon full; null where there is no right to make one. */
function smallDisk(): { path: string; gone(): void } | null {
  const path = mkdtempSync(join(tmpdir(), 'burrow-small-'));
  const made = spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=160m', 'tmpfs', path]).status === 0;
  const gone = () => {
    spawnSync('umount', ['-l', path]);
    rmSync(path, { recursive: true, force: true });
  };
  if (!made) gone();
  return made ? { path, gone } : null;
}

describe('a real disk that is full', () => {
  const disk = smallDisk();
  afterAll(() => disk?.gone());
  (disk ? test : test.skip)(
    'takes nothing, is read, and goes on when there is room; then all that was acknowledged is there',
    async () => {
      const data = join((disk as NonNullable<typeof disk>).path, 'data');
      const first = start({ BURROW_DATA: data });
      const base = await first.address;
      const one = newQueen('Small');
      expect((await send(`${base}/api/queens`, one)).status).toBe(201);
      const ballast = join(data, '..', 'ballast');
      const kept: string[] = [one.intake.id];
      const statuses: number[] = [];
      const write = async () => {
        const look = lookEntry(one.queen.id, 1, 3);
        const { status } = await send(`${base}/api/entries`, look);
        if (status === 200) kept.push(look.id);
        statuses.push(status);
      };
      await write();
      const { bavail, bsize } = statfsSync(data);
      writeFileSync(ballast, Buffer.alloc(bavail * bsize - 3_000_000));
      for (let i = 0; i < 5; i++) await write();
      expect((await fetch(`${base}/api/queens/${one.queen.id}`)).status).toBe(200);
      rmSync(ballast);
      await write();
      expect(statuses).toEqual([200, 507, 507, 507, 507, 507, 200]);
      first.server.kill('SIGKILL');
      await first.ended;
      const again = await start({ BURROW_DATA: data }).address;
      const { entries } = (await (await fetch(`${again}/api/queens/${one.queen.id}/entries`)).json()) as {
        entries: { id: string }[];
      };
      expect(entries.map((e) => e.id).sort()).toEqual(kept.sort());
    },
    120_000,
  );
});

describe('a data directory', () => {
  test('of a newer version is left untouched', async () => {
    const file = join(folder, 'burrow.json');
    writeFileSync(file, '{"name":"gentle-burrow","format":99}');
    await expect(openDataDir(folder)).rejects.toThrow(/written by a newer version .*format 99/);
    expect(readFileSync(file, 'utf8')).toContain('99');
  });

  test('with a damaged mark is opened, and the mark set aside', async () => {
    writeFileSync(join(folder, 'burrow.json'), '{oops');
    const { aside, lock } = await openDataDir(folder);
    expect(aside.fresh).toMatchObject([{ says: 'burrow.json was damaged. It was written anew.' }]);
    expect(readFileSync(join(folder, aside.fresh[0]?.where as string), 'utf8')).toBe('{oops');
    expect(readFileSync(join(folder, 'burrow.json'), 'utf8')).toContain('gentle-burrow');
    lock.unlock();
  });

  test('that cannot be written is said so', async () => {
    const file = join(folder, 'a-file');
    writeFileSync(file, '');
    await expect(openDataDir(join(file, 'data'))).rejects.toThrow(/cannot be written/);
  });
});
