import { allOf, NONE, toggled, upTo } from './chosen';
import { namesText } from './names-text';

const SHELF = ['a', 'b', 'c', 'd', 'e'];

test('a tick is set and taken away', () => {
  expect(toggled(toggled(NONE, 'c'), 'a').ids).toEqual(['c', 'a']);
  expect(toggled(toggled(NONE, 'c'), 'c').ids).toEqual([]);
});

test('from the last one touched up to another all are ticked, in either direction', () => {
  expect(upTo(toggled(NONE, 'b'), 'd', SHELF).ids).toEqual(['b', 'c', 'd']);
  expect(upTo(toggled(NONE, 'e'), 'd', SHELF).ids).toEqual(['e', 'd']);
  // what is ticked between stays so, once
  expect(upTo({ ids: ['c', 'a'], last: 'a' }, 'd', SHELF).ids).toEqual(['c', 'a', 'b', 'd']);
});

test('without a first one, or when it is hidden by a search, only the one held is ticked', () => {
  expect(upTo(NONE, 'd', SHELF).ids).toEqual(['d']);
  expect(upTo(toggled(NONE, 'z'), 'd', SHELF).ids).toEqual(['z', 'd']);
});

test('a whole group is ticked, and when it is, unticked', () => {
  const some = allOf(toggled(NONE, 'b'), ['b', 'c']);
  expect(some.ids).toEqual(['b', 'c']);
  expect(allOf(toggled(some, 'e'), ['b', 'c']).ids).toEqual(['e']);
});

test.each([
  [['L1'], 'L1'],
  [['L1', 'L2'], 'L1 and L2'],
  [['L1', 'L2', 'L3', 'L4'], 'L1, L2, L3 and L4'],
  [['L1', 'L2', 'L3', 'L4', 'L5'], 'L1, L2, L3 and 2 more'],
])('%j is said as “%s”', (labels, said) => expect(namesText(labels)).toBe(said));
