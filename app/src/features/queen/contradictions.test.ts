import type { FactEntry } from '@gentle-burrow/core/log';
import { buttonNames } from './Contradictions';

const look = (id: string, at: string) => ({ kind: 'look', id, at, queen: 'seen' }) as unknown as FactEntry;
const ENTRIES = [
  look('a', '2026-05-03T09:10:00Z'),
  look('b', '2026-05-03T19:40:00Z'),
  look('c', '2026-05-05T09:10:00Z'),
];
const says = (...ids: string[]) =>
  buttonNames(
    ids.map((entryId) => ({ entryId, at: '2026-05-03T09:10:00Z', says: 'so' })),
    ENTRIES,
  );

test('two looks of one day are told apart by the hour', () => {
  const names = says('a', 'b');
  expect(new Set(names).size).toBe(2);
  expect(names[0]).toMatch(/^Put right the look of 3 May, \d\d:10$/);
  expect(names[1]).toMatch(/^Put right the look of 3 May, \d\d:40$/);
});

test('of different days the day is enough', () =>
  expect(says('a', 'c')).toEqual(['Put right the look of 3 May', 'Put right the look of 5 May']));

test('what both readings say of one entry has one button', () =>
  expect(says('a', 'a')).toEqual([null, 'Put right the look of 3 May']));
