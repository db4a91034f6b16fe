import { daysBetween, type Instant } from '../quantity';
import { speciesProfile } from '../species/catalogue';
import { day, DAY_ZERO, entry, look, QUEEN } from '../test-kit';
import { ledger } from './ledger/ledger';
import type { QueenLedger } from './ledger/queen-ledger';
import { outlook } from './outlook/outlook';
import { seenBetween } from './seen-between';

const NONE = { low: 0, high: 0 };
const caught = entry(0, { kind: 'intake', found: 'walking', workers: NONE });

function at(entries: Parameters<typeof ledger>[0], onDay: number, tempC = 25) {
  const known = ledger(entries, day(onDay))[QUEEN] as QueenLedger;
  const ahead = outlook(speciesProfile('tetramorium-immigrans'), known, tempC, day(onDay), {
    draws: 2000,
    seed: 3,
  });
  return { ledger: known, outlook: ahead };
}
const days = (t: Instant | null) => daysBetween(DAY_ZERO, t as Instant);

// Caught without workers and first looked at on day 54: none of them can have come in her first weeks. First workers one to three months
// after capture: common practice, no source; the quickest in a hundred a little sooner, and never within three weeks.
test('workers that nobody waited for cannot have come before her brood had its time', () => {
  const entries = [caught, look(54, [3, 3, 4, 5])];
  const raw = at(entries, 55).ledger.appearances.workers.interval;
  expect(days(raw.after)).toBe(0);
  const between = seenBetween(at(entries, 55), 'workers');
  expect(days(between.after)).toBeGreaterThan(21);
  expect(days(between.after)).toBeLessThan(days(between.by));
  expect(between.by).toBe(raw.by);
  // cooler, it cannot have been so early
  expect(days(seenBetween(at(entries, 55, 22), 'workers').after)).toBeGreaterThan(days(between.after));
});

test('two looks near together are what was seen, and eggs may come in the first days', () => {
  const entries = [caught, look(4, [0, 0, 0, 0]), look(8, [4, 0, 0, 0])];
  const between = seenBetween(at(entries, 9), 'eggs');
  expect([days(between.after), days(between.by)]).toEqual([4, 8]);
});

test('of what came with her it is not said when it came', () => {
  const whole = entry(0, { kind: 'intake', found: 'bought-with-workers', workers: { low: 5, high: 5 } });
  const { interval } = at([whole], 3).ledger.appearances.workers;
  expect(seenBetween(at([whole], 3), 'workers')).toEqual(interval);
});
