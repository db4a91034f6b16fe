import type { FeedSpot } from '../../../facts';
import { partOf, reachedFrom, type PartNow } from '../../../housing';
import { daysBetween, msOf, type Instant } from '../../../quantity';
import { isWinteringTempC } from '../../../season';
import type { Case } from '../../case';
import { figure } from '../../practice';
import { lastMealOf } from './words';

/** A part that is given as more room. */
export const isRoom = ({ part, purpose }: PartNow): boolean =>
  purpose === 'room' || (purpose === 'move' && part.kind === 'outworld');

/**
 * Where she was last fed in a room beside her cell that her log never had; null when she never was. What she was fed in before she came
 * into her home of now, or while such a room was in her log, is no room of hers that is missing there.
 */
export function fedOutside({ known, housing, part }: Case): FeedSpot | null {
  const rooms = housing.parts.filter(isRoom);
  const since = (at: Instant, from: Instant) => msOf(at) >= msOf(from);
  const logged = (at: Instant) =>
    rooms.some(({ part: { setUpAt }, gone }) => since(at, setUpAt) && !(gone && since(at, gone.at)));
  const told = known.offers.filter(
    ({ spot, at }) =>
      (spot === 'foraging-space' || spot === 'outer-room') && since(at, part.setUpAt) && !logged(at),
  );
  return told.at(-1)?.spot ?? null;
}

/** A room of its own to eat in that her log knows: a wall in her tube, or a space that she can walk to. */
export const hasForagingRoom = ({ housing, tube }: Case): boolean =>
  tube?.divider !== undefined ||
  reachedFrom(housing, housing.home).some((id) => {
    const part = id === housing.home ? undefined : partOf(housing, id);
    return part !== undefined && isRoom(part);
  });

/** In the cold nobody eats. */
export const isResting = (c: Case): boolean =>
  c.wintering || (isWinteringTempC(c.tempC) && c.profile.inTheCold.value !== 'active');

/** Whether she may be hungry: she has to eat, or may have to, and has not for longer than is usual. */
export const hungers = (c: Case): boolean => {
  const meal = lastMealOf(c);
  const unfed = meal === null || daysBetween(meal.at, c.now) > figure('hungryAfterDays');
  return unfed && c.eating !== 'no' && !isResting(c);
};
