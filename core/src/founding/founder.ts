import type { Certainty } from '../facts';
import { need } from '../quantity';
import type { FounderType } from '../species';

/** The ways of founding. A plan is made for the first two; the others cannot found alone. */
export const FOUNDER_TYPES = [
  'fully-claustral',
  'semi-claustral',
  'socially-parasitic',
  'dependent',
] as const;
export type KnownFounder = (typeof FOUNDER_TYPES)[number];

/** One thing that tells what kind of founder she is; `source` says who said or saw it. */
export type FounderEvidence = {
  source: string;
  /** The log entry that says so, if one does. */
  entryId?: string;
} &
  /** `sure`: how sure whoever named her was; certain when not said. `known`: how her species founds is published or common practice. */
  (
    | { kind: 'species'; founder: FounderType; weight: number; sure?: Certainty; known?: boolean }
    | { kind: 'shape'; value: 'large-gaster' | 'between' | 'slim-large-head' }
    | { kind: 'wings'; value: 'winged' | 'dealate' }
    /** Paces and searches a week after she settled. */
    | { kind: 'restless'; value: boolean }
    | { kind: 'protein'; value: 'accepted' | 'refused' }
    /** Larvae became pupae without any food given. */
    | { kind: 'brood-unfed'; value: boolean }
  );

type SpeciesEvidence = Extract<FounderEvidence, { kind: 'species' }>;

export type FounderCourse = 'water-only' | 'offer-and-watch' | 'feed-throughout' | 'no-plan';

export interface FounderBelief {
  probabilities: Record<KnownFounder, number>;
  /** Each piece of evidence with how many times it makes semi-claustral likelier than fully claustral; below 1 the other way. */
  evidence: { evidence: FounderEvidence; factor: number }[];
  course: FounderCourse;
  /** The observation not made yet that is expected to tell most, with what it tells, bits; null when nothing would. */
  tellsMost: { kind: FounderEvidence['kind']; bits: number } | null;
}

/** Of queens that a keeper meets without a name: one that leaves with workers is not met alone. Prior. */
const BASE: Record<KnownFounder, number> = {
  'fully-claustral': 0.75,
  'semi-claustral': 0.2,
  'socially-parasitic': 0.05,
  dependent: 0,
};

/** How far a name says what kind of founder she is; the rest is spread as among the unnamed. Priors. */
const NAME_TRUST: Record<Certainty, number> = { certain: 0.97, likely: 0.85, guess: 0.6 };

type Chances = Record<KnownFounder, number>;
/** What is seen of one that needs workers of her own is taken to be as of one that needs those of a host. */
const chances = (full: number, semi: number, parasitic: number): Chances => ({
  'fully-claustral': full,
  'semi-claustral': semi,
  'socially-parasitic': parasitic,
  dependent: parasitic,
});

/**
 * Chance of each observation for each kind of founder. Directions are common practice; the figures are priors. Wings
 * are nearly the same for all: kept wings disprove nothing and shed wings prove nothing.
 */
const LIKELIHOOD: { [K in Exclude<FounderEvidence['kind'], 'species'>]: Record<string, Chances> } = {
  shape: {
    'large-gaster': chances(0.7, 0.15, 0.1),
    between: chances(0.25, 0.35, 0.4),
    'slim-large-head': chances(0.05, 0.5, 0.5),
  },
  wings: { winged: chances(0.15, 0.15, 0.15), dealate: chances(0.85, 0.85, 0.85) },
  restless: { true: chances(0.15, 0.65, 0.6), false: chances(0.85, 0.35, 0.4) },
  protein: { accepted: chances(0.06, 0.85, 0.3), refused: chances(0.94, 0.15, 0.7) },
  'brood-unfed': { true: chances(0.95, 0.15, 0.02), false: chances(0.05, 0.85, 0.98) },
};

/**
 * Below this chance that she must eat, water alone is the plan; from the next on she is fed throughout: a queen that is
 * fed without need loses little, one that starves loses all. Priors.
 */
const OFFER_ABOVE = 0.08;
const FEED_ABOVE = 0.5;
const NO_PLAN_ABOVE = 0.5;
/** What tells less than this is not worth a disturbance, bits. Prior. */
const WORTH_BITS = 0.02;

/**
 * What kind of founder she is, by Bayes' rule from everything seen and said. Evidence is taken as independent given the
 * kind; of one kind of evidence the last holds, but species with shares add up.
 * @param evidence in the order in which it came
 * @throws InputError for a share outside 0..1
 */
export function founderBelief(evidence: readonly FounderEvidence[]): FounderBelief {
  const standing = lastOfEachKind(evidence);
  let p = fromSpecies(standing.filter((e) => e.kind === 'species'));
  const bySpecies = p;
  const tells = (e: FounderEvidence) => !(refuses(e) && knownToEat(standing));
  for (const e of standing) if (e.kind !== 'species' && tells(e)) p = update(p, likelihoodOf(e));
  return {
    probabilities: p,
    evidence: standing.map((e) => ({ evidence: e, factor: tells(e) ? factorOf(e, bySpecies) : 1 })),
    course: courseOf(p),
    // nor would a refusal still to come tell anything of her
    tellsMost: tellsMost(
      p,
      new Set([...standing.map((e) => e.kind), ...(knownToEat(standing) ? ['protein'] : [])]),
    ),
  };
}

const refuses = (e: FounderEvidence): boolean => e.kind === 'protein' && e.value === 'refused';

/**
 * She is named, not guessed, as one whose kind is known to eat while it founds. What such a queen leaves speaks of the food, the
 * warmth or the season: however often she does, it does not make her one that fasts. Common practice.
 */
export function knownToEat(evidence: readonly FounderEvidence[]): boolean {
  const named = evidence.filter((e) => e.kind === 'species');
  const share = (some: readonly SpeciesEvidence[]) => some.reduce((sum, e) => sum + e.weight, 0);
  const eaters = named.filter((e) => e.founder === 'semi-claustral' && e.known && e.sure !== 'guess');
  return share(eaters) > share(named) / 2;
}

function lastOfEachKind(evidence: readonly FounderEvidence[]): FounderEvidence[] {
  const species = evidence.filter((e) => e.kind === 'species');
  const last = new Map<string, FounderEvidence>();
  for (const e of evidence) if (e.kind !== 'species') last.set(e.kind, e);
  return [...species, ...last.values()];
}

function fromSpecies(named: SpeciesEvidence[]): Chances {
  for (const s of named) {
    need(
      Number.isFinite(s.weight) && s.weight >= 0 && s.weight <= 1,
      'weight',
      `The share of a species (${s.weight}) is not between 0 and 1. Write 0.7 for 70 %.`,
    );
  }
  const total = named.reduce((sum, s) => sum + s.weight, 0);
  if (total === 0) return BASE;
  const p = chances(0, 0, 0);
  for (const s of named) {
    const trust = NAME_TRUST[s.sure ?? 'certain'];
    for (const type of FOUNDER_TYPES) {
      const given =
        s.founder === 'unknown' ? BASE[type] : trust * Number(s.founder === type) + (1 - trust) * BASE[type];
      p[type] += (s.weight / total) * given;
    }
  }
  return p;
}

const likelihoodOf = (e: Exclude<FounderEvidence, SpeciesEvidence>): Chances =>
  LIKELIHOOD[e.kind][String(e.value)] as Chances;

function update(p: Chances, likelihood: Chances): Chances {
  const joint = chances(0, 0, 0);
  let total = 0;
  for (const t of FOUNDER_TYPES) total += joint[t] = p[t] * likelihood[t];
  for (const t of FOUNDER_TYPES) joint[t] /= total;
  return joint;
}

function factorOf(e: FounderEvidence, bySpecies: Chances): number {
  const l = e.kind === 'species' ? null : likelihoodOf(e);
  if (l) return l['semi-claustral'] / l['fully-claustral'];
  const odds = (c: Chances) => c['semi-claustral'] / c['fully-claustral'];
  return odds(bySpecies) / odds(BASE);
}

function courseOf(p: Chances): FounderCourse {
  const notAlone = p['socially-parasitic'] + p.dependent;
  if (notAlone >= NO_PLAN_ABOVE) return 'no-plan';
  if (p['semi-claustral'] > FEED_ABOVE) return 'feed-throughout';
  return p['semi-claustral'] + notAlone > OFFER_ABOVE ? 'offer-and-watch' : 'water-only';
}

function entropyBits(p: Chances): number {
  return FOUNDER_TYPES.reduce((sum, t) => (p[t] > 0 ? sum - p[t] * Math.log2(p[t]) : sum), 0);
}

/** Expected drop of entropy for each observation still to be made. */
function tellsMost(p: Chances, made: ReadonlySet<string>): FounderBelief['tellsMost'] {
  const before = entropyBits(p);
  let best: FounderBelief['tellsMost'] = null;
  for (const [kind, outcomes] of Object.entries(LIKELIHOOD)) {
    if (made.has(kind)) continue;
    let after = 0;
    for (const likelihood of Object.values(outcomes)) {
      const chance = FOUNDER_TYPES.reduce((sum, t) => sum + p[t] * likelihood[t], 0);
      if (chance > 0) after += chance * entropyBits(update(p, likelihood));
    }
    const bits = before - after;
    if (bits > WORTH_BITS && (best === null || bits > best.bits))
      best = { kind: kind as FounderEvidence['kind'], bits };
  }
  return best;
}
