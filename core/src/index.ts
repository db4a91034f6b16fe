/** What the computing core answers on its own: measures of warmth, water and the year, and a kind by its name. */
export {
  absoluteHumidityGPerM3,
  degreeDays,
  degreeDaysOfReadings,
  dewPointC,
  gradientFit,
  hygrometerCorrection,
  saltHumidity,
  saturationPressureKPa,
  vapourPressureDeficitKPa,
} from './climate';
export { dayLengthH } from './season';
export { resolveKind } from './species/catalogue';
export { developmentRate } from './warmth';
