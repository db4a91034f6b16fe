import { fitLogNormal, kaplanMeier, logRank, turnbull, type TimeInterval } from './index';

// Breast cosmesis, radiotherapy arm: Finkelstein & Wolfe 1985, Biometrics 41:933–945
const COSMESIS = (
  '45,∞ 25,37 37,∞ 6,10 46,∞ 0,5 0,7 26,40 18,∞ 46,∞ 46,∞ 24,∞ 46,∞ 27,34 36,∞ 7,16 36,44 5,11 17,∞ 46,∞ 19,35 7,14 ' +
  '36,48 17,25 37,44 37,∞ 24,∞ 0,8 40,∞ 32,∞ 4,11 17,25 33,∞ 15,∞ 46,∞ 19,26 11,15 11,18 37,∞ 22,∞ 38,∞ 34,∞ 46,∞ ' +
  '5,12 36,∞ 46,∞'
)
  .split(' ')
  .map((text): TimeInterval => {
    const [after, by] = text.split(',');
    return { after: Number(after), by: by === '∞' ? Infinity : Number(by) };
  });

describe('interval-censored times, against figures computed with R survival 3.5', () => {
  test('all 46 intervals are there', () => expect(COSMESIS).toHaveLength(46));

  test.each([
    [5, 0.954],
    [7, 0.92],
    [8, 0.832],
    [12, 0.761],
    [25, 0.668],
    [34, 0.586],
    [40, 0.466],
  ])('Turnbull: just after %s still without are %s', (time, expected) => {
    expect(turnbull(COSMESIS).survivalAfter(time)).toBeCloseTo(expected, 3);
  });

  test('log-normal by maximum likelihood', () => {
    const fit = fitLogNormal(COSMESIS);
    expect(fit.mu).toBeCloseTo(3.7503, 3);
    expect(fit.sigma).toBeCloseTo(1.308, 3);
  });
});

describe('Turnbull', () => {
  test('masses come to one', () => {
    expect(turnbull(COSMESIS).masses.reduce((sum, m) => sum + m.mass, 0)).toBeCloseTo(1, 5);
  });
  test('exact times give back the plain empirical shares', () => {
    const exact = [3, 5, 5, 9].map((t) => ({ after: t, by: t }));
    expect(turnbull(exact).survivalAfter(4)).toBeCloseTo(0.75, 9);
    expect(turnbull(exact).survivalAfter(5)).toBeCloseTo(0.25, 9);
  });
  test('exact and right-censored times agree with Kaplan and Meier', () => {
    const watched = [6, 7, 9, 10, 11].map((time, i) => ({ time, ended: i % 2 === 0 }));
    const same = watched.map((w) => ({ after: w.time, by: w.ended ? w.time : Infinity }));
    const t = turnbull(same);
    for (const step of kaplanMeier(watched)) expect(t.survivalAfter(step.time)).toBeCloseTo(step.survival, 5);
  });
  test.each([
    [[], /nothing to estimate/],
    [[{ after: 5, by: 3 }], /cannot be/],
    [[{ after: NaN, by: 3 }], /cannot be/],
  ])('%j is refused', (intervals, says) => expect(() => turnbull(intervals)).toThrow(says));
});

describe('the log-normal fit', () => {
  test('of exact times is mean and deviation of their logarithms', () => {
    const times = [4, 7, 12, 30];
    const logs = times.map(Math.log);
    const mean = logs.reduce((a, b) => a + b) / 4;
    const fit = fitLogNormal(times.map((t) => ({ after: t, by: t })));
    expect(fit.mu).toBeCloseTo(mean, 9);
    expect(fit.sigma).toBeCloseTo(Math.sqrt(logs.reduce((s, l) => s + (l - mean) ** 2, 0) / 4), 9);
    expect(fit.median).toBeCloseTo(Math.exp(mean), 9);
  });
  test('nothing seen yet: nothing is made up', () => {
    expect(() => fitLogNormal([{ after: 30, by: Infinity }])).toThrow(/Nothing has come about/);
  });
});

describe('Kaplan and Meier, 6-MP remissions (Freireich et al. 1963; R survival 3.5)', () => {
  const ended = [6, 6, 6, 7, 10, 13, 16, 22, 23];
  const going = [6, 9, 10, 11, 17, 19, 20, 25, 32, 32, 34, 35];
  const treated = [
    ...ended.map((time) => ({ time, ended: true })),
    ...going.map((time) => ({ time, ended: false })),
  ];
  const steps = kaplanMeier(treated);
  test.each([
    [6, 0.857, 0.0764],
    [7, 0.807, 0.0869],
    [10, 0.753, 0.0963],
    [13, 0.69, 0.1068],
    [16, 0.627, 0.1141],
    [22, 0.538, 0.1282],
    [23, 0.448, 0.1346],
  ])('at %s: %s ± %s', (time, survival, error) => {
    const step = steps.find((s) => s.time === time);
    expect(step?.survival).toBeCloseTo(survival, 3);
    expect(step?.error).toBeCloseTo(error, 4);
  });
  test('its 95 % interval at 10', () => {
    const step = steps.find((s) => s.time === 10);
    expect(step?.low).toBeCloseTo(0.586, 3);
    expect(step?.high).toBeCloseTo(0.968, 3);
  });
  test('the log-rank test finds the difference to the placebo arm (chi-square 16.79, from memory)', () => {
    const placebo = [1, 1, 2, 2, 3, 4, 4, 5, 5, 8, 8, 8, 8, 11, 11, 12, 12, 15, 17, 22, 23].map((time) => ({
      time,
      ended: true,
    }));
    expect(logRank(treated, placebo)).toBeLessThan(1e-4);
    expect(logRank(treated, placebo)).toBeGreaterThan(1e-5);
    expect(logRank(treated, treated)).toBeCloseTo(1, 9);
  });
  test('nobody ended: no steps', () => expect(kaplanMeier([{ time: 5, ended: false }])).toEqual([]));
  test('a time below zero is refused', () => {
    expect(() => kaplanMeier([{ time: -1, ended: true }])).toThrow(/not a number of days/);
  });
});
