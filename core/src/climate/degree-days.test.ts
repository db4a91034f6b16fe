import { degreeDays } from './degree-days';

describe('degree-days by the single sine', () => {
  // Closed form against numerical integration, computed on a separate machine (Baskerville & Emin 1969; from memory).
  test.each([
    [10, 30, 12, 8.2712],
    [8, 20, 12, 3.017],
    [15, 25, 15.9, 4.2157],
  ])('%d–%d °C above %d °C gives %d', (minC, maxC, threshold, expected) => {
    expect(degreeDays({ minC, maxC }, threshold)).toBeCloseTo(expected, 4);
  });

  test('equals the sum over a finely sampled sine, with and without a ceiling', () => {
    const steps = 200_000;
    for (const [minC, maxC, lower, upper] of [
      [9, 27, 13, 24],
      [2, 40, 10, 30],
      [14, 16, 12, 15],
    ] as const) {
      let open = 0;
      let capped = 0;
      for (let i = 0; i < steps; i++) {
        const t = (minC + maxC) / 2 + ((maxC - minC) / 2) * Math.sin((2 * Math.PI * (i + 0.5)) / steps);
        open += Math.max(0, t - lower) / steps;
        capped += Math.max(0, Math.min(t, upper) - lower) / steps;
      }
      expect(degreeDays({ minC, maxC }, lower)).toBeCloseTo(open, 6);
      expect(degreeDays({ minC, maxC }, lower, upper)).toBeCloseTo(capped, 6);
    }
  });

  test('is the plain difference on a day wholly above, and nothing on a day wholly below', () => {
    expect(degreeDays({ minC: 25.9, maxC: 25.9 }, 15.9)).toBeCloseTo(10, 12);
    expect(degreeDays({ minC: 4, maxC: 11 }, 12)).toBe(0);
  });

  test('refuses what cannot be a day', () => {
    expect(() => degreeDays({ minC: 30, maxC: 10 }, 12)).toThrow(/below its minimum/);
    expect(() => degreeDays({ minC: NaN, maxC: 10 }, 12)).toThrow(/not a number/);
    expect(() => degreeDays({ minC: 1, maxC: 10 }, 12, 11)).toThrow(/not above the threshold/);
  });
});
