import { DATE_ORDERS, momentOf, wallClock, type DateOrder } from '../climate';
import type { Zone } from '../quantity';
import { plainCell } from './cells';
import { FIELDS, type SheetKind } from './fields';

/** What stands in which column of a sheet, and how it is written. Columns count from 0. */
export interface SheetMapping {
  /** Rows above the first. */
  headRows: number;
  /** By the id of a field; null: there is none. */
  columns: Record<string, number | null>;
  order: DateOrder;
  zone: Zone;
  decimal: '.' | ',';
}

/** A row that tells no time of day was written at this one. */
const NOON = '12:00';

/** Reads the moments of rows; a sentence where a row tells none. */
export function momentReader(mapping: SheetMapping): (row: readonly string[]) => number | string {
  const { columns, order, zone } = mapping;
  const { date, time } = columns;
  const clock = wallClock(zone);
  if (date === null || date === undefined) return () => 'It has no date.';
  return (row) => momentOf(row, { time: date, clock: time ?? null, order, zone }, clock, NOON);
}

/**
 * What stands in which column, guessed by the heads and by how dates can be read. The keeper sees it and puts it right.
 * @param rows the first rows of the file, its heads among them
 */
export function guessSheet(kind: SheetKind, rows: readonly (readonly string[])[], zone: Zone): SheetMapping {
  const [head = []] = rows;
  const cells = head.map((c) => plainCell(c).replace(/^\uFEFF/, ''));
  const taken = new Set<number>();
  const columns = Object.fromEntries(
    FIELDS[kind].map(({ id, names, head: own }) => {
      const free = (test: (c: string) => boolean) => cells.findIndex((c, i) => !taken.has(i) && test(c));
      const exact = free((c) => c.toLowerCase() === own);
      const at = exact >= 0 ? exact : free((c) => names.test(c));
      if (at >= 0) taken.add(at);
      return [id, at >= 0 ? at : null];
    }),
  );
  const body = rows.slice(1);
  const figures = body.flat().map((c) => c.trim());
  const decimal =
    figures.some((c) => /^-?\d+,\d+$/.test(c)) && !figures.some((c) => /^-?\d+\.\d+$/.test(c)) ? ',' : '.';
  const mapping = { headRows: 1, columns, zone, decimal } as const;
  const readable = (order: DateOrder) => {
    const read = momentReader({ ...mapping, order });
    return body.filter((row) => typeof read(row) === 'number').length;
  };
  // the one by which most rows can be read; of several the first, which is the one that cannot be mistaken
  const order = DATE_ORDERS.filter((o) => !o.startsWith('unix')).reduce((a, b) =>
    readable(b) > readable(a) ? b : a,
  );
  return { ...mapping, order };
}
