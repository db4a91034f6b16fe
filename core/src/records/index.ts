export {
  captureRecords,
  caughtOutdoors,
  DARWIN_CORE_TERMS,
  PLACE_CHOICES,
  type CaptureRecord,
  type PlaceChoice,
} from './darwin-core';
export { factSchema, type Fact } from './fact';
export { logOf, readFacts, type ReadLog } from './read-log';
export { askLog, type Asked } from './asked';
