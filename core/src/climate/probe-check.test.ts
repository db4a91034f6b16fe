import { correctedReading } from '.';
import { checkFault, correctionsOf, type ProbeCheck } from './probe-check';

const salt = (salt: 'NaCl' | 'KCl', shown: number, at = '2026-06-01T08:00:00.000Z'): ProbeCheck => ({
  what: 'salt',
  salt,
  tempC: 20,
  shown,
  at,
});
const ice = (shownC: number, at = '2026-06-01T08:00:00.000Z'): ProbeCheck => ({ what: 'ice', shownC, at });

describe('checks of a probe', () => {
  test('nothing checked: nothing is changed, and the error is wide', () => {
    const { tempC, rh, rhError, tempErrorC } = correctionsOf({ checks: [] });
    expect([tempC, rh]).toEqual([undefined, undefined]);
    expect(rhError).toBeGreaterThan(correctionsOf({ checks: [salt('NaCl', 0.8)] }).rhError);
    expect(tempErrorC).toBeGreaterThan(correctionsOf({ checks: [ice(0.5)] }).tempErrorC);
  });

  // Greenspan 1977 (from memory): 75.47 % over table salt, 85.11 % over potassium chloride at 20 °C
  test('one that shows 80 % over table salt shows 4.5 % too much, everywhere', () => {
    const { rh } = correctionsOf({ checks: [salt('NaCl', 0.8)] });
    expect(correctedReading(0.8, rh)).toBeCloseTo(0.7547, 3);
    expect(correctedReading(0.5, rh)).toBeCloseTo(0.4547, 3);
  });

  test('two salts give a line through both', () => {
    const { rh, rhError } = correctionsOf({ checks: [salt('NaCl', 0.78), salt('KCl', 0.9)] });
    expect(correctedReading(0.78, rh)).toBeCloseTo(0.7547, 3);
    expect(correctedReading(0.9, rh)).toBeCloseTo(0.8511, 3);
    expect(rhError).toBeLessThan(correctionsOf({ checks: [salt('NaCl', 0.78)] }).rhError);
  });

  test('of the same salt the newer check counts, whatever their order', () => {
    const [old, fresh] = [salt('NaCl', 0.9), salt('NaCl', 0.77, '2026-07-01T08:00:00.000Z')];
    expect(correctionsOf({ checks: [fresh, old] })).toEqual(correctionsOf({ checks: [fresh] }));
  });

  test('melting ice shifts the thermometer', () => {
    expect(correctedReading(24, correctionsOf({ checks: [ice(1.2)] }).tempC)).toBeCloseTo(22.8, 12);
  });

  test('what cannot be is said with what to do; what is usual is not', () => {
    expect(checkFault(salt('NaCl', 0.8))).toBeNull();
    expect(checkFault(ice(-0.8))).toBeNull();
    expect(checkFault(salt('NaCl', 0.45))).toMatch(/75 %.*shut for longer/);
    expect(checkFault(ice(9))).toMatch(/Stir the ice/);
    // the damper box shown drier
    expect(checkFault(salt('KCl', 0.7), [salt('NaCl', 0.8)])).toMatch(/one of the two readings is wrong/);
  });
});
