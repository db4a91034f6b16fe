import { mean } from 'simple-statistics';
import {
  continuationOf,
  type Continuation,
  dayNumber,
  HOUR_MS,
  PART_MS,
  patternOf,
  stretchesOf,
  wholeDays,
  type MeasuredDay,
  type PlaceRecord,
  type WholeDay,
} from '../climate';
import type { Place } from '../facts';
import { DAY_MS, daysBetween, instantOf, lastNotAfter, msOf, type Instant } from '../quantity';
import type { Hemisphere } from '../season';
import { stepsOf, temperatureAt, type Temperature, type WarmthStep } from './series';

/** A place's warmth over time: steady, or cold until the winter ends. */
export function placeTemperature(place: Pick<Place, 'tempC' | 'winter'>): Temperature {
  if (!place.winter) return place.tempC;
  return {
    steps: [
      { from: instantOf(0), tempC: place.tempC },
      { from: place.winter.until, tempC: place.winter.thenTempC },
    ],
  };
}

/** Warmth and dryness of the room from a moment until the next. */
export interface Room extends WarmthStep {
  roomRelHumidity: number;
}

/** What has been measured, and what is needed to go on from there. */
export interface Measured {
  records: readonly PlaceRecord[];
  now: Instant;
  hemisphere: Hemisphere;
  /** What was before that matters to nobody. */
  since: Instant;
}

/** So long after the last reading it is still held that the place is as it was measured, days. Prior. */
const RECORD_HOLDS_DAYS = 60;

/** The record of a place, while it still says something of it. */
export const recordOf = (
  { records, now }: Pick<Measured, 'records' | 'now'>,
  placeId: string,
): PlaceRecord | null =>
  records.find(
    (r) => r.placeId === placeId && !r.thin && daysBetween(r.latest.at, now) <= RECORD_HOLDS_DAYS,
  ) ?? null;

/** What was read at a place of late, however little it was: one reading tells of danger. */
export const latelyRead = (
  { records, now }: Pick<Measured, 'records' | 'now'>,
  placeId: string,
): PlaceRecord | null =>
  records.find((r) => r.placeId === placeId && daysBetween(r.latest.at, now) <= LATEST_HOLDS_DAYS) ?? null;

/** A room in milliseconds since 1970: hundreds of them are gone through for each queen, and dates are slow to read. */
export interface RoomSpan extends Omit<Room, 'from'> {
  fromMs: number;
}

/** What is expected, in milliseconds; `untilMs` null: for good. */
export interface AheadSpan {
  fromMs: number;
  untilMs: number | null;
  spreadC: number;
}

/** The span that holds at a moment; the first also holds before it begins. */
export const spanAt = (spans: readonly RoomSpan[], ms: number): RoomSpan =>
  spans[
    Math.max(
      0,
      lastNotAfter(spans.length, (i) => (spans[i] as RoomSpan).fromMs, ms),
    )
  ] as RoomSpan;

/** A place over time: as told until it was measured, as measured until it is planned otherwise, else as it goes on. */
export function spansOf(place: Place, measured?: Measured): { spans: RoomSpan[]; ahead: AheadSpan | null } {
  const { roomRelHumidity } = place;
  const told = stepsOf(placeTemperature(place)).map(({ from, ...s }): RoomSpan => ({
    ...s,
    fromMs: msOf(from),
    roomRelHumidity,
  }));
  const record = measured?.records.find((r) => r.placeId === place.id);
  if (!measured || !record) return { spans: told, ahead: null };
  if (record.thin) return { spans: withFew(told, record, msOf(measured.now)), ahead: null };
  const first = Math.max(dayNumber(msOf(measured.since)), (record.days[0] as MeasuredDay).day);
  const newest = (record.days[record.days.length - 1] as MeasuredDay).day;
  const days = wholeDays(record.days, first, newest);
  if (days.length === 0) return { spans: told, ahead: null };
  const spanOf = ({ day, partsC, meanC, rh }: Continuation['spans'][number]): RoomSpan => ({
    fromMs: day * DAY_MS,
    tempC: meanC,
    ...(partsC.length > 1 ? { partsC } : {}),
    roomRelHumidity: rh ?? roomRelHumidity,
  });
  const known: RoomSpan[] = [];
  const stretches = stretchesOf(days);
  stretches.forEach((s, i) => {
    known.push(spanOf(s));
    const after = (s.day + s.length) * DAY_MS;
    const next = stretches[i + 1];
    // a gap about which nothing is known is as it was told
    if (next && next.day * DAY_MS > after) known.push({ ...spanAt(told, after), fromMs: after });
  });
  const before = unmeasuredBefore(place, told, days);
  const endMs = (newest + 1) * DAY_MS;
  const { spans, spreadC } = continuationOf(days, measured.hemisphere);
  const asItGoes = [...known, ...spans.map(spanOf)];
  const planMs = plannedUntil(place, measured.now);
  if (recordOf(measured, place.id) === null) {
    // what is ahead goes by what was told again, and what has been goes on as it was measured: nobody has told it anew; but a winter
    // that was told of the place is newer than its last reading
    const turnMs = planMs === null ? msOf(measured.now) : endMs;
    return {
      spans: [
        ...before,
        ...asItGoes.filter((s) => s.fromMs < turnMs),
        { ...spanAt(told, turnMs), fromMs: turnMs },
        ...told.filter((s) => s.fromMs > turnMs),
      ],
      ahead: planMs === null ? { fromMs: endMs, untilMs: turnMs, spreadC } : null,
    };
  }
  return {
    spans:
      planMs === null
        ? [...before, ...asItGoes]
        : [
            ...before,
            ...asItGoes.filter((s) => s.fromMs < planMs),
            ...told.filter((s) => s.fromMs >= planMs),
          ],
    ahead: { fromMs: endMs, untilMs: planMs, spreadC },
  };
}

/** Such a reading counts from the moment it is read, °C; what is milder counts once its part of the day is over. Priors. */
const AT_ONCE_C = { cold: 0, hot: 30 };
/** So long after such a reading it is still held to be so, ms: nobody has read that it is over. Prior. */
const STILL_SO_MS = 3 * HOUR_MS;

/** As told, but for the few parts of days in which it was read. */
function withFew(told: readonly RoomSpan[], { days, latest }: PlaceRecord, nowMs: number): RoomSpan[] {
  const spans = [...told];
  for (const { day, partsC, rh } of days)
    partsC.forEach((tempC, i) => {
      if (tempC === null) return;
      const fromMs = day * DAY_MS + i * PART_MS;
      const atOnce = tempC >= AT_ONCE_C.hot || tempC <= AT_ONCE_C.cold;
      const newest = msOf(latest.at) < fromMs + PART_MS;
      const untilMs =
        atOnce && newest ? Math.max(fromMs + PART_MS, msOf(latest.at) + STILL_SO_MS) : fromMs + PART_MS;
      if (!atOnce && untilMs > nowMs) return;
      const after = { ...spanAt(told, untilMs), fromMs: untilMs };
      spans.push({ fromMs, tempC, roomRelHumidity: rh ?? after.roomRelHumidity }, after);
    });
  spans.sort((a, b) => a.fromMs - b.fromMs);
  // where one part follows the other what comes after the first is the second
  return spans.filter((s, i) => s.fromMs !== spans[i + 1]?.fromMs);
}

/** Until when the place winters by plan; null when it does not, or no more. */
function plannedUntil({ winter }: Pick<Place, 'winter'>, now: Instant): number | null {
  const ms = winter ? msOf(winter.until) : -Infinity;
  return ms > msOf(now) ? ms : null;
}

/** Before it was measured it was as told; where nobody had measured, as it was in its first fortnight. */
function unmeasuredBefore({ spot }: Place, told: readonly RoomSpan[], days: readonly WholeDay[]): RoomSpan[] {
  const begins = (days[0] as WholeDay).day;
  const past = told.filter((s) => s.fromMs < begins * DAY_MS);
  if (spot?.measured !== false) return past;
  const first = days.filter((d) => d.day < begins + FORTNIGHT_DAYS);
  return past.map((s) => ({ ...s, tempC: mean(first.map((d) => d.meanC)) }));
}
const FORTNIGHT_DAYS = 14;

/** How warm a place is by itself, and for her: with heat at her tube the two differ. */
export interface Warmths {
  told: Temperature;
  hers: Temperature;
}

/** The place as it is for her now: what is judged is what was measured and what heat adds to it, not what was once told. */
export function placeNow(
  place: Place,
  record: PlaceRecord | null,
  read: PlaceRecord | null,
  { told, hers }: Warmths,
  now: Instant,
): Place {
  const tempC = temperatureAt(hers, now);
  const addedC = tempC - temperatureAt(told, now);
  if (!record && !read && addedC === 0) return place;
  const lately = record ?? read;
  const { dayLowC, dayHighC } = { ...place.spot, ...(lately ? lastDayOf(lately, now) : {}) };
  const { dayLowC: _low, dayHighC: _high, ...spot } = place.spot ?? {};
  return {
    ...place,
    tempC,
    winter: plannedUntil(place, now) === null ? null : place.winter,
    spot: {
      ...spot,
      // a reading or two do not say what the place is like
      ...(record || addedC !== 0 || spot.measured !== false ? { measured: true } : {}),
      ...(dayLowC === undefined ? {} : { dayLowC: dayLowC + addedC }),
      // a cell that was read cooler than the shelf once is no shelter from the shelf's heat
      ...(dayHighC === undefined ? {} : { dayHighC: dayHighC + Math.max(0, addedC) }),
    },
  };
}

/** Between what it was in the last day that was measured; when that is long ago, what a day of its last fortnight is like. */
function lastDayOf({ latest, days }: PlaceRecord, now: Instant): { dayLowC: number; dayHighC: number } {
  if (daysBetween(latest.at, now) <= LATEST_HOLDS_DAYS)
    return { dayLowC: latest.lowC, dayHighC: latest.highC };
  const lately = patternOf(days.slice(-FORTNIGHT_DAYS));
  return { dayLowC: Math.min(...lately), dayHighC: Math.max(...lately) };
}
/** What the last day was like still counts as now for so long, days. Prior. */
const LATEST_HOLDS_DAYS = 2;
