import * as fc from 'fast-check';
import { plainGenerator } from '../world/simulated-queens';
import {
  cellOf,
  fallMm,
  heatAlong,
  nextHeatStep,
  preferenceOf,
  seatOf,
  type HeatedTube,
  type Seat,
} from './index';

const heated: HeatedTube = {
  tube: { boreMm: 14, lengthMm: 150, end: 'round' },
  plugs: { innerMm: 15, outerMm: 15 },
  waterLineMm: 85,
};
const { tube } = heated;
const best = { low: 24, high: 28 };
const limits = { best, dangerC: 34, bubbleMl: 0.5 };
/** What a tube at a heat of so many degrees shows, its excess falling by 1/e in 60 mm: worked out here by itself. */
const trueAt = (nearC: number, matMm: number, mm: number, roomC = 20, lengthMm = 60) =>
  roomC + (nearC - roomC) * Math.exp(-(150 - mm + matMm) / lengthMm);
const setting = (nearC: number, matMm: number, places = [130, 100]) => ({
  matMm,
  roomC: 20,
  readings: places.map((mm) => ({ mm, tempC: trueAt(nearC, matMm, mm) })),
});

describe('warmth along a tube', () => {
  test('her cell lies between the faces of the two plugs', () => {
    expect(cellOf(heated)).toEqual({ coolMm: 100, middleMm: 117.5, warmMm: 135 });
  });

  test('two readings give the fall, and with it every other place', () => {
    const along = heatAlong(tube, setting(40, 20));
    expect(along.gradient.lengthMm).toBeCloseTo(60, 3);
    for (const mm of [60, 85, 117.5, 150]) expect(along.atC(mm)).toBeCloseTo(trueAt(40, 20, mm), 4);
  });

  test('one reading is enough where the heat is known already; without that it rests on the prior', () => {
    const short = { ...setting(40, 20), readings: [{ mm: 120, tempC: trueAt(40, 20, 120, 20, 40) }] };
    const before = {
      ...setting(40, 10),
      readings: [130, 90].map((mm) => ({ mm, tempC: trueAt(40, 10, mm, 20, 40) })),
    };
    const fall = fallMm(before, tube);
    expect(fall).toBeCloseTo(40, 3);
    const known = heatAlong(tube, short, [fall as number]);
    expect(known.fall).toEqual({ by: 'same-heat', n: 1 });
    expect(known.atC(100)).toBeCloseTo(trueAt(40, 20, 100, 20, 40), 3);
    expect(heatAlong(tube, short).fall.by).toBe('prior');
    // what was read now says more of now than what was read before
    expect(heatAlong(tube, setting(40, 20), [40]).fall.by).toBe('itself');
  });

  test('the fall is of the heat, not of the tube: how long it is and how far it lies away change nothing', () => {
    const read = setting(40, 20);
    expect(fallMm(read, null)).toBeCloseTo(60, 3);
    expect(fallMm({ ...read, matMm: 55 }, { ...tube, lengthMm: 200 })).toBeCloseTo(60, 3);
    // of heat that reached under a tube nobody knows it cannot be told
    expect(fallMm({ ...read, matMm: -5 }, null)).toBeNull();
    expect(fallMm({ ...read, readings: read.readings.slice(0, 1) }, tube)).toBeNull();
    // 26 °C here and the room three centimetres further, or hardly any fall at all: somebody misread
    for (const tempC of [20.001, 25.95]) {
      const odd = [
        { mm: 130, tempC: 26 },
        { mm: 100, tempC },
      ];
      expect(fallMm({ ...read, readings: odd }, tube)).toBeNull();
    }
    const rising = [...read.readings].map((r, i, all) => ({ ...r, tempC: all[1 - i]?.tempC as number }));
    expect(fallMm({ ...read, readings: rising }, tube)).toBeNull();
  });

  test('many tubes at one mat know its fall better than one does, by thermometers that err', () => {
    const random = plainGenerator(11);
    const gauss = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    const read = () => {
      const { matMm, roomC, readings } = setting(40, Math.round(40 * random()));
      const noisy = readings.map((r) => ({ ...r, tempC: r.tempC + 0.3 * gauss() }));
      return fallMm({ matMm, roomC, readings: noisy }, tube) ?? [];
    };
    const errors = (tubes: number) =>
      Array.from({ length: 300 }, () => {
        const falls = Array.from({ length: tubes }, read).flat();
        const one = { ...setting(40, 20), readings: [{ mm: 130, tempC: trueAt(40, 20, 130) }] };
        return Math.abs(heatAlong(tube, one, falls).atC(95) - trueAt(40, 20, 95));
      }).sort((x, y) => x - y);
    const [one, ten] = [errors(1), errors(10)];
    expect(ten[150]).toBeLessThan(0.6 * (one[150] as number));
  });

  test('without a reading, beyond the tube, or not falling from the heat it is refused with what to do', () => {
    expect(() => heatAlong(tube, { matMm: 0, roomC: 20, readings: [] })).toThrow(/Read at least one/);
    expect(() => heatAlong(tube, { matMm: 0, roomC: 20, readings: [{ mm: 180, tempC: 25 }] })).toThrow(
      /outside 0 to 150/,
    );
    const rising = {
      matMm: 0,
      roomC: 20,
      readings: [
        { mm: 140, tempC: 21 },
        { mm: 90, tempC: 26 },
      ],
    };
    expect(() => heatAlong(tube, rising)).toThrow(/do not fall/);
  });
});

describe('what she seems to prefer', () => {
  const seat = (where: Seat['where'], saysC: number): Seat => ({ where, tempC: saysC, saysC });

  test('pressed to the warm end she wants more, at the cool end less, between it is right (common practice, no source)', () => {
    const none = preferenceOf([], best).p50;
    expect(none).toBeCloseTo(26, 0);
    expect(preferenceOf([seat('warm-end', 25), seat('warm-end', 26)], best).p50).toBeGreaterThan(none);
    expect(preferenceOf([seat('cool-end', 27), seat('cool-end', 26)], best).p50).toBeLessThan(none);
    const right = preferenceOf(Array(6).fill(seat('between', 23)) as Seat[], best);
    expect(right.p50).toBeGreaterThan(22.7);
    expect(right.p50).toBeLessThan(23.7);
    expect(right.p90 - right.p10).toBeLessThan(2);
  });

  test('what she chose half a year ago counts for less than what she chooses now', () => {
    const seats = [seat('between', 22), seat('between', 22), seat('between', 28), seat('between', 28)];
    const alike = preferenceOf(seats, best);
    const lately = preferenceOf(seats, best, [180, 180, 0, 0]);
    expect(alike.p50).toBeLessThan(25.6);
    expect(lately.p50).toBeGreaterThan(alike.p50 + 1);
    // and less is known than if all were from today
    expect(lately.p90 - lately.p10).toBeGreaterThan(alike.p90 - alike.p10);
  });

  test('of 300 simulated queens the band holds what they prefer in 70–90 of 100', () => {
    const random = plainGenerator(8);
    const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    let inside = 0;
    for (let i = 0; i < 300; i++) {
      const prefers = 26 + 3 * normal();
      const seats = [0, 1, 2, 3, 4].map((): Seat => {
        const [coolC, warmC] = [20 + 4 * random(), 26 + 4 * random()];
        const chosen = prefers + 1.5 * normal();
        const edge = 0.25 * (warmC - coolC);
        const tempC = Math.min(warmC, Math.max(coolC, chosen));
        if (tempC > warmC - edge) return { where: 'warm-end', tempC, saysC: warmC - edge };
        if (tempC < coolC + edge) return { where: 'cool-end', tempC, saysC: coolC + edge };
        return { where: 'between', tempC, saysC: tempC };
      });
      const { p10, p90 } = preferenceOf(seats, best);
      if (prefers >= p10 && prefers <= p90) inside++;
    }
    expect(inside / 300).toBeGreaterThan(0.7);
    expect(inside / 300).toBeLessThan(0.9);
  });

  test('where she sat is told by her cell', () => {
    const along = heatAlong(tube, setting(40, 20));
    expect(seatOf(heated, along, 133).where).toBe('warm-end');
    expect(seatOf(heated, along, 117).where).toBe('between');
    expect(seatOf(heated, along, 102).where).toBe('cool-end');
    expect(seatOf(heated, along, 117).tempC).toBeCloseTo(trueAt(40, 20, 117), 3);
  });
});

describe('the next step of the heat', () => {
  const preferred = { p10: 24, p50: 26, p90: 28 };
  const step = (nearC: number, matMm: number, over: Partial<typeof limits> = {}) =>
    nextHeatStep(heated, heatAlong(tube, setting(nearC, matMm)), preferred, { ...limits, ...over });

  test('too cool: closer by so many millimetres as bring two degrees at the most', () => {
    const s = step(40, 90);
    expect(s.does).toBe('closer');
    expect(s.limitedBy).toBe('small-steps');
    expect(s.thenC - s.now.middleC).toBeLessThanOrEqual(2);
    expect(s.thenC - s.now.middleC).toBeGreaterThan(1.5);
    // at the new distance the tube is as warm as said, by the same law worked out apart
    expect(trueAt(40, s.matMm as number, 117.5)).toBeCloseTo(s.thenC, 3);
    // and the thermostat that does the same where it lies
    expect(trueAt(s.thermostatC as number, 90, 117.5)).toBeLessThanOrEqual(s.now.middleC + 2);
  });

  test('a little below what she seems to prefer it is left: below is safer than above', () => {
    const near = heatAlong(tube, setting(20 + 5 / Math.exp(-(32.5 + 20) / 60), 20));
    expect(near.atC(117.5)).toBeCloseTo(25, 2);
    expect(nextHeatStep(heated, near, preferred, limits)).toMatchObject({ does: 'stay', moveMm: 0 });
  });

  test('too warm: back; dangerous at the warm end: back at once and below her best', () => {
    expect(step(45, 5).does).toBe('back');
    const hot = step(60, -10);
    expect(hot.now.warmC).toBeGreaterThan(34);
    expect(hot.does).toBe('back');
    expect(trueAt(60, hot.matMm as number, 135)).toBeLessThanOrEqual(best.high);
  });

  test('a room that is warm enough needs no heat', () => {
    const warmRoom = {
      matMm: 20,
      roomC: 27,
      readings: [
        { mm: 130, tempC: 28.3 },
        { mm: 100, tempC: 27.7 },
      ],
    };
    expect(nextHeatStep(heated, heatAlong(tube, warmRoom), preferred, limits).does).toBe('away');
  });

  test('a large bubble behind the plug makes the step smaller: no drop is pushed through', () => {
    const wet = { ...heated, waterLineMm: 110, plugs: { innerMm: 10, outerMm: 10 } };
    const along = heatAlong(tube, setting(40, 110));
    const [small, large] = [0, 30].map((bubbleMl) =>
      nextHeatStep(wet, along, preferred, { ...limits, bubbleMl }),
    );
    expect(large?.limitedBy).toBe('flood');
    expect(large?.floodMl).toBeLessThanOrEqual(0.05 + 1e-6);
    expect(Math.abs(large?.moveMm as number)).toBeLessThan(Math.abs(small?.moveMm as number));
  });

  test('whatever is read: never under her cell, never above her best at the warm end, never a drop at once', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 22, max: 70, noNaN: true }),
        fc.double({ min: -14, max: 200, noNaN: true }),
        fc.double({ min: 20, max: 34, noNaN: true }),
        fc.double({ min: 0, max: 8, noNaN: true }),
        (nearC, matMm, p50, bubbleMl) => {
          const along = heatAlong(tube, setting(nearC, matMm));
          const s = nextHeatStep(heated, along, { p10: p50 - 1, p50, p90: p50 + 1 }, { ...limits, bubbleMl });
          if (s.matMm !== null) expect(s.matMm).toBeGreaterThanOrEqual(Math.min(matMm, -15));
          if (s.does !== 'closer') return;
          expect(trueAt(nearC, s.matMm as number, 135)).toBeLessThanOrEqual(best.high + 1e-6);
          expect(s.floodMl).toBeLessThanOrEqual(0.05 + 1e-6);
          expect(s.thenC - s.now.middleC).toBeLessThanOrEqual(2 + 1e-6);
        },
      ),
      { numRuns: 300 },
    );
  });
});
