import { latest, msOf, phrase, type Instant } from '../../../quantity';
import { cannotFoundAlone, fedThroughout, type Case } from '../../case';
import { COMMON_PRACTICE, criterion, type Ask, type Rule, type Verdict } from '../../verdict';
import { fedSinceWorkers, colony, orphans } from './colony';
import { fedOutside, hasForagingRoom, isResting } from './eating';
import { onOffer } from './ends';
import { offerAndWatch, mustEat, firstFeed, whyFed } from './founding';
import { founderCriterion, PROTEIN_MISSING } from './reasons';
import { foodVerdict, CLAUSTRAL_SCHOOLS, waitAndSee } from './words';

export { fedOutside, hasForagingRoom, hungers, isResting, isRoom } from './eating';
export { founderCriterion, PROTEIN_MISSING } from './reasons';
export { lastMealOf, menuOf } from './words';

/** Does she need food? While some stands with her of which nothing is known yet, no more is offered. */
export const food: Rule = (c) => {
  const answer = needed(c);
  return answer && whileOffered(c, answer);
};

/** By her season, then by who eats there, then by what kind of founder she is held to be. */
const needed: Rule = (c) => {
  if (c.life === 'gone') return null;
  if (isResting(c)) return resting(c);
  if (c.life === 'orphans') return orphans(c);
  if (fedThroughout(c.eating) && c.life !== 'colony') return mustEat(c);
  // a grown colony of a species whose queens must eat forages for her, oftener than others
  if (cannotFoundAlone(c.eating)) return colony(c, c.eating === 'host-fed' ? 'Her host workers' : 'They');
  if (c.workers) return c.life === 'colony' || fedSinceWorkers(c).any ? colony(c, 'They') : firstFeed(c);
  if (c.eating === 'perhaps') return offerAndWatch(c);
  return foodVerdict(c, {
    answer: 'no',
    says: ['She lives on her reserves until the first workers come. Water only.'],
    school: 'Nothing until workers',
    criteria: [founderCriterion(c)],
    others: CLAUSTRAL_SCHOOLS,
  });
};

/** What stands with her is waited for; other food is still missing. */
function whileOffered(c: Case, answer: Verdict): Verdict {
  const offered = onOffer(c);
  const early = (a: Ask) => offered !== null && msOf(a.notBefore) < msOf(offered.end);
  if (!offered || answer.answer === PROTEIN_MISSING || answer.asks.length === 0) return answer;
  const until = (a: Ask): Ask => ({
    ...a,
    notBefore: offered.end,
    best: offered.end,
    notAfter: latest(offered.end, a.notAfter) as Instant,
  });
  const outOfReserves = c.eating === 'spent' || c.eating === 'alone';
  return {
    ...answer,
    answer: c.workers ? 'food is with them' : 'food is with her',
    // whoever has no reserves is said to have none, also while she is fed
    says: [...(outOfReserves ? [`${whyFed(c).says} `] : []), ...waitAndSee(offered)],
    pressure: 'rest',
    until: offered.end,
    asks: answer.asks.map((a) => (early(a) ? until(a) : a)),
  };
}

/** When the next feed may be given; null when none is planned. */
export const nextFeed = (c: Case): Instant | null =>
  food(c)?.asks.find((a) => a.task === 'feed')?.notBefore ?? null;

/** Whether the next feed has to open her cell: workers in the tube, and no other room that anybody has told of or fed in. */
export const feedOpensCell = (c: Case): boolean =>
  c.workers !== null && !fedThroughout(c.eating) && !hasForagingRoom(c) && fedOutside(c) === null;

function resting(c: Case): Verdict {
  const active = c.profile.inTheCold.value === 'active' && c.workers !== null;
  const winter = c.life === 'orphans' ? 'They winter' : 'She winters';
  return foodVerdict(c, {
    answer: c.wintering ? 'not in winter' : 'not in the cold',
    says: c.wintering
      ? [
          active
            ? `${winter}. Her kind stays active in the cold: a little sugar if workers are seen about, nothing else.`
            : `${winter}: no food until it is warm again. Water is enough.`,
        ]
      : ['In this cold nobody eats: warm her first, then feed.'],
    criteria: [
      criterion('cold', 'met', phrase`At ${{ tempC: c.tempC }} food would only spoil.`, COMMON_PRACTICE),
    ],
  });
}
