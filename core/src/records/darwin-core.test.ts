import { queenSchema } from '../facts';
import type { OwnKind } from '../species';
import { profilesWith, speciesProfile } from '../species/catalogue';
import { amendmentSchema } from '../log';
import { day, entry, n, QUEEN, testId } from '../test-kit';
import { captureRecords, DARWIN_CORE_TERMS, type PlaceChoice } from './index';

const queen = queenSchema.parse({
  id: QUEEN,
  label: 'B',
  batch: 'June walk',
  homeId: testId(),
  placeId: testId(),
  createdAt: day(0),
});
const caught = (extra: object = {}) =>
  entry(3, {
    kind: 'intake',
    where: 'Millrace Meadow',
    coordinates: { lat: 48.13743, lon: 11.57549, uncertaintyM: 25 },
    ...extra,
  });
const records = (entries: ReturnType<typeof entry>[], places: PlaceChoice = 'withheld') =>
  captureRecords([{ queen, entries }], speciesProfile, places);

/** Great-circle distance, m (haversine; sphere of 6,371 km). */
function metres([lat1, lon1]: [number, number], [lat2, lon2]: [number, number]): number {
  const rad = Math.PI / 180;
  const a =
    Math.sin(((lat2 - lat1) * rad) / 2) ** 2 +
    Math.cos(lat1 * rad) * Math.cos(lat2 * rad) * Math.sin(((lon2 - lon1) * rad) / 2) ** 2;
  return 2 * 6_371_000 * Math.asin(Math.sqrt(a));
}

test('a capture with its terms (TDWG Darwin Core)', () => {
  const [r] = records([caught()]);
  expect(Object.keys(r!)).toEqual([...DARWIN_CORE_TERMS]);
  expect(r).toMatchObject({
    basisOfRecord: 'LivingSpecimen',
    eventDate: '2026-05-04',
    scientificName: 'Tetramorium immigrans',
    taxonRank: 'species',
    family: 'Formicidae',
    sex: 'female',
    caste: 'queen',
    individualCount: '1',
    organismName: 'B',
  });
});

test('by default nothing of the place goes out, and the record says so', () => {
  const text = JSON.stringify(records([caught()]));
  for (const secret of ['Millrace', '48.1', '11.5', 'June walk']) expect(text).not.toContain(secret);
  expect(text).toContain('locality and coordinates withheld');
});

test('rounded: a tenth of a degree, no words, and an uncertainty that holds the true place', () => {
  const [r] = records([caught()], 'rounded');
  expect(r).toMatchObject({ decimalLatitude: '48.1', decimalLongitude: '11.6', locality: '' });
  const off = metres([48.13743, 11.57549], [48.1, 11.6]);
  expect(Number(r!.coordinateUncertaintyInMeters)).toBeGreaterThan(off + 25);
  // the farthest a point can be moved by rounding
  expect(Number(r!.coordinateUncertaintyInMeters)).toBeGreaterThanOrEqual(
    metres([48.15, 11.65], [48.1, 11.6]),
  );
});

test('exact only when asked for', () => {
  expect(records([caught()], 'exact')[0]).toMatchObject({
    organismName: 'June walk B',
    locality: 'Millrace Meadow',
    decimalLatitude: '48.13743',
    coordinateUncertaintyInMeters: '25',
    geodeticDatum: 'EPSG:4326',
  });
});

test('a day that is not known for sure is an interval (ISO 8601)', () => {
  expect(records([caught({ earliest: day(0) })])[0]?.eventDate).toBe('2026-05-01/2026-05-04');
});

test('an uncertain species is qualified, an unknown one is a family', () => {
  const species = {
    profileId: 'messor-structor',
    sure: 'likely',
    others: [{ profileId: 'manica-rubida', share: 0.3 }],
  } as const;
  expect(records([caught({ species })])[0]).toMatchObject({
    identificationQualifier: 'cf.',
    identificationRemarks: 'Manica rubida 30 %',
  });
  expect(records([caught({ species: { profileId: 'unknown-temperate', sure: 'guess' } })])[0]).toMatchObject({
    scientificName: 'Formicidae',
    taxonRank: 'family',
    identificationQualifier: '',
  });
  // a name known to the genus goes out as a genus, not as a species (Darwin Core, dwc:taxonRank)
  expect(records([caught({ species: { profileId: 'lasius', sure: 'certain' } })])[0]).toMatchObject({
    scientificName: 'Lasius',
    taxonRank: 'genus',
    identificationQualifier: '',
  });
});

test('a former name goes out as she was called, today’s as her scientific name', () => {
  const called = caught({
    species: { profileId: 'camponotus-ligniperda', sure: 'certain', called: 'Camponotus ligniperdus' },
  });
  expect(records([called])[0]).toMatchObject({
    scientificName: 'Camponotus ligniperda',
    taxonRank: 'species',
    verbatimIdentification: 'Camponotus ligniperdus (certain)',
  });
});

test('a profile of the keeper’s own goes out as the species that was copied', () => {
  const kind: OwnKind = {
    id: testId(),
    name: 'Hers',
    copiedOf: 'messor-structor',
    copiedName: 'Messor structor',
    figures: { eggDays: { value: 20, says: 'the keeper' } },
    changedAt: day(0),
  };
  // a copy of a type is known no closer than its family, and goes out as it is called
  const strange = {
    ...kind,
    copiedOf: 'unknown-tropical',
    copiedName: 'Unknown, tropical',
    name: 'Cerapachys sp.',
  };
  const entries = [caught({ species: { profileId: kind.id, sure: 'likely' } })];
  expect(captureRecords([{ queen, entries }], profilesWith([strange]), 'withheld')[0]).toMatchObject({
    scientificName: 'Formicidae',
    taxonRank: 'family',
    verbatimIdentification: 'Cerapachys sp.',
  });
  expect(captureRecords([{ queen, entries }], profilesWith([kind]), 'withheld')[0]).toMatchObject({
    scientificName: 'Messor structor',
    taxonRank: 'species',
    identificationQualifier: 'cf.',
    verbatimIdentification: 'Hers (likely)',
  });
});

test('a later name is the one that goes out', () => {
  const named = entry(9, {
    kind: 'identify',
    species: { profileId: 'messor-structor', sure: 'certain', namedBy: 'county museum' },
  });
  expect(records([caught(), named])[0]).toMatchObject({
    scientificName: 'Messor structor',
    identifiedBy: 'county museum',
  });
});

test('bought and given queens are no captures; withdrawn intakes are none either', () => {
  expect(records([caught({ found: 'bought' })])).toEqual([]);
  const intake = caught();
  const withdrawn = amendmentSchema.parse({
    kind: 'amendment',
    id: testId(),
    queenId: QUEEN,
    at: day(4),
    loggedAt: day(4),
    amends: intake.id,
    replacement: null,
  });
  expect(records([intake, withdrawn])).toEqual([]);
});

test('a small colony counts its workers', () => {
  expect(records([caught({ found: 'small-colony', workers: n(12) })])[0]).toMatchObject({
    individualCount: '13',
    caste: 'queen | worker',
  });
});
