import { TASKS } from '../care';
import { addDays, uniformStream, type Instant } from '../quantity';
import { PREPARE, planVisits, whyLater, type KeeperCalendar, type Window } from './index';

const START: Instant = '2026-06-01T08:00:00.000Z'; // a Monday
const at = (d: number) => addDays(START, d);
const window = (
  homeId: string,
  from: number,
  to: number,
  best = from,
  id = `${homeId}:${from}-${to}`,
): Window => ({
  id,
  queenId: homeId,
  homeId,
  notBefore: at(from),
  best: at(best),
  notAfter: at(to),
});
const calendar = (change: Partial<KeeperCalendar> = {}): KeeperCalendar => ({
  weekdays: [],
  absences: [],
  from: START,
  days: 60,
  ...change,
});
const dayNumber = (d: string) => Math.round((Date.parse(d) - Date.parse(START.slice(0, 10))) / 86_400_000);

/** The fewest days that touch all windows, by trying every set of days. */
function bruteForce(windows: Window[], days: number[]): number {
  const spans = windows.map(
    (w) => [dayNumber(w.notBefore.slice(0, 10)), dayNumber(w.notAfter.slice(0, 10))] as const,
  );
  let best = Infinity;
  for (let set = 0; set < 1 << days.length; set++) {
    const chosen = days.filter((_, i) => set & (1 << i));
    if (chosen.length < best && spans.every(([a, b]) => chosen.some((d) => d >= a && d <= b)))
      best = chosen.length;
  }
  return best;
}

describe('one tube', () => {
  test('minimal for certain: 300 random tubes against every set of days', () => {
    const random = uniformStream(5);
    const int = (max: number) => Math.floor(random() * max);
    for (let k = 0; k < 300; k++) {
      const days = Array.from({ length: 12 }, (_, d) => d).filter(() => random() < 0.75);
      const absent = Array.from({ length: 12 }, (_, d) => d).filter((d) => !days.includes(d));
      const windows = Array.from({ length: 1 + int(5) }, (_, i) => {
        const from = int(12);
        return window('t', from, Math.min(11, from + int(5)), from, String(i));
      }).filter((w) => {
        const [a, b] = [dayNumber(w.notBefore.slice(0, 10)), dayNumber(w.notAfter.slice(0, 10))];
        return days.some((d) => d >= a && d <= b);
      });
      const plan = planVisits(
        windows,
        calendar({
          days: 12,
          absences: absent.map((d) => ({ from: at(d).slice(0, 10), to: at(d).slice(0, 10) })),
        }),
      );
      expect(plan.openings).toBe(windows.length === 0 ? 0 : bruteForce(windows, days));
      // and every window is met within itself
      for (const v of plan.visits)
        for (const w of v.windows) {
          expect(v.day >= w.notBefore.slice(0, 10)).toBe(true);
          expect(v.day <= w.notAfter.slice(0, 10)).toBe(true);
        }
      expect(plan.visits.flatMap((v) => v.windows)).toHaveLength(windows.length);
    }
  });

  test('among equally few visits the best day is taken', () => {
    const plan = planVisits([window('t', 0, 20, 13)], calendar());
    expect(plan.visits.map((v) => dayNumber(v.day))).toEqual([13]);
  });
});

describe('a shelf', () => {
  test('tubes share the keeper’s days where their windows allow it', () => {
    const plan = planVisits(
      [window('a', 0, 10, 2), window('b', 5, 15, 14), window('c', 8, 9, 8)],
      calendar(),
    );
    expect(plan.visits).toHaveLength(1);
    expect(plan.openings).toBe(3);
  });

  test('no tube is opened once more to save the keeper a day', () => {
    const plan = planVisits(
      [window('a', 0, 3), window('a', 2, 6), window('b', 0, 1), window('b', 5, 6)],
      calendar(),
    );
    // a can be met by one opening, b needs two
    expect(plan.openings).toBe(3);
  });

  test('Sundays and Wednesdays only, and not while away', () => {
    const plan = planVisits(
      [window('a', 0, 13), window('b', 14, 27)],
      calendar({ weekdays: [0, 3], absences: [{ from: at(0).slice(0, 10), to: at(5).slice(0, 10) }] }),
    );
    for (const v of plan.visits) expect([0, 3]).toContain(new Date(v.day).getUTCDay());
    expect(dayNumber(plan.visits[0]!.day)).toBeGreaterThan(5);
  });

  test('what falls on no day of the keeper’s is told, not dropped', () => {
    const plan = planVisits([window('a', 0, 1)], calendar({ weekdays: [6] }));
    expect(plan.unmet.map((w) => w.homeId)).toEqual(['a']);
    expect(plan.visits).toEqual([]);
  });

  test('what lies beyond the days planned waits without a word', () => {
    expect(planVisits([window('a', 80, 90)], calendar())).toEqual({ visits: [], unmet: [], openings: 0 });
  });

  test('a deed on a later day than its best says why', () => {
    const why = (windows: Window[], change: Partial<KeeperCalendar> = {}) => {
      const days = calendar(change);
      return planVisits(windows, days).visits.flatMap((v) =>
        v.windows.map((w) => [w.id, whyLater(v, w, days)] as const),
      );
    };
    expect(why([window('a', 0, 10, 2, 'early'), window('b', 8, 9, 8, 'tight')])).toEqual([
      ['early', 'together'],
      ['tight', null],
    ]);
    expect(why([window('a', 0, 3, 0, 'first'), window('a', 3, 6, 3, 'second')])).toEqual([
      ['first', 'same-tube'],
      ['second', null],
    ]);
    expect(why([window('a', 0, 13, 0, 'any')], { weekdays: [6] })).toEqual([['any', 'your-days']]);
    // what is met sooner than on its best day needs no excuse
    expect(why([window('a', 0, 30, 20, 'late'), window('b', 3, 3, 3, 'tight')]).filter(([, w]) => w)).toEqual(
      [],
    );
  });

  test('nothing due, no visit; an impossible window is refused', () => {
    expect(planVisits([], calendar()).visits).toEqual([]);
    expect(() => planVisits([window('a', 5, 2)], calendar())).toThrow(/ends .* before it begins/);
    expect(() => planVisits([], calendar({ days: 0 }))).toThrow(/whole number/);
  });
});

test('for every task it is told what to have ready', () => {
  for (const task of TASKS) expect(PREPARE[task].length).toBeGreaterThan(0);
});
