import { daysBetween, msOf } from '../../quantity';
import type { Case } from '../case';
import { figure } from '../practice';

type WetFront = NonNullable<Case['known']['wetFront']>;

/** The plug was seen wet as it should be within the week: then she is not thirsty now. */
export const plugSeenRight = ({ known: { wetFront }, now }: Case): WetFront | null =>
  wetFront !== null &&
  (wetFront.value === 'right' || wetFront.value === 'at-face') &&
  daysBetween(wetFront.at, now) <= figure('freshLineDays')
    ? wetFront
    : null;

/**
 * By reckoning alone her water may end, and something speaks against an alarm: her plug was seen right within the week, or nobody has
 * ever read her line and it is likelier that there is water. Then the line is read soon. A line that was read to fall like a leak is one.
 */
export function linesTellLittle(c: Case): 'plug-right' | 'never-read' | null {
  if (!c.water) return null;
  const { pace, dryAt } = c.water;
  if (pace && pace.low >= figure('leakTimes')) return null;
  if (plugSeenRight(c)) return 'plug-right';
  const never = c.known.waterReadings.length === 0;
  const likely = dryAt.p50 === null || msOf(dryAt.p50) > msOf(c.now);
  return never && likely ? 'never-read' : null;
}

/** Her water may end before a move into something else is over, and nothing she can reach gives her more. */
export function waterEnds(c: Case): boolean {
  const dry = c.water?.dryAt.p10 ?? null;
  const late = figure('freshHomeLateDays');
  if (dry === null || daysBetween(c.now, dry) > late || linesTellLittle(c)) return false;
  const { drinksElsewhereUntil: drinks } = c;
  return drinks === null || daysBetween(c.now, drinks) <= late;
}
