// `npm run demo` and `npm start`: installs and builds what is missing or has changed, then serves.
import { spawn } from 'node:child_process';
import { existsSync, rmSync, statSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { ensureBuilt, ensureInstalled, root } from './prepare.mjs';

/** What this application puts into a data directory. */
const MADE = [
  'db',
  'facts.jsonl',
  'readings.jsonl',
  'photos',
  'quarantine',
  'incoming',
  'backup.json',
  'shelf.json',
  'owner.json',
  'lock',
  'burrow.json',
];
const known = new Set(['--demo', '--fresh']);
const flags = process.argv.slice(2);
const unknown = flags.find((f) => !known.has(f));
if (unknown) fail(`"${unknown}" is not known here. The only flag is --fresh: npm run demo -- --fresh.`);
const demo = flags.includes('--demo');
const fresh = flags.includes('--fresh');
const dataDir = resolve(process.env.BURROW_DATA ?? join(root, 'data', demo ? 'demo' : 'burrow'));

if (fresh && !demo)
  fail('--fresh throws the data away, so it goes with the demo alone: npm run demo -- --fresh.');
if (fresh && process.env.DATABASE_URL)
  fail('--fresh does not empty a PostgreSQL server. Empty the database there.');

await ensureInstalled();
await ensureBuilt();

if (fresh && existsSync(dataDir)) {
  // only what this application made: another directory named by mistake is left alone
  if (!existsSync(join(dataDir, 'burrow.json'))) {
    fail(`${dataDir} holds no Gentle Burrow data, so it is not emptied. Check BURROW_DATA.`);
  }
  // who has it open gives a sign of life every other second
  const lock = join(dataDir, 'lock');
  if (existsSync(lock) && Date.now() - statSync(lock).mtimeMs < 10_000) {
    fail(
      `${dataDir} is open, or was a moment ago, so it is not emptied. Stop the server first, and wait ten seconds.`,
    );
  }
  for (const name of MADE) {
    rmSync(join(dataDir, name), { recursive: true, force: true });
  }
}

const server = spawn(process.execPath, ['--enable-source-maps', join(root, 'server', 'dist', 'main.js')], {
  stdio: 'inherit',
  env: { ...process.env, BURROW_DATA: dataDir, ...(demo ? { BURROW_DEMO: '1' } : {}) },
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code, signal) => process.exit(signal ? 0 : (code ?? 1)));

function fail(sentence) {
  console.error(sentence);
  process.exit(1);
}
