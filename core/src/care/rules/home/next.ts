import { underWay } from '../../../housing';
import { addDays, msOf } from '../../../quantity';
import { fedThroughout, type Case } from '../../case';
import { figure } from '../../practice';
import { waterEnds } from '../line';
import { coldSeason, fullTo } from './growth';
import { judgedNest } from './nest-methods';

/**
 * Where they live next: one answer for tube, space and nest, so that no two new homes are asked for at once.
 * Stay: nothing new now, and why. Moving: a new home is being moved into. Fresh: another of what they live in. Nest: a nest.
 */
export type NextHome =
  | { is: 'stay'; why: 'winter' | 'before-winter' | 'fine' }
  | { is: 'moving' }
  | { is: 'fresh' }
  | { is: 'nest'; why: 'many' | 'packed' | 'method' | 'instead-of-tube' };

/** Where they live next, and nothing else beside it. */
export function nextHome(c: Case): NextHome {
  if (underWay(c.move)) return { is: 'moving' };
  if (c.wintering) return pressed(c) ? { is: 'fresh' } : { is: 'stay', why: 'winter' };
  const size = c.workers?.range.low ?? 0;
  const outgrows = c.workers !== null && c.part.kind !== 'nest' && c.life !== 'orphans';
  if (outgrows && c.tube !== null && size >= figure('manyInTube')) return { is: 'nest', why: 'many' };
  if (pressed(c) || waterEnds(c))
    // so many are not brought into a tube again
    return outgrows && size >= figure('nestSmallBy')
      ? { is: 'nest', why: 'instead-of-tube' }
      : { is: 'fresh' };
  const packed = outgrows && fullTo(c, figure('tubePackedShare')).state === 'met';
  if (packed) return { is: 'nest', why: 'packed' };
  if (beforeWinter(c) || coldSeason(c)) return { is: 'stay', why: 'before-winter' };
  const asked = outgrows && (c.workers?.range.high ?? Infinity) >= figure('grownWorkers');
  if (asked && judgedNest(c).mine.state === 'met') return { is: 'nest', why: 'method' };
  return { is: 'stay', why: 'fine' };
}

/** What a new home is called: "nest", "fresh tube", "fresh home". */
export function newHome(c: Case): string {
  if (nextHome(c).is === 'nest') return 'nest';
  return c.tube ? 'fresh tube' : 'fresh home';
}

/** The deed by which she gets it. */
export const newHomeTask = (c: Case): 'nest' | 'fresh-home' =>
  nextHome(c).is === 'nest' ? 'nest' : 'fresh-home';

/** Something in her home harms her now, whatever the season. */
function pressed({ known, wintering }: Case): boolean {
  const kills = known.wetFront?.value === 'leaking' || known.troubles.some((t) => t.what === 'flooded');
  if (wintering) return kills;
  return kills || known.mould?.value === 'near-brood' || known.troubles.some((t) => t.what === 'black-water');
}

/** The weeks before winter, in which nobody is given a new home that can wait. */
const beforeWinter = ({ winter, now, profile }: Case): boolean =>
  winter !== null &&
  profile.inTheCold.value === 'rests' &&
  msOf(now) >= msOf(addDays(winter.begin, -figure('homeBeforeWinterDays'))) &&
  msOf(now) < msOf(winter.wakeFrom);

/** A space is given with the nest, or after the move: never as a second new thing; a queen that must eat has hers from the start. */
export const spaceWaits = (c: Case): 'nest' | 'move' | null => {
  const next = nextHome(c);
  if (next.is === 'nest') return 'nest';
  return (next.is === 'fresh' || next.is === 'moving') && !fedThroughout(c.eating) ? 'move' : null;
};
