import { addDays, daysBetween, msOf, phrase, type Instant } from '../quantity';
import type { QueenLedger } from '../founding';
import type { SpeciesProfile } from '../species';
import { criterion, PRACTICE, type SchoolView, type Verdict } from './verdict';

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

/** Does she need food? By founder type, then by first workers. */
export function needsFood(profile: SpeciesProfile, known: QueenLedger, now: Instant): Verdict {
  const workers = known.appearances.workers.interval.by;
  if (workers) return withWorkers(known, workers, now);
  if (profile.founder.value === 'semi-claustral') return semiClaustral(profile, known, now);
  const unsure = profile.founder.value !== 'fully-claustral';
  return {
    id: 'food',
    question: 'Does she need food?',
    answer: unsure ? 'not known' : 'no',
    says: unsure
      ? [
          'Her founder type is not known. The safe course is cheap: a small foraging space and a tiny protein offer.',
        ]
      : ['She lives on her reserves until the first workers come. Water only.'],
    pressure: unsure ? 'free' : 'rest',
    until: null,
    school: 'Nothing until workers',
    criteria: [
      criterion(
        'founder',
        unsure ? 'unknown' : 'met',
        [
          unsure
            ? 'Nothing says yet whether she is claustral.'
            : `${profile.name} is held to be fully claustral.`,
        ],
        PRACTICE,
        unsure ? { settles: 'A name for the species, or whether she takes protein.' } : {},
      ),
    ],
    others: CLAUSTRAL_SCHOOLS,
  };
}

function semiClaustral(profile: SpeciesProfile, known: QueenLedger, now: Instant): Verdict {
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
      criterion(
        'founder',
        'met',
        [`${profile.name} is semi-claustral: she hungers if left without food.`],
        PRACTICE,
      ),
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
  const hard = addDays(workersBy, HARDEN_DAYS);
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
            : 'Her reserves are spent. A tiny sugar drop on foil restarts her laying; protein a few days later.',
        ]
      : fedSince
        ? phrase`Feed again from ${{ date: due }}.`
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
