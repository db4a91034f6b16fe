export {
  LABEL_SHEETS,
  lookAddress,
  placeLabels,
  queenOfAddress,
  stripFor,
  type LabelSheet,
  type PlacedLabel,
} from './layout';
