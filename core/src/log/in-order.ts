import type { Entry } from './entry';

/**
 * Entries in an order in which they can be written: each amendment after what it puts right, and otherwise as they were given.
 * @param entries with distinct ids; what an amendment is about may lie elsewhere
 */
export function inOrder(entries: readonly Entry[]): Entry[] {
  const here = new Map(entries.map((e) => [e.id, e]));
  const taken = new Set<string>();
  const ordered: Entry[] = [];
  for (const first of entries) {
    // what it is about, and what that is about, as far as it is here
    const chain: Entry[] = [];
    for (let e: Entry | undefined = first; e && !taken.has(e.id);) {
      chain.push(e);
      // marked at once, so that two that name one another end here
      taken.add(e.id);
      e = e.kind === 'amendment' ? here.get(e.amends) : undefined;
    }
    ordered.push(...chain.reverse());
  }
  return ordered;
}
