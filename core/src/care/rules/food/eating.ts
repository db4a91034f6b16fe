import { lastMeal } from '../../../founding';
import { daysBetween } from '../../../quantity';
import { isWinteringTempC } from '../../../season';
import type { Case } from '../../case';
import { figure } from '../../practice';

/** Food was put into a room of its own: so there is one. */
export const hasForagingRoom = ({ known }: Case): boolean =>
  known.offers.some((o) => o.spot === 'foraging-space' || o.spot === 'outer-room');

/** In the cold nobody eats. */
export const isResting = (c: Case): boolean =>
  c.wintering || (isWinteringTempC(c.tempC) && c.profile.inTheCold.value !== 'active');

/** Whether she may be hungry: she has to eat, or may have to, and has not for longer than is usual. */
export const hungers = (c: Case): boolean => {
  const meal = lastMeal(c.known.offers);
  const unfed = meal === null || daysBetween(meal.at, c.now) > figure('hungryAfterDays');
  return unfed && c.eating !== 'no' && !isResting(c);
};
