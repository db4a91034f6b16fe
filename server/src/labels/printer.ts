import { createHash } from 'node:crypto';
import { Worker } from 'node:worker_threads';
import type { PrintJob } from './printing';

/** Draws labels. Fonts, codes and PDF take longer to load than all the rest of the server: only who prints waits for them. */
export interface Drawer {
  draw(job: PrintJob): Promise<Uint8Array>;
  /** Something will be drawn in a moment: what it takes can be loaded meanwhile. */
  ready(): void;
}

/** In this thread, as tests do. */
const drawHere: Drawer = {
  draw: async (job) => (await import('./printing')).printed(job),
  ready() {},
};

/** One that was made ready and is not asked leaves again, ms. */
const UNASKED_MS = 15_000;

/** Hundreds of labels take seconds: in a thread of their own, so that everybody else is answered meanwhile. It leaves with its memory. */
export function drawApart(file: string): Drawer {
  let waiting: { worker: Worker; leaves: NodeJS.Timeout } | null = null;
  const made = () => {
    const worker = new Worker(file, {
      resourceLimits: { maxOldGenerationSizeMb: 160, maxYoungGenerationSizeMb: 16 },
    });
    worker.unref();
    return worker;
  };
  return {
    ready() {
      if (waiting) return;
      const worker = made();
      const forget = () => {
        if (waiting?.worker === worker) waiting = null;
      };
      worker.once('exit', forget);
      worker.on('error', forget);
      const leaves = setTimeout(() => {
        forget();
        void worker.terminate();
      }, UNASKED_MS);
      leaves.unref();
      waiting = { worker, leaves };
    },
    draw: (job) =>
      new Promise((resolve, reject) => {
        const worker = waiting?.worker ?? made();
        clearTimeout(waiting?.leaves);
        waiting = null;
        worker.ref();
        worker.once('message', ({ done, failed }: { done?: Uint8Array; failed?: string }) => {
          if (done) resolve(done);
          else reject(new Error(failed));
          void worker.terminate();
        });
        worker.once('error', reject);
        worker.once('exit', () => reject(new Error('The printing stopped.')));
        worker.postMessage(job);
      }),
  };
}

/** So many of the last sheets are kept: what is looked at is printed next. */
const KEPT = 4;

/** Prints one sheet after the other, and the same again from what is kept. */
export class Printer {
  private turn: Promise<unknown> = Promise.resolve();
  private readonly kept = new Map<string, Promise<Uint8Array>>();

  constructor(private readonly drawer: Drawer = drawHere) {}

  /** Something will be printed in a moment. */
  ready(): void {
    this.drawer.ready();
  }

  print(job: PrintJob): Promise<Uint8Array> {
    const key = createHash('sha256').update(JSON.stringify(job)).digest('hex');
    const before = this.kept.get(key);
    if (before) return before;
    const mine = this.turn.then(() => this.drawer.draw(job));
    this.turn = mine.catch(() => undefined);
    this.kept.set(key, mine);
    mine.catch(() => this.kept.delete(key));
    for (const old of this.kept.keys()) if (this.kept.size > KEPT) this.kept.delete(old);
    return mine;
  }
}
