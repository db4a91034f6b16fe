import type { Due } from '@gentle-burrow/core/agenda';
import type { ShelfRow } from '@gentle-burrow/core/view';
import { showDatesIn } from '@/ui/dates';
import { answer } from './answer';
import type { ShelfPlan } from './plan';

const NOW = new Date('2026-06-10T12:00:00Z');
const row = (label: string, pressure: ShelfRow['pressure'], lost = false) =>
  ({
    queen: { id: label, label },
    pressure,
    lost: lost ? { how: 'died', at: '2026-01-01T00:00:00Z' } : null,
  }) as ShelfRow;
const due = (queenId: string, task: Due['task'], best = NOW.toISOString()) =>
  ({ queenId, task, best }) as Due;
const plan = (given: Partial<ShelfPlan> = {}): ShelfPlan => ({
  visits: [],
  unmet: [],
  openings: 0,
  timers: [],
  resting: [],
  ...given,
});
const say = (rows: ShelfRow[], given?: Partial<ShelfPlan>) => answer(rows, () => plan(given), NOW);

beforeEach(() => showDatesIn('Europe/Berlin'));
afterEach(() => showDatesIn(null));

test('the whole shelf in one sentence', () => {
  expect(say([row('A', 'now'), row('B', 'soon'), row('C', 'rest'), row('D', 'free')])).toBe(
    'One tube needs you now. One will soon. Two can be left alone.',
  );
  expect(say([row('A', 'now'), row('B', 'now')])).toBe('Two tubes need you now.');
});

test('when nothing needs the keeper, it is said with the day of the first visit', () => {
  const visits = [{ day: '2026-06-20', windows: [due('A', 'look')] }];
  expect(say([row('A', 'rest'), row('B', 'rest')], { visits })).toBe(
    'Nothing needs you until 20 Jun. Leave the drawer shut.',
  );
});

test('what runs out within hours, or falls on none of the days, comes before the first visit', () => {
  const visits = [{ day: '2026-06-20', windows: [due('A', 'look')] }];
  const hours = due('A', 'take-out', '2026-06-11T08:00:00Z');
  expect(say([row('A', 'rest')], { visits, timers: [hours] })).toMatch(/until 11 Jun/);
  expect(say([row('A', 'rest')], { visits, unmet: [hours] })).toMatch(/until 11 Jun/);
});

test('a look that is planned for today is said, and the drawer is not shut', () => {
  const visits = [{ day: '2026-06-10', windows: [due('A', 'look')] }];
  expect(say([row('A', 'free'), row('B', 'rest')], { visits })).toBe(
    'Nothing is urgent. You can take one short look at A today.',
  );
  const more = [{ day: '2026-06-10', windows: [due('A', 'look'), due('B', 'clean')] }];
  expect(say([row('A', 'free'), row('B', 'free')], { visits: more })).toBe(
    'Nothing is urgent. You can visit A and B today.',
  );
});

test('the drawer is not said to be shut while a look is free', () => {
  const visits = [{ day: '2026-06-20', windows: [due('A', 'look')] }];
  expect(say([row('A', 'free')], { visits })).toBe('Nothing needs you until 20 Jun.');
});

test('the lost need nothing', () => {
  expect(say([row('A', 'rest', true)])).toBe('No living queen stands here.');
});
