import { BROOD, type Brood, type LossCause } from '../facts';
import type { QueenLedger } from '../founding';
import { daysBetween, msOf, type Instant } from '../quantity';
import { counted, numbered } from '../words';
import { figure } from './practice';

/** Whether brood of a colony may be given to another of its kind. */
export interface DonorFitness {
  is: 'sound' | 'risk' | 'no';
  /** The thing that says so. */
  what: 'mites' | 'quarantine' | 'mould' | 'cause' | 'health';
  says: string;
  evidence: string[];
}

/** What a queen can die of that harms no other colony to which her brood is given. */
const HARMLESS: readonly LossCause[] = [
  'dried-out',
  'drowned',
  'starved',
  'too-warm',
  'disturbed',
  'injured',
];

/** May brood of this colony go to another? What harms it would go along (common practice, no source). */
export function donorFitness({ health, mould, loss }: QueenLedger, now: Instant): DonorFitness {
  const carried = health?.findings.some((f) => f === 'mites' || f === 'other-parasites');
  if (health && carried)
    return {
      is: 'no',
      what: 'mites',
      says: 'Mites or other parasites were found in this colony: they would go along with its brood.',
      evidence: [health.entryId],
    };
  if (health?.quarantineUntil && msOf(health.quarantineUntil) > msOf(now))
    return {
      is: 'no',
      what: 'quarantine',
      says: 'This colony stands in quarantine: nothing of it goes to another until that is over.',
      evidence: [health.entryId],
    };
  const mouldy = mould?.value === 'near-brood';
  if (mouldy || loss?.cause === 'mould')
    return {
      is: 'no',
      what: 'mould',
      says: 'There is mould at this brood: its spores would go along.',
      evidence: [mouldy ? mould.entryId : (loss?.entryId ?? '')],
    };
  // one that escaped died of nothing that could go along
  const died = loss?.how === 'died' ? loss : null;
  if (died && (!HARMLESS.includes(died.cause) || died.certainty === 'guess'))
    return {
      is: 'risk',
      what: 'cause',
      says: 'Why its queen died is not known for sure: what killed her may go along. Better the brood of a healthy colony.',
      evidence: [died.entryId],
    };
  return {
    is: 'sound',
    what: died ? 'cause' : 'health',
    says: died
      ? 'What its queen died of harms no other colony.'
      : 'Nothing was found that would go along with its brood.',
    evidence: died ? [died.entryId] : health ? [health.entryId] : [],
  };
}

/** Why brood cannot, or had better not, go from one colony to another. */
export interface BoostFault {
  /** What has to be mended. */
  at: 'other' | 'counts';
  /** It cannot be written so; otherwise it is a caution. */
  stops: boolean;
  says: string;
}

/** One end of it: her log, her name, and the kind she is held to be. */
export interface BoostEnd {
  id: string;
  label: string;
  /** The species of the catalogue; null when it is known less closely. */
  species: string | null;
  known: QueenLedger;
}

/**
 * What speaks against giving so much brood of one colony to another.
 * @param counts how many of each stage; nothing is said of counts while none is given
 */
export function boostFaults(
  donor: BoostEnd,
  recipient: BoostEnd,
  counts: Partial<Record<Brood, number>>,
  now: Instant,
): BoostFault[] {
  const stop = (at: BoostFault['at'], says: string): BoostFault => ({ at, stops: true, says });
  const warn = (at: BoostFault['at'], says: string): BoostFault => ({ at, stops: false, says });
  const found: BoostFault[] = [];
  if (donor.id === recipient.id)
    return [stop('other', 'Brood is given from one colony to another. Choose two.')];
  if (unknownKind(donor) || unknownKind(recipient)) {
    const which = unknownKind(donor) ? donor.label : recipient.label;
    found.push(
      stop(
        'other',
        `Nobody has named the species of ${which}: brood of another kind is killed, also within a genus. Name it first.`,
      ),
    );
  } else if (donor.species !== recipient.species)
    found.push(
      stop(
        'other',
        `${donor.label} and ${recipient.label} are of two kinds: brood of another kind is killed. Choose a colony of the same.`,
      ),
    );
  else if (donor.known.species?.sure !== 'certain' || recipient.known.species?.sure !== 'certain')
    found.push(warn('other', 'Of one of the two the kind is not certain: brood of another kind is killed.'));
  if (recipient.known.loss)
    found.push(
      stop('other', `${recipient.label} has no queen any more. Give brood to a colony that has one.`),
    );
  // what would have been lost without its queen may be tried; what another colony could raise itself is not given lightly
  const idle = donor.known.loss || recipient.known.loss ? null : notNeeded(recipient, now);
  if (idle) found.push(warn('other', idle));
  const fit = donorFitness(donor.known, now);
  if (fit.is !== 'sound') found.push({ at: 'other', stops: fit.is === 'no', says: fit.says });
  if (!donor.known.loss && !hasWorkers(donor))
    found.push(
      stop(
        'other',
        `${donor.label} has no workers yet: she needs her first brood herself. Choose a colony with workers, or one without a queen.`,
      ),
    );
  return [...found, ...countFaults(donor, counts, stop)];
}

/** Why brood of a living colony is not called for; null when it is. */
function notNeeded(recipient: BoostEnd, now: Instant): string | null {
  const { label, known } = recipient;
  if (hasWorkers(recipient)) return `${label} has workers: she needs nobody’s brood.`;
  const least = figure('helpAfterClutches');
  const lost = lostThisSeason(known, now).length;
  if (lost >= least) return null;
  return `${label} has lost ${lost === 0 ? 'no clutch' : counted(lost, 'clutch', 'clutches')} this season. Brood is given after ${least}, when quiet, food and warmth are in order: until then it would be eaten too.`;
}

/** Clutches that she lost in the time over which they are added up. */
export const lostThisSeason = ({ broodLost }: QueenLedger, now: Instant) =>
  broodLost.filter((l) => daysBetween(l.interval.by ?? now, now) <= figure('broodSeasonDays'));

/** The last clutch she lost, while nothing has come in its place: neither laid nor given. */
export function broodGoneNow(known: QueenLedger, now: Instant): QueenLedger['broodLost'][number] | null {
  const last = lostThisSeason(known, now).at(-1);
  if (!last || known.appearances.eggs.interval.by !== null) return null;
  const given = known.broodMoves.some(
    (b) => b.way === 'received' && msOf(b.at) >= msOf(last.interval.by ?? now),
  );
  return given ? null : last;
}

/** Two of one genus may be of two species, and brood of another species is killed. */
const unknownKind = ({ species }: BoostEnd): boolean => species === null;
const hasWorkers = ({ known }: BoostEnd): boolean => (known.counts.workers?.range.low ?? 0) > 0;

/** No more can be given than was there: what was younger may have grown since it was counted; eggs may have been laid. */
function countFaults(
  { label, known }: BoostEnd,
  counts: Partial<Record<Brood, number>>,
  stop: (at: 'counts', says: string) => BoostFault,
): BoostFault[] {
  const high = (b: Brood): number => {
    const last = known.counts[b];
    return last ? (last.range.high ?? Infinity) : Infinity;
  };
  const lays = known.loss === null;
  for (const stage of [...BROOD].reverse()) {
    const n = counts[stage] ?? 0;
    // she may have laid since: of eggs, and of what they become, there is no most
    if (n === 0 || (lays && stage !== 'pupae')) continue;
    const most = BROOD.slice(0, BROOD.indexOf(stage) + 1).reduce((sum, b) => sum + high(b), 0);
    if (n > most)
      return [
        stop(
          'counts',
          most === 0
            ? `By the last look there was no brood at ${label} that could be ${stage} now. Log a look there first.`
            : `By the last look there were at most ${numbered(most, stage)} at ${label}, or brood that could have become such. Count again, or log a look there first.`,
        ),
      ];
  }
  return [];
}
