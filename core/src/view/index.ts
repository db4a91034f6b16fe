export {
  DEFAULT_SETTINGS,
  placeIdNow,
  queenView,
  viewHoldsUntil,
  type KeeperSettings,
  type QueenFacts,
  type QueenView,
  type ViewOptions,
} from './queen-view';
export { byUrgency, shelfRow, type ShelfRow } from './shelf-row';
