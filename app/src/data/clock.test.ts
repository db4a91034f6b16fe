import type { NewQueen } from '@gentle-burrow/contract';
import type { Entry } from '@gentle-burrow/core/log';
import { madeQueen } from '../../test/kit';
import { allowedFor, canBeAllowedFor, clockAheadMs, noteServerClock } from './clock';

const MINUTE = 60_000;
const AHEAD = 11 * MINUTE;
/** What the device shows; it is eleven minutes earlier. */
const NOW = Date.parse('2026-06-10T12:00:00.000Z');
const at = (minutes: number) => new Date(NOW + minutes * MINUTE).toISOString();
const note = (id: string, when: string, loggedAt = when): Entry => ({
  kind: 'note',
  id,
  queenId: '018f0000-0000-7000-8000-000000000001',
  at: when,
  loggedAt,
  text: id,
});
const sent = (...entries: Entry[]) => {
  const out = allowedFor({ what: 'entries', entries }, AHEAD, NOW);
  return out.what === 'entries' ? out.entries : [];
};

test('the difference is measured in the middle of the answer; a few minutes are none', () => {
  noteServerClock('2026-06-10T12:00:00.000Z', NOW + AHEAD - 1000, NOW + AHEAD + 1000);
  expect(clockAheadMs()).toBe(AHEAD);
  noteServerClock('2026-06-10T12:00:00.000Z', NOW - 2 * MINUTE, NOW - 2 * MINUTE);
  expect(clockAheadMs()).toBe(0);
  noteServerClock('2026-06-10T12:00:00.000Z', NOW - 60 * MINUTE, NOW - 60 * MINUTE);
  expect(clockAheadMs()).toBe(-60 * MINUTE);
  expect(canBeAllowedFor(24 * 60 * MINUTE)).toBe(true);
  expect(canBeAllowedFor(25 * 60 * MINUTE)).toBe(false);
  noteServerClock('2026-06-10T12:00:00.000Z', NOW, NOW);
});

test('what was dated by the clock is put right in its order, with what the device showed', () => {
  const [first, second] = sent(note('a', at(-30)), note('b', at(0)));
  expect(first).toMatchObject({ at: at(-41), loggedAt: at(-41), ownAt: at(-30) });
  expect(second).toMatchObject({ at: at(-11), loggedAt: at(-11), ownAt: at(0) });
});

test('a day that the keeper chose stays', () => {
  const [chosen] = sent(note('a', '2026-06-07T18:00:00.000Z', at(0)));
  expect(chosen).toMatchObject({ at: '2026-06-07T18:00:00.000Z', loggedAt: at(-11) });
  expect(chosen).not.toHaveProperty('ownAt');
});

test('of a correction the new date is put right only where it would lie in the future', () => {
  const put = (when: string): Entry => ({
    kind: 'amendment',
    id: 'c',
    queenId: '018f0000-0000-7000-8000-000000000001',
    at: at(0),
    loggedAt: at(0),
    amends: 'a',
    replacement: { kind: 'note', at: when, text: 'x' },
  });
  expect(sent(put(at(-5)))[0]).toMatchObject({ replacement: { at: at(-16) } });
  expect(sent(put(at(-60)))[0]).toMatchObject({ replacement: { at: at(-60) } });
});

test('a queen and her tube stay at one moment, also when she was taken in a while before she is sent', () => {
  const { queen, home, place, entries } = madeQueen('A', 0);
  const intake = { ...(entries[0] as NewQueen['intake']), at: at(-30), loggedAt: at(-30) };
  const body: NewQueen = {
    queen: { ...queen, createdAt: at(-30) },
    home: { ...home, setUpAt: at(-30) },
    place,
    intake,
  };
  const out = allowedFor({ what: 'queen', body }, AHEAD, NOW);
  expect(out).toMatchObject({
    body: {
      queen: { createdAt: at(-41) },
      home: { setUpAt: at(-41) },
      intake: { at: at(-41), ownAt: at(-30) },
    },
  });
});
