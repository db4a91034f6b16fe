export {
  housing,
  MOVE_STAGES,
  housingOf,
  partAt,
  type DrawnHome,
  type Held,
  type Housing,
  type Move,
  type MoveStage,
  type PartNow,
  type Share,
} from './housing';
export { changeFault } from './faults';
export { nounOf, PART_NOUNS } from './nouns';
export { keptByBarrier, partOf, standing, underWay } from './parts';
export {
  endAt,
  freePort,
  hasFloor,
  holdsTubes,
  isShut,
  linksOf,
  openShare,
  passes,
  portsOf,
  reachedFrom,
  roomsOf,
  type End,
  type Link,
} from './ports';
export { wateringOf, waterSource, type Watering } from './watering';
export { LEFT_DAYS, usedFault, usedParts, type Keeping, type Stay, type UsedPart } from './used';
export { missing, tallyFault } from './tally';
export {
  chainBetween,
  SMALLEST_HEAD_MM,
  joinEnds,
  joint,
  type Chain,
  type ChainFound,
  type Connector,
  type JointFit,
  type Port,
  type Wanted,
} from './fit';
export { usualBody } from './usual-body';
export {
  disturbancesPerMonth,
  FIRST_HOME_KINDS,
  FIRST_HOMES,
  firstBody,
  wetting,
  type FirstHome,
  type FirstHomeKind,
} from './first-homes';
