import type { Caste, Mould, MouldSize, Trouble, WetFront } from '../../facts';
import type { CountRange, Instant, Interval } from '../../quantity';
import type { BodyOf, Disturbance, SpeciesBelief } from '../../log';
import { MILESTONES, type Milestone } from '../../species';
import type { Batch } from './batches';
import type { Contradiction } from './contradictions';
import type { FounderEvidence } from '../founder';
import type { BroodMove } from './foreign';
import type { Offer } from './offers';
import type { FullCount, Vanished } from './vanished';

/** The last count of one stage: what was seen, when, and which entry says so. */
export interface LastCount {
  range: CountRange;
  at: Instant;
  entryId: string;
}

/** When a stage was first there, in the present attempt at a first brood. */
export interface Appearance {
  interval: Interval;
  /** Entries that bound it. */
  afterEntry: string | null;
  byEntry: string | null;
  /** Not seen itself: a later stage was, so it must have been there. */
  implied: boolean;
  /** Looks that counted none of it before it appeared, oldest first. */
  absentAt: Instant[];
}

/** What one look said of workers, beside what was counted before it. */
export interface WorkerLook {
  at: Instant;
  entryId: string;
  before: LastCount | null;
  workers: CountRange | null;
  /** Newly found dead at this look. */
  dead: CountRange | null;
}

/** Water and dirt belong to a container: another container, another state. */
export interface TubeState {
  waterReadings: { at: Instant; mm: number; entryId: string }[];
  wetFront: { value: WetFront; at: Instant; since: Instant; entryId: string } | null;
  mould: { value: Mould; at: Instant; since: Instant; entryId: string } | null;
  /** How much mould there was last, and the look that found it grown; null while nobody said how much, or it has not. */
  mouldSize: MouldSize | null;
  mouldGrew: { at: Instant; entryId: string } | null;
  /** What was wrong with it at the last look that said so. */
  troubles: { what: Trouble; at: Instant; since: Instant; entryId: string }[];
}

/** The tube she was taken in with: her log alone does not know its id. */
export const FIRST_TUBE = 'first';

/** Nothing was read or seen of it yet. */
export const unseenTube = (): TubeState => ({
  waterReadings: [],
  wetFront: null,
  mould: null,
  mouldSize: null,
  mouldGrew: null,
  troubles: [],
});

/** How heat lay at her tube from a moment on; `matMm` null: it was taken away. */
export type HeatLaid = { entryId: string } & Pick<
  BodyOf<'heat'>,
  'at' | 'matMm' | 'roomC' | 'readings' | 'setC'
>;

/** What is known of one queen from her log alone. Derived, never stored. */
export interface QueenLedger {
  queenId: string;
  intake: {
    entryId: string;
    at: Instant;
    /** Not before this moment, when the day is not known for sure. */
    earliest: Instant | null;
    found: BodyOf<'intake'>['found'];
    wings: BodyOf<'intake'>['wings'];
    queens: number;
    /** Where she was found, in the keeper's words. */
    where: string | null;
  } | null;
  species: SpeciesBelief | null;
  loss: {
    entryId: string;
    at: Instant;
    how: BodyOf<'loss'>['how'];
    cause: BodyOf<'loss'>['cause'];
    /** How sure the keeper is of the cause; null when nothing was said. */
    certainty: NonNullable<BodyOf<'loss'>['certainty']> | null;
    /** Her workers and brood live on. */
    orphans: boolean;
  } | null;
  counts: Record<Milestone, LastCount | null>;
  /** The last count at which there were workers, whoever's: tells "none yet" from "none any more". */
  lastWorkers: LastCount | null;
  appearances: Record<Milestone, Appearance>;
  /** Clutches told apart by their timing, oldest first; none while there are no eggs. */
  batches: Batch[];
  /** Workers of a kind and winged young: when first there, and how many at last count. */
  castes: Record<Caste, { first: Interval; last: LastCount } | null>;
  /** Workers found dead so far. */
  deadWorkers: CountRange;
  pupaeIn: NonNullable<BodyOf<'look'>['pupaeIn']> | null;
  /** The last look that said something of workers. */
  workerLook: WorkerLook | null;
  /** Looks in a row that looked for her and did not find her, oldest first. */
  queenMissing: { at: Instant; entryId: string }[];
  /** Her eggs are gone, and the look did not say whether there are larvae; null when nothing is unclear. */
  eggsUnclear: { at: Instant; entryId: string; eggsAt: Instant } | null;
  /** Queens at the last look that counted them. */
  queensSeen: { n: number; at: Instant; entryId: string } | null;
  /** Times at which all brood was gone although no worker had come: eaten, or died. */
  broodLost: { interval: Interval; what: 'eggs' | 'brood'; most: number | null; entryId: string }[];
  /** Brood that was eaten or died between two full counts, oldest first. */
  vanished: Vanished[];
  /** Brood given to her, or by her, oldest first. */
  broodMoves: BroodMove[];
  /** The last look that counted every stage. */
  lastFull: FullCount | null;
  looksSpent: number;
  lastLook: { at: Instant; entryId: string } | null;
  /** Whole and part days since the last look, feed or move; null before intake. */
  daysSinceDisturbed: number | null;
  lastDisturbed: { at: Instant; entryId: string } | null;
  /** Every look, feed, move, knock and taking in, oldest first. */
  disturbances: { kind: Disturbance; at: Instant; entryId: string }[];
  /** Water lines read of the tube she lives in, oldest first, mm from the closed end. */
  waterReadings: TubeState['waterReadings'];
  /** As last seen in the tube she lives in, and since which look it has been so. */
  wetFront: TubeState['wetFront'];
  mould: TubeState['mould'];
  mouldSize: TubeState['mouldSize'];
  mouldGrew: TubeState['mouldGrew'];
  troubles: TubeState['troubles'];
  /** The tube she lives in: the id of one that was set up later, or `FIRST_TUBE`. */
  livesIn: string;
  /** What is known of the tubes she does not live in now, by the same ids. */
  elsewhere: Record<string, TubeState>;
  queenSeen: { at: Instant; atMm: number | null; entryId: string } | null;
  /** Food set before her and what became of it, oldest first. */
  offers: Offer[];
  /** Heat at her tube, as it was laid and read, oldest first. */
  heats: HeatLaid[];
  /** Her winter as it was planned last; null when none is. */
  winterPlan: ({ entryId: string } & NonNullable<BodyOf<'winter'>['plan']>) | null;
  /** Where she sat at looks that noted it, oldest first, mm from the closed end. */
  seats: { at: Instant; atMm: number; entryId: string }[];
  /** Places she was carried to after the first, oldest first. */
  moves: { at: Instant; placeId: string; entryId: string }[];
  /** What was found when she was last looked over; quarantine until then, null when none stands. */
  health: {
    findings: BodyOf<'health'>['findings'];
    quarantineUntil: Instant | null;
    at: Instant;
    entryId: string;
  } | null;
  /** A drop given in the catch vial when she was taken in; it stayed there. */
  welcomeDrop: { at: Instant; entryId: string } | null;
  /** Seen of her, that tells what kind of founder she is; without what her species says. */
  founderSigns: (Exclude<FounderEvidence, { kind: 'species' }> & { entryId: string })[];
  /** The keeper chose to leave her alone until then. */
  restUntil: { until: Instant; entryId: string } | null;
  contradictions: Contradiction[];
}

export const noAppearance = (): Appearance => ({
  interval: { after: null, by: null },
  afterEntry: null,
  byEntry: null,
  implied: false,
  absentAt: [],
});

export const byMilestone = <T>(make: (m: Milestone) => T): Record<Milestone, T> =>
  Object.fromEntries(MILESTONES.map((m) => [m, make(m)])) as Record<Milestone, T>;

/** The ledger of a queen about whom nothing is written yet. */
export function emptyLedger(queenId: string): QueenLedger {
  return {
    queenId,
    intake: null,
    species: null,
    loss: null,
    counts: byMilestone(() => null),
    lastWorkers: null,
    appearances: byMilestone(noAppearance),
    batches: [],
    castes: { callows: null, majors: null, repletes: null, alates: null },
    deadWorkers: { low: 0, high: 0 },
    pupaeIn: null,
    queensSeen: null,
    workerLook: null,
    queenMissing: [],
    eggsUnclear: null,
    broodLost: [],
    vanished: [],
    broodMoves: [],
    lastFull: null,
    looksSpent: 0,
    lastLook: null,
    daysSinceDisturbed: null,
    lastDisturbed: null,
    disturbances: [],
    ...unseenTube(),
    livesIn: FIRST_TUBE,
    elsewhere: {},
    queenSeen: null,
    offers: [],
    heats: [],
    winterPlan: null,
    seats: [],
    moves: [],
    health: null,
    welcomeDrop: null,
    founderSigns: [],
    restUntil: null,
    contradictions: [],
  };
}
