import { saturationPressureKPa, type Reading } from '../climate';
import { DAY_MS, normalQuantile, uniformStream } from '../quantity';

/** A made-up place with a made-up logger in it. */
export interface ProbeWorld {
  seed: number;
  /** °C through the year: in the middle, and how far above and below it summer and winter lie. */
  meanC: number;
  seasonC: number;
  /** How far the warmest of a usual day lies above its mean. */
  dayC: number;
  /** Humidity of the place at its mean temperature, 0..1. */
  rh: number;
  /** A mat with a thermostat keeps it at least so warm; none when left out. */
  matC?: number;
  /** Standard deviation of one reading, °C. */
  noiseC: number;
  /** What the sensor gains in a year, °C. */
  driftC: number;
  /** Share of the hours in which nothing comes through, 0..1. */
  dropOuts: number;
  /** The other half of the world has its summer half a year later. */
  south?: boolean;
}

export const USUAL_PROBE_WORLD: Omit<ProbeWorld, 'seed'> = {
  meanC: 22,
  seasonC: 1.5,
  dayC: 1,
  rh: 0.5,
  noiseC: 0.06,
  driftC: 0.2,
  dropOuts: 0.01,
};

/** The mat switches on so far below what it is set to, and off so far above, °C. */
const HYSTERESIS_C = 0.3;
/** The weather of one day is so far from what the season says, °C, and holds for about so many days. */
const WEATHER_C = 0.8;
const WEATHER_DAYS = 3;
const HOUR_MS = 3_600_000;

/** What is true at a moment, without the logger: a pure function of the moment and the seed. */
export function truthAt(world: ProbeWorld, ms: number): { tempC: number; rh: number } {
  const year = (2 * Math.PI * (ms - Date.UTC(2026, 6, 20))) / (365.25 * DAY_MS);
  const season = world.seasonC * Math.cos(year) * (world.south ? -1 : 1);
  // warmest in the afternoon, coolest before dawn
  const day = world.dayC * Math.cos((2 * Math.PI * (ms - 15 * HOUR_MS)) / DAY_MS);
  const roomC = world.meanC + season + day + weather(world.seed, ms / DAY_MS);
  const tempC =
    world.matC === undefined || roomC >= world.matC
      ? roomC
      : world.matC + HYSTERESIS_C * Math.sin((2 * Math.PI * ms) / (37 * 60_000));
  // water in the air stays what it is when the mat warms it
  const vapour = world.rh * saturationPressureKPa(world.meanC + season);
  return { tempC, rh: Math.min(0.98, Math.max(0.05, vapour / saturationPressureKPa(tempC))) };
}

/** A slow wander: steps of chance some days apart, joined smoothly. */
function weather(seed: number, day: number): number {
  const at = (k: number) => WEATHER_C * normalQuantile(chanceOf(seed, k));
  const k = Math.floor(day / WEATHER_DAYS);
  const along = day / WEATHER_DAYS - k;
  const smooth = along * along * (3 - 2 * along);
  return at(k) * (1 - smooth) + at(k + 1) * smooth;
}

/** A chance of its own for each whole number: the same whenever it is asked for. */
const chanceOf = (seed: number, k: number): number => {
  const next = uniformStream((Math.imul(seed ^ 0x9e3779b9, 0x85ebca6b) ^ Math.imul(k, 0xc2b2ae35)) | 0);
  next();
  return next();
};

/** What the logger shows at a moment; null when nothing comes through in that hour. */
export function shownAt(world: ProbeWorld, ms: number, startMs: number): Reading | null {
  if (chanceOf(world.seed + 1, Math.floor(ms / HOUR_MS)) < world.dropOuts) return null;
  const { tempC, rh } = truthAt(world, ms);
  const error = world.noiseC * normalQuantile(chanceOf(world.seed + 2, Math.floor(ms / 1000)));
  const drift = (world.driftC * (ms - startMs)) / (365.25 * DAY_MS);
  return {
    ms,
    tempC: Math.round(100 * (tempC + error + drift)) / 100,
    rh: Math.round(1000 * rh) / 1000,
  };
}

/** Readings from one moment to another, so many seconds apart. */
export function* simulateProbe(
  world: ProbeWorld,
  fromMs: number,
  toMs: number,
  everyS: number,
): Generator<Reading> {
  for (let ms = fromMs; ms < toMs; ms += 1000 * everyS) {
    const reading = shownAt(world, ms, fromMs);
    if (reading) yield reading;
  }
}
