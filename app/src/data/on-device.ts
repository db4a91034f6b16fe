import { useSyncExternalStore } from 'react';
import { apart } from './example';

/** Something small that is kept on this device alone, for it is no fact about a queen. */
interface OnDevice<T> {
  read(): T;
  write(next: T): void;
  use(): T;
}

/**
 * @param name under which the browser keeps it
 * @param none while nothing is kept, or what is kept is damaged
 */
export function onDevice<T>(name: string, none: T): OnDevice<T> {
  const key = apart(name);
  let kept: T | null = null;
  const listeners = new Set<() => void>();
  const read = (): T => {
    if (kept !== null) return kept;
    try {
      kept = (JSON.parse(globalThis.localStorage?.getItem(key) ?? 'null') as T | null) ?? none;
    } catch {
      kept = none;
    }
    return kept;
  };
  const write = (next: T): void => {
    kept = next;
    try {
      globalThis.localStorage?.setItem(key, JSON.stringify(next));
    } catch {
      // storage full or forbidden: it is kept as long as the page lives
    }
    for (const l of listeners) l();
  };
  const subscribe = (listener: () => void): (() => void) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  };
  return { read, write, use: () => useSyncExternalStore(subscribe, read, () => none) };
}
