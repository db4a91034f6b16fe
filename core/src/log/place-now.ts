import type { Queen } from '../facts';
import { effectiveEntries } from './effective';
import type { Entry } from './entry';

/** Where she stands after every move in her log, or where she was first put. */
export function placeIdNow(queen: Queen, entries: readonly Entry[]): string {
  const moves = effectiveEntries(entries).flatMap(({ entry }) =>
    entry?.kind === 'move' ? [entry.placeId] : [],
  );
  return moves[moves.length - 1] ?? queen.placeId;
}
