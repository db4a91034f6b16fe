import type { KindCard } from './card';
import { KINDS } from './kinds';
import { everydayNames } from './kinds/everyday';
import { speciesProfile } from './names';

const valueOf = <T>({ value }: { value: T }): { value: T } => ({ value });

/** Every kind that ships, by name; types last. */
export const KIND_CARDS: readonly KindCard[] = KINDS.map((kind): KindCard => {
  const p = speciesProfile(kind.id);
  return {
    id: p.id,
    rank: p.rank,
    name: p.name,
    plainName: p.plainName,
    kin: p.kin,
    copiedOf: p.copiedOf,
    retired: false,
    climate: p.climate,
    regions: p.regions,
    status: p.status,
    differs: p.differs,
    cautions: p.cautions,
    otherNames: [...kind.plainNames, ...kind.synonyms, ...everydayNames(kind.id)],
    founder: { value: p.founder.value, source: p.founder.source },
    queenLengthMm: valueOf(p.queenLengthMm),
    workerLengthMm: valueOf(p.workerLengthMm),
    workerHeadMm: valueOf(p.workerHeadMm),
    pupae: valueOf(p.pupae),
    flightMonths: valueOf(p.flightMonths),
    diet: valueOf(p.diet),
    colours: valueOf(p.colours),
    waist: valueOf(p.waist),
    temper: valueOf(p.temper),
  };
}).sort((a, b) => Number(a.rank === 'type') - Number(b.rank === 'type') || a.name.localeCompare(b.name));
