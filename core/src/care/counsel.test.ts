import { emptyLedger, ledger, outlook } from '../founding';
import { plainText, msOf } from '../quantity';
import { speciesProfile } from '../species';
import { placeSchema, tubeSchema, type Entry, type LookingSchoolId } from '../log';
import { day, DAY_ZERO, entry, look, n, QUEEN, testId } from '../test-kit';
import { counsel } from './counsel';

const tube = tubeSchema.parse({
  id: testId(),
  kind: 'tube',
  outsideMm: 18,
  boreMm: 16,
  lengthMm: 150,
  end: 'round',
  waterLineMm: 85,
  plugs: { innerMm: 15, outerMm: 15 },
  setUpAt: DAY_ZERO,
});
const shelf = { id: testId(), name: 'Shelf', tempC: 25, roomRelHumidity: 0.5, winter: null };

function advise(
  entries: Entry[],
  onDay: number,
  { school = 'fortnightly' as LookingSchoolId, species = 'tetramorium-immigrans', place = shelf } = {},
) {
  const profile = speciesProfile(species);
  const now = day(onDay);
  const known = ledger(entries, now)[QUEEN] ?? emptyLedger(QUEEN);
  const ahead = outlook(profile, known, place.tempC, now, { draws: 1500, seed: 3 });
  const result = counsel({
    profile,
    ledger: known,
    outlook: ahead,
    tube,
    place: placeSchema.parse(place),
    lookingSchool: school,
    now,
  });
  const verdict = (id: string) => {
    const found = result.verdicts.find((v) => v.id === id);
    if (!found) throw new Error(id);
    return found;
  };
  return { ...result, verdict, ahead };
}

const intake = () => entry(0, { kind: 'intake' });

describe('may I look?', () => {
  test('never within a week of settling, by any school', () => {
    for (const school of ['weekly', 'fortnightly', 'three-to-four-weeks', 'hands-off'] as const) {
      const look = advise([intake()], 3, { school }).verdict('look');
      expect(look.answer).toBe('not yet');
      expect(look.criteria.find((c) => c.id === 'settled')).toMatchObject({
        state: 'unmet',
        margin: { value: -4 },
      });
    }
  });

  // Schools of looking: common practice, no source.
  test.each([
    ['weekly', 7],
    ['fortnightly', 14],
    ['three-to-four-weeks', 21],
  ] as const)('%s frees the next look after %d days', (school, days) => {
    const entries = [intake(), look(20, [0, 0, 0, 0])];
    const before = advise(entries, 20 + days - 1, { school }).verdict('look');
    expect(before).toMatchObject({ answer: 'not yet', until: day(20 + days) });
    expect(advise(entries, 20 + days, { school }).verdict('look').answer).toBe('you may');
  });

  test('hands off waits for the date on which workers are likely', () => {
    const { verdict, ahead } = advise([intake(), look(20, [6, 0, 0, 0])], 25, { school: 'hands-off' });
    expect(verdict('look').until).toBe(ahead.events.workers.band.p50);
  });

  test('shows what each other school would say, with its date', () => {
    const others = advise([intake(), look(20, [0, 0, 0, 0])], 28).verdict('look').others;
    expect(others.map((o) => o.school)).toEqual(['weekly', 'three-to-four-weeks', 'hands-off']);
    expect(others[0]).toMatchObject({ answer: 'may look' });
    expect(others[1]).toMatchObject({ answer: 'wait', until: day(41) });
  });

  test("the keeper's own decision to leave her alone counts", () => {
    const entries = [intake(), entry(20, { kind: 'rest', until: day(50) })];
    expect(advise(entries, 30).verdict('look')).toMatchObject({ answer: 'not yet', until: day(50) });
    expect(plainText(advise(entries, 30).next)).toBe('Leave her alone until 2026-06-20.');
  });
});

describe('is she late?', () => {
  test('not in her time, late when hardly any queen would still be without', () => {
    expect(advise([intake(), look(8, [0, 0, 0, 0])], 9).verdict('late').answer).toBe('no');
    const late = advise([intake(), look(60, [0, 0, 0, 0])], 60).verdict('late');
    expect(late.answer).toBe('late');
    expect(late.criteria.find((c) => c.id === 'pace')?.state).toBe('unmet');
  });

  test('without a look nothing says that she is late', () => {
    const bought = entry(0, { kind: 'intake', found: 'bought' });
    const pace = advise([bought], 90)
      .verdict('late')
      .criteria.find((c) => c.id === 'pace');
    expect(pace).toMatchObject({ state: 'unknown' });
    expect(pace?.settles).toBeTruthy();
  });

  test('too cool and too often looked at are named, with the log as evidence', () => {
    const entries = [intake(), ...Array.from({ length: 12 }, (_, i) => look(8 + i, [0, 0, 0, 0]))];
    const criteria = advise(entries, 20, { place: { ...shelf, tempC: 17 } }).verdict('late').criteria;
    expect(criteria.find((c) => c.id === 'warmth')).toMatchObject({ state: 'unmet', margin: { value: -5 } });
    expect(criteria.find((c) => c.id === 'calm')).toMatchObject({ state: 'unmet' });
    expect(criteria.find((c) => c.id === 'calm')?.evidence).toHaveLength(1);
  });

  test('a queen in the cold is at rest, not late', () => {
    const entries = [intake(), look(20, [0, 0, 0, 0])];
    expect(advise(entries, 60, { place: { ...shelf, tempC: 7 } }).verdict('late').answer).toBe('at rest');
  });
});

describe('tube and food', () => {
  test('a dry plug overrides the school of looking and comes first', () => {
    const dry = entry(20, { kind: 'look', wetFront: 'dry', waterLineMm: 10 });
    const advice = advise([intake(), dry], 22);
    expect(advice.pressure).toBe('now');
    expect(plainText(advice.next)).toMatch(/fresh tube/);
    expect(advice.verdict('look').answer).toBe('yes, once');
  });

  test('falling water lines bring the end of the water nearer', () => {
    const slow = advise([intake()], 60).reservoir;
    const fast = advise([intake(), entry(60, { kind: 'look', waterLineMm: 55 })], 60).reservoir;
    expect(msOf(fast.dryAt.p50 as string)).toBeLessThan(msOf(slow.dryAt.p50 as string));
  });

  test('a semi-claustral queen is not told to wait for food', () => {
    const advice = advise([intake()], 10, { species: 'manica-rubida' });
    expect(advice.verdict('food').answer).toBe('yes, today');
    expect(advice.pressure).toBe('now');
    const fed = [intake(), entry(9.5, { kind: 'feed', food: 'both' })];
    expect(advise(fed, 10, { species: 'manica-rubida' }).verdict('food').answer).toBe('fed');
  });

  test('a claustral queen is left without, and first workers harden before the first drop', () => {
    expect(advise([intake()], 10).verdict('food').answer).toBe('no');
    const workers = [intake(), look(55, [2, 2, 4, 3])];
    expect(advise(workers, 57).verdict('food')).toMatchObject({ answer: 'not yet', until: day(59) });
    expect(advise(workers, 60).verdict('food').answer).toBe('yes, the first feed');
  });

  test('after a loss nothing is asked, and no cause is a normal answer', () => {
    const advice = advise([intake(), entry(30, { kind: 'loss', how: 'died', cause: 'unknown' })], 40);
    expect(advice.verdicts).toEqual([]);
    expect(plainText(advice.next)).toMatch(/nobody can tell why/);
  });

  test('a line read beyond the tube is not used', () => {
    const advice = advise([intake(), entry(20, { kind: 'look', waterLineMm: 200, eggs: n(4) })], 21);
    expect(advice.reservoir.readings).toBe(1);
  });
});

describe('a colony without its queen', () => {
  const died = (goesOn: boolean) =>
    entry(95, { kind: 'loss', how: 'died', cause: 'unknown', ...(goesOn ? { colonyGoesOn: true } : {}) });
  const grown = [intake(), look(20, [5, 0, 0, 0]), look(80, [0, 0, 3, 6])];

  test('goes on: sugar about weekly and water, no look is asked for, nothing is said of laying', () => {
    const told = advise([...grown, died(true)], 96);
    expect(plainText(told.next)).toMatch(/^Without a queen since .* not released\./);
    expect(plainText(told.next)).not.toMatch(/laying/);
    expect(told.verdict('food').answer).toBe('yes, a little');
    const fed = entry(96, { kind: 'feed', food: 'sugar', outcome: 'taken' });
    const rests = advise([...grown, died(true), fed], 98);
    expect(rests.verdict('food')).toMatchObject({ answer: 'not yet', until: day(103) });
    expect(rests.verdict('water')).toBeDefined();
  });

  test('unless nothing is left of it', () => {
    expect(plainText(advise([...grown, died(false)], 96).next)).toMatch(/^She died/);
  });
});
