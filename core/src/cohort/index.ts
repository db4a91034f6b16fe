export { fitLogNormal, type LogNormalFit } from './log-normal';
export { kaplanMeier, logRank, type SurvivalStep, type Watched } from './kaplan-meier';
export { turnbull, type TimeInterval, type TurnbullEstimate } from './turnbull';
export { compare, type CohortGroup, type Comparison, type Life } from './compare';
