import { DAY_MS } from '../../quantity';
import { inOrder, lengthOf, NONE, picked, sliced, type Columns } from './columns';

/** Readings of one day of UTC, in order, no two of one moment. */
export interface Day {
  /** Days since 1970. */
  day: number;
  columns: Columns;
}

export const dayNumber = (ms: number): number => Math.floor(ms / DAY_MS);

/** Readings by day, in order. */
export function byDay(columns: Columns): Day[] {
  const all = inOrder(columns);
  const n = lengthOf(all);
  const days: Day[] = [];
  for (let from = 0; from < n;) {
    const day = dayNumber(all.ms[from] as number);
    let to = from + 1;
    while (to < n && dayNumber(all.ms[to] as number) === day) to++;
    days.push({ day, columns: sliced(all, from, to) });
    from = to;
  }
  return days;
}

export interface Merged {
  columns: Columns;
  /** How many were new. */
  added: number;
  /** How many were there already, with the same figures. */
  known: number;
  /** How many were there already with other figures: what was first stays. */
  contradictory: number;
  /** The moments of both: they were there before. */
  there: number[];
}

/** What is stored of a day and what comes new, both in order: each moment once, and what was first stays. */
export function merged(stored: Columns | null, fresh: Columns): Merged {
  const [a, b] = [stored, fresh];
  const [na, nb] = [a ? lengthOf(a) : 0, lengthOf(b)];
  const out: Columns = {
    ms: new Float64Array(na + nb),
    centiC: new Int16Array(na + nb),
    centiPct: new Int16Array(na + nb),
  };
  let n = 0;
  let known = 0;
  let contradictory = 0;
  const there: number[] = [];
  const push = (from: Columns, at: number) => {
    const ms = from.ms[at] as number;
    if (n > 0 && out.ms[n - 1] === ms) {
      const same = out.centiC[n - 1] === from.centiC[at] && out.centiPct[n - 1] === from.centiPct[at];
      if (same) known++;
      else contradictory++;
      there.push(ms);
      return;
    }
    out.ms[n] = ms;
    out.centiC[n] = from.centiC[at] as number;
    out.centiPct[n] = from.centiPct[at] as number;
    n++;
  };
  for (let i = 0, j = 0; i < na || j < nb;) {
    if (a && i < na && (j >= nb || (a.ms[i] as number) <= (b.ms[j] as number))) push(a, i++);
    else push(b, j++);
  }
  return { columns: sliced(out, 0, n), added: n - na, known, contradictory, there };
}

/** Without the readings of these moments: they were written by mistake. */
export function without(columns: Columns, moments: ReadonlySet<number>): Columns {
  const places: number[] = [];
  columns.ms.forEach((ms, i) => {
    if (!moments.has(ms)) places.push(i);
  });
  return picked(columns, places);
}

/** Eight bytes a reading: milliseconds of the day, hundredths of a degree, hundredths of a percent; least significant first. */
export function packed({ day, columns }: Day): Uint8Array {
  const n = lengthOf(columns);
  const view = new DataView(new ArrayBuffer(8 * n));
  for (let i = 0; i < n; i++) {
    view.setUint32(8 * i, (columns.ms[i] as number) - day * DAY_MS, true);
    view.setInt16(8 * i + 4, columns.centiC[i] as number, true);
    view.setInt16(8 * i + 6, columns.centiPct[i] as number, true);
  }
  return new Uint8Array(view.buffer);
}

export function unpacked(day: number, bytes: Uint8Array): Columns {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const n = Math.floor(bytes.byteLength / 8);
  const columns: Columns = {
    ms: new Float64Array(n),
    centiC: new Int16Array(n),
    centiPct: new Int16Array(n),
  };
  for (let i = 0; i < n; i++) {
    columns.ms[i] = day * DAY_MS + view.getUint32(8 * i, true);
    columns.centiC[i] = view.getInt16(8 * i + 4, true);
    columns.centiPct[i] = view.getInt16(8 * i + 6, true);
  }
  return columns;
}

/** Lowest, mean and highest of one measure, in hundredths; null where nothing was measured. */
export interface Spread {
  min: number;
  mean: number;
  max: number;
}

/** What stands of a span of time: an hour, a day, a column of a chart. */
export interface Rolled {
  /** When it begins, milliseconds since 1970. */
  ms: number;
  spanMs: number;
  n: number;
  temp: Spread | null;
  rh: Spread | null;
}

export const HOUR_MS = 3_600_000;
export const DAY_HOURS = 24;
/** Figures of an hour: how many readings, then lowest, mean and highest of both measures. */
const PER_HOUR = 7;

function spread(values: Int16Array, from: number, to: number): Spread | null {
  let [min, max, sum, n] = [Infinity, -Infinity, 0, 0];
  for (let i = from; i < to; i++) {
    const v = values[i] as number;
    if (v === NONE) continue;
    if (v < min) min = v;
    if (v > max) max = v;
    sum += v;
    n++;
  }
  return n > 0 ? { min, mean: sum / n, max } : null;
}

/** Spans of equal length from a moment on, each with what was read in it; in the order of time, the empty ones too. */
export function rolled(columns: Columns, fromMs: number, spanMs: number, spans: number): Rolled[] {
  const { ms, centiC, centiPct } = columns;
  const n = lengthOf(columns);
  let i = 0;
  while (i < n && (ms[i] as number) < fromMs) i++;
  return Array.from({ length: spans }, (_, s) => {
    const begin = i;
    const end = fromMs + (s + 1) * spanMs;
    while (i < n && (ms[i] as number) < end) i++;
    return {
      ms: fromMs + s * spanMs,
      spanMs,
      n: i - begin,
      temp: spread(centiC, begin, i),
      rh: spread(centiPct, begin, i),
    };
  });
}

/** The hours of a day as they are stored beside its readings, so that both are always in step. */
export function packedHours({ day, columns }: Day): Uint8Array {
  const out = new DataView(new ArrayBuffer(2 * DAY_HOURS * PER_HOUR));
  rolled(columns, day * DAY_MS, HOUR_MS, DAY_HOURS).forEach((h, i) => {
    const put = (k: number, v: number) => out.setInt16(2 * (PER_HOUR * i + k), v, true);
    put(0, Math.min(h.n, 32_767));
    [h.temp, h.rh].forEach((s, m) => {
      put(1 + 3 * m, s ? s.min : NONE);
      put(2 + 3 * m, s ? Math.round(s.mean) : NONE);
      put(3 + 3 * m, s ? s.max : NONE);
    });
  });
  return new Uint8Array(out.buffer);
}

export function unpackedHours(day: number, bytes: Uint8Array): Rolled[] {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  return Array.from({ length: DAY_HOURS }, (_, i) => {
    const get = (k: number) => view.getInt16(2 * (PER_HOUR * i + k), true);
    const of = (m: number): Spread | null =>
      get(1 + 3 * m) === NONE ? null : { min: get(1 + 3 * m), mean: get(2 + 3 * m), max: get(3 + 3 * m) };
    return { ms: day * DAY_MS + i * HOUR_MS, spanMs: HOUR_MS, n: get(0), temp: of(0), rh: of(1) };
  });
}

/** Several spans as one: of the means, each counts as often as it was read. */
export function together(parts: readonly Rolled[], ms: number, spanMs: number): Rolled {
  const of = (measure: 'temp' | 'rh'): Spread | null => {
    let [min, max, sum, n] = [Infinity, -Infinity, 0, 0];
    for (const p of parts) {
      const s = p[measure];
      if (!s) continue;
      min = Math.min(min, s.min);
      max = Math.max(max, s.max);
      sum += s.mean * p.n;
      n += p.n;
    }
    return n > 0 ? { min, mean: sum / n, max } : null;
  };
  return { ms, spanMs, n: parts.reduce((sum, p) => sum + p.n, 0), temp: of('temp'), rh: of('rh') };
}

/** So many columns of a chart from one moment to another; one without a reading is a gap. */
export function inColumns(parts: readonly Rolled[], fromMs: number, toMs: number, count: number): Rolled[] {
  const spanMs = (toMs - fromMs) / count;
  const held: Rolled[][] = Array.from({ length: count }, () => []);
  for (const p of parts) {
    if (p.n === 0) continue;
    const at = Math.floor((p.ms + p.spanMs / 2 - fromMs) / spanMs);
    held[at]?.push(p);
  }
  return held.map((h, i) => together(h, fromMs + i * spanMs, spanMs));
}
