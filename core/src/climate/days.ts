import { mean, median } from 'simple-statistics';
import { PARTS_OF_DAY, type MeasuredDay } from './place-record';

/** One day with all of its parts, °C: measured, or filled in. */
export interface WholeDay {
  day: number;
  partsC: readonly number[];
  meanC: number;
  rh: number | null;
}

/** So many days to both sides tell what an hour is like that was not measured. Prior. */
const FILL_DAYS = 7;

/**
 * The days from one to another with the parts that nobody measured filled in: as that part of the day is in the week around, moved by
 * as much as what was measured that day differs from it. Days about which that week says nothing are left out.
 */
export function wholeDays(measured: readonly MeasuredDay[], from: number, to: number): WholeDay[] {
  const days: WholeDay[] = [];
  let first = 0;
  for (let day = from; day <= to; day++) {
    while (first < measured.length && (measured[first] as MeasuredDay).day < day - FILL_DAYS) first++;
    let last = first;
    while (last < measured.length && (measured[last] as MeasuredDay).day <= day + FILL_DAYS) last++;
    if (first === last) continue;
    const around = measured.slice(first, last);
    const own = around.find((d) => d.day === day);
    if (own && own.partsC.every((c) => c !== null)) {
      days.push(dayOf(day, own.partsC as number[], own.rh));
      continue;
    }
    const usual = patternOf(around);
    const shifts = (own?.partsC ?? []).flatMap((c, i) => (c === null ? [] : [c - (usual[i] as number)]));
    // one part that stands out says nothing of the rest of the day
    const shift = shifts.length > 0 ? median(shifts) : 0;
    const parts = usual.map((c, i) => own?.partsC[i] ?? c + shift);
    days.push(dayOf(day, parts, own?.rh ?? null));
  }
  return days;
}

/** What the day is like in each of its parts; a part that was never measured is as the others together. */
export function patternOf(days: readonly MeasuredDay[]): number[] {
  const parts = Array.from({ length: PARTS_OF_DAY }, (_, i) =>
    days.flatMap((d) => {
      const c = d.partsC[i];
      return c === null || c === undefined ? [] : [c];
    }),
  );
  const all = mean(parts.flat());
  return parts.map((p) => (p.length > 0 ? mean(p) : all));
}

const dayOf = (day: number, partsC: readonly number[], rh: number | null): WholeDay => ({
  day,
  partsC,
  meanC: mean(partsC),
  rh,
});
