import type { BodyOf } from '../../log';
import type { LookingSchoolId } from '../../facts/vocabulary';
import type { Truth } from '../brood';

export type DemoPlace = 'drawer' | 'cupboard' | 'pantry' | 'winter';

export interface DemoQueen extends Truth {
  label: string;
  batch: string;
  place: DemoPlace;
  /** Days before today. */
  takenIn: number;
  found: BodyOf<'intake'>['found'];
  where: string;
  sure?: BodyOf<'intake'>['species']['sure'];
  /** Days after intake on which the keeper looked; "every n" from the first on. */
  looks: { first: number; every: number };
  tube?: 'small' | 'middling' | 'large';
  waterLineMm?: number;
  feedEvery?: number;
  workersAtIntake?: number;
  school?: LookingSchoolId;
  /** Days after intake. */
  died?: number;
  restDays?: number;
  notes?: [day: number, text: string][];
  mould?: BodyOf<'look'>['mould'];
  /** What she may be instead. */
  others?: BodyOf<'intake'>['species']['others'];
  /** More that was written at intake. */
  intake?: Partial<Omit<BodyOf<'intake'>, 'kind' | 'at' | 'species'>>;
  /** Found with mites: days that she stands apart. */
  quarantineDays?: number;
  /** Days after intake on which her tube was carried to another place. */
  moved?: [day: number, to: DemoPlace];
  /** Days after intake on which a fresh tube was joined to hers; she has not moved into it yet. */
  fresh?: number;
  /** Days after intake on which she moved into a fresh tube, and the old one was cleaned and put by. */
  movedHouse?: number;
  /** She founds in a cell of aerated concrete; days between its waterings. */
  wateredEvery?: number;
  /** Days after intake on which a wall with a straw was set into her tube. */
  wall?: number;
  /** Days after intake on which a foraging space was joined to her tube by a pipe. */
  space?: number;
  /** Pupae of another colony were given to her. */
  given?: { daysAgo: number; by: string; pupae: number };
  signs?: [day: number, sign: Partial<Omit<BodyOf<'sign'>, 'kind' | 'at'>>];
}

/** Made-up queens at made-up places: every stage, one late, one lost, one that ate her brood, one caught late that winters. */
export const QUEENS: DemoQueen[] = [
  {
    label: 'T1',
    batch: 'Brickfield Lane, warm evening',
    species: 'tetramorium-immigrans',
    place: 'drawer',
    tempC: 24,
    takenIn: 74,
    found: 'walking',
    where: 'Brickfield Lane, paving by the pump',
    laysAfter: 6,
    slow: 0.98,
    eggs: 12,
    feedEvery: 6,
    looks: { first: 9, every: 10 },
    notes: [[70, 'First nanitics, still pale. Left them in peace.']],
  },
  {
    label: 'T2',
    batch: 'Brickfield Lane, warm evening',
    species: 'tetramorium-immigrans',
    place: 'drawer',
    tempC: 24,
    takenIn: 58,
    found: 'walking',
    where: 'Brickfield Lane, paving by the pump',
    intake: { coordinates: { lat: 0.41, lon: 8.93, uncertaintyM: 50 } },
    moved: [21, 'cupboard'],
    laysAfter: 9,
    slow: 1.1,
    eggs: 10,
    looks: { first: 10, every: 14 },
  },
  {
    label: 'T3',
    batch: 'Brickfield Lane, warm evening',
    species: 'tetramorium-immigrans',
    place: 'drawer',
    tempC: 24,
    takenIn: 58,
    found: 'digging',
    where: 'Brickfield Lane, edge of the lawn',
    laysAfter: 8,
    slow: 1,
    eggs: 9,
    looks: { first: 5, every: 3 },
    eatenOn: [34],
    notes: [[35, 'All eggs and larvae gone. I looked far too often. Drawer stays shut now.']],
  },
  {
    label: 'T4',
    batch: 'Brickfield Lane, warm evening',
    species: 'tetramorium-immigrans',
    place: 'drawer',
    tempC: 24,
    takenIn: 29,
    found: 'walking',
    where: 'Brickfield Lane, paving by the pump',
    laysAfter: 7,
    slow: 1,
    eggs: 8,
    looks: { first: 12, every: 12 },
    wateredEvery: 3,
    notes: [[0, 'No tube left that evening: the little cell has to do.']],
  },
  {
    label: 'V1',
    batch: 'Thistle Quarry',
    species: 'camponotus-vagus',
    place: 'cupboard',
    tempC: 26,
    takenIn: 66,
    found: 'under-stone',
    where: 'Thistle Quarry, dead pine',
    laysAfter: 9,
    slow: 1.05,
    eggs: 7,
    tube: 'large',
    looks: { first: 12, every: 16 },
    school: 'three-to-four-weeks',
  },
  {
    label: 'V2',
    batch: 'Thistle Quarry',
    species: 'camponotus-vagus',
    place: 'cupboard',
    tempC: 26,
    takenIn: 104,
    found: 'walking',
    where: 'Thistle Quarry, gravel path',
    laysAfter: 8,
    slow: 1,
    slowLarvae: 6,
    eggs: 6,
    tube: 'large',
    looks: { first: 10, every: 13 },
    notes: [[62, 'Larvae for weeks, but still no cocoon.']],
  },
  {
    label: 'M1',
    batch: 'Swap with a friend',
    species: 'manica-rubida',
    place: 'pantry',
    tempC: 21,
    takenIn: 46,
    found: 'swapped',
    where: 'Linnet Hollow',
    laysAfter: 12,
    slow: 1.05,
    eggs: 6,
    tube: 'large',
    waterLineMm: 70,
    looks: { first: 8, every: 9 },
    feedEvery: 3,
    wall: 2,
    notes: [[2, 'Feeding room at the mouth. Gloves on: she stings.']],
  },
  {
    label: 'S1',
    batch: 'Millrace Meadow',
    species: 'messor-structor',
    place: 'cupboard',
    tempC: 26,
    takenIn: 20,
    found: 'walking',
    quarantineDays: 24,
    where: 'Millrace Meadow, dry bank',
    laysAfter: 7,
    slow: 1,
    eggs: 11,
    looks: { first: 9, every: 8 },
  },
  {
    label: 'S2',
    batch: 'Bought, small colony',
    species: 'messor-structor',
    place: 'cupboard',
    tempC: 26,
    takenIn: 40,
    found: 'bought',
    where: 'from a breeder',
    laysAfter: 1,
    slow: 1,
    eggs: 8,
    workersAtIntake: 6,
    looks: { first: 10, every: 10 },
    feedEvery: 8,
    waterLineMm: 62,
    space: 24,
  },
  {
    label: 'C1',
    batch: 'Cork wood',
    species: 'crematogaster-scutellaris',
    place: 'cupboard',
    tempC: 26,
    takenIn: 47,
    found: 'walking',
    where: 'Cork wood above Salter’s Bay',
    laysAfter: 10,
    slow: 1.04,
    eggs: 9,
    looks: { first: 8, every: 12 },
  },
  {
    label: 'C2',
    batch: 'Cork wood',
    species: 'crematogaster-scutellaris',
    place: 'cupboard',
    tempC: 26,
    takenIn: 34,
    found: 'in-water',
    others: [{ profileId: 'temnothorax-nylanderi', share: 0.25, namedBy: 'a friend with a lens' }],
    where: 'Cork wood above Salter’s Bay, trough',
    laysAfter: 9,
    slow: 1.02,
    eggs: 8,
    looks: { first: 10, every: 12 },
    waterLineMm: 30,
    mould: 'far-plug',
    fresh: 27,
  },
  {
    label: 'N1',
    batch: 'Hazel copse',
    species: 'temnothorax-nylanderi',
    place: 'winter',
    tempC: 7,
    takenIn: 38,
    found: 'walking',
    where: 'Hazel copse, Linnet Hollow',
    laysAfter: 400,
    slow: 1,
    eggs: 4,
    tube: 'small',
    looks: { first: 10, every: 60 },
    school: 'hands-off',
    notes: [[3, 'Caught late. She winters first; no eggs expected before spring.']],
  },
  {
    label: 'P1',
    batch: 'First warm days',
    species: 'prenolepis-imparis',
    place: 'pantry',
    tempC: 21,
    takenIn: 17,
    found: 'walking',
    where: 'Orchard wall, Millrace Meadow',
    laysAfter: 40,
    slow: 1,
    eggs: 9,
    looks: { first: 10, every: 30 },
    restDays: 24,
  },
  {
    label: 'A1',
    batch: 'Oak slope',
    species: 'aphaenogaster-subterranea',
    place: 'drawer',
    tempC: 24,
    takenIn: 118,
    found: 'under-stone',
    where: 'Oak slope, Thistle Quarry',
    laysAfter: 11,
    slow: 1,
    eggs: 6,
    looks: { first: 12, every: 14 },
    died: 61,
  },
  {
    label: 'A2',
    movedHouse: 68,
    mould: 'far-plug',
    batch: 'Oak slope',
    species: 'aphaenogaster-subterranea',
    place: 'drawer',
    tempC: 24,
    takenIn: 118,
    found: 'under-stone',
    where: 'Oak slope, Thistle Quarry',
    laysAfter: 12,
    slow: 1.08,
    eggs: 7,
    looks: { first: 12, every: 15 },
    feedEvery: 9,
  },
  {
    label: 'X1',
    batch: 'No name yet',
    species: 'unknown-temperate',
    place: 'drawer',
    tempC: 24,
    takenIn: 5,
    found: 'walking',
    where: 'Doorstep, Brickfield Lane',
    sure: 'guess',
    intake: { wings: 'winged' },
    signs: [1, { shape: 'between' }],
    laysAfter: 9,
    slow: 1,
    eggs: 8,
    looks: { first: 30, every: 30 },
  },
  {
    label: 'T5',
    batch: 'Brickfield Lane, first swarm',
    species: 'tetramorium-immigrans',
    place: 'drawer',
    tempC: 24,
    takenIn: 96,
    found: 'walking',
    where: 'Brickfield Lane, the old kiln',
    sure: 'certain',
    laysAfter: 7,
    slow: 1,
    eggs: 7,
    looks: { first: 10, every: 12 },
    eatenOn: [24, 54, 86],
    given: { daysAgo: 1, by: 'T1', pupae: 4 },
  },
];
