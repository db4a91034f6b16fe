export { capital } from './capital';
export {
  broodWords,
  counted,
  countedRange,
  EVENT_WORDS,
  listed,
  MILESTONE_WORDS,
  numbered,
  type EventWords,
} from './stages';
export { FOOD_WORDS } from './foods';
