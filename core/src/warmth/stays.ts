import { HALF_RANGES, standardErrorC, type PlaceRecord } from '../climate';
import type { Place } from '../facts';
import { DAY_MS, instantOf, latest, msOf, type Instant } from '../quantity';
import {
  COOL_WINTER_C,
  isWinteringTempC,
  phaseOf,
  winterAround,
  winterRange,
  type Hemisphere,
  type Phase,
} from '../season';
import type { SpeciesProfile } from '../species';
import { nothingDevelops } from './response';
import { recordOf, spanAt, spansOf, type AheadSpan, type Measured, type Room, type RoomSpan } from './places';
import { stepsOf, temperatureAt, thenFrom, type Temperature } from './series';

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

/** Where she has stood and will stand, as told, and where it was measured, as measured and as it goes on from there. */
export interface Stood {
  temperature: Temperature;
  /** The same with how dry the air is; the first also holds before its moment. */
  rooms: Room[];
}

export function stoodIn(stays: readonly Stay[], measured?: Measured): Stood {
  let ahead: AheadSpan | null = null;
  const spans = stays.flatMap(({ from, place }, i): RoomSpan[] => {
    const fromMs = msOf(from);
    const next = stays[i + 1];
    const untilMs = next ? msOf(next.from) : Infinity;
    const here = spansOf(place, measured);
    ahead = here.ahead;
    const later = here.spans.filter((s) => s.fromMs > fromMs && s.fromMs < untilMs);
    return [{ ...spanAt(here.spans, fromMs), fromMs }, ...later];
  });
  const rooms = spans
    // two moves at one moment: the later written holds
    .filter((s, i) => s.fromMs !== spans[i + 1]?.fromMs)
    .map(({ fromMs, ...room }): Room => ({ ...room, from: instantOf(fromMs) }));
  return { rooms, temperature: temperatureOf(rooms, ahead) };
}

function temperatureOf(rooms: Room[], ahead: AheadSpan | null): Temperature {
  const [only] = rooms;
  if (rooms.length === 1 && only && !only.partsC) return only.tempC;
  if (!ahead) return { steps: rooms };
  const { fromMs, untilMs, spreadC } = ahead;
  const until = untilMs === null ? null : instantOf(untilMs);
  return { steps: rooms, ahead: { from: instantOf(fromMs), until, spreadC } };
}

/** The rooms of these stays alone. */
export const roomsOfStays = (stays: readonly Stay[], measured?: Measured): Room[] =>
  stoodIn(stays, measured).rooms;

/** How warm she has stood and will stand in them. */
export const temperatureOfStays = (stays: readonly Stay[], measured?: Measured): Temperature =>
  stoodIn(stays, measured).temperature;

const WINTER_PHASES: readonly Phase[] = ['autumn', 'begin', 'winter', 'spring'];
const DEEP_WINTER: readonly Phase[] = ['begin', 'winter'];

/**
 * Whether this cold is her winter: a place that winters, in its season or by plan; or in the midst of winter any warmth at
 * which nothing develops, or that is a cool winter: a box that has warmed to 13 °C in January is a winter that is too warm, and not
 * spring. One answer for the rules and for what is reckoned of her spring.
 */
export function wintersAt(profile: SpeciesProfile, tempC: number, planned: boolean, phase: Phase): boolean {
  if (!profile.winters.value) return false;
  if (isWinteringTempC(tempC)) return planned || WINTER_PHASES.includes(phase);
  if (DEEP_WINTER.includes(phase) && nothingDevelops(profile, tempC)) return true;
  if (tempC > COOL_WINTER_C.high || profile.inTheCold.value === 'active') return false;
  return planned || phase === 'winter' || (profile.rest.value === 'cool' && phase === 'begin');
}

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
  if (!wintersAt(profile, last, isWinteringTempC(last), phaseOf(now, winter))) return nothing;
  // cold outside the winter is a mistake of the place, not a wintering
  if (msOf(now) < msOf(winter.beginFrom)) return nothing;
  const { low, high } = profile.bestTempC.value;
  // she is still in the cold: what is past cannot be planned
  const waking = latest(winter.wake, now) as Instant;
  return { temperature: thenFrom(temperature, waking, [{ from: waking, tempC: (low + high) / 2 }]), waking };
}

/**
 * The winter that is advised and not planned: a kind that rests in the cold is reckoned to be wintered when it is time, as deep as suits
 * her, and warmed again in spring to what she stood in before. Of whom it is not known whether a winter suits her none is reckoned.
 */
export function withAdvisedWinter(
  temperature: Temperature,
  profile: SpeciesProfile,
  hemisphere: Hemisphere,
  now: Instant,
): Temperature {
  const { rest, inTheCold } = profile;
  if (inTheCold.value === 'active' || (rest.value !== 'cool' && rest.value !== 'cold')) return temperature;
  const winter = winterAround(now, hemisphere);
  const stands = standsIn(temperature, now);
  // too late to begin one; or it is cold already, and what is said of waking holds
  if (msOf(now) >= msOf(winter.notAfter) || stands <= COOL_WINTER_C.high) return temperature;
  const planned = stepsOf(temperature).some((s) => msOf(s.from) > msOf(now) && s.tempC <= COOL_WINTER_C.high);
  if (planned) return temperature;
  const { low, high } = winterRange(rest.value);
  const begin = latest(winter.begin, now) as Instant;
  return thenFrom(temperature, begin, [
    { from: begin, tempC: (low + high) / 2 },
    { from: winter.wake, tempC: stands },
  ]);
}

function standsIn(temperature: Temperature, now: Instant): number {
  const steps = stepsOf(temperature);
  const ahead = typeof temperature === 'number' ? undefined : temperature.ahead;
  return ahead && ahead.until === null
    ? temperatureAt(temperature, now)
    : (steps[steps.length - 1]?.tempC ?? NaN);
}

/** A place where what is measured counts, and not what was told. */
export interface ReckonedPlace {
  placeId: string;
  tempC: number;
  roomRelHumidity: number;
  measuredSince: Instant;
}

/** With what queens are reckoned now at the places where enough was measured. */
export function reckonedPlaces(
  places: readonly Place[],
  records: readonly PlaceRecord[],
  now: Instant,
  hemisphere: Hemisphere,
): ReckonedPlace[] {
  return places.flatMap((place) => {
    const record = recordOf({ records, now }, place.id);
    const [first] = record?.days ?? [];
    if (!first) return [];
    const measuredSince = instantOf(first.day * DAY_MS);
    const [room] = roomsOfStays([{ from: now, place }], { records, now, hemisphere, since: measuredSince });
    if (!room) return [];
    const { tempC, roomRelHumidity } = room;
    return [{ placeId: place.id, tempC, roomRelHumidity, measuredSince }];
  });
}
