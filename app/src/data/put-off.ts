import type { Instant } from '@gentle-burrow/core/quantity';
import { useSyncExternalStore } from 'react';
import { apart } from './example';

/** Deeds that the keeper wants to be asked about later, each until when: kept on this device alone, for it is no fact about a queen. */
type PutOff = Readonly<Record<string, Instant>>;

const KEY = apart('burrow.put-off');
const NONE: PutOff = {};
let all: PutOff | null = null;
const listeners = new Set<() => void>();

function read(): PutOff {
  if (all) return all;
  try {
    all = JSON.parse(globalThis.localStorage?.getItem(KEY) ?? '{}') as PutOff;
  } catch {
    all = NONE;
  }
  return all;
}

/** @param until null: it is asked about again at once */
export function putOff(deed: string, until: Instant | null): void {
  const now = new Date().toISOString();
  const kept = Object.entries(read()).filter(([key, end]) => key !== deed && end > now);
  all = Object.fromEntries(until === null ? kept : [...kept, [deed, until]]);
  try {
    globalThis.localStorage?.setItem(KEY, JSON.stringify(all));
  } catch {
    // storage full or forbidden: it is put off as long as the page lives
  }
  for (const l of listeners) l();
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Whether a deed is put off now. */
export function usePutOff(): (deed: string) => boolean {
  const kept = useSyncExternalStore(subscribe, read, () => NONE);
  const now = new Date().toISOString();
  return (deed) => (kept[deed] ?? '') > now;
}
