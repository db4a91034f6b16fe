import { waterDensityGPerMl } from '../climate';
import { DAY_MS, instantOf, msOf, type Instant } from '../quantity';
import { truthAt, USUAL_PROBE_WORLD } from '../world/probe';
import { plainGenerator } from '../world/simulated-queens';
import {
  chamberLengthMm,
  freePath,
  reckonedLineMm,
  reservoirBand,
  reservoirDays,
  tubeLossGPerDay,
  tubeVolumeMl,
  waterLineForMl,
  USUAL_PLUGS,
  waterLossGPerDay,
  type TubeShape,
} from './index';

const ROUND: TubeShape = { boreMm: 16, lengthMm: 150, end: 'round' };
const FLAT: TubeShape = { ...ROUND, end: 'flat' };

/** Sums thin discs: an independent way to the volume. */
function volumeBySlices(tube: TubeShape, filledMm: number): number {
  const r = tube.boreMm / 2;
  const n = 100_000;
  let mm3 = 0;
  for (let i = 0; i < n; i++) {
    const x = ((i + 0.5) / n) * filledMm;
    const radius2 = tube.end === 'round' && x < r ? r * r - (r - x) ** 2 : r * r;
    mm3 += (Math.PI * radius2 * filledMm) / n;
  }
  return mm3 / 1000;
}

describe('volume of a tube', () => {
  test.each([2, 7.9, 8, 30, 75, 100, 150])('filled to %d mm equals the sum of thin discs', (mm) => {
    expect(tubeVolumeMl(ROUND, mm)).toBeCloseTo(volumeBySlices(ROUND, mm), 5);
    expect(tubeVolumeMl(FLAT, mm)).toBeCloseTo(volumeBySlices(FLAT, mm), 5);
  });

  test('and the line for a volume leads back', () => {
    for (const mm of [0, 1, 5, 8, 60, 149]) {
      expect(waterLineForMl(ROUND, tubeVolumeMl(ROUND, mm))).toBeCloseTo(mm, 6);
      expect(waterLineForMl(FLAT, tubeVolumeMl(FLAT, mm))).toBeCloseTo(mm, 6);
    }
  });

  test('refuses a line beyond the tube, saying both lengths', () => {
    expect(() => tubeVolumeMl({ ...ROUND, lengthMm: 125 }, 132)).toThrow(
      "The water line (132 mm) lies beyond the tube (125 mm). Check the tube's length or the reading.",
    );
    expect(() => tubeVolumeMl(ROUND, -1)).toThrow(/outside 0 to/);
    expect(() => tubeVolumeMl(ROUND, NaN)).toThrow(/not a number/);
    expect(() => tubeVolumeMl({ ...ROUND, boreMm: 0 }, 10)).toThrow(/bore/);
  });
});

describe('chamber', () => {
  test('is what water and plugs leave', () => {
    expect(chamberLengthMm(ROUND, 90, { innerMm: 14, outerMm: 16 })).toBe(30);
  });
  test('is refused when nothing is left', () => {
    expect(() => chamberLengthMm(ROUND, 125, { innerMm: 15, outerMm: 15 })).toThrow(/leave no chamber/);
  });
});

describe("Stefan's tube", () => {
  // Bore 16 mm, free path 60 mm, computed with Massman's diffusivity and IAPWS pressure.
  test.each([
    [20, 0.5, 0.0631],
    [24, 0.5, 0.0818],
    [28, 0.4, 0.1262],
  ])('at %d °C and humidity %d loses %d g a day', (tempC, roomRelHumidity, expected) => {
    const loss = waterLossGPerDay({ boreMm: 16, pathMm: 60, tempC, roomRelHumidity });
    expect(Math.abs(loss / expected - 1)).toBeLessThan(0.002);
  });

  test('loses nothing into saturated air', () => {
    expect(waterLossGPerDay({ boreMm: 16, pathMm: 60, tempC: 24, roomRelHumidity: 1 })).toBe(0);
  });

  test('refuses a humidity in percent', () => {
    expect(() => waterLossGPerDay({ boreMm: 16, pathMm: 60, tempC: 24, roomRelHumidity: 50 })).toThrow(
      /share between 0 and 1/,
    );
  });

  test('a reservoir of 15–20 ml lasts several months (common practice, no source)', () => {
    for (const waterLineMm of [80, 100]) {
      const days = reservoirDays(ROUND, waterLineMm, { tempC: 24, roomRelHumidity: 0.5 });
      expect(days).toBeGreaterThan(75);
      expect(days).toBeLessThan(365);
    }
  });
});

describe("the vapour's way out of a closed tube", () => {
  test('is the dry rim of the plug, the chamber, the outer plug and what the mouth adds', () => {
    const path = freePath(ROUND, 75, { innerMm: 15, outerMm: 15 });
    // by hand: a third of 15 mm firm cotton, 45 mm of air, 15 mm loose cotton, π·16/8
    expect(path.rimMm).toBeCloseTo(5 * 1.8, 9);
    expect(path.chamberMm).toBe(45);
    expect(path.outerMm).toBeCloseTo(15 * 1.3, 9);
    expect(path.mouthMm).toBeCloseTo(6.283, 3);
    expect(path.wholeMm).toBeCloseTo(79.78, 2);
  });

  test('so that a tube of usual plugs loses what Stefan gives for that way', () => {
    // way 60 mm, 24 °C, 50 %: 0.0818 g a day (computed with Massman's diffusivity and IAPWS pressure)
    const path = freePath(ROUND, 75, USUAL_PLUGS).wholeMm;
    const loss = tubeLossGPerDay(ROUND, 75, { tempC: 24, roomRelHumidity: 0.5 });
    expect(Math.abs((loss * path) / 60 / 0.0818 - 1)).toBeLessThan(0.002);
  });

  test('nothing leaves frozen water', () => {
    expect(waterLossGPerDay({ boreMm: 16, pathMm: 60, tempC: -3, roomRelHumidity: 0.5 })).toBe(0);
  });
});

describe('how long the water lasts, with the range', () => {
  const room = { tempC: 24, roomRelHumidity: 0.5, plugs: { innerMm: 15, outerMm: 15 } };
  const start: Instant = '2026-03-01T12:00:00.000Z';
  const after = (days: number) => instantOf(msOf(start) + days * DAY_MS);
  const daysTo = (at: Instant | null) => (msOf(at as Instant) - msOf(start)) / DAY_MS;

  test('with the first line alone is centred on the calculation', () => {
    const r = reservoirBand(ROUND, [{ at: start, mm: 90 }], [{ from: start, ...room }], USUAL_PLUGS, start);
    const days = reservoirDays(ROUND, 90, room);
    expect(daysTo(r.dryAt.p50) / days).toBeCloseTo(1, 1);
    expect(daysTo(r.dryAt.p90) / daysTo(r.dryAt.p10)).toBeGreaterThan(2);
  });

  test('follows a tube that loses twice as fast, and grows surer with each reading', () => {
    const twice = 2 * tubeLossGPerDay(ROUND, 90, room);
    const readings = [0, 14, 28, 42].map((d) => ({
      at: after(d),
      mm: waterLineForMl(ROUND, tubeVolumeMl(ROUND, 90) - (twice / 0.9973) * d),
    }));
    const widths = readings.map((_, i) => {
      const r = reservoirBand(
        ROUND,
        readings.slice(0, i + 1),
        [{ from: start, ...room }],
        USUAL_PLUGS,
        after(42),
      );
      return Math.log(r.lossMlPerDay.p90 / r.lossMlPerDay.p10);
    });
    expect(widths[3]).toBeLessThan((widths[0] as number) / 2);
    const last = reservoirBand(ROUND, readings, [{ from: start, ...room }], USUAL_PLUGS, after(42));
    expect(Math.abs(last.lossMlPerDay.p50 / twice - 1)).toBeLessThan(0.08);
    expect(Math.abs(last.lineMm - (readings[3] as { mm: number }).mm)).toBeLessThan(2);
  });

  test('a leak goes on from the last line as fast as between the last two: by hand, a straight line', () => {
    const readings = [
      { at: start, mm: 90 },
      { at: after(10), mm: 60 },
    ];
    const r = reservoirBand(ROUND, readings, [{ from: start, ...room }], USUAL_PLUGS, after(12));
    const [first, last] = [tubeVolumeMl(ROUND, 90), tubeVolumeMl(ROUND, 60)];
    const perDay = (first - last) / 10;
    expect(r.leftMl).toBeCloseTo(last - 2 * perDay, 6);
    expect(daysTo(r.dryAt.p50)).toBeCloseTo(10 + last / perDay, 4);
    expect(daysTo(r.dryAt.p10)).toBeLessThan(daysTo(r.dryAt.p50));
  });

  test('of two lines that contradict each other the last is where the water stood, and the band is wider than of two that agree', () => {
    const days = (lines: readonly [number, number]) => {
      const readings = lines.map((mm, i) => ({ at: after(14 * i), mm }));
      const r = reservoirBand(ROUND, readings, [{ from: start, ...room }], USUAL_PLUGS, after(14));
      return { ...r, width: daysTo(r.dryAt.p90) - daysTo(r.dryAt.p10) };
    };
    const agree = days([62, 60]);
    const contradict = days([50, 60]);
    expect(Math.abs(contradict.lineMm - 60)).toBeLessThan(0.5);
    expect(contradict.width).toBeGreaterThan(agree.width);
    expect(contradict.lineErrorMm).toBeGreaterThan(2 * agree.lineErrorMm);
  });

  test('the pace of the line tells a leak and a dry plug from what vapour takes', () => {
    // what vapour takes, by Stefan's tube: the outside yardstick stands in the tests above
    const mlPerDay =
      tubeLossGPerDay(ROUND, 90, { ...room, plugs: USUAL_PLUGS }) / waterDensityGPerMl(room.tempC);
    const paceAt = (times: number, days = 40) => {
      const ml = tubeVolumeMl(ROUND, 90) - times * mlPerDay * days;
      const readings = [
        { at: start, mm: 90 },
        { at: after(days), mm: waterLineForMl(ROUND, ml) },
      ];
      return reservoirBand(ROUND, readings, [{ from: start, ...room }], USUAL_PLUGS, after(days)).pace;
    };
    for (const times of [0, 0.5, 1, 3]) {
      const pace = paceAt(times);
      expect(pace?.low).toBeLessThan(times);
      expect(pace?.high).toBeGreaterThan(times);
      expect(((pace?.low ?? 0) + (pace?.high ?? 0)) / 2).toBeCloseTo(times, 6);
    }
    // within a week an error of reading is all there is
    expect(paceAt(1, 6)).toBeNull();
  });

  test('the reckoned line of another day lies on the way between two readings', () => {
    const readings = [
      { at: start, mm: 90 },
      { at: after(40), mm: 60 },
    ];
    const r = reservoirBand(ROUND, readings, [{ from: start, ...room }], USUAL_PLUGS, after(40));
    const line = (days: number) => reckonedLineMm(ROUND, r, after(40), after(days));
    expect(line(40)).toBeCloseTo(r.lineMm, 9);
    expect(line(20)).toBeGreaterThan(line(40));
    expect(line(20)).toBeCloseTo((line(0) + line(40)) / 2, 6); // along the cylinder a steady loss is a steady fall
    expect(line(400)).toBe(0);
  });

  test('a move changes what is to come, not what was', () => {
    const readings = [
      { at: start, mm: 90 },
      { at: after(40), mm: 78 },
    ];
    const here = { from: start, ...room };
    const warmer = { ...room, tempC: room.tempC + 8 };
    const before = reservoirBand(ROUND, readings, [here], USUAL_PLUGS, after(45));
    const moved = reservoirBand(
      ROUND,
      readings,
      [here, { from: after(45), ...warmer }],
      USUAL_PLUGS,
      after(45),
    );
    expect(moved.lineMm).toBeCloseTo(before.lineMm, 9);
    expect(moved.lossMlPerDay.p50).toBeGreaterThan(before.lossMlPerDay.p50 * 1.3);
    expect(daysTo(moved.dryAt.p50)).toBeLessThan(daysTo(before.dryAt.p50));
    // thirty days there, then thirty in the warmth: what is lost is the sum of both, by hand
    const alone = [{ at: start, mm: 90 }];
    const both = reservoirBand(ROUND, alone, [here, { from: after(30), ...warmer }], USUAL_PLUGS, after(60));
    const slow = reservoirBand(ROUND, alone, [here], USUAL_PLUGS, after(30));
    const lost = 30 * slow.lossMlPerDay.p50 + 30 * both.lossMlPerDay.p50;
    expect(both.leftMl).toBeCloseTo(tubeVolumeMl(ROUND, 90) - lost, 6);
  });

  test('a room that is planned counts from its day on', () => {
    const alone = [{ at: start, mm: 90 }];
    const cold = { from: start, ...room, tempC: 7 };
    const winter = reservoirBand(ROUND, alone, [cold], USUAL_PLUGS, after(10));
    const woken = reservoirBand(ROUND, alone, [cold, { from: after(60), ...room }], USUAL_PLUGS, after(10));
    expect(woken.lineMm).toBeCloseTo(winter.lineMm, 9);
    expect(daysTo(woken.dryAt.p50)).toBeGreaterThan(60);
    expect(daysTo(woken.dryAt.p50)).toBeLessThan(daysTo(winter.dryAt.p50));
  });

  test('on 1,000 tubes in rooms that go with the weather the loss is found again, and the 80 % band holds the day for 74–86 %', () => {
    const random = plainGenerator(77);
    const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    let [inside, found] = [0, 0];
    const tubes = 1000;
    for (let i = 0; i < tubes; i++) {
      const world = { ...USUAL_PROBE_WORLD, seed: i % 50, meanC: 22, seasonC: 3, dayC: 2 };
      const rooms = Array.from({ length: 140 }, (_, k) => {
        const { tempC, rh } = truthAt(world, msOf(after(7 * k)));
        return { from: after(7 * k), tempC, roomRelHumidity: rh };
      });
      const times = Math.exp(0.4 * normal());
      // day by day, apart from the reservoir: what is left of 90 mm
      const looks = [0, 20, 45, 60];
      const readings: { at: Instant; mm: number }[] = [];
      let [ml, dryDay, given] = [tubeVolumeMl(ROUND, 90), NaN, 0];
      for (let d = 0; d < 900; d++) {
        if (looks.includes(d))
          readings.push({ at: after(d), mm: Math.max(1, waterLineForMl(ROUND, Math.max(0, ml)) + normal()) });
        const room = rooms[Math.min(139, Math.floor(d / 7))] as (typeof rooms)[number];
        given = tubeLossGPerDay(ROUND, 90, room) / waterDensityGPerMl(room.tempC);
        ml -= times * given;
        if (ml <= 0) {
          dryDay = d + 1;
          break;
        }
      }
      const told = reservoirBand(ROUND, readings, rooms, USUAL_PLUGS, after(60));
      const [p10, p90] = [told.dryAt.p10, told.dryAt.p90].map((at) => (at === null ? Infinity : daysTo(at)));
      if (dryDay >= (p10 as number) && dryDay <= (p90 as number)) inside++;
      // the factor: what is told of the loss against what was calculated for the room of that day
      const calculated =
        tubeLossGPerDay(ROUND, (readings[0] as { mm: number }).mm, rooms[8] as (typeof rooms)[number]) /
        waterDensityGPerMl((rooms[8] as (typeof rooms)[number]).tempC);
      if (Math.abs(told.lossMlPerDay.p50 / calculated / times - 1) < 0.2) found++;
    }
    expect(inside / tubes).toBeGreaterThan(0.74);
    expect(inside / tubes).toBeLessThan(0.86);
    expect(found / tubes).toBeGreaterThan(0.8);
  });

  test('asks for a reading when there is none', () => {
    expect(() => reservoirBand(ROUND, [], [{ from: start, ...room }], USUAL_PLUGS, start)).toThrow(
      /Log where the water ends/,
    );
  });
});
