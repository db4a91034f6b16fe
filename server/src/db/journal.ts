import { createHash } from 'node:crypto';
import { closeSync, existsSync, openSync, readSync, renameSync, statSync } from 'node:fs';
import { DISK, type Disk } from './disk';
import type { Fact } from './facts';

/** A line that is no fact. */
interface Garbage {
  /** Counted from 1. */
  line: number;
  bytes: Buffer;
}

/** A line of a journal, and the byte behind it. */
export type JournalLine<F> = { fact: F; end: number } | { garbage: Garbage; end: number };

/** How far a journal has been written into a database. */
export interface Reached {
  bytes: number;
  /** What the journal looked like there; not remembered by older versions. */
  mark?: string;
}

/**
 * Every fact once more, as a line of JSON in a file that is synced to the disk before the fact is acknowledged. PGlite
 * never calls fsync, so after a power cut the database may have lost its newest rows: what lies behind the position that
 * the database remembers is then written again.
 */
export class Journal<F = Fact> {
  private handle: number;
  /** Bytes written so far, all of them whole lines. */
  position: number;
  /** What a crash cut off in the midst of a line: it was never acknowledged. */
  readonly torn: Buffer;
  /** More than `position` may lie on the disk: what could not be cut back. */
  private ragged = false;

  constructor(
    readonly file: string,
    private readonly disk: Disk = DISK,
  ) {
    const torn = existsSync(file) ? tornTail(file) : { bytes: Buffer.alloc(0), length: 0 };
    this.torn = torn.bytes;
    this.handle = openSync(file, 'a');
    this.position = statSync(file).size - torn.length;
    if (torn.length > 0) this.disk.truncate(this.handle, this.position);
  }

  /** Nothing has ever been written to it. */
  get empty(): boolean {
    return this.position === 0;
  }

  /**
   * Writes facts to the disk, all of them or none.
   * @throws what the system said; then the journal is as it was before
   */
  append(facts: readonly F[]): void {
    if (this.ragged) this.cutBack(this.position);
    const lines = Buffer.from(facts.map((f) => `${JSON.stringify(f)}\n`).join(''));
    try {
      for (let out = 0; out < lines.length;) out += this.disk.write(this.handle, lines.subarray(out));
      this.disk.sync(this.handle);
    } catch (error) {
      this.rewind(this.position);
      throw error;
    }
    this.position += lines.length;
  }

  /** Forgets what was written behind a position: it was not acknowledged. What cannot be cut off now is before anything else is written. */
  rewind(position: number): void {
    this.position = position;
    try {
      this.cutBack(position);
    } catch {
      this.ragged = true;
    }
  }

  private cutBack(position: number): void {
    this.disk.truncate(this.handle, position);
    this.ragged = false;
  }

  /**
   * Each line that was written behind a position, one after the other: a journal may be longer than what fits the memory, or one buffer.
   */
  *since(position: number): Generator<JournalLine<F>> {
    let line = 0;
    for (const { bytes, end } of linesOf(this.file, position, this.position)) {
      line++;
      if (bytes.length === 0) continue;
      try {
        const fact: unknown = JSON.parse(bytes.toString('utf8'));
        if (typeof fact !== 'object' || fact === null) throw new Error('no object');
        yield { fact: fact as F, end };
      } catch {
        yield { garbage: { line: line + countLines(this.file, position), bytes: Buffer.from(bytes) }, end };
      }
    }
  }

  /** Writes it anew, whole or not at all: a new file in the place of the old one. */
  async writeAnew(facts: AsyncIterable<F>): Promise<void> {
    const next = new Journal<F>(`${this.file}.new`, this.disk);
    next.rewind(0);
    try {
      let some: F[] = [];
      for await (const fact of facts) {
        some.push(fact);
        if (some.length < 1000) continue;
        next.append(some);
        some = [];
      }
      next.append(some);
    } finally {
      next.close();
    }
    renameSync(next.file, this.file);
    closeSync(this.handle);
    this.handle = openSync(this.file, 'a');
    this.position = next.position;
  }

  /** Tells whether it is the same journal as before, with nothing written since. */
  mark(): string {
    return `${this.position}:${this.markAt(this.position)}`;
  }

  /** What is to be remembered with what was written so far. */
  reached(): Reached {
    return { bytes: this.position, mark: this.markAt(this.position) };
  }

  /** Whether a database that remembers this was filled from this very journal. */
  goesOnFrom({ bytes, mark }: Reached): boolean {
    if (bytes > this.position) return false;
    return mark === undefined
      ? bytes === 0 || this.read(bytes - 1, bytes)[0] === 0x0a
      : mark === this.markAt(bytes);
  }

  private markAt(position: number): string {
    const tail = this.read(Math.max(0, position - MARK_BYTES), position);
    return createHash('sha256').update(tail).digest('hex');
  }

  private read(from: number, until: number): Buffer {
    const bytes = Buffer.alloc(until - from);
    const handle = openSync(this.file, 'r');
    try {
      readSync(handle, bytes, 0, bytes.length, from);
    } finally {
      closeSync(handle);
    }
    return bytes;
  }

  close(): void {
    closeSync(this.handle);
  }
}

/** Enough for the last fact with its id, which no other journal has. */
const MARK_BYTES = 4096;

/** So much is read at once. */
const BLOCK_BYTES = 1024 * 1024;
/** No fact is longer: of what is, no more is kept. */
const LONGEST_LINE = 64 * 1024 * 1024;

/** What stands behind the last line end, and how long it is: found from the end, however long the file is. */
function tornTail(file: string): { bytes: Buffer; length: number } {
  const { size } = statSync(file);
  const parts: Buffer[] = [];
  let kept = 0;
  for (const { block, at } of blocksBackwards(file, size)) {
    const newline = block.lastIndexOf(0x0a);
    const part = block.subarray(newline + 1);
    if (kept < LONGEST_LINE) parts.unshift(Buffer.from(part));
    kept += part.length;
    if (newline >= 0) return { bytes: Buffer.concat(parts), length: size - (at + newline + 1) };
  }
  return { bytes: Buffer.concat(parts), length: size };
}

function* blocksBackwards(file: string, size: number): Generator<{ block: Buffer; at: number }> {
  const handle = openSync(file, 'r');
  try {
    for (let end = size; end > 0;) {
      const at = Math.max(0, end - BLOCK_BYTES);
      const block = Buffer.alloc(end - at);
      readSync(handle, block, 0, block.length, at);
      yield { block, at };
      end = at;
    }
  } finally {
    closeSync(handle);
  }
}

function* blocks(file: string, from: number, until: number): Generator<Buffer> {
  const handle = openSync(file, 'r');
  try {
    const block = Buffer.alloc(BLOCK_BYTES);
    for (let at = from; at < until;) {
      const read = readSync(handle, block, 0, Math.min(block.length, until - at), at);
      if (read === 0) return;
      yield block.subarray(0, read);
      at += read;
    }
  } finally {
    closeSync(handle);
  }
}

/** The lines between two positions, without their ends. */
function* linesOf(file: string, from: number, until: number): Generator<{ bytes: Buffer; end: number }> {
  let begun: Buffer[] = [];
  let length = 0;
  let at = from;
  const add = (part: Buffer) => {
    length += part.length;
    if (length <= LONGEST_LINE) begun.push(Buffer.from(part));
  };
  for (const block of blocks(file, from, until)) {
    let begins = 0;
    for (let end = block.indexOf(0x0a); end >= 0; end = block.indexOf(0x0a, begins)) {
      add(block.subarray(begins, end));
      yield { bytes: Buffer.concat(begun), end: at + end + 1 };
      begun = [];
      length = 0;
      begins = end + 1;
    }
    if (begins < block.length) add(block.subarray(begins));
    at += block.length;
  }
  if (length > 0) yield { bytes: Buffer.concat(begun), end: at };
}

function countLines(file: string, until: number): number {
  let n = 0;
  for (const block of blocks(file, 0, until))
    for (let i = block.indexOf(0x0a); i >= 0; i = block.indexOf(0x0a, i + 1)) n++;
  return n;
}
