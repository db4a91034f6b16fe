import { createHash } from 'node:crypto';
import {
  closeSync,
  existsSync,
  fdatasyncSync,
  ftruncateSync,
  openSync,
  readFileSync,
  readSync,
  statSync,
  writeSync,
} from 'node:fs';
import type { Fact } from './facts';

/**
 * Every fact once more, as a line of JSON in a file that is synced to the disk before the fact is acknowledged. PGlite
 * never calls fsync, so after a power cut the database may have lost its newest rows: what lies behind the position that
 * the database remembers is then written again.
 */
export class Journal<F = Fact> {
  private readonly handle: number;
  /** Bytes written so far. */
  position: number;

  constructor(private readonly file: string) {
    const torn = existsSync(file) ? tornTail(file) : 0;
    this.handle = openSync(file, 'a');
    this.position = statSync(file).size;
    if (torn > 0) {
      this.position -= torn;
      ftruncateSync(this.handle, this.position);
    }
  }

  append(facts: readonly F[]): void {
    const lines = Buffer.from(facts.map((f) => `${JSON.stringify(f)}\n`).join(''));
    writeSync(this.handle, lines);
    fdatasyncSync(this.handle);
    this.position += lines.length;
  }

  /** Facts written from this position on. */
  since(position: number): F[] {
    const bytes = readFileSync(this.file).subarray(position);
    return bytes
      .toString('utf8')
      .split('\n')
      .filter((line) => line !== '')
      .map((line) => JSON.parse(line) as F);
  }

  /** Tells whether it is the same journal as before, with nothing written since. */
  mark(): string {
    const tail = Buffer.alloc(Math.min(MARK_BYTES, this.position));
    const handle = openSync(this.file, 'r');
    try {
      readSync(handle, tail, 0, tail.length, this.position - tail.length);
    } finally {
      closeSync(handle);
    }
    return `${this.position}:${createHash('sha256').update(tail).digest('hex')}`;
  }

  close(): void {
    closeSync(this.handle);
  }
}

/** Enough for the last fact with its id, which no other journal has. */
const MARK_BYTES = 4096;

/** Length of a last line that was cut off by a crash: it was never acknowledged. */
function tornTail(file: string): number {
  const bytes = readFileSync(file);
  return bytes.length - (bytes.lastIndexOf(0x0a) + 1);
}
