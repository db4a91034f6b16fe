import { createHash } from 'node:crypto';
import { readFileSync, renameSync, writeFileSync } from 'node:fs';
import type { Instant } from '@gentle-burrow/core/quantity';
import type { ShelfRow } from '@gentle-burrow/core/view';
import type { Projected } from './project-task';

/** A row of the shelf with all that is known of it besides. */
interface KeptRow extends Tells {
  row: ShelfRow;
  /** Milliseconds since 1970. */
  holdsUntil: number;
  /** Places she has stood in. */
  places: string[];
}

/** What one queen tells for others, and what of others moves her. */
export type Tells = Pick<Projected, 'teaches' | 'learnsFrom' | 'falls' | 'heated'>;

/** What the rows rest on, besides what was written. */
export interface RestsOn {
  /** Of the store; null where it cannot tell that nothing was written since. */
  mark: string | null;
  zone: string;
}

/**
 * The rows of the shelf in a file, so that a start need not work them out anew: taken only by the same program, over the same data with
 * nothing written since. It is derived: lost or damaged, it is made again.
 */
export class KeptShelf {
  private readonly build: string;

  /**
   * @param file where it lies
   * @param program the module that works the rows out; it names the parts of the bundle by what is in them
   */
  constructor(
    private readonly file: string,
    program: string,
  ) {
    this.build = createHash('sha256').update(readFileSync(program)).digest('hex');
  }

  /** The rows as they were kept; null when they may no longer hold. */
  take(on: RestsOn, now: Instant): KeptRow[] | null {
    if (on.mark === null) return null;
    try {
      const { stamp, madeAt, rows } = JSON.parse(readFileSync(this.file, 'utf8')) as Kept;
      // made by a clock that was ahead, they would hold too long
      return stamp === this.stamp(on) && madeAt <= now ? rows : null;
    } catch {
      return null;
    }
  }

  keep(rows: readonly KeptRow[], on: RestsOn, now: Instant): void {
    if (on.mark === null) return;
    const kept: Kept = { stamp: this.stamp(on), madeAt: now, rows: [...rows] };
    try {
      writeFileSync(`${this.file}.new`, JSON.stringify(kept));
      renameSync(`${this.file}.new`, this.file);
    } catch {
      // without it the next start takes longer
    }
  }

  private stamp({ mark, zone }: RestsOn): string {
    return `${this.build} ${mark} ${zone}`;
  }
}

interface Kept {
  stamp: string;
  madeAt: Instant;
  rows: KeptRow[];
}
