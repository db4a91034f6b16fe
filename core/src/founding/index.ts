export { developmentRate, warmthPerDay } from './development';
export { temperatureAt, warmthClock, type Temperature, type WarmthClock } from './warmth-clock';
export {
  DISTURBANCES,
  emptyLedger,
  type Appearance,
  type Disturbance,
  type LastCount,
  type QueenLedger,
} from './queen-ledger';
export { ledger } from './ledger';
export {
  eventDays,
  outlook,
  outlookOfKinds,
  OUTLOOK_EVENTS,
  type EventOutlook,
  type LaterOutlook,
  type Kind,
  type MixedOutlook,
  type Outlook,
  type OutlookEvent,
  type OutlookOptions,
} from './outlook';
export { lateCatch, type Hemisphere } from './late-catch';
export { missChance } from './detection';
export {
  FOUNDER_TYPES,
  founderBelief,
  type FounderBelief,
  type FounderCourse,
  type FounderEvidence,
  type KnownFounder,
} from './founder';
export { vanishedBetween, type FullCount, type Vanished } from './vanished';
export { batchesOf, type Batch } from './batches';
export { type Contradiction, type Reading } from './contradictions';
export { nextWinter, type Likely } from './later-batches';
export {
  addEvidence,
  learnedProfile,
  stageEvidence,
  type KindEvidence,
  type Learned,
  type StageEvidence,
} from './learning';
