import { useSyncExternalStore } from 'react';
import { z } from 'zod';

/** How this device shows things. What the keeper decides for the queens is kept by the server. */
const schema = z.object({
  appearance: z.enum(['auto', 'paper', 'night', 'red']).catch('auto'),
  temperature: z.enum(['C', 'F']).catch('C'),
  length: z.enum(['mm', 'in']).catch('mm'),
});
export type Preferences = z.infer<typeof schema>;

const KEY = 'burrow.preferences';
const listeners = new Set<() => void>();
let current: Preferences = read();

function read(): Preferences {
  try {
    return schema.parse(JSON.parse(globalThis.localStorage?.getItem(KEY) ?? '{}'));
  } catch {
    return schema.parse({});
  }
}

export function setPreferences(change: Partial<Preferences>): void {
  current = { ...current, ...change };
  try {
    globalThis.localStorage?.setItem(KEY, JSON.stringify(current));
  } catch {
    // a browser that keeps nothing: the choice holds until the page is closed
  }
  for (const l of listeners) l();
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

export const usePreferences = (): Preferences =>
  useSyncExternalStore(
    subscribe,
    () => current,
    () => current,
  );
