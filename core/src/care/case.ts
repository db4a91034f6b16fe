import type { LookingSchoolId, NestSchoolId, Place, SpaceSchoolId, TubeHome } from '../facts';
import {
  FIRST_TUBE,
  founderBelief,
  unseenTube,
  type FounderBelief,
  type Outlook,
  type QueenLedger,
  type TubeState,
} from '../founding';
import { housing, partOf, standing, type Housing, type Move } from '../housing';
import { addDays, latest, msOf, UTC, type CountRange, type Instant, type Zone } from '../quantity';
import { phaseOf, winterAround, type Hemisphere, type Phase, type Winter } from '../season';
import type { SpeciesProfile } from '../species';
import { reservoirBand, type Reservoir } from '../tube';
import { placeTemperature, roomsOfStays, temperatureAt, wintersAt, type Room } from '../warmth';
import { peaceOf, type Peace } from './disturbance';
import { figure } from './practice';
import { lookingSchool, type LookingSchool } from './schools';

/** What a case is made from. */
export interface CaseInput {
  profile: SpeciesProfile;
  ledger: QueenLedger;
  /** Null for a social parasite: no founding plan is pretended. */
  outlook: Outlook | null;
  /** What kind of founder she is held to be; by her profile alone when not given. */
  founder?: FounderBelief;
  /** The tube she was taken in with. */
  tube: TubeHome;
  /** Her home as its changes left it; the first tube alone when not given. */
  housing?: Housing;
  place: Place;
  /** Where her tube has stood, one room after another; where it stands now when not given. */
  rooms?: readonly Room[];
  lookingSchool: LookingSchoolId;
  spaceSchool?: SpaceSchoolId;
  nestSchool?: NestSchoolId;
  hemisphere?: Hemisphere;
  zone?: Zone;
  now: Instant;
}

/** Must she eat while she founds? One answer for all rules. Host-fed: a parasite's host workers feed her. */
export type Eating = 'must' | 'perhaps' | 'no' | 'host-fed';

/** Where her colony is in its life. Gone: nobody is left to be cared for. */
export type Life = 'founding' | 'colony' | 'orphans' | 'gone';

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
  /** The tube she lives in now. */
  tube: TubeHome;
  /** Her move into another tube, while it is under way; none without a queen. */
  move: Move | null;
  place: Place;
  /** How warm she stands now. */
  tempC: number;
  /** The water of the tube she lives in. */
  water: Reservoir;
  /** The water of the other tube of a move. */
  otherWater: Reservoir | null;
  /** Until when, at the least, she can drink in a tube tied to hers; null when in none. */
  drinksElsewhereUntil: Instant | null;
  looking: LookingSchool;
  spaceSchool: SpaceSchoolId;
  nestSchool: NestSchoolId;
  /** Her own or her host's, as last counted, less the dead found since; null when none was ever seen. */
  workers: { range: CountRange; at: Instant; entryId: string } | null;
  /** The winter that it is, or the next; null for kinds that do not winter. */
  winter: Winter | null;
  phase: Phase;
  /** She stands in the cold of winter, on purpose. */
  wintering: boolean;
  peace: Peace;
}

/** @throws InputError when the tube or its readings cannot be */
export function caseOf(input: CaseInput): Case {
  const { profile, ledger: known, outlook: ahead, place, now } = input;
  const { hemisphere = 'north', zone = UTC } = input;
  const tempC = temperatureAt(placeTemperature(place), now);
  const founder =
    input.founder ??
    founderBelief([{ kind: 'species', founder: profile.founder.value, weight: 1, source: 'profile' }]);
  const eating = eatingOf(founder);
  const winter = winterAround(now, hemisphere, zone);
  const phase = phaseOf(now, winter);
  const looking = lookingSchool(input.lookingSchool);
  const counted = known.counts.workers;
  const home = input.housing ?? housing(input.tube, []);
  const tubeOf = (id: string): TubeHome => partOf(home, id)?.tube ?? input.tube;
  const tube = tubeOf(home.home);
  const life = lifeOf(known, ahead, eating);
  const move = life === 'orphans' || life === 'gone' ? null : home.move;
  const otherId = move ? (move.to === home.home ? move.from : move.to) : null;
  const rooms = input.rooms ?? roomsOfStays([{ from: tube.setUpAt, place }]);
  const planned = place.winter !== null && msOf(place.winter.until) > msOf(now);
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
    tube,
    move,
    place,
    tempC,
    water: waterOf(known, tube, rooms, now),
    drinksElsewhereUntil: drinksUntil(known, home, rooms, now),
    otherWater: otherId
      ? waterOf(
          known.elsewhere[otherId] ?? known.elsewhere[FIRST_TUBE] ?? unseenTube(),
          tubeOf(otherId),
          rooms,
          now,
        )
      : null,
    looking,
    spaceSchool: input.spaceSchool ?? 'about-fifteen',
    nestSchool: input.nestSchool ?? 'count',
    workers: counted && counted.range.high !== 0 ? counted : null,
    winter: profile.winters.value ? winter : null,
    phase: profile.winters.value ? phase : 'growing',
    wintering: wintersAt(profile, tempC, planned, phase),
    peace: peaceOf(known, ahead, looking, eating === 'must', now),
  };
}

function eatingOf({ course }: FounderBelief): Eating {
  switch (course) {
    case 'feed-throughout':
      return 'must';
    case 'offer-and-watch':
      return 'perhaps';
    case 'no-plan':
      return 'host-fed';
    case 'water-only':
      return 'no';
  }
}

/** Founding ends with the first batch, or when there are workers enough, whichever is seen first. */
function lifeOf(known: QueenLedger, ahead: Outlook | null, eating: Eating): Life {
  if (known.loss) return known.loss.orphans ? 'orphans' : 'gone';
  const workers = known.counts.workers?.range;
  if (!workers || workers.high === 0) return 'founding';
  if (eating === 'host-fed') return 'colony';
  const grown = workers.low >= figure('grownWorkers');
  const cameWhole = known.appearances.workers.byEntry === known.intake?.entryId;
  return grown || cameWhole || ahead?.next === null ? 'colony' : 'founding';
}

/** The water of the tubes that are tied to hers: what only stands beside is out of her reach. */
function drinksUntil(
  known: QueenLedger,
  home: Housing,
  rooms: readonly Room[],
  now: Instant,
): Instant | null {
  const tied = standing(home).filter(
    (p) => p.tube.id !== home.home && (p.joint !== null || home.parts.some((q) => q.joint?.to === p.tube.id)),
  );
  const until = tied.map(({ tube }) => {
    const state = known.elsewhere[tube.id] ?? known.elsewhere[FIRST_TUBE] ?? unseenTube();
    // beyond the horizon counts as its end
    return waterOf(state, tube, rooms, now).dryAt.p10 ?? addDays(now, 3650);
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
