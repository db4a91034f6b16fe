import { LEVEL_SPREADS, STAGES, type SpeciesProfile } from '../species';

/**
 * Queens simulated apart from the outlook, for its calibration: an own generator, Box–Muller, plain sums. Only the
 * profile's figures are shared.
 */

/** Mulberry32: a small generator of numbers in [0, 1), not the one that the outlook draws with. */
export function plainGenerator(seed: number): () => number {
  let a = seed;
  return () => {
    a = (a + 0x6d2b79f5) | 0;
    let x = Math.imul(a ^ (a >>> 15), 1 | a);
    x = (x + Math.imul(x ^ (x >>> 7), 61 | x)) ^ x;
    return ((x ^ (x >>> 14)) >>> 0) / 4294967296;
  };
}

/** Ways in which a queen may differ from what her profile says. */
export interface Oddity {
  /** Share of queens that eat their first clutch, unseen, and begin again. */
  eatsFirstClutch?: number;
  /** Stages last a Weibull time of the same median and about the same spread, instead of a log-normal one. */
  weibull?: boolean;
}

/**
 * One species of a genus, drawn from how far kinds of one genus lie apart: its medians are not those of the genus, and its queens
 * differ among one another as those of one species do.
 * @param genus a profile whose stages and spreads are its own
 */
export function simulateKind(genus: SpeciesProfile, random: () => number): SpeciesProfile {
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  const { species: within } = LEVEL_SPREADS;
  const between = (whole: number, part: number) => Math.sqrt(Math.max(0, whole ** 2 - part ** 2));
  const shared = between(genus.queenLogSpread.value, within.queen) * normal();
  const stages = { ...genus.stages };
  for (const stage of STAGES) {
    const s = genus.stages[stage];
    const logSpread = stage === 'laying' ? within.laying : within.stage;
    const shift = between(s.logSpread, logSpread) * normal() + (stage === 'laying' ? 0 : shared);
    stages[stage] = { ...s, degreeDays: s.degreeDays * Math.exp(shift), logSpread };
  }
  return { ...genus, stages, queenLogSpread: { ...genus.queenLogSpread, value: within.queen } };
}

/** Hours gone through until so much warmth above a threshold is gathered, from a day on. */
function daysUntil(warmth: (day: number) => number, from: number, thresholdC: number, degreeDays: number) {
  let [day, left] = [from, degreeDays];
  for (; left > 0 && day < from + 1500; day += 1 / 24) left -= Math.max(0, warmth(day) - thresholdC) / 24;
  return day - from;
}

/**
 * Days after intake on which one queen's eggs, larvae, pupae and workers first come.
 * @param tempC steady, or for each day after intake; never above her best
 */
export function simulateQueen(
  profile: SpeciesProfile,
  tempC: number | ((day: number) => number),
  random: () => number,
  { eatsFirstClutch = 0, weibull = false }: Oddity = {},
): number[] {
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  const queen = profile.queenLogSpread.value * normal();
  const slow = profile.slowLaying.value;
  const lasts = (stage: (typeof STAGES)[number]) => {
    const s = profile.stages[stage];
    const shared = stage === 'laying' ? 0 : queen;
    const times = stage === 'laying' && random() < slow.share ? slow.times : 1;
    const own = weibull ? weibullTime(s.logSpread, random()) : Math.exp(s.logSpread * normal());
    const degreeDays = times * s.degreeDays * Math.exp(shared) * own;
    return typeof tempC === 'number'
      ? degreeDays / (tempC - s.thresholdC)
      : daysUntil(tempC, t, s.thresholdC, degreeDays);
  };
  let t = 0;
  return STAGES.map((stage, k) => {
    t += lasts(stage);
    // eaten some time before they hatch, laid anew after a rest of a week or so
    if (k === 1 && random() < eatsFirstClutch) t += lasts('egg') * random() + 7 * Math.exp(0.5 * normal());
    return t;
  });
}

/** A Weibull time of median 1: the logarithm of a Weibull variable has the standard deviation π / (√6 · shape). */
function weibullTime(logSpread: number, u: number): number {
  const shape = Math.PI / (Math.sqrt(6) * logSpread);
  return (-Math.log(1 - u) / Math.LN2) ** (1 / shape);
}

/** How looks overlook what has only just come: chance on its first day for eggs, larvae, pupae and workers, and how fast it fades. */
export interface Eye {
  missFirstDay: readonly number[];
  fadeDays: number;
}
export const USUAL_EYE: Eye = { missFirstDay: [0.3, 0.25, 0.15, 0.05], fadeDays: 3 };
/** Most first broods are overlooked, and for a week and more. */
export const POOR_EYE: Eye = { missFirstDay: [0.6, 0.6, 0.15, 0.05], fadeDays: 8 };

/** What looks on these days see of her: one row a look, whether each stage was found by then. */
export function simulateLooks(
  truth: readonly number[],
  days: readonly number[],
  random: () => number,
  eye: Eye = USUAL_EYE,
): boolean[][] {
  const found = truth.map(() => false);
  return days.map((d) => {
    truth.forEach((t, m) => {
      const missed = random() < (eye.missFirstDay[m] as number) * Math.exp(-(d - t) / eye.fadeDays);
      if (t <= d && !missed) found[m] = true;
    });
    return [...found];
  });
}
