import { msOf } from '../quantity/time';
import type { Amendment, Entry, FactEntry } from './entry';

/** An entry as it stands after every amendment, in the order of what happened. */
export interface EffectiveEntry {
  /** The first written entry's id, with what now holds; null when it was withdrawn. */
  entry: FactEntry | null;
  original: FactEntry;
  /** The amendment in force, if any. */
  amendment: Amendment | null;
  /** Another amendment of the same that did not know of the one in force, and says otherwise; null when there is none. */
  rival: Amendment | null;
}

/**
 * Applies amendments: of several for one entry the last written holds; an amendment can itself be withdrawn, and then
 * what stood before holds again. Nothing is lost: the original stays beside what replaced it.
 * @returns one item for each fact, sorted by when it happened, then by id
 */
export function effectiveEntries(entries: readonly Entry[]): EffectiveEntry[] {
  const amendments = new Map<string, Amendment[]>();
  for (const e of entries) {
    if (e.kind !== 'amendment') continue;
    const list = amendments.get(e.amends);
    if (list) list.push(e);
    else amendments.set(e.amends, [e]);
  }
  const standing = (id: string): Amendment[] =>
    (amendments.get(id) ?? []).filter((a) => {
      const over = inForce(a.id);
      return over === null || over.replacement !== null;
    });
  const inForce = (id: string): Amendment | null =>
    amendments.has(id)
      ? standing(id).reduce<Amendment | null>((a, b) => (a === null || later(b, a) ? b : a), null)
      : null;
  const rivalOf = (winner: Amendment | null): Amendment | null =>
    winner?.over === undefined
      ? null
      : (standing(winner.amends).find(
          (a) => a !== winner && a.over === winner.over && !sameSaying(a.replacement, winner.replacement),
        ) ?? null);
  return entries
    .filter((e): e is FactEntry => e.kind !== 'amendment')
    .map((original) => {
      const amendment = inForce(original.id);
      const body = amendment?.replacement;
      const entry =
        amendment === null
          ? original
          : body
            ? ({
                ...body,
                id: original.id,
                queenId: original.queenId,
                loggedAt: amendment.loggedAt,
              } as FactEntry)
            : null;
      return {
        ms: msOf((entry ?? original).at),
        effective: { entry, original, amendment, rival: rivalOf(amendment) },
      };
    })
    .sort((a, b) => a.ms - b.ms || (a.effective.original.id < b.effective.original.id ? -1 : 1))
    .map(({ effective }) => effective);
}

function later(a: Amendment, b: Amendment): boolean {
  const byTime = msOf(a.loggedAt) - msOf(b.loggedAt);
  return byTime > 0 || (byTime === 0 && a.id > b.id);
}

/** Whether two replacements say the same, in whatever order their fields were written. */
function sameSaying(a: Amendment['replacement'], b: Amendment['replacement']): boolean {
  if (a === null || b === null) return a === b;
  const sorted = (body: object) => JSON.stringify(Object.entries(body).sort(([x], [y]) => (x < y ? -1 : 1)));
  return sorted(a) === sorted(b);
}
