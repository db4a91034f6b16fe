import { DEFAULT_SETTINGS, placeSchema, queenSchema } from '../facts';
import type { Entry } from '../log';
import { MILESTONES } from '../species';
import { speciesProfile } from '../species/catalogue';
import { day, DAY_ZERO, entry, look, QUEEN, testId, TUBE } from '../test-kit';
import { plainGenerator, simulateQueen } from '../world';
import { momentsOf, queenView, shareLater, soonerWords, withoutSightings, type QueenFacts } from './index';

const place = placeSchema.parse({ id: testId(), name: 'Drawer', tempC: 25, roomRelHumidity: 0.5 });
const queen = queenSchema.parse({
  id: QUEEN,
  label: 'A',
  homeId: TUBE.id,
  placeId: place.id,
  createdAt: DAY_ZERO,
});
const facts = (entries: Entry[]): QueenFacts => ({ queen, home: TUBE, place, places: [place], entries });
const view = (entries: Entry[], at: number, draws = 800) =>
  queenView(facts(entries), DEFAULT_SETTINGS, day(at), { draws });
const intake = (more: object = {}) => entry(0, { kind: 'intake', ...more });

test('what a look shows first is a moment, with the days in which it came', () => {
  const first = look(54, [6, 4, 3, 2]);
  const entries = [intake(), look(9, [4, 0, 0, 0]), look(30, [6, 5, 0, 0]), look(50, [6, 4, 5, 0]), first];
  const found = momentsOf(view(entries, 55).ledger);
  expect(found.map((m) => m.stage)).toEqual(['eggs', 'larvae', 'pupae', 'workers']);
  expect(found.at(-1)).toMatchObject({ entryId: first.id, days: { low: 50, high: 54 }, at: day(52) });
});

test.each([
  [
    'came with her',
    [intake({ found: 'bought-with-workers', workers: { low: 9, high: 9 } }), look(9, [4, 0, 0, 9])],
  ],
  ['may have been there before anybody looked', [intake({ found: 'bought' }), look(9, [4, 0, 0, 9])]],
] as const)('workers that %s are no first ones', (_, entries) =>
  expect(momentsOf(view([...entries], 12).ledger).map((m) => m.stage)).not.toContain('workers'),
);

test('what was given to her is none of hers', () => {
  const given = entry(20, { kind: 'brood', way: 'received', otherId: testId(), counts: { pupae: 4 } });
  expect(momentsOf(view([intake(), given, look(30, [4, 0, 0, 3])], 31).ledger)).toEqual([]);
});

test('how soon it came is told against queens of whom nothing was seen', () => {
  const log = [intake(), look(9, [4, 0, 0, 0]), look(80, [6, 5, 3, 4])];
  const expected = (at: number) => {
    const { outlook } = queenView(withoutSightings(facts(log)), DEFAULT_SETTINGS, day(at), { draws: 4000 });
    return shareLater(outlook!, 'workers');
  };
  // the later the day, the fewer are still to come
  const shares = [25, 40, 50, 60, 90].map(expected);
  expect(shares).toEqual([...shares].sort((a, b) => b - a));
  expect(shares[0]).toBeGreaterThan(0.9);
  expect(shares.at(-1)).toBeLessThan(0.2);
});

test('among simulated queens of her kind the shares lie evenly: as many sooner as later', () => {
  const profile = speciesProfile('tetramorium-immigrans');
  const random = plainGenerator(7);
  const blank = withoutSightings(facts([intake()]));
  const shares = Array.from({ length: 60 }, () => {
    const days = simulateQueen(profile, 25, random)[MILESTONES.indexOf('workers')] as number;
    const { outlook } = queenView(blank, DEFAULT_SETTINGS, day(days), { draws: 1000 });
    return shareLater(outlook!, 'workers');
  });
  const mean = shares.reduce((a, b) => a + b, 0) / shares.length;
  // a mean of 60 even shares lies within 0.5 ± 0.11 in 997 of 1000 times (standard error 0.037); queens are drawn from a fixed seed
  expect(Math.abs(mean - 0.5)).toBeLessThan(0.11);
  expect(shares.filter((s) => s < 0.25).length).toBeGreaterThan(5);
  expect(shares.filter((s) => s > 0.75).length).toBeGreaterThan(5);
});

test.each([
  [0.72, 'sooner than about 7 in 10 of her species'],
  [0.999, 'sooner than about 9 in 10 of her species'],
  [0.5, 'about when half of her species have them'],
  [0.31, 'later than about 7 in 10 of her species'],
  [0, 'later than about 9 in 10 of her species'],
])('%d is said as “%s”', (share, words) => expect(soonerWords(share)).toBe(words));
