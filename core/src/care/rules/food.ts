import { lastMeal, refusalsInARow, type Offer } from '../../founding';
import {
  addDays,
  daysBetween,
  isSome,
  latest,
  msOf,
  phrase,
  type Instant,
  type Phrase,
} from '../../quantity';
import { isWinteringTempC } from '../../season';
import { counted } from '../../words';
import type { Case } from '../case';
import { figure } from '../practice';
import {
  ask,
  COMMON_PRACTICE,
  criterion,
  OWN_LOG,
  OWN_PRIOR,
  verdict,
  type Ask,
  type Criterion,
  type Rule,
  type SchoolView,
  type Verdict,
} from '../verdict';

const CLAUSTRAL_SCHOOLS: SchoolView[] = [
  {
    school: 'welcome-drop',
    name: 'Welcome drop',
    answer: 'one drop in the catch vial, never with brood',
    until: null,
  },
  {
    school: 'early-honey',
    name: 'Early honey',
    answer: 'one or two drops of diluted honey early on, on a swab, out after a few hours',
    until: null,
  },
];

/** Does she need food? By her season, then by who eats there, then by what kind of founder she is held to be. */
export const food: Rule = (c) => {
  if (c.life === 'gone') return null;
  if (isResting(c)) return resting(c);
  if (c.life === 'orphans') return orphans(c);
  if (c.eating === 'host-fed') return c.workers ? colony(c, 'Her host workers') : parasite(c);
  // a grown colony of such a kind forages for her, oftener than others
  if (c.eating === 'must' && c.life !== 'colony') return mustEat(c);
  if (c.workers) return c.life === 'colony' || fedSinceWorkers(c).any ? colony(c, 'They') : firstFeed(c);
  if (c.eating === 'perhaps') return offerAndWatch(c);
  return foodVerdict(c, {
    answer: 'no',
    says: ['She lives on her reserves until the first workers come. Water only.'],
    school: 'Nothing until workers',
    criteria: [founderCriterion(c)],
    others: CLAUSTRAL_SCHOOLS,
  });
};

const foodVerdict = (c: Case, given: Pick<Verdict, 'answer' | 'says'> & Partial<Verdict>): Verdict =>
  verdict({
    id: 'food',
    question: c.life === 'orphans' ? 'Do her workers need food?' : 'Does she need food?',
    ...given,
  });

/** When the next feed may be given; null when none is planned. */
export const nextFeed = (c: Case): Instant | null =>
  food(c)?.asks.find((a) => a.task === 'feed')?.notBefore ?? null;

/** Whether the next feed has to open her cell: workers in the tube, and no other room that anybody has told of. */
export const feedOpensCell = (c: Case): boolean =>
  c.workers !== null && c.eating !== 'must' && !hasForagingRoom(c);

/** Food was put into a room of its own: so there is one. */
export const hasForagingRoom = ({ known }: Case): boolean =>
  known.offers.some((o) => o.spot === 'foraging-space' || o.spot === 'outer-room');

/** Whether she may be hungry: she has to eat, or may have to, and has not for longer than is usual. */
export const hungers = (c: Case): boolean => {
  const meal = lastMeal(c.known.offers);
  const unfed = meal === null || daysBetween(meal.at, c.now) > figure('hungryAfterDays');
  return unfed && c.eating !== 'no' && !isResting(c);
};

/** In the cold nobody eats. */
export const isResting = (c: Case): boolean =>
  c.wintering || (isWinteringTempC(c.tempC) && c.profile.inTheCold.value !== 'active');

function resting(c: Case): Verdict {
  const active = c.profile.inTheCold.value === 'active' && c.workers !== null;
  return foodVerdict(c, {
    answer: c.wintering ? 'not in winter' : 'not in the cold',
    says: c.wintering
      ? [
          active
            ? 'She winters. Her kind stays active in the cold: a little sugar if workers are seen about, nothing else.'
            : 'She winters: no food until she is warmed again. Water is all she needs.',
        ]
      : ['In this cold nobody eats: warm her first, then feed.'],
    criteria: [
      criterion('cold', 'met', phrase`At ${{ tempC: c.tempC }} food would only spoil.`, COMMON_PRACTICE),
    ],
  });
}

const FOUNDER_NAMES = {
  'fully-claustral': 'fully claustral: she founds without eating',
  'semi-claustral': 'semi-claustral: she must eat while she founds',
  'socially-parasitic': 'a social parasite: she needs host workers',
} as const;

const SETTLES = {
  species: 'A name for the species tells most.',
  shape: 'Compare her shape with the silhouettes: that tells most.',
  wings: 'Whether she has wings.',
  restless: 'Whether she paces and searches a week after settling tells most.',
  protein: 'A tiny protein offer tells most: taken or refused.',
  'brood-unfed': 'Whether larvae grow to pupae without food tells most.',
} as const;

/** What kind of founder she is held to be, and how sure that is. */
export function founderCriterion({ founder, eating }: Case): Criterion {
  const type = (
    {
      must: 'semi-claustral',
      perhaps: 'semi-claustral',
      no: 'fully-claustral',
      'host-fed': 'socially-parasitic',
    } as const
  )[eating];
  return criterion(
    'founder',
    eating === 'perhaps' ? 'unknown' : 'met',
    phrase`${{ word: eating === 'perhaps' ? 'Perhaps' : 'Held to be' }} ${{ word: FOUNDER_NAMES[type] }} (${{ percent: 100 * founder.probabilities[type] }}).`,
    'her species, her shape and what she did, weighed together',
    founder.tellsMost ? { settles: SETTLES[founder.tellsMost.kind] } : {},
  );
}

function parasite(c: Case): Verdict {
  return foodVerdict(c, {
    answer: 'no plan',
    says: [
      'She is probably a social parasite: she founds with host workers or their brood, not alone. No plain founding plan applies; ask keepers of her kind.',
    ],
    pressure: 'soon',
    criteria: [founderCriterion(c)],
  });
}

/** First week in peace, then one tiny offer tells more than a guess. */
function offerAndWatch(c: Case): Verdict {
  const last = c.known.offers.filter((o) => o.food === 'protein').at(-1);
  const from = last
    ? addDays(last.at, figure('offerAgainDays'))
    : addDays(c.known.intake?.at ?? c.now, figure('peaceDays'));
  const open = msOf(from) <= msOf(c.now);
  const says: Phrase = [
    'It is not certain that she can wait without food. A tiny piece of fresh prey, out after a day, tells: does she take it?',
  ];
  return foodVerdict(c, {
    answer: 'not known',
    says: open
      ? says
      : last
        ? phrase`${{ word: last.refused ? 'She left it.' : 'Offered lately.' }} If nothing is clearer by ${{ date: from }}, offer a tiny piece again.`
        : phrase`First let her settle in peace; from ${{ date: from }} on offer a tiny piece of fresh prey and see whether she takes it.`,
    pressure: open ? 'soon' : 'rest',
    until: open ? null : from,
    criteria: [founderCriterion(c)],
    others: CLAUSTRAL_SCHOOLS,
    asks: [ask(c, 'feed', [from, from, addDays(from, figure('offerSlackDays'))], says)],
  });
}

/** Sugar and protein every two to four days, through the founding and on after the first workers. */
function mustEat(c: Case): Verdict {
  const meal = lastMeal(c.known.offers);
  const since = meal?.at ?? c.known.intake?.at ?? c.now;
  const days = daysBetween(since, c.now);
  const [fromDays, byDays] = [figure('mustEatFromDays'), figure('mustEatByDays')];
  const by = addDays(since, byDays);
  const refused = refusalsInARow(c.known.offers);
  const refuses = refused.length >= figure('refusals');
  const protein = proteinMissing(c, figure('mustEatProteinDays'));
  const due = days >= byDays;
  const soon = days >= fromDays;
  const what = offerWords(c, 'must');
  const feed = ask(c, 'feed', [addDays(since, fromDays), addDays(since, (fromDays + byDays) / 2), by], what);
  const criteria = [
    founderCriterion(c),
    fedCriterion(meal, days, byDays, phrase`every ${{ days: fromDays }} to ${{ days: byDays }} is usual`),
    ...refusalCriterion(refused),
    ...protein.criteria,
  ];
  const rest = { criteria, asks: [feed] };
  if (refuses)
    return foodVerdict(c, {
      ...rest,
      answer: 'she refuses food',
      says: phrase`She has refused food ${{ word: counted(refused.length, 'time') }} in a row, and those days count as hungry ones. Offer another kind, fresher and smaller. ${{ word: heedful(c) }}`,
      pressure: due ? 'now' : 'soon',
      asks: [
        ask(
          c,
          'feed',
          [c.now, c.now, latest(by, c.now) as Instant],
          ['Offer another kind of food, fresh and tiny.'],
        ),
      ],
    });
  if (protein.missing && !due)
    return foodVerdict(c, {
      ...rest,
      answer: 'protein is missing',
      says: protein.says,
      pressure: 'now',
      asks: [
        ask(c, 'feed', [c.now, c.now, addDays(c.now, 1)], ['A tiny piece of dead prey: her larvae need it.']),
      ],
    });
  return foodVerdict(c, {
    ...rest,
    answer: due ? 'yes, today' : soon ? 'soon' : 'fed',
    says: due
      ? [
          meal ? 'She must eat while she founds. ' : 'She must eat while she founds, and no meal is logged. ',
          ...what,
        ]
      : phrase`Offer food again by ${{ date: by }}: small, where she need not be met.`,
    pressure: due ? 'now' : soon ? 'soon' : 'rest',
    until: due || soon ? null : addDays(since, fromDays),
  });
}

/** What a queen that refuses food may be telling. */
function heedful(c: Case): string {
  return c.tempC < c.profile.bestTempC.value.low
    ? 'She may be too cool to eat; or she is fully claustral after all.'
    : 'She may be fully claustral after all: watch whether her brood grows.';
}

/** First workers harden for a few days; then a tiny sugar drop. */
function firstFeed(c: Case): Verdict {
  const by = c.known.appearances.workers.interval.by ?? c.workers?.at ?? c.now;
  const hard = addDays(by, figure('hardenDays'));
  const open = msOf(hard) <= msOf(c.now);
  const says: Phrase = [
    c.profile.diet.value === 'harvester'
      ? 'Her reserves are spent. A few small dry seeds, and a tiny piece of dead prey a few days later.'
      : 'Her reserves are spent. A tiny sugar drop on foil restarts her laying; small dead protein a few days later.',
  ];
  return foodVerdict(c, {
    answer: open ? 'yes, the first feed' : 'not yet',
    says: open
      ? says
      : phrase`Let the first workers harden until ${{ date: hard }}, then ${{ word: firstFood(c) }}.`,
    pressure: open ? 'now' : 'rest',
    until: open ? null : hard,
    criteria: [
      hardened(c, by, hard),
      criterion('hungry', open ? 'unmet' : 'met', ['Not fed since workers came.'], OWN_LOG),
    ],
    asks: [ask(c, 'feed', [hard, hard, addDays(hard, figure('feedSlackDays'))], says)],
  });
}

const firstFood = (c: Case): string =>
  c.profile.diet.value === 'harvester' ? 'a few small dry seeds' : 'a tiny sugar drop';

function hardened(c: Case, by: Instant, hard: Instant): Criterion {
  return criterion(
    'hardened',
    msOf(hard) <= msOf(c.now) ? 'met' : 'unmet',
    phrase`First workers seen by ${{ date: by }}; they harden for about ${{ days: figure('hardenDays') }}.`,
    COMMON_PRACTICE,
    {
      evidence: [c.known.appearances.workers.byEntry].filter((e) => e !== null),
      margin: { value: daysBetween(hard, c.now), unit: 'days' },
    },
  );
}

/** Meals since there were workers to eat them. */
function fedSinceWorkers({ known, workers }: Case): {
  any: boolean;
  sugar: Offer | null;
  protein: Offer | null;
} {
  const from = known.appearances.workers.interval.by ?? workers?.at ?? null;
  const since = known.offers.filter((o) => from !== null && msOf(o.at) >= msOf(from));
  const sugar = lastMeal(since.filter((o) => o.food !== 'protein'));
  const protein = lastMeal(since, 'protein');
  return { any: sugar !== null || protein !== null, sugar, protein };
}

/** A colony with workers: sugar for workers, protein for larvae, more and oftener as they grow. */
function colony(c: Case, who: string): Verdict {
  const fed = fedSinceWorkers(c);
  const last = lastMeal(c.known.offers.filter((o) => o.workersThere));
  const [few, many] = [figure('weeklyFeedDays'), figure('twiceWeeklyFeedDays')];
  const every = c.eating === 'must' || (c.workers?.range.low ?? 0) > figure('fewWorkers') ? many : few;
  const refused = refusalsInARow(c.known.offers);
  const protein = proteinMissing(c, figure(c.eating === 'must' ? 'mustEatProteinDays' : 'colonyProteinDays'));
  // the first sugar is followed by protein within days, not a week later
  const first = fed.sugar && !fed.protein && c.life === 'founding';
  const cameWhole = c.known.appearances.workers.byEntry === c.known.intake?.entryId;
  const must = c.eating === 'must';
  const due = first
    ? addDays((fed.sugar as Offer).at, figure('proteinAfterSugarDays'))
    : last
      ? addDays(last.at, must ? figure('mustEatFromDays') : every)
      : addDays(c.known.intake?.at ?? c.now, cameWhole ? figure('cameWithHerDays') : 0);
  const late = first
    ? addDays((fed.sugar as Offer).at, figure('proteinAfterSugarByDays'))
    : last && must
      ? addDays(last.at, figure('mustEatByDays'))
      : addDays(due, figure('feedSlackDays'));
  const open = msOf(due) <= msOf(c.now);
  const overdue = msOf(late) <= msOf(c.now);
  const what: Phrase = first
    ? ['Small dead protein now: with it she lays, and her larvae grow.']
    : !last && cameWhole
      ? ['They came hungry from the journey. ', ...offerWords(c, 'colony')]
      : offerWords(c, 'colony');
  const criteria = [
    ...(c.eating === 'host-fed' ? [founderCriterion(c)] : []),
    criterion(
      'hungry',
      open ? 'unmet' : 'met',
      last
        ? phrase`Last fed ${{ date: last.at }}; about every ${{ days: every }} is usual for so many.`
        : ['No meal is logged since there are workers.'],
      COMMON_PRACTICE,
      { evidence: last ? [last.entryId] : [], margin: { value: daysBetween(c.now, due), unit: 'days' } },
    ),
    ...protein.criteria,
    ...refusalCriterion(refused),
    ...eager(last),
  ];
  const asks: Ask[] = [ask(c, 'feed', [due, due, late], what)];
  const rest = { criteria, asks };
  if (refused.length >= figure('refusals'))
    return foodVerdict(c, {
      ...rest,
      answer: 'they leave it',
      says: phrase`${{ word: who }} left what was offered ${{ word: counted(refused.length, 'time') }} in a row: too much of it, or the wrong kind. Offer less, and something else.`,
      pressure: 'soon',
      asks: [
        ask(
          c,
          'feed',
          [c.now, c.now, addDays(c.now, figure('feedSlackDays'))],
          ['Offer less, and something else.'],
        ),
      ],
    });
  if (protein.missing && !open)
    return foodVerdict(c, {
      ...rest,
      answer: 'protein is missing',
      says: protein.says,
      pressure: 'soon',
      asks: [ask(c, 'feed', [c.now, c.now, addDays(c.now, figure('feedSlackDays'))], protein.says)],
    });
  return foodVerdict(c, {
    ...rest,
    answer: open ? (last ? 'yes' : 'yes, the first feed') : 'not yet',
    says: open
      ? what
      : !last && cameWhole
        ? phrase`Let them settle until ${{ date: due }}, then ${{ word: firstFood(c) }}.`
        : phrase`Feed again from ${{ date: due }} on.`,
    pressure: open ? (overdue && !last ? 'now' : 'soon') : 'rest',
    until: open ? null : due,
  });
}

/** Workers outlive their queen, and are fed to the end. */
function orphans(c: Case): Verdict {
  const last = lastMeal(c.known.offers);
  const since = c.known.loss?.at ?? c.now;
  const due = last ? addDays(last.at, figure('weeklyFeedDays')) : since;
  const open = msOf(due) <= msOf(c.now);
  const says: Phrase = [
    c.profile.diet.value === 'harvester'
      ? 'A few dry seeds for her workers, to the end of their lives; a little protein only while larvae are there.'
      : 'A tiny sugar drop on foil for her workers, to the end of their lives; a little protein only while larvae are there.',
  ];
  return foodVerdict(c, {
    answer: open ? 'yes, a little' : 'not yet',
    says: open ? says : phrase`Feed her workers again from ${{ date: due }} on.`,
    pressure: open ? 'soon' : 'rest',
    until: open ? null : due,
    criteria: [
      criterion(
        'hungry',
        open ? 'unmet' : 'met',
        last ? phrase`Last fed ${{ date: last.at }}; about weekly is usual.` : ['No meal is logged.'],
        COMMON_PRACTICE,
        { evidence: last ? [last.entryId] : [] },
      ),
    ],
    asks: [ask(c, 'feed', [due, due, addDays(due, figure('feedSlackDays'))], says)],
  });
}

/** What to offer, by who eats and what they live on. */
function offerWords(c: Case, who: 'must' | 'colony'): Phrase {
  const seeds = c.profile.diet.value === 'harvester';
  if (who === 'must')
    return [
      'Offer sugar and a tiny piece of dead prey through the outer room or foraging space, not into her cell; leftovers out after a day.',
    ];
  if (seeds)
    return [
      'Small dry seeds, which they store and make their bread of; small dead protein for the larvae, out after a day; sugar little or none.',
    ];
  const many = (c.workers?.range.low ?? 0) >= figure('spaceWorkers');
  return many
    ? [
        'Sugar water and several small pieces of dead prey: more as larvae and workers grow; protein out after a day.',
      ]
    : ['A tiny sugar drop on foil and a small piece of dead prey; out after a day.'];
}

function fedCriterion(meal: Offer | null, days: number, byDays: number, usual: Phrase): Criterion {
  return criterion(
    'fed',
    days >= byDays ? 'unmet' : 'met',
    [...(meal ? phrase`Last meal ${{ days }} ago; ` : ['No meal is logged; ']), ...usual, '.'],
    COMMON_PRACTICE,
    {
      evidence: meal ? [meal.entryId] : [],
      margin: { value: byDays - days, unit: 'days' },
    },
  );
}

function refusalCriterion(refused: readonly Offer[]): Criterion[] {
  if (refused.length === 0) return [];
  return [
    criterion(
      'refused',
      'unmet',
      phrase`Refused ${{ word: counted(refused.length, 'time') }} in a row: what is left is no meal.`,
      OWN_LOG,
      { evidence: refused.map((o) => o.entryId) },
    ),
  ];
}

function eager(last: Offer | null): Criterion[] {
  if (!last?.rushed) return [];
  return [
    criterion(
      'rushed',
      'unmet',
      ['They rushed at the food: they were underfed. Feed sooner, or more.'],
      COMMON_PRACTICE,
      {
        evidence: [last.entryId],
      },
    ),
  ];
}

/** Larvae grow on protein: sugar alone for weeks starves them. */
function proteinMissing(
  c: Case,
  afterDays: number,
): { missing: boolean; says: Phrase; criteria: Criterion[] } {
  const larvae = c.known.counts.larvae;
  const has = larvae !== null && isSome(larvae.range);
  const meals = c.known.offers.filter((o) => !o.refused);
  const protein = lastMeal(c.known.offers, 'protein');
  const first = meals[0]?.at ?? null;
  const since = latest(protein?.at ?? first, larvaeSince(c));
  const days = since ? daysBetween(since, c.now) : 0;
  const missing = has && meals.length > 0 && days > afterDays;
  const says = phrase`Larvae are there, and for ${{ days }} no protein was taken: sugar alone does not raise them. A tiny piece of dead prey now.`;
  if (!has || meals.length === 0) return { missing, says, criteria: [] };
  return {
    missing,
    says,
    criteria: [
      criterion(
        'protein',
        missing ? 'unmet' : 'met',
        missing
          ? says
          : protein
            ? phrase`Protein last taken ${{ date: protein.at }}; sugar runs workers, protein grows brood.`
            : ['Sugar runs workers, protein grows brood.'],
        `${COMMON_PRACTICE}; the days are ${OWN_PRIOR}`,
        { evidence: protein ? [protein.entryId] : larvae ? [larvae.entryId] : [] },
      ),
    ],
  };
}

/** When the larvae that are there were first seen. */
function larvaeSince({ known }: Case): Instant | null {
  const first = known.appearances.larvae.interval.by;
  return first ?? known.counts.larvae?.at ?? null;
}
