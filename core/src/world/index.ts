export { broodOn, type Brood, type Truth } from './brood';
export { SAMPLES } from './samples';
export {
  plainGenerator,
  POOR_EYE,
  simulateLooks,
  simulateKind,
  simulateQueen,
  USUAL_EYE,
  type Eye,
  type Oddity,
} from './simulated-queens';
