export {
  MILESTONES,
  STAGES,
  type KindFigure,
  type Kin,
  type Milestone,
  type SpeciesProfile,
  type Stage,
  type StageWarmth,
} from './profile';
export {
  COLOURS,
  FIGURE_IDS,
  FIGURE_UNITS,
  LEVELS,
  OWN_FIGURE_IDS,
  RANKS,
  REGIONS,
  UNKNOWN_ID,
  type Colour,
  type Defence,
  type Differs,
  type FigureId,
  type FounderType,
  type KindFigures,
  type KindRecord,
  type Level,
  type OwnFigureId,
  type Rank,
  type Region,
  type Span,
  type Status,
} from './figures';
export { practice, prior, provenanceText, type Figure, type Provenance } from './provenance';
export { figureOf, STAGE_OF_DAYS, stageDays } from './figure-of';
export { ownCard } from './own-card';
export { type OwnFigures, type OwnKind } from './own-kind';
export { OPENING } from './cautions';
export { headsOf } from './head';
export { type KindCard, type KindLooks } from './card';
export { kindSearch, type FoundKind, type NamedKind } from './search';
export { narrowed, NOTHING_SEEN, TRAITS, type Left, type Narrowed, type Seen, type Trait } from './key';
export { flyingIn, hemisphereOf, regionOfZone } from './suggest';
export { LEVEL_SPREADS, REFERENCE_C } from './resolve';
export { speciesWeights, type SpeciesWeight } from './weights';
