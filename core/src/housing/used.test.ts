import { addDays } from '../quantity';
import type { Entry } from '../log';
import { usualTube } from '../tube';
import { housingOf } from './housing';
import { LEFT_DAYS, usedFault, usedParts as usedPartsAt, type Keeping } from './used';

// Containers outlive those who lived in them. Common practice, no source.

const START = '2026-05-01T18:00:00Z';
const day = (n: number) => addDays(START, n);
const part = (id: string) => {
  const { setUpAt: _, ...measures } = usualTube(id, '');
  return measures;
};

const usedParts = (all: readonly Keeping[], now = day(100)) => usedPartsAt(all, now);

let serial = 0;
/** A queen with her first tube "a-first" and what was written of her. */
function keeping(label: string, bodies: [number, object][], was?: string): Keeping {
  const entries = bodies.map(
    ([at, body]) =>
      ({ id: `e${++serial}`, queenId: label, at: day(at), loggedAt: day(at), ...body }) as Entry,
  );
  const home = { ...usualTube(`${label}-first`, START), ...(was ? { was } : {}) };
  return { queen: { id: label, label }, home, entries };
}
const change = (what: object) => ({ kind: 'home', change: what });
/** Moved on day 20 into another tube; on day 25 the first is taken away. */
const moved = (label: string, to = 'cleaned', more: [number, object][] = []): Keeping =>
  keeping(label, [
    [10, { kind: 'look', mould: 'none' }],
    [15, change({ what: 'set-up', part: part(`${label}-second`), purpose: 'move', by: 'taped' })],
    [18, { kind: 'look', mould: 'far-plug' }],
    [
      20,
      change({
        what: 'moved-in',
        partId: `${label}-second`,
        queen: true,
        brood: 'all',
        how: 'by-themselves',
      }),
    ],
    [22, { kind: 'look', mould: 'none' }],
    [25, change({ what: 'taken-away', partId: `${label}-first`, to })],
    ...more,
  ]);

test('a tube that was taken away tells who lived in it, how long, and the worst mould seen there', () => {
  const [used, ...more] = usedParts([moved('A')]);
  expect(more).toEqual([]);
  expect(used).toMatchObject({
    part: { id: 'A-first' },
    queenId: 'A',
    asideAt: day(25),
    cleanedAt: day(25),
    mould: 'far-plug',
    stays: [{ label: 'A', from: START, until: day(20) }],
  });
  expect(used && usedFault(used)).toBeNull();
});

test('thrown away it is no more; what stands is not used yet', () => {
  expect(usedParts([moved('A', 'thrown-away')])).toEqual([]);
  expect(usedParts([keeping('A', [])])).toEqual([]);
});

test('kept aside it is not clean until it was cleaned there, and can be thrown away after all', () => {
  const aside = (more: [number, object][] = []) => usedParts([moved('A', 'kept-aside', more)])[0];
  const dirty = aside();
  expect(dirty && usedFault(dirty)).toMatch(/not cleaned.*hot water and soap/);
  const clean = aside([[30, change({ what: 'cleaned', partId: 'A-first', aside: true })]]);
  expect(clean?.cleanedAt).toBe(day(30));
  expect(clean && usedFault(clean)).toBeNull();
  expect(
    aside([[31, change({ what: 'taken-away', partId: 'A-first', to: 'thrown-away', aside: true })]]),
  ).toBeUndefined();
});

test('cleaned while she lived in it is not clean now', () => {
  const before: [number, object][] = [[5, change({ what: 'cleaned', partId: 'A-first' })]];
  const [used] = usedParts([moved('A', 'kept-aside', before)]);
  expect(used?.cleanedAt).toBeNull();
});

test('where mould was at the brood, cleaning is not enough', () => {
  const [used] = usedParts([moved('A', 'cleaned', [[12, { kind: 'look', mould: 'near-brood' }]])]);
  expect(used?.mould).toBe('near-brood');
  expect(used && usedFault(used)).toMatch(/sterilise it.*or throw it away/);
});

test('set up for another it is hers now; taken away again, it tells of both', () => {
  const second = (more: [number, object][]): Keeping =>
    keeping('B', [
      [
        40,
        change({
          what: 'set-up',
          part: { ...part('B-second'), was: 'A-first' },
          purpose: 'move',
          by: 'taped',
        }),
      ],
      [45, change({ what: 'moved-in', partId: 'B-second', queen: true, how: 'by-themselves' })],
      [46, change({ what: 'taken-away', partId: 'B-first', to: 'thrown-away' })],
      ...more,
    ]);
  expect(usedParts([moved('A'), second([])])).toEqual([]);
  const again = usedParts([
    moved('A'),
    second([
      [50, change({ what: 'set-up', part: part('B-third'), purpose: 'move', by: 'taped' })],
      [60, change({ what: 'moved-in', partId: 'B-third', queen: true, how: 'by-themselves' })],
      [61, change({ what: 'taken-away', partId: 'B-second', to: 'kept-aside' })],
    ]),
  ]);
  expect(again.map((u) => u.part.id)).toEqual(['B-second']);
  expect(again[0]?.stays.map((s) => [s.label, s.from, s.until])).toEqual([
    ['A', START, day(20)],
    ['B', day(45), day(60)],
  ]);
  // mould of the first time is not forgotten
  expect(again[0]?.mould).toBe('far-plug');
});

test('a taking away that was itself taken back leaves it where it stands', () => {
  const facts = moved('A');
  const away = facts.entries.at(-1) as Entry;
  const back = {
    kind: 'amendment',
    id: 'back',
    queenId: 'A',
    at: day(26),
    loggedAt: day(26),
    amends: away.id,
    over: null,
    replacement: null,
  } as Entry;
  expect(usedParts([{ ...facts, entries: [...facts.entries, back] }])).toEqual([]);
});

test('what is done to a part that stands aside disturbs nobody, and is no fault', () => {
  // written without saying so, it is said to have been taken away
  const wrong = moved('A', 'kept-aside', [[30, change({ what: 'cleaned', partId: 'A-first' })]]);
  expect(usedParts([wrong])[0]?.cleanedAt).toBeNull();
});

describe('a colony that ended', () => {
  const ended = (how: string, more: [number, object][] = []) =>
    keeping('E', [[10, { kind: 'look', mould: 'far-plug' }], [30, { kind: 'loss', how }], ...more]);

  test('leaves its home behind: it stands in the stock, not clean', () => {
    const [used, ...more] = usedParts([ended('died')]);
    expect(more).toEqual([]);
    expect(used).toMatchObject({
      part: { id: 'E-first' },
      left: true,
      asideAt: day(30),
      cleanedAt: null,
      mould: 'far-plug',
      stays: [{ label: 'E', from: START, until: day(30) }],
    });
    expect(used && usedFault(used)).toMatch(/not cleaned/);
  });

  test('what is given away, or goes on with its workers, takes its home along', () => {
    expect(usedParts([ended('given-away')])).toEqual([]);
    expect(usedParts([keeping('E', [[30, { kind: 'loss', how: 'died', colonyGoesOn: true }]])])).toEqual([]);
  });

  test('its last home is cleaned or thrown away, though it was the only one', () => {
    const away = (to: string): [number, object] => [
      40,
      change({ what: 'taken-away', partId: 'E-first', to, aside: true }),
    ];
    const [used] = usedParts([ended('died', [away('cleaned')])]);
    expect(used).toMatchObject({ left: false, cleanedAt: day(40) });
    expect(used && usedFault(used)).toBeNull();
    expect(usedParts([ended('died', [away('thrown-away')])])).toEqual([]);
  });

  test('of one who lives nothing is taken away so: her only home is still hers', () => {
    const away = change({ what: 'taken-away', partId: 'L-first', to: 'thrown-away', aside: true });
    const lives = keeping('L', [[40, away]]);
    expect(usedParts([lives])).toEqual([]);
    expect(housingOf(lives)).toMatchObject({ parts: [{ gone: null }], faults: [{ at: day(40) }] });
    expect(housingOf(lives).faults[0]?.says).toMatch(/her only tube. Set up another/);
    // nor before she died
    const early = keeping('L', [
      [40, away],
      [50, { kind: 'loss', how: 'died' }],
    ]);
    expect(housingOf(early).faults).toHaveLength(1);
    expect(usedParts([early])).toHaveLength(1);
  });

  test('is not asked about for ever, but what was taken away still stands there', () => {
    const late = day(31 + LEFT_DAYS);
    expect(usedParts([ended('died')], late)).toEqual([]);
    expect(usedParts([moved('A')], late)).toHaveLength(1);
  });
});
