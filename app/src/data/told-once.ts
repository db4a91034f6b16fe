import { useSyncExternalStore } from 'react';
import { apart } from './example';

/** What was said to the keeper once and is done with: kept on this device alone, for it is no fact about a queen. */
const KEY = apart('burrow.told-once');
const NONE: readonly string[] = [];
/** More than a keeper ever has open; the oldest go. */
const MOST = 500;
let all: readonly string[] | null = null;
const listeners = new Set<() => void>();

function read(): readonly string[] {
  if (all) return all;
  try {
    all = JSON.parse(globalThis.localStorage?.getItem(KEY) ?? '[]') as string[];
  } catch {
    all = NONE;
  }
  return all;
}

export function toldOnce(what: string): void {
  all = [...read().filter((w) => w !== what), what].slice(-MOST);
  try {
    globalThis.localStorage?.setItem(KEY, JSON.stringify(all));
  } catch {
    // storage full or forbidden: it is done with as long as the page lives
  }
  for (const l of listeners) l();
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Whether something was told already. */
export function useToldOnce(): (what: string) => boolean {
  const told = useSyncExternalStore(subscribe, read, () => NONE);
  return (what) => told.includes(what);
}
