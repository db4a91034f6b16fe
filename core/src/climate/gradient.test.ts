import { normalQuantile } from '../quantity';
import { gradientAtC, gradientFit } from './gradient';

const TRUE = { nearC: 31, lengthMm: 55 };
const at = (mm: number, error = 0) => ({ mm, tempC: gradientAtC(TRUE, 21, mm) + error });

describe('fall of warmth along a tube', () => {
  test('two readings without error give the very curve', () => {
    const { nearC, lengthMm } = gradientFit([at(0), at(80)], 21);
    expect(nearC).toBeCloseTo(31, 5);
    expect(lengthMm).toBeCloseTo(55, 4);
  });

  test('at one length from the warm end 37 % of the excess is left (1/e)', () => {
    expect((gradientAtC(TRUE, 21, 55) - 21) / 10).toBeCloseTo(0.3679, 4);
  });

  test('no other curve lies nearer to readings with errors', () => {
    const points = Array.from({ length: 12 }, (_, i) =>
      at(10 * i, 0.3 * normalQuantile((((5 * i) % 12) + 0.5) / 12)),
    );
    const fitted = gradientFit(points, 21);
    const misfit = (g: typeof fitted) =>
      points.reduce((sum, p) => sum + (p.tempC - gradientAtC(g, 21, p.mm)) ** 2, 0);
    const best = misfit(fitted);
    for (const nearC of [-0.5, -0.05, 0, 0.05, 0.5])
      for (const lengthMm of [0.9, 0.99, 1, 1.01, 1.1])
        expect(
          misfit({ nearC: fitted.nearC + nearC, lengthMm: fitted.lengthMm * lengthMm }),
        ).toBeGreaterThanOrEqual(best - 1e-9);
  });

  test('the order of readings does not matter', () => {
    const points = [at(0, 0.1), at(40, -0.2), at(90, 0.1)];
    expect(gradientFit([...points].reverse(), 21).lengthMm).toBeCloseTo(gradientFit(points, 21).lengthMm, 6);
  });

  test('readings that show no fall are refused with what to look at', () => {
    expect(() => gradientFit([at(10)], 21)).toThrow(/second one/);
    expect(() => gradientFit([at(10), at(10, 0.2)], 21)).toThrow(/second one/);
    expect(() =>
      gradientFit(
        [
          { mm: 0, tempC: 24 },
          { mm: 80, tempC: 28 },
        ],
        21,
      ),
    ).toThrow(/which end is the warm one/);
    expect(() =>
      gradientFit(
        [
          { mm: 0, tempC: 21 },
          { mm: 80, tempC: 21 },
        ],
        21,
      ),
    ).toThrow(/do not fall/);
  });
});
