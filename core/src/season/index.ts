export {
  COOL_WINTER_C,
  growingHemisphere,
  WHAT_IF_WINTER_C,
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
