import { entrySchema, type Entry } from '../log';
import { DEFAULT_SETTINGS } from '../facts';
import { day, entry, look, QUEEN, SHELF, testId, TUBE } from '../test-kit';
import { sortOut, withoutPlace, type ById, type Fact, type Here, type Numbered } from './index';

const queen: Fact = {
  fact: 'queen',
  value: {
    id: QUEEN,
    label: 'A',
    batch: '',
    homeId: TUBE.id,
    placeId: SHELF.id,
    lookingSchool: null,
    createdAt: day(0),
  },
};
const place: Fact = { fact: 'place', value: SHELF };
const home: Fact = { fact: 'home', value: TUBE };
const told = (value: Entry): Fact => ({ fact: 'entry', value });
const seen = look(5, [8, 0, 0, 0]);
const everything = [place, home, queen, told(seen)];

const numbered = (facts: readonly Fact[]): Numbered[] => facts.map((fact, i) => ({ line: i + 1, fact }));
const hereOf = (facts: readonly Fact[]): Here => {
  const known = new Map(
    facts.map((f) => [`${f.fact} ${f.fact === 'settings' ? f.fact : 'id' in f.value ? f.value.id : ''}`, f]),
  );
  return (kind, id) => known.get(`${kind} ${id}`);
};
const NOTHING: Here = () => undefined;
const kindsOf = (all: readonly Numbered[]) => all.map((n) => n.fact.fact);
const amendment = (about: Entry, extra: object = {}): Entry =>
  entrySchema.parse({
    kind: 'amendment',
    id: testId(),
    queenId: about.queenId,
    at: day(6),
    loggedAt: day(6),
    amends: about.id,
    replacement: null,
    ...extra,
  });

test('where nothing is yet everything is new, in an order in which it can be written', () => {
  const back = amendment(seen);
  const again = amendment(back);
  const { fresh, refused } = sortOut(numbered([told(again), told(back), ...everything].reverse()), NOTHING);
  expect(refused).toEqual([]);
  expect(kindsOf(fresh)).toEqual(['place', 'home', 'queen', 'entry', 'entry', 'entry']);
  expect(fresh.slice(3).map((n) => n.fact)).toEqual([told(seen), told(back), told(again)]);
});

test('the same once more changes nothing, however it is written down', () => {
  const written = everything.map((f) => JSON.parse(JSON.stringify(f).replaceAll('.000Z', 'Z')) as Fact);
  expect(written).not.toEqual(everything);
  const { fresh, same, contradictory } = sortOut(numbered(written), hereOf(everything));
  expect({ fresh, contradictory }).toEqual({ fresh: [], contradictory: [] });
  expect([...same.values()]).toEqual([1, 1, 1, 1]);
});

test('what is told otherwise is named, with what differs', () => {
  const warmer: Fact = { fact: 'place', value: { ...SHELF, tempC: 27, name: 'Cellar' } };
  const other = told({ ...seen, loggedAt: day(7) });
  const { contradictory, fresh } = sortOut(numbered([warmer, other]), hereOf(everything));
  expect(fresh).toEqual([]);
  expect(contradictory.map((c) => [c.here.fact, c.about])).toEqual([
    ['place', ['name', 'tempC']],
    ['entry', ['loggedAt']],
  ]);
});

test('settings are new where none were ever told', () => {
  const settings: Fact = { fact: 'settings', value: { ...DEFAULT_SETTINGS, hemisphere: 'south' } };
  expect(kindsOf(sortOut(numbered([settings]), NOTHING).fresh)).toEqual(['settings']);
  const here: Fact = { fact: 'settings', value: DEFAULT_SETTINGS };
  expect(sortOut(numbered([settings]), hereOf([here])).contradictory[0]?.about).toEqual(['hemisphere']);
});

test('a log whose places were left out is the same log', () => {
  const taken = told(entry(0, { kind: 'intake', where: 'Millrace Meadow' }));
  const out = withoutPlace(taken);
  expect(JSON.stringify(out)).not.toContain('Millrace');
  const { same, contradictory } = sortOut(numbered([out]), hereOf([...everything, taken]));
  expect(contradictory).toEqual([]);
  expect(same.get('entry')).toBe(1);
  // where she was found elsewhere is a contradiction
  const elsewhere = told({ ...(taken.value as Entry), where: 'Hill' } as Entry);
  expect(sortOut(numbered([elsewhere]), hereOf([...everything, taken])).contradictory).toHaveLength(1);
});

describe('what cannot be taken says why, by its line', () => {
  const reasons = (facts: readonly Fact[], here = NOTHING) =>
    sortOut(numbered(facts), here).refused.map((r) => `${r.line} ${r.reason}`);

  test.each<[string, Fact[], RegExp]>([
    ['an entry whose queen is missing', [told(seen)], /^1 Its queen is neither here nor in the file/],
    ['a queen without her home', [place, queen], /^2 Her first home is neither/],
    ['a queen without her place', [home, queen], /^2 Her first place is neither/],
    [
      'a move to a place that is missing',
      [...everything, told(entry(9, { kind: 'move', placeId: testId() }))],
      /^5 A place that it names/,
    ],
    [
      'a species of the keeper’s own that is missing',
      [...everything, told(entry(0, { kind: 'intake', species: { profileId: testId(), sure: 'likely' } }))],
      /^5 The species that it names/,
    ],
    [
      'a correction of nothing',
      [...everything, told(amendment(look(4, [1, 0, 0, 0])))],
      /^5 What it puts right is neither/,
    ],
    [
      'a correction of another kind',
      [...everything, told(amendment(seen, { replacement: { kind: 'note', at: day(3), text: 'x' } }))],
      /^5 What it puts right is of another kind/,
    ],
    [
      'two entries of one id',
      [...everything, told({ ...seen, loggedAt: day(8) })],
      /^5 It says something else than line 4/,
    ],
  ])('%s', (_, facts, says) => {
    expect(reasons(facts)).toEqual([expect.stringMatching(says)]);
  });

  test('what rests on something that is not taken is not taken either', () => {
    expect(reasons([queen, told(seen)])).toEqual([
      expect.stringMatching(/^1 Her first home/),
      expect.stringMatching(/^2 Its queen/),
    ]);
  });

  test('what is missing in the file may be here', () => {
    expect(reasons([told(amendment(seen))], hereOf(everything))).toEqual([]);
  });
});

test('of several about one thing the last holds', () => {
  const facts: Fact[] = [place, { fact: 'place', value: { ...SHELF, tempC: 30 } }];
  expect(sortOut(numbered(facts), NOTHING).fresh.map((n) => (n.fact as ById).value)).toEqual([
    { ...SHELF, tempC: 30 },
  ]);
});
