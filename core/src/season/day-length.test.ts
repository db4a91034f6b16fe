import { getTimes } from 'suncalc';
import { dayLengthH } from './day-length';

describe('day length', () => {
  test('agrees within four minutes with suncalc, from 60° south to 60° north, through the year', () => {
    for (const latitude of [-60, -35, -10, 0, 20, 51.5, 60])
      for (let month = 0; month < 12; month++) {
        const noon = new Date(Date.UTC(2026, month, 21, 12));
        const { sunrise, sunset } = getTimes(noon, latitude, 0);
        if (!sunrise || !sunset) throw new Error('the sun rises and sets there');
        const peer = (sunset.getTime() - sunrise.getTime()) / 3_600_000;
        expect(Math.abs(dayLengthH(latitude, noon) - peer)).toBeLessThan(4 / 60);
      }
  });

  // from memory: a little over 12 h everywhere at the equinox; 51.5° N on 21 June about 16 h 38 min
  test('is a little over twelve hours at the equinox, and 16 h 38 min at 51.5° N in midsummer', () => {
    for (const latitude of [-45, 0, 30, 50]) {
      expect(dayLengthH(latitude, '2026-03-20T12:00:00Z')).toBeGreaterThan(12);
      expect(dayLengthH(latitude, '2026-03-20T12:00:00Z')).toBeLessThan(12.3);
    }
    expect(dayLengthH(51.5, '2026-06-21T12:00:00Z')).toBeCloseTo(16 + 38 / 60, 1);
  });

  test('is all day or nothing at the poles', () => {
    expect(dayLengthH(90, '2026-06-21T12:00:00Z')).toBe(24);
    expect(dayLengthH(-90, '2026-06-21T12:00:00Z')).toBe(0);
  });

  test('refuses a latitude beyond the pole, and what is no date', () => {
    expect(() => dayLengthH(91, '2026-06-21T12:00:00Z')).toThrow(/latitude/i);
    expect(() => dayLengthH(50, 'midsummer')).toThrow(/not a date/);
  });
});
