import psychrolib from 'psychrolib';
import { absoluteHumidityGPerM3, dewPointC, saltHumidity, vapourPressureDeficitKPa } from './humidity';

psychrolib.SetUnitSystem(psychrolib.SI);

describe('dew point', () => {
  test('is within 0.05 K of the ASHRAE Handbook 2017 equations (psychrolib), 0–45 °C, 5–100 %', () => {
    for (let t = 0; t <= 45; t += 1.5)
      for (let rh = 0.05; rh <= 1; rh += 0.05) {
        const share = Math.min(1, rh);
        expect(Math.abs(dewPointC(t, share) - psychrolib.GetTDewPointFromRelHum(t, share))).toBeLessThan(
          0.05,
        );
      }
  });

  test('is the temperature itself in saturated air, and lower the drier it is', () => {
    expect(dewPointC(22, 1)).toBeCloseTo(22, 6);
    expect(dewPointC(22, 0.4)).toBeLessThan(dewPointC(22, 0.5));
    expect(dewPointC(22, 0)).toBe(-Infinity);
  });

  test.each([NaN, -0.01, 1.01, 55])('refuses a humidity of %d with the way to write it', (rh) => {
    expect(() => dewPointC(20, rh)).toThrow(/Write 0.5 for 50 %/);
  });
});

test('water in the air agrees within 0.7 % with moist-air volume and humidity ratio (psychrolib, 101.325 kPa)', () => {
  for (const t of [5, 15, 25, 35])
    for (const rh of [0.2, 0.6, 1]) {
      const ratio = psychrolib.GetHumRatioFromRelHum(t, rh, 101_325);
      const peer = (1000 * ratio) / psychrolib.GetMoistAirVolume(t, ratio, 101_325);
      expect(Math.abs(absoluteHumidityGPerM3(t, rh) / peer - 1)).toBeLessThan(0.007);
    }
  // 17.3 g/m³ in saturated air of 20 °C: any table of physics (from memory)
  expect(absoluteHumidityGPerM3(20, 1)).toBeCloseTo(17.3, 1);
});

test('deficit is saturation pressure less what is in the air (IAPWS-IF97 at 25 °C: 3.16975 kPa)', () => {
  expect(vapourPressureDeficitKPa(25, 0.6)).toBeCloseTo(0.4 * 3.16975, 3);
  expect(vapourPressureDeficitKPa(25, 1)).toBeCloseTo(0, 12);
});

describe('humidity over salts', () => {
  // Greenspan 1977, J. Res. Natl. Bur. Stand. 81A:89–96, his table (from memory), % RH
  test.each([
    ['NaCl', 15, 75.61],
    ['NaCl', 20, 75.47],
    ['NaCl', 25, 75.29],
    ['NaCl', 30, 75.09],
    ['KCl', 15, 85.92],
    ['KCl', 20, 85.11],
    ['KCl', 25, 84.34],
    ['KCl', 30, 83.62],
    ['MgCl2', 15, 33.3],
    ['MgCl2', 20, 33.07],
    ['MgCl2', 25, 32.78],
    ['MgCl2', 30, 32.44],
  ] as const)('%s at %d °C: %d %%', (salt, tempC, percent) => {
    expect(Math.abs(100 * saltHumidity(salt, tempC) - percent)).toBeLessThan(0.02);
  });

  test('refuses what is not in the table', () => {
    expect(() => saltHumidity('sugar' as 'NaCl', 20)).toThrow(/not a salt of this table/);
    expect(() => saltHumidity('NaCl', 70)).toThrow(/outside 0 to 50/);
  });
});
