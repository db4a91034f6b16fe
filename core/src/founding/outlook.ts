import {
  bandOfSorted,
  daysBetween,
  InputError,
  instantOf,
  msOf,
  need,
  normalBelow,
  normalQuantile,
  uniformStream,
  DAY_MS,
  type Band,
  type Instant,
} from '../quantity';
import { MILESTONES, STAGES, type Milestone, type SpeciesProfile } from '../species';
import type { QueenLedger } from './ledger';
import { lateCatch, type Hemisphere } from './late-catch';
import { missChance, SOFT_DAYS } from './detection';
import { merge, resample, type Drawn, type Sample } from './sample';
import { temperatureAt, warmthClock, type Temperature, type WarmthClock } from './warmth-clock';

export interface OutlookOptions {
  /** Number of simulated queens; 4,000 when not given. */
  draws?: number;
  /** The same seed gives the same outlook; 1 when not given. */
  seed?: number;
  /** Where the year runs its course; north when not given. */
  hemisphere?: Hemisphere;
}

/** What is to be seen, in order; the last is the day on which the last of the first batch has come out. */
export const OUTLOOK_EVENTS = [...MILESTONES, 'firstBatchEnd'] as const;
export type OutlookEvent = (typeof OUTLOOK_EVENTS)[number];

export interface EventOutlook {
  /** `seen`: in the log; `ahead`: not seen yet. */
  status: 'seen' | 'ahead';
  /** When it came or will come; a point is null when it lies beyond the horizon of three years. */
  band: Band<Instant | null>;
  /** Chance that it has come about by now, 0..1. */
  byNow: number;
}

export interface Outlook {
  events: Record<OutlookEvent, EventOutlook>;
  /** The next thing not seen yet; null when the first batch is complete or she is lost. */
  next: OutlookEvent | null;
  /**
   * Chance that a queen of this kind, with her history so far, would still be without `next` at the last look that
   * counted none: small when she is late. Null when no look has counted it.
   */
  stillWithout: number | null;
  /** How many independent draws the weights are worth. */
  effectiveDraws: number;
  /** 1 when the log fits the profile; more when spreads had to be widened so many times over to explain it. */
  strained: number;
}

const HORIZON_DAYS = 3 * 365;
const BATCH_DAYS = { median: 7, logSpread: 0.4 };
/** Pupae later than this share of first batches takes belong to a second one. Prior. */
const SECOND_BATCH_SHARE = 0.97;
/** How far back brood that came with her may go when warmth gives no answer. Prior. */
const UNKNOWN_PAST_DAYS = 60;
const MAX_STRAIN = 8;
/** How seldom the days before a look without are drawn, against those after it. */
const SOFT_SHARE = 0.1;
/** Each species is drawn at least so often, however small its share. */
const LEAST_DRAWS = 200;
/** A few draws tell whether a wider spread explains the log. */
const PILOT_DRAWS = 400;

/**
 * Projects one queen: when eggs, larvae, pupae and the first workers came or will come, and when the first batch is out.
 *
 * Each draw is one possible queen: a factor of her own shared by egg, larva and pupa, and a log-normal warmth sum for
 * each stage. Stages are drawn one after the other from the part of their distribution that the log allows (between
 * the last look without and the first look with), and the draw is weighted by the size of that part: sequential
 * importance sampling of interval-censored observations. A look without is softened by the chance that the first few
 * eggs were overlooked. If hardly any draw explains the log, all spreads are widened and the answer says so.
 *
 * @param profile development figures
 * @param known what her log says
 * @param temperature steady °C, or steps of it
 * @throws InputError when she has no intake, or the temperature or the number of draws cannot be
 */
export function outlook(
  profile: SpeciesProfile,
  known: QueenLedger,
  temperature: Temperature,
  now: Instant,
  options: OutlookOptions = {},
): Outlook {
  return outlookOfKinds([{ profile, weight: 1 }], known, temperature, now, options).outlook;
}

/** A species that she may be, with its share of the belief before the log has spoken. */
export interface Kind {
  profile: SpeciesProfile;
  /** 0..1 */
  weight: number;
}

/** An outlook over several species that she may be, and what the log makes of each. */
export interface MixedOutlook {
  outlook: Outlook;
  /** In the order given: the share of each species once her log is taken into account; together 1. */
  shares: number[];
}

/**
 * The outlook of a queen whose species is not certain: draws are shared among the species by their weights, and a
 * species whose queens seldom do what her log says loses its share.
 * @throws InputError as `outlook` does, and when no species is given
 */
export function outlookOfKinds(
  kinds: readonly Kind[],
  known: QueenLedger,
  temperature: Temperature,
  now: Instant,
  { draws = 4000, seed = 1, hemisphere = 'north' }: OutlookOptions = {},
): MixedOutlook {
  need(
    Number.isInteger(draws) && draws >= 100 && draws <= 200_000,
    'draws',
    `The number of draws (${draws}) must be a whole number between 100 and 200,000.`,
  );
  need(Number.isFinite(seed), 'seed', `The seed (${seed}) is not a number. Give any whole number.`);
  if (!known.intake)
    throw new InputError('intake', 'She has no intake in the log. Log when she was taken in first.');
  const heaviest = kinds.reduce<Kind | null>((a, k) => (a === null || k.weight > a.weight ? k : a), null);
  need(heaviest !== null, 'kinds', 'No species is given. Take an unknown one when nothing is known.');
  const origin = known.intake.at;
  const bounds = MILESTONES.map((m) => boundsOf(known, m, origin));
  const attempt = (warmth: Temperature, strain: number, n = draws): Sample =>
    merge(
      kinds.map(({ profile, weight }, k) => {
        const share = Math.max(Math.ceil(n * weight), Math.min(n, LEAST_DRAWS));
        const clocks = STAGES.map((stage) => warmthClock(profile, stage, warmth, origin));
        const late = lateCatch(profile, origin, hemisphere);
        const part = { profile, clocks, bounds, late, known, origin, draws: share, strain };
        return { weight, sample: drawAll({ ...part, seed: seed + 104_729 * k }) };
      }),
    );
  const explains = (sample: Sample, n: number) => sample.effectiveDraws >= n / 100;
  const answer = (sample: Sample, strain: number): MixedOutlook => ({
    outlook: summarise(sample, known, origin, now, strain, draws, seed),
    shares: sample.shares,
  });

  const fitting = attempt(temperature, 1);
  if (explains(fitting, draws)) return answer(fitting, 1);
  // lateness is measured against her kind as it is known, not as it has to be stretched to explain her
  const { stillWithout } = fitting;
  const pilot = Math.min(draws, PILOT_DRAWS);
  for (let strain = 2; strain <= MAX_STRAIN; strain *= 2) {
    if (!explains(attempt(temperature, strain, pilot), pilot)) continue;
    return answer({ ...attempt(temperature, strain), stillWithout }, strain);
  }
  // She did what was impossible at the temperature given: she must have stood warmer before. Take her kind's best
  // warmth for the past and the given one from her last look on.
  const assumed = warmerPast(heaviest.profile, known, temperature, now);
  const sample = attempt(assumed, MAX_STRAIN);
  need(
    sample.effectiveDraws > 0,
    'entries',
    'Her log cannot be explained: some of its dates exclude one another. Amend the wrong one.',
  );
  return answer({ ...sample, stillWithout }, MAX_STRAIN);
}

function warmerPast(
  profile: SpeciesProfile,
  known: QueenLedger,
  temperature: Temperature,
  now: Instant,
): Temperature {
  const { low, high } = profile.bestTempC.value;
  const turn = known.lastLook?.at ?? now;
  const later =
    typeof temperature === 'number' ? [] : temperature.steps.filter((s) => msOf(s.from) > msOf(turn));
  return {
    steps: [
      { from: instantOf(0), tempC: (low + high) / 2 },
      { from: turn, tempC: temperatureAt(temperature, turn) },
      ...later,
    ],
  };
}

interface Bounds {
  /** Not there yet on this day, -Infinity when unknown. */
  after: number;
  /** There by this day, Infinity when not seen. */
  by: number;
  /** Last days on which a look counted none. */
  absent: number[];
}

function boundsOf(known: QueenLedger, milestone: Milestone, origin: Instant): Bounds {
  const { interval, absentAt } = known.appearances[milestone];
  const day = (at: Instant) => daysBetween(origin, at);
  const absent = absentAt.slice(-3).map(day);
  // the restart after lost brood is a hard fact: what was eaten is not "overlooked"
  return {
    after: interval.after === null ? -Infinity : day(interval.after),
    by: interval.by === null ? Infinity : day(interval.by),
    absent,
  };
}

interface Sampling {
  profile: SpeciesProfile;
  clocks: WarmthClock[];
  bounds: Bounds[];
  late: { chance: number; springDay: number };
  known: QueenLedger;
  origin: Instant;
  draws: number;
  seed: number;
  strain: number;
}

function drawAll(s: Sampling): Drawn {
  const { profile, clocks, bounds, late, draws, strain } = s;
  const uniform = uniformStream(s.seed);
  const days = OUTLOOK_EVENTS.map(() => new Float64Array(draws));
  const weights = new Float64Array(draws);
  const queenSpread = profile.queenLogSpread.value * strain;
  const medians = STAGES.map((st) => Math.log(profile.stages[st].degreeDays));
  const spreads = STAGES.map((st) => profile.stages[st].logSpread * strain);
  const start = startOfAttempt(s);
  const { earliest } = s.known.intake ?? { earliest: null };
  const dayUnknown = earliest ? Math.max(0, daysBetween(earliest, s.origin)) : 0;
  const pupaeStillThere = lastPupaeDay(s.known, s.origin);
  const lookback = lookbackDays(clocks, bounds, medians);
  const nextUnseen = bounds.findIndex((b) => b.by === Infinity);
  const asked = nextUnseen >= 0 && (bounds[nextUnseen] as Bounds).absent.length > 0;
  let massBefore = 0;
  let massAfter = 0;

  for (let i = 0; i < draws; i++) {
    const queen = queenSpread * normalQuantile(uniform());
    const winters = uniform() < late.chance;
    const began = dayUnknown > 0 && start === 0 ? -uniform() * dayUnknown : start;
    let from = Math.max(began, winters ? late.springDay : -Infinity);
    let weight = 1;
    for (let stage = 0; stage < STAGES.length; stage++) {
      const clock = clocks[stage] as WarmthClock;
      const b = bounds[stage] as Bounds;
      const u = uniform();
      let day: number;
      let mass: number;
      let correction = 1;
      if (from === Infinity) {
        // the stage before never ends at the warmth planned
        day = Infinity;
        mass = b.by === Infinity ? 1 : 0;
      } else if (stage === 0 && b.after === -Infinity && b.by < Infinity) {
        // brood came with her: its eggs were laid at some unknown time before, any day being as likely
        day = b.by - u * lookback;
        mass = 1;
      } else {
        const zero = clock.gathered(from);
        const mu = (medians[stage] as number) + (stage === 0 ? 0 : queen);
        const sigma = spreads[stage] as number;
        const below = (d: number) => (d > from ? belowLogNormal(clock.gathered(d) - zero, mu, sigma) : 0);
        const atLast = below(b.after);
        const high = b.by === Infinity ? 1 : below(b.by);
        // a look without is trusted, but for the few days in which the first ones are easily overlooked: those days
        // are drawn seldom, and weighed up again
        const low = b.absent.length > 0 ? below(b.after - SOFT_DAYS * strain) : atLast;
        const softMass = SOFT_SHARE * (atLast - low);
        mass = softMass + Math.max(0, high - atLast);
        if (!(mass > 0)) {
          weight = 0;
          break;
        }
        const pick = u * mass;
        const share = pick < softMass ? low + pick / SOFT_SHARE : atLast + (pick - softMass);
        if (pick < softMass) correction = 1 / SOFT_SHARE;
        day = Math.min(clock.dayOf(zero + Math.exp(mu + sigma * normalQuantile(share))), b.by);
      }
      let overlooked = correction;
      for (const look of b.absent) if (day < look) overlooked *= missChance(stage, look - day, strain);
      if (asked && stage === nextUnseen) {
        massBefore += weight;
        massAfter += weight * mass * overlooked;
      }
      weight *= mass * overlooked;
      (days[stage] as Float64Array)[i] = day;
      from = day;
      if (weight === 0) break;
    }
    if (weight > 0) {
      const lastDay = from + batchDays(uniform(), pupaeStillThere - from);
      (days[4] as Float64Array)[i] = lastDay;
    }
    weights[i] = weight;
  }
  return { days, weights, before: asked ? massBefore : 0, after: asked ? massAfter : 0 };
}

/** The day from which she can lay: settled, or the look that found an earlier brood gone. */
function startOfAttempt({ known, origin }: Sampling): number {
  const last = known.broodLost[known.broodLost.length - 1];
  return last?.interval.by ? daysBetween(origin, last.interval.by) : 0;
}

/**
 * How far back the eggs of brood that came with her may have been laid, days: half as much again as the stages that
 * this brood has behind it.
 */
function lookbackDays(clocks: WarmthClock[], bounds: Bounds[], medians: number[]): number {
  const eggs = bounds[0] as Bounds;
  if (eggs.by === Infinity) return 0;
  const clock = clocks[1] as WarmthClock;
  let degreeDays = 0;
  for (let stage = 1; stage < STAGES.length; stage++) {
    degreeDays += Math.exp(medians[stage] as number);
    const b = bounds[stage] as Bounds;
    if (b.by !== eggs.by || b.after !== -Infinity) break;
  }
  const start = clock.dayOf(clock.gathered(eggs.by) - 1.5 * degreeDays);
  const days = eggs.by - start;
  return Number.isFinite(days) && days > 1 ? days : UNKNOWN_PAST_DAYS;
}

/** Last day on which a look still counted pupae, -Infinity when none did. */
function lastPupaeDay(known: QueenLedger, origin: Instant): number {
  const pupae = known.counts.pupae;
  return pupae && pupae.range.low > 0 ? daysBetween(origin, pupae.at) : -Infinity;
}

/**
 * Days from the first worker to the last of the first batch. It is not over while pupae are counted; but pupae long
 * after the first worker are those of a second batch and say nothing of the first.
 */
function batchDays(u: number, pupaeUntil: number): number {
  const mu = Math.log(BATCH_DAYS.median);
  const below = belowLogNormal(pupaeUntil, mu, BATCH_DAYS.logSpread);
  const low = below < SECOND_BATCH_SHARE ? below : 0;
  return Math.exp(mu + BATCH_DAYS.logSpread * normalQuantile(low + u * (1 - low)));
}

function belowLogNormal(x: number, mu: number, sigma: number): number {
  return x > 0 ? normalBelow((Math.log(x) - mu) / sigma) : 0;
}

function summarise(
  sample: Sample,
  known: QueenLedger,
  origin: Instant,
  now: Instant,
  strain: number,
  draws: number,
  seed: number,
): Outlook {
  const picks = resample(sample.weights, draws, seed);
  const nowDay = daysBetween(origin, now);
  const originMs = msOf(origin);
  const at = (day: number): Instant | null =>
    day > nowDay + HORIZON_DAYS ? null : instantOf(originMs + Math.round(day * DAY_MS));
  const events = {} as Record<OutlookEvent, EventOutlook>;
  OUTLOOK_EVENTS.forEach((event, k) => {
    const source = sample.days[k] as Float64Array;
    const sorted = new Float64Array(draws);
    let past = 0;
    for (let i = 0; i < draws; i++) {
      const day = source[picks[i] as number] as number;
      sorted[i] = day;
      if (day <= nowDay) past++;
    }
    sorted.sort();
    const band = bandOfSorted(sorted);
    const seen = event !== 'firstBatchEnd' && known.appearances[event].interval.by !== null;
    events[event] = {
      status: seen ? 'seen' : 'ahead',
      band: { p10: at(band.p10), p50: at(band.p50), p90: at(band.p90) },
      byNow: seen ? 1 : past / draws,
    };
  });
  const next = OUTLOOK_EVENTS.find(
    (e) => events[e].status === 'ahead' && !(e === 'firstBatchEnd' && events[e].byNow > 0.95),
  );
  return {
    events,
    next: known.loss ? null : (next ?? null),
    stillWithout: sample.stillWithout,
    effectiveDraws: sample.effectiveDraws,
    strained: strain,
  };
}
