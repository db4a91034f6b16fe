import { housing, usualBody } from '@gentle-burrow/core/housing';
import type { EntryOf, HomeChange } from '@gentle-burrow/core/log';
import { usualTube } from '@gentle-burrow/core/tube';
import type { ShownQueen } from '@/data/queries';
import { kindChosen, whatsOf, type HomeDraft } from './draft';
import { home } from './form';
import { home as view } from './view';

const FRESH = '018f0000-0000-7000-8000-0000000000f1';
const NEST = '018f0000-0000-7000-8000-0000000000f2';
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
  {
    what: 'set-up',
    part: usualBody(NEST, 'nest'),
    purpose: 'move',
    by: 'pipe',
    gapMm: 0.5,
    lengthMm: 80,
    shut: true,
  },
  { what: 'joined', partId: FRESH, by: 'pipe', toId: NEST, port: 'mouth', toPort: 'port-2', lengthMm: 40 },
  { what: 'parted', partId: FRESH },
  { what: 'gate', partId: NEST, gate: 'room-2', state: 'shut' },
  { what: 'divided', partId: FIRST, divider: { atMm: 118, strawMm: 4 } },
  { what: 'divided', partId: FIRST, divider: null },
  { what: 'watered', partId: NEST, ml: 3, was: 'still-wet', opened: true },
  { what: 'watered', partId: NEST },
  { what: 'cleaned', partId: NEST },
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
  // nor is one proposed: what nobody measured may be too wide
  expect(write(shown, { by: 'taped' })).not.toHaveProperty('gapMm');
  expect(write(shown, { by: 'taped', gapMm: 0.3 })).toMatchObject({ gapMm: 0.3 });
});

test('a second joint goes where something is free, never to a mouth that is taken', () => {
  const SPACE = '018f0000-0000-7000-8000-0000000000f3';
  const spaced = shownWith([
    { what: 'set-up', part: usualBody(SPACE, 'outworld'), purpose: 'room', by: 'pipe' },
  ]);
  const draft = {
    what: 'set-up' as const,
    ...kindChosen(home.begin(spaced, null), 'nest'),
    by: 'pipe' as const,
  };
  expect(write(spaced, draft)).toMatchObject({ what: 'set-up', by: 'pipe', toId: SPACE });
  // with her mouth free it is hers
  expect(write(shownWith([]), draft)).not.toHaveProperty('toId');
});

test('a box around her open tube is one choice, its mouth narrowed or open', () => {
  const shown = shownWith([]);
  const around = { ...kindChosen(home.begin(shown, null), 'outworld'), by: 'lies-in' as const };
  expect(write(shown, around)).toMatchObject({ what: 'set-up', by: 'lies-in', purpose: 'room' });
  expect(write(shown, { ...around, mouth: 'narrowed' })).toMatchObject({ mouth: 'narrowed' });
  // of what joins otherwise no mouth is said
  expect(write(shown, { ...around, by: 'pipe', mouth: 'narrowed' })).not.toHaveProperty('mouth');
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

const SPACE: HomeChange = { what: 'set-up', part: usualBody(NEST, 'outworld'), purpose: 'room', by: 'pipe' };
const READY: HomeChange = {
  what: 'set-up',
  part: usualBody(NEST, 'nest'),
  purpose: 'move',
  by: 'pipe',
  shut: true,
};

test('a nest is set up with its usual measures, to move into; a foraging space as more room', () => {
  const shown = shownWith([]);
  const chosen = (kind: 'nest' | 'outworld') => kindChosen(home.begin(shown, null), kind);
  expect(write(shown, { ...chosen('nest'), by: 'pipe', shut: true })).toMatchObject({
    what: 'set-up',
    purpose: 'move',
    shut: true,
    part: { kind: 'nest', rooms: 3 },
  });
  const space = write(shown, { ...chosen('outworld'), by: 'pipe', lengthMm: 60 });
  expect(space).toMatchObject({ purpose: 'room', lengthMm: 60, part: { kind: 'outworld' } });
  // what only stands beside has no way in that could be shut
  expect(write(shown, { ...chosen('nest'), by: 'beside', shut: true })).not.toHaveProperty('shut');
});

test('a part that was tapped is the one that is meant, and what it allows is what is asked', () => {
  const shown = shownWith([READY]);
  const tapped = home.begin(shown, null, NEST);
  expect(whatsOf(shown.view.housing, tapped)[0]).toBe('watered');
  expect(home.finish(tapped, shown, '')).toEqual({ change: { what: 'watered', partId: NEST } });
  const tube = home.begin(shown, null, FIRST);
  expect(whatsOf(shown.view.housing, tube)).not.toContain('watered');
  expect(whatsOf(shown.view.housing, tube)).toContain('divided');
});

test('of several doors one must be named; how it is now must be said', () => {
  const shown = shownWith([READY]);
  const door = { what: 'gate' as const, partId: NEST };
  expect(write(shown, { ...door, state: 'open' })).toBeNull();
  expect(write(shown, { ...door, gate: 'port-1' })).toBeNull();
  expect(write(shown, { ...door, gate: 'port-1', state: 'open' })).toEqual({
    ...door,
    gate: 'port-1',
    state: 'open',
  });
});

test('a nest hangs on the foraging space when that is chosen', () => {
  const shown = shownWith([SPACE]);
  const draft = {
    ...kindChosen(home.begin(shown, null), 'nest'),
    what: 'set-up' as const,
    by: 'pipe' as const,
  };
  const other = { ...draft, body: usualBody(FRESH, 'nest') };
  // her tube has one mouth, and it is taken: what still has a free port is proposed, and the mouth is refused
  expect(write(shown, other)).toMatchObject({ toId: NEST });
  expect(write(shown, { ...other, toId: FIRST })).toBeNull();
  expect(write(shown, { ...other, toId: NEST })).toMatchObject({ toId: NEST });
});

test('nobody walks into what is shut', () => {
  const shown = shownWith([READY]);
  expect(write(shown, { what: 'moved-in', partId: NEST, queen: 'yes' })).toBeNull();
  expect(write(shown, { what: 'moved-in', partId: NEST, queen: 'yes', how: 'by-hand' })).toMatchObject({
    queen: true,
  });
});

test('the log tells every change in words', () => {
  const names = { part: (id: string) => (id === NEST ? 'the nest' : undefined) };
  const words = (change: HomeChange) => view.words({ kind: 'home', at: '', change }, names);
  expect(words(READY)).toBe(
    'nest 90 × 60 mm, 3 rooms, a sponge, to move into, by a pipe, the way in still shut',
  );
  expect(words({ what: 'gate', partId: NEST, gate: 'room-2', state: 'shut' })).toBe('the nest: room 2 shut');
  expect(words({ what: 'watered', partId: NEST, ml: 3, was: 'dry' })).toBe(
    'the nest watered, 3 ml, it was dry already',
  );
  expect(words({ what: 'divided', partId: FIRST, divider: null })).toBe('another part: the wall taken out');
});
