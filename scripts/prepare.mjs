// Brings a checkout into a state that runs: packages as in the lock file, application and server built from these sources.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = fileURLToPath(new URL('..', import.meta.url));

const [major, minor] = process.versions.node.split('.').map(Number);
if (major < 20 || (major === 20 && minor < 19)) {
  console.error(`Node ${process.versions.node} is too old. Install Node 20.19 or newer.`);
  process.exit(1);
}

/** Runs a command with its output shown; ends this program when it fails. */
export function must(command, args, what) {
  const done = spawnSync(command, args, { cwd: root, stdio: 'inherit' });
  if (done.status === 0) return;
  console.error(`${what} failed. The lines above say why.`);
  process.exit(done.status ?? 1);
}

export async function ensureInstalled() {
  const stamp = join(root, 'node_modules', '.burrow-installed');
  const wanted = hashOf(['package-lock.json']);
  if (read(stamp) === wanted) return;
  console.log('Installing packages (about a minute and a half) …');
  must('npm', ['ci', '--no-audit', '--no-fund'], 'Installing packages');
  writeFileSync(stamp, wanted);
}

const SHARED = ['core/src', 'contract/src', 'package-lock.json', 'tsconfig.base.json'];
const PARTS = [
  {
    what: 'the server',
    takes: 'a second',
    sources: [...SHARED, 'server/src', 'server/build.mjs', 'server/package.json'],
    stamp: 'server/dist/.built',
    product: 'server/dist/main.js',
    build: () => must(process.execPath, [join('server', 'build.mjs')], 'Building the server'),
  },
  {
    what: 'an empty database',
    takes: 'some seconds',
    sources: ['package-lock.json', 'server/empty-db.mjs'],
    stamp: 'server/.empty/.built',
    product: 'server/.empty/db.tar',
    build: () => must(process.execPath, [join('server', 'empty-db.mjs')], 'Making an empty database'),
  },
  {
    what: 'the web application',
    takes: 'about a minute the first time',
    sources: [
      ...SHARED,
      'app/src',
      'app/public',
      'app/assets',
      'app/scripts',
      'app/metro',
      'app/app.json',
      'app/package.json',
      'app/babel.config.js',
      'app/metro.config.js',
      'app/tsconfig.json',
    ],
    stamp: 'app/dist/.built',
    product: 'app/dist/index.html',
    build: () => {
      rmSync(join(root, 'app/dist'), { recursive: true, force: true });
      must('npm', ['run', '--silent', 'build', '-w', 'app'], 'Building the web application');
    },
  },
];

export async function ensureBuilt() {
  for (const part of PARTS) {
    const wanted = hashOf(part.sources);
    if (read(join(root, part.stamp)) === wanted && existsSync(join(root, part.product))) continue;
    console.log(`Building ${part.what} (${part.takes}) …`);
    part.build();
    mkdirSync(dirname(join(root, part.stamp)), { recursive: true });
    writeFileSync(join(root, part.stamp), wanted);
  }
}

function read(file) {
  try {
    return readFileSync(file, 'utf8');
  } catch {
    return null;
  }
}

function* filesIn(path) {
  if (!existsSync(path)) return;
  const entries = readdirSync(path, { withFileTypes: true }).sort((a, b) => (a.name < b.name ? -1 : 1));
  for (const e of entries) {
    if (e.isDirectory()) yield* filesIn(join(path, e.name));
    else yield join(path, e.name);
  }
}

/** One hash of all files below these paths; tests do not count. */
function hashOf(paths) {
  const hash = createHash('sha256');
  for (const path of paths) {
    const full = join(root, path);
    const isFile = existsSync(full) && !path.includes('node_modules') && /\.\w+$/.test(path);
    for (const file of isFile ? [full] : filesIn(full)) {
      if (/\.test\.tsx?$/.test(file)) continue;
      hash.update(relative(root, file)).update('\0').update(readFileSync(file)).update('\0');
    }
  }
  return hash.digest('hex');
}

/** Runs a program of the built server, and ends with what it ends with. */
export async function runBuilt(program) {
  await ensureInstalled();
  await ensureBuilt();
  const file = join(root, 'server', 'dist', program);
  const { status } = spawnSync(process.execPath, ['--liftoff-only', file, ...process.argv.slice(2)], {
    stdio: 'inherit',
  });
  process.exit(status ?? 2);
}

// run by itself it builds
if (process.argv[1] === fileURLToPath(import.meta.url)) await ensureBuilt();
