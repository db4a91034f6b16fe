export { counsel, placeTemperature, type Counsel, type CounselInput } from './counsel';
export { LOOKING_SCHOOLS, lookingSchool, SETTLING_DAYS, type LookingSchool } from './looking';
export { PRESSURES, type Criterion, type Pressure, type SchoolView, type Verdict } from './verdict';
export { DISTURBANCE_WEIGHTS, lookingBudget, type LookingBudget } from './budget';
export { SILENCE_CAUSES, weighSilence, type SilenceCause, type WeighedCause } from './silence';
export { FINDING_ADVICE, QUARANTINE_DAYS, type FindingAdvice } from './health';
export { steadiness, type Steadiness } from './steadiness';
