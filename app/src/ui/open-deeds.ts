import { useSyncExternalStore } from 'react';

let of: string | null = null;
const listeners = new Set<() => void>();

function set(queenId: string | null): void {
  of = queenId;
  for (const l of listeners) l();
}

/** Opens the sheet on which anything can be written of a queen, over whatever page is shown. */
export const openDeeds = (queenId: string): void => set(queenId);

export const closeDeeds = (): void => set(null);

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Of whom something is about to be written; null of nobody. */
export const useDeedsOf = (): string | null =>
  useSyncExternalStore(
    subscribe,
    () => of,
    () => of,
  );
