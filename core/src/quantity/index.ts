export { InputError, need, within, type Bounds } from './input-error';
export {
  addCalendarDays,
  calendarDay,
  calendarDaysBetween,
  clockOf,
  dayOf,
  isZone,
  startOfDay,
  UTC,
  weekdayOf,
  type CalendarDay,
  type Zone,
} from './day';
export { addDays, DAY_MS, earliest, daysBetween, instantOf, latest, msOf, type Instant } from './time';
export {
  COUNT_WORDS,
  countRange,
  countText,
  isNone,
  isSome,
  WORD_COUNTS,
  type CountRange,
  type CountWord,
  COUNT_FAULT,
  countInput,
  readCount,
} from './count';
export { accumulation, type Accumulation } from './accumulation';
export { lastNotAfter } from './halving';
export { interval, type Interval } from './interval';
export { bandOfSorted, quantileSorted, type Band } from './band';
export { EIGHT_OF_TEN, normalBelow, normalDensity, normalQuantile } from './normal';
export { quickNormalBelow, quickNormalQuantile } from './normal-table';
export { evenPoints, uniformStream } from './random';
export { daysText, phrase, plainText, type Phrase, type PhrasePart } from './phrase';
