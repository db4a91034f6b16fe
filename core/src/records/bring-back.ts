import { inOrder, referencesOf, type Entry } from '../log';
import { isKind } from '../species/catalogue';
import type { Fact } from './fact';
import { withoutPlace } from './withheld';

/** A fact, and in which line of a file it stands, counted from 1. */
export interface Numbered {
  line: number;
  fact: Fact;
}

/** A line that is not taken, and why. */
export interface RefusedLine {
  line: number;
  reason: string;
}

/** A thing of which a file says something else than what is here. */
export interface Contradiction {
  given: Numbered;
  here: Fact;
  /** What is told otherwise, by its name in the format. */
  about: string[];
}

/** What a file holds, held against what is here. */
export interface SortedOut {
  /** In an order in which they can be written. */
  fresh: Numbered[];
  /** Of each kind, how many are here just so. */
  same: Map<KindOfFact, number>;
  contradictory: Contradiction[];
  refused: RefusedLine[];
}

/** Facts that stand by their id. Readings have none: they stand by probe and moment. */
export type ById = Exclude<Fact, { fact: 'readings' | 'readings-taken-back' }>;
export type KindOfFact = ById['fact'];
/** What is here under an id; the settings have none. */
export type Here = (fact: KindOfFact, id: string) => Fact | undefined;

/** What something is about stands before it. */
const ORDER: readonly KindOfFact[] = [
  'settings',
  'own-kind',
  'place',
  'probe',
  'home',
  'queen',
  'entry',
  'stock-item',
  'stock-move',
];
/** Written once and never again: what is here stays, whatever a file says. */
const NEVER_CHANGED: ReadonlySet<KindOfFact> = new Set(['entry', 'stock-move']);
export const isLasting = (fact: Fact): boolean => NEVER_CHANGED.has(fact.fact as KindOfFact);

const idOf = ({ fact, value }: ById): string => (fact === 'settings' ? fact : value.id);
export const isById = (fact: Fact): fact is ById =>
  fact.fact !== 'readings' && fact.fact !== 'readings-taken-back';

/**
 * Holds what a file says against what is here, by id: nothing is written twice, whatever is brought back how often.
 * @param given facts of the file, each of a sound shape; of several about one thing the last holds
 * @param here what is known under an id, of a sound shape
 */
export function sortOut(given: readonly Numbered[], here: Here): SortedOut {
  const found: SortedOut = { fresh: [], same: new Map(), contradictory: [], refused: [] };
  const byKind = new Map<KindOfFact, Map<string, Numbered>>(ORDER.map((k) => [k, new Map()]));
  const refuse = ({ line }: Numbered, reason: string) => found.refused.push({ line, reason });
  for (const one of given) {
    if (!isById(one.fact)) continue;
    const ofKind = byKind.get(one.fact.fact) as Map<string, Numbered>;
    const before = ofKind.get(idOf(one.fact));
    if (before && isLasting(one.fact)) {
      if (!isSame(before.fact, one.fact)) refuse(one, `It says something else than line ${before.line}.`);
    } else ofKind.set(idOf(one.fact), one);
  }

  const taken = new Set<string>();
  const factOf = (kind: KindOfFact, id: string): Fact | undefined =>
    (taken.has(`${kind} ${id}`) ? byKind.get(kind)?.get(id)?.fact : undefined) ?? here(kind, id);
  for (const kind of ORDER) {
    const all = [...(byKind.get(kind) as Map<string, Numbered>).values()];
    for (const one of kind === 'entry' ? entriesInOrder(all) : all) {
      const reason = whyNot(one.fact as ById, factOf);
      if (reason !== null) {
        refuse(one, reason);
        continue;
      }
      const id = idOf(one.fact as ById);
      taken.add(`${kind} ${id}`);
      const there = here(kind, id);
      if (!there) found.fresh.push(one);
      else if (isSame(there, one.fact) || isSame(withoutPlace(there), one.fact))
        found.same.set(kind, (found.same.get(kind) ?? 0) + 1);
      else found.contradictory.push({ given: one, here: there, about: differing(there, one.fact) });
    }
  }
  found.refused.sort((a, b) => a.line - b.line);
  return found;
}

function entriesInOrder(all: readonly Numbered[]): Numbered[] {
  const lines = new Map(all.map((n) => [n.fact.value as Entry, n]));
  return inOrder([...lines.keys()]).map((e) => lines.get(e) as Numbered);
}

/** Why a fact cannot be taken; null when it can. */
function whyNot(given: ById, factOf: (kind: KindOfFact, id: string) => Fact | undefined): string | null {
  const missing = (kind: KindOfFact, ids: readonly (string | null)[], what: string): string | null =>
    ids.every((id) => id === null || factOf(kind, id))
      ? null
      : `${what} is neither here nor in the file, or was not taken itself.`;
  switch (given.fact) {
    case 'own-kind':
      return isKind(given.value.id) ? 'This profile has the name of one that ships with the program.' : null;
    case 'probe':
      return missing(
        'place',
        given.value.stays.map((s) => s.placeId),
        'A place where it lay',
      );
    case 'queen':
      return (
        missing('home', [given.value.homeId], 'Her first home') ??
        missing('place', [given.value.placeId], 'Her first place')
      );
    case 'stock-move':
      return (
        missing('stock-item', [given.value.itemId], 'The thing that it counts') ??
        missing('queen', [given.value.queenId], 'The queen that it was used for')
      );
    case 'entry':
      return ofEntry(given.value);
    default:
      return null;
  }

  function ofEntry(e: Entry): string | null {
    const { places = [], species = [] } = referencesOf(e);
    const reason =
      missing('queen', [e.queenId], 'Its queen') ??
      missing('place', places, 'A place that it names') ??
      missing(
        'own-kind',
        species.filter((s) => !isKind(s)),
        'The species that it names',
      );
    if (reason !== null || e.kind !== 'amendment') return reason;
    const about = factOf('entry', e.amends);
    if (about?.fact !== 'entry') return 'What it puts right is neither here nor in the file.';
    if (about.value.queenId !== e.queenId) return 'What it puts right is of another queen.';
    return e.replacement && about.value.kind !== e.replacement.kind
      ? 'What it puts right is of another kind.'
      : null;
  }
}

/** Whether two facts say the same: however their parts are ordered, and however a moment is written. */
export const isSame = (a: Fact, b: Fact): boolean => canonical(a) === canonical(b);

const MOMENT = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}(?::\d{2}(?:\.\d+)?)?(?:Z|[+-]\d{2}:?\d{2})$/;

const canonical = (value: unknown): string =>
  JSON.stringify(value, (_, v: unknown) => {
    if (typeof v === 'string' && MOMENT.test(v)) return Date.parse(v);
    if (typeof v !== 'object' || v === null || Array.isArray(v)) return v;
    return Object.fromEntries(Object.entries(v).sort(([x], [y]) => (x < y ? -1 : 1)));
  });

function differing(a: Fact, b: Fact): string[] {
  const [x, y] = [a.value, b.value] as unknown as Record<string, unknown>[];
  const keys = new Set([...Object.keys(x ?? {}), ...Object.keys(y ?? {})]);
  return [...keys].filter((k) => canonical(x?.[k]) !== canonical(y?.[k])).sort();
}
