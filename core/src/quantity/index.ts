export { InputError, need, within, type Bounds } from './input-error';
export { addDays, DAY_MS, daysBetween, instantOf, latest, msOf, type Instant } from './time';
export {
  COUNT_WORDS,
  countRange,
  countText,
  isNone,
  isSome,
  WORD_COUNTS,
  type CountRange,
  type CountWord,
} from './count';
export { interval, type Interval } from './interval';
export { bandOfSorted, quantileSorted, type Band } from './band';
export { normalBelow, normalQuantile } from './normal';
export { uniformStream } from './random';
export { daysText, phrase, plainText, type Phrase, type PhrasePart } from './phrase';
