import { dirname, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { checkDir, told } from './check';
import { migrationsIn } from './start';

// `npm run check -- DIR`: tells what is in a data directory and what is wrong with it, without writing to it
const [dir] = process.argv.slice(2);
if (!dir) {
  console.error('Name the data directory: npm run check -- DIR');
  process.exit(2);
}
try {
  const found = await checkDir(dir, migrationsIn(resolve(dirname(fileURLToPath(import.meta.url)), '..')));
  console.log(told(dir, found));
  process.exit(found.wrong.length > 0 ? 1 : 0);
} catch (error) {
  console.error((error as Error).message);
  process.exit(2);
}
