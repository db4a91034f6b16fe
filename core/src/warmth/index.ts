export { DANGER_C } from './danger';
export {
  clockOf,
  temperatureAt,
  warmthClock,
  warmthCourse,
  type Temperature,
  type WarmthClock,
  type WarmthCourse,
} from './clock';
export { developmentRate, nothingDevelops, warmthPerDay } from './response';
export {
  placeTemperature,
  ROOM_WARM_C,
  roomsOfStays,
  temperatureOfStays,
  THERMOMETER_ERROR_C,
  thermometerErrorC,
  wintersAt,
  withWaking,
  type Room,
  type Stay,
} from './stays';
