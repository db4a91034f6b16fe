import * as fc from 'fast-check';
import { columnsOf, readingsOf } from './columns';
import {
  byDay,
  inColumns,
  merged,
  packed,
  packedHours,
  rolled,
  unpacked,
  unpackedHours,
  without,
  HOUR_MS,
} from './day';
import type { Reading } from './reading';

const DAY = 20_000;
const START = DAY * 86_400_000;

const reading = fc.record({
  ms: fc.integer({ min: START, max: START + 86_400_000 - 1 }),
  tempC: fc.option(fc.integer({ min: -4000, max: 8500 }).map((c) => c / 100)),
  rh: fc.option(fc.integer({ min: 0, max: 10_000 }).map((c) => c / 10_000)),
});
const day = fc.array(reading, { minLength: 1, maxLength: 60 });
const ordered = (readings: Reading[]) => columnsOf([...readings].sort((a, b) => a.ms - b.ms));
const fresh = (readings: Reading[]) => merged(null, ordered(readings)).columns;

test('a day that is packed is the same when it is unpacked (any readings of it)', () => {
  fc.assert(
    fc.property(day, (readings) => {
      const columns = fresh(readings);
      expect(readingsOf(unpacked(DAY, packed({ day: DAY, columns })))).toEqual(readingsOf(columns));
    }),
  );
});

test('what comes twice changes nothing; what contradicts is counted, and the first stays', () => {
  fc.assert(
    fc.property(day, day, (one, two) => {
      const a = fresh(one);
      const again = merged(a, a);
      expect(readingsOf(again.columns)).toEqual(readingsOf(a));
      expect(again).toMatchObject({ added: 0, known: a.ms.length, contradictory: 0 });

      const both = merged(a, fresh(two));
      const moments = new Set([...one, ...two].map((r) => r.ms));
      expect(both.columns.ms).toHaveLength(moments.size);
      expect(both.added + both.known + both.contradictory).toBe(fresh(two).ms.length);
      const at = new Map(readingsOf(both.columns).map((r) => [r.ms, r]));
      for (const r of readingsOf(a)) expect(at.get(r.ms)).toEqual(r);
    }),
  );
});

test('the hours are the lowest, the mean and the highest of what was read in them', () => {
  fc.assert(
    fc.property(day, (readings) => {
      const columns = fresh(readings);
      const hours = unpackedHours(DAY, packedHours({ day: DAY, columns }));
      const all = readingsOf(columns);
      hours.forEach((h) => {
        const mine = all.filter((r) => r.ms >= h.ms && r.ms < h.ms + HOUR_MS);
        const temps = mine.flatMap((r) => (r.tempC === null ? [] : [r.tempC * 100]));
        expect(h.n).toBe(mine.length);
        if (temps.length === 0) expect(h.temp).toBeNull();
        else {
          expect(h.temp?.min).toBeCloseTo(Math.min(...temps), 6);
          expect(h.temp?.max).toBeCloseTo(Math.max(...temps), 6);
          expect(
            Math.abs((h.temp?.mean ?? NaN) - temps.reduce((a, b) => a + b) / temps.length),
          ).toBeLessThanOrEqual(0.51);
        }
      });
    }),
  );
});

test('readings fall into their days, whatever their order', () => {
  const at = (days: number, h: number) => ({
    ms: START + days * 86_400_000 + h * HOUR_MS,
    tempC: h,
    rh: null,
  });
  const days = byDay(columnsOf([at(2, 1), at(0, 23), at(0, 1), at(2, 0)]));
  expect(days.map((d) => [d.day - DAY, readingsOf(d.columns).map((r) => r.tempC)])).toEqual([
    [0, [1, 23]],
    [2, [0, 1]],
  ]);
});

test('columns of a chart keep the extremes, and a gap stays a gap', () => {
  const hourly = Array.from({ length: 24 }, (_, h) => ({
    ms: START + h * HOUR_MS,
    tempC: h < 8 || h >= 16 ? 20 + h : null,
    rh: null,
  })).filter((r) => r.tempC !== null);
  const hours = rolled(columnsOf(hourly), START, HOUR_MS, 24);
  const columns = inColumns(hours, START, START + 24 * HOUR_MS, 3);
  expect(columns.map((c) => c.temp && { ...c.temp })).toEqual([
    { min: 2000, mean: 2350, max: 2700 },
    null,
    { min: 3600, mean: 3950, max: 4300 },
  ]);
});

test('what was written by mistake is taken out, and may come again', () => {
  fc.assert(
    fc.property(day, (readings) => {
      const columns = fresh(readings);
      const some = new Set([...columns.ms].filter((_, i) => i % 2 === 0));
      const left = without(columns, some);
      expect([...left.ms].some((ms) => some.has(ms))).toBe(false);
      expect(left.ms.length + some.size).toBe(columns.ms.length);
      expect(readingsOf(merged(left, columns).columns)).toEqual(readingsOf(columns));
    }),
  );
});
