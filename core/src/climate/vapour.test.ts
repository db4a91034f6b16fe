import psychrolib from 'psychrolib';
import { diffusivityM2PerS, saturationPressureKPa, waterDensityGPerMl } from './vapour';

// Saturation pressure and density over water computed with IAPWS-IF97 (independent Python package `iapws`).
const IAPWS: [tempC: number, kPa: number, kgPerM3: number][] = [
  [5, 0.87257, 999.967],
  [10, 1.22818, 999.702],
  [15, 1.70574, 999.101],
  [18, 2.06466, 998.597],
  [20, 2.33921, 998.206],
  [22, 2.64521, 997.773],
  [24, 2.98563, 997.299],
  [25, 3.16975, 997.048],
  [26, 3.36369, 996.787],
  [28, 3.78281, 996.238],
  [30, 4.24669, 995.652],
  [35, 5.62862, 994.039],
  [40, 7.38443, 992.224],
];

describe('saturation pressure', () => {
  test.each(IAPWS)('at %d °C is within 0.1 %% of IAPWS-IF97', (tempC, kPa) => {
    expect(Math.abs(saturationPressureKPa(tempC) / kPa - 1)).toBeLessThan(0.001);
  });

  test('agrees within 0.1 % with the ASHRAE Handbook 2017 equations (psychrolib) from 1 to 45 °C', () => {
    psychrolib.SetUnitSystem(psychrolib.SI);
    for (let t = 1; t <= 45; t++) {
      const peer = psychrolib.GetSatVapPres(t) / 1000;
      expect(Math.abs(saturationPressureKPa(t) / peer - 1)).toBeLessThan(0.001);
    }
  });

  test('is 101.325 kPa at the boiling point, 99.974 °C (IAPWS; from memory)', () => {
    expect(saturationPressureKPa(99.974)).toBeCloseTo(101.325, 1);
  });

  test.each([NaN, Infinity, -5, 120])('refuses %d °C with a sentence', (t) => {
    expect(() => saturationPressureKPa(t)).toThrow(/temperature/i);
  });
});

describe('diffusivity of vapour in air', () => {
  test('is 0.2552 cm²/s at 25 °C (Massman 1998; from memory)', () => {
    expect(diffusivityM2PerS(25) * 1e4).toBeCloseTo(0.2552, 4);
  });

  test('is within 4 % of Marrero & Mason 1972, D = 1.87e-10·T^2.072, a fit from 282 K up (from memory)', () => {
    for (const t of [9, 15, 25, 35, 45]) {
      const peer = 1.87e-10 * (t + 273.15) ** 2.072;
      expect(Math.abs(diffusivityM2PerS(t) / peer - 1)).toBeLessThan(0.04);
    }
  });

  test('grows in thin air in proportion', () => {
    expect(diffusivityM2PerS(20, 101.325 / 2)).toBeCloseTo(2 * diffusivityM2PerS(20), 12);
  });

  test('refuses no pressure', () => {
    expect(() => diffusivityM2PerS(20, 0)).toThrow(/air pressure/i);
  });
});

test.each(IAPWS)('density of water at %d °C is within 0.002 %% of IAPWS-IF97', (tempC, _, kgPerM3) => {
  expect(Math.abs((waterDensityGPerMl(tempC) * 1000) / kgPerM3 - 1)).toBeLessThan(2e-5);
});
