import { sql } from 'drizzle-orm';
import { RESERVE_BYTES } from './disk';
import type { DataFiles } from './files';
import type { Db } from './open';
import * as t from './schema';

/** Below this a journal of readings is left as it is, bytes. Prior. */
const SMALL_BYTES = 256 * 1024 * 1024;
/** A reading within a line of a whole day takes about so many bytes; sent one by one it takes five times as many. */
const BYTES_A_READING = 32;
/** So many times larger than it would be anew a journal is written anew. Prior. */
const WORTH_TIMES = 2;

/**
 * Whether the journal of readings should be written anew, a line a day: loggers send their readings one by one, each in a line with its
 * probe, and what was taken back stays in it too.
 */
export async function worthTidying(
  db: Db,
  { readings, disk, root }: Pick<DataFiles, 'readings' | 'disk' | 'root'>,
  small = SMALL_BYTES,
): Promise<boolean> {
  if (readings.position < small) return false;
  const [row] = await db.select({ n: sql<string>`coalesce(sum(${t.readingDays.n}), 0)` }).from(t.readingDays);
  const anew = Number(row?.n ?? 0) * BYTES_A_READING;
  // while it is written both lie on the disk
  return readings.position > WORTH_TIMES * anew && disk.free(root) > anew + RESERVE_BYTES;
}
