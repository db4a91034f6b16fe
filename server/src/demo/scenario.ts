import {
  addDays,
  speciesProfile,
  uniformStream,
  type BodyOf,
  type Entry,
  type EntryBody,
  type Instant,
  type LookingSchoolId,
  type Place,
  type TubeHome,
} from '@gentle-burrow/core';
import { v7 } from 'uuid';
import type { Fact } from '../db/facts';
import { broodOn, type Truth } from './brood';

interface DemoQueen extends Truth {
  label: string;
  batch: string;
  place: keyof ReturnType<typeof demoPlaces>;
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
}

/** Made-up queens at made-up places: every stage, one late, one lost, one that ate her brood, one caught late that winters. */
const QUEENS: DemoQueen[] = [
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
    eatenOn: 34,
    notes: [[35, 'All eggs and larvae gone. I looked far too often. Drawer stays shut now.']],
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
    notes: [[2, 'Divider in, feeding room at the mouth. Gloves on: she stings.']],
  },
  {
    label: 'S1',
    batch: 'Millrace Meadow',
    species: 'messor-structor',
    place: 'cupboard',
    tempC: 26,
    takenIn: 20,
    found: 'walking',
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
    where: 'Cork wood above Salter’s Bay, trough',
    laysAfter: 9,
    slow: 1.02,
    eggs: 8,
    looks: { first: 10, every: 12 },
    waterLineMm: 30,
    mould: 'far-plug',
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
    laysAfter: 9,
    slow: 1,
    eggs: 8,
    looks: { first: 30, every: 30 },
  },
];

function demoPlaces(now: Instant): Record<'drawer' | 'cupboard' | 'pantry' | 'winter', Place> {
  const place = (name: string, tempC: number, roomRelHumidity: number): Place => ({
    id: v7(),
    name,
    tempC,
    roomRelHumidity,
    winter: null,
  });
  return {
    drawer: place('Drawer under the window seat', 24, 0.5),
    cupboard: place('Warm cupboard', 26, 0.4),
    pantry: place('Pantry shelf', 21, 0.55),
    winter: { ...place('Winter box', 7, 0.7), winter: { until: addDays(now, 96), thenTempC: 22 } },
  };
}

const TUBES = {
  small: { outsideMm: 12, boreMm: 10, lengthMm: 100, waterLineMm: 48, plugs: { innerMm: 10, outerMm: 10 } },
  middling: {
    outsideMm: 16,
    boreMm: 14,
    lengthMm: 150,
    waterLineMm: 85,
    plugs: { innerMm: 15, outerMm: 15 },
  },
  large: { outsideMm: 18, boreMm: 16, lengthMm: 150, waterLineMm: 80, plugs: { innerMm: 15, outerMm: 15 } },
} as const;

/** All facts of the demo, relative to today. The keeper's eye is drawn from a fixed seed. */
export function demoFacts(today: Date): Fact[] {
  const now = today.toISOString();
  const places = demoPlaces(now);
  const random = uniformStream(17);
  const facts: Fact[] = Object.values(places).map((value) => ({ fact: 'place', value }));
  for (const q of QUEENS) facts.push(...queenFacts(q, places[q.place], now, random));
  return facts;
}

function queenFacts(q: DemoQueen, place: Place, now: Instant, random: () => number): Fact[] {
  const settled = evening(addDays(now, -q.takenIn), 0);
  const tube: TubeHome = {
    ...TUBES[q.tube ?? 'middling'],
    ...(q.waterLineMm ? { waterLineMm: q.waterLineMm } : {}),
    id: v7({ msecs: Date.parse(settled) }),
    kind: 'tube',
    end: 'round',
    setUpAt: settled,
  };
  const queen = {
    id: v7({ msecs: Date.parse(settled) }),
    label: q.label,
    batch: q.batch,
    homeId: tube.id,
    placeId: place.id,
    lookingSchool: q.school ?? null,
    createdAt: settled,
  };
  const bodies = [
    intake(q, settled),
    ...looks(q, tube, place, settled, random),
    ...feeds(q, settled),
    ...others(q, settled),
  ].filter((b) => b.at <= now);
  const entries = bodies.map((b): Fact => {
    const value = { ...b, id: v7({ msecs: Date.parse(b.at) }), queenId: queen.id, loggedAt: b.at } as Entry;
    return { fact: 'entry', value };
  });
  return [{ fact: 'home', value: tube }, { fact: 'queen', value: queen }, ...entries];
}

/** The keeper's hour: some days after, at nine in the evening or so. */
function evening(at: Instant, days: number): Instant {
  return `${addDays(at, days).slice(0, 10)}T19:${String(10 + (Math.round(days) % 45)).padStart(2, '0')}:00.000Z`;
}

function intake(q: DemoQueen, at: Instant): EntryBody {
  return {
    kind: 'intake',
    at,
    found: q.found,
    where: q.where,
    wings: q.found === 'bought' || q.found === 'swapped' ? 'unknown' : 'dealate',
    species: { profileId: q.species, sure: q.sure ?? 'likely' },
    ...(q.workersAtIntake ? { workers: { low: q.workersAtIntake, high: q.workersAtIntake + 2 } } : {}),
  };
}

function looks(
  q: DemoQueen,
  tube: TubeHome,
  place: Place,
  settled: Instant,
  random: () => number,
): EntryBody[] {
  const bodies: EntryBody[] = [];
  const lossMmPerDay = (place.tempC > 15 ? 0.42 : 0.12) * (0.8 + 0.5 * random());
  for (let day = q.looks.first; day < q.takenIn; day += q.looks.every) {
    if (q.died !== undefined && day >= q.died) break;
    const brood = broodOn(q, day);
    const chamberStart = tube.waterLineMm + tube.plugs.innerMm;
    bodies.push({
      kind: 'look',
      at: evening(settled, day),
      queen: 'seen',
      queenAtMm: Math.round(chamberStart + 6 + random() * 14),
      eggs: seenAs(brood.eggs, random),
      larvae: seenAs(brood.larvae, random),
      pupae: seenAs(brood.pupae, random),
      workers: seenAs(brood.workers + (q.workersAtIntake ?? 0), random),
      waterLineMm: Math.round(Math.max(4, tube.waterLineMm - lossMmPerDay * day)),
      wetFront: 'right',
      mould: q.mould && day > 15 ? q.mould : 'none',
    });
  }
  return bodies;
}

/** Few are counted; many are given as a range. */
function seenAs(n: number, random: () => number): { low: number; high: number } {
  if (n <= 4) return { low: n, high: n };
  const blur = Math.max(1, Math.round(n * 0.2 * random()));
  return { low: n - blur, high: n + blur };
}

function feeds(q: DemoQueen, settled: Instant): EntryBody[] {
  if (!q.feedEvery) return [];
  const bodies: EntryBody[] = [];
  const semi = speciesProfile(q.species).founder.value === 'semi-claustral';
  const first = semi || q.workersAtIntake ? 1 : daysToWorkers(q) + 5;
  for (let day = first; day < q.takenIn; day += q.feedEvery) {
    bodies.push({
      kind: 'feed',
      at: evening(settled, day),
      food: semi ? 'both' : day % 2 ? 'sugar' : 'protein',
      outcome: day % 5 === 0 ? 'left' : 'taken',
    });
  }
  return bodies;
}

function daysToWorkers(q: DemoQueen): number {
  let day = 0;
  while (day < q.takenIn && broodOn(q, day).workers === 0) day++;
  return day;
}

function others(q: DemoQueen, settled: Instant): EntryBody[] {
  const bodies: EntryBody[] = (q.notes ?? []).map(([day, text]) => ({
    kind: 'note',
    at: evening(settled, day),
    text,
  }));
  if (q.restDays) {
    bodies.push({
      kind: 'rest',
      at: evening(settled, q.takenIn - 3),
      until: addDays(settled, q.takenIn + q.restDays),
    });
  }
  if (q.died !== undefined) {
    bodies.push({
      kind: 'loss',
      at: evening(settled, q.died),
      how: 'died',
      cause: 'unknown',
      text: 'On her back beside her brood. Tube clean, water left, no mould.',
    });
  }
  return bodies;
}
