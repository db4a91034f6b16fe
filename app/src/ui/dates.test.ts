import { bandText, dayText, intervalText, nearText, spanText } from './dates';
import { fromC, lengthText, parseNumber, tempText, toC, toMm } from './units';

const NOW = new Date('2026-06-10T12:00:00');
const at = (day: string) => new Date(`${day}T12:00:00`).toISOString();

describe('days in words', () => {
  test('the year is said only when it is another', () => {
    expect(dayText(at('2026-06-03'), NOW)).toBe('3 Jun');
    expect(dayText(at('2027-01-03'), NOW)).toBe('3 Jan 2027');
  });

  test('near days by distance, far ones by date', () => {
    expect(nearText(at('2026-06-10'), NOW)).toBe('today');
    expect(nearText(at('2026-06-09'), NOW)).toBe('yesterday');
    expect(nearText(at('2026-06-13'), NOW)).toBe('in 3 days');
    expect(nearText(at('2026-05-01'), NOW)).toBe('1 May');
  });

  test('spans share what they can', () => {
    expect(spanText(at('2026-06-03'), at('2026-06-09'), NOW)).toBe('between 3 and 9 Jun');
    expect(spanText(at('2026-05-28'), at('2026-06-03'), NOW)).toBe('between 28 May and 3 Jun');
    expect(spanText(at('2026-06-03'), at('2026-06-03'), NOW)).toBe('on 3 Jun');
  });

  test('what has no look without it is only bounded above', () => {
    expect(intervalText({ after: null, by: new Date().toISOString() })).toMatch(/^by /);
    expect(intervalText({ after: null, by: null })).toBe('not seen');
  });

  test('what is ahead never reads as a date in the past', () => {
    const band = (p10: string | null, p50: string | null, p90: string | null) =>
      bandText({ p10: p10 && at(p10), p50: p50 && at(p50), p90: p90 && at(p90) }, NOW);
    expect(band('2026-06-12', '2026-06-15', '2026-06-20')).toBe('between 12 and 20 Jun');
    expect(band('2026-06-02', '2026-06-12', '2026-06-20')).toBe('any day until 20 Jun');
    expect(band('2026-06-02', '2026-06-04', '2026-06-08')).toBe('probably there by now');
    expect(band('2026-07-02', '2026-08-04', null)).toBe('from 2 Jul on, perhaps much later');
    expect(band(null, null, null)).toBe('not at this warmth');
  });
});

describe('units at the edge', () => {
  test('25 °C is 77 °F and back (definition of the scales)', () => {
    expect(tempText(25, 'F')).toBe('77 °F');
    expect(toC(77, 'F')).toBeCloseTo(25, 12);
    expect(fromC(-40, 'F')).toBe(-40);
  });
  test('an inch is 25.4 mm (definition)', () => {
    expect(toMm(1, 'in')).toBe(25.4);
    expect(lengthText(127, 'in')).toBe('5 in');
    expect(lengthText(127, 'mm')).toBe('127 mm');
  });
  test('a comma is taken as a point; words are no numbers', () => {
    expect(parseNumber(' 16,5 ')).toBe(16.5);
    expect(parseNumber('16.')).toBe(16);
    for (const text of ['', '8o', '1e3', '1 6', '-']) expect(parseNumber(text)).toBeNull();
  });
});
