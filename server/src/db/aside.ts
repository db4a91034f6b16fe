import { createHash } from 'node:crypto';
import {
  appendFileSync,
  copyFileSync,
  existsSync,
  mkdirSync,
  readFileSync,
  renameSync,
  writeFileSync,
} from 'node:fs';
import { join, relative } from 'node:path';
import type { SetAside } from '@gentle-burrow/contract';

/**
 * What cannot be used is set aside, never deleted: a folder with what it was, and a list of when, what and why. Whatever else there is can
 * then be opened.
 */
export class Aside {
  /** What was set aside since this was opened. */
  readonly fresh: SetAside[] = [];
  private readonly list: string;

  constructor(
    private readonly root: string,
    private readonly folder = join(root, 'quarantine'),
    private readonly now: () => Date = () => new Date(),
  ) {
    this.list = join(folder, 'list.jsonl');
  }

  /**
   * Keeps a copy of something that stays where it is, as a line of a file. The same again is kept once.
   * @param says what it is and why it cannot be used, a sentence
   */
  copy(name: string, bytes: Buffer, says: string): void {
    const hash = createHash('sha256').update(bytes).digest('hex').slice(0, 12);
    const file = join(this.folder, `${name}-${hash}`);
    if (existsSync(file)) return;
    mkdirSync(this.folder, { recursive: true });
    writeFileSync(file, bytes);
    this.note(file, says);
  }

  /** Keeps a copy of a whole file that goes on being used under its name. */
  keep(path: string, name: string, says: string): void {
    const file = this.place(name);
    copyFileSync(path, file);
    this.note(file, says);
  }

  /** Moves a file or a folder out of the way. */
  move(path: string, name: string, says: string): void {
    const file = this.place(name);
    renameSync(path, file);
    this.note(file, says);
  }

  /** A name that is still free. */
  private place(name: string): string {
    mkdirSync(this.folder, { recursive: true });
    const stamp = this.now().toISOString().replace(/[:.]/g, '-');
    let file = join(this.folder, `${name}-${stamp}`);
    for (let n = 2; existsSync(file); n++) file = join(this.folder, `${name}-${stamp}-${n}`);
    return file;
  }

  /** Everything that was ever set aside, the newest first. */
  all(): SetAside[] {
    let text: string;
    try {
      text = readFileSync(this.list, 'utf8');
    } catch {
      return [];
    }
    return text
      .split('\n')
      .flatMap((line) => {
        try {
          return [JSON.parse(line) as SetAside];
        } catch {
          return [];
        }
      })
      .reverse();
  }

  /** Writes down what was wrong with something, wherever it lies now. */
  note(file: string, says: string): void {
    mkdirSync(this.folder, { recursive: true });
    const one: SetAside = { at: this.now().toISOString(), says, where: relative(this.root, file) };
    this.fresh.push(one);
    appendFileSync(this.list, `${JSON.stringify(one)}\n`);
  }
}
