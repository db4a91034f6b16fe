export { developmentRate, warmthPerDay } from './development';
export { temperatureAt, warmthClock, type Temperature, type WarmthClock } from './warmth-clock';
export {
  emptyLedger,
  ledger,
  type Appearance,
  type Contradiction,
  type LastCount,
  type QueenLedger,
} from './ledger';
export {
  outlook,
  OUTLOOK_EVENTS,
  type EventOutlook,
  type Outlook,
  type OutlookEvent,
  type OutlookOptions,
} from './outlook';
export { lateCatch, type Hemisphere } from './late-catch';
export { missChance } from './detection';
