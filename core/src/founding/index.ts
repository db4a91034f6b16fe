export {
  emptyLedger,
  FIRST_TUBE,
  unseenTube,
  type Appearance,
  type LastCount,
  type QueenLedger,
  type TubeState,
  type WorkerLook,
  type HeatLaid,
} from './ledger/queen-ledger';
export { ledger } from './ledger/ledger';
export { asBefore } from './ledger/as-before';
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
} from './outlook/outlook';
export { lateCatch } from './outlook/late-catch';
export { missChance } from './outlook/detection';
export {
  FOUNDER_TYPES,
  founderBelief,
  knownToEat,
  type FounderBelief,
  type FounderCourse,
  type FounderEvidence,
  type KnownFounder,
} from './founder';
export {
  agedShare,
  AT_ONCE_DAYS,
  vanishedBetween,
  WORKERS_AGE_SHARE,
  type FullCount,
  type Vanished,
} from './ledger/vanished';
export { isMeal, lastMeal, refusalsOf, stillThere, type Offer, type Refusals } from './ledger/offers';
export { mayBeForeign, ownCounts, type BroodMove } from './ledger/foreign';
export { batchesOf, type Batch } from './ledger/batches';
export { type Contradiction, type Reading } from './ledger/contradictions';
export { nextWinter, type Likely } from './outlook/later-batches';
export {
  addEvidence,
  learnedProfile,
  NOTHING_TAUGHT,
  stageEvidence,
  taughtOf,
  type KindEvidence,
  type Learned,
  type StageEvidence,
  type Taught,
} from './learning';
export { seenBetween } from './seen-between';
