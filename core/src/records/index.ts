export {
  captureRecords,
  caughtOutdoors,
  DARWIN_CORE_TERMS,
  PLACE_CHOICES,
  type CaptureRecord,
  type PlaceChoice,
} from './darwin-core';
