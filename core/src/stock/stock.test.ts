import { stockItemSchema, stockMoveSchema } from '../facts';

import { testId } from '../test-kit';
import { stockLevels, tubesToMake } from './index';

const item = stockItemSchema.parse({ id: testId(), kind: 'finished-tube', name: '16 × 150', lowAt: 2 });
const move = (delta: number, why: string, at = '2026-05-01T10:00:00Z') =>
  stockMoveSchema.parse({ id: testId(), itemId: item.id, at, delta, why });

describe('levels', () => {
  test('counts go down as they are used', () => {
    const [level] = stockLevels([item], [move(6, 'made'), move(-1, 'used'), move(-1, 'used')]);
    expect(level).toMatchObject({ count: 4, low: false });
  });
  test('low is said, and below nothing too', () => {
    expect(stockLevels([item], [move(2, 'made')])[0]).toMatchObject({ count: 2, low: true });
    expect(stockLevels([item], [move(-1, 'used')])[0]).toMatchObject({ count: -1, low: true });
  });
  test('a change of something unknown changes nothing', () => {
    expect(stockLevels([item], [{ ...move(5, 'made'), itemId: testId() }])[0]?.count).toBe(0);
  });
  test.each([0, 1.5, NaN])('a change of %s is refused', (delta) => {
    expect(
      stockMoveSchema.safeParse({
        id: testId(),
        itemId: item.id,
        at: '2026-05-01T10:00:00Z',
        delta,
        why: 'made',
      }).success,
    ).toBe(false);
  });
});

describe('before the flights', () => {
  const day = (d: string) => `${d}T12:00:00.000Z`;
  const last = [
    day('2026-06-20'),
    day('2026-06-20'),
    day('2026-07-02'),
    day('2026-07-15'),
    day('2026-07-15'),
    day('2026-08-01'),
  ];
  const plan = (ready: number, now = day('2026-11-25'), catches = last) => tubesToMake(catches, ready, now);

  test('as many as last season caught and a third more, less what stands ready', () => {
    expect(plan(3)).toMatchObject({ caught: 6, need: 8, make: 5 });
    expect(plan(20)?.make).toBe(0);
    expect(plan(-4)?.make).toBe(8);
  });
  test('ready two weeks before the day of the first catch, next year', () => {
    expect(plan(0)?.by.slice(0, 10)).toBe('2027-06-06');
    expect(plan(0, day('2027-06-30'))?.by.slice(0, 10)).toBe('2028-06-06');
  });
  test('only the last season counts', () => {
    const older = [...last, day('2025-06-01'), day('2025-06-01')];
    expect(plan(0, day('2026-11-25'), older)?.caught).toBe(6);
  });
  test('in the south a season runs over the new year', () => {
    const south = [day('2025-12-20'), day('2026-01-10')];
    expect(tubesToMake(south, 0, day('2026-04-01'), 'south')?.caught).toBe(2);
    expect(tubesToMake(south, 0, day('2026-04-01'), 'north')?.caught).toBe(1);
  });
  test('nobody ever caught anything: nothing is made up', () =>
    expect(plan(0, day('2026-11-25'), [])).toBeNull());
});
