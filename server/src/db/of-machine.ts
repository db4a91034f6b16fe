import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Lesson } from '@gentle-burrow/core/view';
import { eq } from 'drizzle-orm';
import writeFileAtomic from 'write-file-atomic';
import type { ZodType } from 'zod';
import { hasRoom, needRoom } from './disk';
import type { DataFiles } from './files';
import type { Db } from './open';
import * as t from './schema';

/** What belongs to this machine, not to the log: it goes into no backup and comes back from none. */
export class OfMachine {
  constructor(
    private readonly db: Db,
    private readonly files: Pick<DataFiles, 'root' | 'disk' | 'aside'> | null,
  ) {}

  /**
   * Null when nothing was kept under that name, or it cannot be used: then it is set aside.
   * @param says what is to be done where it was damaged, a sentence
   */
  async read<T>(name: string, schema: ZodType<T>, says: string): Promise<T | null> {
    if (!this.files) return schema.safeParse(await this.row(`machine-${name}`)).data ?? null;
    const file = fileIn(this.files.root, name);
    if (!existsSync(file)) return null;
    const kept = schema.safeParse(parsed(readFileSync(file, 'utf8')));
    if (kept.success) return kept.data;
    this.files.aside.move(file, `${name}.json`, `${name}.json was damaged. ${says}`);
    return null;
  }

  /**
   * Beside the database, so that it outlives one that has to be made anew.
   * @throws Refusal when there is too little room
   */
  async keep(name: string, value: object): Promise<void> {
    if (!this.files) return this.keepRow(`machine-${name}`, value);
    needRoom(this.files.disk, this.files.root);
    await writeFileAtomic(fileIn(this.files.root, name), `${JSON.stringify(value, null, 1)}\n`);
  }

  /** What each queen taught when the shelf was last gone through, so that a start need not find it out anew. */
  async recallLessons(): Promise<Record<string, Lesson>> {
    return ((await this.row('lessons')) as Record<string, Lesson> | null) ?? {};
  }

  async rememberLessons(value: Record<string, Lesson>): Promise<void> {
    // it is found out anew where there is no room for it
    if (!this.files || hasRoom(this.files.disk, this.files.root)) await this.keepRow('lessons', value);
  }

  private async row(key: string): Promise<unknown> {
    const [row] = await this.db.select().from(t.settings).where(eq(t.settings.key, key));
    return row?.value ?? null;
  }

  private async keepRow(key: string, value: object): Promise<void> {
    await this.db
      .insert(t.settings)
      .values({ key, value })
      .onConflictDoUpdate({ target: t.settings.key, set: { value } });
  }
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

const fileIn = (root: string, name: string): string => join(root, `${name}.json`);
