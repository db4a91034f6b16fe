import { within } from '../quantity';

const CELSIUS_ZERO_K = 273.15;
const CRITICAL_K = 647.096;
const CRITICAL_KPA = 22_064;
const TRIPLE_C = 0.01;
const TRIPLE_K = TRIPLE_C + CELSIUS_ZERO_K;
const TRIPLE_KPA = 0.611657;

/**
 * Saturation pressure of water vapour over liquid water, kPa.
 *
 * ln(p/pc) = Tc/T · (a1·τ + a2·τ^1.5 + a3·τ^3 + a4·τ^3.5 + a5·τ^4 + a6·τ^7.5), τ = 1 − T/Tc.
 * Source: Wagner & Pruss 1993, J. Phys. Chem. Ref. Data 22:783–787 (IAPWS supplementary release).
 * @param tempC 0 to 100 °C; below 0 °C the water is ice
 * @throws InputError outside that
 */
export function saturationPressureKPa(tempC: number): number {
  within(tempC, 'tempC', 'The temperature', { min: 0, max: 100, unit: '°C' });
  const kelvin = tempC + CELSIUS_ZERO_K;
  const tau = 1 - kelvin / CRITICAL_K;
  const series =
    -7.85951783 * tau +
    1.84408259 * tau ** 1.5 -
    11.7866497 * tau ** 3 +
    22.6807411 * tau ** 3.5 -
    15.9618719 * tau ** 4 +
    1.80122502 * tau ** 7.5;
  return CRITICAL_KPA * Math.exp((CRITICAL_K / kelvin) * series);
}

/**
 * Saturation pressure of water vapour over ice, kPa.
 *
 * ln(p/pt) = Tt/T · (a1·θ^b1 + a2·θ^b2 + a3·θ^b3), θ = T/Tt.
 * Source: Wagner, Riethmann, Feistel & Harvey 2011, J. Phys. Chem. Ref. Data 40:043103 (IAPWS R14-08, from memory).
 * @param tempC −100 to 0.01 °C
 * @throws InputError outside that
 */
export function icePressureKPa(tempC: number): number {
  within(tempC, 'tempC', 'The temperature', { min: -100, max: TRIPLE_C, unit: '°C' });
  const theta = (tempC + CELSIUS_ZERO_K) / TRIPLE_K;
  const series =
    -21.2144006 * theta ** 0.00333333333 + 27.3203819 * theta ** 1.20666667 - 6.1059813 * theta ** 1.70333333;
  return TRIPLE_KPA * Math.exp(series / theta);
}

export const STANDARD_PRESSURE_KPA = 101.325;

/**
 * Diffusivity of water vapour in air, m²/s: D = 0.2178 cm²/s · (T/273.15)^1.81 · (101.325/p).
 * Source: Massman 1998, Atmospheric Environment 32:1111–1127.
 * @param pressureKPa air pressure, 101.325 when not given
 * @throws InputError for a temperature outside 0–100 °C or a pressure outside 30–120 kPa
 */
export function diffusivityM2PerS(tempC: number, pressureKPa = STANDARD_PRESSURE_KPA): number {
  within(tempC, 'tempC', 'The temperature', { min: 0, max: 100, unit: '°C' });
  within(pressureKPa, 'pressureKPa', 'The air pressure', { min: 30, max: 120, unit: 'kPa' });
  const kelvin = tempC + CELSIUS_ZERO_K;
  return 0.2178e-4 * (kelvin / CELSIUS_ZERO_K) ** 1.81 * (STANDARD_PRESSURE_KPA / pressureKPa);
}

/**
 * Density of air-free water at one atmosphere, g/ml.
 * Source: Kell 1975, J. Chem. Eng. Data 20:97–105.
 * @param tempC 0 to 100 °C
 */
export function waterDensityGPerMl(tempC: number): number {
  const t = within(tempC, 'tempC', 'The temperature', { min: 0, max: 100, unit: '°C' });
  const numerator =
    999.83952 +
    16.945176 * t -
    7.9870401e-3 * t ** 2 -
    46.170461e-6 * t ** 3 +
    105.56302e-9 * t ** 4 -
    280.54253e-12 * t ** 5;
  return numerator / (1 + 16.87985e-3 * t) / 1000;
}
