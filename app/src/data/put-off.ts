import type { Instant } from '@gentle-burrow/core/quantity';
import { onDevice } from './on-device';

/** Deeds that the keeper wants to be asked about later, each until when. */
const off = onDevice<Readonly<Record<string, Instant>>>('burrow.put-off', {});

/** @param until null: it is asked about again at once */
export function putOff(deed: string, until: Instant | null): void {
  const now = new Date().toISOString();
  const kept = Object.entries(off.read()).filter(([key, end]) => key !== deed && end > now);
  off.write(Object.fromEntries(until === null ? kept : [...kept, [deed, until]]));
}

/** Whether a deed is put off now. */
export function usePutOff(): (deed: string) => boolean {
  const kept = off.use();
  const now = new Date().toISOString();
  return (deed) => (kept[deed] ?? '') > now;
}
