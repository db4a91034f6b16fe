import { usualTube } from '@gentle-burrow/core/light';
import { lookSchema } from '@gentle-burrow/core/log';
import { draftOf, EMPTY_LOOK, faultsOf, lookBody, LOTS, SOME, tapNumber, type LookDraft } from './look-draft';
import { momentOf } from '@/features/log/when';

const NOW = new Date('2026-06-10T15:00:00');
const INTAKE = new Date('2026-06-01T21:30:00').toISOString();
const draft = (part: Partial<LookDraft>): LookDraft => ({ ...EMPTY_LOOK, ...part });

describe('tapping numbers', () => {
  test('one is exact, a larger one after it makes a range, the same again takes it back', () => {
    const eight = tapNumber(null, 8, false);
    expect(eight).toEqual({ low: 8, high: 8 });
    expect(tapNumber(eight, 15, true)).toEqual({ low: 8, high: 15 });
    expect(tapNumber(eight, 8, true)).toBeNull();
  });
  test('a smaller one replaces, and none never joins a range', () => {
    expect(tapNumber({ low: 8, high: 8 }, 3, true)).toEqual({ low: 3, high: 3 });
    expect(tapNumber({ low: 0, high: 0 }, 3, true)).toEqual({ low: 3, high: 3 });
    expect(tapNumber({ low: 8, high: 15 }, 20, true)).toEqual({ low: 20, high: 20 });
    expect(tapNumber(SOME, 4, true)).toEqual({ low: 4, high: 4 });
  });
  test('a count that was there before is replaced by the first tap', () => {
    expect(tapNumber({ low: 5, high: 5 }, 50, false)).toEqual({ low: 50, high: 50 });
  });
});

/** 150 mm long, with water to 85 mm and an inner plug that begins there. */
const TUBE = usualTube('018f0000-0000-7000-8000-00000000000a', INTAKE);
const faults = (look: LookDraft) => faultsOf(look, NOW, INTAKE, TUBE, 'mm');

describe('faults', () => {
  test('an empty look is not kept', () => expect(faults(EMPTY_LOOK).all).toMatch(/Nothing is noted/));
  test.each([
    ['2026-06-11', /still to come/],
    ['2026-05-30', /taken in on 2026-06-01/],
    ['2026-06', /not complete/],
  ])('the day %s is refused', (day, says) => {
    expect(faults(draft({ day, queen: 'seen' })).day).toMatch(says);
  });
  test('a range upside down is named at its stage', () => {
    const counts = { ...EMPTY_LOOK.counts, larvae: { low: 9, high: 4 } };
    expect(faults(draft({ counts })).counts?.larvae).toMatch(/runs downwards/);
  });
  test('a water line beyond the plug is named in the keeper’s unit, one below the tube too', () => {
    const look = draft({ waterLineMm: 127 });
    expect(faults(look).water).toMatch(/127 mm\) lies beyond the plug/);
    expect(faultsOf(look, NOW, INTAKE, TUBE, 'in').water).toMatch(/5 in\) lies beyond the plug/);
    expect(faults(draft({ waterLineMm: -1 })).water).toMatch(/never below 0/);
    expect(faults(draft({ waterLineMm: 60 }))).toEqual({});
  });
  test('one thing noted is enough', () => {
    expect(faults(draft({ mould: 'none' }))).toEqual({});
  });
});

test('a full draft becomes an entry that the core takes, and comes back the same', () => {
  const full = draft({
    day: '2026-06-05',
    otherDay: true,
    queen: 'seen',
    queenAtMm: 112,
    counts: { eggs: { low: 8, high: 15 }, larvae: SOME, pupae: { low: 0, high: 0 }, workers: null },
    waterLineMm: 71,
    wetFront: 'right',
    mould: 'none',
    text: 'calm',
  });
  const body = lookSchema.parse(lookBody(full, momentOf(full.day, NOW, INTAKE)));
  expect(body).not.toHaveProperty('workers');
  expect(draftOf(body)).toEqual(full);
});

test('where she sat is not kept for a queen that was not seen', () => {
  expect(lookBody(draft({ queen: 'not-seen', queenAtMm: 100 }), NOW.toISOString())).not.toHaveProperty(
    'queenAtMm',
  );
});

describe('what is not seen at most looks', () => {
  const full = draft({
    counts: { ...EMPTY_LOOK.counts, larvae: LOTS },
    extras: { callows: { low: 2, high: 2 }, deadWorkers: { low: 1, high: 3 } },
    pupaeIn: 'cocoons',
    queensSeen: 2,
    photos: ['01a0e96c-8b40-7efe-a766-c5484cc9c466'],
  });
  test('goes with the look as the log takes it, and comes back to be amended', () => {
    const body = lookSchema.parse(lookBody(full, NOW.toISOString()));
    expect(body).toMatchObject({
      larvae: { low: 20, high: null, word: 'lots' },
      callows: { low: 2, high: 2 },
      deadWorkers: { low: 1, high: 3 },
      pupaeIn: 'cocoons',
      queensSeen: 2,
    });
    const again = draftOf(body);
    expect(lookBody(again, NOW.toISOString())).toEqual(body);
  });
  test('any of it is enough for a look, and a range upside down is told', () => {
    expect(faults(draft({ photos: full.photos }))).toEqual({});
    expect(faults(draft({ queensSeen: 0 }))).toEqual({});
    const found = faults(draft({ extras: { majors: { low: 5, high: 2 } } }));
    expect(found.counts?.majors).toMatch(/runs downwards/);
  });
});

test('what is wrong with her home goes with a look; that nothing is wrong is something said', () => {
  const body = (part: Partial<LookDraft>) => lookBody({ ...EMPTY_LOOK, ...part }, INTAKE);
  expect(body({ troubles: ['brown-water', 'dirt'], mould: 'far-plug', mouldSize: 'patch' })).toMatchObject({
    troubles: ['brown-water', 'dirt'],
    mould: 'far-plug',
    mouldSize: 'patch',
  });
  expect(body({ troubles: [] })).toMatchObject({ troubles: [] });
  expect(body({})).not.toHaveProperty('troubles');
  // how much there is of what is not there is nothing
  expect(body({ mould: 'none', mouldSize: 'patch' })).not.toHaveProperty('mouldSize');
  expect(draftOf(body({ troubles: ['dirt'] }))).toMatchObject({ troubles: ['dirt'] });
});
