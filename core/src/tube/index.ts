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
  reservoirDays,
  tubeLossGPerDay,
  waterLossGPerDay,
  type Evaporation,
  type RoomConditions,
} from './water';
export { reckonedLineMm, reservoirBand, type Reservoir, type WaterReading } from './reservoir';
