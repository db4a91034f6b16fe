// Makes a database as it is before anything is in it, once: unpacking it takes a tenth of the time of making one.
import { existsSync, mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { setFlagsFromString } from 'node:v8';

const folder = fileURLToPath(new URL('.empty', import.meta.url));
/** Where `openDb` looks for it. */
export const EMPTY_DB = join(folder, 'db.tar');
const STAMP = join(folder, 'version');

/** Makes it unless there is one of the database's version. */
export async function ensureEmptyDb() {
  const entry = createRequire(import.meta.url).resolve('@electric-sql/pglite');
  const { version } = JSON.parse(readFileSync(join(dirname(entry), '..', 'package.json'), 'utf8'));
  if (existsSync(EMPTY_DB) && existsSync(STAMP) && readFileSync(STAMP, 'utf8') === version) return;
  setFlagsFromString('--liftoff-only');
  const { PGlite } = await import('@electric-sql/pglite');
  const db = await PGlite.create({ dataDir: 'memory://', postgresqlconf: ['shared_buffers=32MB'] });
  const tar = Buffer.from(await (await db.dumpDataDir('none')).arrayBuffer());
  await db.close();
  rmSync(STAMP, { force: true });
  mkdirSync(folder, { recursive: true });
  // under its own name only when it is whole: others may be looking for it
  writeFileSync(`${EMPTY_DB}.${process.pid}`, tar);
  renameSync(`${EMPTY_DB}.${process.pid}`, EMPTY_DB);
  writeFileSync(STAMP, version);
}

// run by itself it makes it
if (process.argv[1] === fileURLToPath(import.meta.url)) await ensureEmptyDb();
