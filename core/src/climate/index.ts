export { degreeDays } from './degree-days';
export { degreeDaysOfReadings, type TempReading } from './degree-days-of-readings';
export { gradientAtC, gradientFit, type Gradient, type GradientPoint } from './gradient';
export { GAS_CONSTANT, WATER_G_PER_MOL } from './constants';
export {
  absoluteHumidityGPerM3,
  checkHumidity,
  dewPointC,
  saltHumidity,
  vapourPressureDeficitKPa,
  type Salt,
} from './humidity';
export {
  corrected as correctedReading,
  hygrometerCorrection,
  type CheckPoint,
  type Correction,
} from './hygrometer';
export {
  diffusivityM2PerS,
  saturationPressureKPa,
  STANDARD_PRESSURE_KPA,
  waterDensityGPerMl,
} from './vapour';
export {
  checkFault,
  correctionsOf,
  HALF_RANGES,
  type ProbeCheck,
  type ProbeCorrections,
} from './probe-check';
export * from './readings';
export { degreeDaysOfSpans, summaryOf, type DaysSummary, type TempSpan } from './summary';
export { continuationOf, type Continuation } from './continuation';
export { patternOf, stretchesOf, wholeDays, type Stretch, type WholeDay } from './days';
export {
  PART_MS,
  PARTS_OF_DAY,
  halfRangeC,
  placeAt,
  placeRecord,
  ROOM_C,
  standardErrorC,
  type MeasuredDay,
  type PlaceRecord,
  type ProbeHours,
} from './place-record';
