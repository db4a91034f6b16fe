import { Worker } from 'node:worker_threads';
import type { Projected, ProjectTask } from './project-task';

export interface Projector {
  run(task: ProjectTask): Promise<Projected[]>;
  /** How many tasks can run at once. */
  readonly size: number;
  close(): Promise<void>;
}

interface Waiting {
  task: ProjectTask;
  resolve(done: Projected[]): void;
  reject(error: Error): void;
}

interface Hand {
  worker: Worker;
  busy: { id: number; waiting: Waiting } | null;
  idle: NodeJS.Timeout | null;
}

/** One thread is kept ready for a minute; the others, needed for many queens at once, leave sooner with their memory. */
const IDLE_MS = 60_000;
const EXTRA_IDLE_MS = 1500;
/** A chunk of queens is small: without these, each thread would take twice the memory it needs. */
const LIMITS = { maxOldGenerationSizeMb: 96, maxYoungGenerationSizeMb: 24 };

/** Runs projections in worker threads. Threads start when needed and leave after a minute without work. */
export class WorkerPool implements Projector {
  private readonly queue: Waiting[] = [];
  private readonly hands = new Set<Hand>();
  private nextId = 1;
  private closed = false;

  /** @param file the worker's module; Node's own flags are handed on to it */
  constructor(
    private readonly file: string,
    readonly size: number,
  ) {}

  run(task: ProjectTask): Promise<Projected[]> {
    if (this.closed) return Promise.reject(new Error('The server is stopping.'));
    return new Promise((resolve, reject) => {
      this.queue.push({ task, resolve, reject });
      this.assign();
    });
  }

  async close(): Promise<void> {
    this.closed = true;
    for (const w of this.queue.splice(0)) w.reject(new Error('The server is stopping.'));
    await Promise.all([...this.hands].map((h) => h.worker.terminate()));
  }

  private assign(): void {
    while (this.queue.length > 0) {
      const free =
        [...this.hands].find((h) => h.busy === null) ?? (this.hands.size < this.size ? this.hire() : null);
      if (!free) return;
      const waiting = this.queue.shift() as Waiting;
      if (free.idle) clearTimeout(free.idle);
      free.busy = { id: this.nextId++, waiting };
      free.worker.postMessage({ id: free.busy.id, task: waiting.task });
    }
  }

  private rest(hand: Hand): void {
    const leave = () => {
      this.hands.delete(hand);
      void hand.worker.terminate();
    };
    hand.idle = setTimeout(() => {
      if (this.hands.size > 1) return leave();
      hand.idle = setTimeout(leave, IDLE_MS - EXTRA_IDLE_MS);
      hand.idle.unref();
    }, EXTRA_IDLE_MS);
    hand.idle.unref();
  }

  private hire(): Hand {
    const hand: Hand = {
      worker: new Worker(this.file, { resourceLimits: LIMITS }),
      busy: null,
      idle: null,
    };
    this.hands.add(hand);
    hand.worker.on('message', (answer: { id: number; done?: Projected[]; failed?: string }) => {
      const { busy } = hand;
      hand.busy = null;
      if (busy && answer.done) busy.waiting.resolve(answer.done);
      else busy?.waiting.reject(new Error(answer.failed ?? 'The projection failed.'));
      this.rest(hand);
      this.assign();
    });
    const gone = (error?: Error) => {
      this.hands.delete(hand);
      hand.busy?.waiting.reject(error ?? new Error('The projection stopped.'));
      hand.busy = null;
      if (!this.closed) this.assign();
    };
    hand.worker.on('error', gone);
    hand.worker.on('exit', () => gone());
    return hand;
  }
}
