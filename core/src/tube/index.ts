export {
  chamberLengthMm,
  checkTube,
  tubeVolumeMl,
  USUAL_PLUGS,
  waterLineForMl,
  type Plugs,
  type TubeShape,
} from './geometry';
export {
  COTTON_DETOUR,
  freePath,
  reservoirDays,
  tubeLossGPerDay,
  waterLossGPerDay,
  type Evaporation,
  type FreePath,
  type RoomConditions,
} from './water';
export {
  LEAKS_TIMES,
  LOSS_TIMES,
  reckonedLineMm,
  READING_ERROR_MM,
  reservoirBand,
  roomsSince,
  type Reservoir,
  type WaterReading,
} from './reservoir';
export {
  cellOf,
  fallMm,
  heatAlong,
  nextHeatStep,
  preferenceOf,
  seatOf,
  USUAL_LENGTH_MM,
  type HeatAlong,
  type HeatedTube,
  type HeatLimits,
  type HeatSetting,
  type HeatStep,
  type Seat,
} from './heat-along';
export { usualTube } from './usual-tube';
export { DROP_ML, dropsOf, floodMl, floodReserveMl, safeStepC, type Warming } from './flood';
export {
  FILL_SCHOOLS,
  fillOf,
  fillTo,
  lastingOf,
  type Fill,
  type FillConditions,
  type FillSchool,
  type Lasting,
} from './bench';
export {
  HYGIENE,
  FRONT_SHARE,
  PLUG_SIGNS,
  SUBSTRATE,
  WATER_SOURCES,
  type CheckItem,
  type PlugSign,
  type WaterSource,
} from './plug';
