import type { KeeperSettings } from '@gentle-burrow/core/facts';
import type { Learned } from '@gentle-burrow/core/founding';
import type { Instant } from '@gentle-burrow/core/quantity';
import type { OwnKind } from '@gentle-burrow/core/species';
import type { QueenFacts, QueenView, ShelfRow } from '@gentle-burrow/core/view';
import type { ProjectionAsk } from '@/workers/projection.worker';

interface LocalProjection {
  view: QueenView;
  row: ShelfRow;
}

let worker: Worker | null = null;
let nextId = 1;
const waiting = new Map<number, { resolve(p: LocalProjection): void; reject(e: Error): void }>();

/** Projects one queen in a web worker, so that no drawing waits for it. */
export function projectLocally(
  facts: QueenFacts,
  settings: KeeperSettings,
  now: Instant,
  own: readonly OwnKind[],
  learned: Learned = {},
): Promise<LocalProjection> {
  worker ??= startWorker();
  const id = nextId++;
  return new Promise((resolve, reject) => {
    waiting.set(id, { resolve, reject });
    worker?.postMessage({ id, facts, settings, now, own, learned } satisfies ProjectionAsk);
  });
}

/** Loads the worker while there is a connection, so that it is there when there is none. */
export function warmUpProjection(): void {
  if (typeof Worker !== 'undefined') worker ??= startWorker();
}

function startWorker(): Worker {
  const started = new Worker(new URL('../workers/projection.worker', window.location.href));
  started.onmessage = (event: MessageEvent<LocalProjection & { id: number }>) => {
    const { id, view, row } = event.data;
    waiting.get(id)?.resolve({ view, row });
    waiting.delete(id);
  };
  started.onerror = (event) => {
    for (const w of waiting.values()) w.reject(new Error(event.message));
    waiting.clear();
    started.terminate();
    worker = null;
  };
  return started;
}
