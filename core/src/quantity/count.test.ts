import * as fc from 'fast-check';
import { countInput, countRange, readCount, WORD_COUNTS, type CountRange } from './count';

// how keepers write counts ("8 to 15", "more like 70 than 30", "lots", "~5"): common practice, no source; the width of "about" is a prior
test.each<[string, CountRange | null]>([
  ['12', { low: 12, high: 12 }],
  [' 12 ', { low: 12, high: 12 }],
  ['12.0', { low: 12, high: 12 }],
  ['1,200', { low: 1200, high: 1200 }],
  ['1 200', { low: 1200, high: 1200 }],
  ['3-5', { low: 3, high: 5 }],
  ['3 – 5', { low: 3, high: 5 }],
  ['3 to 5', { low: 3, high: 5 }],
  ['12+', { low: 12, high: null }],
  ['at least 12', { low: 12, high: null }],
  ['over 12', { low: 12, high: null }],
  ['~5', { low: 4, high: 6 }],
  ['about 50', { low: 40, high: 60 }],
  ['5?', { low: 4, high: 6 }],
  ['~0', { low: 0, high: 1 }],
  ['a dozen', { low: 10, high: 14 }],
  ['two dozen', { low: 19, high: 29 }],
  ['none', { low: 0, high: 0 }],
  ['Some', WORD_COUNTS.some],
  ['a few', WORD_COUNTS.some],
  ['lots', WORD_COUNTS.lots],
  ['2.5', null],
  ['-3', null],
  ['3q', null],
  ['5 - ', null],
  ['twelve-ish or so', null],
  ['', null],
])('“%s” is read as %j', (text, count) => expect(readCount(text)).toEqual(count));

test('what is shown in a field is read back as the same count', () => {
  const any = fc.oneof(
    fc.constantFrom(WORD_COUNTS.some, WORD_COUNTS.lots),
    fc
      .tuple(fc.nat(5000), fc.option(fc.nat(500)))
      .map(([low, more]) => countRange(low, more === null ? null : low + more)),
  );
  fc.assert(fc.property(any, (count) => expect(readCount(countInput(count))).toEqual(count)));
});
