import {
  accessSync,
  closeSync,
  constants,
  mkdirSync,
  openSync,
  readFileSync,
  rmSync,
  writeFileSync,
  writeSync,
} from 'node:fs';
import { join } from 'node:path';
import { StartError } from '../errors';

/** Raised when what lies in a data directory changes in a way that older versions cannot read. */
export const DATA_FORMAT = 2;

export interface DataDir {
  root: string;
  /** PGlite's own directory. */
  db: string;
  /** Every fact as a line of JSON, synced to the disk before it is acknowledged. */
  journal: string;
  /** Every reading likewise, beside the facts: there are many more of them. */
  readings: string;
  /** Every photo as a file, synced to the disk likewise. */
  photos: string;
  /** The shelf as it was when the server stopped: derived. */
  shelf: string;
  unlock(): void;
}

/**
 * Makes or opens a data directory and locks it: PGlite lets two processes open one directory, and rows are then lost in
 * silence.
 * @throws StartError with one sentence when it cannot be written, is in use, or is of a newer version
 */
export function openDataDir(root: string): DataDir {
  try {
    mkdirSync(root, { recursive: true });
    accessSync(root, constants.R_OK | constants.W_OK | constants.X_OK);
  } catch {
    throw new StartError(
      `The data directory ${root} cannot be written. Give yourself the rights to it, or name another with BURROW_DATA.`,
    );
  }
  const marker = join(root, 'burrow.json');
  checkFormat(marker, root);
  const unlock = lock(join(root, 'lock'), root);
  // what is older is brought up to date when it is opened, and is no more to be opened by what wrote it
  writeFileSync(marker, markerText());
  return {
    root,
    db: join(root, 'db'),
    journal: join(root, 'facts.jsonl'),
    readings: join(root, 'readings.jsonl'),
    photos: join(root, 'photos'),
    shelf: join(root, 'shelf.json'),
    unlock,
  };
}

const markerText = (): string => `${JSON.stringify({ name: 'gentle-burrow', format: DATA_FORMAT })}\n`;

function checkFormat(file: string, root: string): void {
  let text: string;
  try {
    text = readFileSync(file, 'utf8');
  } catch {
    writeFileSync(file, markerText());
    return;
  }
  let format: unknown;
  try {
    format = (JSON.parse(text) as { format?: unknown }).format;
  } catch {
    format = undefined;
  }
  if (typeof format !== 'number') {
    throw new StartError(
      `${file} is damaged, so the data in ${root} is left untouched. Put back a backup of that file, or name another directory with BURROW_DATA.`,
    );
  }
  if (format > DATA_FORMAT) {
    throw new StartError(
      `The data in ${root} was written by a newer version of Gentle Burrow (format ${format}, this one reads ${DATA_FORMAT}). Update the application, or name another directory with BURROW_DATA.`,
    );
  }
}

function lock(file: string, root: string): () => void {
  for (let attempt = 0; attempt < 2; attempt++) {
    try {
      const handle = openSync(file, 'wx');
      writeSync(handle, String(process.pid));
      closeSync(handle);
      return () => rmSync(file, { force: true });
    } catch (error) {
      if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error;
      const pid = Number(readFileSync(file, 'utf8'));
      if (pid > 0 && pid !== process.pid && isAlive(pid)) {
        throw new StartError(
          `The data directory ${root} is already open in process ${pid}. Stop that one first, or name another directory with BURROW_DATA.`,
        );
      }
      rmSync(file, { force: true }); // left by a process that is gone
    }
  }
  throw new StartError(`The data directory ${root} cannot be locked. Start again in a moment.`);
}

function isAlive(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM';
  }
}
