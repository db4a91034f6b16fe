import * as fc from 'fast-check';
import type { BodyHome } from '../facts';
import { addDays, daysBetween, type Instant } from '../quantity';
import { reservoirDays, usualTube } from '../tube';
import { disturbancesPerMonth, FIRST_HOMES, usualBody, wateringOf, wetting } from '.';

const ZERO: Instant = '2026-05-01T18:00:00.000Z';
const room = (tempC: number, roomRelHumidity: number) => ({ from: ZERO, tempC, roomRelHumidity });
const cell: BodyHome = { ...usualBody('', 'cell'), setUpAt: ZERO };
const wet = (day: number, was: 'dry' | 'right' | 'still-wet' | null = null) => ({
  at: addDays(ZERO, day),
  ml: null,
  was,
  entryId: `w${day}`,
});
const every = (days: number, was: Parameters<typeof wet>[1], n = 10) =>
  Array.from({ length: n }, (_, i) => wet((i + 1) * days, was));

describe('how often a home is watered', () => {
  test('oftener the warmer and the drier, less often the more it holds', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 6, max: 34, noNaN: true }),
        fc.double({ min: 0.2, max: 0.85, noNaN: true }),
        fc.double({ min: 1, max: 200, noNaN: true }),
        (t, rh, ml) => {
          const of = (tempC: number, humidity: number, waterMl: number) =>
            wateringOf({ part: { ...cell, waterMl }, waterings: [] }, [room(tempC, humidity)], ZERO)
              ?.everyDays.p50 as number;
          expect(of(t + 1, rh, ml)).toBeLessThan(of(t, rh, ml));
          expect(of(t, rh + 0.1, ml)).toBeGreaterThan(of(t, rh, ml));
          expect(of(t, rh, 2 * ml)).toBeCloseTo(2 * of(t, rh, ml), 6);
        },
      ),
    );
  });

  test('the band is in order, and narrower with every watering of the keeper’s own', () => {
    const width = (n: number) => {
      const { everyDays } = wateringOf(
        { part: cell, waterings: every(3, 'right', n) },
        [room(24, 0.5)],
        ZERO,
      ) ?? {
        everyDays: { p10: 0, p50: 0, p90: 0 },
      };
      expect(everyDays.p10).toBeLessThan(everyDays.p50);
      expect(everyDays.p50).toBeLessThan(everyDays.p90);
      return Math.log(everyDays.p90 / everyDays.p10);
    };
    expect(width(3)).toBeLessThan(width(0));
    expect(width(12)).toBeLessThan(width(3));
  });

  test('it is drawn to what the keeper finds: a home that is right every fifth day is watered about every fifth', () => {
    const learned = wateringOf({ part: cell, waterings: every(5, 'right', 20) }, [room(24, 0.5)], ZERO);
    expect(learned?.from).toBe(20);
    expect(learned?.everyDays.p50).toBeGreaterThan(4.5);
    expect(learned?.everyDays.p50).toBeLessThan(5.3);
    const said = (was: 'dry' | 'right' | 'still-wet') =>
      wateringOf({ part: cell, waterings: every(5, was, 8) }, [room(24, 0.5)], ZERO)?.everyDays.p50 as number;
    expect(said('dry')).toBeLessThan(said('right'));
    expect(said('right')).toBeLessThan(said('still-wet'));
  });

  test('weeks of which nothing was written down teach nothing: she would dry out by them', () => {
    const fresh = wateringOf({ part: cell, waterings: [] }, [room(24, 0.5)], ZERO);
    const late = wateringOf({ part: cell, waterings: [wet(25), wet(50, 'right')] }, [room(24, 0.5)], ZERO);
    expect(late?.from).toBe(0);
    expect(late?.everyDays).toEqual(fresh?.everyDays);
  });

  test('two of one visit teach nothing', () => {
    expect(wateringOf({ part: cell, waterings: [wet(0.01), wet(0.02)] }, [room(24, 0.5)], ZERO)?.from).toBe(
      0,
    );
  });

  test('what was lost in the cold and what is lost in the warm add up', () => {
    const rooms = [room(8, 0.6), { ...room(24, 0.5), from: addDays(ZERO, 4) }];
    const both = wateringOf({ part: cell, waterings: [] }, rooms, ZERO)?.dryAt.p50 as Instant;
    const cold = wateringOf({ part: cell, waterings: [] }, [rooms[0]!], ZERO)?.everyDays.p50 as number;
    const warm = wateringOf({ part: cell, waterings: [] }, [rooms[1]!], ZERO)?.everyDays.p50 as number;
    // four days in the cold take four parts of that, the rest goes at the pace of the warm
    expect(daysBetween(ZERO, both)).toBeCloseTo(4 + (1 - 4 / cold) * warm, 6);
  });

  test('a tube, and what has no water, is not watered', () => {
    expect(wateringOf({ part: usualTube('', ZERO), waterings: [] }, [room(24, 0.5)], ZERO)).toBeNull();
    expect(
      wateringOf(
        { part: { ...usualBody('', 'outworld'), setUpAt: ZERO }, waterings: [] },
        [room(24, 0.5)],
        ZERO,
      ),
    ).toBeNull();
  });
});

describe('homes that are no tube', () => {
  const at = (id: string, tempC = 22, roomRelHumidity = 0.5) => {
    const { part } = FIRST_HOMES.find((h) => h.id === id)!;
    return wetting(part, { tempC, roomRelHumidity }, ZERO)!;
  };

  test('aerated concrete wants water about every three days, oftener in heat (common practice, no source)', () => {
    const { everyDays } = at('concrete-cell');
    expect(everyDays.p10).toBeLessThan(3);
    expect(everyDays.p90).toBeGreaterThan(3);
    expect(at('concrete-cell', 30).everyDays.p50).toBeLessThan(everyDays.p50);
  });

  test('plaster every few days, and every one of them oftener than a tube (common practice, no source)', () => {
    const tube = usualTube('', ZERO);
    const tubeDays = reservoirDays(tube, 85, { tempC: 22, roomRelHumidity: 0.5, plugs: tube.plugs });
    for (const { id } of FIRST_HOMES) {
      expect(at(id).everyDays.p50).toBeLessThan(tubeDays);
      expect(at(id).everyDays.p50).toBeGreaterThan(1);
    }
    expect(at('plaster-cell').everyDays.p10).toBeLessThan(7);
  });

  test('a dry room costs more peace than a damp one', () => {
    expect(disturbancesPerMonth(at('damp-box', 22, 0.3))).toBeGreaterThan(
      disturbancesPerMonth(at('damp-box', 22, 0.8)),
    );
  });

  test('in saturated air it need never be wetted', () => {
    // told to the horizon of ten years: no number that is none crosses the wire
    expect(at('dish-cell', 22, 1).everyDays.p50).toBe(3650);
    expect(at('dish-cell', 22, 1).dryAt).toEqual({ p10: null, p50: null, p90: null });
  });

  test('a nest about weekly, a drinker for weeks (common practice, no source)', () => {
    const days = (kind: 'nest' | 'drinker') =>
      wetting(usualBody('', kind), { tempC: 24, roomRelHumidity: 0.5 }, ZERO)!.everyDays;
    expect(days('nest').p10).toBeLessThan(7);
    expect(days('nest').p90).toBeGreaterThan(7);
    expect(days('drinker').p50).toBeGreaterThan(14);
  });
});
