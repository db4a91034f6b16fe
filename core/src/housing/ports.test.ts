import type { BodyKind } from '../facts';
import type { EntryOf, HomeChange } from '../log';
import { entry, QUEEN, TUBE } from '../test-kit';
import { usualTube } from '../tube';
import {
  changeFault,
  housing,
  isShut,
  linksOf,
  openShare,
  partOf,
  reachedFrom,
  usualBody,
  type PartNow,
} from '.';

const NEST = '018f0000-0000-7000-8000-0000000000b1';
const SPACE = '018f0000-0000-7000-8000-0000000000b2';
const FRESH = '018f0000-0000-7000-8000-0000000000b3';
const home = (day: number, change: object) =>
  entry(day, { kind: 'home', change: change as HomeChange }, QUEEN) as EntryOf<'home'>;
const set = (day: number, id: string, kind: BodyKind, how: object = {}) =>
  home(day, { what: 'set-up', part: usualBody(id, kind), purpose: 'room', by: 'pipe', ...how });
const gate = (day: number, partId: string, name: string, state: string) =>
  home(day, { what: 'gate', partId, gate: name, state });
const of = (...entries: EntryOf<'home'>[]) => housing(TUBE, entries);
const now = (h: ReturnType<typeof of>, id: string) => partOf(h, id) as PartNow;

test('a foraging space on her tube, and a nest on the space: each joint takes the next free port', () => {
  const h = of(set(1, SPACE, 'outworld'), set(2, NEST, 'nest', { toId: SPACE }));
  expect(h.faults).toEqual([]);
  expect(h.links.map((l) => [l.a.port, l.b.partId, l.b.port])).toEqual([
    ['port-1', TUBE.id, 'mouth'],
    ['port-1', SPACE, 'port-2'],
  ]);
  expect(reachedFrom(h, TUBE.id)).toEqual([TUBE.id, SPACE, NEST]);
});

test('what is shut is not reached, nor what lies behind it', () => {
  const log = [set(1, SPACE, 'outworld'), set(2, NEST, 'nest', { toId: SPACE, shut: true })];
  expect(isShut(of(...log), now(of(...log), NEST))).toBe(true);
  expect(reachedFrom(of(...log), TUBE.id)).toEqual([TUBE.id, SPACE]);
  const opened = of(...log, gate(3, NEST, 'port-1', 'open'));
  expect(isShut(opened, now(opened, NEST))).toBe(false);
  expect(reachedFrom(opened, TUBE.id)).toEqual([TUBE.id, SPACE, NEST]);
  const plugged = of(...log, gate(3, NEST, 'port-1', 'open'), gate(4, SPACE, 'port-1', 'plugged'));
  expect(reachedFrom(plugged, TUBE.id)).toEqual([TUBE.id]);
});

test('rooms that are shut leave the rest of the floor; all of them shut let nobody in', () => {
  const rooms = [1, 2, 3].map((n) => gate(2 + n, NEST, `room-${n}`, 'shut'));
  const two = of(set(1, NEST, 'nest'), ...rooms.slice(0, 2));
  expect(openShare(now(two, NEST))).toBeCloseTo(1 / 3);
  expect(isShut(two, now(two, NEST))).toBe(false);
  const all = of(set(1, NEST, 'nest'), ...rooms);
  expect(openShare(now(all, NEST))).toBe(0);
  expect(isShut(all, now(all, NEST))).toBe(true);
});

test('parted, joined another way, taken away: a joint is where it is said to be', () => {
  const log = [set(1, SPACE, 'outworld')];
  expect(of(...log, home(2, { what: 'parted', partId: SPACE })).links).toEqual([]);
  const again = of(...log, home(2, { what: 'joined', partId: SPACE, by: 'sleeve', gapMm: 0.5 }));
  expect(again.links).toMatchObject([{ by: 'sleeve', gapMm: 0.5, b: { partId: TUBE.id, port: 'mouth' } }]);
  expect(of(...log, home(2, { what: 'joined', partId: SPACE, by: 'beside' })).links).toEqual([]);
  expect(of(...log, home(2, { what: 'taken-away', partId: SPACE, to: 'cleaned' })).links).toEqual([]);
});

test('her tube lies open in a box: its mouth is taken, the floor of the box never is', () => {
  const { setUpAt: _, ...part } = usualTube(FRESH, '');
  const h = of(
    set(1, SPACE, 'box', { by: 'beside' }),
    home(2, { what: 'joined', partId: TUBE.id, toId: SPACE, by: 'lies-in' }),
    home(3, { what: 'set-up', part, purpose: 'move', by: 'lies-in', toId: SPACE }),
  );
  expect(h.faults).toEqual([]);
  expect(linksOf(h, SPACE).map((l) => [l.a.partId, l.b.port])).toEqual([
    [TUBE.id, 'floor'],
    [FRESH, 'floor'],
  ]);
  expect(reachedFrom(h, TUBE.id).sort()).toEqual([TUBE.id, SPACE, FRESH].sort());
});

test('a box set around her open tube holds it by one entry; a narrowed mouth lets them pass, a plugged one does not', () => {
  const box = set(1, SPACE, 'outworld', { by: 'lies-in', mouth: 'narrowed' });
  const h = of(box);
  expect(h.faults).toEqual([]);
  expect(h.links).toMatchObject([
    { a: { partId: TUBE.id, port: 'mouth' }, b: { partId: SPACE, port: 'floor' }, by: 'lies-in' },
  ]);
  expect(now(h, TUBE.id).gates.mouth?.value).toBe('narrowed');
  expect(reachedFrom(h, TUBE.id)).toEqual([TUBE.id, SPACE]);
  expect(reachedFrom(of(box, gate(2, TUBE.id, 'mouth', 'plugged')), TUBE.id)).toEqual([TUBE.id]);
  // her mouth is taken then
  expect(changeFault(h, { what: 'set-up', part: usualBody(NEST, 'nest'), by: 'pipe' } as never)).toMatch(
    /mouth of her tube is tied/,
  );
});

test('a nest is moved into like a tube, and she lives there', () => {
  const h = of(
    set(1, NEST, 'nest', { purpose: 'move' }),
    home(5, { what: 'moved-in', partId: NEST, queen: true, brood: 'all', workers: 'all' }),
    home(6, { what: 'taken-away', partId: TUBE.id, to: 'kept-aside' }),
  );
  expect(h.home).toBe(NEST);
  expect(h.past).toMatchObject([{ stage: 'done', to: NEST }]);
});

test('wet cotton laid into a part without water is its water from then on', () => {
  const dry = of(set(1, SPACE, 'box'));
  expect(now(dry, SPACE).part).toMatchObject({ water: 'none' });
  const wet = of(set(1, SPACE, 'box'), home(2, { what: 'watered', partId: SPACE }));
  expect(wet.faults).toEqual([]);
  expect(now(wet, SPACE).part).toMatchObject({ water: 'cotton' });
});

test('a wall makes two rooms of a tube, until it is taken out', () => {
  const divider = { atMm: 120, strawMm: 4 };
  const walled = of(home(1, { what: 'divided', partId: TUBE.id, divider }));
  expect(now(walled, TUBE.id).part).toEqual({ ...TUBE, divider });
  const out = of(
    home(1, { what: 'divided', partId: TUBE.id, divider }),
    home(2, { what: 'divided', partId: TUBE.id, divider: null }),
  );
  expect(now(out, TUBE.id).part).toEqual(TUBE);
});

test.each([
  [
    'a nest joined to itself',
    [set(1, NEST, 'nest')],
    { what: 'joined', partId: NEST, toId: NEST, by: 'pipe' },
    /A nest cannot be joined to itself/,
  ],
  [
    'a port used twice',
    [set(1, SPACE, 'outworld'), set(2, NEST, 'nest', { toId: SPACE, toPort: 'port-2' })],
    { what: 'set-up', part: usualBody(FRESH, 'nest'), by: 'pipe', toId: SPACE, toPort: 'port-2' },
    /That port of the foraging space is tied to another already/,
  ],
  [
    'a port that it has not',
    [],
    { what: 'set-up', part: usualBody(NEST, 'nest'), by: 'pipe', port: 'port-4' },
    /no such port/,
  ],
  [
    'every port taken',
    [set(1, NEST, 'nest')],
    { what: 'set-up', part: usualBody(SPACE, 'outworld'), by: 'pipe', toId: NEST },
    /Every port of the nest is tied/,
  ],
  [
    'joined to what is not there',
    [],
    { what: 'set-up', part: usualBody(NEST, 'nest'), by: 'pipe', toId: SPACE },
    /not in her home/,
  ],
  [
    'a move into a part that is shut',
    [set(1, NEST, 'nest', { shut: true })],
    { what: 'moved-in', partId: NEST, queen: true, how: 'by-themselves' },
    /This nest is shut: nobody walks into it/,
  ],
  [
    'a room that it has not',
    [set(1, NEST, 'nest')],
    { what: 'gate', partId: NEST, gate: 'room-9', state: 'shut' },
    /no such room/,
  ],
  ['nothing to part', [], { what: 'parted', partId: TUBE.id }, /joined to nothing/],
  ['a tube that is watered', [], { what: 'watered', partId: TUBE.id }, /A tube is not watered/],
  [
    'a wall in a nest',
    [set(1, NEST, 'nest')],
    { what: 'divided', partId: NEST, divider: { atMm: 20, strawMm: 4 } },
    /Only a tube is divided/,
  ],
  [
    'a wall in the water',
    [],
    { what: 'divided', partId: TUBE.id, divider: { atMm: 20, strawMm: 4 } },
    /does not stand in her cell/,
  ],
  [
    'a water line of a nest',
    [set(1, NEST, 'nest')],
    { what: 'moved-in', partId: NEST, queen: true, waterLineMm: 20 },
    /Only a tube has a water line/,
  ],
  [
    'a tube lying open in a tube',
    [],
    { what: 'set-up', part: usualBody(NEST, 'nest'), by: 'lies-in' },
    /Nothing lies open in a tube/,
  ],
] as const)('%s is refused with a way out, and changes nothing', (_, before, change, says) => {
  const had = of(...before);
  expect(had.faults).toEqual([]);
  expect(changeFault(had, change as never)).toMatch(says);
  const after = of(...before, home(30, change));
  expect(after.faults).toHaveLength(1);
  expect({ ...after, faults: [] }).toEqual({ ...had, faults: [] });
});

test('brought over by hand into a nest that is shut is no fault', () => {
  const h = of(set(1, NEST, 'nest', { purpose: 'move', shut: true }));
  expect(changeFault(h, { what: 'moved-in', partId: NEST, queen: true, how: 'by-hand' } as never)).toBeNull();
});
