export { columnsOf, fromCenti, lengthOf, NONE, readingsOf, sliced, toCenti, type Columns } from './columns';
export {
  byDay,
  DAY_HOURS,
  dayNumber,
  HOUR_MS,
  inColumns,
  merged,
  packed,
  packedHours,
  rolled,
  together,
  unpacked,
  unpackedHours,
  without,
  type Day,
  type Rolled,
  type Spread,
} from './day';
export { guessMapping } from './guess';
export { readingsOfLines } from './lines';
export { wallClock, type WallClock } from './local-time';
export { lowestAndHighest } from './min-max';
export { readingFault, type Reading } from './reading';
export { separatorOf, SEPARATORS, type Separator } from './separator';
export {
  DATE_ORDERS,
  momentOf,
  numberOf,
  rowReader,
  type DateOrder,
  type Mapping,
  type RefusedRow,
  type RowReader,
} from './table';
