import { dayOf, UTC, type Zone } from '../quantity';
import { type Queen } from '../facts';
import { effectiveEntries, type BodyOf, type Entry, type SpeciesBelief } from '../log';
import type { SpeciesProfile } from '../species';

/** How much of a place goes out: nothing, coordinates rounded to a tenth of a degree and no words, or everything. */
export const PLACE_CHOICES = ['withheld', 'rounded', 'exact'] as const;
export type PlaceChoice = (typeof PLACE_CHOICES)[number];

/** Terms of Darwin Core used here, in the order of the columns (TDWG, http://rs.tdwg.org/dwc/terms/). */
export const DARWIN_CORE_TERMS = [
  'occurrenceID',
  'basisOfRecord',
  'eventDate',
  'scientificName',
  'taxonRank',
  'identificationQualifier',
  'verbatimIdentification',
  'identifiedBy',
  'identificationRemarks',
  'kingdom',
  'phylum',
  'class',
  'order',
  'family',
  'individualCount',
  'sex',
  'lifeStage',
  'caste',
  'samplingProtocol',
  'locality',
  'decimalLatitude',
  'decimalLongitude',
  'geodeticDatum',
  'coordinateUncertaintyInMeters',
  'dataGeneralizations',
  'informationWithheld',
  'organismID',
  'organismName',
  'occurrenceRemarks',
] as const;
export type CaptureRecord = Record<(typeof DARWIN_CORE_TERMS)[number], string>;

const OUTDOORS: readonly BodyOf<'intake'>['found'][] = [
  'walking',
  'digging',
  'in-water',
  'under-stone',
  'small-colony',
];

/** Was she taken from outdoors by the keeper? Bought, swapped and given queens are no captures. */
export const caughtOutdoors = (found: BodyOf<'intake'>['found']): boolean => OUTDOORS.includes(found);

const FOUND_PROTOCOL: Partial<Record<BodyOf<'intake'>['found'], string>> = {
  walking: 'hand capture, walking',
  digging: 'hand capture, digging in',
  'in-water': 'hand capture from water',
  'under-stone': 'hand capture under a stone',
  'small-colony': 'hand capture of a small colony',
};

const GRID_DEG = 0.1;
const KM_PER_DEG = 111.32;

/**
 * One occurrence record for each queen caught outdoors. Places are private: what is not asked for is withheld, and the
 * record says so.
 * @param zone the keeper's: the day of a capture is the keeper's day
 * @param queens with their whole logs; withdrawn and amended entries are honoured
 */
export function captureRecords(
  queens: readonly { queen: Queen; entries: readonly Entry[] }[],
  profileOf: (id: string) => SpeciesProfile,
  places: PlaceChoice,
  zone: Zone = UTC,
): CaptureRecord[] {
  return queens.flatMap(({ queen, entries }) => {
    const standing = effectiveEntries(entries).flatMap(({ entry }) => (entry ? [entry] : []));
    const intake = standing.find((e) => e.kind === 'intake');
    if (!intake || !caughtOutdoors(intake.found)) return [];
    const named = standing.filter((e) => e.kind === 'identify').at(-1);
    return [recordOf(queen, intake, named?.species ?? intake.species, profileOf, places, zone)];
  });
}

function recordOf(
  queen: Queen,
  intake: Extract<Entry, { kind: 'intake' }>,
  belief: SpeciesBelief,
  profileOf: (id: string) => SpeciesProfile,
  places: PlaceChoice,
  zone: Zone,
): CaptureRecord {
  const record = Object.fromEntries(DARWIN_CORE_TERMS.map((t) => [t, ''])) as CaptureRecord;
  const workers = intake.workers?.low ?? 0;
  return {
    ...record,
    ...taxon(belief, profileOf),
    ...location(intake, places),
    occurrenceID: `urn:uuid:${intake.id}`,
    basisOfRecord: 'LivingSpecimen',
    eventDate: intake.earliest
      ? `${dayOf(intake.earliest, zone)}/${dayOf(intake.at, zone)}`
      : dayOf(intake.at, zone),
    individualCount: String((intake.queens ?? 1) + workers),
    sex: 'female',
    lifeStage: 'adult',
    caste: workers > 0 ? 'queen | worker' : 'queen',
    samplingProtocol: FOUND_PROTOCOL[intake.found] ?? 'hand capture',
    organismID: `urn:uuid:${queen.id}`,
    // a batch is often named after the place where it was caught
    organismName: places === 'exact' ? [queen.batch, queen.label].filter(Boolean).join(' ') : queen.label,
    occurrenceRemarks: [
      intake.wings === 'unknown' ? '' : intake.wings === 'winged' ? 'wings kept' : 'wings shed',
      intake.weather ?? '',
    ]
      .filter(Boolean)
      .join('; '),
  };
}

function taxon(belief: SpeciesBelief, profileOf: (id: string) => SpeciesProfile): Partial<CaptureRecord> {
  const higher = {
    kingdom: 'Animalia',
    phylum: 'Arthropoda',
    class: 'Insecta',
    order: 'Hymenoptera',
    family: 'Formicidae',
  };
  // an own profile is the keeper's word for a kind of the catalogue, which goes out
  const accepted = (id: string): string => {
    const { name, copiedOf } = profileOf(id);
    return copiedOf === null ? name : profileOf(copiedOf).name;
  };
  const ownName = (id: string): string => (profileOf(id).copiedOf === null ? '' : profileOf(id).name);
  const { rank } = profileOf(belief.profileId);
  const known = rank !== 'type';
  const others = belief.others ?? [];
  return {
    ...higher,
    scientificName: known ? accepted(belief.profileId) : 'Formicidae',
    taxonRank: known ? rank : 'family',
    identificationQualifier: known && (belief.sure !== 'certain' || others.length > 0) ? 'cf.' : '',
    // as she was called, also by a former name; the scientific name is the one that holds today
    verbatimIdentification: known
      ? `${belief.called ?? profileOf(belief.profileId).name} (${belief.sure})`
      : (belief.called ?? ownName(belief.profileId)),
    identifiedBy: belief.namedBy ?? '',
    identificationRemarks: others
      .map((o) => `${accepted(o.profileId)} ${Math.round(o.share * 100)} %`)
      .join('; '),
  };
}

function location(intake: Extract<Entry, { kind: 'intake' }>, places: PlaceChoice): Partial<CaptureRecord> {
  const c = intake.coordinates;
  const something = c !== undefined || (intake.where ?? '') !== '';
  if (places === 'withheld')
    return something ? { informationWithheld: 'locality and coordinates withheld' } : {};
  if (places === 'exact') {
    return {
      locality: intake.where ?? '',
      ...(c
        ? {
            decimalLatitude: String(c.lat),
            decimalLongitude: String(c.lon),
            geodeticDatum: 'EPSG:4326',
            coordinateUncertaintyInMeters: String(c.uncertaintyM),
          }
        : {}),
    };
  }
  const withheld = intake.where ? { informationWithheld: 'locality withheld' } : {};
  if (!c) return withheld;
  const lat = roundTo(c.lat);
  return {
    ...withheld,
    decimalLatitude: lat.toFixed(1),
    decimalLongitude: roundTo(c.lon).toFixed(1),
    geodeticDatum: 'EPSG:4326',
    coordinateUncertaintyInMeters: String(Math.ceil(cornerM(c.lat) + c.uncertaintyM)),
    dataGeneralizations: `coordinates rounded to ${GRID_DEG} degree`,
  };
}

const roundTo = (deg: number): number => Math.round(deg / GRID_DEG) * GRID_DEG;

/** From the middle of a grid cell to its corner, m: as far as rounding can move a point. */
function cornerM(lat: number): number {
  const half = (GRID_DEG / 2) * KM_PER_DEG * 1000;
  return Math.hypot(half, half * Math.cos((lat * Math.PI) / 180));
}
