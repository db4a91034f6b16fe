import { useSyncExternalStore } from 'react';

interface Undoable {
  says: string;
  undo(): Promise<unknown>;
}

let current: Undoable | null = null;
const listeners = new Set<() => void>();

function set(next: Undoable | null): void {
  current = next;
  for (const l of listeners) l();
}

/** Offers to take back what was just written. */
export const offerUndo = (says: string, undo: () => Promise<unknown>): void => set({ says, undo });

export const dismissUndo = (): void => set(null);

/** Takes back the last thing, if it can still be. */
export async function undoLast(): Promise<boolean> {
  const last = current;
  if (!last) return false;
  set(null);
  await last.undo();
  return true;
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

export const useUndoable = (): Undoable | null =>
  useSyncExternalStore(
    subscribe,
    () => current,
    () => current,
  );
