import { day, entry, look, n, QUEEN } from '../../test-kit';
import type { Entry } from '../../log';
import { ledger } from '../index';

const vanished = (...entries: Entry[]) =>
  ledger([entry(0, { kind: 'intake' }), ...entries], day(90))[QUEEN]!.vanished;
const ranged = (d: number, eggs: [number, number], larvae: [number, number] = [0, 0]) =>
  entry(d, { kind: 'look', eggs: n(...eggs), larvae: n(...larvae), pupae: n(0), workers: n(0) });

test('between four and nine eggs were eaten or lost between two looks', () => {
  const [lost, ...more] = vanished(ranged(10, [8, 10]), ranged(17, [1, 4]));
  expect(more).toEqual([]);
  expect(lost).toMatchObject({ low: 4, high: 9, what: 'eggs', interval: { after: day(10), by: day(17) } });
  expect(lost?.entryIds).toHaveLength(2);
});

test('eggs that became larvae are not lost', () => {
  expect(vanished(ranged(10, [8, 8]), ranged(24, [2, 2], [6, 6]))).toEqual([]);
});

test('ranges that can be explained without a loss are no loss', () => {
  expect(vanished(ranged(10, [5, 12]), ranged(17, [4, 6]))).toEqual([]);
});

test('older brood missing too: it is not said to be eggs', () => {
  expect(vanished(look(20, [4, 6, 0, 0]), look(27, [1, 2, 0, 0]))).toMatchObject([
    // six larvae are counted to within a fifth: four to eight
    { low: 5, high: 9, what: 'brood' },
  ]);
});

test('a look that did not count everything cannot tell, and the next full one is held against the last full one', () => {
  const half = entry(15, { kind: 'look', eggs: n(2) });
  expect(vanished(look(10, [8, 0, 0, 0]), half)).toEqual([]);
  expect(vanished(look(10, [8, 0, 0, 0]), half, look(20, [3, 0, 0, 0]))).toMatchObject([
    { low: 3, interval: { after: day(10), by: day(20) } },
  ]);
});

test('workers that are fewer are told as workers, and those found dead are accounted for', () => {
  expect(vanished(look(10, [3, 0, 0, 9]), look(20, [3, 0, 0, 4]))).toMatchObject([
    { low: 3, what: 'workers' },
  ]);
  const found = entry(20, {
    kind: 'look',
    eggs: n(3),
    larvae: n(0),
    pupae: n(0),
    workers: n(4),
    deadWorkers: n(5),
  });
  expect(vanished(look(10, [3, 0, 0, 9]), found)).toEqual([]);
});

test('a difference within the error of counting is no loss', () => {
  expect(vanished(look(10, [14, 0, 0, 0]), look(18, [12, 0, 0, 0]))).toEqual([]);
  // one egg fewer is a miscount; beyond that few are counted to the last one
  expect(vanished(look(10, [2, 0, 0, 0]), look(18, [1, 0, 0, 0]))).toEqual([]);
  expect(vanished(look(10, [4, 0, 0, 0]), look(18, [1, 0, 0, 0]))).toMatchObject([{ low: 3, high: 3 }]);
});

test('winged young hatched from pupae: they are not lost', () => {
  const before = look(10, [2, 2, 5, 0]);
  const winged = (n_: number) =>
    entry(30, { kind: 'look', eggs: n(2), larvae: n(2), pupae: n(0), workers: n(0), alates: n(n_) });
  expect(vanished(before, winged(5))).toEqual([]);
  expect(vanished(before, winged(1))).toMatchObject([{ low: expect.any(Number), what: 'brood' }]);
});

test('over months workers die of age; within weeks they do not', () => {
  expect(vanished(look(10, [0, 0, 0, 40]), look(20, [0, 0, 0, 22]))).toMatchObject([{ what: 'workers' }]);
  expect(vanished(look(0.5, [0, 0, 0, 40]), look(89, [0, 0, 0, 22]))).toEqual([]);
});
