// `npm run check -- DIR`: examines a data directory without writing to it.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ensureBuilt, ensureInstalled, root } from './prepare.mjs';

await ensureInstalled();
await ensureBuilt();
const { status } = spawnSync(
  process.execPath,
  ['--liftoff-only', join(root, 'server', 'dist', 'check-main.js'), ...process.argv.slice(2)],
  { stdio: 'inherit' },
);
process.exit(status ?? 2);
