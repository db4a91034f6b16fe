// `npm run restore -- FILE [--into DIR]`: brings back a backup or a log, by id; what is there stays.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ensureBuilt, ensureInstalled, root } from './prepare.mjs';

await ensureInstalled();
await ensureBuilt();
const { status } = spawnSync(
  process.execPath,
  ['--liftoff-only', join(root, 'server', 'dist', 'restore-main.js'), ...process.argv.slice(2)],
  { stdio: 'inherit' },
);
process.exit(status ?? 2);
