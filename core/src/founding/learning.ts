import { daysBetween, msOf, normalBelow, normalDensity, type Instant } from '../quantity';
import {
  REFERENCE_C,
  stageDays,
  STAGES,
  type SpeciesProfile,
  type Stage,
  type StageWarmth,
} from '../species';
import { lateCatch } from './outlook/late-catch';
import type { Hemisphere } from '../season';
import type { QueenLedger } from './ledger/queen-ledger';
import { warmthClock, type Temperature } from '../warmth';

/**
 * Of the spread of a stage in a profile, this share of its variance is not between queens but about the median itself:
 * nobody has measured it for the keeper's own stock. It is what own queens can settle. Prior.
 */
const MEDIAN_SHARE = 0.5;
/** Caught in a month in which more than this share winters first, her wait for eggs says nothing of her kind. Prior. */
const MAY_HAVE_WINTERED = 0.2;
/** A duration that fewer of her kind than this show is not learned from. Prior. */
const LEAST_MASS = 0.0005;

/** What finished stages of some queens say about one stage's median, as sums that can be added and taken away. */
export interface StageEvidence {
  /** Queens that finished it. */
  n: number;
  /** Sum of 1 / variance of the natural logarithm of the degree-days. */
  precision: number;
  /** Sum of logarithm / variance. */
  weighted: number;
}
export type KindEvidence = Partial<Record<Stage, StageEvidence>>;
/** By profile id. */
export type Learned = Record<string, KindEvidence>;

/**
 * What one queen's finished stages say of her kind: each stage lasted at least and at most so much warmth, for its
 * beginning and its end are both known as intervals. A wide interval says little.
 * @returns stages that are finished; laying is left out for queens that may have wintered first
 */
export function stageEvidence(
  profile: SpeciesProfile,
  known: QueenLedger,
  temperature: Temperature,
  hemisphere: Hemisphere,
): KindEvidence {
  const found: KindEvidence = {};
  if (!known.intake) return found;
  const origin = known.intake.at;
  const day = (at: Instant) => daysBetween(origin, at);
  const milestones = ['eggs', 'larvae', 'pupae', 'workers'] as const;
  const stirred = known.broodMoves[0]?.at;
  STAGES.forEach((stage, k) => {
    const end = known.appearances[milestones[k] as 'eggs'].interval;
    const start =
      k === 0
        ? { after: known.intake?.earliest ?? origin, by: origin }
        : known.appearances[milestones[k - 1] as 'eggs'].interval;
    if (start.by === null || end.by === null || start.after === null || end.after === null) return;
    // with helpers that are not hers, or without brood that was, she goes at another speed
    if (stirred !== undefined && msOf(end.by) > msOf(stirred)) return;
    if (
      k === 0 &&
      (known.broodLost.length > 0 || lateCatch(profile, origin, hemisphere).chance > MAY_HAVE_WINTERED)
    )
      return;
    const clock = warmthClock(profile, stage, temperature, origin);
    const gathered = (from: Instant, to: Instant) => clock.gathered(day(to)) - clock.gathered(day(from));
    const one = intervalEvidence(
      profile,
      stage,
      Math.max(0, gathered(start.by, end.after)),
      gathered(start.after, end.by),
    );
    if (one) found[stage] = one;
  });
  return found;
}

/**
 * What a duration between two bounds says of the median, as one normal factor: the duration is log-normal around the
 * median, so its moments given the bounds are those of a truncated normal (Johnson, Kotz & Balakrishnan, Continuous
 * Univariate Distributions 1, 2nd ed., section 10.1), and the median's follow from them.
 * @param low degree-days that the stage took at least
 * @param high at most
 */
function intervalEvidence(
  profile: SpeciesProfile,
  stage: Stage,
  low: number,
  high: number,
): StageEvidence | null {
  if (!(high > 0)) return null;
  const { mean, between, own } = spreadsOf(profile, stage);
  const spread = Math.sqrt(between + own);
  const a = low > 0 ? (Math.log(low) - mean) / spread : -Infinity;
  const b = (Math.log(high) - mean) / spread;
  const mass = normalBelow(b) - normalBelow(a);
  // further off than the profile allows: a wrong date or a warmer past, not evidence
  if (!(mass > LEAST_MASS)) return null;
  const shift = (normalDensity(a) - normalDensity(b)) / mass;
  const moment = (a === -Infinity ? 0 : a * normalDensity(a)) - b * normalDensity(b);
  const duration = { mean: mean + spread * shift, variance: spread ** 2 * (1 + moment / mass - shift ** 2) };
  const share = own / (own + between);
  const median = {
    mean: mean + share * (duration.mean - mean),
    variance: share * between + share ** 2 * duration.variance,
  };
  const precision = 1 / median.variance - 1 / own;
  return precision > 0
    ? { n: 1, precision, weighted: median.mean / median.variance - mean / own }
    : { n: 1, precision: 0, weighted: 0 };
}

function spreadsOf(profile: SpeciesProfile, stage: Stage) {
  const { degreeDays, logSpread } = profile.stages[stage];
  const queen = stage === 'laying' ? 0 : profile.queenLogSpread.value;
  return {
    mean: Math.log(degreeDays),
    /** Variance of the median itself. */
    own: MEDIAN_SHARE * logSpread ** 2,
    /** Variance between queens around it. */
    between: (1 - MEDIAN_SHARE) * logSpread ** 2 + queen ** 2,
  };
}

/** Adds evidence, or takes it away with a sign of −1. */
export function addEvidence(sum: KindEvidence, part: KindEvidence, sign: 1 | -1 = 1): KindEvidence {
  const total: KindEvidence = {};
  for (const stage of STAGES) {
    const [a, b] = [sum[stage], part[stage]];
    const n = (a?.n ?? 0) + sign * (b?.n ?? 0);
    if (n <= 0) continue;
    total[stage] = {
      n,
      precision: (a?.precision ?? 0) + sign * (b?.precision ?? 0),
      weighted: (a?.weighted ?? 0) + sign * (b?.weighted ?? 0),
    };
  }
  return total;
}

/**
 * How much of what is uncertain about a kind's median it shares with the others of its genus: they may all be slower than we
 * hold them. Prior.
 */
const GENUS_SHARE = 0.5;

/** What the keeper's queens say of a kind: of itself, and of the other kinds of its genus. */
export interface Taught {
  own: KindEvidence;
  /** Sums over the kinds of how far off their profiles they are, of the natural logarithm. */
  kin: KindEvidence;
  /** Stages whose figure was taken from the keeper's queens, as the catalogue has them: so that no queen counts twice. */
  before?: Partial<Record<Stage, StageWarmth>>;
}
export const NOTHING_TAUGHT: Taught = { own: {}, kin: {} };

/**
 * Sorts what was learned into what is about a kind itself, a copy of its profile among it, and what is about the others of its
 * genus.
 * @param profileOf finds the profiles that were learned of
 */
export function taughtOf(
  profile: SpeciesProfile,
  learned: Learned,
  profileOf: (id: string) => SpeciesProfile,
): Taught {
  const { species, genus } = profile.kin;
  let own: KindEvidence = {};
  let kin: KindEvidence = {};
  for (const [id, evidence] of Object.entries(learned)) {
    const other = profileOf(id);
    const same = id === profile.id || (species !== null && other.kin.species === species);
    // degree-days above another threshold are another measure: then only how far off its profile is tells something
    if (same && other.thresholdC.value === profile.thresholdC.value) own = addEvidence(own, evidence);
    else if (genus !== null && other.kin.genus === genus)
      kin = addEvidence(kin, offOf(withStages(other, beforeQueens(other, profileOf)), evidence));
  }
  return { own, kin, before: beforeQueens(profile, profileOf) };
}

function beforeQueens(
  profile: SpeciesProfile,
  profileOf: (id: string) => SpeciesProfile,
): Partial<Record<Stage, StageWarmth>> {
  if (profile.copiedOf === null) return {};
  const copied = profileOf(profile.copiedOf);
  return Object.fromEntries(
    STAGES.flatMap((stage) => {
      const mine = profile.stages[stage];
      if (mine.source.kind !== 'keeper' || !mine.source.queens) return [];
      // above the own threshold, so that it is the same measure
      const degreeDays = stageDays(copied, stage) * (REFERENCE_C - mine.thresholdC);
      return [[stage, { ...mine, degreeDays, logSpread: copied.stages[stage].logSpread }]];
    }),
  );
}

const withStages = (
  profile: SpeciesProfile,
  stages: Partial<Record<Stage, StageWarmth>>,
): SpeciesProfile => ({ ...profile, stages: { ...profile.stages, ...stages } });

/** How far off its profile a kind is, as evidence about its genus: what is the kind's own makes it less certain. */
function offOf(profile: SpeciesProfile, evidence: KindEvidence): KindEvidence {
  const off: KindEvidence = {};
  for (const stage of STAGES) {
    const e = usable(evidence[stage]);
    if (!e) continue;
    const { mean, own } = spreadsOf(profile, stage);
    const precision = 1 / (1 / e.precision + (1 - GENUS_SHARE) * own);
    off[stage] = { n: e.n, precision, weighted: precision * (e.weighted / e.precision - mean) };
  }
  return off;
}

/**
 * The profile as it stands after the evidence. A kind's median is off its profile by what its whole genus is off and by what
 * is its own; both are normal on the logarithm, and so is the evidence, so each posterior is a precision-weighted mean
 * (hierarchical normal model, e.g. Gelman et al., Bayesian Data Analysis, 3rd ed., sections 2.5 and 5.4). The spread loses what
 * is no longer uncertain about the median.
 */
export function learnedProfile(
  profile: SpeciesProfile,
  { own: evidence, kin, before = {} }: Taught,
): SpeciesProfile {
  const begun = withStages(profile, before);
  const stages = { ...profile.stages };
  for (const stage of STAGES) {
    const e = usable(evidence[stage]);
    const g = usable(kin[stage]);
    if (!e && !g) continue;
    const { mean, own } = spreadsOf(begun, stage);
    const ofGenus = 1 / (1 / (GENUS_SHARE * own) + (g?.precision ?? 0));
    const held = {
      mean: mean + ofGenus * (g?.weighted ?? 0),
      variance: ofGenus + (1 - GENUS_SHARE) * own,
    };
    const precision = 1 / held.variance + (e?.precision ?? 0);
    const median = (held.mean / held.variance + (e?.weighted ?? 0)) / precision;
    stages[stage] = {
      ...profile.stages[stage],
      degreeDays: Math.exp(median),
      logSpread: Math.sqrt((1 - MEDIAN_SHARE) * begun.stages[stage].logSpread ** 2 + 1 / precision),
      source: { kind: 'learned', n: e?.n ?? 0, ...(g ? { ofGenus: g.n } : {}) },
    };
  }
  return { ...profile, stages };
}

const usable = (e: StageEvidence | undefined): StageEvidence | null =>
  e && e.n >= 1 && e.precision > 0 ? e : null;
