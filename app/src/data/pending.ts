import type { NewQueen } from '@gentle-burrow/contract';
import type { HomePart, Place } from '@gentle-burrow/core/facts';
import type { Entry } from '@gentle-burrow/core/log';
import type { QueenFacts } from '@gentle-burrow/core/view';
import { corrected, placeIdNow } from '@gentle-burrow/core/light';
import type { OutboxItem, Outgoing } from './outbox';

/** Her home as it was sent; a device that kept her from before homes were more than tubes calls it her tube. */
const sentHome = ({ home, tube }: NewQueen & { tube?: HomePart }): HomePart => home ?? (tube as HomePart);

/** Which queens an outgoing item is about; none for places and settings. */
export function queenIdsOf(out: Outgoing): string[] {
  switch (out.what) {
    case 'entries':
      return out.entries.map((e) => e.queenId);
    case 'queen':
      return [out.body.queen.id];
    case 'queen-patch':
    case 'photo':
      return [out.queenId];
    default:
      return [];
  }
}

export const newQueensIn = (items: readonly OutboxItem[]) =>
  items.flatMap((i) => (i.out.what === 'queen' ? [i.out.body.queen.id] : []));

/**
 * A queen's facts as they will be when all that waits has been sent.
 * @param stored what the server knows, or null when it has not heard of her yet
 * @param known places that she may be carried to
 * @returns null when neither the server nor the outbox knows her
 */
export function withPending(
  queenId: string,
  stored: QueenFacts | null,
  items: readonly OutboxItem[],
  known: readonly Place[] = [],
): QueenFacts | null {
  let facts = stored;
  for (const { out } of items) {
    if (out.what === 'queen' && out.body.queen.id === queenId && facts === null) {
      const { queen, place, intake } = out.body;
      facts = { queen, home: sentHome(out.body), place, places: [place], entries: [intake] };
    } else if (facts === null) {
      continue;
    } else if (out.what === 'entries') {
      for (const entry of out.entries.filter((e) => e.queenId === queenId)) {
        const entries: Entry[] = facts.entries.filter((e) => e.id !== entry.id);
        facts = standing(
          corrected({ ...withPlaces(facts, entry, known), entries: [...entries, entry] }),
          known,
        );
      }
    } else if (out.what === 'queen-patch' && out.queenId === queenId) {
      facts = { ...facts, queen: { ...facts.queen, ...definedOnly(out.patch) } };
    } else if (out.what === 'place' && facts.places.some((p) => p.id === out.place.id)) {
      const places = facts.places.map((p) => (p.id === out.place.id ? out.place : p));
      facts = { ...facts, places, place: out.place.id === facts.place.id ? out.place : facts.place };
    }
  }
  return facts;
}

/** With the places that a plan of her winter names. */
function withPlaces(facts: QueenFacts, entry: Entry, known: readonly Place[]): QueenFacts {
  const plan = entry.kind === 'winter' ? entry.plan : null;
  if (!plan) return facts;
  const named = known.filter(
    (p) => (p.id === plan.placeId || p.id === plan.thenPlaceId) && !facts.places.some((h) => h.id === p.id),
  );
  return { ...facts, places: [...facts.places, ...named] };
}

/** Where she stands after a move that has not been sent, with that place among hers. */
function standing(facts: QueenFacts, known: readonly Place[]): QueenFacts {
  const id = placeIdNow(facts.queen, facts.entries);
  if (id === facts.place.id) return facts;
  const place = [...facts.places, ...known].find((p) => p.id === id);
  if (!place) return facts;
  return { ...facts, place, places: [...facts.places.filter((p) => p.id !== id), place] };
}

function definedOnly<T extends object>(patch: T): Partial<{ [K in keyof T]: Exclude<T[K], undefined> }> {
  return Object.fromEntries(Object.entries(patch).filter(([, v]) => v !== undefined)) as never;
}
