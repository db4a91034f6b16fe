import type { Figure } from './provenance';

export type FounderType =
  | 'fully-claustral'
  | 'semi-claustral'
  | 'socially-parasitic'
  /** Leaves with workers of her own: the colony divides, and she cannot found alone. */
  | 'dependent'
  | 'unknown';

export interface Span {
  low: number;
  high: number;
}

/** What can hurt whoever opens her home. */
export type Defence =
  'none' | 'bites' | 'smears' | 'sprays-acid' | 'stings-weakly' | 'stings' | 'stings-badly';

export const COLOURS = ['black', 'brown', 'red', 'yellow', 'green', 'two-coloured'] as const;
export type Colour = (typeof COLOURS)[number];

/** Every figure by which a kind is reckoned, by name. Lengths mm, temperatures °C, times days. */
export interface KindFigures {
  founder: FounderType;
  queenLengthMm: Span;
  workerLengthMm: Span;
  /** Width of a worker's head, smallest to largest: what holds her back. */
  workerHeadMm: Span;
  /** Inside diameters that suit her. */
  boreMm: Span;
  /** Every colour that a queen may have; none when not known. */
  colours: readonly Colour[];
  /** Between the middle of the body and the gaster: one node or two. */
  waist: 'one node' | 'two nodes' | 'unknown';
  bestTempC: Span;
  pupae: 'naked' | 'in cocoons' | 'unknown';
  /** Workers of the first batch. */
  firstBatch: Span;
  winters: boolean;
  /** What brood lives through the winter. */
  wintersAs: 'larvae' | 'adults' | 'unknown';
  /** How deep a winter suits her: none, cool (an unheated room), cold. */
  rest: 'none' | 'cool' | 'cold' | 'unknown';
  /** Rests in the cold, or is active in it and rests in the heat of summer. */
  inTheCold: 'rests' | 'active';
  /** Months of the mating flights as they would be in the north, 1 to 12; none when not known. */
  flightMonths: readonly number[];
  /** Queens that live together in a grown colony; none where workers breed. */
  queens: 'one' | 'several' | 'either' | 'none' | 'unknown';
  /** Workers all of one size, of many sizes, or with a caste of large heads. */
  castes: 'alike' | 'sizes' | 'majors' | 'unknown';
  diet: 'omnivore' | 'harvester' | 'nectar' | 'predator' | 'fungus';
  climbsGlass: boolean;
  defence: Defence;
  temper: 'calm' | 'quick' | 'fierce' | 'shy' | 'unknown';
  /** From a fresh home offered to the move being over. */
  moveDays: Span;
  /** Medians between queens at 25 °C. */
  layingDays: number;
  eggDays: number;
  larvaDays: number;
  pupaDays: number;
  /** Below it nothing moves; fastest; nothing moves any more. */
  thresholdC: number;
  optimumC: number;
  upperC: number;
  /** Standard deviations of the natural logarithm: of the wait for eggs; of egg, larva and pupa; shared by one queen's brood. */
  layingLogSpread: number;
  stageLogSpread: number;
  queenLogSpread: number;
  /** Some wait far longer for their first eggs than the rest: their share, and how many times as long. */
  slowLaying: { share: number; times: number };
}
export type FigureId = keyof KindFigures;

/** What each figure is counted in; null for a word. */
export const FIGURE_UNITS: Record<FigureId, string | null> = {
  founder: null,
  queenLengthMm: 'mm',
  workerLengthMm: 'mm',
  workerHeadMm: 'mm',
  boreMm: 'mm',
  colours: null,
  waist: null,
  bestTempC: '°C',
  pupae: null,
  firstBatch: 'workers',
  winters: null,
  wintersAs: null,
  rest: null,
  inTheCold: null,
  flightMonths: 'month',
  queens: null,
  castes: null,
  diet: null,
  climbsGlass: null,
  defence: null,
  temper: null,
  moveDays: 'days',
  layingDays: 'days at 25 °C',
  eggDays: 'days at 25 °C',
  larvaDays: 'days at 25 °C',
  pupaDays: 'days at 25 °C',
  thresholdC: '°C',
  optimumC: '°C',
  upperC: '°C',
  layingLogSpread: 'ln',
  stageLogSpread: 'ln',
  queenLogSpread: 'ln',
  slowLaying: 'share and times',
};
export const FIGURE_IDS = Object.keys(FIGURE_UNITS) as FigureId[];

/** How loosely a kind is held: reckoned by level, never measured by a keeper. */
const LOOSENESS = ['layingLogSpread', 'stageLogSpread', 'queenLogSpread', 'slowLaying'] as const;
/** What a keeper can say of a kind. */
export type OwnFigureId = Exclude<FigureId, (typeof LOOSENESS)[number]>;
export const OWN_FIGURE_IDS = FIGURE_IDS.filter(
  (id): id is OwnFigureId => !(LOOSENESS as readonly FigureId[]).includes(id),
);

export const RANKS = ['species', 'genus', 'type'] as const;
export type Rank = (typeof RANKS)[number];

/** Where a figure can be from: the keeper's own profile, or a level of the catalogue. */
export const LEVELS = ['own', ...RANKS] as const;
export type Level = (typeof LEVELS)[number];

export const REGIONS = ['Europe', 'Asia', 'Africa', 'North America', 'South America', 'Australia'] as const;
export type Region = (typeof REGIONS)[number];

/** What the law or care for the land asks: told where she is named, never decided here. */
export type Status = 'invasive' | 'protected';

/** What the keeper is told where kinds of one genus found in more than one way. */
export interface Differs {
  says: string;
  /** What would tell them apart. */
  tells: string;
}

/** What is known of one kind itself; what it leaves out is filled from the next coarser one. */
export interface KindRecord {
  id: string;
  rank: Rank;
  /** Scientific name, or a description for a type. */
  name: string;
  /** The genus of a species, the type of a genus; null for a type. */
  parentId: string | null;
  /** The type from which is taken what neither says. */
  typeId: string;
  plainNames: readonly string[];
  synonyms: readonly string[];
  regions: readonly Region[];
  status: Status | null;
  differs: Differs | null;
  /** What can hurt the keeper or the ants, beside what follows from her defence. */
  notes: readonly string[];
  figures: { readonly [K in FigureId]?: Figure<KindFigures[K]> };
  /** Not of the catalogue: the keeper's own. */
  own?: true;
}

/** What a queen is taken for of whom nothing is known. */
export const UNKNOWN_ID = 'unknown-temperate';
