import type { Place } from '../facts';
import { instantOf, latest, msOf, type Instant } from '../quantity';
import { isWinteringTempC, phaseOf, winterAround, type Hemisphere, type Phase } from '../season';
import type { SpeciesProfile } from '../species';
import { temperatureAt, type Temperature } from './clock';
import { nothingDevelops } from './response';

/**
 * A cheap thermometer is off by up to a degree and a half in eight cases of ten (prior; "one or two degrees" is common
 * practice): standard error of one that nobody checked, of a checked one, and where nobody has measured (off by up to three
 * degrees in eight cases of ten, prior), °C.
 */
export const THERMOMETER_ERROR_C = { unchecked: 1.17, checked: 0.3, unmeasured: 2.34 } as const;
/** What a room where nobody has measured is taken to have, °C. Prior. */
export const ROOM_WARM_C = 21;

export const thermometerErrorC = ({ spot }: Pick<Place, 'spot'>): number =>
  spot?.measured === false
    ? THERMOMETER_ERROR_C.unmeasured
    : spot?.thermometerChecked
      ? THERMOMETER_ERROR_C.checked
      : THERMOMETER_ERROR_C.unchecked;

/** A place's warmth over time: steady, or cold until the winter ends. */
export function placeTemperature(place: Pick<Place, 'tempC' | 'winter'>): Temperature {
  if (!place.winter) return place.tempC;
  return {
    steps: [
      { from: instantOf(0), tempC: place.tempC },
      { from: place.winter.until, tempC: place.winter.thenTempC },
    ],
  };
}

/** One place after another: since when she has stood in each. */
export interface Stay {
  from: Instant;
  place: Place;
}

/** Warmth and dryness of the room from a moment until the next. */
export interface Room {
  from: Instant;
  tempC: number;
  roomRelHumidity: number;
}

/** The rooms that she has stood in, and will stand in as her place is planned; the first also holds before its moment. */
export function roomsOfStays(stays: readonly Stay[]): Room[] {
  const rooms = stays.flatMap(({ from, place }, i): Room[] => {
    const until = stays[i + 1]?.from;
    const { roomRelHumidity } = place;
    const within = placeTemperature(place);
    const later = typeof within === 'number' ? [] : within.steps.filter((s) => msOf(s.from) > msOf(from));
    return [
      { from, tempC: temperatureAt(within, from), roomRelHumidity },
      ...later
        .filter((s) => until === undefined || msOf(s.from) < msOf(until))
        .map((s) => ({ ...s, roomRelHumidity })),
    ];
  });
  // two moves at one moment: the later written holds
  return rooms.filter((s, i) => msOf(s.from) !== msOf(rooms[i + 1]?.from ?? instantOf(-1)));
}

/** How warm she has stood in place after place, and will stand. */
export function temperatureOfStays(stays: readonly Stay[]): Temperature {
  const [only] = stays;
  if (stays.length === 1 && only) return placeTemperature(only.place);
  return { steps: roomsOfStays(stays).map(({ from, tempC }) => ({ from, tempC })) };
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
  const last = lastOf(temperature);
  const nothing = { temperature, waking: null };
  const winter = winterAround(now, hemisphere);
  if (!wintersAt(profile, last, true, phaseOf(now, winter))) return nothing;
  // cold outside the winter is a mistake of the place, not a wintering
  if (msOf(now) < msOf(winter.beginFrom)) return nothing;
  const { low, high } = profile.bestTempC.value;
  const steps =
    typeof temperature === 'number' ? [{ from: instantOf(0), tempC: temperature }] : temperature.steps;
  // she is still in the cold: what is past cannot be planned
  const waking = latest(winter.wake, now) as Instant;
  return { temperature: { steps: [...steps, { from: waking, tempC: (low + high) / 2 }] }, waking };
}

function lastOf(temperature: Temperature): number {
  if (typeof temperature === 'number') return temperature;
  return temperature.steps[temperature.steps.length - 1]?.tempC ?? NaN;
}
