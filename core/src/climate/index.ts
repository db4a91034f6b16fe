export {
  diffusivityM2PerS,
  saturationPressureKPa,
  STANDARD_PRESSURE_KPA,
  waterDensityGPerMl,
} from './vapour';
export { degreeDays } from './degree-days';
