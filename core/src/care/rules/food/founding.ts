import { lastMeal, refusalsInARow } from '../../../founding';
import { addDays, daysBetween, latest, msOf, phrase, type Instant, type Phrase } from '../../../quantity';
import { counted } from '../../../words';
import type { Case } from '../../case';
import { figure } from '../../practice';
import { capital } from '../expect';
import { ask, COMMON_PRACTICE, criterion, OWN_LOG, type Criterion, type Verdict } from '../../verdict';
import { founderCriterion, fedCriterion, refusalCriterion, proteinMissing } from './reasons';
import { foodVerdict, menuOf, offerWords, CLAUSTRAL_SCHOOLS } from './words';

/** She founds with others or not at all: no plain plan is pretended. */
export function notAlone(c: Case): Verdict {
  return foodVerdict(c, {
    answer: 'no plan',
    says: [
      c.eating === 'dependent'
        ? 'Queens of her kind leave with workers of their own and do not found alone. Some workers or brood of her own colony are what she needs; no plain founding plan applies. Ask keepers of her kind.'
        : 'She is probably a social parasite: she founds with host workers or their brood, not alone. No plain founding plan applies; ask keepers of her kind.',
    ],
    pressure: 'soon',
    criteria: [founderCriterion(c)],
  });
}

/** First week in peace, then one tiny offer tells more than a guess. */
export function offerAndWatch(c: Case): Verdict {
  const { what, takes } = menuOf(c).trial;
  const tried = menuOf(c).prey ? 'protein' : 'leaves';
  const last = c.known.offers.filter((o) => o.food === tried).at(-1);
  const from = last
    ? addDays(last.at, figure('offerAgainDays'))
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
        ? phrase`${{ word: last.refused ? 'She left it.' : 'Offered lately.' }} If nothing is clearer by ${{ date: from }}, offer ${{ word: what }} again.`
        : phrase`First let her settle in peace; from ${{ date: from }} on offer ${{ word: what }}: ${{ word: takes }}`,
    pressure: open ? 'soon' : 'rest',
    until: open ? null : from,
    criteria: [founderCriterion(c)],
    others: CLAUSTRAL_SCHOOLS,
    asks: [ask(c, 'feed', [from, from, addDays(from, figure('offerSlackDays'))], says)],
  });
}

/** Sugar and protein every two to four days, through the founding and on after the first workers. */
export function mustEat(c: Case): Verdict {
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
