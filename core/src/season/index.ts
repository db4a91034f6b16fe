export {
  growingHemisphere,
  isWinteringTempC,
  phaseOf,
  winterAround,
  WINTER_TEMP_C,
  type Hemisphere,
  type Phase,
  type Winter,
} from './season';
