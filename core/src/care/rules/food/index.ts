import { phrase, type Instant } from '../../../quantity';
import { cannotFoundAlone, fedThroughout, type Case } from '../../case';
import { COMMON_PRACTICE, criterion, type Rule, type Verdict } from '../../verdict';
import { fedSinceWorkers, colony, orphans } from './colony';
import { hasForagingRoom, isResting } from './eating';
import { offerAndWatch, mustEat, firstFeed } from './founding';
import { founderCriterion } from './reasons';
import { foodVerdict, CLAUSTRAL_SCHOOLS } from './words';

export { hasForagingRoom, hungers, isResting, isRoom } from './eating';
export { founderCriterion } from './reasons';
export { lastMealOf } from './words';

/** Does she need food? By her season, then by who eats there, then by what kind of founder she is held to be. */
export const food: Rule = (c) => {
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

/** When the next feed may be given; null when none is planned. */
export const nextFeed = (c: Case): Instant | null =>
  food(c)?.asks.find((a) => a.task === 'feed')?.notBefore ?? null;

/** Whether the next feed has to open her cell: workers in the tube, and no other room that anybody has told of. */
export const feedOpensCell = (c: Case): boolean =>
  c.workers !== null && !fedThroughout(c.eating) && !hasForagingRoom(c);

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
