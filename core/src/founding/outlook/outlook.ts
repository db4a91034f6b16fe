import {
  bandOfSorted,
  quantileSorted,
  daysBetween,
  InputError,
  instantOf,
  msOf,
  need,
  DAY_MS,
  type Band,
  type Instant,
} from '../../quantity';
import type { Hemisphere } from '../../season';
import { MILESTONES, type Milestone, type SpeciesProfile } from '../../species';
import type { QueenLedger } from '../ledger/queen-ledger';
import { lateCatch } from './late-catch';
import { missChance } from './detection';
import { boundsOf, drawAll } from './draws';
import { futuresOf, type Future } from './futures';
import { laterBatches, type Likely, type Part } from './later-batches';
import { neverLaysPrior } from './never-lays';
import { merge, partOf, resample, type Sample } from './sample';
import { stepsOf, temperatureAt, THERMOMETER_ERROR_C, type Temperature } from '../../warmth';

export interface OutlookOptions {
  /** Number of simulated queens; 4,000 when not given. */
  draws?: number;
  /** The same seed gives the same outlook; 1 when not given. */
  seed?: number;
  /** Where the year runs its course; north when not given. */
  hemisphere?: Hemisphere;
  /** Also goes beyond the first batch; true when not given. */
  later?: boolean;
  /** Standard error of the thermometer, °C; that of an unchecked one when not given. */
  thermometerErrorC?: number;
}

/** What is to be seen, in order; the last is the day on which the last of the first batch has come out. */
export const OUTLOOK_EVENTS = [...MILESTONES, 'firstBatchEnd'] as const;
export type OutlookEvent = (typeof OUTLOOK_EVENTS)[number];

export interface EventOutlook {
  /** `seen`: in the log; `ahead`: not seen yet. */
  status: 'seen' | 'ahead';
  /** When it came or will come, if she lays at all; a point is null when it lies beyond the horizon of three years. */
  band: Band<Instant | null>;
  /**
   * Of what was seen: it cannot well have come earlier, for what comes before takes its time at her warmth (99 of 100 draws); null of what
   * is ahead.
   */
  earliest: Instant | null;
  /** Chance that it has come about by now, 0..1; what is given to "never" is missing from it. */
  byNow: number;
}

export interface LaterOutlook {
  /** When she lays again, and when the first worker of that second batch comes out. */
  secondBatch: { eggs: Band<Instant | null>; workers: Band<Instant | null> };
  /** Workers at the beginning of the coming winter; null where there is none, or when it is winter now. */
  byWinter: { on: Instant; workers: Band } | null;
  /** What is probably in the tube now, and how many. Reckoned, not seen. */
  inside: Record<Milestone, Likely>;
}

export interface Outlook {
  events: Record<OutlookEvent, EventOutlook>;
  /** Beyond the first batch; null when it was not asked for. */
  later: LaterOutlook | null;
  /** The next thing not seen yet; null when the first batch is complete or she is lost. */
  next: OutlookEvent | null;
  /**
   * Chance that a queen of this kind, with her history so far, would still be without `next` at the last look that
   * counted none: small when she is late. Null when no look has counted it.
   */
  stillWithout: number | null;
  /** Chance that she never lays, 0..1: never mated, or spent. It cannot be seen, only inferred. */
  neverLays: number;
  /** Chance that she winters before she lays, 0..1. */
  wintersFirst: number;
  /** Chance that a look now would find `next`: there, and not overlooked; 0 when nothing is awaited. */
  found: number;
  /**
   * What her own stages say of the thermometer: how much warmer she has stood than it shows, and the standard error of that once her log
   * has spoken, °C.
   */
  offset: { meanC: number; errorC: number };
  /** How many independent draws the weights are worth. */
  effectiveDraws: number;
  /** 1 when the log fits the profile; more when spreads had to be widened so many times over to explain it. */
  strained: number;
}

/** The later batches, whose bands need not be as smooth, go on from every so many draws. */
const LATER_EVERY = 8;
const HORIZON_DAYS = 3 * 365;
const MAX_STRAIN = 8;
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
  options: OutlookOptions = {},
): MixedOutlook {
  const fitted = fit(kinds, known, temperature, now, options);
  return { outlook: summarise(fitted, options.later ?? true), shares: fitted.sample.shares };
}

/**
 * The days after intake on which one event may come about, as many as draws, sorted, each as likely as the others: for
 * whoever needs more of the distribution than the band.
 * @throws InputError as `outlook` does
 */
export function eventDays(
  profile: SpeciesProfile,
  known: QueenLedger,
  temperature: Temperature,
  now: Instant,
  event: OutlookEvent,
  options: OutlookOptions = {},
): Float64Array {
  const { sample, draws, seed } = fit([{ profile, weight: 1 }], known, temperature, now, options);
  const days = sample.days[OUTLOOK_EVENTS.indexOf(event)] as Float64Array;
  return Float64Array.from(resample(sample.weights, draws, seed), (pick) => days[pick] as number).sort();
}

/** Draws that explain her log, and what they were made with. */
interface Fitted {
  sample: Sample;
  parts: Part[];
  known: QueenLedger;
  origin: Instant;
  now: Instant;
  strain: number;
  draws: number;
  seed: number;
  hemisphere: Hemisphere;
  neverLays: number;
}

function fit(
  kinds: readonly Kind[],
  known: QueenLedger,
  temperature: Temperature,
  now: Instant,
  {
    draws = 4000,
    seed = 1,
    hemisphere = 'north',
    thermometerErrorC = THERMOMETER_ERROR_C.unchecked,
  }: OutlookOptions,
): Fitted {
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
  const partsAt = (warmth: Temperature): Part[] =>
    kinds.map(({ profile }) => ({
      profile,
      futures: futuresOf(profile, warmth, thermometerErrorC, origin, now, hemisphere),
    }));
  const attempt = (parts: Part[], strain: number, n = draws): Sample =>
    merge(
      parts.map(({ profile, futures }, k) => {
        const { weight } = kinds[k] as Kind;
        const share = Math.max(Math.ceil(n * weight), Math.min(n, LEAST_DRAWS));
        const late = lateCatch(profile, origin, hemisphere);
        const given = { profile, futures, bounds, late, known, origin, draws: share, strain };
        return { weight, sample: drawAll({ ...given, seed: seed + 104_729 * k }) };
      }),
    );
  const explains = (sample: Sample, n: number) => sample.effectiveDraws >= n / 100;
  const answer = (sample: Sample, strain: number, parts: Part[]): Fitted => {
    const never = neverLaysPrior(known);
    return {
      sample,
      parts,
      known,
      origin,
      now,
      strain,
      draws,
      seed,
      hemisphere,
      // a queen that never lays explains every look without eggs
      neverLays: never > 0 ? never / (never + (1 - never) * Math.min(1, fitting.explains)) : 0,
    };
  };

  const planned = partsAt(temperature);
  const fitting = attempt(planned, 1);
  if (explains(fitting, draws)) return answer(fitting, 1, planned);
  // lateness is measured against her kind as it is known, not as it has to be stretched to explain her
  const { stillWithout } = fitting;
  const pilot = Math.min(draws, PILOT_DRAWS);
  for (let strain = 2; strain <= MAX_STRAIN; strain *= 2) {
    if (!explains(attempt(planned, strain, pilot), pilot)) continue;
    return answer({ ...attempt(planned, strain), stillWithout }, strain, planned);
  }
  // She did what was impossible at the temperature given: she must have stood warmer before. Take her kind's best
  // warmth for the past and the given one from her last look on.
  const assumed = partsAt(warmerPast(heaviest.profile, known, temperature, now));
  const sample = attempt(assumed, MAX_STRAIN);
  need(
    sample.effectiveDraws > 0,
    'entries',
    'Her log cannot be explained: some of its dates exclude one another. Put the wrong one right.',
  );
  return answer({ ...sample, stillWithout }, MAX_STRAIN, assumed);
}

function warmerPast(
  profile: SpeciesProfile,
  known: QueenLedger,
  temperature: Temperature,
  now: Instant,
): Temperature {
  const { low, high } = profile.bestTempC.value;
  const turn = known.lastLook?.at ?? now;
  const later = stepsOf(temperature).filter((s) => msOf(s.from) > msOf(turn));
  return {
    ...(typeof temperature === 'number' ? {} : temperature),
    steps: [
      { from: instantOf(0), tempC: (low + high) / 2 },
      { from: turn, tempC: temperatureAt(temperature, turn) },
      ...later,
    ],
  };
}

/** One draw in a hundred may lie before. */
const EARLIEST_SHARE = 0.01;

function summarise(s: Fitted, goesOn: boolean): Outlook {
  const { sample, known, origin, now, strain, draws, seed, neverLays } = s;
  const picks = resample(sample.weights, draws, seed);
  const nowDay = daysBetween(origin, now);
  const originMs = msOf(origin);
  const at = (day: number): Instant | null =>
    day > nowDay + HORIZON_DAYS ? null : instantOf(originMs + Math.round(day * DAY_MS));
  const events = {} as Record<OutlookEvent, EventOutlook>;
  const sorted = new Float64Array(draws);
  OUTLOOK_EVENTS.forEach((event, k) => {
    const source = sample.days[k] as Float64Array;
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
      earliest: seen ? at(quantileSorted(sorted, EARLIEST_SHARE)) : null,
      byNow: seen ? 1 : (1 - neverLays) * (past / draws),
    };
  });
  const next = OUTLOOK_EVENTS.find(
    (e) => events[e].status === 'ahead' && !(e === 'firstBatchEnd' && events[e].byNow > 0.95),
  );
  const milestone = next === undefined ? -1 : MILESTONES.indexOf(next as Milestone);
  let found = 0;
  let waits = 0;
  for (let i = 0; i < draws; i++) {
    const pick = picks[i] as number;
    waits += sample.waits[pick] as number;
    const there = milestone < 0 ? -1 : nowDay - ((sample.days[milestone] as Float64Array)[pick] as number);
    if (there >= 0) found += 1 - missChance(milestone, there);
  }
  return {
    events,
    neverLays,
    wintersFirst: ((1 - neverLays) * waits) / draws,
    found: ((1 - neverLays) * found) / draws,
    offset: offsetOf(s, picks),
    later: goesOn ? beyondFirst(s, picks, at) : null,
    next: known.loss ? null : (next ?? null),
    stillWithout: sample.stillWithout,
    effectiveDraws: sample.effectiveDraws,
    strained: strain,
  };
}

function offsetOf({ sample, parts }: Fitted, picks: Int32Array): Outlook['offset'] {
  let [sum, squares] = [0, 0];
  for (const pick of picks) {
    const { futures } = parts[partOf(sample.sizes, pick)] as Part;
    const { offC } = futures[sample.futures[pick] as number] as Future;
    sum += offC;
    squares += offC * offC;
  }
  const meanC = sum / picks.length;
  return { meanC, errorC: Math.sqrt(Math.max(0, squares / picks.length - meanC * meanC)) };
}

function beyondFirst(s: Fitted, picks: Int32Array, at: (day: number) => Instant | null): LaterOutlook {
  const { sample, parts, known, origin, now, hemisphere, seed } = s;
  const some = picks.filter((_, i) => i % LATER_EVERY === 0);
  const { second, byWinter, inside } = laterBatches(
    sample,
    some,
    parts,
    known,
    origin,
    now,
    hemisphere,
    seed,
  );
  const bandOf = (days: Float64Array): Band<Instant | null> => {
    const { p10, p50, p90 } = bandOfSorted(days.sort());
    return { p10: at(p10), p50: at(p50), p90: at(p90) };
  };
  return {
    secondBatch: { eggs: bandOf(second.eggs), workers: bandOf(second.workers) },
    byWinter,
    inside,
  };
}
