import { lastMeal, type Offer } from '../../../founding';
import { addDays, daysBetween, msOf, phrase, type Phrase } from '../../../quantity';
import { counted } from '../../../words';
import { cannotFoundAlone, type Case } from '../../case';
import { figure } from '../../practice';
import { ask, COMMON_PRACTICE, criterion, type Ask, type Verdict } from '../../verdict';
import { onOffer } from './ends';
import {
  founderCriterion,
  eager,
  PROTEIN_MISSING,
  proteinMissing,
  refusalCriteria,
  refusedFood,
} from './reasons';
import { foodVerdict, lastMealOf, menuOf, offerWords } from './words';

/** Meals since there were workers to eat them. */
export function fedSinceWorkers({ known, workers }: Case): {
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
export function colony(c: Case, who: string): Verdict {
  const fed = fedSinceWorkers(c);
  const last = lastMealOf(
    c,
    c.known.offers.filter((o) => o.workersThere),
  );
  const [few, many] = [figure('weeklyFeedDays'), figure('twiceWeeklyFeedDays')];
  const usual = c.eating === 'must' || (c.workers?.range.low ?? 0) > figure('fewWorkers') ? many : few;
  // who rushes at food was underfed: the next feed comes sooner
  const every = last?.rushed ? Math.ceil(usual * figure('rushedSooner')) : usual;
  const refused = refusedFood(c);
  const protein = proteinMissing(c, figure(c.eating === 'must' ? 'mustEatProteinDays' : 'colonyProteinDays'));
  // the first sugar is followed by protein within days, not a week later
  const first = menuOf(c).huntsFor !== 'nobody' && fed.sugar && !fed.protein && c.life === 'founding';
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
      : last?.rushed
        ? ['Offer more than last time: they rushed at it. ', ...offerWords(c, 'colony')]
        : offerWords(c, 'colony');
  const criteria = [
    ...(cannotFoundAlone(c.eating) ? [founderCriterion(c)] : []),
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
    ...refusalCriteria(c),
    ...eager(last),
  ];
  const asks: Ask[] = [ask(c, 'feed', [due, due, late], what)];
  const rest = { criteria, asks };
  if (refused)
    return foodVerdict(c, {
      ...rest,
      answer: 'they leave it',
      says: phrase`${{ word: who }} left ${{ word: refused.food }} ${{ word: counted(refused.row.length, 'time') }} in a row: too much of it, or the wrong kind. Offer less, and something else.`,
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
  // where a feed is due it is said with that; other food that stands with them does not replace it
  if (protein.missing && (!open || onOffer(c)))
    return foodVerdict(c, {
      ...rest,
      answer: PROTEIN_MISSING,
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
        ? phrase`Let them settle until ${{ date: due }}, then ${{ word: menuOf(c).first }}.`
        : phrase`Feed again from ${{ date: due }} on.`,
    pressure: open ? (overdue && !last ? 'now' : 'soon') : 'rest',
    until: open ? null : due,
  });
}

/** Workers outlive their queen, and are fed to the end. */
export function orphans(c: Case): Verdict {
  const last = lastMealOf(c);
  const since = c.known.loss?.at ?? c.now;
  const due = last ? addDays(last.at, figure('weeklyFeedDays')) : since;
  const open = msOf(due) <= msOf(c.now);
  const says: Phrase = [
    `${menuOf(c).orphans} for her workers, to the end of their lives${menuOf(c).huntsFor !== 'nobody' ? '; a little protein only while larvae are there' : ''}.`,
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
