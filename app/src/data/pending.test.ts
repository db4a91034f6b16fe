import type { QueenFacts } from '@gentle-burrow/core/view';
import type { OutboxItem } from './outbox';
import { withPending } from './pending';

const at = '2026-06-01T12:00:00.000Z';
const stored = {
  queen: { id: 'q', label: 'A', placeId: 'p', homeId: 'h', lookingSchool: null },
  home: { id: 'h' },
  place: { id: 'p', tempC: 24 },
  places: [{ id: 'p', tempC: 24 }],
  entries: [{ kind: 'intake', id: 'i', queenId: 'q', at }],
} as unknown as QueenFacts;
const item = (out: unknown): OutboxItem => ({ id: Math.random().toString(), out: out as OutboxItem['out'] });
const note = (id: string, queenId = 'q') =>
  item({ what: 'entries', entries: [{ kind: 'note', id, queenId, at, text: 'x' }] });

test('waiting entries join her log; those of others do not', () => {
  const facts = withPending('q', stored, [note('n1'), note('n2', 'other')]);
  expect(facts?.entries.map((e) => e.id)).toEqual(['i', 'n1']);
});

test('an entry that the server knows already is not counted twice', () => {
  const known = {
    ...stored,
    entries: [...stored.entries, { kind: 'note', id: 'n1', queenId: 'q' }],
  } as QueenFacts;
  expect(withPending('q', known, [note('n1')])?.entries).toHaveLength(2);
});

test('a queen of whom the server has not heard is made from the outbox alone', () => {
  const body = {
    queen: { id: 'new', placeId: 'p2' },
    home: { id: 't' },
    place: { id: 'p2' },
    intake: { kind: 'intake', id: 'i2', queenId: 'new', at },
  };
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
  expect(facts?.places.map((p) => p.tempC)).toEqual([20]);
  expect(facts?.queen).toMatchObject({ lookingSchool: 'weekly', label: 'A' });
});

test('a move that has not been sent puts her in the new place at once', () => {
  const move = item({
    what: 'entries',
    entries: [{ kind: 'move', id: 'm', queenId: 'q', at, placeId: 'warm' }],
  });
  const warm = { id: 'warm', tempC: 28 } as never;
  const facts = withPending('q', stored, [move], [warm]);
  expect(facts?.place.tempC).toBe(28);
  expect(facts?.places.map((p) => p.id)).toEqual(['p', 'warm']);
  // to a place that this device has not heard of she cannot be drawn: she stays where she was seen last
  expect(withPending('q', stored, [move], [])?.place.id).toBe('p');
});
