export { fitLogNormal, type LogNormalFit } from './log-normal';
export { kaplanMeier, logRank, type SurvivalStep, type Watched } from './kaplan-meier';
export { turnbull, type TimeInterval, type TurnbullEstimate } from './turnbull';
export { compare, LEAST_N, type CohortGroup, type Comparison, type Life } from './compare';
