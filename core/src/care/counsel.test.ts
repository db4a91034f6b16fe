import type { Reservoir } from '../tube';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { plainText, msOf } from '../quantity';
import { advise, caseAt, day, entry, look, n } from '../test-kit';
import {
  figure,
  LOOKING_SCHOOLS,
  PRACTICE,
  practiceTable,
  weighSilence,
  weightOf,
  type SilenceCause,
} from './index';

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
    const criteria = advise(entries, 20, { place: { tempC: 17 } }).verdict('late').criteria;
    expect(criteria.find((c) => c.id === 'best')).toMatchObject({ state: 'unmet', margin: { value: -5 } });
    expect(criteria.find((c) => c.id === 'calm')).toMatchObject({ state: 'unmet' });
    expect(criteria.find((c) => c.id === 'calm')?.evidence.length).toBeGreaterThan(0);
  });

  test('a queen in the cold is at rest, not late', () => {
    const entries = [intake(), look(20, [0, 0, 0, 0])];
    expect(advise(entries, 60, { place: { tempC: 7 } }).verdict('late').answer).toBe('at rest');
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
    const slow = advise([intake()], 60).water as Reservoir;
    const fast = advise([intake(), entry(60, { kind: 'look', waterLineMm: 55 })], 60).water as Reservoir;
    expect(msOf(fast.dryAt.p50 as string)).toBeLessThan(msOf(slow.dryAt.p50 as string));
  });

  test('a semi-claustral queen is not told to wait for food', () => {
    const advice = advise([intake()], 10, { species: 'manica-rubida' });
    expect(advice.verdict('food').answer).toBe('yes, today');
    expect(advice.pressure).toBe('now');
    const fed = [intake(), entry(9.5, { kind: 'feed', food: 'both', outcome: 'taken' })];
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
    expect(advice.water?.readings).toBe(1);
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

describe('figures of practice', () => {
  test('each says who says so, what it counts and what it means', () => {
    for (const [id, f] of Object.entries(PRACTICE)) {
      expect(`${id} ${f.value}`).not.toMatch(/NaN/);
      expect(f.value).toBeGreaterThan(0);
      expect(['practice', 'prior']).toContain(f.source.kind);
      expect(f.means.length).toBeGreaterThan(5);
    }
  });

  // common practice, no source: the handbook's figures
  test.each([
    ['settleDays', 7],
    ['weeklyDays', 7],
    ['fortnightDays', 14],
    ['mustEatFromDays', 2],
    ['mustEatByDays', 4],
    ['spaceWorkers', 15],
    ['nestLarge', 20],
    ['nestSmall', 30],
    ['nestSmallBy', 50],
    ['alarmingShare', 1 / 3],
  ] as const)('%s is %d', (id, value) => expect(figure(id)).toBe(value));

  test('the methods of looking go by them', () =>
    expect(LOOKING_SCHOOLS.map((s) => s.everyDays)).toEqual([
      figure('weeklyDays'),
      figure('fortnightDays'),
      figure('threeWeeksDays'),
      null,
    ]));
});

describe('what she has been put through', () => {
  const feed = (d: number, more: object = {}) =>
    entry(d, { kind: 'feed', food: 'sugar', outcome: 'taken', ...more });

  test('food where she need not be met hardly counts, food in her cell half a look', () => {
    expect(weightOf('feed-outside', false)).toBeLessThan(0.1);
    expect(weightOf('feed-cell', false)).toBe(0.5);
    expect(weightOf('feed', true)).toBe(weightOf('feed-outside', true));
    expect(weightOf('feed', false)).toBe(weightOf('feed-cell', false));
  });

  test('looks, feeds and bumps spend by weight; what is older than four weeks is forgotten', () => {
    const log = [
      intake(),
      look(5, [0, 0, 0, 0]),
      look(20, [0, 0, 0, 0]),
      feed(30),
      entry(35, { kind: 'knock' }),
    ];
    const { peace } = advise(log, 40, { school: 'weekly' });
    expect(peace).toMatchObject({ allowed: 4, spent: 2.5 });
    expect(advise(log, 70, { school: 'weekly' }).peace.spent).toBe(0);
  });

  test('two weeks after a look, three after being carried; four after more than one a week, and never longer', () => {
    const none = [0, 0, 0, 0] as [number, number, number, number];
    expect(advise([intake(), look(40, none)], 45).peace.nextFree).toBe(day(54));
    expect(advise([intake(), look(40, none), look(48, none)], 50).peace.nextFree).toBe(day(62));
    const moved = entry(40, { kind: 'move', placeId: '018f0000-0000-7000-9000-999999999999' });
    expect(advise([intake(), moved], 45).peace.nextFree).toBe(day(61));
    const often = Array.from({ length: 20 }, (_, i) => look(40 + i, none));
    expect(advise([intake(), ...often], 60).peace).toMatchObject({ nextFree: day(59 + 28), restless: true });
    expect(advise([intake(), ...often], 90).peace).toMatchObject({ nextFree: null, restless: false });
  });

  test('entries of one visit are one opening', () => {
    const log = [intake(), look(30, [4, 0, 0, 0]), feed(30.01), feed(30.02, { outcome: 'removed' })];
    expect(advise(log, 35).peace.spent).toBe(1);
  });

  test('hands off allows none by number', () =>
    expect(advise([intake()], 30, { school: 'hands-off' }).peace.allowed).toBeNull());
});

describe('why are no eggs there', () => {
  const NONE: [number, number, number, number] = [0, 0, 0, 0];
  const weigh = (onDay: number, log: Parameters<typeof advise>[0], told: Parameters<typeof advise>[2] = {}) =>
    weighSilence(caseAt(log, onDay, told));
  const share = (causes: ReturnType<typeof weigh>, cause: SilenceCause) =>
    causes?.find((c) => c.cause === cause)?.share ?? NaN;
  const manica = entry(0, { kind: 'intake', species: { profileId: 'manica-rubida', sure: 'certain' } });
  const cool = { species: 'manica-rubida', place: { tempC: 22 } };

  test('not asked in the first days, nor before anyone has looked, nor once there are eggs', () => {
    expect(weigh(5, [intake(), look(4, NONE)])).toBeNull();
    expect(weigh(30, [intake()])).toBeNull();
    expect(weigh(30, [intake(), look(25, [4, 0, 0, 0])])).toBeNull();
  });
  test('shares come to one, and what the outlook gives to "never" is the share of never mated', () => {
    const log = [intake(), look(35, NONE)];
    const causes = weigh(40, log);
    expect(causes?.reduce((sum, c) => sum + c.share, 0)).toBeCloseTo(1, 9);
    expect(share(causes, 'infertile')).toBeCloseTo(caseAt(log, 40).ahead?.neverLays ?? NaN, 9);
  });
  test('soon after the usual time: still early', () =>
    expect(weigh(12, [intake(), look(11, NONE)])?.[0]?.cause).toBe('early'));
  // directions: common practice, no source
  test('looked at every other day: disturbance gains', () => {
    const looks = (every: number) =>
      Array.from({ length: Math.floor(40 / every) }, (_, i) => look((i + 1) * every, NONE));
    expect(share(weigh(41, [intake(), ...looks(2)]), 'disturbed')).toBeGreaterThan(
      2 * share(weigh(41, [intake(), ...looks(20)]), 'disturbed'),
    );
  });
  test('stood too cool: coolness gains', () =>
    expect(share(weigh(40, [intake(), look(35, NONE)], { place: { tempC: 18 } }), 'cool')).toBeGreaterThan(
      share(weigh(40, [intake(), look(35, NONE)]), 'cool'),
    ));
  test('a queen that must eat and was never fed: hunger gains; fed lately, it falls away', () => {
    const fed = entry(39, { kind: 'feed', food: 'both', outcome: 'taken' });
    const unfed = share(weigh(40, [manica, look(35, NONE)], cool), 'hungry');
    expect(unfed).toBeGreaterThan(0.3);
    expect(share(weigh(40, [manica, look(35, NONE), fed], cool), 'hungry')).toBeLessThan(0.05);
  });
  test('never mated is only inferred as all else becomes unlikely', () => {
    const late = weigh(110, [intake(), look(60, NONE), look(109, NONE)]);
    expect(share(late, 'infertile')).toBeGreaterThan(
      share(weigh(14, [intake(), look(13, NONE)]), 'infertile'),
    );
  });
});

test('the field guide shows the figures as they are', () => {
  const guide = readFileSync(join(__dirname, '..', '..', '..', 'docs', 'field-guide.md'), 'utf8');
  const cells = (line: string) =>
    line
      .split('|')
      .map((c) => c.trim())
      .join('|');
  const rows = guide.split('\n').map(cells);
  for (const line of practiceTable().split('\n').slice(2)) expect(rows).toContain(cells(line));
});
