export {
  MILESTONES,
  STAGES,
  type KindFigure,
  type Milestone,
  type SpeciesProfile,
  type Stage,
  type StageWarmth,
} from './profile';
export {
  FIGURE_IDS,
  FIGURE_UNITS,
  RANKS,
  REGIONS,
  UNKNOWN_ID,
  type Defence,
  type Differs,
  type FigureId,
  type FounderType,
  type KindFigures,
  type KindRecord,
  type Rank,
  type Region,
  type Span,
  type Status,
} from './figures';
export { practice, prior, provenanceText, type Figure, type Provenance } from './provenance';
export { headsOf } from './head';
export { type KindCard, type KindLooks } from './card';
export { kindSearch, type FoundKind, type NamedKind } from './search';
export { flyingIn, hemisphereOf, regionOfZone } from './suggest';
export { LEVEL_SPREADS } from './resolve';
export { speciesWeights, type SpeciesWeight } from './weights';
