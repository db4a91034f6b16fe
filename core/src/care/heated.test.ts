import { saturationPressureKPa } from '../climate';
import { asTube, DEFAULT_SETTINGS, placeSchema, queenSchema } from '../facts';
import { emptyLedger, ledger } from '../founding';
import type { Entry } from '../log';
import { instantOf } from '../quantity';
import { day, DAY_ZERO, entry, look, QUEEN, testId, TUBE } from '../test-kit';
import { queenView, type QueenFacts } from '../view';
import { stoodIn, temperatureAt } from '../warmth';
import { fallsAt, heatBench, heatedBy, heatFalls, preferenceCourse } from './index';
import { speciesProfile } from '../species/catalogue';

const place = placeSchema.parse({ id: testId(), name: 'Shelf', tempC: 19, roomRelHumidity: 0.5 });
const queen = queenSchema.parse({
  id: QUEEN,
  label: 'A',
  homeId: TUBE.id,
  placeId: place.id,
  createdAt: DAY_ZERO,
});
const tube = asTube(TUBE);
if (!tube) throw new Error('no tube');
const [coolMm, warmMm] = [tube.waterLineMm + tube.plugs.innerMm, tube.lengthMm - tube.plugs.outerMm];
/** 25 °C at the warm end of her cell and 23 at the cool one, in a room of 19. */
const laid = (onDay: number, more: object = {}): Entry =>
  entry(onDay, {
    kind: 'heat',
    matMm: 30,
    roomC: 19,
    readings: [
      { mm: warmMm, tempC: 25 },
      { mm: coolMm, tempC: 23 },
    ],
    ...more,
  });
const known = (entries: Entry[], onDay = 60) =>
  ledger([entry(0, { kind: 'intake' }), ...entries], day(onDay))[QUEEN] ?? emptyLedger(QUEEN);
const fallsIn = (entries: Entry[]) => fallsAt(place.id, heatFalls(known(entries), place.id, tube));
const stood = stoodIn([{ from: instantOf(0), place }]);
const heated = (entries: Entry[]) => heatedBy(stood, known(entries), tube, fallsIn(entries));

describe('a queen with heat at her tube', () => {
  test('stands as much warmer from then on as the middle of her cell was, until it is taken away', () => {
    const { temperature } = heated([laid(10), entry(40, { kind: 'heat', matMm: null })]);
    expect(temperatureAt(temperature, day(5))).toBe(19);
    // between 25 and 23 by an exponential fall to 19: the geometric middle of 6 and 4
    expect(temperatureAt(temperature, day(20))).toBeCloseTo(19 + Math.sqrt(6 * 4), 6);
    expect(temperatureAt(temperature, day(41))).toBe(19);
  });

  test('warmth that the place was already told to have does not count twice', () => {
    const warm = { ...place, tempC: 24 };
    const { temperature } = heatedBy(
      stoodIn([{ from: instantOf(0), place: warm }]),
      known([laid(10)]),
      tube,
      [],
    );
    expect(temperatureAt(temperature, day(20))).toBeCloseTo(19 + Math.sqrt(24), 6);
  });

  test('her water goes by the warmth of the wet front, in air that is drier for being warmed', () => {
    const room = heated([laid(10)]).rooms.at(-1);
    expect(room?.tempC).toBeCloseTo(23, 6);
    // the same vapour in warmer air
    expect(room?.roomRelHumidity).toBeCloseTo(
      (0.5 * saturationPressureKPa(19)) / saturationPressureKPa(23),
      9,
    );
  });

  test('carried elsewhere or without a reading, the old heat says nothing', () => {
    const moved = heated([laid(10), entry(20, { kind: 'move', placeId: place.id })]).temperature;
    expect(moved).toBe(stood.temperature);
    expect(temperatureAt(heated([laid(10, { readings: [] })]).temperature, day(20))).toBe(19);
  });

  test('what was read at a neighbour’s tube tells how the warmth falls at hers', () => {
    const once = [laid(10, { readings: [{ mm: warmMm, tempC: 25 }] })];
    const middle = (falls: number[]) =>
      temperatureAt(heatedBy(stood, known(once), tube, falls).temperature, day(20));
    const half = (warmMm - coolMm) / 2;
    // six degrees over the room at her warm end, and less of it half a cell further away
    expect(middle([60])).toBeCloseTo(19 + 6 * Math.exp(-half / 60), 6);
    expect(middle([20, 25, 90])).toBeCloseTo(19 + 6 * Math.exp(-half / 25), 6);
    expect(middle([])).toBeCloseTo(middle([60]), 6);
  });

  test('a fall is told of the place where it was read, also after she was carried or moved into another tube', () => {
    const next = testId();
    const log = [laid(10), entry(20, { kind: 'move', placeId: next }), laid(25, { matMm: 10 })];
    const falls = heatFalls(known(log), place.id, tube);
    expect(falls.map((f) => f.placeId)).toEqual([place.id, next]);
    // 6 and 4 degrees over the room at the two ends of her cell
    for (const f of falls) expect(f.lengthMm).toBeCloseTo((warmMm - coolMm) / Math.log(6 / 4), 3);
    const later = { ...tube, setUpAt: day(30) };
    expect(heatFalls(known(log), place.id, later)).toHaveLength(2);
    expect(heatFalls(known([laid(10, { readings: [] })]), place.id, tube)).toEqual([]);
  });

  test('her dates, her counsel and what is dangerous follow', () => {
    const facts = (entries: Entry[]): QueenFacts => ({
      queen,
      home: TUBE,
      place,
      places: [place],
      entries: [entry(0, { kind: 'intake' }), ...entries],
    });
    const view = (entries: Entry[]) => queenView(facts(entries), DEFAULT_SETTINGS, day(20), { draws: 800 });
    const [cold, warm] = [view([]), view([laid(5)])];
    expect(warm.tempC).toBeCloseTo(19 + Math.sqrt(24), 6);
    const workers = (v: typeof cold) => Date.parse(v.outlook?.events.workers.band.p50 as string);
    expect(workers(warm)).toBeLessThan(workers(cold) - 10 * 86_400_000);
    expect(warm.counsel?.verdicts.find((v) => v.id === 'warmth')?.answer).toBe('yes');
    const hot = laid(5, {
      readings: [
        { mm: warmMm, tempC: 39 },
        { mm: coolMm, tempC: 35 },
      ],
    });
    expect(view([hot]).counsel?.pressure).toBe('now');
  });
});

describe('the heat bench', () => {
  const profile = speciesProfile('tetramorium-immigrans');
  const setting = { matMm: 30, roomC: 19, readings: [{ mm: warmMm, tempC: 25 }] };
  const seen = (onDay: number, queenAtMm: number): Entry =>
    entry(onDay, { kind: 'look', queen: 'seen', queenAtMm });

  test('learns how the warmth falls, and what she prefers, from what was written before', () => {
    const log = [laid(5), look(8, [3, 0, 0, 0]), seen(10, warmMm - 1), seen(20, warmMm - 1)];
    const before = heatBench(known([]), tube, profile, [], setting);
    const after = heatBench(known(log), tube, profile, fallsIn(log), setting);
    expect(before.along?.fall).toEqual({ by: 'prior', n: 0 });
    expect(after.along?.fall).toEqual({ by: 'same-heat', n: 1 });
    expect(after.seats.map((s) => s.where)).toEqual(['warm-end', 'warm-end']);
    expect(after.preferred.p50).toBeGreaterThan(before.preferred.p50);
    // look by look: twice pressed to the warm end says more than once
    const course = preferenceCourse(known(log), tube, profile, fallsIn(log));
    expect(course.map((c) => c.at)).toEqual([day(10), day(20)]);
    const [first, second] = course.map((c) => c.band.p50);
    expect(second).toBeGreaterThan(first as number);
    expect(course.at(-1)?.band).toEqual(after.preferred);
  });

  test('of many looks the last twelve are shown, each by all before it', () => {
    const looks = Array.from({ length: 40 }, (_, i) => seen(6 + i, warmMm - 1));
    const course = preferenceCourse(known([laid(5), ...looks]), tube, profile, []);
    expect(course).toHaveLength(12);
    expect(course.at(-1)?.at).toBe(day(45));
    const alone = preferenceCourse(known([laid(5), ...looks.slice(28)]), tube, profile, []);
    expect(course[0]?.band.p50).toBeGreaterThan(alone[0]?.band.p50 as number);
  });

  test('what cannot be read so is told with a way out, and her preference still stands', () => {
    const bench = heatBench(known([]), tube, profile, [], {
      ...setting,
      readings: [
        { mm: warmMm, tempC: 21 },
        { mm: coolMm, tempC: 24 },
      ],
    });
    expect(bench.trouble).toMatch(/do not fall/);
    expect(bench.step).toBeNull();
    expect(bench.preferred.p50).toBeGreaterThan(15);
  });
});
