import { stringify } from 'csv-stringify/sync';

/** A table as CSV after RFC 4180. What a spreadsheet would take for a formula is marked as text; figures are given as numbers. */
export const csvOf = (heads: readonly string[], rows: readonly Record<string, string | number>[]): string =>
  stringify([...rows], {
    header: true,
    columns: [...heads],
    record_delimiter: '\r\n',
    escape_formulas: true,
  });

/** A figure below nothing that is told as text, as a number: it is no formula. All else stays. */
export const figure = (text: string): string | number => (/^-\d+(\.\d+)?$/.test(text) ? Number(text) : text);
