import type { Rank } from './figures';
import { plainLetters } from './plain-letters';

/** What is searched: the names of a kind. */
export interface NamedKind {
  id: string;
  rank: Rank;
  name: string;
  otherNames: readonly string[];
}

/** A kind that was found, and by which of its names. */
export interface FoundKind<K extends NamedKind> {
  kind: K;
  /** Another name than its scientific one by which it was found; null when it was that. */
  by: string | null;
}

const wordsOf = (text: string): string[] =>
  plainLetters(text)
    .split(/[\s’'-]+/)
    .filter((w) => w !== '');

/** How well a name answers to what was typed: lower is closer; null when it does not. */
function offOf(words: readonly string[], typed: readonly string[]): number | null {
  // every word typed begins a word of the name, in any order: "mes str", "ant garden"
  const used = new Set<number>();
  for (const t of typed) {
    const at = words.findIndex((w, i) => !used.has(i) && w.startsWith(t));
    if (at < 0) return null;
    used.add(at);
  }
  return (words[0]?.startsWith(typed[0] as string) ? 0 : 1) + (words.length - used.size) * 0.1;
}

/**
 * Makes a search over kinds: each word typed begins a word of one name, scientific or other. Closest first, a genus before its
 * species, then by name. The names are taken apart once.
 */
export function kindSearch<K extends NamedKind>(
  kinds: readonly K[],
): (text: string, limit?: number) => FoundKind<K>[] {
  const all = kinds.map((kind) => ({
    kind,
    names: [kind.name, ...kind.otherNames].map((text) => ({ text, words: wordsOf(text) })),
  }));
  return (text, limit = 30) => {
    const typed = wordsOf(text);
    if (typed.length === 0) return [];
    const found = all.flatMap(({ kind, names }) => {
      const [best] = names
        .flatMap((name, i) => {
          const off = offOf(name.words, typed);
          return off === null ? [] : [{ by: i === 0 ? null : name.text, off: off + (i === 0 ? 0 : 0.5) }];
        })
        .sort((a, b) => a.off - b.off);
      return best ? [{ kind, ...best }] : [];
    });
    return found
      .sort((a, b) => a.off - b.off || a.kind.name.localeCompare(b.kind.name))
      .slice(0, limit)
      .map(({ kind, by }) => ({ kind, by }));
  };
}
