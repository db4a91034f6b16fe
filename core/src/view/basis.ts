import { asTube, type HomePart, type KeeperSettings, type Place, type Queen } from '../facts';
import {
  emptyLedger,
  learnedProfile,
  ledger,
  NOTHING_TAUGHT,
  stageEvidence,
  taughtOf,
  type KindEvidence,
  type Learned,
  type QueenLedger,
} from '../founding';
import type { MeasuredDay, PlaceRecord } from '../climate';
import { housingOf, partOf, type Housing } from '../housing';
import { dangerC, fallsAt, heatedBy, heatFalls, planBegun, type HeatFall } from '../care';
import type { Entry } from '../log';
import { addDays, DAY_MS, InputError, instantOf, latest, msOf, type Instant } from '../quantity';
import { speciesWeights, type SpeciesProfile } from '../species';
import { speciesProfile } from '../species/catalogue';
import {
  hotSpells,
  latelyRead,
  placeNow,
  recordOf,
  stoodIn,
  temperatureAt,
  thermometerErrorC,
  withAdvisedWinter,
  withWaking,
  type HotSpell,
  type Room,
  type Stay,
  type Temperature,
} from '../warmth';

/** All facts about one queen. */
export interface QueenFacts {
  queen: Queen;
  /** The part she was taken in with. */
  home: HomePart;
  /** Where she stands now. */
  place: Place;
  /** Every place she has stood in, this one too; others may be among them. */
  places: Place[];
  entries: Entry[];
  /** What was measured at these places. */
  measured?: PlaceRecord[];
  /** What was read at other queens' tubes of how the warmth of the heat at these places falls. */
  falls?: HeatFall[];
}

export interface ViewOptions {
  draws?: number;
  profileOf?: (id: string) => SpeciesProfile;
  /** Goes beyond the first batch; true when not given. */
  later?: boolean;
  /** What the keeper's other queens say of their kinds: her own part is not in it. */
  learned?: Learned;
}

/** What her log says of her; what cannot be of her home counts for nothing until it is put right. */
export function knownOf({ queen, entries }: QueenFacts, { faults }: Housing, now: Instant): QueenLedger {
  const ignored = new Set(faults.map((f) => f.entryId));
  return ledger(entries, now, ignored)[queen.id] ?? emptyLedger(queen.id);
}

/** Her tube; null when she lives in something else. */
const tubeOf = ({ home }: QueenFacts, housing: Housing) =>
  asTube(partOf(housing, housing.home)?.part ?? home);

/** Each with what was read at the tubes of the others of how the heat at her places falls. */
export function withFalls(queens: readonly QueenFacts[], now: Instant): QueenFacts[] {
  const read = queens.map((q) => {
    try {
      const housing = housingOf(q);
      return heatFalls(knownOf(q, housing, now), q.queen.placeId, tubeOf(q, housing));
    } catch (error) {
      // what is wrong with her log is said of her
      if (error instanceof InputError) return [];
      throw error;
    }
  });
  return queens.map((q, i) => {
    const places = new Set(q.places.map((p) => p.id));
    const falls = read.flatMap((f, by) => (by === i ? [] : f)).filter((f) => places.has(f.placeId));
    return { ...q, falls };
  });
}

/** What a queen's own finished stages say of her kind, for the others. */
export type Lesson = { profileId: string; stages: KindEvidence } | null;

/** What an outlook rests on besides her log. */
export interface Basis {
  kinds: { profileId: string; weight: number; namedBy: string | null; profile: SpeciesProfile }[];
  /** Her place as it is now: as it was measured, where it was. */
  place: Place;
  /** How warm she stands now, °C: a waking that is only assumed is not yet. */
  tempC: number;
  /** How warm she has stood and will stand, with the waking that keepers give where none is planned. */
  temperature: Temperature;
  /** Where her tube has stood, and as her place is planned will stand. */
  rooms: Room[];
  waking: Instant | null;
  thermometerErrorC: number;
  /** When it was measured to be so hot where she stood that she was in danger, oldest first. */
  hotSpells: HotSpell[];
  /** The first day on which her place was measured, as far back as it matters; null when what is told counts. */
  measuredSince: Instant | null;
  teaches: Lesson;
  /** What was read at her tubes of how the warmth falls, for her neighbours. */
  falls: HeatFall[];
  learnedFrom: LearnedFrom;
}

/** Finished stages of the keeper's other queens that moved an outlook: the most for any stage, of her kind and of its genus. */
export interface LearnedFrom {
  kind: number;
  genus: number;
}

/** A guess or a likely name leaves more room: spreads are so many times as wide. Priors. */
const LOOSER = { certain: 1, likely: 1.08, guess: 1.3 } as const;

/** So long before she came brood that came with her may have been laid, at the most, days: what was before matters to nobody. */
export const BEFORE_HER_DAYS = 200;

/** Her kinds as they stand after what the others taught, and how warm she has stood and will stand. */
export function basisOf(
  facts: QueenFacts,
  known: QueenLedger,
  housing: Housing,
  settings: KeeperSettings,
  now: Instant,
  { profileOf = speciesProfile, learned = {} }: ViewOptions = {},
): Basis {
  const { queen, place, places, measured: records = [], falls: others = [] } = facts;
  const stays = staysOf(known, queen, places, place, now);
  const { hemisphere } = settings;
  const since = addDays(known.intake?.at ?? now, -BEFORE_HER_DAYS);
  const measured = { records, now, hemisphere, since };
  const tube = tubeOf(facts, housing);
  const unheated = stoodIn(stays, measured);
  const falls = heatFalls(known, queen.placeId, tube);
  const here = fallsAt(place.id, [...falls, ...others]);
  const { rooms, temperature: stood } = heatedBy(unheated, known, tube, here);
  const record = recordOf(measured, place.id);
  const sure = known.species?.sure ?? 'guess';
  const from: LearnedFrom = { kind: 0, genus: 0 };
  const kinds = speciesWeights(known.species).map((w) => {
    const profile = profileOf(w.profileId);
    const taught = settings.learn ? taughtOf(profile, learned, profileOf) : NOTHING_TAUGHT;
    from.kind = Math.max(from.kind, ...Object.values(taught.own).map((e) => e.n));
    from.genus = Math.max(from.genus, ...Object.values(taught.kin).map((e) => e.n));
    return { ...w, profile: looser(learnedProfile(profile, taught), LOOSER[sure]) };
  });
  const likeliest = kinds.reduce((a, k) => (k.weight > a.weight ? k : a));
  const { temperature: woken, waking } = withWaking(stood, likeliest.profile, hemisphere, now);
  // the dates follow the winter that is advised, so that the two never contradict each other
  const temperature = waking ? woken : withAdvisedWinter(woken, likeliest.profile, hemisphere, now);
  return {
    kinds,
    place: placeNow(
      place,
      record,
      latelyRead(measured, place.id),
      { told: unheated.temperature, hers: stood },
      now,
    ),
    tempC: temperatureAt(stood, now),
    rooms,
    temperature,
    waking,
    thermometerErrorC: thermometerErrorC(place, record),
    hotSpells: hotSpells(stays, records, {
      since: known.intake?.at ?? now,
      now,
      limitC: dangerC(likeliest.profile),
    }),
    measuredSince: record ? instantOf((record.days[0] as MeasuredDay).day * DAY_MS) : null,
    teaches: lesson(known, stood, settings, profileOf),
    falls,
    learnedFrom: from,
  };
}

function looser(profile: SpeciesProfile, times: number): SpeciesProfile {
  // an unknown kind is held loosely already
  if (times === 1 || profile.founder.value === 'unknown') return profile;
  const wider = <S extends { logSpread: number }>(s: S): S => ({ ...s, logSpread: s.logSpread * times });
  const { laying, egg, larva, pupa } = profile.stages;
  return {
    ...profile,
    queenLogSpread: { ...profile.queenLogSpread, value: profile.queenLogSpread.value * times },
    stages: { laying: wider(laying), egg: wider(egg), larva: wider(larva), pupa: wider(pupa) },
  };
}

/** What her finished stages say, when her species is more than a guess. */
function lesson(
  known: QueenLedger,
  temperature: Temperature,
  { hemisphere }: KeeperSettings,
  profileOf: (id: string) => SpeciesProfile,
): Lesson {
  const { species } = known;
  if (!species || species.sure === 'guess' || species.others?.length) return null;
  const stages = stageEvidence(profileOf(species.profileId), known, temperature, hemisphere);
  return Object.keys(stages).length > 0 ? { profileId: species.profileId, stages } : null;
}

/** Place after place; one that is not known counts as the present one. */
function staysOf(
  known: QueenLedger,
  queen: Queen,
  places: readonly Place[],
  place: Place,
  now: Instant,
): Stay[] {
  const at = (id: string) => places.find((p) => p.id === id) ?? place;
  const moved =
    known.moves.length === 0
      ? [{ from: instantOf(0), place }]
      : [
          { from: instantOf(0), place: at(queen.placeId) },
          ...known.moves.map((m) => ({ from: m.at, place: at(m.placeId) })),
        ];
  return [...moved, ...plannedStays(known, places, place, now)];
}

/**
 * Where she will stand by the plan of her winter. What is past, and today, is as it was written: a plan carries nobody. While she stands in
 * the cold of another winter, that one ends first.
 */
function plannedStays(
  { winterPlan: plan }: QueenLedger,
  places: readonly Place[],
  place: Place,
  now: Instant,
): Stay[] {
  if (!plan || msOf(plan.until) <= msOf(now)) return [];
  const [cold, warm] = [plan.placeId, plan.thenPlaceId].map((id) => places.find((p) => p.id === id));
  if (!cold || !warm) return [];
  if (place.id === cold.id) return planBegun(plan, place, now) ? [{ from: plan.until, place: warm }] : [];
  const from = latest(plan.from, addDays(now, 1)) as Instant;
  return msOf(from) < msOf(plan.until)
    ? [
        { from, place: cold },
        { from: plan.until, place: warm },
      ]
    : [];
}

/** A queen's own seed, so that her outlook does not flicker between two answers (FNV-1a of her id). */
export function seedOf(id: string): number {
  let hash = 0x811c9dc5;
  for (let i = 0; i < id.length; i++) hash = Math.imul(hash ^ id.charCodeAt(i), 0x01000193);
  return hash & 0x7fffffff;
}
