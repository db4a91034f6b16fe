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
import { alongOf, heatedTube, heatsHere, settingOf } from './heated';

/** What a setting of the heat comes to for her. */
export interface HeatBench {
  cell: { coolMm: number; middleMm: number; warmMm: number };
  along: HeatAlong | null;
  /** What she seems to prefer by where she sat. */
  preferred: Band;
  seats: Seat[];
  /** What she seemed to prefer after each look that says where she sat, oldest first. */
  course: { at: Instant; seat: Seat; preferred: Band }[];
  step: HeatStep | null;
  /** Why there is no answer: a sentence with a way out. */
  trouble: string | null;
}

/** A bubble that nobody has measured is taken to be this large, ml. Prior. */
const BUBBLE_ML = 0.5;

/**
 * The heat at her tube: how warm it is along it, what she seems to prefer and what is done next.
 * @param setting as it stands in the form; null while nothing was read
 * @param seatNow where she sits with this setting, mm from the closed end; null when that is not known
 */
export function heatBench(
  known: QueenLedger,
  tube: TubeHome,
  profile: SpeciesProfile,
  setting: HeatSetting | null,
  seatNow: number | null = null,
): HeatBench {
  const heated = heatedTube(tube);
  const heats = heatsHere(known, tube);
  const sat = known.seats.flatMap(({ at, atMm }): { at: Instant; seat: Seat }[] => {
    const laid = heats.filter((h) => msOf(h.at) <= msOf(at)).length - 1;
    const along = laid < 0 ? null : alongOf(tube, heats, laid);
    return along ? [{ at, seat: seatOf(heated, along, atMm) }] : [];
  });
  const best = profile.bestTempC.value;
  const seats = sat.map((s) => s.seat);
  const agesAt = (at: Instant) => sat.map((s) => Math.max(0, daysBetween(s.at, at)));
  const course = sat.map(({ at, seat }, i) => ({
    at,
    seat,
    preferred: preferenceOf(seats.slice(0, i + 1), best, agesAt(at)),
  }));
  const answer = { cell: cellOf(heated), along: null, step: null, trouble: null, course };
  const lately = course[course.length - 1]?.preferred ?? preferenceOf([], best);
  if (!setting) return { ...answer, seats, preferred: lately };
  try {
    const along = heatAlong(
      tube,
      setting,
      heats.flatMap((h) => settingOf(h) ?? []),
    );
    const last = sat[sat.length - 1];
    const ages = last ? agesAt(last.at) : [];
    if (seatNow !== null) {
      seats.push(seatOf(heated, along, seatNow));
      ages.push(0);
    }
    const preferred = preferenceOf(seats, best, ages);
    const limits = { best, dangerC: dangerC(profile), bubbleMl: BUBBLE_ML };
    return { ...answer, along, seats, preferred, step: nextHeatStep(heated, along, preferred, limits) };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { ...answer, seats, preferred: lately, trouble: error.message };
  }
}
