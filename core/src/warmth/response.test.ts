import { STAGES, type SpeciesProfile } from '../species';
import { KINDS, speciesProfile } from '../species/catalogue';
import { developmentRate } from './response';
import { warmthClock } from './clock';

/**
 * Argentine ant, egg to worker: 445.4 degree-days above 15.9 °C (Hartley & Lester 2003, New Zealand Entomologist
 * 26:91–100; from memory). The sum is split in three only to pass through the three stages of a profile.
 */
function argentine(): SpeciesProfile {
  const stage = (degreeDays: number) => ({
    thresholdC: 15.9,
    optimumC: 32,
    upperC: 38,
    degreeDays,
    logSpread: 0.2,
    source: { kind: 'published' as const, citation: 'Hartley & Lester 2003' },
    level: 'species' as const,
  });
  const base = speciesProfile('unknown-temperate');
  return { ...base, stages: { laying: stage(80), egg: stage(145.4), larva: stage(160), pupa: stage(140) } };
}

describe('development', () => {
  test('445.4 degree-days above 15.9 °C take 44.54 days at a constant 25.9 °C', () => {
    const days = (['egg', 'larva', 'pupa'] as const)
      .map((s) => 1 / developmentRate(argentine(), s, 25.9))
      .reduce((a, b) => a + b);
    expect(days).toBeCloseTo(44.54, 2);
  });

  test('is nothing at the threshold, at its best at the optimum, and nothing again at the upper limit', () => {
    for (const profile of KINDS.map((k) => speciesProfile(k.id))) {
      for (const stage of STAGES) {
        const { thresholdC, optimumC, upperC } = profile.stages[stage];
        expect(developmentRate(profile, stage, thresholdC)).toBe(0);
        expect(developmentRate(profile, stage, upperC)).toBe(0);
        const best = developmentRate(profile, stage, optimumC);
        const rates = Array.from({ length: 91 }, (_, i) => developmentRate(profile, stage, i / 2));
        expect(Math.max(...rates)).toBeLessThanOrEqual(best + 1e-12);
        expect(Math.min(...rates)).toBeGreaterThanOrEqual(0);
      }
    }
  });

  test('refuses a temperature that is none', () => {
    expect(() => developmentRate(argentine(), 'egg', NaN)).toThrow(/not a number/);
  });
});

describe('warmth clock', () => {
  const origin = '2026-10-01T00:00:00.000Z';
  const winter = {
    steps: [
      { from: '2026-10-01T00:00:00.000Z', tempC: 20.9 },
      { from: '2026-11-01T00:00:00.000Z', tempC: 6 },
      { from: '2027-03-01T00:00:00.000Z', tempC: 25.9 },
    ],
  };

  test('stands still in winter and goes on in spring', () => {
    const clock = warmthClock(argentine(), 'egg', winter, origin);
    expect(clock.gathered(0)).toBe(0);
    expect(clock.gathered(31)).toBeCloseTo(155, 9); // 31 October days at 5 degrees above the threshold
    expect(clock.gathered(120)).toBeCloseTo(155, 9);
    expect(clock.gathered(161)).toBeCloseTo(255, 9); // 151 days to 1 March, then 10 days at 10
    expect(clock.dayOf(255)).toBeCloseTo(161, 9);
  });

  test('there and back again for any day on which warmth is gathered, also before the origin', () => {
    const clock = warmthClock(argentine(), 'egg', winter, '2027-03-20T00:00:00.000Z');
    for (const d of [-160, -15, -3, 0, 4, 100]) expect(clock.dayOf(clock.gathered(d))).toBeCloseTo(d, 6);
  });

  test('never gets there in the cold', () => {
    expect(warmthClock(argentine(), 'egg', 8, origin).dayOf(1)).toBe(Infinity);
  });
});
