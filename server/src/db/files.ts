import { join } from 'node:path';
import type { ReadingBatch, TakenBack } from '@gentle-burrow/core/records';
import { Aside } from './aside';
import { DISK, type Disk } from './disk';
import { Journal } from './journal';

/** What lies beside a database in a data directory. */
export interface DataFiles {
  root: string;
  /** Every fact as a line of JSON, synced to the disk before it is acknowledged. */
  facts: Journal;
  /** Every reading likewise, beside the facts: there are many more of them. */
  readings: Journal<ReadingBatch | TakenBack>;
  /** The folder with every photo as a file, synced to the disk likewise. */
  photos: string;
  /** For what cannot be used. */
  aside: Aside;
  disk: Disk;
  /** Whether the data are still ours to write. */
  held(): boolean;
}

export function openFiles(
  root: string,
  { disk = DISK, held = () => true, aside = new Aside(root) }: Partial<DataFiles> = {},
): DataFiles {
  return {
    root,
    facts: new Journal(join(root, 'facts.jsonl'), disk),
    readings: new Journal(join(root, 'readings.jsonl'), disk),
    photos: join(root, 'photos'),
    aside,
    disk,
    held,
  };
}
