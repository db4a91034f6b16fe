import { hygrometerCorrection } from './hygrometer';

describe('correction of a hygrometer', () => {
  test('one point shifts it', () => {
    expect(hygrometerCorrection([{ shown: 0.7, truth: 0.7529 }])).toEqual({
      offset: expect.closeTo(0.0529, 12),
      slope: 1,
    });
  });

  test('two points lie on the line', () => {
    const { offset, slope } = hygrometerCorrection([
      { shown: 0.38, truth: 0.3278 },
      { shown: 0.71, truth: 0.7529 },
    ]);
    expect(offset + slope * 0.38).toBeCloseTo(0.3278, 12);
    expect(offset + slope * 0.71).toBeCloseTo(0.7529, 12);
  });

  test('more points: the sums of errors and of errors by what was shown are nothing (normal equations)', () => {
    const points = [
      { shown: 0.3, truth: 0.33 },
      { shown: 0.5, truth: 0.51 },
      { shown: 0.7, truth: 0.76 },
      { shown: 0.8, truth: 0.83 },
    ];
    const { offset, slope } = hygrometerCorrection(points);
    const errors = points.map((p) => p.truth - offset - slope * p.shown);
    expect(errors.reduce((a, b) => a + b, 0)).toBeCloseTo(0, 12);
    expect(points.reduce((a, p, i) => a + p.shown * (errors[i] as number), 0)).toBeCloseTo(0, 12);
  });

  test('the same point twice says no more of the slope than once', () => {
    const { offset, slope } = hygrometerCorrection([
      { shown: 0.7, truth: 0.75 },
      { shown: 0.7, truth: 0.77 },
    ]);
    expect(slope).toBe(1);
    expect(offset).toBeCloseTo(0.06, 12);
  });

  test('refuses nothing, and what is no number', () => {
    expect(() => hygrometerCorrection([])).toThrow(/No check was made/);
    expect(() => hygrometerCorrection([{ shown: NaN, truth: 0.5 }])).toThrow(/not a number/);
  });
});
