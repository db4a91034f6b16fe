import {
  asTube,
  DEFAULT_SETTINGS,
  type HomePart,
  type LightSchoolId,
  type LookingSchoolId,
  type NestSchoolId,
  type PatienceSchoolId,
  type Place,
  type SpaceSchoolId,
  type TubeHome,
} from '../facts';
import {
  FIRST_TUBE,
  founderBelief,
  unseenTube,
  type FounderBelief,
  type Outlook,
  type QueenLedger,
  type TubeState,
} from '../founding';
import {
  housing,
  partOf,
  reachedFrom,
  standing,
  wateringOf,
  type Housing,
  type Move,
  type PartNow,
  type Watering,
} from '../housing';
import {
  addDays,
  lastNotAfter,
  latest,
  msOf,
  UTC,
  type CountRange,
  type Instant,
  type Zone,
} from '../quantity';
import { phaseOf, winterAround, type Hemisphere, type Phase, type Winter } from '../season';
import type { SpeciesProfile } from '../species';
import { reservoirBand, type Reservoir } from '../tube';
import {
  placeTemperature,
  roomsOfStays,
  temperatureAt,
  thermometerErrorC,
  wintersAt,
  type HotSpell,
  type Room,
} from '../warmth';
import { peaceOf, type Peace } from './peace';
import { figure } from './practice';
import { lookingSchool, patienceDaysOf, type LookingSchool } from './schools';

/** What a case is made from. */
export interface CaseInput {
  profile: SpeciesProfile;
  ledger: QueenLedger;
  /** Null for a social parasite: no founding plan is pretended. */
  outlook: Outlook | null;
  /** What kind of founder she is held to be; by her profile alone when not given. */
  founder?: FounderBelief;
  /** The part she was taken in with. */
  home: HomePart;
  /** Her home as its changes left it; the first part alone when not given. */
  housing?: Housing;
  place: Place;
  /** Where her tube has stood, one room after another; where it stands now when not given. */
  rooms?: readonly Room[];
  /** Standard error of the thermometer there, °C; as it was told of the place when not given. */
  thermometerErrorC?: number;
  /** When it was measured to be so hot where she stood that she was in danger, oldest first; none when not given. */
  hotSpells?: readonly HotSpell[];
  lookingSchool: LookingSchoolId;
  spaceSchool?: SpaceSchoolId;
  nestSchool?: NestSchoolId;
  lightSchool?: LightSchoolId;
  patienceSchool?: PatienceSchoolId;
  hemisphere?: Hemisphere;
  zone?: Zone;
  now: Instant;
}

/**
 * Must she eat? One answer for all rules. Spent: her workers came and are gone, and her reserves with them. Alone: she cannot found
 * alone, and nobody is with her. Host-fed: a parasite's host workers feed her. Dependent: workers of her own, with whom she founds.
 */
export type Eating = 'must' | 'spent' | 'alone' | 'perhaps' | 'no' | 'host-fed' | 'dependent';

/** She is fed by the keeper from the start and throughout: she has no reserves to live on, and nobody to feed her. */
export const fedThroughout = (eating: Eating): boolean =>
  eating === 'must' || eating === 'spent' || eating === 'alone';

/** Where her colony is in its life. Gone: nobody is left to be cared for. */
export type Life = 'founding' | 'colony' | 'orphans' | 'gone';

export interface Watered {
  now: PartNow;
  watering: Watering;
}

/** Everything that a rule may look at. */
export interface Case {
  now: Instant;
  zone: Zone;
  hemisphere: Hemisphere;
  profile: SpeciesProfile;
  known: QueenLedger;
  ahead: Outlook | null;
  founder: FounderBelief;
  eating: Eating;
  life: Life;
  housing: Housing;
  /** The part she lives in now. */
  part: HomePart;
  /** The same when it is a tube. */
  tube: TubeHome | null;
  /** Her move into another part, while it is under way; none without a queen. */
  move: Move | null;
  place: Place;
  /** Where her tube has stood, one room after another: how warm and how dry. */
  rooms: readonly Room[];
  /** How warm she stands now. */
  tempC: number;
  /** The coldest that was read at her place within the last days; null when nothing was. */
  coldestC: number | null;
  /** Standard error of the thermometer that says so, °C. */
  tempErrorC: number;
  /** When it was measured to be so hot where she stood that she was in danger, oldest first. */
  hotSpells: readonly HotSpell[];
  /** The water of the tube she lives in; null when she lives in something else. */
  water: Reservoir | null;
  /** The water of the other part of a move, when that is a tube. */
  otherWater: Reservoir | null;
  /** Humidity of the room she stands in, as it was measured last or else told, a share. */
  roomRelHumidity: number;
  /** The parts within her reach, or ready for her, that are watered by hand; the one she lives in first. */
  watered: Watered[];
  /** Until when, at the least, she can drink in a part tied to hers; null when in none. */
  drinksElsewhereUntil: Instant | null;
  looking: LookingSchool;
  spaceSchool: SpaceSchoolId;
  nestSchool: NestSchoolId;
  lightSchool: LightSchoolId;
  /** Days that each step of a move is given; null: as long as it takes. */
  patienceDays: number | null;
  /** Her own or her host's, as last counted, less the dead found since; null when there are none. */
  workers: { range: CountRange; at: Instant; entryId: string } | null;
  /** There were workers and there are none any more: the last count of them; null when none ever came, or there are some. */
  workersGone: QueenLedger['lastWorkers'];
  /** The winter that it is, or the next; null for kinds that do not winter. */
  winter: Winter | null;
  phase: Phase;
  /** She stands in the cold of winter, on purpose. */
  wintering: boolean;
  /** Until about when; null when she does not winter now. */
  wintersUntil: Instant | null;
  /** Her winter as it was planned, until some time after its end; null when none is. */
  plan: QueenLedger['winterPlan'];
  /** How warm the places of that plan are, as they were measured or else told: the cold one when she comes there, the other when she is warmed. */
  planC: { coldC: number; warmC: number } | null;
  peace: Peace;
}

/** A case of one that lives in a tube. */
export type InTube = Case & { tube: TubeHome; water: Reservoir };
export const livesInTube = (c: Case): c is InTube => c.tube !== null && c.water !== null;

/** @throws InputError when the tube or its readings cannot be */
export function caseOf(input: CaseInput): Case {
  const { profile, ledger: known, outlook: ahead, place, now } = input;
  const { hemisphere = 'north', zone = UTC } = input;
  const tempC = temperatureAt(placeTemperature(place), now);
  const founder =
    input.founder ??
    founderBelief([{ kind: 'species', founder: profile.founder.value, weight: 1, source: 'profile' }]);
  const winter = winterAround(now, hemisphere, zone);
  const phase = phaseOf(now, winter);
  const looking = lookingSchool(input.lookingSchool);
  const counted = known.counts.workers;
  const workers = counted && counted.range.high !== 0 ? counted : null;
  const workersGone = workers ? null : known.lastWorkers;
  const eating = eatingOf(founder, workers !== null, workersGone !== null);
  const home = input.housing ?? housing(input.home, []);
  const partNamed = (id: string): HomePart => partOf(home, id)?.part ?? input.home;
  const part = partNamed(home.home);
  const tube = asTube(part);
  const life = lifeOf(known, ahead, eating);
  const move = life === 'orphans' || life === 'gone' ? null : home.move;
  const otherId = move ? (move.to === home.home ? move.from : move.to) : null;
  const other = otherId ? asTube(partNamed(otherId)) : null;
  const rooms = input.rooms ?? roomsOfStays([{ from: part.setUpAt, place }]);
  const lines = (id: string): TubeState => known.elsewhere[id] ?? known.elsewhere[FIRST_TUBE] ?? unseenTube();
  const watered = wateredOf(home, rooms, now);
  const plan = planOf(known, now);
  const planned =
    (place.winter !== null && msOf(place.winter.until) > msOf(now)) || planBegun(plan, place, now);
  const wintering = wintersAt(profile, tempC, planned, phase);
  const wakes = [plan?.until, place.winter?.until, winter.wake].find((at) => at && msOf(at) > msOf(now));
  const wintersUntil = wintering ? (wakes ?? null) : null;
  return {
    now,
    zone,
    hemisphere,
    profile,
    known,
    ahead,
    founder,
    eating,
    life,
    housing: home,
    part,
    tube,
    move,
    place,
    rooms,
    tempC,
    coldestC: place.spot?.dayLowC ?? null,
    tempErrorC: input.thermometerErrorC ?? thermometerErrorC(place),
    hotSpells: input.hotSpells ?? [],
    water: tube ? waterOf(known, tube, rooms, now) : null,
    otherWater: other ? waterOf(lines(other.id), other, rooms, now) : null,
    roomRelHumidity: roomAt(rooms, now)?.roomRelHumidity ?? place.roomRelHumidity,
    watered,
    drinksElsewhereUntil: drinksUntil(home, watered, now, (t) => waterOf(lines(t.id), t, rooms, now)),
    looking,
    spaceSchool: input.spaceSchool ?? 'about-fifteen',
    nestSchool: input.nestSchool ?? 'count',
    lightSchool: input.lightSchool ?? DEFAULT_SETTINGS.lightSchool,
    patienceDays: patienceDaysOf(input.patienceSchool ?? DEFAULT_SETTINGS.patienceSchool),
    workers,
    workersGone,
    winter: profile.winters.value ? winter : null,
    phase: profile.winters.value ? phase : 'growing',
    wintering,
    wintersUntil,
    plan,
    planC: plan && planC(plan, rooms, now),
    peace: peaceOf({ known, ahead, mustEat: fedThroughout(eating), wintersUntil, now }, looking),
  };
}

function roomAt(rooms: readonly Room[], at: Instant): Room | undefined {
  const i = lastNotAfter(rooms.length, (k) => msOf((rooms[k] as Room).from), msOf(at));
  return rooms[Math.max(0, i)];
}

/** Her rooms reach as far as her plan does: one that was not begun puts her there tomorrow, one that has ended nowhere. */
function planC(plan: NonNullable<Case['plan']>, rooms: readonly Room[], now: Instant): Case['planC'] {
  if (msOf(plan.until) <= msOf(now)) return null;
  const [coming, warmed] = [plan.from, plan.until].map((at) =>
    roomAt(rooms, addDays(latest(at, now) as Instant, THERE_DAYS)),
  );
  return coming && warmed ? { coldC: coming.tempC, warmC: warmed.tempC } : null;
}
/** So long after a date of the plan she stands where it says, days. */
const THERE_DAYS = 2;

/** A plan holds until she should long have been woken: then the season tells what is wrong. */
function planOf({ winterPlan: plan }: QueenLedger, now: Instant): Case['plan'] {
  return plan && msOf(now) < msOf(addDays(plan.until, 2 * figure('wakeSlackDays'))) ? plan : null;
}

/** She stands in the cold as planned, or a little before; a plan for later does not make this cold her winter. */
export const planBegun = (plan: Case['plan'], place: Place, now: Instant): boolean =>
  plan !== null &&
  plan.placeId === place.id &&
  msOf(plan.from) <= msOf(addDays(now, figure('winterPlanSlackDays')));

function eatingOf({ course, probabilities }: FounderBelief, workers: boolean, gone: boolean): Eating {
  if (course === 'no-plan') {
    if (!workers) return 'alone';
    return probabilities.dependent > probabilities['socially-parasitic'] ? 'dependent' : 'host-fed';
  }
  if (gone) return 'spent';
  switch (course) {
    case 'feed-throughout':
      return 'must';
    case 'offer-and-watch':
      return 'perhaps';
    case 'water-only':
      return 'no';
  }
}

/** No plain plan of founding is made for her. */
export const cannotFoundAlone = (eating: Eating): boolean =>
  eating === 'alone' || eating === 'host-fed' || eating === 'dependent';

/** Founding ends with the first batch, or when there are workers enough, whichever is seen first. */
function lifeOf(known: QueenLedger, ahead: Outlook | null, eating: Eating): Life {
  if (known.loss) return known.loss.orphans ? 'orphans' : 'gone';
  const workers = known.counts.workers?.range;
  if (!workers || workers.high === 0) return 'founding';
  if (cannotFoundAlone(eating)) return 'colony';
  const grown = workers.low >= figure('grownWorkers');
  const cameWhole = known.appearances.workers.byEntry === known.intake?.entryId;
  return grown || cameWhole || ahead?.next === null ? 'colony' : 'founding';
}

/** What is watered by hand for her: what she can reach, and what stands ready for her to move into. */
function wateredOf(home: Housing, rooms: readonly Room[], at: Instant): Watered[] {
  const reached = reachedFrom(home, home.home);
  return standing(home)
    .filter(({ part: { id } }) => reached.includes(id) || id === home.move?.to)
    .flatMap((now) => {
      const watering = wateringOf(now, rooms, at);
      return watering ? [{ now, watering }] : [];
    })
    .sort((a, b) => Number(b.now.part.id === home.home) - Number(a.now.part.id === home.home));
}

/** The water of the parts to which she can walk: what only stands beside is out of her reach. */
function drinksUntil(
  home: Housing,
  watered: readonly Watered[],
  now: Instant,
  waterIn: (tube: TubeHome) => Reservoir,
): Instant | null {
  // beyond the horizon counts as its end
  const far = addDays(now, 3650);
  const until = reachedFrom(home, home.home).flatMap((id) => {
    const tube = id === home.home ? null : asTube((partOf(home, id) as PartNow).part);
    if (tube) return [waterIn(tube).dryAt.p10 ?? far];
    const by = id === home.home ? undefined : watered.find((w) => w.now.part.id === id);
    return by ? [by.watering.dryAt.p10 ?? far] : [];
  });
  return latest(...until);
}

/**
 * The water of one tube by every line read of this filling. A line cannot rise by itself: when it stands far higher than before, it is
 * another filling, and what was read before says nothing of it.
 */
function waterOf(
  known: Pick<TubeState, 'waterReadings'>,
  tube: TubeHome,
  rooms: readonly Room[],
  now: Instant,
): Reservoir {
  const start = { at: tube.setUpAt, mm: tube.waterLineMm };
  const later = known.waterReadings.filter((r) => msOf(r.at) > msOf(start.at) && r.mm <= tube.lengthMm);
  let readings = [start, ...later];
  readings.forEach((r, i) => {
    const before = readings[i - 1];
    if (before && r.mm - before.mm > figure('newFillMm')) readings = readings.slice(i);
  });
  return reservoirBand(tube, readings, rooms, tube.plugs, now);
}
