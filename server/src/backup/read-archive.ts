import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { open } from 'node:fs/promises';
import type { Readable } from 'node:stream';
import { openPromise, type Entry, type ZipFile } from 'yauzl';
import { aboutOf, type PhotoFacts } from '../db/photos';
import { Refusal } from '../errors';
import {
  BACKUP_FORMAT,
  FACTS_FILE,
  MANIFEST_FILE,
  manifestSchema,
  PHOTOS_FOLDER,
  type Manifest,
} from './manifest';

export interface BroughtLine {
  /** Counted from 1. */
  line: number;
  /** Null when it is longer than any line of ours. */
  text: string | null;
}

interface BroughtPhoto {
  name: string;
  about: PhotoFacts;
  /** Null when it is not as it was when the backup was made. */
  bytes(): Promise<Buffer | null>;
}

/** A file that is brought back: a whole backup, or a log alone. */
export interface Brought {
  /** None with a log alone. */
  manifest: Manifest | null;
  lines(): AsyncGenerator<BroughtLine>;
  photos: BroughtPhoto[];
  /** What is wrong with the file as a whole, a sentence each; told of its lines when they have been read through. */
  warnings: string[];
  close(): void;
}

/** A day of readings by the second is not longer. */
const LONGEST_LINE = 8 * 1024 * 1024;
const LONGEST_MANIFEST = 32 * 1024 * 1024;
const LONGEST_PHOTO = 16 * 1024 * 1024;

/**
 * Opens what is brought back.
 * @throws Refusal when it is neither a backup nor a log, or of a newer version
 */
export async function openBrought(file: string): Promise<Brought> {
  return (await beginsWith(file, [0x50, 0x4b])) ? openZip(file) : openLog(file);
}

async function beginsWith(file: string, bytes: number[]): Promise<boolean> {
  const handle = await open(file, 'r');
  try {
    const { buffer, bytesRead } = await handle.read(Buffer.alloc(bytes.length), 0, bytes.length, 0);
    return bytesRead === bytes.length && bytes.every((b, i) => buffer[i] === b);
  } finally {
    await handle.close();
  }
}

function openLog(file: string): Brought {
  return {
    manifest: null,
    lines: () => linesOf(createReadStream(file)),
    photos: [],
    warnings: [],
    close() {},
  };
}

async function openZip(file: string): Promise<Brought> {
  const zip = await openPromise(file, { lazyEntries: true, autoClose: false }).catch(() => {
    throw new Refusal('not-a-backup', 'This backup is damaged or was cut off. Take another one.');
  });
  try {
    return await whatIsIn(zip);
  } catch (error) {
    zip.close();
    throw error;
  }
}

async function whatIsIn(zip: ZipFile): Promise<Brought> {
  const entries = await entriesOf(zip);
  const warnings: string[] = [];
  const manifest = await manifestIn(zip, entries.get(MANIFEST_FILE));
  const facts = entries.get(FACTS_FILE);
  if (!facts) throw new Refusal('not-a-backup');
  if (facts.isEncrypted())
    throw new Refusal(
      'not-a-backup',
      'This file is encrypted. Unpack it with its password first, and choose what was in it.',
    );
  const sums = new Map(manifest?.files.map((f) => [f.name, f.sha256]));
  if (!manifest)
    warnings.push(
      'It has no list of what is in it, or a damaged one: whether something is missing cannot be told.',
    );
  for (const name of sums.keys())
    if (!entries.has(name)) warnings.push(`${name} is in its list, but not in the file.`);
  const photos: BroughtPhoto[] = [];
  for (const [name, entry] of entries) {
    if (name === FACTS_FILE || name === MANIFEST_FILE || name === PHOTOS_FOLDER) continue;
    const about = name.startsWith(PHOTOS_FOLDER) ? aboutOf(name.slice(PHOTOS_FOLDER.length)) : null;
    // of a picture that was gone when its turn came nothing was written
    if (about && entry.uncompressedSize === 0) continue;
    if (!about) warnings.push(`${name} is none of ours and is left out.`);
    else photos.push({ name, about, bytes: () => photoIn(zip, entry, sums.get(name)) });
  }
  return {
    manifest,
    async *lines() {
      const hash = createHash('sha256');
      const stream = await zip.openReadStreamPromise(facts).catch(unreadable);
      const whole = async function* () {
        for await (const bytes of stream as AsyncIterable<Buffer>) {
          hash.update(bytes);
          yield bytes;
        }
      };
      yield* linesOf(whole());
      const says = `${FACTS_FILE} is not as it was when the backup was made: it was changed or damaged. Look at what is in it before you take it.`;
      const sum = sums.get(FACTS_FILE);
      if (sum && hash.digest('hex') !== sum && !warnings.includes(says)) warnings.push(says);
    },
    photos,
    warnings,
    close: () => zip.close(),
  };
}

async function entriesOf(zip: ZipFile): Promise<Map<string, Entry>> {
  const entries = new Map<string, Entry>();
  try {
    for await (const entry of zip.eachEntry()) entries.set(entry.fileName, entry);
  } catch (error) {
    const name = /(relative path|absolute path|characters in fileName): (.{1,80})/.exec(
      (error as Error).message,
    );
    if (name)
      throw new Refusal(
        'not-a-backup',
        `“${name[2]}” in this file leads out of its folder, as nothing in a backup does. Choose another file.`,
      );
    unreadable();
  }
  return entries;
}

async function manifestIn(zip: ZipFile, entry: Entry | undefined): Promise<Manifest | null> {
  if (!entry || entry.uncompressedSize > LONGEST_MANIFEST) return null;
  let manifest: Manifest;
  try {
    const bytes = await allOf(await zip.openReadStreamPromise(entry));
    manifest = manifestSchema.parse(JSON.parse(bytes.toString('utf8')));
  } catch {
    return null;
  }
  if (manifest.format > BACKUP_FORMAT)
    throw new Refusal(
      'not-a-backup',
      `This backup was made by a newer version of Gentle Burrow (format ${manifest.format}, this one reads ${BACKUP_FORMAT}). Update the application first.`,
    );
  return manifest;
}

async function photoIn(zip: ZipFile, entry: Entry, sum: string | undefined): Promise<Buffer | null> {
  if (entry.uncompressedSize > LONGEST_PHOTO) return null;
  try {
    const bytes = await allOf(await zip.openReadStreamPromise(entry));
    return sum && createHash('sha256').update(bytes).digest('hex') !== sum ? null : bytes;
  } catch {
    return null;
  }
}

function unreadable(): never {
  throw new Refusal('not-a-backup', 'This backup is damaged or was cut off. Take another one.');
}

async function allOf(stream: Readable): Promise<Buffer> {
  const parts: Buffer[] = [];
  for await (const part of stream as AsyncIterable<Buffer>) parts.push(part);
  return Buffer.concat(parts);
}

const NEWLINE = 0x0a;

/** @throws Refusal when what is packed cannot be unpacked to its end */
async function* linesOf(bytes: AsyncIterable<Buffer>): AsyncGenerator<BroughtLine> {
  let line = 1;
  let begun: Buffer[] = [];
  let length = 0;
  const add = (part: Buffer) => {
    length += part.length;
    // of what is too long no more is kept
    if (length <= LONGEST_LINE) begun.push(part);
  };
  const done = (): BroughtLine => {
    const text =
      length > LONGEST_LINE
        ? null
        : Buffer.concat(begun)
            .toString('utf8')
            .replace(/^\uFEFF|\r$/g, '');
    begun = [];
    length = 0;
    return { line: line++, text };
  };
  const each = bytes[Symbol.asyncIterator]();
  for (;;) {
    const { done: ended, value } = await each.next().catch(unreadable);
    if (ended) break;
    const part = value as Buffer;
    let from = 0;
    for (let at = part.indexOf(NEWLINE); at >= 0; at = part.indexOf(NEWLINE, from)) {
      add(part.subarray(from, at));
      from = at + 1;
      yield done();
    }
    if (from < part.length) add(part.subarray(from));
  }
  if (length > 0) yield done();
}
