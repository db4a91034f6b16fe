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

/** So many of the last days stand by themselves; what was before is told by weeks, which gather as much. */
const FINE_DAYS = 60;
const WEEK = 7;

/** Days in a row as one: the mean of each part. */
export interface Stretch extends WholeDay {
  /** How many days it stands for. */
  length: number;
}

/** The same days in fewer stretches: looks are days apart, and what gathers in a week is the same by its mean day. */
export function stretchesOf(days: readonly WholeDay[]): Stretch[] {
  const newest = days[days.length - 1]?.day ?? 0;
  const stretches: Stretch[] = [];
  for (let i = 0; i < days.length;) {
    const first = days[i] as WholeDay;
    let to = i + 1;
    if (first.day < newest - FINE_DAYS)
      while (to < days.length && to - i < WEEK && (days[to] as WholeDay).day === first.day + (to - i)) to++;
    stretches.push(to === i + 1 ? { ...first, length: 1 } : together(days.slice(i, to)));
    i = to;
  }
  return stretches;
}

function together(days: readonly WholeDay[]): Stretch {
  const { day, partsC } = days[0] as WholeDay;
  const humid = days.flatMap((d) => (d.rh === null ? [] : [d.rh]));
  return {
    ...dayOf(
      day,
      partsC.map((_, i) => mean(days.map((d) => d.partsC[i] as number))),
      humid.length > 0 ? mean(humid) : null,
    ),
    length: days.length,
  };
}
