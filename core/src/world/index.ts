export { broodOn, type Brood, type Truth } from './brood';
export { shownAt, simulateProbe, truthAt, USUAL_PROBE_WORLD, type ProbeWorld } from './probe';
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
