import type { Zone } from '../../quantity';
import { DATE_ORDERS, numberOf, rowReader, type Mapping } from './table';

const NAMES = {
  temp: /temp|°\s*[cf]/i,
  rh: /humid|feucht|rh\b|%|hygro/i,
};

/**
 * What stands in which column, guessed from the first rows: by their names, and by what can be read. The keeper sees it and puts
 * it right.
 * @param rows as many as were read of the head of the file
 * @returns null when no column holds dates
 */
export function guessMapping(
  rows: readonly (readonly string[])[],
  zone: Zone,
  nowMs: number,
): Mapping | null {
  const width = Math.max(0, ...rows.map((r) => r.length));
  const decimal = guessDecimal(rows);
  let best: { mapping: Mapping; read: number } | null = null;
  for (const order of DATE_ORDERS)
    for (let time = 0; time < width; time++)
      for (const clock of [null, time + 1]) {
        if (clock !== null && (clock >= width || order.startsWith('unix'))) continue;
        const others = Array.from({ length: width }, (_, c) => c).filter((c) => c !== time && c !== clock);
        const temp = pick(rows, others, NAMES.temp, decimal);
        if (temp === null) continue;
        const rh = pick(
          rows,
          others.filter((c) => c !== temp),
          NAMES.rh,
          decimal,
          true,
        );
        const mapping: Mapping = {
          headRows: 0,
          time,
          clock,
          order,
          zone,
          temp,
          tempUnit: guessUnit(rows, temp),
          rh,
          rhUnit: rh !== null && shares(rows, rh, decimal) ? 'share' : 'percent',
          decimal,
        };
        const reader = rowReader(mapping, nowMs);
        const good = rows.map(
          (row, i) => row.some((c) => c.trim() !== '') && reader.read(row, i + 1) === null,
        );
        const read = good.filter(Boolean).length;
        if (read > (best?.read ?? 0)) best = { mapping: { ...mapping, headRows: good.indexOf(true) }, read };
      }
  return best?.mapping ?? null;
}

/** A comma where some figure has one between digits, and none has a point. */
function guessDecimal(rows: readonly (readonly string[])[]): '.' | ',' {
  const cells = rows.flat().map((c) => c.trim());
  return cells.some((c) => /^[+-]?\d+,\d+\D*$/.test(c)) && !cells.some((c) => /^[+-]?\d+\.\d+$/.test(c))
    ? ','
    : '.';
}

/** The column with that name; or else, unless a name is needed, the first that holds figures. */
function pick(
  rows: readonly (readonly string[])[],
  among: readonly number[],
  name: RegExp,
  decimal: '.' | ',',
  named = false,
): number | null {
  const numeric = among.filter(
    (c) => rows.filter((r) => numberOf((r[c] ?? '').trim(), decimal) !== null).length * 2 >= rows.length,
  );
  return (
    numeric.find((c) => rows.some((r) => name.test(r[c] ?? ''))) ?? (named ? null : (numeric[0] ?? null))
  );
}

const guessUnit = (rows: readonly (readonly string[])[], column: number): 'C' | 'F' =>
  rows.some((r) => /°\s*F|fahrenheit/i.test(r[column] ?? '')) ? 'F' : 'C';

function shares(rows: readonly (readonly string[])[], column: number, decimal: '.' | ','): boolean {
  const values = rows.flatMap((r) => numberOf((r[column] ?? '').trim(), decimal) ?? []);
  return values.length > 0 && values.every((v) => v <= 1);
}
