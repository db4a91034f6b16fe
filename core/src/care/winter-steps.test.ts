import { addDays, daysBetween, plainText } from '../quantity';
import { gradualSteps, stepsPhrase } from './winter-steps';

const FROM = '2026-10-31T12:00:00.000Z';

describe('a gradual change of warmth', () => {
  test('goes in equal small steps some days apart and ends where it should (common practice, no source)', () => {
    const steps = gradualSteps(24, 6.5, FROM);
    expect(steps[0]).toMatchObject({ at: FROM, tempC: 20.5 });
    expect(steps.at(-1)?.tempC).toBeCloseTo(6.5, 9);
    steps.forEach(({ at, tempC }, i) => {
      expect(Math.abs(tempC - (steps[i - 1]?.tempC ?? 24))).toBeLessThanOrEqual(4);
      if (i > 0) expect(daysBetween(steps[i - 1]?.at ?? '', at)).toBe(3);
    });
    // "over a week or two"
    expect(daysBetween(FROM, addDays(steps.at(-1)?.at ?? '', 3))).toBeLessThanOrEqual(15);
    expect(gradualSteps(6.5, 24, FROM).map((s) => s.tempC)).toEqual([10, 13.5, 17, 20.5, 24]);
  });

  test('none where nothing changes, and in words', () => {
    expect(gradualSteps(7, 7, FROM)).toEqual([]);
    expect(plainText(stepsPhrase(gradualSteps(12, 6, FROM)))).toBe(
      '9 °C from 2026-10-31, 6 °C from 2026-11-03',
    );
  });
});
