import type { Reading } from './reading';

/** Many readings, a column each measure: what is stored, sent and reckoned with. Hundredths of a degree and of a percent. */
export interface Columns {
  /** Milliseconds since 1970. */
  ms: Float64Array;
  centiC: Int16Array;
  /** Hundredths of a percent: 5050 is 50.5 %. */
  centiPct: Int16Array;
}

/** Stands where nothing was measured. */
export const NONE = -32768;

export const toCenti = (value: number | null, per = 100): number =>
  value === null ? NONE : Math.round(value * per);
export const fromCenti = (value: number, per = 100): number | null => (value === NONE ? null : value / per);
/** Of a humidity as a share. */
const PER_SHARE = 10_000;

export function columnsOf(readings: readonly Reading[]): Columns {
  return {
    ms: Float64Array.from(readings, (r) => r.ms),
    centiC: Int16Array.from(readings, (r) => toCenti(r.tempC)),
    centiPct: Int16Array.from(readings, (r) => toCenti(r.rh, PER_SHARE)),
  };
}

export function readingsOf({ ms, centiC, centiPct }: Columns): Reading[] {
  return Array.from(ms, (at, i) => ({
    ms: at,
    tempC: fromCenti(centiC[i] as number),
    rh: fromCenti(centiPct[i] as number, PER_SHARE),
  }));
}

export const lengthOf = ({ ms }: Columns): number => ms.length;

/** Some of them, in the order of these places. */
export function picked({ ms, centiC, centiPct }: Columns, places: ArrayLike<number>): Columns {
  const n = places.length;
  const out: Columns = { ms: new Float64Array(n), centiC: new Int16Array(n), centiPct: new Int16Array(n) };
  for (let i = 0; i < n; i++) {
    const at = places[i] as number;
    out.ms[i] = ms[at] as number;
    out.centiC[i] = centiC[at] as number;
    out.centiPct[i] = centiPct[at] as number;
  }
  return out;
}

export function sliced({ ms, centiC, centiPct }: Columns, from: number, to: number): Columns {
  return {
    ms: ms.subarray(from, to),
    centiC: centiC.subarray(from, to),
    centiPct: centiPct.subarray(from, to),
  };
}

/** In the order of time; what is so already is given back as it is. */
export function inOrder(columns: Columns): Columns {
  const { ms } = columns;
  let sorted = true;
  for (let i = 1; i < ms.length && sorted; i++) sorted = (ms[i] as number) >= (ms[i - 1] as number);
  if (sorted) return columns;
  // stable, so that of two readings of one moment the first stays the first
  const places = Uint32Array.from(ms, (_, i) => i).sort(
    (a, b) => (ms[a] as number) - (ms[b] as number) || a - b,
  );
  return picked(columns, places);
}
