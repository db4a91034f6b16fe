export {
  MILESTONES,
  STAGES,
  type FounderType,
  type Milestone,
  type Span,
  type SpeciesProfile,
  type Stage,
  type StageWarmth,
} from './profile';
export { practice, prior, provenanceText, type Figure, type Provenance } from './provenance';
export { SPECIES, speciesProfile } from './catalogue';
export { speciesWeights, type SpeciesWeight } from './weights';
