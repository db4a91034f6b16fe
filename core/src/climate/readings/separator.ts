export const SEPARATORS = [';', '\t', ',', '|'] as const;
export type Separator = (typeof SEPARATORS)[number];

/**
 * What stands between the cells of a table: that which parts the most cells in lines that have equally many of it. Lines above the columns, which say who measured
 * and where, count for nothing so. Of two that are equally regular the first of the list: a comma may be of the figures.
 * @param text the beginning of the table, with plain line ends
 * @returns null where no line has any
 */
export function separatorOf(text: string): Separator | null {
  const lines = text.split('\n').filter((l) => l.trim() !== '');
  let best: { separator: Separator; cells: number } | null = null;
  for (const separator of SEPARATORS) {
    const byCount = new Map<number, number>();
    for (const line of lines) {
      const n = outsideQuotes(line).split(separator).length - 1;
      if (n > 0) byCount.set(n, (byCount.get(n) ?? 0) + 1);
    }
    const cells = Math.max(0, ...[...byCount].map(([n, rows]) => n * rows));
    if (cells > (best?.cells ?? 0)) best = { separator, cells };
  }
  return best?.separator ?? null;
}

const outsideQuotes = (line: string): string => line.replace(/"[^"]*"/g, '""');
