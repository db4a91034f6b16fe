export { DANGER_C } from './danger';
export { temperatureAt, warmthClock, type Temperature, type WarmthClock } from './clock';
export { developmentRate, warmthPerDay } from './response';
export {
  placeTemperature,
  temperatureOfStays,
  THERMOMETER_ERROR_C,
  thermometerErrorC,
  withWaking,
  type Stay,
} from './stays';
