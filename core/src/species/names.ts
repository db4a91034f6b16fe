import { KINDS } from './kinds';
import { UNKNOWN_ID, type KindRecord, type Rank } from './figures';
import type { OwnKind } from './own-kind';
import type { SpeciesProfile } from './profile';
import { resolved } from './resolve';

const byId = new Map(KINDS.map((k) => [k.id, k]));
const type = (id: string): KindRecord => byId.get(id) as KindRecord;

/** The kind, its genus if it is a species, and the type that fills what they leave out. */
function chainOf(kind: KindRecord): KindRecord[] {
  const parent = kind.rank === 'species' && kind.parentId ? [type(kind.parentId)] : [];
  return kind.rank === 'type' ? [kind] : [kind, ...parent, type(kind.typeId)];
}

const profiles = new Map<string, SpeciesProfile>();

/** The profile of this id; "unknown, temperate" when there is none. */
export function speciesProfile(id: string): SpeciesProfile {
  const known = profiles.get(id);
  if (known) return known;
  const kind = byId.get(id);
  if (!kind) return speciesProfile(UNKNOWN_ID);
  const profile = resolved(chainOf(kind));
  profiles.set(id, profile);
  return profile;
}

/** A keeper's own profile as a record like those of the catalogue. */
function ownRecord(own: OwnKind, copied: KindRecord): KindRecord {
  const figures = Object.fromEntries(
    Object.entries(own.figures).map(([id, { value, ...who }]) => [
      id,
      { value, source: { kind: 'keeper', ...who } },
    ]),
  ) as KindRecord['figures'];
  const { rank, typeId, regions, status } = copied;
  return {
    ...{ id: own.id, name: own.name, rank, parentId: copied.id, typeId, regions, status, figures },
    ...{ plainNames: [], synonyms: [], differs: null, notes: [], own: true },
  };
}

/** The kind of the catalogue that was copied; if this catalogue does not have it, what is nearest to its name. */
const copiedKind = (own: OwnKind): KindRecord =>
  byId.get(own.copiedOf) ?? type(resolveKind(own.copiedName).id);

/** Looks up profiles, the keeper's own among them; "unknown, temperate" for an id that is neither. */
export type ProfileOf = (id: string) => SpeciesProfile;
export function profilesWith(own: readonly OwnKind[]): ProfileOf {
  if (own.length === 0) return speciesProfile;
  const mine = new Map(own.map((k) => [k.id, k]));
  const made = new Map<string, SpeciesProfile>();
  return (id) => {
    const known = made.get(id);
    if (known) return known;
    const kind = mine.get(id);
    if (!kind) return speciesProfile(id);
    const copied = copiedKind(kind);
    const profile = resolved([ownRecord(kind, copied), ...chainOf(copied)]);
    made.set(id, profile);
    return profile;
  };
}

export const isKind = (id: string): boolean => byId.has(id);

/** What a name came to. */
export interface ResolvedKind {
  /** How closely it is known: the species itself, only its genus, or only what such ants are like. */
  level: Rank;
  id: string;
  profile: SpeciesProfile;
}

/** Scientific names in one form: words only, without authors, ranks and doubt. */
const DOUBT = /^(cf|aff|nr|sp|spp|ssp|subsp|var|group|complex)\.?$/;
function wordsOf(scientificName: string): string[] {
  return scientificName
    .replace(/\([^)]*\)/g, ' ')
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase()
    .split(/[\s_]+/)
    .map((w) => w.replace(/[^a-z-]/g, ''))
    .filter((w) => w !== '');
}

const byName = new Map(
  KINDS.flatMap((k) =>
    k.rank === 'type'
      ? []
      : [k.name, ...k.synonyms].map((n) => [wordsOf(n).join(' '), k.id] as [string, string]),
  ),
);
const byGenus = new Map(
  KINDS.flatMap((k) => (k.rank === 'genus' ? [[k.name.toLowerCase(), k.id]] : [])) as [string, string][],
);

/**
 * The closest profile to a scientific name: of its species, by any of its names; else of its genus; else of the type of which
 * nothing is known. "Messor structor (Latreille, 1798)", "Messor cf. structor" and "Messor sp." are all understood.
 * @returns never nothing
 */
export function resolveKind(scientificName: string): ResolvedKind {
  const [genus = '', ...rest] = wordsOf(scientificName);
  // a name held in doubt ("cf. structor") is no more than its genus
  const doubtful = rest.some((w) => DOUBT.test(w));
  const [species, below] = rest;
  const id =
    (species && !doubtful
      ? ((below ? byName.get(`${genus} ${species} ${below}`) : undefined) ??
        byName.get(`${genus} ${species}`))
      : undefined) ??
    // a former name whose genus is another today
    byGenus.get(genus) ??
    UNKNOWN_ID;
  const profile = speciesProfile(id);
  return { level: profile.rank, id, profile };
}
