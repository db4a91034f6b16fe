import { daysBetween, isSome, phrase, type Phrase } from '../../quantity';
import { EVENT_WORDS, MILESTONE_WORDS } from '../../words';
import { daysAwake } from '../awake';
import type { Case } from '../case';
import { dangerNow, heatBetween, heatOf, spellWords } from '../heat';
import { figure } from '../practice';
import {
  COMMON_PRACTICE,
  criterion,
  OWN_LOG,
  OWN_PRIOR,
  verdict,
  type Criterion,
  type Rule,
} from '../verdict';
import { expectSentence } from './expect';
import { best, coolSuits } from './warmth';

/** Is she late? Her next stage against what queens of her kind do at her warmth. Only while she founds. */
export const late: Rule = (c) => {
  const { ahead } = c;
  // whose workers came and are gone is not late for them
  if (!ahead || c.life !== 'founding' || c.workersGone) return null;
  const criteria = [pace(c), best(c), ...heated(c), calm(c)];
  const common = { id: 'late', question: 'Is she late?', criteria } as const;
  const next = ahead.next;
  if (next === null) return verdict({ ...common, answer: 'no', says: ['Her first batch is out.'] });
  const band = ahead.events[next].band;
  const word = EVENT_WORDS[next].awaited;
  const until = band.p90;
  if (dangerNow(c) === 'heat')
    return verdict({
      ...common,
      answer: 'that is not the question',
      says: ['In this heat brood dies. Cool her first.'],
    });
  if (c.wintering || heatOf(c.profile, c.tempC) === 'still')
    return verdict({
      ...common,
      answer: 'at rest',
      says: [
        ...phrase`At ${{ tempC: c.tempC }} nothing moves. `,
        ...(band.p50 === null ? phrase`It goes on when she is warmed.` : expectSentence(word, band, c.now)),
      ],
      until,
    });
  const winged = wingedOnly(c);
  if (winged)
    return verdict({
      ...common,
      answer: 'winged young, no workers',
      says: winged.says,
      pressure: 'free',
      notice: true,
      criteria: [winged.criterion, ...criteria],
    });
  const stood = standing(c);
  if (stood)
    return verdict({
      ...common,
      answer: 'late',
      says: stood.says,
      pressure: 'free',
      notice: true,
      criteria: [stood.criterion, ...criteria],
    });
  const share = ahead.stillWithout;
  const expect: Phrase = [' ', ...expectSentence(word, band, c.now)];
  if (share !== null && share < figure('lateShare')) {
    // why no eggs are there is asked by itself
    const asked = next === 'eggs';
    return verdict({
      ...common,
      answer: 'late',
      says: [...phrase`She is late for ${{ word }}. `, advice(c), ...expect],
      pressure: asked || advice(c) === PATIENCE ? 'rest' : 'free',
      notice: !asked,
      until,
    });
  }
  if (share !== null && share < figure('slowShare'))
    return verdict({
      ...common,
      answer: 'slow, not late',
      says: [
        ...phrase`She takes longer than most for ${{ word }}, and that is no cause for worry.`,
        ...expect,
      ],
      until,
    });
  const note: Phrase =
    ahead.strained > 1
      ? [` Her log does not fit what is known of ${c.profile.name}; the range is widened.`]
      : [];
  return verdict({ ...common, answer: 'no', says: ['She is in her time.', ...expect, ...note], until });
};

/** Larvae or pupae that were there at one look and, long after, at another, and nothing has come of them in the warm. */
function standing(c: Case): { says: Phrase; criterion: Criterion } | null {
  const next = c.ahead?.next;
  if (next !== 'larvae' && next !== 'pupae' && next !== 'workers') return null;
  const stage = STAGE_BEFORE[next];
  const { interval, byEntry } = c.known.appearances[stage];
  const last = c.known.counts[stage];
  const none = c.known.counts[next];
  const warm = !['cool', 'still'].includes(heatOf(c.profile, c.tempC));
  // a winter in between is no standing still: how warm she stood all the while is in the share of queens still without
  const share = c.ahead?.stillWithout ?? 1;
  if (!interval.by || !last || !isSome(last.range) || none?.range.high !== 0 || none.at !== last.at)
    return null;
  if (!warm || share >= figure('slowShare')) return null;
  const days = daysAwake(c, interval.by, last.at);
  if (days < figure(STANDS[stage])) return null;
  const hungry = c.eating !== 'no';
  if (stage === 'eggs') return eggsStand(c, byEntry, last.entryId, days);
  const says: Phrase = [
    ...phrase`She is late: her ${{ word: MILESTONE_WORDS[stage].many }} have stood still for ${{ word: `about ${Math.round(days / 7)} weeks` }}, and it is warm enough. `,
    stage === 'pupae'
      ? 'They may be dead: dead ones grow dark, shrink or mould. Leave them to her; she clears them away. A thermometer that shows too much does the same: check it.'
      : hungry
        ? 'Hunger comes first: a tiny piece of dead prey, fresh; larvae do not grow without protein. It may be cooler than the thermometer says, or autumn has begun for her.'
        : 'It may be cooler than the thermometer says, or autumn has begun for her: check the warmth beside the tube, and leave her in peace.',
  ];
  return {
    says,
    criterion: criterion('standing', 'unmet', says, COMMON_PRACTICE, {
      evidence: [byEntry, last.entryId].filter((e) => e !== null),
      margin: { value: -days, unit: 'days' },
    }),
  };
}

const STAGE_BEFORE = { larvae: 'eggs', pupae: 'larvae', workers: 'pupae' } as const;
const STANDS = { eggs: 'eggsStandDays', larvae: 'larvaeStandDays', pupae: 'pupaeStandDays' } as const;

/** Eggs at every look, and never a larva: they are eaten and laid again, or they are not fertile. */
function eggsStand(
  c: Case,
  byEntry: string | null,
  lastEntry: string,
  days: number,
): { says: Phrase; criterion: Criterion } {
  const says: Phrase = [
    c.eating === 'no'
      ? 'Leave her in peace, dark and warm. '
      : 'Offer a tiny piece of dead insect, and leave her in peace. ',
    `Eggs have been there for about ${Math.round(days / 7)} weeks, and no larva was seen. She may be eating them and laying again, or they may not be fertile.`,
  ];
  return {
    says,
    criterion: criterion('standing', 'unmet', says, COMMON_PRACTICE, {
      evidence: [byEntry, lastEntry].filter((e) => e !== null),
      margin: { value: -days, unit: 'days' },
    }),
  };
}

/** Winged young and never a worker: probably males, of a queen that may be unmated. */
function wingedOnly({ known }: Case): { says: Phrase; criterion: Criterion } | null {
  const winged = known.castes.alates;
  if (!winged || !isSome(winged.last.range) || known.lastWorkers) return null;
  const says: Phrase = [
    'Look whether the winged young are males: small heads, large eyes, no sting. Winged young from a queen without workers are usually males, and then she may be unmated. That cannot be seen on her; keep her, and watch whether workers come.',
  ];
  return {
    says,
    criterion: criterion('winged', 'unmet', says, COMMON_PRACTICE, { evidence: [winged.last.entryId] }),
  };
}

const PATIENCE = 'Some queens take their time: keep her dark, still and warm, and wait.';

/** Heat of her founding that kills brood: what was laid before it may be lost, and is laid anew. */
function heated(c: Case): Criterion[] {
  const spell = c.known.intake ? heatBetween(c, c.known.intake.at, c.now) : null;
  return spell ? [criterion('heat', 'unmet', spellWords(spell), 'measured where she stood')] : [];
}

/** The cheapest thing that is likely to help; waiting when nothing else is. */
function advice(c: Case): string {
  if (c.peace.restless) return 'She has been disturbed too often: what helps is quiet.';
  if (heated(c).length > 0)
    return 'Give her time: heat may have killed her first brood, and then she starts again.';
  if (c.tempC < c.profile.bestTempC.value.low && !coolSuits(c))
    return 'Bring her into her best warmth in small steps.';
  return PATIENCE;
}

function pace({ ahead, known }: Case): Criterion {
  const next = ahead?.next ?? null;
  if (!ahead || next === null)
    return criterion('pace', 'met', ['All stages of the first batch have been seen.'], OWN_LOG);
  const share = ahead.stillWithout;
  const evidence =
    next === 'firstBatchEnd' ? [] : [known.appearances[next].afterEntry].filter((e) => e !== null);
  const word = EVENT_WORDS[next].awaited;
  if (share === null)
    return criterion(
      'pace',
      'unknown',
      [`No look has counted ${word} yet, so nothing says that she is late.`],
      OWN_PRIOR,
      { settles: 'The next look that counts her brood.' },
    );
  return criterion(
    'pace',
    share >= figure('slowShare') ? 'met' : 'unmet',
    phrase`At the last look that counted none, ${{ percent: share * 100 }} of queens like her would still be without ${{ word }}.`,
    `reckoned from her kind's warmth sums (${OWN_PRIOR}) and her log`,
    { evidence, margin: { value: share - figure('slowShare'), unit: 'share' } },
  );
}

/** How much she has been put through: the one account, as a reason. */
export function calm({ peace, known, now }: Case): Criterion {
  if (!known.intake) return criterion('calm', 'unknown', ['No intake is logged.'], COMMON_PRACTICE);
  const days = Math.max(1, daysBetween(known.intake.at, now));
  return criterion(
    'calm',
    peace.restless ? 'unmet' : 'met',
    phrase`${{ word: peace.looks === 1 ? '1 look' : `${peace.looks} looks` }} in ${{ days }}; ${{ word: peace.restless ? 'lately more than one disturbance a week, which makes queens stop laying' : 'that leaves her in peace' }}.`,
    COMMON_PRACTICE,
    { evidence: peace.evidence },
  );
}
