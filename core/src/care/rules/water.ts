import { addDays, daysBetween, msOf, phrase, type Instant, type Phrase } from '../../quantity';
import { nounOf, partOf, underWay } from '../../housing';
import { capital } from '../../words';
import { daysAwake } from '../awake';
import { livesInTube, type Case, type InTube } from '../case';
import { figure } from '../practice';
import {
  ask,
  askNow,
  COMMON_PRACTICE,
  criterion,
  OWN_PRIOR,
  verdict,
  type Ask,
  type Criterion,
  type Rule,
  type Verdict,
} from '../verdict';
import { newHomeTask, nextHome, type NextHome } from './home';
import { linesTellLittle, plugSeenRight } from './line';
import { mould, tubeFault } from './tube-fault';
import { inBody, wateringAsks } from './watering';

/** Does her tube hold? Water for how long, and the faults seen in plug and cell. */
export const water: Rule = (c) => {
  if (c.life === 'gone') return null;
  if (!livesInTube(c)) return inBody(c);
  const told = inTube(c);
  // what else is wetted for her, a nest that is made ready or a drinker, is watered beside it
  return { ...told, asks: [...told.asks, ...wateringAsks(c)] };
};

function inTube(c: InTube): Verdict {
  const { dryAt } = c.water;
  const dry = dryAt.p10;
  const daysLeft = dry === null ? null : daysBetween(c.now, dry);
  const criteria = [supply(c, daysLeft), ...plug(c), ...mould(c), ...rise(c), ...pace(c)];
  const common = { id: 'water', question: 'Does her tube hold?', criteria } as const;
  const next = nextHome(c);
  // no second new home is asked for, nor one in the weeks before winter that can wait
  const fresh = freshHome(c).filter((a) => mayAsk(c, next, a));
  const reading = readFirst(c);
  // a plug that was seen wet as it should be answers the question already
  const plugSeen = c.known.wetFront?.at === c.known.waterReadings.at(-1)?.at;
  const odd = pace(c).find((o) => o.state === 'unmet' && !plugSeen);
  const fault = tubeFault(c);
  // while a fresh tube stands ready, what presses is her move into it
  if (underWay(c.move))
    return verdict({
      ...common,
      answer: fault
        ? fault.answer
        : daysLeft !== null && daysLeft <= 0
          ? 'it may be dry'
          : `${other(c)} stands ready`,
      says: [...(fault?.aid ?? range(c)), ` ${capital(other(c))} stands ready for her.`],
      asks: reading,
    });
  if (fault?.id === 'mould' && c.wintering)
    return verdict({
      ...common,
      answer: 'after winter',
      says: [...fault.aid, ' Do not move her in the cold. Offer a fresh tube when she wakes.'],
      notice: true,
      asks: reading,
    });
  if (fault)
    return verdict({
      ...common,
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
    });
  if (c.wintering) return verdict({ ...common, asks: fresh, ...inTheCold(c, daysLeft) });
  const { drinksElsewhereUntil: drinks } = c;
  const drinksOn = drinks !== null && daysBetween(c.now, drinks) > figure('freshHomeLateDays');
  if (daysLeft !== null && daysLeft <= figure('freshHomeLateDays') && drinks !== null && drinksOn)
    return verdict({
      ...common,
      answer: 'the tube joined to it does',
      says: [
        ...(odd ? [...odd.says, ' '] : []),
        ...range(c),
        ...phrase` She can drink in the tube joined to hers, at least until ${{ date: drinks }}. Have a fresh one ready all the same.`,
      ],
      pressure: 'soon',
      asks: [...fresh, ...reading],
    });
  const first = readSoon(c);
  if (first && daysLeft !== null && daysLeft <= figure('freshHomeLateDays'))
    return verdict({ ...common, ...first });
  if (next.is === 'nest' && daysLeft !== null && daysLeft <= figure('freshHomeEarlyDays'))
    return verdict({
      ...common,
      answer: 'until they have a nest',
      says: [
        ...(odd ? [...odd.says, ' '] : []),
        ...range(c),
        ' Open a nest for them rather than another tube.',
      ],
      pressure: 'soon',
      asks: reading,
    });
  if (daysLeft !== null && daysLeft <= figure('freshHomeLateDays'))
    return verdict({
      ...common,
      answer: daysLeft <= 0 ? 'it may be dry' : 'not for long',
      says: [
        ...(odd ? [...odd.says, ' '] : []),
        ...range(c),
        ...(reading.length > 0 ? [READ_FIRST] : []),
        ' Offer a fresh tube now, beside the old one, and leave her the time: the move itself may take weeks.',
      ],
      pressure: 'now',
      asks: [...fresh, ...reading],
    });
  if (daysLeft !== null && daysLeft <= figure('freshHomeEarlyDays'))
    return verdict({
      ...common,
      answer: 'for some weeks',
      says: [
        ...(odd ? [...odd.says, ' '] : []),
        ...range(c),
        ...(reading.length > 0 ? [READ_FIRST] : []),
        fresh.length > 0
          ? ' Have a fresh tube ready and offer it in these weeks.'
          : ' Winter is near: a fresh tube comes before the cold, or not until spring.',
      ],
      pressure: 'soon',
      asks: [...fresh, ...reading],
    });
  const asked = rise(c)[0];
  if (asked && asked.state === 'unknown')
    return verdict({
      ...common,
      answer: 'is it the same tube?',
      says: asked.says,
      pressure: 'free',
      notice: true,
      asks: fresh,
    });
  if (odd)
    return verdict({
      ...common,
      answer: 'look at the plug',
      says: odd.says,
      pressure: 'soon',
      asks: [...fresh, askNow(c, 'check-water', odd.says, figure('moveStepDays'))],
    });
  return verdict({
    ...common,
    answer: 'yes',
    says: [...range(c), ...offerBetween(fresh[0])],
    until: fresh[0]?.notBefore ?? null,
    asks: fresh,
  });
}

/** In the weeks before winter and in it only what can wait until she is awake is planned; beside a nest nothing is. */
function mayAsk({ winter }: InTube, next: NextHome, { notBefore }: Ask): boolean {
  if (next.is === 'fresh') return true;
  if (next.is !== 'stay') return false;
  return next.why === 'fine' || (winter !== null && msOf(notBefore) >= msOf(winter.wakeFrom));
}

/** What is asked where the lines tell little: the line itself, kindly. */
function readSoon(c: InTube): Said | null {
  if (!linesTellLittle(c)) return null;
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

/** In the cold nobody moves because of a reckoning: her line is read, and nothing more. What was read of late is believed. */
function inTheCold(c: InTube, daysLeft: number | null): Said {
  const read = c.known.waterReadings.at(-1) ?? null;
  const fresh = read !== null && daysBetween(read.at, c.now) <= figure('freshLineDays');
  if (fresh && read.mm <= figure('emptyLineMm')) {
    const says: Phrase = [
      ...phrase`Give her water now: her line was at ${{ mm: read.mm }} when you last read it. `,
      'Push wet cotton against the inner plug, or warm her in steps over a few days and offer a fresh tube.',
    ];
    return { answer: 'no water', says, pressure: 'now', asks: [askNow(c, 'fresh-home', says, 3)] };
  }
  if (daysLeft === null || daysLeft > figure('freshHomeLateDays') || fresh)
    return { answer: 'yes', says: range(c) };
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
type Said = Pick<Verdict, 'answer' | 'says'> & Partial<Verdict>;

/** What she is moving into. */
function other({ housing, move }: InTube): string {
  const to = move ? partOf(housing, move.to) : undefined;
  return to && to.part.kind !== 'tube' ? `a ${nounOf(to.part)}` : 'a fresh tube';
}

/** A fresh tube is begun weeks before the line may end. */
function freshHome(c: InTube): Ask[] {
  const dry = c.water.dryAt.p10;
  if (dry === null) return [];
  const [early, late] = [figure('freshHomeEarlyDays'), figure('freshHomeLateDays')];
  const says =
    msOf(dry) <= msOf(c.now)
      ? ['Offer a fresh tube: her water may be gone already.']
      : phrase`Offer a fresh tube: her water may be gone by ${{ date: dry }}.`;
  return [
    ask(
      c,
      'fresh-home',
      [addDays(dry, -early), addDays(dry, -(early + late) / 2), addDays(dry, -late)],
      says,
    ),
  ];
}

/** " Offer the fresh tube between 8 June and 29 June." */
const offerBetween = (fresh: Ask | undefined): Phrase =>
  fresh
    ? phrase` Offer the fresh tube between ${{ date: fresh.notBefore }} and ${{ date: fresh.notAfter }}.`
    : [];

const READ_FIRST = ' Read her water line first: it may tell that there is time.';

/** A line that nobody has read for weeks, and on which much hangs, is read: that costs her nothing. */
function readFirst(c: InTube): Ask[] {
  const { p10, p90 } = c.water.dryAt;
  const read = c.known.waterReadings.at(-1)?.at ?? c.tube.setUpAt;
  const unread = daysAwake(c, read, c.now) > figure('lineUnreadDays');
  const wide = p10 !== null && (p90 === null || daysBetween(p10, p90) > figure('freshHomeEarlyDays'));
  if (!unread || !wide || c.wintering || (p90 !== null && msOf(p90) <= msOf(c.now))) return [];
  return [
    askNow(
      c,
      'check-water',
      ['Read her water line through the glass, without opening, and log it.'],
      figure('readLineDays'),
    ),
  ];
}

function range(c: InTube): Phrase {
  const { p10, p90 } = c.water.dryAt;
  if (!p10) return ['Water for years at this warmth and humidity.'];
  const weeks = (at: Instant) => Math.floor(daysBetween(c.now, at) / 7);
  if (msOf(p10) <= msOf(c.now)) {
    if (p90 !== null && msOf(p90) <= msOf(c.now)) return ['Her water has probably run out.'];
    return p90 !== null && weeks(p90) <= NEAR_WEEKS
      ? phrase`Her water may already be gone. It will last until ${{ date: p90 }} at the latest.`
      : ['Her water may already be gone, or last for months: only her water line tells.'];
  }
  // a date far ahead says more than is known
  if (weeks(p10) < NEAR_WEEKS)
    return p90 !== null && weeks(p90) < NEAR_WEEKS
      ? phrase`Her water will run out between ${{ date: p10 }} and ${{ date: p90 }}.`
      : phrase`Her water will last at least until ${{ date: p10 }}.`;
  return p90 !== null && weeks(p90) <= FAR_WEEKS
    ? [`Her water will last another ${weeks(p10)} to ${weeks(p90)} weeks.`]
    : [`Her water will last at least another ${weeks(p10)} weeks.`];
}
/** Nearer than this many weeks a date is told, further than the other nothing is said of the end. */
const NEAR_WEEKS = 4;
const FAR_WEEKS = 104;

function supply(c: InTube, daysLeft: number | null): Criterion {
  const late = figure('freshHomeLateDays');
  const { readings } = c.water;
  return criterion(
    'supply',
    daysLeft === null || daysLeft > late ? 'met' : 'unmet',
    range(c),
    readings > 1
      ? `reckoned from how vapour leaves a tube, corrected by ${readings} readings of her water line`
      : 'reckoned from how vapour leaves a tube; the next water line read will correct it',
    { margin: daysLeft === null ? null : { value: daysLeft - late, unit: 'days' } },
  );
}

function plug(c: Case): Criterion[] {
  const front = c.known.wetFront;
  if (!front)
    return [
      criterion('plug', 'unknown', ['No look has noted how far the plug is wet.'], COMMON_PRACTICE, {
        settles: 'Note the wet front at the next look.',
      }),
    ];
  const fault = tubeFault(c);
  const bad = fault?.id === 'plug';
  const old = daysBetween(front.at, c.now) > figure('freshLineDays');
  const dry = livesInTube(c) ? c.water.dryAt.p10 : null;
  // what was right weeks ago says nothing beside a line that may have ended since
  if (!bad && old && dry !== null && daysBetween(c.now, dry) <= figure('freshHomeLateDays'))
    return [
      criterion(
        'plug',
        'unknown',
        phrase`The plug was in order on ${{ date: front.at }}: too long ago to say that she has water now.`,
        COMMON_PRACTICE,
        { evidence: [front.entryId], settles: 'Note how far the plug is wet at the next look.' },
      ),
    ];
  const fine: Phrase =
    front.value === 'right'
      ? ['The wet front stops short of the chamber, as it should.']
      : ['The wet front stands at the face of the plug: read it again at the next look.'];
  return [
    criterion(
      'plug',
      bad ? 'unmet' : 'met',
      bad && fault ? (underWay(c.move) ? fault.aid : fault.says) : fine,
      COMMON_PRACTICE,
      {
        evidence: [front.entryId],
      },
    ),
  ];
}

/** A line that falls far faster than vapour can leave leaks; one that stands still feeds no plug. */
function pace(c: InTube): Criterion[] {
  const { pace: read } = c.water;
  // in the cold next to nothing leaves, and an error of reading is many times that
  if (!read || c.wintering) return [];
  const leaks = read.low >= figure('leakTimes');
  const stands = read.high <= figure('standsTimes');
  const says: Phrase = leaks
    ? [
        `Her water falls at least ${Math.floor(read.low)} times as fast as it can leave as vapour: it may leak past the plug. Look at the plug and at the floor of her cell.`,
      ]
    : stands
      ? [
          'Her water line hardly falls: the plug may be pushed too tight, and let no water through. Look how far it is wet.',
        ]
      : ['Her water line falls about as it is reckoned to.'];
  return [
    criterion(
      'rate',
      leaks || stands ? 'unmet' : 'met',
      says,
      `reckoned from the last lines read; from which pace on it is told is ${OWN_PRIOR}`,
      { evidence: c.known.waterReadings.slice(-2).map((r) => r.entryId) },
    ),
  ];
}

/** A line cannot rise by itself. */
function rise({ known, tube }: InTube): Criterion[] {
  const [last, before] = [known.waterReadings.at(-1), known.waterReadings.at(-2)];
  const earlier = before ?? { mm: tube.waterLineMm, entryId: null };
  if (!last || last.mm - earlier.mm <= figure('lineRoseMm')) return [];
  return [
    criterion(
      'line-rose',
      'unknown',
      phrase`The water line rose from ${{ mm: earlier.mm }} to ${{ mm: last.mm }}. Is it another tube or a new filling, or is one reading wrong?`,
      'a line cannot rise by itself',
      {
        evidence: [earlier.entryId, last.entryId].filter((e) => e !== null),
        settles:
          'Put the wrong reading right, read the line again at the next look, or write down the fresh tube as a change of her home.',
      },
    ),
  ];
}
