import { dayOf, instantOf, msOf, startOfDay, type Instant, type Zone } from '../quantity';
import { degreeDaysOfReadings } from './degree-days-of-readings';

/** What was read in one hour or a longer span, °C; spans without a reading are left out. */
export interface TempSpan {
  at: Instant;
  minC: number;
  meanC: number;
  maxC: number;
}

/** What days are like at a place. */
export interface DaysSummary {
  lowC: number;
  highC: number;
  meanC: number;
  /** Between lowest and highest of a day, the middle of those days that were read through; null when none was. */
  swingC: number | null;
  /** Mean of the hours from ten in the evening to six; null when none was read. */
  nightC: number | null;
}

const NIGHT = { from: 22, to: 6 };
/** Of 24 hours so many must have been read before a day's swing is told. */
const HOURS_OF_A_DAY = 17;

/** @returns null without a reading */
export function summaryOf(hours: readonly TempSpan[], zone: Zone): DaysSummary | null {
  if (hours.length === 0) return null;
  const mean = (values: readonly number[]) => values.reduce((a, b) => a + b, 0) / values.length;
  const days = new Map<string, TempSpan[]>();
  for (const h of hours) {
    const day = dayOf(h.at, zone);
    days.set(day, [...(days.get(day) ?? []), h]);
  }
  const low = (some: readonly TempSpan[]) => Math.min(...some.map((h) => h.minC));
  const high = (some: readonly TempSpan[]) => Math.max(...some.map((h) => h.maxC));
  const swings = [...days.values()]
    .filter((d) => d.length >= HOURS_OF_A_DAY)
    .map((d) => high(d) - low(d))
    .sort((a, b) => a - b);
  const nights = hours.filter((h) => {
    const hour = (msOf(h.at) - msOf(startOfDay(dayOf(h.at, zone), zone))) / 3_600_000;
    return hour >= NIGHT.from || hour < NIGHT.to;
  });
  return {
    lowC: low(hours),
    highC: high(hours),
    meanC: mean(hours.map((h) => h.meanC)),
    swingC: swings.length > 0 ? (swings[Math.floor((swings.length - 1) / 2)] as number) : null,
    nightC: nights.length > 0 ? mean(nights.map((h) => h.meanC)) : null,
  };
}

/** A longer silence is a gap, and no warmth is reckoned for it. */
const GAP_MS = 6 * 3_600_000;

/**
 * Degree-days above a threshold of spans with their means, gaps left out.
 * @param spanMs how long each is
 */
export function degreeDaysOfSpans(spans: readonly TempSpan[], spanMs: number, thresholdC: number): number {
  let sum = 0;
  let run: { at: Instant; tempC: number }[] = [];
  const end = () => {
    const [first, last] = [run[0], run[run.length - 1]];
    if (first && last) {
      // a span's mean stands in its middle: half a span is added at both ends
      const at = (ms: number, tempC: number) => ({ at: instantOf(ms), tempC });
      const whole = [
        at(msOf(first.at) - spanMs / 2, first.tempC),
        ...run,
        at(msOf(last.at) + spanMs / 2, last.tempC),
      ];
      sum += degreeDaysOfReadings(whole, thresholdC);
    }
    run = [];
  };
  for (const s of spans) {
    const middle = msOf(s.at) + spanMs / 2;
    const last = run[run.length - 1];
    if (last && middle - msOf(last.at) > Math.max(GAP_MS, 1.5 * spanMs)) end();
    run.push({ at: instantOf(middle), tempC: s.meanC });
  }
  end();
  return sum;
}
