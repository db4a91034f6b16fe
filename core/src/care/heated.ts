import { mean } from 'simple-statistics';
import { ROOM_C, saturationPressureKPa } from '../climate';
import type { TubeHome } from '../facts';
import type { HeatLaid, QueenLedger } from '../founding';
import { InputError, instantOf, msOf } from '../quantity';
import { cellOf, fallMm, heatAlong, type HeatAlong, type HeatedTube, type HeatSetting } from '../tube';
import { stepAt, stepsOf, type Room, type Stood, type WarmthStep } from '../warmth';
import { figure } from './practice';

/** Her tube as it lies at the heat: the plug stays where it was pushed while the water behind it recedes. */
export const heatedTube = (tube: TubeHome): HeatedTube => ({
  tube,
  plugs: tube.plugs,
  waterLineMm: tube.waterLineMm,
  wallMm: tube.divider?.atMm,
});

/** The heat at this tube and place, oldest first: what was laid before it was set up or carried here says nothing of it. */
export function heatsHere(known: QueenLedger, tube: TubeHome): HeatLaid[] {
  const since = Math.max(msOf(tube.setUpAt), ...known.moves.map((m) => msOf(m.at)));
  return known.heats.filter((h) => msOf(h.at) >= since);
}

/** How the warmth of the heat at a place was read to fall along a tube. One heat a place: two mats stand in two places. */
export interface HeatFall {
  placeId: string;
  lengthMm: number;
}

/**
 * What was read at her tubes of how the warmth falls, wherever she has stood with heat.
 * @param placeId where she was first put
 * @param tube the one she lives in now; null when it is none
 */
export function heatFalls(known: QueenLedger, placeId: string, tube: TubeHome | null): HeatFall[] {
  return known.heats.flatMap((heat) => {
    const setting = settingOf(heat);
    const ms = msOf(heat.at);
    const lengthMm = setting && fallMm(setting, tube && ms >= msOf(tube.setUpAt) ? tube : null);
    const stood = known.moves.filter((m) => msOf(m.at) <= ms).at(-1)?.placeId ?? placeId;
    return lengthMm === null ? [] : [{ placeId: stood, lengthMm }];
  });
}

/** How the warmth falls at a place, by all that was read there, mm. */
export const fallsAt = (placeId: string, falls: readonly HeatFall[]): number[] =>
  falls.flatMap((f) => (f.placeId === placeId ? [f.lengthMm] : []));

/** What a setting says in figures; null when it was taken away, or nothing was read. */
const settingOf = ({ matMm, roomC, readings = [] }: HeatLaid): HeatSetting | null =>
  matMm === null || roomC === undefined || readings.length === 0 ? null : { matMm, roomC, readings };

/**
 * How warm it was along her tube by one of her settings; null when it tells nothing.
 * @param falls of the heat at her place, mm
 */
export function alongOf(tube: TubeHome, heat: HeatLaid, falls: readonly number[]): HeatAlong | null {
  const setting = settingOf(heat);
  if (!setting) return null;
  try {
    return heatAlong(tube, setting, falls);
  } catch (error) {
    // readings that do not fall say nothing; the form told so when they were written
    if (error instanceof InputError) return null;
    throw error;
  }
}

/**
 * What is made of one setting: nothing where a reading cannot be right, and never much more than the warmest that was read. What is
 * reckoned beyond the readings is no measurement.
 */
function believed(along: HeatAlong | null, { readings = [], roomC = 0 }: HeatLaid): HeatAlong | null {
  const cannotBe = (c: number) => c > ROOM_C.max || c < ROOM_C.min;
  if (!along || readings.some((r) => cannotBe(r.tempC)) || cannotBe(roomC)) return null;
  const most = Math.min(
    ROOM_C.max,
    Math.max(roomC, ...readings.map((r) => r.tempC)) + figure('readsBeyondC'),
  );
  return { ...along, atC: (mm) => Math.min(most, along.atC(mm)) };
}

/**
 * How warm she stands with the heat at her tube: from each setting on as much warmer as the middle of her cell was than the place was told or
 * measured then, so that warmth that the place knows already counts once. On a thermostat it stays what it was while the room is
 * cooler, for a thermostat cannot cool; the air of the room is drier for being warmed.
 * @param falls of the heat at her place, mm
 */
export function heatedBy(
  stood: Stood,
  known: QueenLedger,
  tube: TubeHome | null,
  falls: readonly number[],
): Stood {
  const laid = tube ? heatsHere(known, tube) : [];
  // two settings of one moment: the later written holds
  const heats = laid.filter((h, i) => h.at !== laid[i + 1]?.at);
  if (!tube || heats.length === 0) return stood;
  const { coolMm, middleMm } = cellOf(heatedTube(tube));
  const spans = heats.map((h, i) => {
    const along = believed(alongOf(tube, h, falls), h);
    const placeC = stepAt(stood.temperature, h.at).tempC;
    return {
      fromMs: msOf(h.at),
      untilMs: heats[i + 1] ? msOf((heats[i + 1] as HeatLaid).at) : Infinity,
      steadyC: along && h.setC !== undefined ? along.atC(middleMm) : null,
      cellC: along ? along.atC(middleMm) - placeC : 0,
      frontC: along ? Math.max(0, along.atC(coolMm) - placeC) : 0,
    };
  });
  const heatAt = (ms: number) => spans.find((s) => ms >= s.fromMs && ms < s.untilMs);
  const cut = <S extends WarmthStep>(steps: readonly S[], warm: (step: S, ms: number) => S): S[] => {
    const changes = spans.map((s) => s.fromMs).filter((ms) => steps.every((s) => msOf(s.from) !== ms));
    const all = [...steps.map((s) => msOf(s.from)), ...changes].sort((a, b) => a - b);
    let i = 0;
    return all.map((ms) => {
      while (i + 1 < steps.length && msOf((steps[i + 1] as S).from) <= ms) i++;
      return warm({ ...(steps[i] as S), from: instantOf(ms) }, ms);
    });
  };
  const temperature = {
    ...(typeof stood.temperature === 'number' ? {} : stood.temperature),
    steps: cut(stepsOf(stood.temperature), ({ from, tempC, partsC }, ms): WarmthStep => {
      const heat = heatAt(ms);
      if (!heat) return { from, tempC, ...(partsC ? { partsC } : {}) };
      if (heat.steadyC !== null) {
        const parts = (partsC ?? [tempC]).map((c) => Math.max(c, heat.steadyC as number));
        return { from, tempC: mean(parts), ...(partsC ? { partsC: parts } : {}) };
      }
      return {
        from,
        tempC: Math.min(ROOM_C.max, tempC + heat.cellC),
        ...(partsC ? { partsC: partsC.map((c) => Math.min(ROOM_C.max, c + heat.cellC)) } : {}),
      };
    }),
  };
  const rooms = cut(stood.rooms, (room, ms): Room => {
    const { frontC } = heatAt(ms) ?? { frontC: 0 };
    const warmed = Math.min(ROOM_C.max, room.tempC + frontC);
    const drier =
      frontC > 0 && room.tempC >= 0 ? saturationPressureKPa(room.tempC) / saturationPressureKPa(warmed) : 1;
    return { ...room, tempC: warmed, roomRelHumidity: room.roomRelHumidity * drier };
  });
  return { temperature, rooms };
}
