import { accessSync, constants, mkdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import writeFileAtomic from 'write-file-atomic';
import { StartError } from '../errors';
import { Aside } from './aside';
import { sweep } from './disk';
import { lockDir, type Lock } from './lock';

/** Raised when what lies in a data directory changes in a way that older versions cannot read. */
export const DATA_FORMAT = 2;

/** What an atomic write of ours leaves behind when it is cut off. */
const UNFINISHED = /^[a-z]+\.json\.\d+$/;

export interface DataDir {
  root: string;
  /** PGlite's own directory. */
  db: string;
  /** The shelf as it was when the server stopped: derived. */
  shelf: string;
  /** For what cannot be used. */
  aside: Aside;
  lock: Lock;
}

/**
 * Makes or opens a data directory and locks it.
 * @param lost is called when another process has taken it over although this one lives
 * @throws StartError with one sentence when it cannot be written, is in use, or is of a newer version
 */
export async function openDataDir(root: string, lost: () => void = () => {}): Promise<DataDir> {
  try {
    mkdirSync(root, { recursive: true });
    accessSync(root, constants.R_OK | constants.W_OK | constants.X_OK);
  } catch {
    throw new StartError(
      `The data directory ${root} cannot be written. Give yourself the rights to it, or name another with BURROW_DATA.`,
    );
  }
  const marker = join(root, 'burrow.json');
  const sound = checkFormat(marker, root);
  const lock = await lockDir(root, lost);
  sweep(root, UNFINISHED);
  const aside = new Aside(root);
  if (!sound) aside.move(marker, 'burrow.json', 'burrow.json was damaged. It was written anew.');
  // what is older is brought up to date when it is opened, and is no more to be opened by what wrote it
  writeFileAtomic.sync(marker, markerText());
  return {
    root,
    db: join(root, 'db'),
    shelf: join(root, 'shelf.json'),
    aside,
    lock,
  };
}

const markerText = (): string => `${JSON.stringify({ name: 'gentle-burrow', format: DATA_FORMAT })}\n`;

/**
 * @returns false when the mark is damaged
 * @throws StartError when it is of a newer version
 */
function checkFormat(file: string, root: string): boolean {
  let text: string;
  try {
    text = readFileSync(file, 'utf8');
  } catch {
    return true;
  }
  let format: unknown;
  try {
    format = (JSON.parse(text) as { format?: unknown }).format;
  } catch {
    format = undefined;
  }
  if (typeof format !== 'number') return false;
  if (format > DATA_FORMAT) {
    throw new StartError(
      `The data in ${root} was written by a newer version of Gentle Burrow (format ${format}, this one reads ${DATA_FORMAT}). Update the application, or name another directory with BURROW_DATA.`,
    );
  }
  return true;
}
