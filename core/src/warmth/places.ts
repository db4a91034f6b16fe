import { mean } from 'simple-statistics';
import {
  continuationOf,
  dayNumber,
  patternOf,
  wholeDays,
  type MeasuredDay,
  type PlaceRecord,
  type WholeDay,
} from '../climate';
import type { Place } from '../facts';
import { DAY_MS, daysBetween, instantOf, msOf, type Instant } from '../quantity';
import type { Hemisphere } from '../season';
import { stepsOf, temperatureAt, type Ahead, type Temperature, type WarmthStep } from './series';

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
  records.find((r) => r.placeId === placeId && daysBetween(r.latest.at, now) <= RECORD_HOLDS_DAYS) ?? null;

export function roomAt(rooms: readonly Room[], at: Instant): Room {
  let room = rooms[0] as Room;
  for (const r of rooms) if (msOf(r.from) <= msOf(at)) room = r;
  return room;
}

/** A place over time: as told until it was measured, as measured until it is planned otherwise, else as it goes on. */
export function roomsAt(place: Place, measured?: Measured): { rooms: Room[]; ahead: Ahead | null } {
  const { roomRelHumidity } = place;
  const told = stepsOf(placeTemperature(place)).map((s): Room => ({ ...s, roomRelHumidity }));
  const record = measured?.records.find((r) => r.placeId === place.id);
  if (!measured || !record) return { rooms: told, ahead: null };
  const sinceDay = dayNumber(msOf(measured.since));
  const first = Math.max(sinceDay, (record.days[0] as MeasuredDay).day);
  const newest = (record.days[record.days.length - 1] as MeasuredDay).day;
  const days = wholeDays(record.days, first, newest);
  if (days.length === 0) return { rooms: told, ahead: null };
  const roomOf = ({ day, partsC, meanC, rh }: Omit<WholeDay, 'rh'> & { rh: number | null }): Room => ({
    from: instantOf(day * DAY_MS),
    tempC: meanC,
    ...(partsC.length > 1 ? { partsC } : {}),
    roomRelHumidity: rh ?? roomRelHumidity,
  });
  const known = days.flatMap((d, i): Room[] => {
    const next = days[i + 1]?.day;
    // a gap about which nothing is known is as it was told
    const gap = next !== undefined && next > d.day + 1;
    return [
      roomOf(d),
      ...(gap
        ? [{ ...roomAt(told, instantOf((d.day + 1) * DAY_MS)), from: instantOf((d.day + 1) * DAY_MS) }]
        : []),
    ];
  });
  const before = unmeasuredBefore(place, told, days);
  const plan = place.winter && msOf(place.winter.until) > msOf(measured.now) ? place.winter.until : null;
  const afterwards = told.filter((s) => plan !== null && msOf(s.from) >= msOf(plan));
  const upTo = (rooms: Room[]) => rooms.filter((r) => plan === null || msOf(r.from) < msOf(plan));
  const end = instantOf((newest + 1) * DAY_MS);
  if (recordOf(measured, place.id) === null) {
    const later = told.filter((s) => msOf(s.from) > msOf(end));
    return { rooms: [...before, ...known, { ...roomAt(told, end), from: end }, ...later], ahead: null };
  }
  const { spans, spreadC } = continuationOf(days, measured.hemisphere);
  return {
    rooms: [...before, ...upTo([...known, ...spans.map(roomOf)]), ...afterwards],
    ahead: { from: end, until: plan, spreadC },
  };
}

/** Before it was measured it was as told; where nobody had measured, as it was in its first fortnight. */
function unmeasuredBefore({ spot }: Place, told: readonly Room[], days: readonly WholeDay[]): Room[] {
  const begins = (days[0] as WholeDay).day * DAY_MS;
  const past = told.filter((s) => msOf(s.from) < begins);
  if (spot?.measured !== false) return past;
  const first = days.filter((d) => d.day * DAY_MS < begins + FORTNIGHT_MS);
  return past.map((s) => ({ ...s, tempC: mean(first.map((d) => d.meanC)) }));
}
const FORTNIGHT_MS = 14 * DAY_MS;

/** The place as it was measured of late: what is judged now is what was measured, not what was once told. */
export function asMeasured(
  place: Place,
  record: PlaceRecord | null,
  temperature: Temperature,
  now: Instant,
): Place {
  if (!record) return place;
  const planned = place.winter && msOf(place.winter.until) > msOf(now) ? place.winter : null;
  const fresh = daysBetween(record.latest.at, now) <= LATEST_HOLDS_DAYS;
  const lately = patternOf(record.days.slice(-14));
  const { lowC, highC } = fresh ? record.latest : { lowC: Math.min(...lately), highC: Math.max(...lately) };
  return {
    ...place,
    tempC: temperatureAt(temperature, now),
    winter: planned,
    spot: { ...place.spot, measured: true, dayLowC: lowC, dayHighC: highC },
  };
}
/** What the last day was like still counts as now for so long, days. Prior. */
const LATEST_HOLDS_DAYS = 2;
