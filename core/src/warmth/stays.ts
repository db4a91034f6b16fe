import { HALF_RANGES, standardErrorC, type PlaceRecord } from '../climate';
import type { Place } from '../facts';
import { instantOf, latest, msOf, type Instant } from '../quantity';
import { isWinteringTempC, phaseOf, winterAround, type Hemisphere, type Phase } from '../season';
import type { SpeciesProfile } from '../species';
import { nothingDevelops } from './response';
import { roomAt, roomsAt, type Measured, type Room } from './places';
import { stepsOf, temperatureAt, thenFrom, type Ahead, type Temperature } from './series';

/**
 * Standard error of a thermometer that nobody checked, of a checked one, and where nobody has measured (off by up to three degrees in
 * eight cases of ten, prior), °C.
 */
export const THERMOMETER_ERROR_C = {
  unchecked: standardErrorC(HALF_RANGES.tempC),
  checked: standardErrorC(HALF_RANGES.iceC),
  unmeasured: standardErrorC(3),
} as const;
/** What a room where nobody has measured is taken to have, °C. Prior. */
export const ROOM_WARM_C = 21;

export const thermometerErrorC = (
  { spot }: Pick<Place, 'spot'>,
  record: PlaceRecord | null = null,
): number =>
  record
    ? record.errorC
    : spot?.measured === false
      ? THERMOMETER_ERROR_C.unmeasured
      : spot?.thermometerChecked
        ? THERMOMETER_ERROR_C.checked
        : THERMOMETER_ERROR_C.unchecked;

/** One place after another: since when she has stood in each. */
export interface Stay {
  from: Instant;
  place: Place;
}

/** The rooms that she has stood in, and will stand in as her place is planned; the first also holds before its moment. */
export function roomsOfStays(stays: readonly Stay[], measured?: Measured): Room[] {
  return courseOfStays(stays, measured).rooms;
}

/** How warm she has stood in place after place, and will stand: as told, and where it was measured, as measured and as it goes on. */
export function temperatureOfStays(stays: readonly Stay[], measured?: Measured): Temperature {
  const { rooms, ahead } = courseOfStays(stays, measured);
  const steps = rooms.map(({ roomRelHumidity: _, ...step }) => step);
  const [only] = steps;
  if (steps.length === 1 && only && !only.partsC) return only.tempC;
  return { steps, ...(ahead ? { ahead } : {}) };
}

function courseOfStays(stays: readonly Stay[], measured?: Measured): { rooms: Room[]; ahead: Ahead | null } {
  let ahead: Ahead | null = null;
  const rooms = stays.flatMap(({ from, place }, i): Room[] => {
    const until = stays[i + 1]?.from;
    const here = roomsAt(place, measured);
    ahead = here.ahead;
    const later = here.rooms.filter((s) => msOf(s.from) > msOf(from));
    return [
      { ...roomAt(here.rooms, from), from },
      ...later.filter((s) => until === undefined || msOf(s.from) < msOf(until)),
    ];
  });
  // two moves at one moment: the later written holds
  return { rooms: rooms.filter((s, i) => msOf(s.from) !== msOf(rooms[i + 1]?.from ?? instantOf(-1))), ahead };
}

const WINTER_PHASES: readonly Phase[] = ['autumn', 'begin', 'winter', 'spring'];
const DEEP_WINTER: readonly Phase[] = ['begin', 'winter'];

/**
 * Whether this cold is her winter: a place that winters, in its season or by plan; or in the midst of winter any warmth at
 * which nothing develops. One answer for the rules and for what is reckoned of her spring.
 */
export const wintersAt = (profile: SpeciesProfile, tempC: number, planned: boolean, phase: Phase): boolean =>
  profile.winters.value &&
  (isWinteringTempC(tempC)
    ? planned || WINTER_PHASES.includes(phase)
    : DEEP_WINTER.includes(phase) && nothingDevelops(profile, tempC));

/**
 * What is planned, and where nothing is: a kind that winters and stands in the cold of winter is woken in spring, into
 * the middle of its best warmth, as keepers do. Without it she would wait for ever.
 * @returns the temperature to reckon with, and the day of waking that was assumed; null when none was
 */
export function withWaking(
  temperature: Temperature,
  profile: SpeciesProfile,
  hemisphere: Hemisphere,
  now: Instant,
): { temperature: Temperature; waking: Instant | null } {
  // what is expected of a place goes on for years; what counts is how she stands when it is planned no further
  const last = standsIn(temperature, now);
  const nothing = { temperature, waking: null };
  const winter = winterAround(now, hemisphere);
  if (!wintersAt(profile, last, true, phaseOf(now, winter))) return nothing;
  // cold outside the winter is a mistake of the place, not a wintering
  if (msOf(now) < msOf(winter.beginFrom)) return nothing;
  const { low, high } = profile.bestTempC.value;
  // she is still in the cold: what is past cannot be planned
  const waking = latest(winter.wake, now) as Instant;
  return { temperature: thenFrom(temperature, waking, [{ from: waking, tempC: (low + high) / 2 }]), waking };
}

function standsIn(temperature: Temperature, now: Instant): number {
  const steps = stepsOf(temperature);
  const ahead = typeof temperature === 'number' ? undefined : temperature.ahead;
  return ahead && ahead.until === null
    ? temperatureAt(temperature, now)
    : (steps[steps.length - 1]?.tempC ?? NaN);
}
