import { dirname, join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { fileURLToPath } from 'node:url';
import { bringBack } from './backup/bring-back';
import { openBrought } from './backup/read-archive';
import { told } from './backup/told';
import { Refusal, StartError } from './errors';
import { migrationsIn, openStore } from './start';

// `npm run restore -- FILE [--into DIR] [--look] [--prefer file]`: brings back a backup or a log, by id
const USAGE =
  'Name the file: npm run restore -- FILE [--into DIR] [--look] [--prefer here|file]. With --look nothing is written.';

async function run(): Promise<number> {
  const { values, positionals } = parseArgs({
    allowPositionals: true,
    options: {
      into: { type: 'string' },
      look: { type: 'boolean', default: false },
      prefer: { type: 'string', default: 'here' },
    },
  });
  const [path] = positionals;
  const { prefer } = values;
  if (!path || positionals.length > 1 || (prefer !== 'here' && prefer !== 'file'))
    throw new StartError(USAGE);
  const serverFolder = resolve(dirname(fileURLToPath(import.meta.url)), '..');
  const file = await openBrought(resolve(path)).catch((error: NodeJS.ErrnoException) => {
    if (error.code === 'ENOENT') throw new StartError(`There is no file ${path}.`);
    throw error;
  });
  try {
    const { store, aside } = await openStore({
      migrationsFolder: migrationsIn(serverFolder),
      databaseUrl: values.into ? undefined : process.env.DATABASE_URL,
      dataDir: resolve(values.into ?? process.env.BURROW_DATA ?? join(serverFolder, '..', 'data', 'burrow')),
    });
    for (const says of aside) console.log(says);
    try {
      const found = await bringBack(store, file, { take: false, prefer, now: new Date() });
      console.log(told(path, found, prefer));
      if (values.look) return found.refusedCount > 0 ? 1 : 0;
      const taken = await bringBack(store, file, { take: true, prefer, now: new Date() });
      console.log(told(path, taken, prefer));
      return taken.refusedCount > 0 ? 1 : 0;
    } finally {
      await store.close();
    }
  } finally {
    file.close();
  }
}

try {
  process.exitCode = await run();
} catch (error) {
  const known =
    error instanceof StartError ||
    error instanceof Refusal ||
    (error as { code?: string }).code?.startsWith('ERR_PARSE_ARGS');
  console.error(known ? (error as Error).message : error);
  process.exitCode = 2;
}
