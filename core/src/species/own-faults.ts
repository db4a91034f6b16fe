import type { OwnFigureId } from './figures';
import { isKind, profilesWith, resolveKind, speciesProfile } from './names';
import { ownKindSchema, type OwnKind } from './own-kind';

/** What is wrong with an own profile, and how to mend it; the figure it is about, or its name. */
export interface OwnFault {
  at: OwnFigureId | 'name' | 'figures';
  says: string;
}

/**
 * Everything that speaks against an own profile as it is written.
 * @param others own profiles that are there already; one of the same id is this one before it was changed
 */
export function ownFaults(own: OwnKind, others: readonly OwnKind[]): OwnFault[] {
  const faults: OwnFault[] = (ownKindSchema.safeParse(own).error?.issues ?? []).map((i) => ({
    at:
      i.path[0] === 'name'
        ? 'name'
        : i.path[0] === 'figures' && i.path[1]
          ? (i.path[1] as OwnFigureId)
          : 'figures',
    says: i.message,
  }));
  const taken = nameTaken(own, others);
  if (taken) faults.push({ at: 'name', says: taken });
  if (Object.keys(own.figures).length === 0)
    faults.push({ at: 'figures', says: 'It says nothing of its own yet. Change a figure.' });
  if (faults.length > 0) return faults;
  return [...founderFaults(own), ...orderFaults(own)];
}

/** A scientific name, and no more than that: "Lasius niger, mine" is only like one. */
const BINOMIAL = /^[A-Za-z]+ [a-z-]+$/;
/** Two names are one to whoever reads them. */
const plain = (name: string): string => name.trim().toLowerCase().replace(/\s+/g, ' ');

function nameTaken({ id, name, copiedName }: OwnKind, others: readonly OwnKind[]): string | null {
  const found = resolveKind(name);
  const yours = `Give yours a name of its own, like “${copiedName}, mine”.`;
  if (plain(name) === plain(found.profile.name) || (found.level === 'species' && BINOMIAL.test(name.trim())))
    return `“${name}” is in the catalogue. ${yours}`;
  if (others.some((o) => o.id !== id && plain(o.name) === plain(name)))
    return `You have a profile “${name}” already. ${yours}`;
  return null;
}

/** A queen that cannot found alone does not learn it by being written down otherwise. */
function founderFaults({ figures, copiedOf, copiedName }: OwnKind): OwnFault[] {
  const copied = isKind(copiedOf) ? speciesProfile(copiedOf) : resolveKind(copiedName).profile;
  const known = copied.founder.value;
  const cannot = known === 'socially-parasitic' || known === 'dependent';
  const said = figures.founder?.value;
  if (!cannot || copied.rank !== 'species' || said === undefined || said === known) return [];
  return [
    {
      at: 'founder',
      says: `${copied.name} cannot found alone. If yours does, she is of another species: copy that one, or her genus.`,
    },
  ];
}

/** Figures that contradict one another, with what they are taken together with from the kind that was copied. */
function orderFaults(own: OwnKind): OwnFault[] {
  const p = profilesWith([own])(own.id);
  const faults: OwnFault[] = [];
  // what is said where the keeper can mend it: at a figure that the profile itself gives
  const fault = (ids: readonly OwnFigureId[], says: string) =>
    faults.push({ at: ids.find((id) => own.figures[id]) ?? 'figures', says });
  if (p.thresholdC.value >= p.bestTempC.value.low)
    fault(
      ['thresholdC', 'bestTempC'],
      'Below the threshold nothing grows: it must lie below her best warmth.',
    );
  if (p.optimumC.value <= p.thresholdC.value)
    fault(['optimumC', 'thresholdC'], 'She grows fastest above the threshold, not below it.');
  if (p.upperC.value <= p.optimumC.value || p.upperC.value <= p.bestTempC.value.high)
    fault(
      ['upperC', 'optimumC', 'bestTempC'],
      'Where nothing grows any more must be warmer than her best warmth and than where she grows fastest.',
    );
  if (p.workerHeadMm.value.high >= p.workerLengthMm.value.high)
    fault(['workerHeadMm', 'workerLengthMm'], 'A head is narrower than its worker is long.');
  if (p.boreMm.value.high < p.queenLengthMm.value.low / 3)
    fault(['boreMm', 'queenLengthMm'], 'She could not turn in a bore of less than a third of her length.');
  return faults;
}
