import { counsel, type Counsel, type HeatFall } from '../care';
import type { HomePart, KeeperSettings } from '../facts';
import {
  emptyLedger,
  founderBelief,
  outlookOfKinds,
  type FounderBelief,
  type FounderEvidence,
  type Outlook,
  type QueenLedger,
} from '../founding';
import { housingOf, partOf, type Housing } from '../housing';
import { InputError, instantOf, msOf, UTC, type Instant } from '../quantity';
import { provenanceText, UNKNOWN_ID } from '../species';
import { speciesProfile } from '../species/catalogue';
import { placeTemperature, temperatureAt, thermometerErrorC } from '../warmth';
import {
  basisOf,
  knownOf,
  seedOf,
  type Basis,
  type LearnedFrom,
  type Lesson,
  type QueenFacts,
  type ViewOptions,
} from './basis';

/** Everything derived about one queen: facts → ledger → outlook → counsel. */
export interface QueenView {
  /** The species that is likeliest now. */
  profileId: string;
  /** Every species she may be: the share given to it, and what her log makes of that. */
  species: { profileId: string; share: number; now: number; namedBy: string | null }[];
  founder: FounderBelief | null;
  /** What her own finished stages say of her kind, for the others; null when her species is a guess. */
  teaches: Lesson;
  /** What was read at her tubes of how the warmth of the heat at a place falls, for her neighbours. */
  falls: HeatFall[];
  /** Finished stages of other queens that moved this outlook. */
  learnedFrom: LearnedFrom;
  /** How warm she stands now, °C. */
  tempC: number;
  /** Since when that has been measured at her place (null: it was told), and the standard error of who measured, °C. */
  warmth: { measuredSince: Instant | null; errorC: number };
  /** What is joined to what, and who lives where. */
  housing: Housing;
  /** The part she lives in now. */
  part: HomePart;
  ledger: QueenLedger;
  outlook: Outlook | null;
  counsel: Counsel | null;
  /** Why the outlook or the counsel cannot be given: a sentence with a way out. */
  trouble: { field: string; message: string } | null;
}

/**
 * Derives one queen's view. Faults in her log never break it: what cannot be computed is null, and `trouble` says why.
 * The same facts, settings and moment give the same view.
 */
export function queenView(
  facts: QueenFacts,
  settings: KeeperSettings,
  now: Instant,
  options: ViewOptions = {},
): QueenView {
  const { queen, place } = facts;
  let known = emptyLedger(queen.id);
  const home = housingOf(facts);
  const view: Omit<QueenView, 'ledger' | 'trouble'> = {
    profileId: UNKNOWN_ID,
    species: [],
    founder: null,
    teaches: null,
    falls: [],
    learnedFrom: { kind: 0, genus: 0 },
    tempC: temperatureAt(placeTemperature(place), now),
    warmth: { measuredSince: null, errorC: thermometerErrorC(place) },
    housing: home,
    part: partOf(home, home.home)?.part ?? facts.home,
    outlook: null,
    counsel: null,
  };
  try {
    known = knownOf(facts, home, now);
    const basis = basisOf(facts, known, home, settings, now, options);
    view.teaches = basis.teaches;
    view.falls = basis.falls;
    view.learnedFrom = basis.learnedFrom;
    view.tempC = basis.tempC;
    view.warmth = { measuredSince: basis.measuredSince, errorC: basis.thermometerErrorC };
    const believed = believe(basis, known, options);
    Object.assign(view, kindsOf(basis), { founder: believed });
    // no founding plan is pretended for a queen that cannot found alone: host workers and host brood are not her own
    if (believed.course !== 'no-plan') {
      const mixed = outlookOfKinds(basis.kinds, known, basis.temperature, now, {
        draws: options.draws ?? 4000,
        seed: seedOf(queen.id),
        hemisphere: settings.hemisphere,
        thermometerErrorC: basis.thermometerErrorC,
        later: options.later ?? true,
      });
      Object.assign(view, kindsOf(basis, mixed.shares), { outlook: mixed.outlook });
      view.founder = believe(basis, known, options, mixed.shares);
    }
    view.counsel = counselOf(facts, settings, now, known, basis, view, options);
    return { ...view, ledger: known, trouble: null };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { ...view, ledger: known, trouble: { field: error.field, message: error.message } };
  }
}

function counselOf(
  { queen, home }: QueenFacts,
  settings: KeeperSettings,
  now: Instant,
  known: QueenLedger,
  basis: Basis,
  view: Pick<QueenView, 'profileId' | 'outlook' | 'founder' | 'housing'>,
  { profileOf = speciesProfile }: ViewOptions,
): Counsel {
  const kind = basis.kinds.find((k) => k.profileId === view.profileId);
  return counsel({
    profile: kind?.profile ?? profileOf(view.profileId),
    ledger: known,
    outlook: view.outlook,
    ...(view.founder ? { founder: view.founder } : {}),
    home,
    housing: view.housing,
    place: basis.place,
    rooms: basis.rooms,
    thermometerErrorC: basis.thermometerErrorC,
    hotSpells: basis.hotSpells,
    lookingSchool: queen.lookingSchool ?? settings.lookingSchool,
    spaceSchool: settings.spaceSchool,
    nestSchool: settings.nestSchool,
    lightSchool: queen.lightSchool ?? settings.lightSchool,
    patienceSchool: queen.patienceSchool ?? settings.patienceSchool,
    hemisphere: settings.hemisphere,
    zone: settings.zone ?? UTC,
    now,
  });
}

/** Her kinds by the shares given, or by what her log makes of them. */
function kindsOf(
  { kinds }: Basis,
  shares: readonly number[] = kinds.map((k) => k.weight),
): Pick<QueenView, 'species' | 'profileId'> {
  const species = kinds.map(({ profileId, weight, namedBy }, i) => ({
    profileId,
    share: weight,
    now: shares[i] ?? weight,
    namedBy,
  }));
  return { species, profileId: species.reduce((a, b) => (b.now > a.now ? b : a)).profileId };
}

function believe(
  { kinds }: Basis,
  known: QueenLedger,
  { profileOf = speciesProfile }: ViewOptions,
  shares: readonly number[] = kinds.map((k) => k.weight),
): FounderBelief {
  const sure = known.species?.sure ?? 'guess';
  return founderBelief([
    ...kinds.map(({ profileId, namedBy, weight }, i): FounderEvidence => {
      const profile = profileOf(profileId);
      const source = `${provenanceText(profile.founder.source)}${namedBy ? `; named by ${namedBy}` : ''}`;
      const { value: founder, source: by } = profile.founder;
      const isKnown = by.kind === 'published' || by.kind === 'practice';
      return { kind: 'species', founder, weight: shares[i] ?? weight, source, sure, known: isKnown };
    }),
    ...known.founderSigns,
  ]);
}

const HOLDS_MS = 30 * 60_000;

/** A view may be shown again until something in it changes by itself, at the most for half an hour. */
export function viewHoldsUntil(view: QueenView, now: Instant): Instant {
  const advice = view.counsel;
  const turns = [
    advice?.restUntil,
    ...(advice?.verdicts.map((v) => v.until) ?? []),
    ...(advice?.due.flatMap((d) => [d.notBefore, d.notAfter]) ?? []),
  ];
  const ahead = turns
    .filter((t) => t != null)
    .map((t) => msOf(t))
    .filter((ms) => ms > msOf(now));
  return instantOf(Math.min(msOf(now) + HOLDS_MS, ...ahead));
}
