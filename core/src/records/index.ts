export {
  captureRecords,
  caughtOutdoors,
  DARWIN_CORE_TERMS,
  PLACE_CHOICES,
  type CaptureRecord,
  type PlaceChoice,
} from './darwin-core';
export { factSchema, type Fact } from './fact';
export {
  BATCH_MAX,
  batchOf,
  columnsOfBatch,
  readingBatchSchema,
  takenBackSchema,
  type ReadingBatch,
  type TakenBack,
} from './reading-batch';
export { recordsAt } from './measured';
export { logOf, readFacts, readLine, type ReadLog } from './read-log';
export {
  isById,
  isLasting,
  isSame,
  sortOut,
  type ById,
  type Contradiction,
  type Here,
  type KindOfFact,
  type Numbered,
  type RefusedLine,
  type SortedOut,
} from './bring-back';
export { arrivedFrom, storyOf, type Arrived } from './travel';
export { withoutPlace } from './withheld';
export { askLog, type Asked } from './asked';
