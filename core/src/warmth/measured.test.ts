import { degreeDays, type PlaceRecord } from '../climate';
import { DEFAULT_SETTINGS, placeSchema } from '../facts';
import { emptyLedger, ledger, outlook } from '../founding';
import { futuresOf } from '../founding/outlook/futures';
import { accumulation, DAY_MS, daysBetween, instantOf, msOf } from '../quantity';
import { day, DAY_ZERO, entry, look, QUEEN, testId } from '../test-kit';
import { speciesProfile } from '../species/catalogue';
import { truthAt, USUAL_PROBE_WORLD } from '../world/probe';
import { plainGenerator, simulateQueen } from '../world/simulated-queens';
import {
  placeNow,
  recordOf,
  roomsOfStays,
  temperatureAt,
  temperatureOfStays,
  warmthClock,
  withWaking,
  type Measured,
} from './index';

const { hemisphere } = DEFAULT_SETTINGS;
const profile = speciesProfile('tetramorium-immigrans');
const place = placeSchema.parse({ id: testId(), name: 'Drawer', tempC: 20, roomRelHumidity: 0.5 });
const FIRST = Math.floor(msOf(DAY_ZERO) / DAY_MS);

/** As it was measured from one day of the log until another. */
function record(from: number, until: number, tempC: (day: number) => number, errorC = 1.17): PlaceRecord {
  const days = Array.from({ length: until - from }, (_, i) => ({
    day: FIRST + from + i,
    partsC: Array.from({ length: 8 }, (__, k) => tempC(from + i + (k + 0.5) / 8)),
    rh: 0.3,
  }));
  const last = days[days.length - 1]?.partsC ?? [];
  return {
    placeId: place.id,
    days,
    latest: { at: instantOf((FIRST + until) * DAY_MS), lowC: Math.min(...last), highC: Math.max(...last) },
    errorC,
  };
}
const measured = (records: PlaceRecord[], now: number): Measured => ({
  records,
  now: day(now),
  hemisphere,
  since: day(-100),
});
const stays = [{ from: instantOf(0), place }];

describe('what gathers at a changing rate', () => {
  test('agrees with adding up each piece as far as it reaches', () => {
    const random = plainGenerator(4);
    const changes = Array.from({ length: 300 }, (_, i) => i - 40 + 0.8 * random());
    const rates = Array.from({ length: 301 }, () => Math.max(0, 8 * random() - 2));
    const sum = accumulation(changes, rates);
    const plain = (day: number) =>
      rates.reduce((total, rate, i) => {
        const [from, to] = [changes[i - 1] ?? -Infinity, changes[i] ?? Infinity];
        return total + rate * Math.max(0, Math.min(day, to) - Math.max(0, from));
      }, 0);
    for (const d of [0, 0.4, 1, 7.3, 100, 259, 400]) expect(sum.gathered(d)).toBeCloseTo(plain(d), 8);
    for (const g of [1, 30, 200]) expect(sum.gathered(sum.dayOf(g))).toBeCloseTo(g, 9);
    expect(accumulation([5], [1, 0]).dayOf(6)).toBe(Infinity);
  });
});

describe('warmth as it was measured', () => {
  test('gathers what the single sine gives for days that swing across the threshold', () => {
    // Baskerville & Emin 1969, Ecology 50:514–517 (from memory): 10 to 30 °C, threshold 12: 8.2712 degree-days a day
    const argentine = {
      ...profile,
      stages: { ...profile.stages, egg: { ...profile.stages.egg, thresholdC: 12, optimumC: 31, upperC: 40 } },
    };
    const sine = (d: number) => 20 + 10 * Math.sin(2 * Math.PI * d);
    const temperature = temperatureOfStays(stays, measured([record(0, 40, sine)], 40));
    const clock = warmthClock(argentine, 'egg', temperature, DAY_ZERO);
    const aDay = (clock.gathered(30) - clock.gathered(10)) / 20;
    expect(degreeDays({ minC: 10, maxC: 30 }, 12)).toBeCloseTo(8.2712, 4);
    expect(Math.abs(aDay / 8.2712 - 1)).toBeLessThan(0.01);
    // its mean alone would have given 8
    expect(aDay).toBeGreaterThan(8.15);
  });

  test('holds from the first reading on; before it stands what was told, after it what is expected', () => {
    const temperature = temperatureOfStays(stays, measured([record(5, 20, () => 26)], 20));
    expect(temperatureAt(temperature, day(2))).toBe(20);
    expect(temperatureAt(temperature, day(10))).toBeCloseTo(26, 9);
    // summer is still to come
    expect(temperatureAt(temperature, day(60))).toBeGreaterThan(26);
    expect(temperatureAt(temperature, day(60))).toBeLessThan(28);
    expect(typeof temperature === 'object' && temperature.ahead?.spreadC).toBeGreaterThan(0.3);
  });

  test('long after the last reading what is ahead is as told, and what has been is not told anew', () => {
    const silent = temperatureOfStays(stays, measured([record(5, 20, () => 26)], 110));
    expect(temperatureAt(silent, day(60))).toBeGreaterThan(26);
    expect(temperatureAt(silent, day(109))).toBeGreaterThan(24);
    expect(temperatureAt(silent, day(111))).toBe(20);
    // a winter that was told of the place since then counts from the last reading on
    const wintering = { ...place, tempC: 6, winter: { until: day(150), thenTempC: 22 } };
    const cold = temperatureOfStays(
      [{ from: instantOf(0), place: wintering }],
      measured([record(5, 20, () => 26)], 110),
    );
    expect(temperatureAt(cold, day(15))).toBeCloseTo(26, 9);
    expect([60, 109, 140, 151].map((d) => temperatureAt(cold, day(d)))).toEqual([6, 6, 6, 22]);
  });

  test('where nobody had measured, it was as in its first fortnight', () => {
    const unmeasured = { ...place, spot: { measured: false } };
    const temperature = temperatureOfStays(
      [{ from: instantOf(0), place: unmeasured }],
      measured([record(5, 20, () => 26)], 20),
    );
    expect(temperatureAt(temperature, day(2))).toBeCloseTo(26, 9);
  });

  test('she takes her warmth with her from place to place', () => {
    const other = { ...place, id: testId(), tempC: 23 };
    const here = record(-10, 40, () => 19);
    const there = { ...record(-10, 40, () => 28), placeId: other.id };
    const moved = [...stays, { from: day(15), place: other }];
    const temperature = temperatureOfStays(moved, measured([here, there], 40));
    expect(temperatureAt(temperature, day(14))).toBeCloseTo(19, 9);
    expect(temperatureAt(temperature, day(15.1))).toBeCloseTo(28, 9);
    expect(roomsOfStays(moved, measured([here, there], 40)).at(-1)?.roomRelHumidity).toBeCloseTo(0.3, 9);
  });

  test('a planned winter ends as planned, whatever the logger shows until then', () => {
    const cold = { ...place, tempC: 7, winter: { until: day(100), thenTempC: 24 } };
    const rests = [{ from: instantOf(0), place: cold }];
    const about = measured([record(0, 40, () => 6)], 40);
    const temperature = temperatureOfStays(rests, about);
    expect(temperatureAt(temperature, day(30))).toBeCloseTo(6, 9);
    expect(temperatureAt(temperature, day(99))).toBeLessThan(10);
    expect(temperatureAt(temperature, day(101))).toBe(24);
    // and no other waking is made up beside it
    expect(withWaking(temperature, profile, hemisphere, day(40)).waking).toBeNull();
    expect(
      placeNow(cold, recordOf(about, cold.id), null, { told: temperature, hers: temperature }, day(40))
        .winter,
    ).toEqual(cold.winter);
  });

  test('a cold room without a plan is woken in spring, as keepers do', () => {
    // 1 May and 240 days: the end of December
    const about = measured([record(200, 240, () => 6)], 240);
    const temperature = temperatureOfStays(stays, about);
    const { waking, temperature: woken } = withWaking(temperature, profile, hemisphere, day(240));
    expect(waking).not.toBeNull();
    expect(temperatureAt(woken, day(340))).toBeGreaterThan(20);
  });

  test('a record that ended long ago is no longer held to', () => {
    const old = measured([record(0, 20, () => 30)], 120);
    expect(recordOf(old, place.id)).toBeNull();
    expect(temperatureAt(temperatureOfStays(stays, old), day(120))).toBe(20);
    expect(temperatureAt(temperatureOfStays(stays, old), day(10))).toBeCloseTo(30, 9);
  });
});

describe('what the thermometer hides and what is still to come', () => {
  test('have nothing to do with one another', () => {
    const temperature = temperatureOfStays(stays, measured([record(0, 20, () => 22)], 20));
    const futures = futuresOf(profile, temperature, 1, DAY_ZERO, day(20), hemisphere);
    const sum = (of: (f: (typeof futures)[number]) => number) => futures.reduce((a, f) => a + of(f), 0);
    expect(sum((f) => f.offC)).toBeCloseTo(0, 9);
    expect(sum((f) => f.aheadC)).toBeCloseTo(0, 9);
    const together = sum((f) => f.offC * f.aheadC);
    const apart = Math.sqrt(sum((f) => f.offC ** 2) * sum((f) => f.aheadC ** 2));
    expect(Math.abs(together / apart)).toBeLessThan(0.05);
  });

  test('a queen far too early says that it was warmer; a checked thermometer is moved less', () => {
    const early = [
      entry(0, { kind: 'intake' }),
      look(5, [4, 0, 0, 0]),
      look(12, [4, 4, 0, 0]),
      look(20, [4, 4, 0, 0]),
      look(24, [4, 4, 4, 0]),
      look(36, [4, 4, 4, 4]),
    ];
    const known = ledger(early, day(40))[QUEEN] ?? emptyLedger(QUEEN);
    const offset = (errorC: number) => {
      const temperature = temperatureOfStays(stays, measured([record(0, 40, () => 21, errorC)], 40));
      return outlook(profile, known, temperature, day(40), { thermometerErrorC: errorC }).offset;
    };
    const [loose, tight] = [offset(1.17), offset(0.31)];
    expect(loose.meanC).toBeGreaterThan(0.5);
    expect(loose.errorC).toBeLessThan(1.1);
    expect(tight.meanC).toBeGreaterThan(0);
    expect(tight.meanC).toBeLessThan(loose.meanC / 2);
  });

  test('in 300 rooms with loggers that are off, the 80 % band for workers holds the truth for 72–88 %', () => {
    // three standard errors of a share of 80 % among 300 are 7 %; two of them allowed on either side, and rounding
    const random = plainGenerator(2026);
    const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    let inside = 0;
    const rooms = 300;
    for (let i = 0; i < rooms; i++) {
      const world = { ...USUAL_PROBE_WORLD, seed: i, dayC: 3, meanC: 20.5 };
      const truth = (d: number) => truthAt(world, msOf(DAY_ZERO) + d * DAY_MS).tempC;
      const off = 1.17 * normal();
      const seenUntil = 20;
      const temperature = temperatureOfStays(
        stays,
        measured(
          [record(-5, seenUntil, (d) => truth(d - (msOf(DAY_ZERO) / DAY_MS - FIRST)) - off)],
          seenUntil,
        ),
      );
      const came = simulateQueen(profile, truth, random)[3] as number;
      const known = ledger([entry(0, { kind: 'intake' })], day(seenUntil))[QUEEN] ?? emptyLedger(QUEEN);
      const { band } = outlook(profile, known, temperature, day(seenUntil), {
        draws: 400,
        seed: i,
        later: false,
      }).events.workers;
      const on = (at: string | null) => (at === null ? Infinity : daysBetween(DAY_ZERO, at));
      if (came >= on(band.p10) && came <= on(band.p90)) inside++;
    }
    expect(inside / rooms).toBeGreaterThan(0.72);
    expect(inside / rooms).toBeLessThan(0.88);
  });
});
