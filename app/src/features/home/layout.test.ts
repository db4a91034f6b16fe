import { housing, standing, usualBody, type DrawnHome } from '@gentle-burrow/core/housing';
import type { EntryOf, HomeChange } from '@gentle-burrow/core/log';
import { usualTube } from '@gentle-burrow/core/tube';
import type { BodyKind } from '@gentle-burrow/core/vocabulary';
import { layoutOf, type Placed } from './layout';

const id = (n: number) => `018f0000-0000-7000-8000-${String(n).padStart(12, '0')}`;
const FIRST = id(1);
const AT = '2026-05-01T18:00:00.000Z';

function made(changes: HomeChange[]): DrawnHome {
  const entries = changes.map((change, i) => ({
    kind: 'home',
    id: `e${i}`,
    at: AT,
    change,
  })) as EntryOf<'home'>[];
  const h = housing(usualTube(FIRST, AT), entries);
  expect(h.faults).toEqual([]);
  return { ...h, parts: standing(h) };
}
const body = (n: number, kind: BodyKind, how: object = {}): HomeChange =>
  ({ what: 'set-up', part: usualBody(id(n), kind), purpose: 'room', by: 'pipe', ...how }) as HomeChange;
const tube = (n: number, how: object = {}): HomeChange => {
  const { setUpAt: _, ...part } = usualTube(id(n), '');
  return { what: 'set-up', part, purpose: 'move', by: 'taped', ...how } as HomeChange;
};

const overlap = (a: Placed, b: Placed): boolean =>
  a.x < b.x + b.wide - 1e-6 &&
  b.x < a.x + a.wide - 1e-6 &&
  a.y < b.y + b.tall - 1e-6 &&
  b.y < a.y + a.tall - 1e-6;

/** Twelve parts: a chain of spaces and nests, tubes beside, a drinker. */
const TWELVE = [
  body(2, 'outworld'),
  ...[3, 4, 5, 6].map((n) => body(n, 'outworld', { toId: id(n - 1), toPort: 'port-2' })),
  body(7, 'nest', { toId: id(6), toPort: 'port-2' }),
  ...[8, 9, 10].map((n) => tube(n, { by: 'beside', purpose: 'room' })),
  body(11, 'drinker', { by: 'beside', purpose: 'water' }),
  body(12, 'cell', { by: 'beside' }),
];

test('every part is drawn once, inside the picture, and no two cover each other', () => {
  for (const changes of [[], [tube(2)], [body(2, 'outworld')], TWELVE]) {
    const layout = layoutOf(made(changes));
    expect(layout.placed).toHaveLength(changes.length + 1);
    for (const [i, a] of layout.placed.entries()) {
      expect(a.x).toBeGreaterThanOrEqual(0);
      expect(a.y).toBeGreaterThanOrEqual(0);
      expect(a.x + a.wide).toBeLessThanOrEqual(layout.wide + 1e-6);
      expect(a.y + a.tall).toBeLessThanOrEqual(layout.tall + 1e-6);
      for (const b of layout.placed.slice(i + 1)) expect(overlap(a, b)).toBe(false);
    }
  }
});

test('all of it to one scale: a part keeps its size whatever stands with it', () => {
  const nest = (changes: HomeChange[]) =>
    layoutOf(made(changes)).placed.find((p) => p.part.kind === 'nest') as Placed;
  const alone = nest([body(2, 'nest')]);
  const among = nest(TWELVE);
  expect([among.wide, among.tall]).toEqual([alone.wide, alone.tall]);
  // 90 mm of floor and two walls of 2 mm with their margins
  expect(alone.wide).toBeCloseTo(90 + 2 * (2 + 5));
});

test('two tubes mouth to mouth meet without a gap, the other one turned', () => {
  const { placed, joints } = layoutOf(made([tube(2)]));
  const [hers, other] = placed as [Placed, Placed];
  expect(hers.part.id).toBe(FIRST);
  expect(other.turned).toBe(true);
  expect(other.x).toBeCloseTo(hers.x + hers.wide);
  expect(joints).toHaveLength(1);
});

test('a joint goes from port to port', () => {
  const { placed, joints } = layoutOf(made([body(2, 'outworld')]));
  const [joint] = joints;
  const [hers, space] = placed as [Placed, Placed];
  // from the first port of the space, in its left wall, to the mouth of her tube
  expect(joint?.to).toEqual({ x: hers.x + hers.wide, y: hers.y + hers.tall / 2 });
  expect(joint?.from.x).toBeGreaterThan(space.x);
  expect(joint?.from.x).toBeLessThan(space.x + 8);
});

test('a tube lying open in a box is drawn in it; what was taken away is not drawn', () => {
  const inBox = layoutOf(
    made([
      body(2, 'box', { by: 'beside' }),
      { what: 'joined', partId: FIRST, toId: id(2), by: 'lies-in' } as HomeChange,
    ]),
  );
  const box = inBox.placed.find((p) => p.part.kind === 'box') as Placed;
  const tubeIn = inBox.placed.find((p) => p.part.kind === 'tube') as Placed;
  expect(tubeIn.x).toBeGreaterThan(box.x);
  expect(tubeIn.y).toBeGreaterThan(box.y);
  const gone = layoutOf(
    made([body(2, 'nest'), { what: 'taken-away', partId: id(2), to: 'cleaned' } as HomeChange]),
  );
  expect(gone.placed).toHaveLength(1);
});
