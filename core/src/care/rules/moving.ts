import type { Trouble } from '../../facts';
import {
  isShut,
  linksOf,
  nounOf,
  partOf,
  reachedFrom,
  underWay,
  type Move,
  type PartNow,
} from '../../housing';
import { addDays, daysBetween, latest, msOf, phrase, type Instant, type Phrase } from '../../quantity';
import type { Case } from '../case';
import { narrowerThan } from '../gap';
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
import { againAfter } from './again';
import { tubeFault } from './tube-fault';

/** How much the old tube presses: nothing does; mould or a low line; no water, or water where she sits. */
type Haste = 'calm' | 'pressing' | 'dry';
/** The steps of a move, the gentlest first. */
type Step = 'offer' | 'light' | 'swap' | 'by-hand';

const NEXT: Record<Step, Step | null> = { offer: 'light', light: 'swap', swap: 'by-hand', 'by-hand': null };

/** Mould at the brood shortens every method to days. */
const mouldAtBrood = ({ known }: Case): boolean => known.mould?.value === 'near-brood';

/** Is she moving? A step of the ladder, how long it is given, and the day on which it is judged again. */
export const moving: Rule = (c) => {
  const { move } = c;
  if (!move) return null;
  const common = { id: 'moving', question: 'Is she moving?', criteria: criteriaOf(c, move) } as const;
  if (c.wintering && !underWay(move)) return verdict({ ...common, ...afterWinter(c, move) });
  if (move.stage === 'finished') return verdict({ ...common, ...finished(c, move) });
  if (move.stage === 'real') return verdict({ ...common, ...real(c, move) });
  return verdict({ ...common, ...waiting(c, move) });
};

/** She has moved and it is winter: what is left of the move waits. */
const afterWinter = (c: Case, move: Move): Said => ({
  answer: 'yes',
  says: [
    `Leave the ${namesOf(c, move).from} as it is until she wakes. She has moved, and in the cold nobody is disturbed.`,
  ],
});

function hasteOf(c: Case): Haste {
  const fault = tubeFault(c);
  if (fault?.id === 'plug' || has(c, 'flooded')) return 'dry';
  // a home that is watered by hand gives no reason to move
  const dry = c.water?.dryAt.p10 ?? null;
  const left = dry === null ? Infinity : daysBetween(c.now, dry);
  // in the cold nobody moves because of a reckoning: the line is read first
  if (left <= 0 && !c.wintering) return 'dry';
  return fault || has(c, 'black-water') || left <= figure('freshHomeLateDays') ? 'pressing' : 'calm';
}

const has = ({ known }: Case, what: Trouble): boolean => known.troubles.some((t) => t.what === what);

/** When a step has had its time; null: it has as long as it takes. */
const dueAfter = (from: Instant, days: number): Instant | null =>
  days === Infinity ? null : addDays(from, days);

const NO_HURRY = ' Leave both as they are: your method gives the move as long as it takes.';

/** The step that was taken last, and since when. */
function stepOf(c: Case, move: Move): { step: Step; since: Instant } {
  const cover = partOf(c.housing, move.from)?.cover;
  if (move.byHandAt) return { step: 'by-hand', since: move.byHandAt };
  if (move.swappedAt) return { step: 'swap', since: move.swappedAt };
  if (cover?.value === 'lit') return { step: 'light', since: cover.since };
  return { step: 'offer', since: move.offeredAt };
}

/** How long a step is given: by how much the old home presses, then by the keeper's patience; Infinity: as long as it takes. */
function daysOf(c: Case, step: Step, haste: Haste): number {
  if (step === 'swap' || step === 'by-hand') return figure('swapDays');
  if (haste === 'dry') return figure(step === 'offer' ? 'offerDryDays' : 'litDryDays');
  // lit with the offer: the next step is the plugs
  const lit = step === 'light' || c.lightSchool === 'never';
  if (mouldAtBrood(c)) return lit ? figure('mouldSwapDays') : 0;
  if (step === 'offer' && c.lightSchool === 'at-once') return 0;
  const patience = c.patienceDays ?? Infinity;
  if (haste === 'pressing') return Math.min(patience, figure(lit ? 'litDays' : 'mouldPatienceDays'));
  return patience;
}

/** What the two homes of a move are called: "the fresh tube" and "her old tube", or "the nest". */
function namesOf(c: Case, { from, to }: Move): { to: string; from: string; both: string } {
  const noun = (id: string) => nounOf((partOf(c.housing, id) as PartNow).part);
  const [old, fresh] = [noun(from), noun(to)];
  return {
    to: fresh === 'tube' ? 'fresh tube' : fresh,
    from: `old ${old}`,
    both: old === fresh ? `two ${old}s` : `${old} and ${fresh}`,
  };
}

/** Only beside it, or tied to nothing from which she could come. */
const reaches = (c: Case, move: Move): boolean =>
  linksOf(c.housing, move.to).length > 0 &&
  (reachedFrom(c.housing, move.from).includes(move.to) ||
    isShut(c.housing, partOf(c.housing, move.to) as PartNow));

type Said = Pick<Verdict, 'answer' | 'says'> & Partial<Verdict>;

function waiting(c: Case, move: Move): Said {
  const haste = hasteOf(c);
  const names = namesOf(c, move);
  const aid: Phrase =
    haste === 'dry'
      ? [
          ...(tubeFault(c)?.aid ?? [has(c, 'flooded') ? 'Her home is flooded.' : 'Her water may be gone.']),
          ' ',
        ]
      : [];
  const answer =
    { offered: 'not yet', scouts: 'scouts only', partly: 'half way' }[move.stage as 'offered'] ?? 'not yet';
  if (c.wintering && haste !== 'dry')
    return {
      answer: 'not in the cold',
      says: [
        `In the cold of winter nobody moves. Leave the ${names.to} as it stands, and go on when she wakes.`,
      ],
    };
  if (!reaches(c, move))
    return {
      answer: 'she cannot reach it',
      says: [
        ...aid,
        names.to === 'fresh tube' && c.tube
          ? `The fresh tube only stands beside hers: she cannot get there. Set the two mouth to mouth, with tape and a small gap for air, narrower than ${narrowerThan(c.profile)}.`
          : `The ${names.to} only stands beside her home: she cannot get there. Join the two, with air but no gap as wide as ${narrowerThan(c.profile)}.`,
      ],
      pressure: haste === 'calm' ? 'soon' : 'now',
      asks: [
        ask(
          c,
          'move-step',
          [c.now, c.now, addDays(c.now, figure('moveStepDays'))],
          [`Join the ${names.to} to her home.`],
        ),
      ],
    };
  if (isShut(c.housing, partOf(c.housing, move.to) as PartNow)) return shut(c, move, haste, aid);
  const { step, since } = stepOf(c, move);
  const from = latest(since, move.since, openSince(c, move)) as Instant;
  const due = dueAfter(from, daysOf(c, step, haste));
  const state = [...aid, ...stateWords(c, move)];
  // beside mould it is judged once before the step itself
  const judged = addDays(from, figure('mouldJudgeDays'));
  const again = mouldAtBrood(c) && haste !== 'dry' && msOf(judged) > msOf(c.now) ? judged : due;
  if (due === null || again === null || msOf(due) > msOf(c.now))
    return {
      answer,
      says: [
        ...state,
        ...waitWords(step, since, names.from),
        ...(again ? phrase` Leave her the time, and judge it again on ${{ date: again }}.` : [NO_HURRY]),
      ],
      // what threatens her stays at the head while she is given the time
      pressure: haste === 'dry' ? 'soon' : 'rest',
      until: again,
      notice: true,
      asks: again
        ? stepAsk(c, haste, again, [
            `Look through the glass who is in the ${names.to}; then the next step of her move.`,
          ])
        : [],
    };
  const next = nextOf(c, move, step);
  // nothing presses: light is the last step, and after it she has all the time there is
  if (haste === 'calm' && (step !== 'offer' || next !== 'light')) {
    const again = againAfter(due, figure('offerDays'), c.now);
    return {
      answer,
      says: [
        ...state,
        ...phrase` Nothing presses: leave both as they are, and judge it again on ${{ date: again }}.`,
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
      asks: stepAsk(c, haste, again, [`Bring the rest into the ${names.to}.`]),
    };
  }
  return {
    answer,
    says: [...state, ...stepWords(c, next, names)],
    pressure: haste === 'calm' ? 'free' : 'now',
    notice: true,
    asks: stepAsk(c, haste, c.now, stepWords(c, next, names)),
  };
}

/**
 * Whether the gentle ways of a move had their time, and hands come next: plugs swapped, or brought over one by one. Not in the
 * cold, but where she has no water.
 */
export function byHandNow(c: Case): boolean {
  const { move } = c;
  if (!move || move.stage === 'real' || move.stage === 'finished') return false;
  if (!reaches(c, move) || isShut(c.housing, partOf(c.housing, move.to) as PartNow)) return false;
  const haste = hasteOf(c);
  if (haste === 'calm' || (c.wintering && haste !== 'dry')) return false;
  const { step, since } = stepOf(c, move);
  const due = dueAfter(latest(since, move.since, openSince(c, move)) as Instant, daysOf(c, step, haste));
  const next = nextOf(c, move, step);
  return due !== null && msOf(due) <= msOf(c.now) && next !== 'light';
}

/** Whether she can cross by herself now, and whether light is what comes next: only then is either an answer. */
export function crossing(c: Case, move: Move): { open: boolean; lightNext: boolean } {
  const open = reaches(c, move) && !isShut(c.housing, partOf(c.housing, move.to) as PartNow);
  return { open, lightNext: open && nextOf(c, move, stepOf(c, move).step) === 'light' };
}

/** Plugs are swapped between two tubes; where one is none, hands come next. */
function nextOf(c: Case, move: Move, step: Step): Step | null {
  const after = NEXT[step];
  const next = after === 'light' && c.lightSchool === 'never' ? NEXT.light : after;
  const tubes = [move.from, move.to].every((id) => partOf(c.housing, id)?.part.kind === 'tube');
  return next === 'swap' && !tubes ? 'by-hand' : next;
}

/** A home that was joined and left shut: they settle and feed beside it, then it is opened, and nobody is pushed. */
function shut(c: Case, move: Move, haste: Haste, aid: Phrase): Said {
  const { to } = namesOf(c, move);
  const due = addDays(move.offeredAt, figure('nestShutDays'));
  const early = haste !== 'calm' || msOf(due) <= msOf(c.now);
  const open: Phrase = [
    `Open it now: they find the way by themselves, first scouts, then the rest in days. Do not push, and feed beside the ${to}, not in it.`,
  ];
  const says: Phrase = [
    ...aid,
    ...phrase`The ${{ word: to }} stands joined and shut since ${{ date: move.offeredAt }}. `,
  ];
  if (early)
    return {
      answer: 'open it',
      says: [...says, ...open],
      pressure: haste === 'calm' ? 'free' : 'now',
      notice: true,
      asks: stepAsk(c, haste, c.now, open),
    };
  return {
    answer: 'not opened yet',
    says: [
      ...says,
      ...phrase`Leave it shut, and moist, until they hold the space before it and find food fast; judge it again on ${{ date: due }}.`,
    ],
    until: due,
    notice: true,
    asks: stepAsk(c, haste, due, open),
  };
}

function stepAsk(c: Case, haste: Haste, from: Instant, says: Phrase): Verdict['asks'] {
  const slack = figure(haste === 'calm' ? 'moveStepCalmDays' : 'moveStepDays');
  return [ask(c, 'move-step', [from, from, addDays(from, slack)], says, { obligatory: haste !== 'calm' })];
}

function stateWords(c: Case, move: Move): Phrase {
  const { stage, offeredAt, since } = move;
  const { to, both } = namesOf(c, move);
  switch (stage) {
    case 'scouts':
      return phrase`Workers have been in the ${{ word: to }} since ${{ date: since }}: scouts, which is no move yet.`;
    case 'partly':
      return phrase`Queen and brood are not together since ${{ date: since }}: leave the way between the ${{ word: both }} open.`;
    default:
      return to === 'fresh tube'
        ? phrase`A fresh tube stands joined to hers since ${{ date: offeredAt }}, and nobody was seen to live in it yet.`
        : phrase`The ${{ word: to }} stands open to her home since ${{ date: openSince(c, move) }}, and nobody was seen to live in it yet.`;
  }
}

/** Since when she could walk into it: a door of it may have been opened later than it was joined. */
const openSince = (c: Case, { to, offeredAt }: Move): Instant =>
  latest(offeredAt, ...Object.values(partOf(c.housing, to)?.gates ?? {}).map((g) => g.since)) as Instant;

function waitWords(step: Step, since: Instant, old: string): Phrase {
  switch (step) {
    case 'offer':
      return [];
    case 'light':
      return phrase` Her ${{ word: old }} is lit since ${{ date: since }}.`;
    case 'swap':
      return phrase` The plugs were swapped on ${{ date: since }}.`;
    case 'by-hand':
      return phrase` They were brought over on ${{ date: since }}.`;
  }
}

const HANDS = ' Kinds that spray or sting: eyes and skin covered, fresh air, and never tipped out.';

function stepWords(c: Case, next: Step, { to, from }: ReturnType<typeof namesOf>): Phrase {
  const size = c.workers?.range.low ?? 0;
  const many = size >= figure('moveInBox');
  if (next === 'light')
    return [
      ` Now one step further: keep the ${to} dark, and uncover the ${from} to indirect daylight. No lamp and no sun: they cook ants, and flood tubes.`,
    ];
  if (many)
    return [
      ` So many are moved only inside a rimmed, ventilated box: open the ${from} there beside the dark ${to}, and feed at once; they walk over in days.`,
      HANDS,
    ];
  if (next === 'swap' && size >= figure('tubeToTube'))
    return [
      ` Connect the ${from} to the ${to} by a wide adaptor, mouth to mouth, and keep only the ${to} dark and moist. So many do not come across on a plug. Never break the glass end.`,
    ];
  if (next === 'swap')
    return [
      ' Now the next step: draw the old cotton with the ants on it out slowly, in a quarter of an hour, and set it against the fresh plug.',
    ];
  return [
    ` The last step is by hand: the ${to}${to === 'fresh tube' ? ' and spare dry plugs' : ''} ready, workers one by one, brood into a cap, the queen last; count that as many come in as went out.`,
    HANDS,
  ];
}

function real(c: Case, move: Move): Said {
  const due = addDays(move.since, figure('stragglerDays'));
  if (msOf(due) > msOf(c.now))
    return {
      answer: 'yes',
      says: phrase`She has moved with her brood. Leave the ${{ word: namesOf(c, move).from }} joined for those who follow; judge it again on ${{ date: due }}.`,
      until: due,
      notice: true,
    };
  const says: Phrase = [
    'She has moved with her brood. Bring the last over by hand, one by one, then close her new home and take the old one away.',
    HANDS,
  ];
  return { answer: 'yes, but for a few', says, pressure: 'free', notice: true, asks: takeAway(c, due, says) };
}

function finished(c: Case, move: Move): Said {
  const says: Phrase = [
    'All have moved. Part the two, close her new home, and take the old one away: cleaned, or thrown away where there was mould.',
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
  const evidence = [move.entryId];
  const other = c.otherWater?.dryAt.p10 ?? null;
  const left = other === null ? Infinity : daysBetween(c.now, other);
  return [
    criterion(
      'crossed',
      move.stage === 'real' || move.stage === 'finished' ? 'met' : 'unmet',
      underWay(move) ? stateWords(c, move) : phrase`Queen and brood crossed by ${{ date: move.since }}.`,
      `${COMMON_PRACTICE}: a move is real when brood and queen cross; workers alone are scouts`,
      { evidence: [...evidence, ...linksOf(c.housing, move.to).map((l) => l.entryId)] },
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
