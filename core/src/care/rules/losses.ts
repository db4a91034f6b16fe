import { agedShare } from '../../founding';
import { addDays, daysBetween, phrase, type CountRange, type Instant, type Phrase } from '../../quantity';
import { counted } from '../../words';
import type { Case } from '../case';
import { figure } from '../practice';
import { ask, COMMON_PRACTICE, criterion, OWN_PRIOR, verdict, type Criterion, type Rule } from '../verdict';
import { lastMealOf } from './food';
import { heatCause } from './warmth';

/** Several workers dead between two looks, or many missing: why? A few old ones dying is normal. */
export const losses: Rule = (c) => {
  if (c.life === 'gone') return null;
  const last = c.known.workerLook;
  if (!last || daysBetween(last.at, c.now) > figure('lossToldDays')) return null;
  const before = last.before?.range ?? null;
  const dead = last.dead?.low ?? 0;
  const missing = missingOf(before, last.workers, last.dead);
  const gone = dead + missing;
  // where nobody had counted before, those alive and those dead are what there was
  const had = before?.low ?? (last.workers ? last.workers.low + dead : dead);
  if (had <= 0 || gone <= 0) return null;
  const days = last.before ? daysBetween(last.before.at, last.at) : 0;
  const long = days > figure('atOnceDays');
  // workers die in turn: over months some are gone, and nothing happened
  const share = gone / had;
  const beyond = share - (long ? agedShare(days) : 0);
  const several = gone >= figure('severalDead') && beyond > figure('severalShare');
  const alarming = beyond > figure('alarmingShare') && gone >= 2;
  if (!several && !alarming) return null;
  const what: Phrase = [
    [
      dead > 0 ? `${counted(dead, 'worker')} dead` : null,
      missing > 0
        ? `${counted(missing, dead > 0 ? 'more' : 'worker', dead > 0 ? 'more' : 'workers')} missing`
        : null,
    ]
      .filter((x) => x !== null)
      .join(' and '),
    ...phrase` of about ${{ word: String(had) }} since the look ${{ word: last.before ? 'of' : 'before' }}`,
    ...(last.before ? phrase` ${{ date: last.before.at }}.` : ['.']),
  ];
  const says: Phrase = [
    ...what,
    alarming
      ? ` That is too many${long ? ', also for months' : ' at once'}. Look for hunger, heat, damp, poison, an escape or a fight, today; take the dead out.`
      : ` A few old ones die; ${long ? 'so many' : 'several at once'} ask for a reason: hunger, heat, damp, poison, an escape or a fight.`,
  ];
  return verdict({
    id: 'losses',
    question: 'Why are workers gone?',
    answer: alarming
      ? long
        ? 'too many'
        : 'too many at once'
      : long
        ? 'more than die of age'
        : 'several at once',
    says,
    pressure: alarming ? 'now' : 'soon',
    criteria: [
      criterion(
        'how-many',
        'unmet',
        phrase`${{ percent: 100 * share }} of them between two looks; more than ${{ percent: 100 * figure('alarmingShare') }} is alarming.`,
        `${COMMON_PRACTICE}; “several” is ${OWN_PRIOR}`,
        {
          evidence: [last.before?.entryId, last.entryId].filter((e) => e !== undefined),
          margin: { value: -share, unit: 'share' },
        },
      ),
      ...reasons(c, missing > dead, last.before?.at ?? null, last.at),
    ],
    asks: [
      ask(
        c,
        'look',
        [c.now, c.now, addDays(c.now, alarming ? 1 : 7)],
        ['Look for what killed them: food, heat, damp, gaps; take the dead out.'],
        { obligatory: alarming },
      ),
    ],
  });
};

/** So many are neither there nor among the dead; as few as may be miscounted are not missed. */
function missingOf(before: CountRange | null, now: CountRange | null, dead: CountRange | null): number {
  if (!before || !now || now.high === null) return 0;
  const miscounted = before.low === before.high ? Math.ceil(before.low * figure('workersMiscounted')) : 0;
  const gone = before.low - now.high - (dead?.high ?? dead?.low ?? 0);
  return gone > miscounted ? gone : 0;
}

function reasons(c: Case, missing: boolean, from: Instant | null, to: Instant): Criterion[] {
  const meal = lastMealOf(c);
  const days = meal ? daysBetween(meal.at, c.now) : null;
  const wet = c.known.wetFront;
  const damp = wet && ['soaked', 'leaking'].includes(wet.value);
  const dry = wet?.value === 'dry';
  return [
    criterion(
      'hunger',
      days === null || days > 2 * figure('weeklyFeedDays') ? 'unmet' : 'met',
      days === null ? ['No meal is logged.'] : phrase`Last meal ${{ days }} ago.`,
      COMMON_PRACTICE,
      { evidence: meal ? [meal.entryId] : [] },
    ),
    heatCause(c, from ?? to, to),
    criterion(
      'damp',
      damp || dry ? 'unmet' : wet ? 'met' : 'unknown',
      damp
        ? ['The plug is soaked or leaks.']
        : dry
          ? ['The plug is dry.']
          : wet
            ? ['The plug was in order.']
            : ['Nobody has noted the plug.'],
      COMMON_PRACTICE,
      { evidence: wet ? [wet.entryId] : [], settles: 'Note how far the plug is wet.' },
    ),
    criterion('poison', 'unknown', ['Prey from the garden may carry poison or disease.'], COMMON_PRACTICE, {
      settles: 'Feed only from a shop or your own culture.',
    }),
    criterion(
      missing ? 'escape' : 'fight',
      'unknown',
      missing
        ? ['Missing ones may have escaped: small kinds pass very small gaps.']
        : ['Bodies in pieces tell of a fight.'],
      COMMON_PRACTICE,
      { settles: missing ? 'Look at plug and joints for gaps.' : 'Look at the dead: whole, or in pieces?' },
    ),
  ];
}
