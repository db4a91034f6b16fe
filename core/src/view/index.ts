export {
  BEFORE_HER_DAYS,
  withFalls,
  type Basis,
  type LearnedFrom,
  type Lesson,
  type QueenFacts,
  type ViewOptions,
} from './basis';
export { learnedFrom, withoutOwn } from './learned';
export { queenView, viewHoldsUntil, type QueenView } from './queen-view';
export { byUrgency } from './by-urgency';
export { momentsOf, shareLater, soonerWords, withoutSightings, type Moment } from './moments';
export { shelfRow, type ShelfRow } from './shelf-row';
export { whatIf, type LooksAhead, type WhatIf, type WhatIfAnswer } from './what-if';
