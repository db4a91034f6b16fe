import type { KindRecord } from '../figures';
import { figuresOf, typeIdOf } from './sketch';

/** What is not said by a type because nothing is known: the same for all. */
const UNKNOWN = {
  founder: 'unknown',
  pupae: 'unknown',
  waist: 'unknown',
  colours: [],
  wintersAs: 'unknown',
  rest: 'unknown',
  inTheCold: 'rests',
  flies: [],
  queens: 'unknown',
  castes: 'unknown',
  diet: 'omnivore',
  climbsGlass: true,
  temper: 'unknown',
  moveDays: [1, 30],
  slowLaying: { share: 0.1, times: 5 },
  // the widest of all: nothing is known of her
  spreads: { laying: 1, stage: 0.35, queen: 0.3 },
} as const;
const TEMPERATE = {
  ...UNKNOWN,
  queenMm: [4, 16],
  workerMm: [2, 9],
  boreMm: [12, 18],
  bestC: [21, 26],
  firstBatch: [3, 20],
  winters: true,
  defence: 'none',
  days: { laying: 10, egg: 14, larva: 16, pupa: 16 },
  limits: { thresholdC: 11, optimumC: 28, upperC: 35 },
  why: 'the middle of the temperate kinds, held loosely',
} as const;

const type = (name: 'temperate' | 'tropical' | 'parasite', of: Partial<KindRecord>): KindRecord => ({
  id: typeIdOf(name),
  rank: 'type',
  name: '',
  parentId: null,
  typeId: typeIdOf(name),
  plainNames: ['not named yet'],
  synonyms: [],
  regions: [],
  status: null,
  differs: null,
  notes: [],
  figures: {},
  ...of,
});

/** What a queen is taken for while nothing closer is known: whole, so that every profile is. */
export const TYPES: readonly KindRecord[] = [
  type('temperate', { name: 'Unknown, temperate', figures: figuresOf(TEMPERATE) }),
  type('tropical', {
    name: 'Unknown, tropical',
    figures: figuresOf({
      ...TEMPERATE,
      queenMm: [5, 18],
      workerMm: [2, 10],
      boreMm: [12, 20],
      bestC: [25, 29],
      firstBatch: [4, 20],
      winters: false,
      days: { laying: 7, egg: 13, larva: 14, pupa: 14 },
      limits: { thresholdC: 14, optimumC: 31, upperC: 38 },
      why: 'the middle of the tropical kinds, held loosely',
    }),
  }),
  type('parasite', {
    name: 'Unknown, social parasite',
    plainNames: ['cannot found alone'],
    figures: figuresOf({
      ...TEMPERATE,
      founder: 'socially-parasitic',
      queenMm: [4, 14],
      workerMm: [3, 9],
      why: 'no plan is made from these; only kept so that every profile is whole',
    }),
  }),
];
