import { dayOf, daysBetween, latest, msOf, phrase, type Phrase } from '../../quantity';
import { northMonth, winterAround } from '../../season';
import { daysAwake, justWoken } from '../awake';
import { fedThroughout, type Case } from '../case';
import { aboveBest, heatOf } from '../heat';
import { figure } from '../practice';
import { criterion, OWN_PRIOR, verdict, type Criterion, type Rule } from '../verdict';
import { capital } from '../../words';
import { hungers, lastMealOf } from './food';
import { disturbingSpot } from './spot';
import { tubeFault } from './tube-fault';

export const SILENCE_CAUSES = [
  'early',
  'cool',
  'hot',
  'season',
  'disturbed',
  'hungry',
  'infertile',
  'water',
  'place',
] as const;
export type SilenceCause = (typeof SILENCE_CAUSES)[number];

export interface WeighedCause {
  cause: SilenceCause;
  /** 0..1, all causes together 1. */
  share: number;
  says: Phrase;
  evidence: string[];
  speaks: 'for' | 'against' | 'unknown';
}

/**
 * Why are no eggs there? Asked when looks found none after the usual time. What the outlook gives to "never" and to
 * "winters first" is taken as it is; the rest is shared among being early and what the log shows to hold her back.
 * @returns null while there is nothing to explain
 */
export function weighSilence(c: Case): WeighedCause[] | null {
  const { known, ahead, now } = c;
  if (!ahead || c.life !== 'founding' || known.appearances.eggs.interval.by !== null) return null;
  const intake = known.intake?.at ?? now;
  // that she had none when she was caught is no look; after lost brood the asking begins anew
  const since = latest(intake, known.broodLost.at(-1)?.interval.by) as string;
  const looked = known.appearances.eggs.absentAt.some((at) => msOf(at) > msOf(intake));
  const wait = known.broodLost.length > 0 ? figure('askAgainAfterLossDays') : figure('askAfterDays');
  if (!looked || daysBetween(since, now) < wait) return null;
  const never = ahead.neverLays;
  const winters = ahead.wintersFirst;
  const rest = Math.max(0, 1 - never - winters);
  const held = [early(c), cool(c), disturbed(c), hungry(c), water(c), place(c)];
  const sum = held.reduce((a, h) => a + h.share, 0);
  // many kinds sit still over winter however warm they stand
  const still = sitsStill(c) ? figure('causeSeason') : 0;
  const scale = rest / (sum + still);
  const causes = [
    ...held.map((h) => ({ ...h, share: h.share * scale })),
    season(c, winters, still * scale),
    infertile(never),
  ];
  return causes.sort((a, b) => b.share - a.share);
}

function early({ ahead }: Case): WeighedCause {
  const share = ahead?.stillWithout ?? 1;
  return {
    cause: 'early',
    share: Math.max(share, 0.05),
    says: phrase`${{ percent: 100 * share }} of queens like her would be without by now.`,
    evidence: [],
    speaks: share > figure('slowShare') ? 'for' : 'against',
  };
}

const sitsStill = ({ profile, phase }: Case): boolean =>
  profile.inTheCold.value === 'rests' && (phase === 'begin' || phase === 'winter');

/** Of queens that winter before they lay: of those caught in the summer flights only some do. */
const lateWords = (c: Case): string =>
  [7, 8].includes(northMonth(c.known.intake?.at ?? c.now, c.hemisphere))
    ? 'Some queens caught in summer winter first and lay in spring'
    : 'She was taken in late in the year, and many winter first and lay in spring';

function season(c: Case, winters: number, still: number): WeighedCause {
  const late = winters > figure('lateCatchShare');
  return {
    cause: 'season',
    share: winters + still,
    says: late
      ? [`${lateWords(c)}, however warm they stand.`]
      : still > 0
        ? ['In the cold months many kinds sit still until spring, even when they stand warm.']
        : ['Nothing says that the season holds her back.'],
    evidence: c.known.intake ? [c.known.intake.entryId] : [],
    speaks: late || still > 0 ? 'for' : 'against',
  };
}

function cool(c: Case): WeighedCause {
  const { tempC, wintering } = c;
  const { low } = c.profile.bestTempC.value;
  const tooHot = aboveBest(heatOf(c.profile, tempC, c.tempErrorC));
  const short = low - tempC;
  const bad = (short > 0 || tooHot) && !wintering;
  return {
    cause: tooHot ? 'hot' : 'cool',
    share: bad ? figure('causeCool') * (1 + Math.abs(short) / 3) : 0.01,
    says: wintering
      ? ['Cold on purpose: it is winter.']
      : tooHot
        ? phrase`At ${{ tempC }} she is warmer than is good for her: that stops laying.`
        : bad
          ? phrase`She stands at ${{ tempC }}; her kind's best begins at ${{ tempC: low }}.`
          : phrase`Warm enough, at ${{ tempC }}.`,
    evidence: [],
    speaks: bad ? 'for' : 'against',
  };
}

function disturbed({ peace }: Case): WeighedCause {
  const { restless: many, perWeek } = peace;
  return {
    cause: 'disturbed',
    share: many ? figure('causeDisturbed') * (1 + perWeek) : 0.03,
    says: many
      ? ['More than one disturbance a week: that makes queens stop laying.']
      : ['She has been left in peace.'],
    evidence: peace.evidence,
    speaks: many ? 'for' : 'against',
  };
}

function hungry(c: Case): WeighedCause {
  const { founder, eating } = c;
  const meal = lastMealOf(c);
  const may = hungers(c);
  return {
    cause: 'hungry',
    share: may ? figure('causeHungry') * founder.probabilities['semi-claustral'] : 0.005,
    says: may
      ? ['She has not eaten lately, and may have to.']
      : eating === 'no'
        ? ['She lives on her reserves.']
        : ['Fed lately, so hunger is unlikely.'],
    evidence: meal ? [meal.entryId] : [],
    speaks: may ? (fedThroughout(eating) ? 'for' : 'unknown') : 'against',
  };
}

function infertile(share: number): WeighedCause {
  return {
    cause: 'infertile',
    share,
    says: ['Perhaps never mated, or spent: it cannot be seen, only inferred as all else is ruled out.'],
    evidence: [],
    speaks: 'unknown',
  };
}

function water(c: Case): WeighedCause {
  const fault = tubeFault(c);
  const seen = c.known.wetFront ?? c.known.mould;
  return {
    cause: 'water',
    share: fault ? figure('causeWater') : seen ? 0.01 : 0.03,
    says: fault
      ? ['Her plug or her cell is not as it should be.']
      : seen
        ? ['Water and plug were in order when last seen.']
        : ['Nobody has noted her plug or mould.'],
    evidence: fault ? [fault.entryId] : seen ? [seen.entryId] : [],
    speaks: fault ? 'for' : seen ? 'against' : 'unknown',
  };
}

/** Light, shaking, moving air and swings of her place; a place of which nothing was said tells nothing. */
function place(c: Case): WeighedCause {
  const faults = disturbingSpot(c);
  const told = Object.keys(c.place.spot ?? {}).length > 0;
  return {
    cause: 'place',
    share: faults.length > 0 ? figure('causePlace') * faults.length : told ? 0.01 : 0.03,
    says:
      faults.length > 0
        ? faults.flatMap((f, i) => (i > 0 ? [' ', ...f.says] : f.says))
        : told
          ? ['Nothing is known to disturb her where she is kept.']
          : ['You haven’t described her place yet.'],
    evidence: [],
    speaks: faults.length > 0 ? 'for' : told ? 'against' : 'unknown',
  };
}

const SETTLES: Record<SilenceCause, string> = {
  place: 'Describe her place: how dark it is, whether it shakes, whether air moves.',
  early: 'Time alone: keep her dark, still and warm.',
  season: 'Spring: winter her when the cold months begin; eggs are expected from March on.',
  hot: 'Cool her in small steps.',
  cool: 'A few degrees more, in small steps, at the open end.',
  disturbed: 'Quiet: leave her until the next look is free.',
  hungry: 'A tiny piece of protein: taken or refused tells at once.',
  infertile: 'Time: keep her through the coming spring before you give her up.',
  water: 'Note the wet front and mould at the next look.',
};

const NAMES: Record<SilenceCause, string> = {
  place: 'her place',
  early: 'still early',
  season: 'the season',
  cool: 'too cool',
  hot: 'too hot',
  disturbed: 'too often disturbed',
  hungry: 'hungry',
  infertile: 'never mated',
  water: 'water or mould',
};

/** The weighed causes as an answer: never an alarm where waiting is right. What kills is said by the rules of food and water. */
export const silence: Rule = (c) => {
  const causes = weighSilence(c);
  if (!causes) return null;
  const intake = c.known.intake?.at ?? c.now;
  const days = daysBetween(intake, c.now);
  const mayBeNever = daysAwake(c, intake, c.now) >= figure('neverBeforeDays') && !justWoken(c, intake);
  const act = (causes.find((x) => x.cause !== 'infertile' || mayBeNever) ?? causes[0]) as WeighedCause;
  const said = causes.filter((x) => x.cause !== 'infertile' || mayBeNever);
  const long = days >= figure('askWhyDays');
  return verdict({
    id: 'silence',
    question: 'Why are there no eggs?',
    answer: answer(act.cause, long),
    says: sentence(c, act, long),
    until: act.cause === 'disturbed' ? c.peace.nextFree : null,
    notice: long && !c.wintering,
    criteria: said.map((x): Criterion =>
      criterion(
        x.cause,
        x.speaks === 'for' ? 'unmet' : x.speaks === 'against' ? 'met' : 'unknown',
        [`${capital(NAMES[x.cause])}: `, ...x.says],
        `how much each weighs is ${OWN_PRIOR}`,
        {
          evidence: x.evidence,
          margin: { value: x.share, unit: 'share' },
          ...(x.speaks === 'unknown' ? { settles: SETTLES[x.cause] } : {}),
        },
      ),
    ),
  });
};

function answer(cause: SilenceCause, long: boolean): string {
  if (cause === 'early') return long ? 'some take longer' : 'still early';
  return cause === 'infertile' ? 'perhaps never mated' : `perhaps ${NAMES[cause]}`;
}

/** The coming spring by its year: "spring 2027", and the month in which laying begins again. */
function springOf(c: Case): { spring: string; month: string } {
  const { wakeFrom } = winterAround(c.now, c.hemisphere, c.zone);
  const year = dayOf(wakeFrom, c.zone).slice(0, 4);
  return { spring: `spring ${year}`, month: `${c.hemisphere === 'south' ? 'September' : 'March'} ${year}` };
}

function sentence(c: Case, { cause }: WeighedCause, long: boolean): Phrase {
  switch (cause) {
    case 'early':
      return long
        ? [
            'No eggs after a month is slow, and it happens: six months has happened. Keep her dark, still and warm, and wait.',
          ]
        : ['One to two weeks without eggs is usual. Keep her dark, still and warm.'];
    case 'season':
      return [
        `${(c.ahead?.wintersFirst ?? 0) > figure('lateCatchShare') ? lateWords(c) : 'It is the time of year in which many sit still'}: no alarm. ${c.wintering || c.phase === 'winter' ? 'Look' : 'Winter her, and look'} for eggs again in ${springOf(c).month}.`,
      ];
    case 'cool':
      return phrase`Perhaps too cool: she stands at ${{ tempC: c.tempC }}. ${{ word: SETTLES.cool }}`;
    case 'hot':
      return phrase`Perhaps too hot: she stands at ${{ tempC: c.tempC }}. ${{ word: SETTLES.hot }}`;
    case 'disturbed':
      return c.peace.nextFree
        ? phrase`She has been looked at often, as all beginners do. What helps is quiet: no look before ${{ date: c.peace.nextFree }}.`
        : ['She has been disturbed often. What helps is quiet.'];
    case 'hungry':
      return ['Perhaps hungry: she may have to eat. Offer food before anything else.'];
    case 'infertile':
      return [
        `Perhaps she never mated; that cannot be seen. Keep her through ${springOf(c).spring} before you give her up.`,
      ];
    case 'place':
      return ['Change what disturbs her where she is kept. ', ...place(c).says];
    case 'water':
      return ['Perhaps her water: mend the plug, or offer a dry, fresh tube beside the old one.'];
  }
}
