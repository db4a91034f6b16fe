import { housing } from '@gentle-burrow/core/housing';
import type { EntryOf, HomeChange } from '@gentle-burrow/core/log';
import { usualTube } from '@gentle-burrow/core/tube';
import type { ShownQueen } from '@/data/queries';
import type { HomeDraft } from './draft';
import { home } from './form';
import { home as view } from './view';

const FRESH = '018f0000-0000-7000-8000-0000000000f1';
const FIRST = '018f0000-0000-7000-8000-0000000000f0';
const { setUpAt: _, ...part } = usualTube(FRESH, '');
const SET_UP: HomeChange = { what: 'set-up', part, purpose: 'move', by: 'taped', gapMm: 1 };

function shownWith(changes: HomeChange[], counts: object = {}): ShownQueen {
  const first = usualTube(FIRST, '2026-05-01T18:00:00.000Z');
  const entries = changes.map((change, i) => ({
    kind: 'home',
    id: `e${i}`,
    at: `2026-06-${String(i + 1).padStart(2, '0')}T18:00:00.000Z`,
    change,
  })) as EntryOf<'home'>[];
  return {
    facts: { home: first, queen: { id: 'q', label: 'A' } },
    view: {
      housing: housing(first, entries),
      ledger: { counts: { eggs: null, larvae: null, pupae: null, workers: null, ...counts } },
    },
  } as unknown as ShownQueen;
}
const COUNTED = { eggs: { range: { low: 3, high: 3 } }, workers: { range: { low: 5, high: 5 } } };
const write = (shown: ShownQueen, part: Partial<HomeDraft>) =>
  home.finish({ ...home.begin(shown, null), ...part }, shown, '2026-06-20T18:00:00.000Z')?.change ?? null;

test.each([
  SET_UP,
  { what: 'joined', partId: FRESH, by: 'vented-joint' },
  { what: 'covered', partId: FIRST, cover: 'lit' },
  { what: 'taken-away', partId: FRESH, to: 'kept-aside' },
  { what: 'moved-in', partId: FRESH, queen: false, workers: 'scouts', how: 'plug-swap', waterLineMm: 80 },
] satisfies HomeChange[])(
  '$what: opened to be put right and kept as it is, it says what it said',
  (change) => {
    const shown = shownWith([SET_UP]);
    const draft = home.begin(shown, { kind: 'home', at: '', change });
    expect(home.finish(draft, shown, '')).toEqual({ change });
  },
);

test('with one tube only another can be set up, and how it stands to hers must be said', () => {
  const shown = shownWith([]);
  expect(write(shown, {})).toBeNull();
  expect(write(shown, { by: 'beside' })).toMatchObject({ what: 'set-up', by: 'beside', purpose: 'move' });
  // a gap is of a joint
  expect(write(shown, { by: 'beside' })).not.toHaveProperty('gapMm');
  expect(write(shown, { by: 'taped' })).toMatchObject({ gapMm: 1 });
});

test('the likeliest tube is meant: the fresh one is entered, the old one lit and taken away', () => {
  const offered = shownWith([SET_UP]);
  expect(write(offered, { queen: 'yes' })).toMatchObject({ what: 'moved-in', partId: FRESH });
  expect(write(offered, { what: 'covered', cover: 'lit' })).toMatchObject({ partId: FIRST });
  expect(write(offered, { what: 'taken-away', to: 'cleaned' })).toMatchObject({ partId: FRESH });
  const moved = shownWith([
    SET_UP,
    { what: 'moved-in', partId: FRESH, queen: true, brood: 'all', how: 'by-themselves' },
  ]);
  expect(write(moved, { what: 'taken-away', to: 'cleaned' })).toMatchObject({ partId: FIRST });
});

test('what she has none of has come along; what she has must be said', () => {
  const alone = write(shownWith([SET_UP]), { queen: 'yes' });
  expect(alone).toMatchObject({ brood: 'all', workers: 'all' });
  const counted = write(shownWith([SET_UP], COUNTED), { queen: 'yes' });
  expect(counted).not.toHaveProperty('brood');
  expect(counted).not.toHaveProperty('workers');
});

test('what cannot be is not kept', () => {
  const shown = shownWith([SET_UP]);
  expect(write(shown, { what: 'taken-away', partId: FIRST, to: 'cleaned' })).toBeNull();
  expect(write(shown, { what: 'joined', partId: FIRST, by: 'taped' })).toBeNull();
  expect(write(shown, { what: 'moved-in' })).toBeNull();
});

test('a tube from the stock is one less there, and only when it is set up', () => {
  const shown = shownWith([]);
  const draft = { ...home.begin(shown, null), itemId: 'tubes', by: 'taped' as const };
  expect(home.uses?.(draft, shown)).toMatchObject([
    { itemId: 'tubes', delta: -1, why: 'used', queenId: 'q' },
  ]);
  expect(home.uses?.({ ...draft, itemId: null }, shown)).toEqual([]);
  expect(home.uses?.({ ...draft, what: 'covered' }, shownWith([SET_UP]))).toEqual([]);
});

test('a line of the log names the tube that is meant', () => {
  const names = { part: (id: string) => (id === FRESH ? 'the fresh tube' : undefined) };
  const words = (change: HomeChange) => view.words({ kind: 'home', at: '', change }, names);
  expect(words({ what: 'moved-in', partId: FRESH, queen: true, brood: 'some', how: 'by-themselves' })).toBe(
    'in the fresh tube: the queen, some of her brood, by themselves',
  );
  expect(words({ what: 'covered', partId: FIRST, cover: 'lit' })).toBe('another part lit by daylight');
});
