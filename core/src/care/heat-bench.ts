import { dangerC } from './heat';
import type { TubeHome } from '../facts';
import type { QueenLedger } from '../founding';
import { InputError, msOf, type Band } from '../quantity';
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
  const seats = known.seats.flatMap(({ at, atMm }): Seat[] => {
    const laid = heats.filter((h) => msOf(h.at) <= msOf(at)).length - 1;
    const along = laid < 0 ? null : alongOf(tube, heats, laid);
    return along ? [seatOf(heated, along, atMm)] : [];
  });
  const best = profile.bestTempC.value;
  const answer = { cell: cellOf(heated), along: null, step: null, trouble: null };
  if (!setting) return { ...answer, seats, preferred: preferenceOf(seats, best) };
  try {
    const along = heatAlong(
      tube,
      setting,
      heats.flatMap((h) => settingOf(h) ?? []),
    );
    if (seatNow !== null) seats.push(seatOf(heated, along, seatNow));
    const preferred = preferenceOf(seats, best);
    const limits = { best, dangerC: dangerC(profile), bubbleMl: BUBBLE_ML };
    return { ...answer, along, seats, preferred, step: nextHeatStep(heated, along, preferred, limits) };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { ...answer, seats, preferred: preferenceOf(seats, best), trouble: error.message };
  }
}
