import { daysBetween, evenPoints, quickNormalBelow, quickNormalQuantile, type Instant } from '../../quantity';
import { STAGES, type Milestone, type SpeciesProfile } from '../../species';
import { missChance, SOFT_DAYS } from './detection';
import { middleOf, type Future } from './futures';
import type { QueenLedger } from '../ledger/queen-ledger';
import type { Drawn } from './sample';
import type { WarmthClock } from '../../warmth/clock';

/** What is drawn for each queen, a dimension each; egg, larva and pupa follow laying. */
const [LAYING, QUEEN, BATCH, WINTERS, EATEN, TAKEN_IN] = [0, 4, 5, 6, 7, 8] as const;
const DIMENSIONS = 9;

const BATCH_DAYS = { median: 7, logSpread: 0.4 };
/** Pupae later than this share of first batches takes belong to a second one. Prior. */
const SECOND_BATCH_SHARE = 0.97;
/** How far back brood that came with her may go when warmth gives no answer. Prior. */
const UNKNOWN_PAST_DAYS = 60;
/**
 * A first clutch may be eaten unseen and begun again: in this share of foundings, and then the wait for larvae is so many
 * times as long, with so much more spread. Priors; that queens under stress eat their eggs is common practice.
 */
const EATEN_UNSEEN = { share: 0.1, times: 2, logSpread: 0.35 };
/** How seldom the days before a look without are drawn, against those after it. */
const SOFT_SHARE = 0.1;

/** What the log allows for the day on which one stage began. */
export interface Bounds {
  /** Not there yet on this day, -Infinity when unknown. */
  after: number;
  /** There by this day, Infinity when not seen. */
  by: number;
  /** Last days on which a look counted none. */
  absent: number[];
}

export function boundsOf(known: QueenLedger, milestone: Milestone, origin: Instant): Bounds {
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

/** All that one species' draws rest on. */
interface Sampling {
  profile: SpeciesProfile;
  futures: readonly Future[];
  bounds: Bounds[];
  late: { chance: number; springDay: number };
  known: QueenLedger;
  origin: Instant;
  draws: number;
  seed: number;
  strain: number;
}

/** The part of a stage's distribution that the log allows. */
interface Allowed {
  low: number;
  atLast: number;
  softMass: number;
  mass: number;
}

/** Draws possible queens of one species and weighs each by how well it explains her log. */
export function drawAll(s: Sampling): Drawn {
  const { profile, futures, bounds, late, draws, strain } = s;
  const u01 = evenPoints(DIMENSIONS, s.seed);
  const days = Array.from({ length: STAGES.length + 1 }, () => new Float64Array(draws));
  const factors = new Float64Array(draws);
  const weights = new Float64Array(draws);
  const inFuture = new Uint8Array(draws);
  const waits = new Uint8Array(draws);
  const queenSpread = profile.queenLogSpread.value * strain;
  const medians = STAGES.map((st) => Math.log(profile.stages[st].degreeDays));
  const spreads = STAGES.map((st) => profile.stages[st].logSpread * strain);
  const slow = profile.slowLaying.value;
  const slowMore = Math.log(slow.times);
  const eatenMore = Math.log(EATEN_UNSEEN.times);
  const eatenSpread = Math.hypot(spreads[1] as number, EATEN_UNSEEN.logSpread * strain);
  const start = startOfAttempt(s);
  const { earliest } = s.known.intake ?? { earliest: null };
  const dayUnknown = earliest ? Math.max(0, daysBetween(earliest, s.origin)) : 0;
  const pupaeStillThere = lastPupaeDay(s.known, s.origin);
  const lookback = lookbackDays(middleOf(futures).clocks, bounds, medians);
  const nextUnseen = bounds.findIndex((b) => b.by === Infinity);
  const asked = nextUnseen >= 0 && (bounds[nextUnseen] as Bounds).absent.length > 0;
  let massBefore = 0;
  let massAfter = 0;

  const allowed = (
    b: Bounds,
    clock: WarmthClock,
    from: number,
    zero: number,
    mu: number,
    sigma: number,
  ): Allowed => {
    const atLast = begunBy(b.after, clock, from, zero, mu, sigma);
    const high = b.by === Infinity ? 1 : begunBy(b.by, clock, from, zero, mu, sigma);
    // a look without is trusted, but for the few days in which the first ones are easily overlooked: those days are
    // drawn seldom, and weighed up again
    const low =
      b.absent.length > 0 ? begunBy(b.after - SOFT_DAYS * strain, clock, from, zero, mu, sigma) : atLast;
    const softMass = SOFT_SHARE * (atLast - low);
    return { low, atLast, softMass, mass: softMass + Math.max(0, high - atLast) };
  };
  // until she lays nothing depends on the queen herself: what the log allows is worked out once a future
  const layingKept = new Map<number, { zero: number; usual: Allowed; slow: Allowed }>();
  const laying = (key: number, clock: WarmthClock, from: number) => {
    const kept = key >= 0 ? layingKept.get(key) : undefined;
    if (kept) return kept;
    const b = bounds[0] as Bounds;
    const zero = clock.gathered(from);
    const [mu, sigma] = [medians[0] as number, spreads[0] as number];
    const made = {
      zero,
      usual: allowed(b, clock, from, zero, mu, sigma),
      slow: allowed(b, clock, from, zero, mu + slowMore, sigma),
    };
    if (key >= 0) layingKept.set(key, made);
    return made;
  };

  for (let i = 0; i < draws; i++) {
    const queen = queenSpread * quickNormalQuantile(u01(i, QUEEN));
    factors[i] = queen;
    const winters = u01(i, WINTERS) < late.chance;
    const eaten = u01(i, EATEN) < EATEN_UNSEEN.share;
    // taken in turn: each future gets its share to the draw
    const f = i % futures.length;
    inFuture[i] = f;
    waits[i] = Number(winters);
    const { clocks } = futures[f] as Future;
    const began = dayUnknown > 0 && start === 0 ? -u01(i, TAKEN_IN) * dayUnknown : start;
    let from = Math.max(began, winters ? late.springDay : -Infinity);
    let weight = 1;
    for (let stage = 0; stage < STAGES.length; stage++) {
      const clock = clocks[stage] as WarmthClock;
      const b = bounds[stage] as Bounds;
      let u = u01(i, LAYING + stage);
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
        let mu = (medians[stage] as number) + (stage === 0 ? 0 : queen);
        let sigma = spreads[stage] as number;
        let zero: number;
        let part: Allowed;
        if (stage === 0) {
          const made = laying(dayUnknown > 0 ? -1 : 2 * f + Number(winters), clock, from);
          zero = made.zero;
          const usualMass = (1 - slow.share) * made.usual.mass;
          mass = usualMass + slow.share * made.slow.mass;
          // which of the two she is, is drawn by what the log makes of it
          const isSlow = u * mass >= usualMass;
          part = isSlow ? made.slow : made.usual;
          u = isSlow ? (u * mass - usualMass) / (mass - usualMass) : (u * mass) / usualMass;
          if (isSlow) mu += slowMore;
        } else {
          if (stage === 1 && eaten) {
            mu += eatenMore;
            sigma = eatenSpread;
          }
          zero = clock.gathered(from);
          part = allowed(b, clock, from, zero, mu, sigma);
          mass = part.mass;
        }
        if (!(mass > 0)) {
          weight = 0;
          break;
        }
        const pick = u * part.mass;
        const isSoft = pick < part.softMass;
        const share = isSoft ? part.low + pick / SOFT_SHARE : part.atLast + (pick - part.softMass);
        if (isSoft) correction = 1 / SOFT_SHARE;
        day = Math.min(clock.dayOf(zero + Math.exp(mu + sigma * quickNormalQuantile(share))), b.by);
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
      const lastDay = from + batchDays(u01(i, BATCH), pupaeStillThere - from);
      (days[4] as Float64Array)[i] = lastDay;
    }
    weights[i] = weight;
  }
  const [before, after] = asked ? [massBefore, massAfter] : [0, 0];
  return { days, weights, factors, futures: inFuture, waits, before, after };
}

/** The day from which she can lay: settled, or the look that found an earlier brood gone. */
function startOfAttempt({ known, origin }: Pick<Sampling, 'known' | 'origin'>): number {
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
export function batchDays(u: number, pupaeUntil: number): number {
  const mu = Math.log(BATCH_DAYS.median);
  const below = belowLogNormal(pupaeUntil, mu, BATCH_DAYS.logSpread);
  const low = below < SECOND_BATCH_SHARE ? below : 0;
  return Math.exp(mu + BATCH_DAYS.logSpread * quickNormalQuantile(low + u * (1 - low)));
}

/** Share of queens that have begun a stage by a day, which started on `from` with so much warmth gathered. */
function begunBy(
  day: number,
  clock: WarmthClock,
  from: number,
  zero: number,
  mu: number,
  sigma: number,
): number {
  return day > from ? belowLogNormal(clock.gathered(day) - zero, mu, sigma) : 0;
}

function belowLogNormal(x: number, mu: number, sigma: number): number {
  return x > 0 ? quickNormalBelow((Math.log(x) - mu) / sigma) : 0;
}
