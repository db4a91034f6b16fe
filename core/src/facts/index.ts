export * from './vocabulary';
export { countSchema, idSchema, instantSchema, isOfOurTime, type Count } from './common';
export { placeSchema, spotSchema, type Place, type Spot } from './place';
export { probeSchema, type Probe } from './probe';
export { queenSchema, type Queen } from './queen';
export { DEFAULT_SETTINGS, type KeeperSettings } from './default-settings';
export { settingsSchema } from './settings';
export { stockItemSchema, stockMoveSchema, type StockItem, type StockMove } from './stock';
export {
  asTube,
  bodyFloorMm2,
  bodyMeasuresSchema,
  bodyPartSchema,
  bodySchema,
  homePartSchema,
  partSchema,
  type BodyHome,
  type BodyMeasures,
  type BodyPart,
  type HomePart,
  type Part,
} from './part';
export {
  dividerFault,
  dividerSchema,
  tubeMeasuresSchema,
  tubePartSchema,
  tubeSchema,
  type Divider,
  type TubeHome,
  type TubeMeasures,
  type TubePart,
} from './tube';
