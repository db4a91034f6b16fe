import { knownToEat, type Offer } from '../../../founding';
import { addDays, daysBetween, latest, msOf, phrase, type Instant, type Phrase } from '../../../quantity';
import { counted, capital } from '../../../words';
import type { Case } from '../../case';
import { figure } from '../../practice';
import { ask, COMMON_PRACTICE, criterion, OWN_LOG, type Criterion, type Verdict } from '../../verdict';
import {
  founderCriterion,
  fedCriterion,
  PROTEIN_MISSING,
  proteinMissing,
  refusalCriteria,
  refusedFood,
} from './reasons';
import { CLAUSTRAL_SCHOOLS, foodVerdict, lastMealOf, menuOf, offerWords } from './words';

/** First week in peace, then one tiny offer tells more than a guess. */
export function offerAndWatch(c: Case): Verdict {
  const { what, takes } = menuOf(c).trial;
  const tried = menuOf(c).huntsFor === 'nobody' ? 'leaves' : 'protein';
  const last = c.known.offers.filter((o) => o.food === tried).at(-1);
  const ate = last?.outcome === 'taken';
  const from = last
    ? addDays(last.at, figure(ate ? 'weeklyFeedDays' : 'offerAgainDays'))
    : addDays(c.known.intake?.at ?? c.now, figure('peaceDays'));
  const open = msOf(from) <= msOf(c.now);
  const says: Phrase = [
    `It is not certain that she can wait without food. ${capital(what)}, out after a day, tells: ${takes}`,
  ];
  return foodVerdict(c, {
    answer: 'not known',
    says: open
      ? says
      : last
        ? phrase`${{ word: last.refused ? 'She left it.' : ate ? 'She ate it, so she may need feeding.' : 'Offered lately.' }} If nothing is clearer by ${{ date: from }}, offer ${{ word: what }} again.`
        : phrase`First let her settle in peace; from ${{ date: from }} on offer ${{ word: what }}: ${{ word: takes }}`,
    pressure: open ? 'soon' : 'rest',
    until: open ? null : from,
    criteria: [founderCriterion(c)],
    others: CLAUSTRAL_SCHOOLS,
    asks: [ask(c, 'feed', [from, from, addDays(from, figure('offerSlackDays'))], says)],
  });
}

/** Why she is fed throughout: what is said first, and once a meal is no longer due. */
export function whyFed(c: Case): { says: string; answer: string } {
  switch (c.eating) {
    case 'spent':
      return {
        says: 'Her workers are gone, and she has no reserves left.',
        answer: 'yes: her workers are gone',
      };
    case 'alone':
      return { says: aloneWords(c), answer: 'yes: she is alone' };
    default:
      return { says: 'She must eat while she founds.', answer: 'yes, today' };
  }
}

/** That she may not make it alone, by what would help her. */
function aloneWords({ founder: { probabilities: p }, profile }: Case): string {
  if (profile.queens.value === 'none')
    return 'Her species has no queens: workers lay. She may not make it alone; some workers of her own colony are what she needs. No plain founding plan applies.';
  return p.dependent > p['socially-parasitic']
    ? 'She may not make it alone: queens of her species leave with workers of their own. Some workers or brood of her own colony are what she needs. No plain founding plan applies.'
    : 'She may not make it alone: she is probably a social parasite, which founds with host workers or their brood. No plain founding plan applies.';
}

/** When she was fed last: of meals that her workers shared nobody knows what she got. */
function lastFed(c: Case): Offer | null {
  const meal = lastMealOf(c);
  return c.workersGone && meal && msOf(meal.at) <= msOf(c.workersGone.at) ? null : meal;
}

/** Sugar and protein every two to four days, through the founding and on after the first workers; and for whoever has no reserves. */
export function mustEat(c: Case): Verdict {
  const meal = lastFed(c);
  const why = whyFed(c);
  const [fromDays, byDays] = [figure('mustEatFromDays'), figure('mustEatByDays')];
  // whose workers are gone has nothing to live on since then: fed now
  const since = meal?.at ?? (c.eating === 'spent' ? addDays(c.now, -byDays) : (c.known.intake?.at ?? c.now));
  const days = daysBetween(since, c.now);
  const by = addDays(since, byDays);
  const refused = refusedFood(c);
  const protein = proteinMissing(c, figure('mustEatProteinDays'));
  const due = days >= byDays;
  const soon = days >= fromDays;
  const what =
    c.eating === 'must'
      ? offerWords(c, 'must')
      : [`Give her ${menuOf(c).alone} now; take out what is left after a day.`];
  const feed = ask(c, 'feed', [addDays(since, fromDays), addDays(since, (fromDays + byDays) / 2), by], what);
  const criteria = [
    founderCriterion(c),
    ...spentCriterion(c),
    meal
      ? fedCriterion(meal, days, byDays, phrase`every ${{ days: fromDays }} to ${{ days: byDays }} is usual`)
      : criterion('fed', due ? 'unmet' : 'met', ['No meal is logged.'], COMMON_PRACTICE, {
          margin: { value: byDays - days, unit: 'days' },
        }),
    ...refusalCriteria(c),
    ...protein.criteria,
  ];
  const rest = { criteria, asks: [feed] };
  if (refused)
    return foodVerdict(c, {
      ...rest,
      answer: due ? 'she refuses food' : `she refuses ${refused.food}`,
      says: phrase`She has refused ${{ word: refused.food }} ${{ word: counted(refused.row.length, 'time') }} in a row${{ word: due ? ', and those days count as hungry ones' : '' }}. Offer another kind, fresher and smaller. ${{ word: heedful(c) }}`,
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
      answer: PROTEIN_MISSING,
      says: protein.says,
      pressure: 'now',
      asks: [
        ask(c, 'feed', [c.now, c.now, addDays(c.now, 1)], ['A tiny piece of dead prey: her larvae need it.']),
      ],
    });
  return foodVerdict(c, {
    ...rest,
    answer: due ? why.answer : soon ? 'soon' : 'fed',
    says: due
      ? c.eating === 'must'
        ? [meal ? `${why.says} ` : 'She must eat while she founds, and no meal is logged. ', ...what]
        : [...what, ` ${why.says}`]
      : [
          ...phrase`Offer food again by ${{ date: by }}: small, where she need not be met.`,
          ...(c.eating === 'must' ? [] : [` ${why.says}`]),
        ],
    pressure: due ? 'now' : soon ? 'soon' : 'rest',
    notice: c.eating !== 'must',
    until: due || soon ? null : addDays(since, fromDays),
  });
}

/** That her workers came and are gone. */
function spentCriterion({ workersGone: gone, known }: Case): Criterion[] {
  if (!gone) return [];
  const none = known.counts.workers;
  return [
    criterion(
      'reserves',
      'unmet',
      phrase`Workers were last counted ${{ date: gone.at }}, and none since: what she lived on before they came is used up.`,
      COMMON_PRACTICE,
      { evidence: [gone.entryId, none?.entryId].filter((e) => e !== undefined) },
    ),
  ];
}

/** What a queen that refuses food may be telling: of one that has nothing else to live on it tells nothing of her type. */
function heedful(c: Case): string {
  const cool = c.tempC < c.profile.bestTempC.value.low;
  if (c.eating !== 'must') return cool ? 'She may be too cool to eat.' : 'Leave it close to her for an hour.';
  if (knownToEat(c.founder.evidence.map((e) => e.evidence))) {
    if (cool) return 'She may be too cool to eat: check how warm she is.';
    return c.profile.winters.value && (c.phase === 'late-summer' || c.phase === 'autumn')
      ? 'Late in the year many queens eat less before their winter.'
      : 'Her species eats while founding, so look at the food first: is it fresh, small and close to her?';
  }
  return cool
    ? 'She may be too cool to eat; or she is fully claustral after all.'
    : 'She may be fully claustral after all: watch whether her brood grows.';
}

/** First workers harden for a few days; then a tiny sugar drop. */
export function firstFeed(c: Case): Verdict {
  const by = c.known.appearances.workers.interval.by ?? c.workers?.at ?? c.now;
  const hard = addDays(by, figure('hardenDays'));
  const open = msOf(hard) <= msOf(c.now);
  const says: Phrase = [`Her reserves are spent. ${menuOf(c).restart}`];
  return foodVerdict(c, {
    answer: open ? 'yes, the first feed' : 'not yet',
    says: open
      ? says
      : phrase`Let the first workers harden until ${{ date: hard }}, then ${{ word: menuOf(c).first }}.`,
    pressure: open ? 'now' : 'rest',
    until: open ? null : hard,
    criteria: [
      hardened(c, by, hard),
      criterion('hungry', open ? 'unmet' : 'met', ['Not fed since workers came.'], OWN_LOG),
    ],
    asks: [ask(c, 'feed', [hard, hard, addDays(hard, figure('feedSlackDays'))], says)],
  });
}

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
