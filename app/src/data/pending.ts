import type { QueenFacts } from '@gentle-burrow/core';
import type { OutboxItem, Outgoing } from './outbox';

/** Which queen an outgoing item is about; null for places and settings. */
export function queenIdOf(out: Outgoing): string | null {
  switch (out.what) {
    case 'entry':
      return out.entry.queenId;
    case 'queen':
      return out.body.queen.id;
    case 'queen-patch':
      return out.queenId;
    default:
      return null;
  }
}

export const newQueensIn = (items: readonly OutboxItem[]) =>
  items.flatMap((i) => (i.out.what === 'queen' ? [i.out.body.queen.id] : []));

/**
 * A queen's facts as they will be when all that waits has been sent.
 * @param stored what the server knows, or null when it has not heard of her yet
 * @returns null when neither the server nor the outbox knows her
 */
export function withPending(
  queenId: string,
  stored: QueenFacts | null,
  items: readonly OutboxItem[],
): QueenFacts | null {
  let facts = stored;
  for (const { out } of items) {
    if (out.what === 'queen' && out.body.queen.id === queenId && facts === null) {
      facts = { queen: out.body.queen, tube: out.body.tube, place: out.body.place, entries: [out.body.intake] };
    } else if (facts === null) {
      continue;
    } else if (out.what === 'entry' && out.entry.queenId === queenId) {
      const entry = out.entry;
      const entries = facts.entries.filter((e) => e.id !== entry.id);
      facts = { ...facts, entries: [...entries, entry] };
    } else if (out.what === 'queen-patch' && out.queenId === queenId) {
      facts = { ...facts, queen: { ...facts.queen, ...definedOnly(out.patch) } };
    } else if (out.what === 'place' && out.place.id === facts.place.id) {
      facts = { ...facts, place: out.place };
    }
  }
  return facts;
}

function definedOnly<T extends object>(patch: T): Partial<{ [K in keyof T]: Exclude<T[K], undefined> }> {
  return Object.fromEntries(Object.entries(patch).filter(([, v]) => v !== undefined)) as never;
}
