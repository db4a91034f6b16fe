import type { ShelfRow } from '@gentle-burrow/core/view';
import { arrange, type Sort } from './arrange';

const row = (
  label: string,
  part: Partial<ShelfRow> & { batch?: string; createdAt?: string } = {},
): ShelfRow =>
  ({
    queen: { label, batch: part.batch ?? '', createdAt: part.createdAt ?? '2026-01-01T00:00:00Z' },
    profileId: 'messor-structor',
    placeName: 'Cellar',
    pressure: 'rest',
    lost: null,
    ...part,
  }) as ShelfRow;

const ROWS = [
  row('A10', { pressure: 'now', placeName: 'Attic', createdAt: '2026-03-01T00:00:00Z' }),
  row('A2', { batch: 'Weir', pressure: 'free', createdAt: '2026-04-01T00:00:00Z' }),
  row('B1', { lost: { how: 'died', at: '2026-02-01T00:00:00Z' }, pressure: 'now' }),
  row('C1', { profileId: 'manica-rubida', pressure: 'soon', createdAt: '2026-02-01T00:00:00Z' }),
];
const by = (sort: Sort, search = '') =>
  arrange(ROWS, { search, sort }, (r) => r.profileId).map((s) => [s.title, s.rows.map((r) => r.queen.label)]);

test('by urgency: who needs something first, the lost last', () =>
  expect(by('urgent')).toEqual([
    ['Needs you', ['A10', 'C1']],
    ['May be looked at', ['A2']],
    ['Lost', ['B1']],
  ]));

test('by name two comes before ten', () =>
  expect(by('name')[0]).toEqual(['All by name', ['A2', 'A10', 'C1']]));

test('by species and by place each group has its heading', () => {
  expect(by('species').map(([t]) => t)).toEqual(['manica-rubida', 'messor-structor', 'Lost']);
  expect(by('place').map(([t]) => t)).toEqual(['Attic', 'Cellar', 'Lost']);
});

test('newest first goes by when they were taken in', () =>
  expect(by('newest')[0]?.[1]).toEqual(['A2', 'A10', 'C1']));

test('every word searched for must be found somewhere: name, species, place or batch', () => {
  expect(by('name', 'weir messor')).toEqual([['All by name', ['A2']]]);
  expect(by('name', 'attic manica')).toEqual([]);
});
