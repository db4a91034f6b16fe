export {
  changeFault,
  housing,
  MOVE_STAGES,
  housingOf,
  partOf,
  standing,
  tubeAt,
  underWay,
  type Held,
  type Housing,
  type Move,
  type MoveStage,
  type PartNow,
  type Share,
} from './housing';
export { missing, tallyFault } from './tally';
export {
  chainBetween,
  headWidthMm,
  joinEnds,
  joint,
  type Chain,
  type ChainFound,
  type Connector,
  type JointFit,
  type Port,
  type Wanted,
} from './fit';
