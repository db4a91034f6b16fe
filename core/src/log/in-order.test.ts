import * as fc from 'fast-check';
import { DAY_ZERO, entry, testId } from '../test-kit';
import { inOrder, type Entry } from './index';

const amendment = (amends: string): Entry => ({
  kind: 'amendment',
  id: testId(),
  queenId: testId(),
  at: DAY_ZERO,
  loggedAt: DAY_ZERO,
  amends,
  replacement: null,
});

test('an amendment comes after what it puts right, however they were given, and nothing else is moved', () => {
  const base = Array.from({ length: 4 }, (_, i) => entry(i, { kind: 'note', text: `${i}` }));
  const first = amendment(base[0]?.id as string);
  const [second, third] = [amendment(first.id), amendment(base[3]?.id as string)];
  const all = [...base, first, second, third];
  fc.assert(
    fc.property(fc.shuffledSubarray(all, { minLength: all.length }), (given) => {
      const ordered = inOrder(given);
      expect(new Set(ordered)).toEqual(new Set(all));
      const place = new Map(ordered.map((e, i) => [e.id, i]));
      for (const e of ordered)
        if (e.kind === 'amendment') expect(place.get(e.amends)).toBeLessThan(place.get(e.id) as number);
    }),
  );
  expect(inOrder(all)).toEqual(all);
});

test('what is about something elsewhere stays, and what names itself or one another does no harm', () => {
  const stray = amendment(testId());
  const [a, b] = [amendment(testId()), amendment(testId())] as [
    Entry & { amends: string },
    Entry & { amends: string },
  ];
  a.amends = b.id;
  b.amends = a.id;
  expect(inOrder([stray, a, b])).toHaveLength(3);
});

test('a chain of many thousand is put in order at once', () => {
  const chain: Entry[] = [entry(0, { kind: 'note', text: 'x' })];
  for (let i = 0; i < 20_000; i++) chain.push(amendment(chain[i]?.id as string));
  expect(inOrder([...chain].reverse())).toEqual(chain);
});
