import { createHash } from 'node:crypto';
import { Worker } from 'node:worker_threads';
import type { PrintJob } from './printing';

/** Draws labels. Fonts, codes and PDF take longer to load than all the rest of the server: only who prints waits for them. */
export type Draw = (job: PrintJob) => Promise<Uint8Array>;

/** In this thread, as tests do. */
export const drawHere: Draw = async (job) => (await import('./printing')).printed(job);

/** Hundreds of labels take seconds: in a thread of their own, so that everybody else is answered meanwhile. It leaves with its memory. */
export const drawApart =
  (file: string): Draw =>
  (job) =>
    new Promise((resolve, reject) => {
      const worker = new Worker(file, { resourceLimits: { maxOldGenerationSizeMb: 192 } });
      worker.once('message', ({ done, failed }: { done?: Uint8Array; failed?: string }) => {
        if (done) resolve(done);
        else reject(new Error(failed));
        void worker.terminate();
      });
      worker.once('error', reject);
      worker.once('exit', () => reject(new Error('The printing stopped.')));
      worker.postMessage(job);
    });

/** So many of the last sheets are kept: what is looked at is printed next. */
const KEPT = 4;

/** Prints one sheet after the other, and the same again from what is kept. */
export class Printer {
  private turn: Promise<unknown> = Promise.resolve();
  private readonly kept = new Map<string, Promise<Uint8Array>>();

  constructor(private readonly draw: Draw = drawHere) {}

  print(job: PrintJob): Promise<Uint8Array> {
    const key = createHash('sha256').update(JSON.stringify(job)).digest('hex');
    const before = this.kept.get(key);
    if (before) return before;
    const mine = this.turn.then(() => this.draw(job));
    this.turn = mine.catch(() => undefined);
    this.kept.set(key, mine);
    mine.catch(() => this.kept.delete(key));
    for (const old of this.kept.keys()) if (this.kept.size > KEPT) this.kept.delete(old);
    return mine;
  }
}
