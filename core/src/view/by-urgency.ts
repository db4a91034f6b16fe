import { PRESSURES } from '../care/pressure';
import { msOf } from '../quantity/time';
import type { ShelfRow } from './shelf-row';

/** Made once: a collator takes far longer to make than to use. */
let labels: Intl.Collator | null = null;
const byLabel = (a: string, b: string): number =>
  (labels ??= new Intl.Collator('en', { numeric: true })).compare(a, b);

/** Most urgent first; then those that may be looked at; then those at rest by the date they rest until; the lost last. */
export function byUrgency(a: ShelfRow, b: ShelfRow): number {
  const lost = Number(a.lost !== null) - Number(b.lost !== null);
  if (lost !== 0) return lost;
  const pressure = PRESSURES.indexOf(b.pressure) - PRESSURES.indexOf(a.pressure);
  if (pressure !== 0) return pressure;
  const until = (r: ShelfRow) => (r.restUntil ? msOf(r.restUntil) : Infinity);
  const [x, y] = [until(a), until(b)];
  return x !== y ? (x < y ? -1 : 1) : byLabel(a.queen.label, b.queen.label);
}
