import type { QueenFacts } from '@gentle-burrow/core';
import type { OutboxItem } from './outbox';
import { withPending } from './pending';

const at = '2026-06-01T12:00:00.000Z';
const stored = {
  queen: { id: 'q', label: 'A', placeId: 'p', homeId: 'h', lookingSchool: null },
  tube: { id: 'h' },
  place: { id: 'p', tempC: 24 },
  entries: [{ kind: 'intake', id: 'i', queenId: 'q', at }],
} as unknown as QueenFacts;
const item = (out: unknown): OutboxItem => ({ id: Math.random().toString(), out: out as OutboxItem['out'] });
const note = (id: string, queenId = 'q') => item({ what: 'entry', entry: { kind: 'note', id, queenId, at, text: 'x' } });

test('waiting entries join her log; those of others do not', () => {
  const facts = withPending('q', stored, [note('n1'), note('n2', 'other')]);
  expect(facts?.entries.map((e) => e.id)).toEqual(['i', 'n1']);
});

test('an entry that the server knows already is not counted twice', () => {
  const known = { ...stored, entries: [...stored.entries, { kind: 'note', id: 'n1', queenId: 'q' }] } as QueenFacts;
  expect(withPending('q', known, [note('n1')])?.entries).toHaveLength(2);
});

test('a queen of whom the server has not heard is made from the outbox alone', () => {
  const body = { queen: { id: 'new' }, tube: { id: 't' }, place: { id: 'p2' }, intake: { id: 'i2', queenId: 'new' } };
  const facts = withPending('new', null, [item({ what: 'queen', body }), note('n3', 'new')]);
  expect(facts?.entries.map((e) => e.id)).toEqual(['i2', 'n3']);
  expect(withPending('nobody', null, [])).toBeNull();
});

test('a changed place and a changed school count at once', () => {
  const facts = withPending('q', stored, [
    item({ what: 'place', place: { id: 'p', tempC: 20 } }),
    item({ what: 'queen-patch', queenId: 'q', patch: { lookingSchool: 'weekly', label: undefined } }),
  ]);
  expect(facts?.place.tempC).toBe(20);
  expect(facts?.queen).toMatchObject({ lookingSchool: 'weekly', label: 'A' });
});
