import type { FounderType, SpeciesProfile, Span, StageWarmth } from './profile';
import { practice, prior } from './provenance';

const REFERENCE_C = 25;
const STING =
  'She and her workers sting. Stings can cause severe allergic reactions: know your emergency number, do not handle alone.';
const ACID =
  'Sprays acid when disturbed. Keep your eyes and face away from the open tube and give any box good ventilation.';

interface Sketch {
  id: string;
  name: string;
  plainName: string;
  climate?: 'temperate' | 'tropical';
  founder: FounderType;
  queenMm: [number, number];
  workerMm: [number, number];
  boreMm: [number, number];
  bestC: [number, number];
  pupae: 'naked' | 'in cocoons' | 'unknown';
  firstBatch: [number, number];
  winters?: boolean;
  inTheCold?: 'rests' | 'active';
  flies?: number[];
  diet?: 'omnivore' | 'harvester';
  /** Days at 25 °C for laying, egg, larva and pupa. */
  days: [number, number, number, number];
  thresholdC: number;
  optimumC: number;
  upperC: number;
  layingSpread?: number;
  stageSpread?: number;
  queenSpread?: number;
  why: string;
  cautions?: string[];
}

const span = ([low, high]: [number, number]): Span => ({ low, high });

/** Turns days at 25 °C into degree-days above the threshold. */
function profile(s: Sketch): SpeciesProfile {
  const stage = (days: number, logSpread: number): StageWarmth => ({
    thresholdC: s.thresholdC,
    optimumC: s.optimumC,
    upperC: s.upperC,
    degreeDays: days * (REFERENCE_C - s.thresholdC),
    logSpread,
    source: { kind: 'prior', why: `${s.why}; about ${days} days at ${REFERENCE_C} °C` },
  });
  const between = s.stageSpread ?? 0.22;
  return {
    id: s.id,
    name: s.name,
    plainName: s.plainName,
    climate: s.climate ?? 'temperate',
    founder: s.founder === 'unknown' ? prior(s.founder, 'nothing is known of her yet') : practice(s.founder),
    queenLengthMm: practice(span(s.queenMm)),
    workerLengthMm: practice(span(s.workerMm)),
    boreMm: practice(span(s.boreMm)),
    bestTempC: practice(span(s.bestC)),
    pupae: s.pupae === 'unknown' ? prior(s.pupae, 'look and see') : practice(s.pupae),
    firstBatch: prior(span(s.firstBatch), 'scaled from 8–15 workers in small black garden-type ants'),
    winters: practice(s.winters ?? true),
    inTheCold: practice(s.inTheCold ?? 'rests'),
    flightMonths: prior(
      s.flies ?? [],
      'months in which keepers report flights; they differ from place to place',
    ),
    diet: practice(s.diet ?? 'omnivore'),
    stages: {
      laying: stage(s.days[0], s.layingSpread ?? 0.8),
      egg: stage(s.days[1], between),
      larva: stage(s.days[2], between),
      pupa: stage(s.days[3], between),
    },
    slowLaying: prior({ share: 0.1, times: 5 }, 'six months without eggs has happened'),
    queenLogSpread: prior(s.queenSpread ?? 0.18, 'queens of one species under one keeper differ hugely'),
    cautions: s.cautions ?? [],
  };
}

/** The profiles that ship. Development figures are priors: the log of each queen re-dates her own outlook. */
export const SPECIES: readonly SpeciesProfile[] = [
  profile({
    id: 'crematogaster-scutellaris',
    name: 'Crematogaster scutellaris',
    plainName: 'red-headed tree ant',
    founder: 'fully-claustral',
    queenMm: [8, 10],
    workerMm: [3, 5],
    boreMm: [12, 16],
    bestC: [24, 28],
    pupae: 'naked',
    firstBatch: [6, 15],
    flies: [8, 9, 10],
    days: [9, 13, 15, 15],
    thresholdC: 13,
    optimumC: 30,
    upperC: 37,
    why: 'warmth-loving kind, egg to worker in six to seven weeks',
    cautions: ['Smears an irritant from a raised gaster and escapes through very small gaps.'],
  }),
  profile({
    id: 'tetramorium-immigrans',
    name: 'Tetramorium immigrans',
    plainName: 'pavement ant',
    founder: 'fully-claustral',
    queenMm: [6, 8],
    workerMm: [2.5, 4],
    boreMm: [12, 16],
    bestC: [22, 27],
    pupae: 'naked',
    firstBatch: [8, 20],
    flies: [6, 7],
    days: [6, 11, 12, 13],
    thresholdC: 12,
    optimumC: 29,
    upperC: 36,
    why: 'quick kind, egg to worker in five to six weeks',
    cautions: ['Workers can sting weakly.'],
  }),
  profile({
    id: 'camponotus-vagus',
    name: 'Camponotus vagus',
    plainName: 'black carpenter ant',
    founder: 'fully-claustral',
    queenMm: [14, 17],
    workerMm: [6, 12],
    boreMm: [16, 20],
    bestC: [23, 28],
    pupae: 'in cocoons',
    firstBatch: [4, 10],
    flies: [5, 6],
    days: [10, 17, 16, 19],
    thresholdC: 13,
    optimumC: 30,
    upperC: 37,
    why: 'large kind, egg to worker in seven to eight weeks',
    cautions: [ACID],
  }),
  profile({
    id: 'manica-rubida',
    name: 'Manica rubida',
    plainName: 'alpine stinging ant',
    founder: 'semi-claustral',
    queenMm: [9, 13],
    workerMm: [5, 9],
    boreMm: [14, 18],
    bestC: [19, 24],
    pupae: 'naked',
    firstBatch: [3, 10],
    flies: [5, 6, 7, 8, 9],
    days: [12, 16, 19, 16],
    thresholdC: 9,
    optimumC: 25,
    upperC: 32,
    stageSpread: 0.28,
    why: 'mountain kind that must eat while founding, slow where it hungers',
    cautions: [STING],
  }),
  profile({
    id: 'prenolepis-imparis',
    name: 'Prenolepis imparis',
    plainName: 'winter-active ant',
    founder: 'fully-claustral',
    queenMm: [7, 9],
    workerMm: [2, 4],
    boreMm: [12, 16],
    bestC: [18, 23],
    pupae: 'naked',
    firstBatch: [5, 15],
    flies: [3, 4],
    inTheCold: 'active',
    days: [28, 20, 26, 20],
    thresholdC: 8,
    optimumC: 24,
    upperC: 31,
    layingSpread: 0.9,
    stageSpread: 0.32,
    queenSpread: 0.25,
    why: 'flies on the first warm days of spring and takes her time',
  }),
  profile({
    id: 'aphaenogaster-subterranea',
    name: 'Aphaenogaster subterranea',
    plainName: 'woodland funnel ant',
    founder: 'fully-claustral',
    queenMm: [7, 9],
    workerMm: [3, 5],
    boreMm: [12, 16],
    bestC: [21, 26],
    pupae: 'naked',
    firstBatch: [4, 12],
    flies: [7, 8, 9],
    days: [11, 15, 17, 16],
    thresholdC: 11,
    optimumC: 27,
    upperC: 34,
    stageSpread: 0.26,
    why: 'middling kind, egg to worker in about seven weeks',
  }),
  profile({
    id: 'messor-structor',
    name: 'Messor structor',
    plainName: 'harvester ant',
    founder: 'fully-claustral',
    queenMm: [10, 13],
    workerMm: [3.5, 9],
    boreMm: [14, 18],
    bestC: [23, 28],
    pupae: 'naked',
    firstBatch: [5, 15],
    flies: [4, 5],
    diet: 'harvester',
    days: [8, 14, 15, 15],
    thresholdC: 12,
    optimumC: 30,
    upperC: 37,
    why: 'harvester, egg to worker in about six weeks',
    cautions: ['Strong jaws: chews plastic caps and soft stoppers.'],
  }),
  profile({
    id: 'temnothorax-nylanderi',
    name: 'Temnothorax nylanderi',
    plainName: 'acorn ant',
    founder: 'fully-claustral',
    queenMm: [3.5, 4.5],
    workerMm: [2, 3],
    boreMm: [6, 10],
    bestC: [20, 25],
    pupae: 'naked',
    firstBatch: [2, 8],
    flies: [7, 8],
    days: [14, 16, 22, 17],
    thresholdC: 10,
    optimumC: 26,
    upperC: 33,
    stageSpread: 0.3,
    queenSpread: 0.22,
    why: 'tiny woodland kind with a long larval stage',
    cautions: ['Very small: passes gaps and meshes that hold other ants.'],
  }),
  profile({
    id: 'unknown-temperate',
    name: 'Unknown, temperate',
    plainName: 'not named yet',
    founder: 'unknown',
    queenMm: [4, 16],
    workerMm: [2, 9],
    boreMm: [12, 18],
    bestC: [21, 26],
    pupae: 'unknown',
    firstBatch: [3, 20],
    days: [10, 14, 16, 16],
    thresholdC: 11,
    optimumC: 28,
    upperC: 35,
    layingSpread: 1,
    stageSpread: 0.35,
    queenSpread: 0.3,
    why: 'the middle of the temperate kinds, held loosely',
  }),
  profile({
    id: 'unknown-tropical',
    name: 'Unknown, tropical',
    plainName: 'not named yet',
    climate: 'tropical',
    founder: 'unknown',
    queenMm: [5, 18],
    workerMm: [2, 10],
    boreMm: [12, 20],
    bestC: [25, 29],
    pupae: 'unknown',
    firstBatch: [4, 20],
    winters: false,
    days: [7, 13, 14, 14],
    thresholdC: 14,
    optimumC: 31,
    upperC: 38,
    layingSpread: 1,
    stageSpread: 0.35,
    queenSpread: 0.3,
    why: 'the middle of the tropical kinds, held loosely',
  }),
  profile({
    id: 'unknown-parasite',
    name: 'Unknown, social parasite',
    plainName: 'cannot found alone',
    founder: 'socially-parasitic',
    queenMm: [4, 14],
    workerMm: [3, 9],
    boreMm: [12, 18],
    bestC: [21, 26],
    pupae: 'unknown',
    firstBatch: [3, 20],
    days: [10, 14, 16, 16],
    thresholdC: 11,
    optimumC: 28,
    upperC: 35,
    layingSpread: 1,
    stageSpread: 0.35,
    queenSpread: 0.3,
    why: 'no plan is made from these; only kept so that every profile is whole',
    cautions: [
      'A social parasite takes over a host colony. Beyond a beginner: ask keepers of her kind, and do not leave her to starve in a tube.',
    ],
  }),
];

const byId = new Map(SPECIES.map((s) => [s.id, s]));

/** The profile of this id; "unknown, temperate" when there is none. */
export function speciesProfile(id: string): SpeciesProfile {
  return byId.get(id) ?? (byId.get('unknown-temperate') as SpeciesProfile);
}
