/** Those who are ticked on the shelf, in the order in which they stand there. */
export interface Chosen {
  ids: readonly string[];
  /** The last one that was touched: from it a range goes on. */
  last: string | null;
}

export const NONE: Chosen = { ids: [], last: null };

/** Ticks one, or takes its tick away. */
export const toggled = ({ ids }: Chosen, id: string): Chosen => ({
  ids: ids.includes(id) ? ids.filter((i) => i !== id) : [...ids, id],
  last: id,
});

/** Ticks all from the last one touched up to this one, as they stand on the shelf. */
export function upTo({ ids, last }: Chosen, id: string, shelf: readonly string[]): Chosen {
  const [a, b] = [last === null ? -1 : shelf.indexOf(last), shelf.indexOf(id)];
  if (a < 0 || b < 0) return toggled({ ids, last }, id);
  const between = shelf.slice(Math.min(a, b), Math.max(a, b) + 1);
  return { ids: [...ids, ...between.filter((i) => !ids.includes(i))], last: id };
}

/** Ticks all of a group; when all of it are ticked, takes their ticks away. */
export function allOf({ ids }: Chosen, group: readonly string[]): Chosen {
  const full = group.every((id) => ids.includes(id));
  const rest = ids.filter((id) => !group.includes(id));
  return { ids: full ? rest : [...rest, ...group], last: null };
}
