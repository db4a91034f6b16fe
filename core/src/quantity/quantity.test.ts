import { quantileRank, mean, quantileSorted as peerQuantile } from 'simple-statistics';
import {
  addDays,
  bandOfSorted,
  countRange,
  countText,
  daysBetween,
  daysText,
  evenPoints,
  InputError,
  instantOf,
  interval,
  latest,
  msOf,
  need,
  normalBelow,
  normalQuantile,
  phrase,
  plainText,
  quantileSorted,
  quickNormalBelow,
  quickNormalQuantile,
  uniformStream,
  within,
} from './index';

describe('counts', () => {
  test.each([
    [0, 0, 'none'],
    [5, 5, '5'],
    [8, 15, '8–15'],
    [1, null, 'some'],
    [20, null, 'at least 20'],
    [0, 3, '0–3'],
  ] as const)('%d to %s reads "%s"', (low, high, text) => expect(countText({ low, high })).toBe(text));

  test.each([
    [NaN, 3],
    [-1, 3],
    [1.5, 3],
    [1, NaN],
    [4, 3],
  ])('%d to %d is refused', (low, high) => {
    expect(() => countRange(low, high, 'eggs')).toThrow(InputError);
  });

  test('a refusal names the field and says how to mend it', () => {
    try {
      countRange(9, 3, 'eggs');
      throw new Error('not refused');
    } catch (error) {
      expect(error).toMatchObject({
        field: 'eggs',
        message: expect.stringContaining('Swap them or correct one.'),
      });
    }
  });
});

describe('moments', () => {
  test('days go over a change of the clocks: they are 24 hours', () => {
    expect(daysBetween('2026-03-28T12:00:00Z', '2026-03-30T12:00:00Z')).toBe(2);
    expect(addDays('2026-02-28T12:00:00.000Z', 1)).toBe('2026-03-01T12:00:00.000Z');
  });

  test('the latest of what is given', () => {
    const [a, b] = ['2026-05-01T00:00:00Z', '2026-05-01T00:00:00.001Z'];
    expect(latest(a, null, b, undefined)).toBe(b);
    expect(latest(null, undefined)).toBeNull();
  });

  test('there and back', () =>
    expect(instantOf(msOf('2026-05-01T10:20:30.400Z'))).toBe('2026-05-01T10:20:30.400Z'));

  test('what is no date is refused with an example', () => {
    expect(() => msOf('first of May')).toThrow(
      '"first of May" is not a date. Write it like 2026-05-03T18:20:00Z.',
    );
  });
});

describe('intervals', () => {
  test('by before after is refused', () => {
    expect(() => interval('2026-05-09T00:00:00Z', '2026-05-02T00:00:00Z')).toThrow(/Swap the two dates/);
  });
  test('either end may be open', () => {
    expect(interval(null, '2026-05-02T00:00:00Z')).toEqual({ after: null, by: '2026-05-02T00:00:00Z' });
    expect(interval('2026-05-02T00:00:00Z', null).by).toBeNull();
  });
});

describe('bands', () => {
  test('quantiles lie between order statistics as Hyndman & Fan type 7 has them (R and spreadsheets: 1..10 → 1.9)', () => {
    const ten = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10];
    expect(quantileSorted(ten, 0.1)).toBeCloseTo(1.9, 12);
    expect(quantileSorted(ten, 0.5)).toBeCloseTo(5.5, 12);
    expect(quantileSorted(ten, 0.9)).toBeCloseTo(9.1, 12);
  });

  test('on many values they agree with simple-statistics', () => {
    const random = uniformStream(4);
    const values = Array.from({ length: 5001 }, random).sort((a, b) => a - b);
    for (const share of [0.1, 0.5, 0.9])
      expect(quantileSorted(values, share)).toBeCloseTo(peerQuantile(values, share), 3);
    expect(quantileRank(values, bandOfSorted(values).p90)).toBeCloseTo(0.9, 3);
  });

  test('what never comes stays at infinity', () => {
    expect(quantileSorted([1, 2, Infinity, Infinity], 0.9)).toBe(Infinity);
    expect(quantileSorted([1, 2, Infinity, Infinity], 0.2)).toBeCloseTo(1.6, 12);
  });
});

describe('the normal distribution', () => {
  // Standard normal table: 1.2816 at 90 %, 1.9600 at 97.5 %, 2.5758 at 99.5 % (any statistics text).
  test.each([
    [1.2815515655446004, 0.9],
    [1.959963984540054, 0.975],
    [2.5758293035489004, 0.995],
  ])('%d holds %d below it', (z, share) => {
    expect(normalBelow(z)).toBeCloseTo(share, 12);
    expect(normalQuantile(share)).toBeCloseTo(z, 9);
  });

  test('is symmetrical, and open at both ends', () => {
    expect(normalBelow(-1.7) + normalBelow(1.7)).toBeCloseTo(1, 14);
    expect(normalQuantile(0)).toBe(-Infinity);
    expect(normalQuantile(1)).toBe(Infinity);
  });

  test('by the table it is the exact one, in the middle and far out', () => {
    for (let z = -9; z <= 9; z += 0.0137) {
      expect(Math.abs(quickNormalBelow(z) - normalBelow(z))).toBeLessThan(1e-9);
      const share = normalBelow(z);
      if (share > 0 && share < 1)
        expect(Math.abs(quickNormalQuantile(share) - normalQuantile(share))).toBeLessThan(1e-7);
    }
    // far below, where little is left, its proportion still holds
    expect(quickNormalBelow(-12) / normalBelow(-12)).toBeCloseTo(1, 9);
  });

  test('a stream through the quantile has mean 0 and spread 1', () => {
    const random = uniformStream(8);
    const draws = Array.from({ length: 20_000 }, () => normalQuantile(random()));
    expect(Math.abs(mean(draws))).toBeLessThan(0.03);
    expect(Math.sqrt(mean(draws.map((d) => d * d)))).toBeCloseTo(1, 1);
  });
});

describe('points that fill evenly', () => {
  test('are the same for the same seed, another for another, and never 0 or 1', () => {
    const take = (seed: number) => {
      const at = evenPoints(9, seed);
      return Array.from({ length: 900 }, (_, i) => at(i, i % 9));
    };
    expect(take(3)).toEqual(take(3));
    expect(take(3)).not.toEqual(take(4));
    expect(take(5).every((x) => x > 0 && x < 1)).toBe(true);
  });

  // ∫(x₁+…+x₉)² = 9/3 + 72/4 = 21 by hand. By chance 1,000 points err by √(variance/1,000), 0.25; even ones must do
  // better than half of that, whatever the seed.
  test('find an integral closer than chance does', () => {
    const errors = Array.from({ length: 20 }, (_, seed) => {
      const at = evenPoints(9, seed);
      const squares = Array.from({ length: 1000 }, (_, i) => {
        const sum = Array.from({ length: 9 }, (_, d) => at(i, d)).reduce((a, x) => a + x, 0);
        return sum * sum;
      });
      return mean(squares) - 21;
    });
    expect(Math.sqrt(mean(errors.map((e) => e * e)))).toBeLessThan(0.12);
  });
});

describe('the stream of numbers', () => {
  test('is the same for the same seed, another for another, and never 0 or 1', () => {
    const take = (seed: number) => {
      const next = uniformStream(seed);
      return Array.from({ length: 1000 }, next);
    };
    expect(take(3)).toEqual(take(3));
    expect(take(3)).not.toEqual(take(4));
    expect(take(5).every((x) => x > 0 && x < 1)).toBe(true);
    // tenths are evenly filled: chi-square with 9 degrees of freedom, 99.9 % point 27.9 (any statistics text)
    const bins = new Array<number>(10).fill(0);
    const next = uniformStream(6);
    for (let i = 0; i < 10_000; i++) bins[Math.floor(next() * 10)]!++;
    expect(bins.reduce((sum, b) => sum + (b - 1000) ** 2 / 1000, 0)).toBeLessThan(27.9);
  });
});

describe('sentences', () => {
  test('keep their values apart until they are read out', () => {
    const says = phrase`She stands at ${{ tempC: 21.26 }} until ${{ date: '2026-06-09T10:00:00Z' }}, ${{ percent: 12.4 }} sure.`;
    expect(says).toContainEqual({ tempC: 21.26 });
    expect(plainText(says)).toBe('She stands at 21.3 °C until 2026-06-09, 12 % sure.');
    expect(plainText(phrase`${{ mm: 71.6 }} after ${{ days: 3 }}: ${{ word: 'eggs' }}`)).toBe(
      '72 mm after 3 days: eggs',
    );
  });

  test.each([
    [0.2, 'less than a day'],
    [1.2, '1 day'],
    [12.4, '12 days'],
    [100, '3 months'],
    [1000, '3 years'],
  ])('%d days read "%s"', (days, text) => expect(daysText(days)).toBe(text));
});

describe('bounds', () => {
  const bounds = { min: 0, max: 45, unit: '°C' };
  test('let through what lies within, ends and all', () => {
    expect(within(0, 't', 'The warmth', bounds)).toBe(0);
    expect(within(45, 't', 'The warmth', bounds)).toBe(45);
  });
  test.each([NaN, Infinity, -0.001, 45.1, '20' as never])('refuse %p', (value) => {
    expect(() => within(value, 't', 'The warmth', bounds)).toThrow(/^The warmth/);
  });
  test('need throws its sentence', () => expect(() => need(false, 'x', 'Mend it.')).toThrow('Mend it.'));
});
