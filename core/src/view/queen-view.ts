import {
  addEvidence,
  emptyLedger,
  founderBelief,
  learnedProfile,
  ledger,
  outlookOfKinds,
  stageEvidence,
  temperatureAt,
  type FounderBelief,
  type FounderEvidence,
  type Hemisphere,
  type KindEvidence,
  type Learned,
  type Outlook,
  type QueenLedger,
  type Temperature,
} from '../founding';
import { counsel, placeTemperature, type Counsel } from '../care';
import {
  effectiveEntries,
  type Entry,
  type LookingSchoolId,
  type Place,
  type Queen,
  type TubeHome,
} from '../log';
import { InputError, instantOf, msOf, type Instant } from '../quantity';
import { provenanceText, speciesProfile, speciesWeights, type SpeciesProfile } from '../species';

/** All facts about one queen. */
export interface QueenFacts {
  queen: Queen;
  tube: TubeHome;
  /** Where she stands now. */
  place: Place;
  /** Every place she has stood in, this one too; others may be among them. */
  places: Place[];
  entries: Entry[];
}

/** What the keeper has decided for all queens. */
export interface KeeperSettings {
  lookingSchool: LookingSchoolId;
  hemisphere: Hemisphere;
  /** Weekdays with time for the tubes, 0 Sunday to 6 Saturday; all when empty. */
  weekdays: number[];
  /** Days away, both inclusive, yyyy-mm-dd. */
  absences: { from: string; to: string }[];
  /** Finished stages of the keeper's own queens move what is expected of the others of their kind. */
  learn: boolean;
}

export const DEFAULT_SETTINGS: KeeperSettings = {
  lookingSchool: 'fortnightly',
  hemisphere: 'north',
  weekdays: [],
  absences: [],
  learn: true,
};

/** Everything derived about one queen: facts → ledger → outlook → counsel. */
export interface QueenView {
  /** The species that is likeliest now. */
  profileId: string;
  /** Every species she may be: the share given to it, and what her log makes of that. */
  species: { profileId: string; share: number; now: number; namedBy: string | null }[];
  founder: FounderBelief | null;
  /** What her own finished stages say of her kind, for the others; null when her species is a guess. */
  teaches: { profileId: string; stages: KindEvidence } | null;
  /** Finished stages of other queens of her kind that moved this outlook: the most for any stage. */
  learnedFrom: number;
  /** How warm she stands now, °C. */
  tempC: number;
  ledger: QueenLedger;
  outlook: Outlook | null;
  counsel: Counsel | null;
  /** Why the outlook or the counsel cannot be given: a sentence with a way out. */
  trouble: { field: string; message: string } | null;
}

export interface ViewOptions {
  draws?: number;
  profileOf?: (id: string) => SpeciesProfile;
  /** Goes beyond the first batch; true when not given. */
  later?: boolean;
  /** What all of the keeper's queens say of their kinds, this one too; her own part is taken out. */
  learned?: Learned;
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
  const { queen, tube, place, entries } = facts;
  const { draws = 4000, profileOf = speciesProfile } = options;
  const tempC = temperatureAt(placeTemperature(place), now);
  let known = emptyLedger(queen.id);
  const view: Omit<QueenView, 'ledger' | 'trouble'> = {
    profileId: 'unknown-temperate',
    species: [],
    founder: null,
    teaches: null,
    learnedFrom: 0,
    tempC,
    outlook: null,
    counsel: null,
  };
  try {
    known = ledger(entries, now)[queen.id] ?? known;
    const { kinds, temperature, teaches, learnedFrom: from } = basisOf(facts, known, settings, options);
    view.teaches = teaches;
    view.learnedFrom = from;
    const byShare = (shares: number[]) => {
      view.species = kinds.map(({ profileId, weight, namedBy }, i) => ({
        profileId,
        share: weight,
        now: shares[i] ?? weight,
        namedBy,
      }));
      const likeliest = view.species.reduce((a, b) => (b.now > a.now ? b : a));
      view.profileId = likeliest.profileId;
    };
    byShare(kinds.map((k) => k.weight));
    const project = () =>
      outlookOfKinds(kinds, known, temperature, now, {
        draws,
        seed: seedOf(queen.id),
        hemisphere: settings.hemisphere,
        later: options.later ?? true,
      });
    const believe = () =>
      founderBelief([
        ...view.species.map(({ profileId, now: weight, namedBy }): FounderEvidence => {
          const profile = profileOf(profileId);
          const source = `${provenanceText(profile.founder.source)}${namedBy ? `; named by ${namedBy}` : ''}`;
          return { kind: 'species', founder: profile.founder.value, weight, source };
        }),
        ...known.founderSigns,
      ]);
    view.founder = believe();
    // no founding plan is pretended for a queen that cannot found alone; once workers are there she has founded
    const founded = known.appearances.workers.interval.by !== null;
    if (view.founder.course !== 'no-plan' || founded) {
      const mixed = project();
      view.outlook = mixed.outlook;
      byShare(mixed.shares);
      view.founder = believe();
    }
    view.counsel = counsel({
      profile: kinds.find((k) => k.profileId === view.profileId)?.profile ?? profileOf(view.profileId),
      ledger: known,
      outlook: view.outlook,
      founder: view.founder,
      tube,
      place,
      lookingSchool: queen.lookingSchool ?? settings.lookingSchool,
      now,
    });
    return { ...view, ledger: known, trouble: null };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { ...view, ledger: known, trouble: { field: error.field, message: error.message } };
  }
}

/** What an outlook rests on besides her log. */
export interface Basis {
  kinds: { profileId: string; weight: number; namedBy: string | null; profile: SpeciesProfile }[];
  temperature: Temperature;
  teaches: QueenView['teaches'];
  learnedFrom: number;
}

/** Her kinds as they stand after what the others taught, and how warm she has stood and will stand. */
export function basisOf(
  { queen, place, places }: QueenFacts,
  known: QueenLedger,
  settings: KeeperSettings,
  { profileOf = speciesProfile, learned = {} }: ViewOptions = {},
): Basis {
  const temperature = temperatureOfStays(known, queen, places, place);
  const teaches = lesson(known, temperature, settings.hemisphere, profileOf);
  let from = 0;
  const kinds = speciesWeights(known.species).map((w) => {
    const others = settings.learn ? withoutOwn(learned, w.profileId, teaches) : {};
    from = Math.max(from, ...Object.values(others).map((e) => e.n));
    return { ...w, profile: learnedProfile(profileOf(w.profileId), others) };
  });
  return { kinds, temperature, teaches, learnedFrom: from };
}

/** What her finished stages say, when her species is more than a guess. */
function lesson(
  known: QueenLedger,
  temperature: Temperature,
  hemisphere: Hemisphere,
  profileOf: (id: string) => SpeciesProfile,
): QueenView['teaches'] {
  const { species } = known;
  if (!species || species.sure === 'guess' || species.others?.length) return null;
  const stages = stageEvidence(profileOf(species.profileId), known, temperature, hemisphere);
  return Object.keys(stages).length > 0 ? { profileId: species.profileId, stages } : null;
}

/** What the others say of a kind: no queen teaches herself. */
export function withoutOwn(learned: Learned, profileId: string, own: QueenView['teaches']): KindEvidence {
  const all = learned[profileId] ?? {};
  return own?.profileId === profileId ? addEvidence(all, own.stages, -1) : all;
}

/** What a keeper's queens say of their kinds, together. */
export function learnedFrom(lessons: Iterable<QueenView['teaches']>): Learned {
  const learned: Learned = {};
  for (const one of lessons)
    if (one) learned[one.profileId] = addEvidence(learned[one.profileId] ?? {}, one.stages);
  return learned;
}

/** How warm she has stood in place after place, and will stand; a place that is not known counts as the present one. */
function temperatureOfStays(
  known: QueenLedger,
  queen: Queen,
  places: readonly Place[],
  place: Place,
): Temperature {
  if (known.moves.length === 0) return placeTemperature(place);
  const at = (id: string) => placeTemperature(places.find((p) => p.id === id) ?? place);
  const stays = [
    { from: instantOf(0), placeId: queen.placeId },
    ...known.moves.map((m) => ({ from: m.at, placeId: m.placeId })),
  ];
  const steps = stays.flatMap(({ from, placeId }, i) => {
    const until = stays[i + 1]?.from;
    const within = at(placeId);
    const later = typeof within === 'number' ? [] : within.steps.filter((s) => msOf(s.from) > msOf(from));
    return [
      { from, tempC: temperatureAt(within, from) },
      ...later.filter((s) => until === undefined || msOf(s.from) < msOf(until)),
    ];
  });
  // two moves at one moment: the later written holds
  return { steps: steps.filter((s, i) => msOf(s.from) !== msOf(steps[i + 1]?.from ?? instantOf(-1))) };
}

/** Where she stands after every move in her log, or where she was first put. */
export function placeIdNow(queen: Queen, entries: readonly Entry[]): string {
  const moves = effectiveEntries(entries).flatMap(({ entry }) =>
    entry?.kind === 'move' ? [entry.placeId] : [],
  );
  return moves[moves.length - 1] ?? queen.placeId;
}

/** A queen's own seed, so that her outlook does not flicker between two answers (FNV-1a of her id). */
export function seedOf(id: string): number {
  let hash = 0x811c9dc5;
  for (let i = 0; i < id.length; i++) hash = Math.imul(hash ^ id.charCodeAt(i), 0x01000193);
  return hash & 0x7fffffff;
}

const HOLDS_MS = 30 * 60_000;

/** A view may be shown again until something in it changes by itself, at the most for half an hour. */
export function viewHoldsUntil(view: QueenView, now: Instant): Instant {
  const turns = [view.counsel?.restUntil, ...(view.counsel?.verdicts.map((v) => v.until) ?? [])];
  const ahead = turns
    .filter((t) => t != null)
    .map((t) => msOf(t))
    .filter((ms) => ms > msOf(now));
  return instantOf(Math.min(msOf(now) + HOLDS_MS, ...ahead));
}
