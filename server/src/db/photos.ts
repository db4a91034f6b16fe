import { closeSync, fsyncSync, mkdirSync, openSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { isOfOurTime } from '@gentle-burrow/core/facts';
import { asc, eq } from 'drizzle-orm';
import writeFileAtomic from 'write-file-atomic';
import { Refusal } from '../errors';
import { needRoom, sweep } from './disk';
import type { DataFiles } from './files';
import type { OpenDb } from './open';
import * as t from './schema';

export interface PhotoFacts {
  id: string;
  queenId: string;
  at: Date;
}

interface StoredPhoto {
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
    private readonly knows: (queenId: string) => Promise<boolean>,
    /** Where each picture is kept once more, synced to the disk, since PGlite never syncs; null with a server. */
    private readonly files: Pick<DataFiles, 'root' | 'photos' | 'aside' | 'disk'> | null = null,
  ) {
    if (files) mkdirSync(files.photos, { recursive: true });
  }

  /**
   * Puts back pictures that the database has lost in a power cut, and sets aside what is none.
   * @returns how many
   */
  async prepare(): Promise<number> {
    if (!this.files) return 0;
    const { photos, aside } = this.files;
    let replayed = 0;
    sweep(photos, UNFINISHED);
    for (const name of readdirSync(photos)) {
      const path = join(photos, name);
      const about = aboutOf(name);
      if (!about) {
        aside.move(path, name, `${name} in the folder of photos is none of ours.`);
        continue;
      }
      const { id } = about;
      const kept = await this.open.db.select({ id: t.photos.id }).from(t.photos).where(eq(t.photos.id, id));
      if (kept.length > 0 || !(await this.knows(about.queenId))) continue;
      const bytes = readFileSync(path);
      if (await isWhole(bytes)) {
        await this.store(about, bytes);
        replayed++;
      } else
        aside.move(path, name, `The photo ${name} is damaged or empty. Send it again if you still have it.`);
    }
    return replayed;
  }

  /**
   * Keeps a picture; the same again changes nothing.
   * @throws Refusal when it is no picture, too large when unpacked, of a queen that is not known, or when its id is that of another
   */
  async keep(about: PhotoFacts, bytes: Buffer): Promise<void> {
    if (!(await this.knows(about.queenId))) throw new Refusal('no-such-queen');
    if (this.files) needRoom(this.files.disk, this.files.root);
    const whole = await shrink(bytes);
    await this.refuseOther(about, whole);
    // making it smaller takes seconds, in which others write
    if (this.files) needRoom(this.files.disk, this.files.root);
    if (this.files) await keepFile(this.files.photos, nameOf(about), whole);
    await this.store(about, whole);
  }

  /** @throws Refusal when the id is that of another picture */
  private async refuseOther(about: PhotoFacts, whole: Buffer): Promise<void> {
    if ((await this.compare(about, whole)) === 'contradictory')
      throw new Refusal('id-taken', undefined, 'id');
  }

  /**
   * Keeps a picture that was kept before, as it is.
   * @throws Refusal as `keep` does
   */
  async putBack(about: PhotoFacts, bytes: Buffer): Promise<void> {
    // one of another origin is made like ours: it may tell where it was taken
    if (!(await isOurs(bytes))) return this.keep(about, bytes);
    if (!(await this.knows(about.queenId))) throw new Refusal('no-such-queen');
    await this.refuseOther(about, bytes);
    if (this.files) needRoom(this.files.disk, this.files.root);
    if (this.files) await keepFile(this.files.photos, nameOf(about), bytes);
    await this.store(about, bytes);
  }

  /** What a picture would be if it were put back. */
  async compare(about: PhotoFacts, bytes: Buffer): Promise<'new' | 'same' | 'contradictory'> {
    const [kept] = await this.open.db
      .select({ queenId: t.photos.queenId, at: t.photos.at, whole: t.photos.whole })
      .from(t.photos)
      .where(eq(t.photos.id, about.id));
    if (!kept) return 'new';
    const same = kept.queenId === about.queenId && kept.at.getTime() === about.at.getTime();
    return same && bytes.equals(kept.whole) ? 'same' : 'contradictory';
  }

  /** What pictures there are. */
  all(): Promise<PhotoFacts[]> {
    const { id, queenId, at } = t.photos;
    return this.open.db.select({ id, queenId, at }).from(t.photos).orderBy(asc(t.photos.id));
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

export const nameOf = ({ id, queenId, at }: PhotoFacts): string => `${id}.${queenId}.${at.getTime()}.jpg`;

const UUID = '[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}';
const NAME = new RegExp(`^(${UUID})\\.(${UUID})\\.(-?\\d+)\\.jpg$`);
/** What an atomic write leaves behind when it is cut off. */
const UNFINISHED = new RegExp(`^${UUID}\\.${UUID}\\.-?\\d+\\.jpg\\.(?:part|\\d+)$`);

/** What the name of a file says; null when it is none of ours, or of no moment that a picture can be of. */
export function aboutOf(name: string): PhotoFacts | null {
  const [, id, queenId, ms] = NAME.exec(name) ?? [];
  const at = new Date(Number(ms));
  return id && queenId && isOfOurTime(at.getUTCFullYear()) ? { id, queenId, at } : null;
}

/** A whole picture, as they are kept here. */
async function isOurs(bytes: Buffer): Promise<boolean> {
  try {
    const { format, width = 0, height = 0, exif, xmp, iptc } = await (await sharpOf(bytes)).metadata();
    return (
      format === 'jpeg' &&
      Math.max(width, height) <= LONGEST &&
      !exif &&
      !xmp &&
      !iptc &&
      (await isWhole(bytes))
    );
  } catch {
    return false;
  }
}

async function isWhole(bytes: Buffer): Promise<boolean> {
  try {
    await (await sharpOf(bytes)).stats();
    return true;
  } catch {
    return false;
  }
}

/** Under its own name only when it is whole; one that was cut short by a full disk before is written anew. */
async function keepFile(folder: string, name: string, bytes: Buffer): Promise<void> {
  const file = join(folder, name);
  let there: Buffer | null = null;
  try {
    there = readFileSync(file);
  } catch {
    // it is not there yet
  }
  if (there && (await isWhole(there))) return;
  await writeFileAtomic(file, bytes);
  // its name is on the disk when the folder is
  const handle = openSync(folder, 'r');
  try {
    fsyncSync(handle);
  } finally {
    closeSync(handle);
  }
}
