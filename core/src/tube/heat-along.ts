import { gradientAtC, gradientFit, type Gradient } from '../climate';
import { InputError, need, normalBelow, quantileSorted, within, type Band } from '../quantity';
import { DROP_ML, floodMl } from './flood';
import { chamberLengthMm, tubeVolumeMl, type Plugs, type TubeShape } from './geometry';

/** How the heat lay, and what was read along the tube. */
export interface HeatSetting {
  /** From the mouth of the tube to the edge of the mat or cable, mm; below 0 it reaches under the tube so far. */
  matMm: number;
  roomC: number;
  /** Lines along the tube as every line is read: mm from the closed end. */
  readings: readonly { mm: number; tempC: number }[];
}

/** A tube as it lies at the heat. */
export interface HeatedTube {
  tube: TubeShape;
  plugs: Plugs;
  waterLineMm: number;
  /** Where her cell ends when a wall parts it from the room in front, mm from the closed end. */
  wallMm?: number | undefined;
}

/** How warm it is along a tube whose mouth is at the heat. */
export interface HeatAlong {
  gradient: Gradient;
  roomC: number;
  matMm: number;
  /** What its fall rests on: read with it, known of the same heat by so many readings, or our prior. */
  fall: { by: 'itself' | 'same-heat' | 'prior'; n: number };
  atC(mm: number): number;
}

/** Without two readings of a mat the excess is taken to fall to 37 % in so many mm. Prior. */
export const USUAL_LENGTH_MM = 60;

/** A fall that is steeper or flatter than any glass in air shows comes of a reading that erred: no other tube is reckoned by it. Priors, mm. */
const LIKELY_MM = { min: 10, max: 500 };

const distance = ({ lengthMm }: TubeShape, matMm: number, mm: number): number =>
  Math.max(0, lengthMm - mm + matMm);

/** The fall of warmth that readings show by themselves; null where there are not two distances. */
const fitOf = (points: readonly { mm: number; tempC: number }[], roomC: number): Gradient | null =>
  new Set(points.map((p) => p.mm)).size >= 2 ? gradientFit(points, roomC) : null;

/**
 * In how many mm the excess over the room falls to 37 %, as a setting shows by itself. How far the heat lies from the tube does not matter
 * to it, so that it can be told of a tube that is not known any more, unless the heat reached under it.
 * @returns null where it was not read at two places, does not fall from the warm end, or falls as no heat does
 */
export function fallMm({ matMm, roomC, readings }: HeatSetting, tube: TubeShape | null): number | null {
  if (!tube && matMm < 0) return null;
  const furthest = Math.max(...readings.map((r) => r.mm));
  const away = (mm: number) => (tube ? distance(tube, matMm, mm) : furthest - mm);
  try {
    const points = readings.map(({ mm, tempC }) => ({ mm: away(mm), tempC }));
    const lengthMm = fitOf(points, roomC)?.lengthMm ?? null;
    return lengthMm !== null && lengthMm >= LIKELY_MM.min && lengthMm <= LIKELY_MM.max ? lengthMm : null;
  } catch (error) {
    // the form told so when they were written
    if (error instanceof InputError) return null;
    throw error;
  }
}

/**
 * The warmth along a tube from what was read now. How it falls is read from it too, or else known from what was read of the same heat
 * before, at this tube or at others.
 * @param falls lengths of fall of the same heat, mm
 * @throws InputError without a reading, for one outside the tube, or when the readings do not fall from the warm end
 */
export function heatAlong(tube: TubeShape, now: HeatSetting, falls: readonly number[] = []): HeatAlong {
  const { matMm, roomC, readings } = now;
  const [first] = readings;
  need(
    first !== undefined,
    'readings',
    'No temperature was read along the tube. Read at least one, two are better.',
  );
  for (const { mm } of readings)
    within(mm, 'readings', 'The place of a reading', { min: 0, max: tube.lengthMm, unit: 'mm' });
  const own = fitOf(
    readings.map(({ mm, tempC }) => ({ mm: distance(tube, matMm, mm), tempC })),
    roomC,
  );
  const sorted = [...falls].sort((a, b) => a - b);
  const lengthMm = sorted.length > 0 ? quantileSorted(sorted, 0.5) : USUAL_LENGTH_MM;
  const gradient = own ?? {
    nearC: roomC + (first.tempC - roomC) * Math.exp(distance(tube, matMm, first.mm) / lengthMm),
    lengthMm,
  };
  return {
    gradient,
    roomC,
    matMm,
    fall: own ? { by: 'itself', n: 1 } : { by: falls.length > 0 ? 'same-heat' : 'prior', n: falls.length },
    atC: (mm) => gradientAtC(gradient, roomC, distance(tube, matMm, mm)),
  };
}

/** Her cell along the tube: from the face of the inner plug to that of the outer one, or to a wall; mm from the closed end. */
export function cellOf({ tube, plugs, waterLineMm, wallMm }: HeatedTube): {
  coolMm: number;
  middleMm: number;
  warmMm: number;
} {
  const coolMm = tube.lengthMm - plugs.outerMm - chamberLengthMm(tube, waterLineMm, plugs);
  const warmMm = wallMm ?? tube.lengthMm - plugs.outerMm;
  return { coolMm, middleMm: (coolMm + warmMm) / 2, warmMm };
}

/** Where she sat in her cell, and what that says. */
export interface Seat {
  where: 'warm-end' | 'between' | 'cool-end';
  /** How warm it was where she sat, °C. */
  tempC: number;
  /** At the warm end she chose this at the least, at the cool end at the most; between the ends just this, °C. */
  saysC: number;
}

/** Within this share of her cell from an end she is pressed to it. Prior. */
const PRESSED_SHARE = 0.25;

export function seatOf(heated: HeatedTube, along: HeatAlong, atMm: number): Seat {
  const { coolMm, warmMm } = cellOf(heated);
  const edgeMm = PRESSED_SHARE * (warmMm - coolMm);
  const tempC = along.atC(atMm);
  if (atMm > warmMm - edgeMm) return { where: 'warm-end', tempC, saysC: along.atC(warmMm - edgeMm) };
  if (atMm < coolMm + edgeMm) return { where: 'cool-end', tempC, saysC: along.atC(coolMm + edgeMm) };
  return { where: 'between', tempC, saysC: tempC };
}

/** How far what she chooses lies about what she prefers, and how wide that is before anything was seen, °C. Priors. */
const CHOOSES = { errorC: 1.5, priorC: 3 } as const;
/** What she chose so long ago counts half: with brood, workers and season it may change. Prior, days. */
const HALF_LIFE_DAYS = 60;

/**
 * What she seems to prefer: sitting between the ends she has chosen; pressed to the warm end she wants at least that, at the cool end at
 * most that. A normal prior about her kind's best, the posterior summed on a grid; older looks count less.
 * @param agesDays how long ago each was, days; all now when not given
 */
export function preferenceOf(
  seats: readonly Seat[],
  best: { low: number; high: number },
  agesDays: readonly number[] = [],
): Band {
  const middle = (best.low + best.high) / 2;
  const grid = Array.from({ length: 301 }, (_, i) => 5 + i * 0.12);
  const weights = grid.map((c) => {
    let log = -0.5 * ((c - middle) / CHOOSES.priorC) ** 2;
    seats.forEach((s, i) => {
      const z = (s.saysC - c) / CHOOSES.errorC;
      const counts = 0.5 ** ((agesDays[i] ?? 0) / HALF_LIFE_DAYS);
      log +=
        counts *
        (s.where === 'between'
          ? -0.5 * z * z
          : Math.log(Math.max(1e-12, s.where === 'warm-end' ? normalBelow(-z) : normalBelow(z))));
    });
    return Math.exp(log);
  });
  const total = weights.reduce((a, b) => a + b, 0);
  const at = (share: number): number => {
    let sum = 0;
    for (let i = 0; i < grid.length; i++) {
      sum += weights[i] as number;
      if (sum >= share * total) return grid[i] as number;
    }
    return grid[grid.length - 1] as number;
  };
  return { p10: at(0.1), p50: at(0.5), p90: at(0.9) };
}

/** What is done next with the heat. */
export interface HeatStep {
  /** How warm it is now at both ends of her cell, in its middle and at the water, °C. */
  now: { coolC: number; middleC: number; warmC: number; waterC: number };
  does: 'closer' | 'back' | 'stay' | 'away';
  /** So far the heat is moved, mm; 0 to stay, null when it is taken away. */
  moveMm: number | null;
  /** Where its edge is then, mm from the mouth. */
  matMm: number | null;
  /** How warm the middle of her cell is then, °C. */
  thenC: number;
  /** In the end, after more such steps, °C. */
  goalC: number;
  /** What the thermostat of the heat would be set to for the next step where it lies, °C; null where that is too hot for a mat. */
  thermostatC: number | null;
  /** Water that the step pushes through the plug, ml. */
  floodMl: number;
  limitedBy: 'small-steps' | 'flood' | 'heat' | 'reach' | null;
}

/** What a step is held to. */
export interface HeatLimits {
  best: { low: number; high: number };
  dangerC: number;
  /** Air shut in behind the plug, ml. */
  bubbleMl: number;
}

/** A degree or two a day: practice. So near it is left as it is; so far below what she seems to prefer is aimed; no mat is hotter. Priors. */
const STEP = { mostC: 2, nearC: 0.5, belowC: 1, matMostC: 40 } as const;

/**
 * The next small step: the middle of her cell towards a little below what she seems to prefer (below is safer than above), its warm end
 * never above her best, never nearer than the outer plug, and never so much at once that a drop is pushed through the plug. What is
 * dangerous is led back at once.
 */
export function nextHeatStep(
  heated: HeatedTube,
  along: HeatAlong,
  preferred: Band,
  { best, dangerC, bubbleMl }: HeatLimits,
): HeatStep {
  const { tube, plugs, waterLineMm } = heated;
  const { coolMm, middleMm, warmMm } = cellOf(heated);
  const { gradient, roomC, matMm } = along;
  const now = {
    coolC: along.atC(coolMm),
    middleC: along.atC(middleMm),
    warmC: along.atC(warmMm),
    waterC: along.atC(waterLineMm),
  };
  // each place along the tube keeps its share of the excess over the room
  const share = (mm: number) => Math.exp((warmMm - mm) / -gradient.lengthMm);
  const ofMiddle = share(middleMm);
  const warmEndMost = best.high;
  const highest = roomC + (warmEndMost - roomC) * ofMiddle;
  const wished = Math.min(preferred.p50, best.high) - STEP.belowC;
  const goalC = Math.max(roomC, Math.min(wished, highest));
  const waterMl = tubeVolumeMl(tube, waterLineMm);
  const water = (middleC: number) => roomC + ((middleC - roomC) / ofMiddle) * share(waterLineMm);
  const flood = (middleC: number) => {
    const [fromC, toC] = [now.waterC, water(middleC)].map((c) => Math.min(60, Math.max(0, c)));
    return floodMl({ bubbleMl, waterMl, fromC: fromC as number, toC: toC as number });
  };
  const danger = now.warmC >= dangerC;
  const away = goalC - now.middleC;
  let limitedBy: HeatStep['limitedBy'] = wished > highest ? 'heat' : null;
  let thenC = goalC;
  if (!danger && Math.abs(away) > STEP.mostC) {
    thenC = now.middleC + Math.sign(away) * STEP.mostC;
    limitedBy = 'small-steps';
  }
  if (thenC > now.middleC && flood(thenC) > DROP_ML) {
    let [low, high] = [now.middleC, thenC];
    for (let i = 0; i < 40; i++) {
      const half = (low + high) / 2;
      if (flood(half) > DROP_ML) high = half;
      else low = half;
    }
    thenC = low;
    limitedBy = 'flood';
  }
  const stay = (by: HeatStep['limitedBy']): HeatStep => ({
    now,
    does: 'stay',
    moveMm: 0,
    matMm,
    thenC: now.middleC,
    goalC,
    thermostatC: null,
    floodMl: 0,
    limitedBy: by,
  });
  if (!danger && Math.abs(away) < STEP.nearC) return stay(limitedBy);
  const excess = (thenC - roomC) / (gradient.nearC - roomC);
  if (!(excess > 0.02))
    return { ...stay(limitedBy), does: 'away', moveMm: null, matMm: null, thenC: roomC, floodMl: 0 };
  const wishedMm = -gradient.lengthMm * Math.log(excess) - (tube.lengthMm - middleMm);
  // never nearer than the outer plug: under her cell she could not get away from it
  const nearestMm = -plugs.outerMm;
  const reached = Math.max(nearestMm, wishedMm);
  if (reached > wishedMm) limitedBy = 'reach';
  // whole millimetres, towards the cooler side
  const toMm = Math.ceil(reached - 1e-9);
  const thermostatC =
    roomC + (thenC - roomC) / Math.exp(-(tube.lengthMm - middleMm + matMm) / gradient.lengthMm);
  const moveMm = toMm - matMm;
  if (moveMm === 0) return stay(limitedBy);
  const reachedC = gradientAtC(gradient, roomC, tube.lengthMm - middleMm + toMm);
  return {
    now,
    does: moveMm < 0 ? 'closer' : 'back',
    moveMm,
    matMm: toMm,
    thenC: reachedC,
    goalC,
    thermostatC: thermostatC <= STEP.matMostC ? Math.floor(thermostatC) : null,
    floodMl: Math.max(0, flood(reachedC)),
    limitedBy,
  };
}
