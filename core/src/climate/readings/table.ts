import type { Zone } from '../../quantity';
import { NONE, toCenti, type Columns } from './columns';
import { wallClock, type WallClock } from './local-time';
import { readingFault } from './reading';

/** In which order a date is written. */
export const DATE_ORDERS = [
  'year-month-day',
  'day-month-year',
  'month-day-year',
  'unix-seconds',
  'unix-milliseconds',
] as const;
export type DateOrder = (typeof DATE_ORDERS)[number];

/** What stands in which column of a table, and how it is written. Columns count from 0. */
export interface Mapping {
  /** Rows above the first reading. */
  headRows: number;
  time: number;
  /** Where date and time stand apart: the column of the time. */
  clock: number | null;
  order: DateOrder;
  /** The clock by which times without an offset are written. */
  zone: Zone;
  temp: number | null;
  tempUnit: 'C' | 'F';
  rh: number | null;
  rhUnit: 'percent' | 'share';
  decimal: '.' | ',';
}

/** A row that was not taken, and why. */
export interface RefusedRow {
  /** Counted from 1, as an editor shows it. */
  line: number;
  reason: string;
}

/** Reads rows of a table one after the other. */
export interface RowReader {
  /**
   * @param line the line of the file on which the row stands
   * @returns what is wrong with it; null when it was taken, or is empty
   */
  read(row: readonly string[], line: number): string | null;
  /** What was taken so far. */
  taken(): Columns;
}

const START_ROWS = 4096;

/**
 * @param nowMs no reading lies after it
 * @throws InputError for a zone that is none
 */
export function rowReader(mapping: Mapping, nowMs: number): RowReader {
  const clock = wallClock(mapping.zone);
  let columns = emptyColumns(START_ROWS);
  let n = 0;
  return {
    read(row) {
      if (row.every((cell) => cell.trim() === '')) return null;
      const ms = momentOf(row, mapping, clock);
      if (typeof ms === 'string') return ms;
      const temp = measure(row, mapping.temp, mapping.decimal, 'temperature');
      if (typeof temp === 'string') return temp;
      const rh = measure(row, mapping.rh, mapping.decimal, 'humidity');
      if (typeof rh === 'string') return rh;
      const tempC = temp !== null && mapping.tempUnit === 'F' ? ((temp - 32) * 5) / 9 : temp;
      const share = rh !== null && mapping.rhUnit === 'percent' ? rh / 100 : rh;
      const fault = readingFault({ ms, tempC, rh: share }, nowMs);
      if (fault) return fault;
      if (n === columns.ms.length) columns = grown(columns, n * 2);
      columns.ms[n] = ms;
      columns.centiC[n] = toCenti(tempC);
      columns.centiPct[n] = share === null ? NONE : toCenti(share, 10_000);
      n++;
      return null;
    },
    taken: () => ({
      ms: columns.ms.subarray(0, n),
      centiC: columns.centiC.subarray(0, n),
      centiPct: columns.centiPct.subarray(0, n),
    }),
  };
}

const emptyColumns = (n: number): Columns => ({
  ms: new Float64Array(n),
  centiC: new Int16Array(n),
  centiPct: new Int16Array(n),
});

function grown(old: Columns, n: number): Columns {
  const next = emptyColumns(n);
  next.ms.set(old.ms);
  next.centiC.set(old.centiC);
  next.centiPct.set(old.centiPct);
  return next;
}

/** A figure of a cell; null where nothing was measured; a sentence where it is none. */
function measure(
  row: readonly string[],
  column: number | null,
  decimal: '.' | ',',
  name: string,
): number | null | string {
  if (column === null) return null;
  const cell = (row[column] ?? '').trim();
  if (cell === '' || /^(-+|nan|null|n\/a|err(or)?)$/i.test(cell)) return null;
  const value = numberOf(cell, decimal);
  return (
    value ??
    `“${short(cell)}” is not a ${name}. Check which column it is, and whether decimals have a point or a comma.`
  );
}

/** A number as a logger writes it, with its unit behind it or not; null for anything else. */
export function numberOf(cell: string, decimal: '.' | ','): number | null {
  const bare = cell.replace(/\s*(°\s*[CF]|%(\s*RH)?)$/i, '');
  const plain = decimal === ',' ? bare.replace(',', '.') : bare;
  return /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i.test(plain) ? Number(plain) : null;
}

const short = (cell: string): string => (cell.length > 24 ? `${cell.slice(0, 24)}…` : cell);

const DATE: Record<'year-month-day' | 'day-month-year' | 'month-day-year', RegExp> = {
  'year-month-day': /^(?<y>\d{4})[-/.](?<m>\d{1,2})[-/.](?<d>\d{1,2})(?:[T\s,;]+(?<clock>.+))?$/,
  'day-month-year': /^(?<d>\d{1,2})[-/.](?<m>\d{1,2})[-/.](?<y>\d{4}|\d{2})(?:[T\s,;]+(?<clock>.+))?$/,
  'month-day-year': /^(?<m>\d{1,2})[-/.](?<d>\d{1,2})[-/.](?<y>\d{4}|\d{2})(?:[T\s,;]+(?<clock>.+))?$/,
};
const CLOCK =
  /^(?<h>\d{1,2}):(?<min>\d{2})(?::(?<s>\d{2})(?:[.,](?<ms>\d{1,3})\d*)?)?\s*(?<half>[ap]\.?m\.?)?\s*(?<offset>Z|[+-]\d{2}:?\d{2})?$/i;

/**
 * The moment that a row tells.
 * @param otherwise what stands for the time of day where there is none; without it such a row tells no moment
 * @returns milliseconds since 1970; a sentence where it tells none
 */
export function momentOf(
  row: readonly string[],
  mapping: Pick<Mapping, 'time' | 'clock' | 'order' | 'zone'>,
  clock: WallClock,
  otherwise?: string,
): number | string {
  const text = (row[mapping.time] ?? '').trim();
  if (text === '') return 'It has no date and time.';
  if (mapping.order === 'unix-seconds' || mapping.order === 'unix-milliseconds') {
    const value = numberOf(text, '.');
    if (value === null) return `“${short(text)}” is not a count of ${mapping.order.slice(5)} since 1970.`;
    return mapping.order === 'unix-seconds' ? Math.round(value * 1000) : value;
  }
  const date = DATE[mapping.order].exec(text)?.groups;
  if (!date)
    return `“${short(text)}” is not a date in the order ${mapping.order.replaceAll('-', ', ')}. Check the column and the order.`;
  const told = (mapping.clock === null ? (date.clock ?? '') : (row[mapping.clock] ?? '')).trim();
  const time = told === '' && otherwise !== undefined ? otherwise : told;
  const at = time === '' ? null : (CLOCK.exec(time)?.groups ?? null);
  if (!at) return `“${short(time || text)}” has no time of day. Say in which column it stands.`;
  const year = Number(date.y) + ((date.y as string).length === 2 ? 2000 : 0);
  const [month, day] = [Number(date.m), Number(date.d)];
  let hour = Number(at.h);
  if (at.half) {
    if (hour < 1 || hour > 12) return `“${short(time)}” is not a time of day.`;
    hour = (hour % 12) + (/^p/i.test(at.half) ? 12 : 0);
  }
  const wall = Date.UTC(
    year,
    month - 1,
    day,
    hour,
    Number(at.min),
    Number(at.s ?? 0),
    Number((at.ms ?? '0').padEnd(3, '0')),
  );
  const back = new Date(wall);
  if (back.getUTCMonth() + 1 !== month || back.getUTCDate() !== day || hour > 23 || Number(at.min) > 59)
    return `“${short(text)}” is not in the calendar. Check the order of day and month.`;
  if (at.offset) return wall - offsetMs(at.offset);
  const moment = clock.momentOf(wall);
  if ('gap' in moment)
    return `“${short(text)}” never was on a clock of ${mapping.zone}: it was put forward over it. If the logger's clock is never changed, choose its fixed offset.`;
  return moment.ms;
}

function offsetMs(offset: string): number {
  if (/^z$/i.test(offset)) return 0;
  const [, sign, h, m] = /^([+-])(\d{2}):?(\d{2})$/.exec(offset) as unknown as [
    string,
    string,
    string,
    string,
  ];
  return (sign === '-' ? -1 : 1) * (60 * Number(h) + Number(m)) * 60_000;
}
