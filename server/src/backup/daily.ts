import { randomBytes } from 'node:crypto';
import { createWriteStream } from 'node:fs';
// the folder may lie on a disk that is slow to answer, or never does: nobody else waits for it
import { mkdtemp, open, readdir, rename, rm, rmdir, stat } from 'node:fs/promises';
import { isAbsolute, join, relative, resolve } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { dailyBackupSchema, type DailyBackup } from '@gentle-burrow/contract';
import { dayOf, instantOf } from '@gentle-burrow/core/quantity';
import { counted } from '@gentle-burrow/core/words';
import { z } from 'zod';
import type { Store } from '../db/store';
import { Refusal } from '../errors';
import { zoneOf } from '../zone';
import { bringBack, type Beside } from './bring-back';
import type { Manifest } from './manifest';
import { openBrought } from './read-archive';
import { archiveOf } from './write-archive';

/** So many are kept, and whatever older ones hold more than the newest. */
const KEPT = 7;
/** Nothing of this is ever taken away: a backup that holds less of it than an earlier one says that something was lost. */
const GROWS = ['queen', 'entry', 'photo'] as const;
/** So often it is seen whether one is due, and so long after the start for the first time. */
const EVERY_MS = 3_600_000;
const FIRST_MS = 60_000;
const NOTE = 'backup';

/** What is remembered on this machine. */
const noteSchema = z.object({
  /** Tells the backups of these data from others in the same folder. */
  mark: z.string().regex(/^[0-9a-f]{6}$/),
  folder: z.string().nullable(),
  last: dailyBackupSchema.shape.last,
});
type Note = z.infer<typeof noteSchema>;
type Counts = Manifest['counts'];

/** A whole backup a day into a folder of the keeper's choice: read back before it counts, the last seven kept. */
export class DailyBackups {
  private timer: ReturnType<typeof setTimeout> | undefined;
  private under: Promise<void> | null = null;
  private ended = false;

  constructor(
    private readonly store: Store,
    private readonly version: string,
    private readonly now: () => Date,
  ) {}

  /** Where they go, and how the last one went. */
  async state(): Promise<DailyBackup> {
    const { folder, last, mark } = await this.note();
    return { folder, last, kept: folder ? await keptIn(folder, mark) : [] };
  }

  /**
   * Backups go there from now on, the first at once; null: none is made any more, and those that are there stay.
   * @throws Refusal when the folder cannot be used
   */
  async choose(folder: string | null): Promise<DailyBackup> {
    if (folder !== null) await this.mustBeUsable(folder);
    const note = await this.note();
    const next = folder === null ? null : resolve(folder);
    const elsewhere = next !== null && note.folder !== null && next !== note.folder;
    await this.keep({ ...note, folder: next, last: elsewhere ? null : note.last });
    // one that goes where they went before comes to its end first
    await this.under;
    await this.tend();
    return this.state();
  }

  /** Makes the backup of today unless there is one. What goes wrong is told, and tried again within the hour. */
  tend(): Promise<void> {
    return (this.under ??= this.once().finally(() => (this.under = null)));
  }

  /** Sees to it from time to time. */
  begin(): void {
    const next = (ms: number) => {
      this.timer = setTimeout(
        () =>
          void this.tend()
            .catch(() => undefined)
            .finally(() => !this.ended && next(EVERY_MS)),
        ms,
      );
      this.timer.unref();
    };
    next(FIRST_MS);
  }

  /** One that is under way is not waited for: it does not count before it is whole. */
  end(): void {
    this.ended = true;
    clearTimeout(this.timer);
  }

  private async once(): Promise<void> {
    const note = await this.note();
    const { folder, mark } = note;
    if (!folder) return;
    const at = instantOf(this.now().getTime());
    const name = nameOf(dayOf(at, zoneOf(await this.store.settings())), mark);
    const file = join(folder, name);
    if (await statOf(file)) return;
    try {
      await sweep(folder, mark);
      const made = await this.make(file, at);
      const fuller = await fullerIn(folder, mark, made);
      for (const { name: old } of (await keptIn(folder, mark)).slice(KEPT))
        if (!fuller.some((f) => f.name === old)) await rm(join(folder, old));
      const [newest] = fuller;
      await this.went(
        folder,
        newest
          ? {
              at,
              went: 'less',
              says: `It holds ${inWords(made)} In ${newest.name}: ${inWords(newest.counts)}`,
            }
          : { at, went: 'well', says: `Read back: ${inWords(made)}` },
      );
    } catch (error) {
      await this.went(folder, { at, went: 'wrong', says: reasonOf(error, folder) });
    }
  }

  private async went(folder: string, last: Note['last']): Promise<void> {
    const note = await this.note();
    // it may have been moved or switched off meanwhile, or broken off because the server ends
    if (!this.ended && note.folder === folder) await this.keep({ ...note, last });
  }

  /** Writes it beside, reads it back, and only then gives it its name. */
  private async make(file: string, madeAt: string): Promise<Counts> {
    const part = `${file}.part`;
    try {
      await pipeline(await archiveOf(this.store, { version: this.version, madeAt }), createWriteStream(part));
      const handle = await open(part, 'r+');
      await handle.sync();
      await handle.close();
      const counts = await readBack(part);
      await rename(part, file);
      return counts;
    } finally {
      await rm(part, { force: true });
    }
  }

  private async mustBeUsable(folder: string): Promise<void> {
    const refuse = (says: string) => {
      throw new Refusal('not-usable', says, 'folder');
    };
    if (!isAbsolute(folder))
      refuse('Give the whole path of the folder, as the machine that runs the server knows it.');
    const { root } = this.store;
    if (root !== null && isWithin(resolve(folder), root))
      refuse(
        'This folder lies within the data: whatever happens to them would happen to the backup too. Choose another, best on another disk.',
      );
    if (!(await statOf(folder))?.isDirectory())
      refuse(`There is no folder ${folder} on the machine that runs the server. Make it there first.`);
    try {
      await rmdir(await mkdtemp(join(folder, '.gentle-burrow-')));
    } catch {
      refuse(`The folder ${folder} cannot be written. Give the server the rights to it, or choose another.`);
    }
  }

  private async note(): Promise<Note> {
    const kept = await this.store.machine.read(
      NOTE,
      noteSchema,
      'No backup is made every day any more until you choose its folder again.',
    );
    return kept ?? { mark: randomBytes(3).toString('hex'), folder: null, last: null };
  }

  private keep(note: Note): Promise<void> {
    return this.store.machine.keep(NOTE, note);
  }
}

const nameOf = (day: string, mark: string): string => `gentle-burrow-${day}-${mark}.zip`;
const statOf = (path: string) => stat(path).catch(() => null);
const isWithin = (folder: string, root: string): boolean => {
  const way = relative(root, folder);
  return way === '' || (!way.startsWith('..') && !isAbsolute(way));
};

/** Backups of these data in a folder, the newest first. */
async function keptIn(folder: string, mark: string): Promise<DailyBackup['kept']> {
  const ours = new RegExp(`^gentle-burrow-\\d{4}-\\d{2}-\\d{2}-${mark}\\.zip$`);
  const names = (await readdir(folder).catch(() => [])).filter((name) => ours.test(name));
  const each = names
    .sort()
    .reverse()
    .map(async (name) => {
      const there = await statOf(join(folder, name));
      return there ? [{ name, madeAt: there.mtime.toISOString(), bytes: there.size }] : [];
    });
  return (await Promise.all(each)).flat();
}

/** Those in a folder that hold more than one, the newest first. What cannot be read holds nothing. */
async function fullerIn(folder: string, mark: string, than: Counts) {
  const fuller: { name: string; counts: Counts }[] = [];
  for (const { name } of await keptIn(folder, mark)) {
    const file = await openBrought(join(folder, name)).catch(() => null);
    const counts = file?.manifest?.counts ?? {};
    file?.close();
    if (GROWS.some((what) => (counts[what] ?? 0) > (than[what] ?? 0))) fuller.push({ name, counts });
  }
  return fuller;
}

/** What is in it, a sentence. */
function inWords(counts: Counts): string {
  const of = (what: keyof Counts) => counts[what] ?? 0;
  const told = [
    counted(of('queen'), 'queen'),
    counted(of('entry'), 'entry', 'entries'),
    counted(of('photo'), 'photo'),
  ];
  return `${told.join(', ')} and ${counted(of('readings'), 'reading')}.`;
}

/** What was cut off in its midst. */
async function sweep(folder: string, mark: string): Promise<void> {
  for (const name of await readdir(folder))
    if (name.startsWith('gentle-burrow-') && name.endsWith(`-${mark}.zip.part`)) await rm(join(folder, name));
}

/** Where nothing is yet. */
const NOTHING: Beside = {
  here: async () => () => undefined,
  hasQueen: async () => false,
  compareReadings: async () => {
    throw new Refusal('no-such-probe');
  },
  photos: { compare: async () => 'new', putBack: async () => undefined },
  write: async () => {
    throw new Error('nothing is written to try a backup');
  },
};

/**
 * Reads a backup to its end, as if it were brought back where nothing is yet.
 * @returns how much of what is in it
 * @throws Error saying what is wrong with it
 */
export async function readBack(path: string): Promise<Counts> {
  const file = await openBrought(path);
  try {
    const { counts, refused, refusedCount, warnings } = await bringBack(NOTHING, file, {
      take: false,
      prefer: 'here',
    });
    const [first] = refused;
    if (first)
      throw new Error(
        `Read back, ${refusedCount} things in it could not be used (${first.where}: ${first.reason})`,
      );
    if (warnings[0]) throw new Error(`Read back, it was not sound: ${warnings[0]}`);
    const missing = { ...file.manifest?.counts };
    for (const { what, fresh } of counts) {
      if (missing[what] !== fresh)
        throw new Error(`Read back, it should hold ${missing[what] ?? 0} of “${what}” and holds ${fresh}`);
      delete missing[what];
    }
    const [none] = Object.keys(missing);
    if (none) throw new Error(`Read back, it holds nothing of “${none}”`);
    return file.manifest?.counts ?? {};
  } finally {
    file.close();
  }
}

/** Why it did not come about, and what to do. */
function reasonOf(error: unknown, folder: string): string {
  const { code, message } = error as NodeJS.ErrnoException;
  if (code === 'ENOSPC' || code === 'EDQUOT')
    return `There is no room in ${folder}. Make room there, or choose another folder.`;
  if (code === 'ENOENT') return `There is no folder ${folder} any more. Is its disk connected?`;
  if (code === 'EACCES' || code === 'EPERM' || code === 'EROFS')
    return `The folder ${folder} cannot be written. Give the server the rights to it, or choose another.`;
  return `${message.replace(/\.$/, '')}. It is tried again within the hour.`;
}
