import {
  closeSync,
  existsSync,
  fdatasyncSync,
  mkdirSync,
  openSync,
  readdirSync,
  readFileSync,
  renameSync,
  writeSync,
} from 'node:fs';
import { join } from 'node:path';
import { asc, eq } from 'drizzle-orm';
import { Refusal } from '../errors';
import type { OpenDb } from './open';
import * as t from './schema';

export interface PhotoFacts {
  id: string;
  queenId: string;
  at: Date;
}

export interface StoredPhoto {
  id: string;
  at: Date;
  width: number;
  height: number;
}

/** Longest side of a picture that is kept, and of its thumbnail, px. */
const LONGEST = 2000;
const THUMB = 320;
/** More than this would fill the memory when unpacked. */
const MOST_PIXELS = 60_000_000;
const FORMATS = ['jpeg', 'png', 'webp', 'heif'];

/**
 * Pictures of looks. What kind of file it is is read from its content, not from its name; it is turned upright, made
 * smaller and written anew as JPEG without any of its EXIF data, so that no place or device goes with it.
 */
export class Photos {
  constructor(
    private readonly open: OpenDb,
    /** Where each picture is kept once more, synced to the disk, since PGlite never syncs; null with a server. */
    private readonly dir: string | null = null,
  ) {
    if (dir) mkdirSync(dir, { recursive: true });
  }

  /** Puts back pictures that the database has lost in a power cut. @returns how many */
  async prepare(): Promise<number> {
    if (!this.dir) return 0;
    let replayed = 0;
    for (const name of readdirSync(this.dir)) {
      if (!name.endsWith('.jpg')) continue; // cut off while it was written: never acknowledged
      const [id, queenId, at] = name.split('.') as [string, string, string];
      const kept = await this.open.db.select({ id: t.photos.id }).from(t.photos).where(eq(t.photos.id, id));
      if (kept.length > 0 || !(await this.knows(queenId))) continue;
      await this.store({ id, queenId, at: new Date(Number(at)) }, readFileSync(join(this.dir, name)));
      replayed++;
    }
    return replayed;
  }

  /**
   * Keeps a picture; one that is there already stays as it is.
   * @throws Refusal when it is no picture, too large when unpacked, or of a queen that is not known
   */
  async keep(about: PhotoFacts, bytes: Buffer): Promise<void> {
    if (!(await this.knows(about.queenId))) throw new Refusal('no-such-queen');
    const whole = await shrink(bytes);
    if (this.dir) {
      const file = join(this.dir, `${about.id}.${about.queenId}.${about.at.getTime()}.jpg`);
      if (!existsSync(file)) writeSynced(file, whole);
    }
    await this.store(about, whole);
  }

  private async knows(queenId: string): Promise<boolean> {
    const found = await this.open.db
      .select({ id: t.queens.id })
      .from(t.queens)
      .where(eq(t.queens.id, queenId));
    return found.length > 0;
  }

  private async store(about: PhotoFacts, whole: Buffer): Promise<void> {
    const { data: thumb } = await pictureOf(whole, THUMB);
    const { width = 0, height = 0 } = await (await sharpOf(whole)).metadata();
    await this.open.db
      .insert(t.photos)
      .values({ ...about, width, height, whole, thumb })
      .onConflictDoNothing();
  }

  async read(id: string, size: 'whole' | 'thumb'): Promise<Buffer | null> {
    const [row] = await this.open.db
      .select({ bytes: t.photos[size] })
      .from(t.photos)
      .where(eq(t.photos.id, id));
    return row ? Buffer.from(row.bytes) : null;
  }

  /** Pictures of one queen, oldest first. */
  async of(queenId: string): Promise<StoredPhoto[]> {
    const { id, at, width, height } = t.photos;
    return this.open.db
      .select({ id, at, width, height })
      .from(t.photos)
      .where(eq(t.photos.queenId, queenId))
      .orderBy(asc(t.photos.at), asc(t.photos.id));
  }
}

/** The library is large and seldom needed: fetched with the first picture. */
async function sharpOf(bytes: Buffer) {
  const { default: sharp } = await import('sharp');
  sharp.cache(false);
  sharp.concurrency(1);
  return sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' });
}

/** Upright, no longer than `side`, as JPEG; nothing but the picture is written. */
async function pictureOf(bytes: Buffer, side: number) {
  return (await sharpOf(bytes))
    .autoOrient()
    .resize({ width: side, height: side, fit: 'inside', withoutEnlargement: true })
    .flatten({ background: '#ffffff' })
    .jpeg({ quality: 82 })
    .toBuffer({ resolveWithObject: true });
}

async function shrink(bytes: Buffer): Promise<Buffer> {
  try {
    const { format } = await (await sharpOf(bytes)).metadata();
    if (!FORMATS.includes(format)) throw new Refusal('not-a-picture');
    return (await pictureOf(bytes, LONGEST)).data;
  } catch (error) {
    if (error instanceof Refusal) throw error;
    if (/pixel limit/i.test((error as Error).message)) throw new Refusal('too-many-pixels');
    throw new Refusal('not-a-picture');
  }
}

/** Under its own name only when it is whole, so that a start never meets half a picture. */
function writeSynced(file: string, bytes: Buffer): void {
  const part = `${file}.part`;
  const handle = openSync(part, 'w');
  try {
    writeSync(handle, bytes);
    fdatasyncSync(handle);
  } finally {
    closeSync(handle);
  }
  renameSync(part, file);
}
