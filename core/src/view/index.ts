export {
  DEFAULT_SETTINGS,
  learnedFrom,
  placeIdNow,
  queenView,
  viewHoldsUntil,
  withoutOwn,
  type KeeperSettings,
  type QueenFacts,
  type QueenView,
  type ViewOptions,
} from './queen-view';
export { byUrgency, shelfRow, type ShelfRow } from './shelf-row';
export { whatIf, type LooksAhead, type WhatIf, type WhatIfAnswer } from './what-if';
