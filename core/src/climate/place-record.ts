import { mean } from 'simple-statistics';
import type { Probe } from '../facts';
import { DAY_MS, EIGHT_OF_TEN, instantOf, msOf, type Instant } from '../quantity';
import { corrected } from './hygrometer';
import { correctionsOf, type ProbeCorrections } from './probe-check';
import { dayNumber, HOUR_MS, type Rolled } from './readings';

/** A day is held in so many parts of three hours: fine enough for a mat that goes on and off, small enough to send. */
export const PARTS_OF_DAY = 8;
export const PART_MS = DAY_MS / PARTS_OF_DAY;

/** What was measured at a place on one day of UTC. */
export interface MeasuredDay {
  /** Days since 1970. */
  day: number;
  /** Means of its parts, °C; null where nothing was measured. */
  partsC: (number | null)[];
  /** Mean humidity, 0..1. */
  rh: number | null;
}

/** What was measured at a place by all that lay there, as its checks put it right: the form in which outlooks take it up. */
export interface PlaceRecord {
  placeId: string;
  /** In order; days without a reading are missing. */
  days: MeasuredDay[];
  /** The newest reading, and between what it was in the day before it. */
  latest: { at: Instant; lowC: number; highC: number };
  /** Standard error of what it tells, °C. */
  errorC: number;
  /** Too little was read to say what days are like there: what was read counts, and nothing is made of it. */
  thin?: true | undefined;
}

/** Colder or hotter than that no room is: what shows it is broken, °C. Prior. */
export const ROOM_C = { min: -15, max: 60 };

/** A probe with the hours in which it was read, in hundredths. */
export interface ProbeHours {
  probe: Pick<Probe, 'stays' | 'checks'>;
  hours: readonly Rolled[];
}

/** Less than that says nothing of what days are like there, so many parts of three hours. Prior. */
const PARTS_AT_LEAST = 12;
/** Days of which less than half was measured leave open what the rest was like: that much more error, °C. Prior. */
const THIN = { parts: PARTS_OF_DAY / 2, errorC: 1 };

/**
 * @param probes with the hours in which they were read, those of the last day at the least
 * @param before days known already, of which the hours are not given again
 * @returns null where nothing was read
 */
export function placeRecord(
  placeId: string,
  probes: readonly ProbeHours[],
  before: readonly MeasuredDay[] = [],
): PlaceRecord | null {
  const here = probes.flatMap(({ probe, hours }) => {
    const truth = correctionsOf(probe);
    return hours.flatMap((h) => hourOf(h, truth)).filter((h) => placeAt(probe, h.ms) === placeId);
  });
  const days = [...before, ...daysOf(here)];
  const parts = days.reduce((sum, d) => sum + d.partsC.filter((c) => c !== null).length, 0);
  if (here.length === 0) return null;
  const newest = here.reduce((ms, h) => Math.max(ms, h.ms), -Infinity);
  const lately = here.filter((h) => h.ms > newest - DAY_MS);
  const halfRange = Math.min(...lately.map((h) => h.errorC));
  const thin = parts / days.length < THIN.parts ? THIN.errorC : 0;
  return {
    placeId,
    days,
    latest: {
      // the hour is known, not the minute
      at: instantOf(newest),
      lowC: Math.min(...lately.map((h) => h.minC)),
      highC: Math.max(...lately.map((h) => h.maxC)),
    },
    errorC: Math.hypot(standardErrorC(halfRange), thin),
    ...(parts < PARTS_AT_LEAST ? { thin: true as const } : {}),
  };
}

function daysOf(hours: readonly HourHere[]): MeasuredDay[] {
  const byDay = new Map<number, HourHere[]>();
  for (const h of hours) {
    const day = byDay.get(dayNumber(h.ms));
    if (day) day.push(h);
    else byDay.set(dayNumber(h.ms), [h]);
  }
  return [...byDay.entries()]
    .sort(([a], [b]) => a - b)
    .map(([day, some]): MeasuredDay => {
      const parts = Array.from({ length: PARTS_OF_DAY }, (): number[] => []);
      for (const h of some) parts[Math.floor((h.ms - day * DAY_MS) / PART_MS)]?.push(h.meanC);
      return {
        day,
        partsC: parts.map((p) => meanOf(p, 100)),
        rh: meanOf(
          some.flatMap((h) => (h.rh === null ? [] : [h.rh])),
          1000,
        ),
      };
    });
}

/** An hour of a probe as its checks put it right. */
interface HourHere {
  ms: number;
  minC: number;
  meanC: number;
  maxC: number;
  rh: number | null;
  errorC: number;
}

/** None when the probe cannot have been right. */
function hourOf({ ms, temp, rh }: Rolled, truth: ProbeCorrections): HourHere[] {
  if (!temp) return [];
  const celsius = (centi: number) => corrected(centi / 100, truth.tempC);
  const meanC = celsius(temp.mean);
  if (meanC < ROOM_C.min || meanC > ROOM_C.max) return [];
  const share = rh ? Math.min(1, Math.max(0, corrected(rh.mean / 10_000, truth.rh))) : null;
  return [
    { ms, minC: celsius(temp.min), meanC, maxC: celsius(temp.max), rh: share, errorC: truth.tempErrorC },
  ];
}

/** Rounded to so many parts of one; null of nothing. */
const meanOf = (values: readonly number[], per: number): number | null =>
  values.length > 0 ? Math.round(per * mean(values)) / per : null;

/** Standard error of a figure that lies within this half-range in eight cases of ten. */
export const standardErrorC = (halfRangeC: number): number => halfRangeC / EIGHT_OF_TEN;

/** The half-range that holds eight cases of ten, of a standard error. */
export const halfRangeC = (errorC: number): number => errorC * EIGHT_OF_TEN;

/** Where a probe lay at a moment; where it lay first also before. */
export function placeAt({ stays }: Pick<Probe, 'stays'>, ms: number): string | null {
  let place = stays[0]?.placeId ?? null;
  for (const s of stays) {
    // an hour belongs to where it lay at its end: it is moved by hand, and the hour of the move counts little
    if (msOf(s.from) > ms + HOUR_MS) break;
    place = s.placeId;
  }
  return place;
}
