import { instantOf } from '../quantity';
import { degreeDaysOfSpans, summaryOf, type TempSpan } from './summary';

const HOUR = 3_600_000;
/** Midnight in Berlin. */
const START = Date.UTC(2026, 5, 1, 22);
const hours = (n: number, tempC: (h: number) => number, from = START): TempSpan[] =>
  Array.from({ length: n }, (_, h) => ({
    at: instantOf(from + h * HOUR),
    minC: tempC(h) - 0.5,
    meanC: tempC(h),
    maxC: tempC(h) + 0.5,
  }));

describe('what days are like', () => {
  test('lowest, highest, the middle swing and the nights by the keeper’s clock', () => {
    // 20 °C from midnight to eight and from ten in the evening, 26 °C between
    const day = (h: number) => (h % 24 < 8 || h % 24 >= 22 ? 20 : 26);
    expect(summaryOf(hours(72, day), 'Europe/Berlin')).toEqual({
      lowC: 19.5,
      highC: 26.5,
      meanC: (20 * 10 + 26 * 14) / 24,
      swingC: 7,
      nightC: 20,
    });
  });

  test('a day that was hardly read tells no swing; nothing tells nothing', () => {
    expect(
      summaryOf(
        hours(5, () => 22),
        'Europe/Berlin',
      ),
    ).toMatchObject({ swingC: null, meanC: 22 });
    expect(summaryOf([], 'Europe/Berlin')).toBeNull();
  });
});

describe('degree-days of spans', () => {
  test('a week at 22 °C above 15 °C is seven times seven', () => {
    expect(
      degreeDaysOfSpans(
        hours(168, () => 22),
        HOUR,
        15,
      ),
    ).toBeCloseTo(49, 9);
  });

  test('a day without readings adds nothing', () => {
    const two = [...hours(24, () => 22), ...hours(24, () => 22, START + 48 * HOUR)];
    expect(degreeDaysOfSpans(two, HOUR, 15)).toBeCloseTo(14, 9);
  });

  test('an hour missing now and then is no gap', () => {
    const some = hours(48, () => 22).filter((_, i) => i % 5 !== 1);
    expect(degreeDaysOfSpans(some, HOUR, 15)).toBeCloseTo(14, 9);
  });
});
