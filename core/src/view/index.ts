export { placeIdNow, type Basis, type Lesson, type QueenFacts, type ViewOptions } from './basis';
export { learnedFrom, withoutOwn } from './learned';
export { queenView, viewHoldsUntil, type QueenView } from './queen-view';
export { byUrgency, shelfRow, type ShelfRow } from './shelf-row';
export { whatIf, type LooksAhead, type WhatIf, type WhatIfAnswer } from './what-if';
