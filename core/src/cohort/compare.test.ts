import { addDays } from '../quantity';
import { compare, type Life } from './index';

const START = '2026-05-01T12:00:00.000Z';
const NOW = addDays(START, 120);
const life = (
  days: number | null,
  how: 'died' | 'escaped' = 'died',
  workers: [number, number] | null = null,
): Life => ({
  from: START,
  eggs: { after: null, by: null },
  workers: workers
    ? { after: addDays(START, workers[0]), by: addDays(START, workers[1]) }
    : { after: null, by: null },
  cameWithWorkers: false,
  ended: days === null ? null : { at: addDays(START, days), how },
});
const group = (name: string, lives: Life[]) => lives.map((l) => ({ group: name, life: l }));
const alive = (n: number) => Array.from({ length: n }, () => life(null));
const dead = (...days: number[]) => days.map((d) => life(d));

test('few queens: that is said, and nothing is ranked', () => {
  const c = compare([...group('drawer', alive(3)), ...group('shelf', dead(5, 9))], NOW);
  expect(c.says).toMatch(/Too few queens/);
  expect(c.p).toBeNull();
});

test('one large group alone is not compared', () => {
  expect(compare([...group('drawer', alive(8)), ...group('shelf', dead(5))], NOW).says).toMatch(
    /Only one group/,
  );
});

test('no clear difference: no ranking', () => {
  const c = compare(
    [...group('a', [...alive(5), ...dead(30)]), ...group('b', [...alive(5), ...dead(40)])],
    NOW,
  );
  expect(c.says).toMatch(/no ranking/);
  expect(c.p).toBeGreaterThan(0.5);
});

test('a clear one is said with its chance, and not called a cause', () => {
  const c = compare([...group('calm', alive(10)), ...group('shaken', dead(5, 6, 8, 9, 11, 12, 15, 20))], NOW);
  expect(c.p).toBeLessThan(0.001);
  expect(c.says).toMatch(/the cause is not shown/);
});

test('who escaped counts as alive until then', () => {
  const c = compare(group('a', [...dead(10), life(5, 'escaped'), ...alive(3)]), NOW);
  // four at risk on day 10: one died
  expect(c.groups[0]?.survival).toMatchObject([{ time: 10, atRisk: 4, survival: 0.75 }]);
});

test('days until workers come from looks as intervals; who came with workers tells nothing', () => {
  const seen: [number, number][] = [
    [40, 50],
    [42, 55],
    [45, 60],
  ];
  const bought = { ...life(null), cameWithWorkers: true };
  const without = { ...life(null), workers: { after: addDays(START, 100), by: null } };
  const c = compare(group('a', [...seen.map((w) => life(null, 'died', w)), without, without, bought]), NOW);
  expect(c.groups[0]).toMatchObject({ n: 5, founded: 3 });
  expect(c.groups[0]!.medianDays).toBeGreaterThan(40);
  // two of five were still without on day 100
  expect(c.groups[0]!.workers!.survivalAfter(60)).toBeCloseTo(0.4, 5);
});

test('half of them by a day that nobody has watched is not told', () => {
  const early = Array.from({ length: 3 }, () => life(null, 'died', [0, 1]));
  const without = Array.from({ length: 10 }, () => ({
    ...life(null),
    workers: { after: addDays(START, 90), by: null },
  }));
  // by maximum likelihood the median of these runs off beyond every number
  expect(compare(group('a', [...early, ...without]), NOW).groups[0]).toMatchObject({
    founded: 3,
    medianDays: null,
  });
});
