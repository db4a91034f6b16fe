import type { Figure, Provenance } from './provenance';

export type FounderType = 'fully-claustral' | 'semi-claustral' | 'socially-parasitic' | 'unknown';

/** What has to be got through before the next thing is seen: waiting to lay, then egg, larva and pupa. */
export const STAGES = ['laying', 'egg', 'larva', 'pupa'] as const;
export type Stage = (typeof STAGES)[number];

/** What is seen first when a stage is over. */
export const MILESTONES = ['eggs', 'larvae', 'pupae', 'workers'] as const;
export type Milestone = (typeof MILESTONES)[number];

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
  source: Provenance;
}

export interface Span {
  low: number;
  high: number;
}

export interface SpeciesProfile {
  id: string;
  /** Latin name, or a description for the unknown. */
  name: string;
  plainName: string;
  climate: 'temperate' | 'tropical';
  founder: Figure<FounderType>;
  queenLengthMm: Figure<Span>;
  workerLengthMm: Figure<Span>;
  /** Inside diameters that suit her. */
  boreMm: Figure<Span>;
  bestTempC: Figure<Span>;
  pupae: Figure<'naked' | 'in cocoons' | 'unknown'>;
  firstBatch: Figure<Span>;
  winters: Figure<boolean>;
  /** Rests in the cold, or is active in it and rests in the heat of summer. */
  inTheCold: Figure<'rests' | 'active'>;
  /** Months of the mating flights in the north, 1 to 12; none when not known. */
  flightMonths: Figure<readonly number[]>;
  diet: Figure<'omnivore' | 'harvester'>;
  stages: Record<Stage, StageWarmth>;
  /** Some wait far longer for their first eggs than the rest: their share, and how many times as long. */
  slowLaying: Figure<{ share: number; times: number }>;
  /** Spread of a factor shared by egg, larva and pupa of one queen's brood (some queens are slow throughout). */
  queenLogSpread: Figure<number>;
  /** What can hurt the keeper or the ants, shown where the step is. */
  cautions: string[];
}
