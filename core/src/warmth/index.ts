export { clockOf, warmthClock, type Off, type WarmthClock } from './clock';
export { DANGER_C } from './danger';
export { developmentRate, meanWarmthPerDay, nothingDevelops, warmthPerDay } from './response';
export {
  stepAt,
  stepsOf,
  temperatureAt,
  thenFrom,
  warmthCourse,
  type Ahead,
  type Parts,
  type Temperature,
  type WarmthCourse,
  type WarmthStep,
} from './series';
export { hotSpells, type HotSpell } from './hot-spell';
export {
  latelyRead,
  placeNow,
  placeTemperature,
  recordOf,
  type Measured,
  type Room,
  type Warmths,
} from './places';
export {
  reckonedPlaces,
  ROOM_WARM_C,
  roomsOfStays,
  temperatureOfStays,
  THERMOMETER_ERROR_C,
  thermometerErrorC,
  wintersAt,
  withAdvisedWinter,
  withWaking,
  stoodIn,
  type ReckonedPlace,
  type Stay,
  type Stood,
} from './stays';
