import type { KindName } from '@gentle-burrow/core/log';
import { useSyncExternalStore } from 'react';

/** What the sheet begins with: the form of one kind; that of a change at home may be about one part. */
export interface DeedStart {
  kind: Exclude<KindName, 'look'>;
  partId?: string;
}

interface DeedsOf {
  queenId: string;
  start: DeedStart | null;
}

let of: DeedsOf | null = null;
const listeners = new Set<() => void>();

function set(next: DeedsOf | null): void {
  of = next;
  for (const l of listeners) l();
}

/** Opens the sheet on which anything can be written of a queen, over whatever page is shown. */
export const openDeeds = (queenId: string, start: DeedStart | null = null): void => set({ queenId, start });

export const closeDeeds = (): void => set(null);

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Of whom something is about to be written; null of nobody. */
export const useDeedsOf = (): DeedsOf | null =>
  useSyncExternalStore(
    subscribe,
    () => of,
    () => of,
  );
