import { dangerC } from './heat';
import type { TubeHome } from '../facts';
import type { QueenLedger } from '../founding';
import { daysBetween, InputError, msOf, type Band, type Instant } from '../quantity';
import type { SpeciesProfile } from '../species';
import {
  cellOf,
  heatAlong,
  nextHeatStep,
  preferenceOf,
  seatOf,
  type HeatAlong,
  type HeatSetting,
  type HeatStep,
  type Seat,
} from '../tube';
import { alongOf, heatedTube, heatsHere } from './heated';

/** What a setting of the heat comes to for her. */
export interface HeatBench {
  cell: { coolMm: number; middleMm: number; warmMm: number };
  along: HeatAlong | null;
  /** What she seems to prefer by where she sat. */
  preferred: Band;
  seats: Seat[];
  step: HeatStep | null;
  /** Why there is no answer: a sentence with a way out. */
  trouble: string | null;
}

/** A bubble that nobody has measured is taken to be this large, ml. Prior. */
const BUBBLE_ML = 0.5;

/** Where she sat at the heat, look by look. */
function seatsOf(
  known: QueenLedger,
  tube: TubeHome,
  falls: readonly number[],
): { at: Instant; seat: Seat }[] {
  const heats = heatsHere(known, tube);
  return known.seats.flatMap(({ at, atMm }) => {
    const laid = heats.filter((h) => msOf(h.at) <= msOf(at)).at(-1);
    const along = laid ? alongOf(tube, laid, falls) : null;
    return along ? [{ at, seat: seatOf(heatedTube(tube), along, atMm) }] : [];
  });
}

/** What she seems to prefer as of her last look. */
function preferredBy(sat: readonly { at: Instant; seat: Seat }[], best: { low: number; high: number }): Band {
  const last = sat[sat.length - 1];
  const ages = last ? sat.map((s) => daysBetween(s.at, last.at)) : [];
  return preferenceOf(
    sat.map((s) => s.seat),
    best,
    ages,
  );
}

/** What she seemed to prefer after one of her looks, by that one and all before. */
export interface Preferred {
  at: Instant;
  seat: Seat;
  band: Band;
}

/** So many of the last looks show how it went. */
const COURSE_LOOKS = 12;

/**
 * How what she seems to prefer has changed: after each of her last looks that say where she sat, oldest first.
 * @param falls of the heat at her place, mm
 */
export function preferenceCourse(
  known: QueenLedger,
  tube: TubeHome,
  profile: SpeciesProfile,
  falls: readonly number[],
): Preferred[] {
  const sat = seatsOf(known, tube, falls);
  const first = Math.max(0, sat.length - COURSE_LOOKS);
  return sat
    .slice(first)
    .map((s, i) => ({ ...s, band: preferredBy(sat.slice(0, first + i + 1), profile.bestTempC.value) }));
}

/**
 * The heat at her tube: how warm it is along it, what she seems to prefer and what is done next.
 * @param falls of the heat at her place, hers and her neighbours', mm
 * @param setting as it stands in the form; null while nothing was read
 */
export function heatBench(
  known: QueenLedger,
  tube: TubeHome,
  profile: SpeciesProfile,
  falls: readonly number[],
  setting: HeatSetting | null,
): HeatBench {
  const heated = heatedTube(tube);
  const sat = seatsOf(known, tube, falls);
  const best = profile.bestTempC.value;
  const preferred = preferredBy(sat, best);
  const seats = sat.map((s) => s.seat);
  const answer = { cell: cellOf(heated), along: null, step: null, trouble: null, seats, preferred };
  if (!setting) return answer;
  try {
    const along = heatAlong(tube, setting, falls);
    const limits = { best, dangerC: dangerC(profile), bubbleMl: BUBBLE_ML };
    return { ...answer, along, step: nextHeatStep(heated, along, preferred, limits) };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { ...answer, trouble: error.message };
  }
}
