import type { Differs, FigureId, KindFigures, Level, Rank, Region, Status } from './figures';
import type { Figure } from './provenance';

/** What has to be got through before the next thing is seen: waiting to lay, then egg, larva and pupa. */
export const STAGES = ['laying', 'egg', 'larva', 'pupa'] as const;
export type Stage = (typeof STAGES)[number];

/** What is seen first when a stage is over. */
export const MILESTONES = ['eggs', 'larvae', 'pupae', 'workers'] as const;
export type Milestone = (typeof MILESTONES)[number];

/** A figure of a profile: with the level from which it was taken. */
export interface KindFigure<T> extends Figure<T> {
  level: Level;
}

/**
 * How a stage answers to warmth. Below `thresholdC` nothing moves; above it the daily progress grows linearly up to
 * `optimumC`, then falls linearly to nothing at `upperC`. A stage is over when `degreeDays` have been gathered.
 */
export interface StageWarmth {
  thresholdC: number;
  optimumC: number;
  upperC: number;
  /** Median between queens, degree-days above the threshold. */
  degreeDays: number;
  /** Standard deviation of the natural logarithm of the degree-days, between queens and broods. */
  logSpread: number;
  /** Of the days; the limits have sources of their own among the figures. */
  source: Figure<number>['source'];
  level: Level;
}

/** Who is of one species, and who of one genus. */
export interface Kin {
  species: string | null;
  genus: string | null;
}

/** A kind as it is reckoned with: every figure filled in, each with who says so and from which level it is. */
export interface SpeciesProfile extends Pick<
  { [K in FigureId]: KindFigure<KindFigures[K]> },
  | 'founder'
  | 'queenLengthMm'
  | 'workerLengthMm'
  | 'workerHeadMm'
  | 'boreMm'
  | 'colours'
  | 'waist'
  | 'bestTempC'
  | 'pupae'
  | 'firstBatch'
  | 'winters'
  | 'wintersAs'
  | 'rest'
  | 'inTheCold'
  | 'flightMonths'
  | 'queens'
  | 'castes'
  | 'diet'
  | 'climbsGlass'
  | 'defence'
  | 'temper'
  | 'moveDays'
  | 'thresholdC'
  | 'optimumC'
  | 'upperC'
  | 'queenLogSpread'
  | 'slowLaying'
> {
  id: string;
  rank: Rank;
  /** Latin name, or a description for the unknown; the keeper's name for an own profile. */
  name: string;
  /** The species and the genus of the catalogue that it is, or is a copy of; null where it is known less closely. */
  kin: Kin;
  /** The kind that an own profile is a copy of; null for one of the catalogue. */
  copiedOf: string | null;
  plainName: string;
  climate: 'temperate' | 'tropical';
  stages: Record<Stage, StageWarmth>;
  regions: readonly Region[];
  status: Status | null;
  /** That kinds of this genus found in more than one way, and what would tell; null where they do not, or the species is known. */
  differs: Differs | null;
  /** What can hurt the keeper or the ants, shown where the step is. */
  cautions: string[];
}
