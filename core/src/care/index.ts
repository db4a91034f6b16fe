export { narrowerThan, type Heads } from './gap';
export { portCaution, widthFault } from './openings';
export { boostFaults, donorFitness, type BoostEnd, type BoostFault, type DonorFitness } from './boosting';
export { caseOf, planBegun, type Case, type CaseInput, type Eating } from './case';
export { ANSWER_IDS, type Answer, type AnswerId, type SaidNow } from './answers';
export { counsel, type Counsel, type AskedDeed } from './counsel';
export { weightOf } from './disturbance';
export { dangerC, heatOf, type Heat } from './heat';
export type { Peace } from './peace';
export { figure, PRACTICE, type PracticeFigure, type PracticeId } from './practice';
export { PLACE_ALARM_IDS, placeAlarms, type PlaceAlarm, type ProbeWatched } from './place-alarms';
export { PRESSURES, type Pressure } from './pressure';
export { practiceTable } from './practice-table';
export { FINDING_ADVICE, QUARANTINE_DAYS, type FindingAdvice } from './rules/health';
export { SILENCE_CAUSES, weighSilence, type SilenceCause, type WeighedCause } from './rules/silence';
export {
  LIGHT_SCHOOLS,
  LOOKING_SCHOOLS,
  lookingSchool,
  NEST_SCHOOLS,
  nestSchoolsFor,
  PATIENCE_SCHOOLS,
  SPACE_SCHOOLS,
  type GrowthSchool,
  type LookingSchool,
} from './schools';
export { steadiness, type Steadiness } from './steadiness';
export {
  TASKS,
  VERDICT_IDS,
  type Ask,
  type Criterion,
  type SchoolView,
  type Task,
  type Verdict,
  type VerdictId,
} from './verdict';
export { heatBench, preferenceCourse, type HeatBench, type Preferred } from './heat-bench';
export { fallsAt, heatedBy, heatedTube, heatFalls, type HeatFall } from './heated';
export { gradualSteps, stepsPhrase, type TempStep } from './winter-steps';
