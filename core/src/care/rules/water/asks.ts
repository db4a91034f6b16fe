import { addDays, daysBetween, msOf, phrase } from '../../../quantity';
import { daysAwake } from '../../awake';
import type { InTube } from '../../case';
import { figure } from '../../practice';
import { ask, askNow, type Ask } from '../../verdict';
import type { NextHome } from '../home';

/** A fresh tube is begun weeks before the line may end. */
export function freshHome(c: InTube): Ask[] {
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

/** A line that nobody has read for weeks, and on which much hangs, is read: that costs her nothing. */
export function readFirst(c: InTube): Ask[] {
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

/** In the weeks before winter and in it only what can wait until she is awake is planned; beside a nest nothing is. */
export function mayAsk({ winter }: InTube, next: NextHome, { notBefore }: Ask): boolean {
  if (next.is === 'fresh') return true;
  if (next.is !== 'stay') return false;
  return next.why === 'fine' || (winter !== null && msOf(notBefore) >= msOf(winter.wakeFrom));
}
