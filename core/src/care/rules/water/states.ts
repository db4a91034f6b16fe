import { nounOf, partOf, underWay } from '../../../housing';
import { daysBetween, phrase, type Phrase } from '../../../quantity';
import { capital } from '../../../words';
import type { InTube } from '../../case';
import { figure } from '../../practice';
import { askNow, type Ask, type Criterion, type Verdict } from '../../verdict';
import { newHomeTask, nextHome, type NextHome } from '../home';
import { linesTellLittle, plugSeenRight } from '../line';
import { tubeFault } from '../tube-fault';
import { freshHome, mayAsk, readFirst } from './asks';
import { pace, rise } from './criteria';
import { offerBetween, range, whileOpen } from './words';

/** All that an answer about the water of her tube goes by, found once. */
interface Water {
  c: InTube;
  /** Until it may be gone; null when it lasts for years. */
  daysLeft: number | null;
  next: NextHome;
  fault: ReturnType<typeof tubeFault>;
  /** A fresh tube, while no other new home is asked for and it need not wait for spring. */
  fresh: Ask[];
  /** Her line is to be read, for much hangs on it. */
  reading: Ask[];
  /** Her line falls too fast or too slowly, and no plug that was seen says otherwise. */
  odd: Criterion | undefined;
}

type Said = Pick<Verdict, 'answer' | 'says'> & Partial<Verdict>;

export function waterOf(c: InTube): Water {
  const dry = c.water.dryAt.p10;
  const next = nextHome(c);
  // a plug that was seen wet as it should be answers the question of the pace already
  const plugSeen = c.known.wetFront?.at === c.known.waterReadings.at(-1)?.at;
  return {
    c,
    daysLeft: dry === null ? null : daysBetween(c.now, dry),
    next,
    fault: tubeFault(c),
    fresh: freshHome(c).filter((a) => mayAsk(c, next, a)),
    reading: readFirst(c),
    odd: pace(c).find((o) => o.state === 'unmet' && !plugSeen),
  };
}

/** The states in which her water may be, the first that is hers answers; each null when it is not. */
const STATES: readonly ((w: Water) => Said | null)[] = [
  moving,
  mouldInWinter,
  faulty,
  inTheCold,
  drinksElsewhere,
  lineUnread,
  nestNext,
  ends,
  endsInWeeks,
  lineRose,
  oddPace,
];

export function stateOf(w: Water): Said {
  for (const state of STATES) {
    const said = state(w);
    if (said) return said;
  }
  return {
    answer: 'yes',
    says: [...range(w.c), ...offerBetween(w.fresh[0])],
    until: w.fresh[0]?.notBefore ?? null,
    asks: w.fresh,
  };
}

/** Her water may end before a move can be over, or in the weeks after that. */
const endsSoon = ({ daysLeft }: Water): boolean =>
  daysLeft !== null && daysLeft <= figure('freshHomeLateDays');
const endsLater = ({ daysLeft }: Water): boolean =>
  daysLeft !== null && daysLeft <= figure('freshHomeEarlyDays');

/** How every state begins in which her water ends: what is odd, how long it lasts, and that the line is read first. */
const opening = ({ c, odd }: Water, reading: readonly Ask[] = []): Phrase => [
  ...(odd ? [...odd.says, ' '] : []),
  ...range(c),
  ...(reading.length > 0 ? [' Read her water line first: it may tell that there is time.'] : []),
];

/** What she is moving into. */
function other({ housing, move }: InTube): string {
  const to = move ? partOf(housing, move.to) : undefined;
  return to && to.part.kind !== 'tube' ? `a ${nounOf(to.part)}` : 'a fresh tube';
}

/** While a new home stands ready, what presses is her move into it. */
function moving({ c, fault, daysLeft, reading }: Water): Said | null {
  if (!underWay(c.move)) return null;
  return {
    answer: fault
      ? fault.answer
      : daysLeft !== null && daysLeft <= 0
        ? 'it may be dry'
        : `${other(c)} stands ready`,
    says: [...(fault?.aid ?? range(c)), ` ${capital(other(c))} stands ready for her.`],
    asks: reading,
  };
}

function mouldInWinter({ c, fault, reading }: Water): Said | null {
  if (fault?.id !== 'mould' || !c.wintering) return null;
  return {
    answer: 'after winter',
    says: [...fault.aid, ' Do not move her in the cold. Offer a fresh tube when she wakes.'],
    notice: true,
    asks: reading,
  };
}

function faulty({ c, fault, fresh }: Water): Said | null {
  if (!fault) return null;
  return {
    answer: fault.answer,
    says: fault.says,
    pressure: 'now',
    asks: [
      askNow(c, fault.task, fault.says),
      // a fault that only a fresh tube mends asks for it at once
      ...(fault.task === 'fresh-home'
        ? []
        : fault.needsFresh
          ? [askNow(c, newHomeTask(c), fault.says)]
          : fresh),
    ],
  };
}

/** In the cold nobody moves because of a reckoning: her line is read, and nothing more. What was read of late is believed. */
function inTheCold({ c, daysLeft, fresh }: Water): Said | null {
  if (!c.wintering) return null;
  const read = c.known.waterReadings.at(-1) ?? null;
  const lately = read !== null && daysBetween(read.at, c.now) <= figure('freshLineDays');
  if (lately && read.mm <= figure('emptyLineMm')) {
    const says: Phrase = [
      ...phrase`Give her water now: her line was at ${{ mm: read.mm }} when you last read it. `,
      'Push wet cotton against the inner plug, or warm her in steps over a few days and offer a fresh tube.',
      whileOpen(c),
    ];
    return { answer: 'no water', says, pressure: 'now', asks: [askNow(c, 'fresh-home', says, 3)] };
  }
  if (daysLeft === null || daysLeft > figure('freshHomeLateDays') || lately)
    return { answer: 'yes', says: range(c), asks: fresh };
  const says = [
    'Read her water line through the glass, and do nothing more. It is an estimate that it runs low.',
  ];
  return {
    answer: 'read her water line',
    says,
    pressure: 'soon',
    asks: [askNow(c, 'check-water', says, figure('winterCheckSoonestDays'))],
  };
}

/** What is joined to her tube gives her water for longer. */
function drinksElsewhere(w: Water): Said | null {
  const { c, fresh, reading } = w;
  const { drinksElsewhereUntil: drinks } = c;
  if (!endsSoon(w) || drinks === null || daysBetween(c.now, drinks) <= figure('freshHomeLateDays'))
    return null;
  return {
    answer: 'the tube joined to it does',
    says: [
      ...opening(w),
      ...phrase` She can drink in the tube joined to hers, at least until ${{ date: drinks }}.`,
      ...(fresh.length > 0 ? [' Have a fresh one ready all the same.'] : []),
    ],
    pressure: 'soon',
    asks: [...fresh, ...reading],
  };
}

/** Where the lines tell little the line itself is asked for, kindly. */
function lineUnread(w: Water): Said | null {
  const { c } = w;
  if (!endsSoon(w) || !linesTellLittle(c)) return null;
  const right = plugSeenRight(c);
  const says: Phrase = right
    ? [
        ...phrase`Read her water line this week. Her plug was wet as it should be on ${{ date: right.at }}, so she has water now. `,
        ...range(c),
      ]
    : [
        'Read her water line through the glass: how far from the closed end does the water reach? You haven’t logged a line for this tube yet, and it may be low. Reading it does not disturb her.',
      ];
  return {
    answer: 'read her water line',
    says,
    pressure: 'soon',
    asks: [askNow(c, 'check-water', says, figure(right ? 'freshLineDays' : 'readLineDays'))],
  };
}

function nestNext(w: Water): Said | null {
  if (w.next.is !== 'nest' || !endsLater(w)) return null;
  return {
    answer: 'until they have a nest',
    says: [...opening(w), ' Open a nest for them rather than another tube.'],
    pressure: 'soon',
    asks: w.reading,
  };
}

function ends(w: Water): Said | null {
  const { daysLeft, fresh, reading } = w;
  if (!endsSoon(w)) return null;
  return {
    answer: daysLeft !== null && daysLeft <= 0 ? 'it may be dry' : 'not for long',
    says: [
      ...opening(w, reading),
      ' Offer a fresh tube now, beside the old one, and leave her the time: the move itself may take weeks.',
    ],
    pressure: 'now',
    asks: [...fresh, ...reading],
  };
}

function endsInWeeks(w: Water): Said | null {
  const { fresh, reading, next } = w;
  if (!endsLater(w)) return null;
  const what =
    fresh.length > 0
      ? [' Have a fresh tube ready and offer it in these weeks.']
      : next.is === 'stay' && next.why !== 'fine'
        ? [' Winter is near: a fresh tube comes before the cold, or not until spring.']
        : [];
  return {
    answer: 'for some weeks',
    says: [...opening(w, reading), ...what],
    pressure: 'soon',
    asks: [...fresh, ...reading],
  };
}

function lineRose({ c, fresh }: Water): Said | null {
  const asked = rise(c)[0];
  if (asked?.state !== 'unknown') return null;
  return {
    answer: 'is it the same tube?',
    says: asked.says,
    pressure: 'free',
    notice: true,
    asks: fresh,
  };
}

function oddPace({ c, odd, fresh }: Water): Said | null {
  if (!odd) return null;
  return {
    answer: 'look at the plug',
    says: odd.says,
    pressure: 'soon',
    // what is looked at is the plug: a line that is read once more does not answer it
    asks: [...fresh, { ...askNow(c, 'plug', odd.says, figure('moveStepDays')), ready: ['red light'] }],
  };
}
