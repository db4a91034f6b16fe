import type { ShelfRow } from '@gentle-burrow/core/view';
import { answer } from './arrange';

const row = (pressure: ShelfRow['pressure'], restUntil: string | null = null, lost = false): ShelfRow =>
  ({ pressure, restUntil, lost: lost ? { how: 'died', at: '2026-01-01T00:00:00Z' } : null }) as ShelfRow;
const year = new Date().getFullYear();

test('the whole shelf in one sentence', () => {
  expect(answer([row('now'), row('soon'), row('rest'), row('free')])).toBe(
    'One tube needs you now. One will soon. Two can be left alone.',
  );
  expect(answer([row('now'), row('now')])).toBe('Two tubes need you now.');
});

test('when nothing needs the keeper, it is said with the first date', () => {
  expect(
    answer([row('rest', `${year}-12-24T12:00:00.000Z`), row('rest', `${year}-12-20T12:00:00.000Z`)]),
  ).toBe('Nothing needs you until 20 Dec. Leave the drawer shut.');
});

test('the lost need nothing', () => {
  expect(answer([row('rest', null, true)])).toBe('No living queen stands here.');
});
