import { addDays } from '../quantity';
import { degreeDays } from './degree-days';
import { degreeDaysOfReadings } from './degree-days-of-readings';

const START = '2026-05-01T00:00:00.000Z';
const after = (days: number, tempC: number) => ({ at: addDays(START, days), tempC });

describe('degree-days of readings', () => {
  test('a steady warmth is days times what lies above (Hartley & Lester 2003: 445.4 above 15.9 °C; from memory)', () => {
    expect(degreeDaysOfReadings([after(0, 25.9), after(44.54, 25.9)], 15.9)).toBeCloseTo(445.4, 9);
  });

  test('a straight rise through the threshold is a triangle', () => {
    // from 10 to 20 °C in a day, above 15 °C for half a day and 2.5 °C in the middle of it
    expect(degreeDaysOfReadings([after(0, 10), after(1, 20)], 15)).toBeCloseTo(1.25, 12);
    // and a ceiling of 18 °C cuts the tip off: 0.2 of a day, 1 °C in its middle
    expect(degreeDaysOfReadings([after(0, 10), after(1, 20)], 15, 18)).toBeCloseTo(1.25 - 0.2, 12);
  });

  // Closed form against numerical integration, computed on a separate machine (Baskerville & Emin 1969; from memory).
  test.each([
    [10, 30, 12, 8.2712],
    [8, 20, 12, 3.017],
    [15, 25, 15.9, 4.2157],
  ])(
    'readings of a sine from %d to %d °C above %d °C come to the single sine: %d',
    (min, max, above, sum) => {
      const readings = Array.from({ length: 2001 }, (_, i) =>
        after(i / 2000, (min + max) / 2 + ((max - min) / 2) * Math.sin((2 * Math.PI * i) / 2000)),
      );
      expect(degreeDaysOfReadings(readings, above)).toBeCloseTo(sum, 3);
      expect(degreeDaysOfReadings(readings, above)).toBeCloseTo(
        degreeDays({ minC: min, maxC: max }, above),
        4,
      );
    },
  );

  test('a reading on the straight line changes nothing, nor does the order', () => {
    const two = [after(0, 12), after(2, 24)];
    const three = [after(2, 24), after(0, 12), after(0.5, 15)];
    expect(degreeDaysOfReadings(three, 14)).toBeCloseTo(degreeDaysOfReadings(two, 14), 12);
  });

  test('fewer than two cover no time', () => {
    expect(degreeDaysOfReadings([], 12)).toBe(0);
    expect(degreeDaysOfReadings([after(0, 25)], 12)).toBe(0);
  });

  test('refuses what cannot be', () => {
    expect(() => degreeDaysOfReadings([{ at: 'noon', tempC: 20 }], 12)).toThrow(/not a date/);
    expect(() => degreeDaysOfReadings([after(0, NaN)], 12)).toThrow(/not a number/);
    expect(() => degreeDaysOfReadings([after(0, 20)], 12, 10)).toThrow(/not above the threshold/);
  });
});
