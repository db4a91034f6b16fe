import { createHash } from 'node:crypto';
import { closeSync, existsSync, openSync, readFileSync, readSync, renameSync, statSync } from 'node:fs';
import { DISK, type Disk } from './disk';
import type { Fact } from './facts';

/** A line that is no fact. */
interface Garbage {
  /** Counted from 1. */
  line: number;
  bytes: Buffer;
}

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
    this.torn = existsSync(file) ? tornTail(file) : Buffer.alloc(0);
    this.handle = openSync(file, 'a');
    this.position = statSync(file).size - this.torn.length;
    if (this.torn.length > 0) this.disk.truncate(this.handle, this.position);
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

  /** Everything that was written behind a position, and the lines among it that are none. */
  since(position: number): { facts: F[]; garbage: Garbage[] } {
    const whole = readFileSync(this.file);
    const facts: F[] = [];
    const garbage: Garbage[] = [];
    let line = 1 + countLines(whole.subarray(0, position));
    for (let from = position; from < this.position; line++) {
      const end = whole.indexOf(0x0a, from);
      const until = end < 0 ? this.position : end;
      const bytes = whole.subarray(from, until);
      from = until + 1;
      if (bytes.length === 0) continue;
      try {
        const fact: unknown = JSON.parse(bytes.toString('utf8'));
        if (typeof fact !== 'object' || fact === null) throw new Error('no object');
        facts.push(fact as F);
      } catch {
        garbage.push({ line, bytes: Buffer.from(bytes) });
      }
    }
    return { facts, garbage };
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

function tornTail(file: string): Buffer {
  const bytes = readFileSync(file);
  return Buffer.from(bytes.subarray(bytes.lastIndexOf(0x0a) + 1));
}

function countLines(bytes: Buffer): number {
  let n = 0;
  for (let i = bytes.indexOf(0x0a); i >= 0; i = bytes.indexOf(0x0a, i + 1)) n++;
  return n;
}
