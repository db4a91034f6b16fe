import { need, within } from '../quantity';
import { GAS_CONSTANT, WATER_G_PER_MOL } from './constants';
import { icePressureKPa, saturationPressureKPa } from './vapour';

/** @throws InputError unless it is a share of 0 to 1 */
export function checkHumidity(rh: number, field = 'rh', name = 'The humidity'): number {
  need(
    typeof rh === 'number' && Number.isFinite(rh) && rh >= 0 && rh <= 1,
    field,
    `${name} (${rh}) is not a share between 0 and 1. Write 0.5 for 50 %.`,
  );
  return rh;
}

/** Pressure of the vapour in the air, kPa. */
const vapourKPa = (tempC: number, rh: number): number => checkHumidity(rh) * saturationPressureKPa(tempC);

/**
 * The temperature to which this air must be cooled for its vapour to settle, °C: as dew, below freezing as frost. Found by
 * halving, since the saturation pressure rises with the temperature all the way.
 * @param tempC 0 to 100 °C
 * @param rh humidity as a share, 0..1
 * @returns −100 °C or more; −Infinity in air without any vapour
 * @throws InputError for what is no temperature or no share
 */
export function dewPointC(tempC: number, rh: number): number {
  const vapour = vapourKPa(tempC, rh);
  if (vapour === 0) return -Infinity;
  const frost = vapour < saturationPressureKPa(0.01);
  const pressure = frost ? icePressureKPa : saturationPressureKPa;
  let [low, high] = frost ? [-100, 0.01] : [0.01, tempC];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (pressure(middle) < vapour) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/**
 * Water in the air, g/m³: the ideal gas law for its vapour.
 * @throws InputError for what is no temperature (0–100 °C) or no share
 */
export function absoluteHumidityGPerM3(tempC: number, rh: number): number {
  return (vapourKPa(tempC, rh) * 1000 * WATER_G_PER_MOL) / (GAS_CONSTANT * (tempC + 273.15));
}

/**
 * What the air could still take, kPa: saturation pressure less what is in it. It drives the loss of water.
 * @throws InputError for what is no temperature (0–100 °C) or no share
 */
export function vapourPressureDeficitKPa(tempC: number, rh: number): number {
  return saturationPressureKPa(tempC) - vapourKPa(tempC, rh);
}

/** Salts a household has, or may get: table salt, potassium chloride, magnesium chloride. */
export type Salt = 'NaCl' | 'KCl' | 'MgCl2';

/** Relative humidity over a saturated solution, %: a polynomial in °C. Greenspan 1977, from memory. */
const GREENSPAN: Record<Salt, readonly number[]> = {
  NaCl: [75.5164, 0.0398321, -0.00265459, 0.00002848],
  KCl: [88.619, -0.19334, 0.000899706],
  MgCl2: [33.6686, -0.00797397, -0.00108988],
};

/**
 * Humidity of still air shut in with a wet paste of salt, as a share.
 * Source: Greenspan 1977, J. Res. Natl. Bur. Stand. 81A:89–96 (coefficients from memory; checked against his table).
 * @param tempC 0 to 50 °C, as steady as can be
 * @throws InputError outside that, or for another salt
 */
export function saltHumidity(salt: Salt, tempC: number): number {
  const polynomial = GREENSPAN[salt];
  need(polynomial !== undefined, 'salt', `“${salt}” is not a salt of this table. Take table salt, NaCl.`);
  within(tempC, 'tempC', 'The temperature', { min: 0, max: 50, unit: '°C' });
  return polynomial.reduce((sum, a, power) => sum + a * tempC ** power, 0) / 100;
}
