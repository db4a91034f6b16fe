import { DAY_MS, instantOf } from '../quantity';
import {
  byDay,
  columnsOf,
  continuationOf,
  DAY_HOURS,
  HOUR_MS,
  patternOf,
  placeRecord,
  rolled,
  wholeDays,
  type MeasuredDay,
  type PlaceRecord,
  type Reading,
} from './index';

const PLACE = '018f0000-0000-7000-8000-000000000002';
const OTHER = '018f0000-0000-7000-8000-000000000004';
const DAY = 20_000;
const at = (day: number, hour = 0) => (DAY + day) * DAY_MS + hour * HOUR_MS;
const hoursOf = (readings: readonly Reading[]) =>
  byDay(columnsOf(readings)).flatMap(({ day, columns }) =>
    rolled(columns, day * DAY_MS, HOUR_MS, DAY_HOURS).filter((h) => h.n > 0),
  );
const readings = (from: number, until: number, tempC: (ms: number) => number, everyH = 0.25): Reading[] =>
  Array.from({ length: (until - from) * (24 / everyH) }, (_, i) => {
    const ms = at(from, i * everyH);
    return { ms, tempC: tempC(ms), rh: 0.5 };
  });
const logger = { stays: [{ from: instantOf(0), placeId: PLACE }], checks: [] };
const recordFrom = (...given: Parameters<typeof readings>): PlaceRecord | null =>
  placeRecord(PLACE, [{ probe: logger, hours: hoursOf(readings(...given)) }]);

describe("a place's record", () => {
  test('holds each day as eight means of three hours, and between what it was in the last day', () => {
    const record = recordFrom(0, 3, (ms) => 20 + (ms % DAY_MS) / (3 * HOUR_MS));
    expect(record?.days.map((d) => d.day)).toEqual([DAY, DAY + 1, DAY + 2]);
    // a line from 20 to 28 °C through the day, read every quarter of an hour: 20.458 in the first three hours
    expect(record?.days[1]?.partsC[0]).toBeCloseTo(20 + 2.75 / 2 / 3, 2);
    expect(record?.days[1]?.partsC[7]).toBeCloseTo(27 + 2.75 / 2 / 3, 2);
    expect(record?.latest.lowC).toBe(20);
    expect(record?.latest.highC).toBeCloseTo(28, 0);
    expect(record?.days[1]?.rh).toBe(0.5);
  });

  test('knows only what was measured while the probe lay there', () => {
    const moved = {
      ...logger,
      stays: [
        { from: instantOf(0), placeId: PLACE },
        { from: instantOf(at(3)), placeId: OTHER },
      ],
    };
    const hours = hoursOf([...readings(0, 3, () => 20), ...readings(3, 6, () => 30)]);
    const [here, there] = [PLACE, OTHER].map((id) => placeRecord(id, [{ probe: moved, hours }]));
    expect(Math.max(...(here?.days.flatMap((d) => d.partsC) as number[]))).toBe(20);
    // the hour of the move is where it was carried to
    expect(there?.days.filter((d) => d.day >= DAY + 3).flatMap((d) => d.partsC)).toEqual(Array(24).fill(30));
  });

  test('a check in melting ice puts all of it right and makes it surer', () => {
    const checked = { ...logger, checks: [{ what: 'ice' as const, at: instantOf(at(0)), shownC: 1.5 }] };
    const hours = hoursOf(readings(0, 3, () => 25));
    const [before, after] = [logger, checked].map((probe) => placeRecord(PLACE, [{ probe, hours }]));
    expect(before?.days[0]?.partsC[3]).toBe(25);
    expect(after?.days[0]?.partsC[3]).toBe(23.5);
    // off by up to 1.5 and 0.4 °C in eight cases of ten; normal quantile 1.2816, any table
    expect(before?.errorC).toBeCloseTo(1.5 / 1.2816, 3);
    expect(after?.errorC).toBeCloseTo(0.4 / 1.2816, 3);
  });

  test('what no room is like is left out, and a few readings make no record', () => {
    expect(recordFrom(0, 1, () => 21, 24)?.thin).toBe(true);
    expect(recordFrom(0, 20, () => 21)?.thin).toBeUndefined();
    const hours = hoursOf([...readings(0, 3, () => 20), ...readings(3, 4, () => 84)]);
    expect(placeRecord(PLACE, [{ probe: logger, hours }])?.latest.highC).toBe(20);
    expect(placeRecord(PLACE, [{ probe: logger, hours: [] }])).toBeNull();
  });

  test('read by hand once a day it says less of the rest of the day', () => {
    const daily = placeRecord(PLACE, [{ probe: logger, hours: hoursOf(readings(0, 20, () => 21, 24)) }]);
    expect(daily?.errorC).toBeGreaterThan(1.5);
  });
});

describe('days that were not measured through', () => {
  const measured = (day: number, partsC: (number | null)[]): MeasuredDay => ({ day, partsC, rh: null });
  const usual = [18, 18, 19, 21, 23, 24, 22, 20];

  test('are filled with what the week around is like, moved by what was measured', () => {
    const warm = usual.map((c, i) => (i < 4 ? c + 2 : null));
    const days = wholeDays([measured(1, usual), measured(2, warm), measured(3, usual)], 1, 3);
    const filled = days[1]?.partsC ?? [];
    // the afternoon was never measured: as usual, but as much warmer as the morning was against the three days' mean
    expect(filled.slice(0, 4)).toEqual(warm.slice(0, 4));
    filled.slice(4).forEach((c, i) => expect(c).toBeCloseTo((usual[4 + i] as number) + 2 - 2 / 3, 9));
  });

  test('a day without a reading is as the days around it; a month without is left out', () => {
    const days = wholeDays([measured(1, usual), measured(3, usual), measured(60, usual)], 1, 60);
    expect(days.find((d) => d.day === 2)?.partsC).toEqual(usual);
    expect(days.some((d) => d.day === 30)).toBe(false);
  });

  test('a part of the day that was never read is as the others together', () => {
    expect(patternOf([measured(1, [20, 22, null, null, null, null, null, null])])[5]).toBe(21);
  });
});

describe('what is expected of a place', () => {
  const days = (n: number, tempC: (day: number) => number) =>
    wholeDays(
      Array.from({ length: n }, (_, i) => ({
        day: DAY + i,
        partsC: Array(8).fill(tempC(DAY + i)) as number[],
        rh: 0.4,
      })),
      DAY,
      DAY + n - 1,
    );
  const yearly = (day: number) =>
    Math.cos((2 * Math.PI * (day * DAY_MS - Date.UTC(2026, 6, 31))) / (365.25 * DAY_MS));
  const later = (c: ReturnType<typeof continuationOf>, daysOn: number) =>
    c.spans.filter((s) => s.day <= (c.spans[0]?.day ?? 0) + daysOn).at(-1)?.meanC ?? NaN;

  test('goes on as it was, and of a room with the year, before anything is known of its year', () => {
    // day 20,000 is 4 October 2024: winter is half a year away from August
    const c = continuationOf(
      days(14, () => 22),
      'north',
    );
    expect(later(c, 0)).toBeCloseTo(22, 0);
    expect(later(c, 110)).toBeLessThan(21.3);
    expect(
      later(
        continuationOf(
          days(14, () => 22),
          'south',
        ),
        110,
      ),
    ).toBeGreaterThan(22.7);
    expect(c.spans[0]?.rh).toBeCloseTo(0.4, 9);
  });

  test('a thermostat that was watched through half a year knows no season', () => {
    const c = continuationOf(
      days(200, () => 26),
      'north',
    );
    expect(Math.abs(later(c, 110) - 26)).toBeLessThan(0.25);
    // and is hardly ever off: the prior's three fortnights fade
    expect(c.spreadC).toBeLessThan(0.5);
  });

  test('a year of a loft tells how it goes on', () => {
    const loft = (day: number) => 18 + 7 * yearly(day);
    const c = continuationOf(days(365, loft), 'north');
    for (const d of [30, 90, 180, 270])
      expect(Math.abs(later(c, d) - loft(DAY + 365 + d - (d % 14) + 7))).toBeLessThan(1.5);
  });

  test('weeks that jumped about make it less sure', () => {
    const wild = continuationOf(
      days(140, (day) => 22 + (Math.floor(day / 28) % 2 ? 3 : -3)),
      'north',
    );
    expect(wild.spreadC).toBeGreaterThan(2);
  });
});
