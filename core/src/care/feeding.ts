import { addDays, daysBetween, isSome, msOf, phrase, type Instant } from '../quantity';
import type { FounderBelief, FounderEvidence, KnownFounder, QueenLedger } from '../founding';
import { MILESTONES, type SpeciesProfile } from '../species';
import { criterion, PRACTICE, type Criterion, type SchoolView, type Verdict } from './verdict';

/** Practice: a semi-claustral queen is offered food every two to four days. */
const SEMI_FROM_DAYS = 2;
const SEMI_BY_DAYS = 4;
/** Practice: first workers harden for a few days before the first sugar. */
const HARDEN_DAYS = 4;
/** Practice: then a tiny sugar drop about weekly. */
const WITH_WORKERS_DAYS = 7;

const CLAUSTRAL_SCHOOLS: SchoolView[] = [
  {
    school: 'welcome-drop',
    name: 'Welcome drop',
    answer: 'one drop at intake, never with brood',
    until: null,
  },
  {
    school: 'early-honey',
    name: 'Early honey',
    answer: 'one or two drops of diluted honey early on, on a swab, out after a few hours',
    until: null,
  },
];

/** Practice: free liquid must be out of a tube within hours; a drop at intake may stand so long. */
const DROP_HOURS = 6;
/** While it is not known whether she must eat: a tiny offer so often. Prior. */
const OFFER_DAYS = 14;

/** Does she need food? A drop left standing first; then by first workers; then by what kind of founder she is held to be. */
export function needsFood(
  profile: SpeciesProfile,
  known: QueenLedger,
  belief: FounderBelief,
  now: Instant,
): Verdict {
  if (known.loss?.orphans) return orphanFood(known, known.loss.at, now);
  const drop = known.welcomeDrop;
  if (drop && drop.goneAt === null) return dropStands(known, drop, now);
  const workers = known.appearances.workers.interval.by;
  if (workers) return withWorkers(known, workers, now);
  if (belief.course === 'feed-throughout') return semiClaustral(profile, known, belief, now);
  if (belief.course === 'no-plan') return parasitic(belief);
  if (belief.course === 'offer-and-watch') return offerAndWatch(known, belief, now);
  return {
    id: 'food',
    question: 'Does she need food?',
    answer: 'no',
    says: ['She lives on her reserves until the first workers come. Water only.'],
    pressure: 'rest',
    until: null,
    school: 'Nothing until workers',
    criteria: [founderCriterion(belief, 'fully-claustral', 'met')],
    others: CLAUSTRAL_SCHOOLS,
  };
}

/** Practice: workers run on sugar; without a queen there is little brood to grow on protein. */
function orphanFood(known: QueenLedger, since: Instant, now: Instant): Verdict {
  const last = known.lastFeed;
  const due = addDays(last?.at ?? since, last ? WITH_WORKERS_DAYS : 0);
  const open = msOf(due) <= msOf(now);
  return {
    id: 'food',
    question: 'Do her workers need food?',
    answer: open ? 'yes, a little' : 'not yet',
    says: open
      ? ['A tiny sugar drop on foil for her workers; a little protein only while larvae are there.']
      : phrase`Feed her workers again from ${{ date: due }}.`,
    pressure: open ? 'soon' : 'rest',
    until: open ? null : due,
    school: null,
    criteria: [
      criterion(
        'hungry',
        open ? 'unmet' : 'met',
        last
          ? phrase`Last fed ${{ date: last.at }}; about weekly is usual.`
          : ['Not fed since she was taken in.'],
        PRACTICE,
        { evidence: last ? [last.entryId] : [] },
      ),
    ],
    others: [],
  };
}

const FOUNDER_NAMES = {
  'fully-claustral': 'fully claustral',
  'semi-claustral': 'semi-claustral',
  'socially-parasitic': 'a social parasite',
} as const;

function founderCriterion(belief: FounderBelief, type: KnownFounder, state: Criterion['state']): Criterion {
  return criterion(
    'founder',
    state,
    phrase`She is held to be ${{ word: FOUNDER_NAMES[type] }} at ${{ percent: 100 * belief.probabilities[type] }}.`,
    'Bayes’ rule over her species, shape and behaviour',
    belief.tellsMost ? { settles: SETTLES[belief.tellsMost.kind] } : {},
  );
}

const SETTLES: Record<FounderEvidence['kind'], string> = {
  species: 'A name for the species tells most.',
  shape: 'Compare her shape with the silhouettes: that tells most.',
  wings: 'Whether she has wings.',
  restless: 'Whether she paces and searches a week after settling tells most.',
  protein: 'A tiny protein offer tells most: taken or refused.',
  'brood-unfed': 'Whether larvae grow to pupae without food tells most.',
};

function dropStands(known: QueenLedger, drop: { at: Instant; entryId: string }, now: Instant): Verdict {
  const brood = MILESTONES.some((m) => m !== 'workers' && known.counts[m] && isSome(known.counts[m].range));
  const by = brood ? drop.at : addDays(drop.at, DROP_HOURS / 24);
  const due = msOf(by) <= msOf(now);
  return {
    id: 'food',
    question: 'Does she need food?',
    answer: due ? 'take it out' : 'a drop stands',
    says: due
      ? [
          brood
            ? 'Take the drop out: free liquid and brood do not go together.'
            : 'Take the welcome drop out now, if it is still there: free liquid fouls and drowns.',
        ]
      : ['A welcome drop stands before her. Take it out within a few hours.'],
    pressure: due ? 'now' : 'soon',
    until: due ? null : by,
    school: 'Welcome drop',
    criteria: [
      criterion(
        'drop',
        'unmet',
        phrase`Set ${{ date: drop.at }}; out after about ${{ word: `${DROP_HOURS} hours` }}.`,
        PRACTICE,
        {
          evidence: [drop.entryId],
          settles: 'Log it as taken or removed.',
        },
      ),
    ],
    others: [],
  };
}

function parasitic(belief: FounderBelief): Verdict {
  return {
    id: 'food',
    question: 'Does she need food?',
    answer: 'no plan',
    says: [
      'She is probably a social parasite: she founds with host workers or their brood, not alone. No plain founding plan applies; ask keepers of her kind.',
    ],
    pressure: 'soon',
    until: null,
    school: null,
    criteria: [founderCriterion(belief, 'socially-parasitic', 'unmet')],
    others: [],
  };
}

function offerAndWatch(known: QueenLedger, belief: FounderBelief, now: Instant): Verdict {
  const last = known.lastFeed;
  const due = last ? addDays(last.at, OFFER_DAYS) : null;
  const open = due === null || msOf(due) <= msOf(now);
  return {
    id: 'food',
    question: 'Does she need food?',
    answer: 'not known',
    says: open
      ? [
          'It is not certain that she can wait without food. The safe course is cheap: a small foraging space and a tiny protein offer.',
        ]
      : phrase`Offered lately. If nothing is clearer by ${{ date: due }}, offer a tiny piece again.`,
    pressure: open ? 'free' : 'rest',
    until: open ? null : due,
    school: null,
    criteria: [founderCriterion(belief, 'semi-claustral', 'unknown')],
    others: CLAUSTRAL_SCHOOLS,
  };
}

function semiClaustral(
  profile: SpeciesProfile,
  known: QueenLedger,
  belief: FounderBelief,
  now: Instant,
): Verdict {
  const since = known.lastFeed?.at ?? known.intake?.at ?? now;
  const days = daysBetween(since, now);
  const by = addDays(since, SEMI_BY_DAYS);
  const due = days >= SEMI_BY_DAYS;
  const free = days >= SEMI_FROM_DAYS;
  return {
    id: 'food',
    question: 'Does she need food?',
    answer: due ? 'yes, today' : free ? 'soon' : 'fed',
    says: due
      ? [
          'She must eat while founding. Offer sugar and a tiny piece of dead prey through the foraging space; leftovers out after a day.',
        ]
      : phrase`Offer food again by ${{ date: by }}; small, through the foraging space.`,
    pressure: due ? 'now' : free ? 'soon' : 'rest',
    until: due ? null : by,
    school: null,
    criteria: [
      {
        ...founderCriterion(belief, 'semi-claustral', 'met'),
        source:
          profile.founder.value === 'semi-claustral'
            ? PRACTICE
            : 'Bayes’ rule over her species, shape and behaviour',
      },
      criterion(
        'fed',
        due ? 'unmet' : 'met',
        known.lastFeed
          ? phrase`Last fed ${{ days }} ago; every ${{ days: SEMI_FROM_DAYS }} to ${{ days: SEMI_BY_DAYS }} is usual.`
          : ['No feed is logged.'],
        PRACTICE,
        {
          evidence: known.lastFeed ? [known.lastFeed.entryId] : [],
          margin: { value: SEMI_BY_DAYS - days, unit: 'days' },
        },
      ),
    ],
    others: [],
  };
}

function withWorkers(known: QueenLedger, workersBy: Instant, now: Instant): Verdict {
  // workers that came with her have hardened long ago; she settles for a day
  const cameWithHer = known.appearances.workers.byEntry === known.intake?.entryId;
  const hard = addDays(workersBy, cameWithHer ? 1 : HARDEN_DAYS);
  const fedSince = known.lastFeed && msOf(known.lastFeed.at) > msOf(workersBy) ? known.lastFeed : null;
  const due = fedSince ? addDays(fedSince.at, WITH_WORKERS_DAYS) : hard;
  const open = msOf(due) <= msOf(now);
  return {
    id: 'food',
    question: 'Does she need food?',
    answer: open ? (fedSince ? 'yes, a little' : 'yes, the first feed') : 'not yet',
    says: open
      ? [
          fedSince
            ? 'A tiny sugar drop on foil, then small dead protein; out after a day.'
            : cameWithHer
              ? 'Her workers came hungry from the journey. A tiny sugar drop on foil now; protein a few days later.'
              : 'Her reserves are spent. A tiny sugar drop on foil restarts her laying; protein a few days later.',
        ]
      : fedSince
        ? phrase`Feed again from ${{ date: due }}.`
        : cameWithHer
          ? phrase`Let them settle until ${{ date: due }}, then a tiny sugar drop.`
          : phrase`Let the first workers harden until ${{ date: due }}, then a tiny sugar drop.`,
    pressure: open ? (fedSince ? 'soon' : 'now') : 'rest',
    until: open ? null : due,
    school: null,
    criteria: [
      criterion(
        'hardened',
        msOf(hard) <= msOf(now) ? 'met' : 'unmet',
        phrase`First workers seen by ${{ date: workersBy }}; they harden for about ${{ days: HARDEN_DAYS }}.`,
        PRACTICE,
        {
          evidence: [known.appearances.workers.byEntry].filter((e) => e !== null),
          margin: { value: daysBetween(hard, now), unit: 'days' },
        },
      ),
      criterion(
        'hungry',
        open ? 'unmet' : 'met',
        fedSince
          ? phrase`Last fed ${{ date: fedSince.at }}; about weekly is usual.`
          : ['Not fed since workers came.'],
        PRACTICE,
        { evidence: fedSince ? [fedSince.entryId] : [] },
      ),
    ],
    others: [],
  };
}
