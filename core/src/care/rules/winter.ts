import {
  addDays,
  daysBetween,
  EIGHT_OF_TEN,
  isSome,
  latest,
  msOf,
  phrase,
  type Instant,
  type Phrase,
} from '../../quantity';
import { northMonth, phaseOf, WINTER_TEMP_C, winterAround, winterRange, type Winter } from '../../season';
import { listed, MILESTONE_WORDS } from '../../words';
import { nounOf, underWay } from '../../housing';
import { planBegun, type Case } from '../case';
import { nextHome } from './home';
import { figure } from '../practice';
import { gradualSteps, stepsPhrase } from '../winter-steps';
import {
  ask,
  COMMON_PRACTICE,
  criterion,
  OWN_PRIOR,
  verdict,
  type Ask,
  type Criterion,
  type Rule,
} from '../verdict';

/** Her winter: from late summer on every answer knows its date. */
export const winter: Rule = (c) => {
  if (c.life === 'gone' || c.winter === null) return null;
  if (c.wintering) return inWinter(c, c.winter);
  const odd = planInWrongSeason(c);
  if (odd) return odd;
  // a plan for a later winter says nothing of this one
  if (c.plan && msOf(c.plan.until) > msOf(c.now) && msOf(c.plan.from) < msOf(c.winter.wakeBy))
    return planned(c, c.winter, c.plan);
  switch (c.phase) {
    case 'late-summer':
    case 'autumn':
    case 'begin':
      return ahead(c, c.winter);
    case 'winter':
    case 'spring':
      return keptWarm(c, c.winter);
    case 'growing':
      return c.profile.inTheCold.value === 'active' ? summerRest(c, c.winter) : null;
  }
};

/** What becomes of a kind that is active in the cold, in the heat of summer. */
function summerRest(c: Case, w: Winter): ReturnType<Rule> {
  if (!SUMMER_MONTHS.includes(northMonth(c.now, c.hemisphere))) return null;
  return verdict({
    ...common,
    question: 'When does she rest?',
    answer: 'in the heat of summer',
    says: phrase`Let her rest. Her species is active in the cool months and rests in the heat of summer; it is usual that little is laid or eaten now. She is active again from about ${{ date: w.prepareFrom }}.`,
    criteria: [
      criterion('summer-rest', 'met', ['Her species rests in the heat of summer.'], COMMON_PRACTICE),
    ],
  });
}
/** June to August, as it would be in the north. */
const SUMMER_MONTHS = [6, 7, 8];

/** A plan that puts her into the cold in spring or summer is asked about: nobody means that. */
function planInWrongSeason(c: Case): ReturnType<Rule> {
  const { plan } = c;
  if (!plan || msOf(plan.until) <= msOf(c.now)) return null;
  const phase = phaseOf(plan.from, winterAround(plan.from, c.hemisphere, c.zone));
  if (phase !== 'growing' && phase !== 'spring') return null;
  return verdict({
    ...common,
    answer: 'is the date right?',
    says: phrase`Check the plan for her winter. It begins on ${{ date: plan.from }}, when her species is active; winters usually begin about ${{ date: winterAround(plan.from, c.hemisphere, c.zone).begin }}.`,
    pressure: 'free',
    notice: true,
    criteria: [
      criterion(
        'plan',
        'unknown',
        phrase`You planned her winter from ${{ date: plan.from }} to ${{ date: plan.until }}.`,
        'your plan',
        {
          evidence: [plan.entryId],
          settles: 'Correct the plan, or call it off.',
        },
      ),
    ],
  });
}

/** How she is cooled, as deep as suits her: of whom that is not known, never a fridge and never a must. */
function coolingWords({ profile }: Case): Phrase {
  const { low, high } = winterRange(profile.rest.value);
  switch (profile.rest.value) {
    case 'cold':
      return [
        ...phrase`Cool her over a week or two to ${{ tempC: low }} to ${{ tempC: high }}, a few degrees at a time.`,
        FRIDGE,
      ];
    case 'cool':
      return phrase`Move her to a cool place over a week or two: ${{ tempC: low }} to ${{ tempC: high }}, or an unheated room. Her species is kept milder than northern ones; no fridge.`;
    default:
      return phrase`It is not known how deep a winter suits her. An unheated room of about ${{ tempC: low }} to ${{ tempC: high }} is enough; do not use a fridge.`;
  }
}
const FRIDGE = ' If you use a fridge that holds food, put her in a closed container.';

const common = { id: 'winter', question: 'When does she winter?' } as const;

/** She founds without eating, also into her winter. */
const unfed = (c: Case): boolean => c.eating === 'no' && c.workers === null;

/** Still warm: how long yet, and what to do until then. */
function ahead(c: Case, w: Winter): ReturnType<Rule> {
  if (c.profile.inTheCold.value === 'active') return activeInTheCold(c, w);
  const { now } = c;
  const late = msOf(now) >= msOf(w.beginBy);
  const due = msOf(now) >= msOf(w.beginFrom);
  const weeks = Math.max(1, Math.round(daysBetween(now, w.begin) / 7));
  const must = c.profile.rest.value !== 'unknown';
  const says: Phrase = due
    ? [
        late ? 'It is past the usual time to winter her. ' : 'It is time to winter her. ',
        ...coolingWords(c),
        ...broodWords(c),
        unfed(c)
          ? ' No food before it: she lives on her reserves. Water for the whole winter.'
          : ' The last protein before, then sugar only, then none; water for the whole winter.',
      ]
    : [
        ...phrase`Her winter begins about ${{ date: w.begin }}, in ${{ word: weeks === 1 ? 'a week' : `${weeks} weeks` }}.`,
        ...(c.phase === 'autumn' && !unfed(c)
          ? [' Last good feeds now: protein first, sugar to the end.']
          : []),
        ...broodWords(c),
      ];
  const fresh = waterBefore(c, w);
  const begin = ask(
    c,
    'winter',
    [w.beginFrom, w.begin, w.beginBy],
    ['Begin her winter: cool her in steps.'],
    { obligatory: must },
  );
  return verdict({
    ...common,
    answer: due ? 'now' : `in ${weeks === 1 ? 'a week' : `${weeks} weeks`}`,
    says: fresh.length > 0 ? [...says, ' Her water may not last it: a fresh tube before the cold.'] : says,
    pressure: (due && must) || (fresh.length > 0 && c.phase === 'autumn') ? 'soon' : due ? 'free' : 'rest',
    until: due ? null : w.beginFrom,
    notice: c.phase === 'autumn' || due,
    criteria: [calendar(c, w), ...broodCriterion(c), waterCriterion(c, w)],
    asks: [begin, ...fresh],
  });
}

/** Her winter is planned and not begun: its date, the steps into the cold, and what to do until then. */
function planned(c: Case, w: Winter, plan: NonNullable<Case['plan']>): ReturnType<Rule> {
  const { now } = c;
  const due = msOf(now) >= msOf(plan.from);
  const late = addDays(plan.from, figure('winterPlanSlackDays'));
  const unfit = unfitPlace(c);
  const range = winterRange(c.profile.rest.value);
  const middleC = (range.low + range.high) / 2;
  const toC = unfit.length > 0 ? middleC : (c.planC?.coldC ?? middleC);
  const steps = gradualSteps(c.tempC, toC, due ? now : plan.from);
  const says: Phrase = [
    ...(due
      ? ['Her winter was planned to begin by now.']
      : phrase`Her winter is planned from ${{ date: plan.from }} to ${{ date: plan.until }}.`),
    ...unfit,
    ...(steps.length > 1 ? [' Cool her in steps: ', ...stepsPhrase(steps), '.'] : []),
    ...broodWords(c),
    unfed(c)
      ? ' No food before it: she lives on her reserves. Water for the whole winter.'
      : ' The last protein before, then sugar only, then none; water for the whole winter.',
    ...(c.profile.rest.value === 'cold' ? [FRIDGE] : []),
    ' Log the move when you carry her there.',
  ];
  const fresh = waterBefore(c, w);
  const begin = ask(
    c,
    'winter',
    [plan.from, plan.from, late],
    ['Begin her winter as planned: cool her in steps.'],
  );
  return verdict({
    ...common,
    answer: due ? 'now, as planned' : 'as planned',
    says: fresh.length > 0 ? [...says, ' Her water may not last it: a fresh tube before the cold.'] : says,
    pressure: due ? 'soon' : 'rest',
    until: due ? null : plan.from,
    criteria: [
      criterion(
        'plan',
        due ? 'met' : 'unmet',
        phrase`You planned her winter from ${{ date: plan.from }} to ${{ date: plan.until }}.`,
        'your plan',
        { evidence: [plan.entryId], margin: { value: daysBetween(plan.from, now), unit: 'days' } },
      ),
      ...broodCriterion(c),
      waterCriterion(c, w),
    ],
    asks: [begin, ...fresh],
  });
}

/** What speaks against the place of her plan: a forecast from what was measured or told of it, which the season may still prove wrong. */
function unfitPlace({ planC, profile }: Case): Phrase {
  if (!planC) return [];
  const { coldC } = planC;
  const { low, high } = winterRange(profile.rest.value);
  const warmest = Math.max(high, WINTER_TEMP_C.edge);
  const usual = phrase` ${{ tempC: low }} to ${{ tempC: high }} is right.`;
  const then = phrase` By what was measured or told of it, the place planned for it is then at about ${{ tempC: coldC }}`;
  if (coldC > warmest)
    return [
      ...then,
      ', too warm to rest in: read it before she is carried there, or choose another.',
      ...usual,
    ];
  if (coldC > figure('nearFrostC')) return [];
  return [...then, ', too near frost: her water may freeze and burst the glass. Choose another.', ...usual];
}

/** Standing in the cold: water about monthly, and a day on which she is woken. */
function inWinter(c: Case, w: Winter): ReturnType<Rule> {
  const { now } = c;
  const ofPlace = c.place.winter && msOf(c.place.winter.until) > msOf(now) ? c.place.winter.until : null;
  const plan = planBegun(c.plan, c.place, now) ? c.plan : null;
  const planned = plan?.until ?? ofPlace;
  const wake = planned ?? w.wake;
  const [from, by] = planned ? [planned, addDays(planned, figure('wakeSlackDays'))] : [w.wakeFrom, w.wakeBy];
  const time = msOf(now) >= msOf(from);
  const overdue = msOf(now) >= msOf(by);
  const warmC = (c.profile.bestTempC.value.low + c.profile.bestTempC.value.high) / 2;
  const back = plan ? gradualSteps(c.tempC, c.planC?.warmC ?? warmC, latest(plan.until, now) as Instant) : [];
  const wakeSays: Phrase = [
    ...(back.length > 1 ? ['Warm her in steps: ', ...stepsPhrase(back), '. '] : []),
    `Wake ${c.life === 'orphans' ? 'them' : 'her'} gradually, a few degrees a day over a week or two; water first, and the first feed once ${c.life === 'orphans' ? 'they move' : 'she moves'} about in the warmth.`,
  ];
  const check = waterCheck(c);
  return verdict({
    ...common,
    question: 'Is her winter going well?',
    answer: time
      ? `time to wake ${c.life === 'orphans' ? 'them' : 'her'}`
      : c.life === 'orphans'
        ? 'they winter'
        : 'she winters',
    says: time
      ? wakeSays
      : phrase`${{ word: c.life === 'orphans' ? 'They winter' : 'She winters' }}: no food, no looks, no more warmth. Check the water from ${{ date: check.notBefore }} on, and about monthly; wake ${{ word: c.life === 'orphans' ? 'them' : 'her' }} about ${{ date: wake }}.`,
    pressure: overdue ? 'now' : time || msOf(check.notBefore) <= msOf(now) ? 'soon' : 'rest',
    until: time ? null : from,
    criteria: [
      criterion(
        'waking',
        time ? 'unmet' : 'met',
        planned
          ? phrase`You planned her winter's end for ${{ date: planned }}.`
          : phrase`No end is set; about ${{ date: w.wake }} is usual, and is reckoned with.`,
        COMMON_PRACTICE,
        { margin: { value: daysBetween(now, from), unit: 'days' } },
      ),
      waterCriterion(c, w),
    ],
    asks: [ask(c, 'warm', [from, wake, by], wakeSays), check],
  });
}

/** Too late to begin, or waking time though she never was in the cold. */
function keptWarm(c: Case, w: Winter): ReturnType<Rule> {
  if (c.phase === 'spring') return null;
  return verdict({
    ...common,
    answer: 'not this time',
    says: phrase`It is late to begin a winter now. Kept warm, her kind often sits still until spring all the same, about ${{ date: w.wakeFrom }}: no alarm, and no more warmth.`,
    criteria: [calendar(c, w)],
  });
}

function activeInTheCold(c: Case, w: Winter): ReturnType<Rule> {
  return verdict({
    ...common,
    answer: 'cool, not at rest',
    says: phrase`Her kind is active in the cold and rests in the heat: keep her cool from about ${{ date: w.begin }} on, and offer a little as long as she is about.`,
    criteria: [calendar(c, w)],
  });
}

const calendar = (c: Case, w: Winter): Criterion =>
  criterion(
    'calendar',
    msOf(c.now) >= msOf(w.beginFrom) ? 'met' : 'unmet',
    phrase`Cooling begins about ${{ date: w.begin }}; laying again from about ${{ date: w.wakeFrom }}.`,
    COMMON_PRACTICE,
    { margin: { value: daysBetween(w.beginFrom, c.now), unit: 'days' } },
  );

/** What becomes of larvae in the cold, by how her kind winters. */
const LARVAE_WINTER = {
  larvae: ' Larvae of her kind winter as they are.',
  adults: ' Her kind winters without brood: larvae that are not grown by then are mostly eaten.',
  unknown: ' Larvae of many kinds winter as they are.',
} as const;

const BROOD = ['eggs', 'larvae', 'pupae'] as const;
const there = (c: Case) => BROOD.filter((m) => c.known.counts[m] && isSome(c.known.counts[m].range));

function broodWords(c: Case): Phrase {
  const brood = there(c);
  if (brood.length === 0) return [];
  const as = c.profile.wintersAs.value;
  const unfinished = brood
    .filter((m) => m !== 'larvae' || as === 'adults')
    .map((m) => MILESTONE_WORDS[m].many);
  const larvae = brood.includes('larvae') ? LARVAE_WINTER[as] : '';
  return [
    unfinished.length > 0
      ? `${larvae} ${listed(unfinished).replace(/^./, (x) => x.toUpperCase())} are better finished first, if that takes weeks, not months.`
      : larvae,
  ];
}

function broodCriterion(c: Case): Criterion[] {
  const brood = there(c);
  if (brood.length === 0) return [];
  return [
    criterion(
      'brood',
      brood.every((m) => m === 'larvae') && c.profile.wintersAs.value !== 'adults' ? 'met' : 'unmet',
      [`She has ${listed(brood.map((m) => MILESTONE_WORDS[m].many))}.`, ...broodWords(c)],
      COMMON_PRACTICE,
      { evidence: brood.flatMap((m) => c.known.counts[m]?.entryId ?? []) },
    ),
  ];
}

/** When her water would be gone, given that the cold saves water. */
function lastsInTheCold(c: Case, w: Winter): boolean {
  const dry = c.water?.dryAt.p10 ?? null;
  if (dry === null) return true;
  const left = daysBetween(c.now, dry) * (c.wintering ? 1 : figure('coldSavesWater'));
  return left >= daysBetween(c.now, w.wakeBy);
}

function waterCriterion(c: Case, w: Winter): Criterion {
  const lasts = lastsInTheCold(c, w);
  return criterion(
    'water',
    lasts ? 'met' : 'unmet',
    c.tube === null
      ? [`Her ${nounOf(c.part)} is watered by hand in winter too, less often.`]
      : lasts
        ? ['Her water lasts the winter, as far as it can be reckoned.']
        : ['Her water may not last the winter: a fresh tube before the cold.'],
    `reckoned; that the cold saves water by so much is ${OWN_PRIOR}`,
  );
}

/** A fresh tube before the cold, since a move in the cold fails. */
function waterBefore(c: Case, w: Winter): Ask[] {
  if (lastsInTheCold(c, w) || underWay(c.move) || nextHome(c).is === 'nest') return [];
  return [
    ask(
      c,
      'fresh-home',
      [w.prepareFrom, w.prepareFrom, w.beginBy],
      ['A fresh tube before her winter: her water may not last it.'],
    ),
  ];
}

/** About monthly; sooner where by reckoning she may be dry sooner. What is read is held against where the line should stand. */
function waterCheck(c: Case): Ask {
  const { known, now, water } = c;
  const cold = latest(known.moves.at(-1)?.at, known.intake?.at);
  const last = latest(known.lastLook?.at, known.waterReadings.at(-1)?.at, cold) ?? now;
  const dry = water?.dryAt.p10 ?? null;
  const halfway = dry === null ? Infinity : daysBetween(last, dry) / 2;
  const days = Math.min(figure('winterCheckDays'), Math.max(figure('winterCheckSoonestDays'), halfway));
  const from = addDays(last, days);
  const off = water ? EIGHT_OF_TEN * water.lineErrorMm : 0;
  return ask(
    c,
    'check-water',
    [from, from, addDays(from, Math.min(days, figure('winterCheckSlackDays')))],
    [
      'Check her water, and nothing else.',
      ...(water && water.lineMm > off
        ? phrase` By reckoning her line stands between ${{ mm: water.lineMm - off }} and ${{ mm: water.lineMm + off }} today: lower, it leaks or dries.`
        : []),
    ],
  );
}
