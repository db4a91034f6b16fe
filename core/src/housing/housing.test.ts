import { entry, QUEEN, TUBE } from '../test-kit';
import type { EntryOf, HomeChange } from '../log';
import { usualTube } from '../tube/usual-tube';
import { changeFault, housing, partOf, standing } from '.';

// What counts as a move, real or finished: common practice, no source.
const FRESH = '018f0000-0000-7000-8000-0000000000f1';
const OTHER = '018f0000-0000-7000-8000-0000000000f2';
const { setUpAt: _, ...part } = usualTube(FRESH, '');

const home = (day: number, change: object) =>
  entry(day, { kind: 'home', change: change as HomeChange }, QUEEN) as EntryOf<'home'>;
const setUp = (day: number, more: object = {}) =>
  home(day, { what: 'set-up', part, by: 'taped', gapMm: 1, ...more });
const into = (day: number, who: object, partId = FRESH) => home(day, { what: 'moved-in', partId, ...who });
const gone = (day: number, partId: string) => home(day, { what: 'taken-away', partId, to: 'cleaned' });
const of = (...entries: EntryOf<'home'>[]) => housing(TUBE, entries);

test('a log that says nothing of her home leaves her in the tube she came in', () => {
  const h = of();
  expect(h.home).toBe(TUBE.id);
  expect(h.parts).toHaveLength(1);
  expect(h.move).toBeNull();
  expect(h.parts[0]?.holds.queen).toEqual({ low: 1, high: 1 });
});

test('from offered to done: scouts are no move, queen and brood are, and the old tube ends it', () => {
  const log = [
    setUp(10),
    into(12, { workers: 'scouts' }),
    into(14, { queen: true, brood: 'some', workers: 'most' }),
    into(16, { brood: 'all', workers: 'all' }),
    gone(18, TUBE.id),
  ];
  const stages = log.map((_, i) => of(...log.slice(0, i + 1)).move?.stage ?? null);
  expect(stages).toEqual(['offered', 'scouts', 'real', 'finished', null]);
  const homes = log.map((_, i) => of(...log.slice(0, i + 1)).home);
  expect(homes).toEqual([TUBE.id, TUBE.id, FRESH, FRESH, FRESH]);
  const end = of(...log);
  expect(end.past).toMatchObject([{ stage: 'done', from: TUBE.id, to: FRESH }]);
  expect(standing(end).map((p) => p.part.id)).toEqual([FRESH]);
  expect(partOf(end, TUBE.id)?.gone?.to).toBe('cleaned');
  expect(end.faults).toEqual([]);
});

test('who is where is a range, and what is in the one is not in the other', () => {
  const h = of(setUp(10), into(12, { queen: true, brood: 'some', workers: 'most' }));
  const [old, fresh] = [partOf(h, TUBE.id), partOf(h, FRESH)];
  expect(fresh?.holds.queen).toEqual({ low: 1, high: 1 });
  expect(old?.holds.queen).toEqual({ low: 0, high: 0 });
  for (const who of ['brood', 'workers'] as const) {
    expect((old?.holds[who].low ?? 0) + (fresh?.holds[who].high ?? 0)).toBeCloseTo(1);
    expect((old?.holds[who].high ?? 0) + (fresh?.holds[who].low ?? 0)).toBeCloseTo(1);
  }
});

test('the queen without her brood, or brood without her, is half a move', () => {
  expect(of(setUp(10), into(12, { queen: true, brood: 'none' })).move?.stage).toBe('partly');
  expect(of(setUp(10), into(12, { brood: 'some', workers: 'some' })).move?.stage).toBe('partly');
});

test('she can go back; a fresh tube that nobody took is taken away, and that is kept', () => {
  const back = of(setUp(10), into(12, { queen: true, brood: 'all' }), into(13, { queen: true }, TUBE.id));
  expect(back.home).toBe(TUBE.id);
  expect(back.move?.stage).toBe('partly');
  const left = of(setUp(10), gone(40, FRESH));
  expect(left.move).toBeNull();
  expect(left.past).toMatchObject([{ stage: 'abandoned' }]);
  expect(left.home).toBe(TUBE.id);
});

test('progress begins the waiting anew; the same again does not', () => {
  const h = of(setUp(10), into(12, { workers: 'scouts' }), into(15, { workers: 'scouts' }));
  expect(h.move?.since).toBe(of(setUp(10), into(12, { workers: 'scouts' })).move?.since);
  expect(h.move?.since).not.toBe(h.move?.offeredAt);
});

test('a tube given as more room is no move', () => {
  const h = of(setUp(10, { purpose: 'room' }), into(12, { workers: 'some' }));
  expect(h.move).toBeNull();
  expect(h.home).toBe(TUBE.id);
  // but where she goes, her home is
  expect(of(setUp(10, { purpose: 'room' }), into(12, { queen: true })).home).toBe(FRESH);
});

test('a second fresh tube ends the offer of the first', () => {
  const h = of(
    setUp(10, { by: 'beside' }),
    home(20, { what: 'set-up', part: { ...part, id: OTHER }, by: 'taped' }),
  );
  expect(h.move?.to).toBe(OTHER);
  expect(h.past).toMatchObject([{ to: FRESH, stage: 'abandoned' }]);
});

test.each([
  ['joined to itself', [], { what: 'joined', partId: TUBE.id, by: 'taped' }, /cannot be joined to itself/],
  [
    'a mouth used twice',
    [setUp(10)],
    { what: 'set-up', part: { ...part, id: OTHER }, by: 'sleeve' },
    /Part those two first/,
  ],
  ['a tube that is not there', [], { what: 'moved-in', partId: FRESH, queen: true }, /Set it up first/],
  [
    'a tube that was taken away',
    [setUp(10), gone(11, FRESH)],
    { what: 'moved-in', partId: FRESH, queen: true },
    /was taken away/,
  ],
  ['set up twice', [setUp(10)], { what: 'set-up', part, by: 'beside' }, /stands in her home already/],
  ['her only tube', [], { what: 'taken-away', partId: TUBE.id, to: 'cleaned' }, /her only tube/],
  [
    'the tube she is in',
    [setUp(10)],
    { what: 'taken-away', partId: TUBE.id, to: 'cleaned' },
    /still in this tube/,
  ],
  [
    'the queen missing from her own tube',
    [setUp(10)],
    { what: 'moved-in', partId: TUBE.id, queen: false },
    /say that she is in it/,
  ],
  ['nothing said', [setUp(10)], { what: 'moved-in', partId: FRESH }, /Nothing is said of who/],
  [
    'a line beyond the tube',
    [setUp(10)],
    { what: 'moved-in', partId: FRESH, queen: true, waterLineMm: 400 },
    /beyond the tube/,
  ],
  [
    'a line alone beyond the tube',
    [setUp(10)],
    { what: 'moved-in', partId: FRESH, waterLineMm: 400 },
    /beyond the tube/,
  ],
] as const)('%s is refused with a way out, and changes nothing', (_, before, change, says) => {
  const had = of(...before);
  expect(changeFault(had, change as never)).toMatch(says);
  const after = of(...before, home(30, change));
  expect(after.faults).toHaveLength(1);
  expect({ ...after, faults: [] }).toEqual({ ...had, faults: [] });
});
