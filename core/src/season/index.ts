export {
  COOL_WINTER_C,
  growingHemisphere,
  winterRange,
  isWinteringTempC,
  northMonth,
  phaseOf,
  winterAround,
  WINTER_TEMP_C,
  type Hemisphere,
  type Phase,
  type Winter,
} from './season';
export { dayLengthH } from './day-length';
