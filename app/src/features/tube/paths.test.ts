import { ellipsePath, placed } from './paths';

/** End points of all commands, in order. */
const points = (d: string) =>
  [...d.matchAll(/(-?[\d.]+) (-?[\d.]+)(?=[A-Z]|$)/g)].map((m) => [Number(m[1]), Number(m[2])]);

test('an ellipse goes through both ends of its long axis, turned or not', () => {
  expect(points(ellipsePath(10, 5, 4, 2))).toEqual([
    [6, 5],
    [14, 5],
    [6, 5],
  ]);
  expect(points(ellipsePath(10, 5, 4, 2, 90))).toEqual([
    [10, 1],
    [10, 9],
    [10, 1],
  ]);
});

test('points are scaled, then turned, then moved', () => {
  const place = { x: 100, y: 50, turn: 90, scaleX: 2, scaleY: 3 };
  expect(placed('M1 0L0 1', place)).toBe('M100 52L97 50');
  expect(placed('M1 0L0 -1Z', { ...place, turn: 0, scaleX: -2 })).toBe('M98 50L100 47Z');
});
