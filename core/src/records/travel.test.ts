import { DEFAULT_SETTINGS, placeSchema, queenSchema } from '../facts';
import { usualBody } from '../housing';
import type { Entry } from '../log';
import { day, DAY_ZERO, entry, look, QUEEN, testId, TUBE } from '../test-kit';
import { queenView, type QueenFacts } from '../view';
import { arrivedFrom, factSchema, readFacts, storyOf } from './index';

const drawer = placeSchema.parse({ id: testId(), name: 'Attic of Anna', tempC: 25, roomRelHumidity: 0.5 });
const box = placeSchema.parse({ id: testId(), name: 'Cellar', tempC: 8, roomRelHumidity: 0.7 });
const queen = queenSchema.parse({
  id: QUEEN,
  label: 'A7',
  batch: 'Wall behind the school',
  homeId: TUBE.id,
  placeId: drawer.id,
  createdAt: DAY_ZERO,
});
const PRIVATE = /Grandma|Anna|school|Hollow|47\.1|kept by Bert|Cellar|bought a drink|told me/;
const OTHERS = testId();
const facts = (entries: Entry[]): QueenFacts => ({
  queen,
  home: TUBE,
  place: drawer,
  places: [drawer, box],
  entries,
});
const entries = () => [
  entry(0, {
    kind: 'intake',
    where: 'Linnet Hollow',
    coordinates: { lat: 47.123, lon: 8.1, uncertaintyM: 50 },
    weather: 'bought a drink after the storm',
    species: { profileId: 'tetramorium-immigrans', sure: 'certain', namedBy: 'kept by Bert' },
    text: 'Anna told me',
  }),
  look(9, [4, 0, 0, 0]),
  entry(10, {
    kind: 'home',
    change: {
      what: 'set-up',
      part: { ...usualBody(testId(), 'outworld'), name: 'Box of Grandma', was: OTHERS },
      purpose: 'room',
      by: 'pipe',
    },
  }),
  entry(12, { kind: 'note', text: 'Anna told me of it' }),
  entry(20, { kind: 'move', placeId: box.id }),
  entry(30, { kind: 'brood', way: 'received', otherId: testId(), counts: { pupae: 2 } }),
  look(60, [6, 5, 3, 2]),
];
let n = 0;
const freshId = () => `01900000-0000-7000-8000-${String(++n).padStart(12, '0')}`;
const onWire = (f: ReturnType<typeof storyOf>) => readFacts(f.map((x) => JSON.stringify(x)).join('\n'));

test('nothing private travels unless it is asked for; photos and brood of others never do', () => {
  const story = storyOf(facts(entries()), [], false);
  for (const fact of story) expect(factSchema.safeParse(fact).success).toBe(true);
  expect(JSON.stringify(story)).not.toMatch(PRIVATE);
  // nor which other colony a part served before
  expect(JSON.stringify(storyOf(facts(entries()), [], true))).not.toContain(OTHERS);
  expect(story.map((f) => (f.fact === 'entry' ? f.value.kind : f.fact))).toEqual([
    'place',
    'place',
    'home',
    'queen',
    'intake',
    'look',
    'home',
    'move',
    'look',
  ]);
  const told = JSON.stringify(storyOf(facts(entries()), [], true));
  for (const words of ['Attic of Anna', 'Linnet Hollow', 'kept by Bert', 'Anna told me of it'])
    expect(told).toContain(words);
  expect(told).not.toContain('"brood"');
});

test('she arrives as swapped, with ids of her own, and is seen as she was', () => {
  const given = facts(entries().filter((e) => e.kind !== 'brood'));
  const { facts: hers, intake, entries: rest } = arrivedFrom(onWire(storyOf(given, [], false)), freshId);
  expect(intake.found).toBe('swapped');
  // caught alone, she had nothing with her: that is not lost with the word
  expect(intake.workers).toEqual({ low: 0, high: 0 });
  const ids = JSON.stringify([hers, intake, rest]);
  for (const old of [QUEEN, TUBE.id, drawer.id, box.id]) expect(ids).not.toContain(old);
  const before = queenView(given, DEFAULT_SETTINGS, day(61), { draws: 200 });
  const after = queenView({ ...hers, entries: [intake, ...rest] }, DEFAULT_SETTINGS, day(61), { draws: 200 });
  const seen = ({ ledger }: typeof before) =>
    Object.values(ledger.appearances).map(({ interval }) => interval);
  expect(seen(after)).toEqual(seen(before));
  expect(after.ledger.counts.workers?.range).toEqual(before.ledger.counts.workers?.range);
  // twice taken in she is two
  const again = arrivedFrom(onWire(storyOf(given, [], false)), freshId);
  expect(again.facts.queen.id).not.toBe(hers.queen.id);
});

test('a profile of the keeper’s own is told by what it was copied from', () => {
  const own = {
    id: testId(),
    name: 'My harvesters',
    copiedOf: 'messor-structor',
    copiedName: 'Messor structor',
    figures: {},
  } as never;
  const named = entry(0, {
    kind: 'intake',
    species: { profileId: (own as { id: string }).id, sure: 'likely' },
  });
  expect(JSON.stringify(storyOf(facts([named]), [own], false))).toContain('messor-structor');
});

test.each([
  ['two queens', () => [...storyOf(facts(entries()), [], false), ...otherQueen()], /holds 2 queens/],
  ['none', () => [], /holds 0 queens/],
])('a file of %s is refused with the way out', (_, made, says) =>
  expect(() => arrivedFrom(made(), freshId)).toThrow(says),
);

function otherQueen() {
  const other = { ...queen, id: testId(), label: 'B1' };
  return storyOf({ ...facts([]), queen: other }, [], false);
}
