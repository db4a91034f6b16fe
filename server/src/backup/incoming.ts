import { createWriteStream, mkdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Transform, type Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { v7 } from 'uuid';
import { Refusal } from '../errors';

/** Larger than this nothing is taken from a browser. */
const MOST_BYTES = 4 * 1024 ** 3;
/** So often it is seen to that there is room. */
const LOOK_EVERY_BYTES = 8 * 1024 ** 2;

/** Files that are sent, while they are looked at: on the disk of the data, where there is room or nothing is taken. */
export class Incoming {
  private readonly folder: string;

  constructor(
    root: string | null,
    private readonly needRoom: () => void,
  ) {
    this.folder = root ? join(root, 'incoming') : join(tmpdir(), `burrow-incoming-${process.pid}`);
    // what a server that was ended left behind
    rmSync(this.folder, { recursive: true, force: true });
  }

  /**
   * Keeps what comes in.
   * @throws Refusal when it is too large, or there is no room for it
   */
  async keep(bytes: Readable): Promise<string> {
    mkdirSync(this.folder, { recursive: true });
    const file = join(this.folder, v7());
    let taken = 0;
    let looked = -Infinity;
    const watched = new Transform({
      transform: (part: Buffer, _, done) => {
        taken += part.length;
        try {
          if (taken > MOST_BYTES) throw new Refusal('backup-too-large');
          if (taken - looked > LOOK_EVERY_BYTES) this.needRoom();
        } catch (error) {
          done(error as Error);
          return;
        }
        if (taken - looked > LOOK_EVERY_BYTES) looked = taken;
        done(null, part);
      },
    });
    try {
      await pipeline(bytes, watched, createWriteStream(file));
      return file;
    } catch (error) {
      this.drop(file);
      throw error;
    }
  }

  drop(file: string): void {
    rmSync(file, { force: true });
  }
}
