import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parse } from 'yaml';
import { demoFaults, failuresLater, namesItsYear, SWEEP_DATES, SWEEP_ZONES, yearsLater } from './sweep';
import type { Situation } from './casebook';

// The short form of `npm run sweep`: some of its dates, each in another zone, and every twelfth case a leap year later.
const FEW = ['2027-03-28', '2027-08-14', '2027-10-31', '2027-12-31', '2028-02-29'];

test.each(FEW.map((date, i) => [date, SWEEP_ZONES[i % SWEEP_ZONES.length] as string]))(
  'the demo and its visits hold on %s in %s, in both hemispheres',
  (date, zone) => expect(demoFaults(date, zone)).toEqual([]),
);

test('the sweep goes through 26 dates: a year and more, a leap day, the clock changes, the turn of the year', () => {
  expect(new Set(SWEEP_DATES).size).toBe(26);
  expect(SWEEP_DATES).toEqual(expect.arrayContaining(FEW));
  expect(SWEEP_ZONES).toHaveLength(3);
});

test('what is right in one year is right two years later, over a leap day', () => {
  const folder = join(__dirname, '..', '..', '..', 'casebook');
  const book = readdirSync(folder)
    .filter((f) => f.endsWith('.yaml'))
    .flatMap((file) => parse(readFileSync(join(folder, file), 'utf8')) as Situation[])
    .filter((s) => !namesItsYear(s));
  const some = book.filter((_, i) => i % 12 === 0);
  expect(some.length).toBeGreaterThan(40);
  const failed = some.flatMap((s) => failuresLater(s, 2).map((f) => `${s.case}: ${f}`));
  expect(failed).toEqual([]);
});

test('a situation is moved by whole years, dates and all', () => {
  const moved = yearsLater({ case: 'x', taken: '2026-05-01', at: '2027-01-05' }, 2);
  expect([moved.taken, moved.at]).toEqual(['2028-05-01', '2029-01-05']);
});
