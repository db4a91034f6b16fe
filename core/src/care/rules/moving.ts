import { partOf, underWay, type Move } from '../../housing';
import { addDays, daysBetween, latest, msOf, phrase, type Instant, type Phrase } from '../../quantity';
import type { Case } from '../case';
import { figure } from '../practice';
import {
  ask,
  COMMON_PRACTICE,
  criterion,
  verdict,
  type Criterion,
  type Rule,
  type Verdict,
} from '../verdict';
import { tubeFault } from './water';

/** How much the old tube presses: nothing does; mould or a low line; no water, or water where she sits. */
type Haste = 'calm' | 'pressing' | 'dry';
/** The steps of a move, the gentlest first. */
type Step = 'offer' | 'light' | 'swap' | 'by-hand';

const NEXT: Record<Step, Step | null> = { offer: 'light', light: 'swap', swap: 'by-hand', 'by-hand': null };

/** Is she moving? A step of the ladder, how long it is given, and the day on which it is judged again. */
export const moving: Rule = (c) => {
  const { move } = c;
  if (!move) return null;
  const common = { id: 'moving', question: 'Is she moving?', criteria: criteriaOf(c, move) } as const;
  if (move.stage === 'finished') return verdict({ ...common, ...finished(c, move) });
  if (move.stage === 'real') return verdict({ ...common, ...real(c, move) });
  return verdict({ ...common, ...waiting(c, move) });
};

function hasteOf(c: Case): Haste {
  const fault = tubeFault(c);
  if (fault?.id === 'plug') return 'dry';
  const dry = c.water.dryAt.p10;
  const left = dry === null ? Infinity : daysBetween(c.now, dry);
  if (left <= 0) return 'dry';
  return fault || left <= figure('freshHomeLateDays') ? 'pressing' : 'calm';
}

/** The step that was taken last, and since when. */
function stepOf(c: Case, move: Move): { step: Step; since: Instant } {
  const cover = partOf(c.housing, move.from)?.cover;
  if (move.byHandAt) return { step: 'by-hand', since: move.byHandAt };
  if (move.swappedAt) return { step: 'swap', since: move.swappedAt };
  if (cover?.value === 'lit') return { step: 'light', since: cover.since };
  return { step: 'offer', since: move.offeredAt };
}

function daysOf(step: Step, haste: Haste): number {
  if (step === 'swap' || step === 'by-hand') return figure('swapDays');
  if (haste === 'dry') return figure(step === 'offer' ? 'offerDryDays' : 'litDryDays');
  if (step === 'light') return figure('litDays');
  return figure(haste === 'pressing' ? 'mouldPatienceDays' : 'offerDays');
}

type Said = Pick<Verdict, 'answer' | 'says'> & Partial<Verdict>;

function waiting(c: Case, move: Move): Said {
  const haste = hasteOf(c);
  const aid: Phrase = haste === 'dry' ? [...(tubeFault(c)?.aid ?? ['Her water may be gone.']), ' '] : [];
  const answer =
    { offered: 'not yet', scouts: 'scouts only', partly: 'half way' }[move.stage as 'offered'] ?? 'not yet';
  if (c.wintering && haste !== 'dry')
    return {
      answer: 'not in the cold',
      says: [
        'In the cold of winter nobody moves. Leave the fresh tube as it stands, and go on when she wakes.',
      ],
    };
  if (!partOf(c.housing, move.to)?.joint && partOf(c.housing, move.from)?.joint?.to !== move.to)
    return {
      answer: 'she cannot reach it',
      says: [
        ...aid,
        'The fresh tube only stands beside hers: she cannot get there. Set the two mouth to mouth, with tape and a small gap for air, narrower than the smallest worker’s head.',
      ],
      pressure: haste === 'calm' ? 'soon' : 'now',
      asks: [
        ask(
          c,
          'move-step',
          [c.now, c.now, addDays(c.now, figure('moveStepDays'))],
          ['Join the fresh tube to hers.'],
        ),
      ],
    };
  const { step, since } = stepOf(c, move);
  const from = latest(since, move.since) as Instant;
  const due = addDays(from, daysOf(step, haste));
  const state = [...aid, ...stateWords(move)];
  if (msOf(due) > msOf(c.now))
    return {
      answer,
      says: [
        ...state,
        ...waitWords(step, since),
        ...phrase` Leave her the time, and judge it again on ${{ date: due }}.`,
      ],
      // what threatens her stays at the head while she is given the time
      pressure: haste === 'dry' ? 'soon' : 'rest',
      until: due,
      notice: true,
      asks: stepAsk(c, haste, due, [
        'Look through the glass who is in the fresh tube; then the next step of her move.',
      ]),
    };
  const next = NEXT[step];
  // nothing presses: light is the last step, and after it she has all the time there is
  if (haste === 'calm' && step !== 'offer') {
    const again = againAfter(due, figure('offerDays'), c.now);
    return {
      answer,
      says: [
        ...state,
        ...phrase` Nothing presses: leave both tubes as they are, and judge it again on ${{ date: again }}.`,
      ],
      until: again,
      notice: true,
    };
  }
  if (next === null) {
    const again = againAfter(due, figure('swapDays'), c.now);
    return {
      answer,
      says: [
        ...state,
        ' Bring the rest over too, one by one, and the queen last; in must equal out.',
        ...HANDS,
      ],
      pressure: 'now',
      asks: stepAsk(c, haste, again, ['Bring the rest into the fresh tube.']),
    };
  }
  return {
    answer,
    says: [...state, ...stepWords(c, next)],
    pressure: haste === 'calm' ? 'free' : 'now',
    notice: true,
    asks: stepAsk(c, haste, c.now, stepWords(c, next)),
  };
}

function stepAsk(c: Case, haste: Haste, from: Instant, says: Phrase): Verdict['asks'] {
  const slack = figure(haste === 'calm' ? 'moveStepCalmDays' : 'moveStepDays');
  return [ask(c, 'move-step', [from, from, addDays(from, slack)], says, { obligatory: haste !== 'calm' })];
}

/** The next of a row of dates, evenly apart, that is still to come. */
function againAfter(first: Instant, everyDays: number, now: Instant): Instant {
  const past = Math.max(0, daysBetween(first, now));
  return addDays(first, (Math.floor(past / everyDays) + 1) * everyDays);
}

function stateWords({ stage, offeredAt, since }: Move): Phrase {
  switch (stage) {
    case 'scouts':
      return phrase`Workers have been in the fresh tube since ${{ date: since }}: scouts, which is no move yet.`;
    case 'partly':
      return phrase`Queen and brood are not together since ${{ date: since }}: leave the way between the two tubes open.`;
    default:
      return phrase`A fresh tube stands joined to hers since ${{ date: offeredAt }}, and nobody was seen to live in it yet.`;
  }
}

function waitWords(step: Step, since: Instant): Phrase {
  switch (step) {
    case 'offer':
      return [];
    case 'light':
      return phrase` Her old tube is lit since ${{ date: since }}.`;
    case 'swap':
      return phrase` The plugs were swapped on ${{ date: since }}.`;
    case 'by-hand':
      return phrase` They were brought over on ${{ date: since }}.`;
  }
}

const HANDS = ' Kinds that spray or sting: eyes and skin covered, fresh air, and never tipped out.';

function stepWords(c: Case, next: Step): Phrase {
  const many = (c.workers?.range.low ?? 0) >= figure('manyInTube');
  if (next === 'light')
    return [
      ' Now one step further: keep the fresh tube dark, and uncover the old one to indirect daylight. No lamp and no sun: they cook ants, and flood tubes.',
    ];
  if (many)
    return [
      ' So many are moved only inside a rimmed, ventilated box: open the old tube there beside the fresh, dark one, and feed at once; they walk over in days.',
      HANDS,
    ];
  if (next === 'swap')
    return [
      ' Now the next step: draw the old cotton with the ants on it out slowly, in a quarter of an hour, and set it against the fresh plug.',
    ];
  return [
    ' The last step is by hand: the fresh tube and spare dry plugs ready, workers one by one, brood into a cap, the queen last; count that as many come in as went out.',
    HANDS,
  ];
}

function real(c: Case, move: Move): Said {
  const due = addDays(move.since, figure('stragglerDays'));
  if (msOf(due) > msOf(c.now))
    return {
      answer: 'yes',
      says: phrase`She has moved with her brood. Leave the old tube joined for those who follow; judge it again on ${{ date: due }}.`,
      until: due,
      notice: true,
    };
  const says: Phrase = [
    'She has moved with her brood. Bring the last over by hand, one by one, then plug her new tube and take the old one away.',
    HANDS,
  ];
  return { answer: 'yes, but for a few', says, pressure: 'free', notice: true, asks: takeAway(c, due, says) };
}

function finished(c: Case, move: Move): Said {
  const says: Phrase = [
    'All have moved. Part the two tubes, plug hers, and take the old one away: cleaned, or thrown away where there was mould.',
  ];
  const late = daysBetween(move.since, c.now) > figure('takeAwayDays');
  return {
    answer: 'yes, all of them',
    says,
    pressure: late ? 'soon' : 'free',
    notice: true,
    asks: takeAway(c, move.since, says),
  };
}

const takeAway = (c: Case, from: Instant, says: Phrase) => [
  ask(c, 'move-step', [from, from, addDays(from, figure('takeAwayDays'))], says, { obligatory: false }),
];

function criteriaOf(c: Case, move: Move): Criterion[] {
  const fresh = partOf(c.housing, move.to);
  const evidence = [move.entryId];
  const other = c.otherWater?.dryAt.p10 ?? null;
  const left = other === null ? Infinity : daysBetween(c.now, other);
  return [
    criterion(
      'crossed',
      move.stage === 'real' || move.stage === 'finished' ? 'met' : 'unmet',
      underWay(move) ? stateWords(move) : phrase`Queen and brood crossed by ${{ date: move.since }}.`,
      `${COMMON_PRACTICE}: a move is real when brood and queen cross; workers alone are scouts`,
      { evidence: [...evidence, ...(fresh?.joint ? [fresh.joint.entryId] : [])] },
    ),
    ...(underWay(move) && left <= figure('freshHomeLateDays')
      ? [
          criterion(
            'fresh-water',
            'unmet',
            ['The fresh tube has itself little water left: set up another.'],
            'reckoned from how vapour leaves a tube',
            { evidence },
          ),
        ]
      : []),
  ];
}
