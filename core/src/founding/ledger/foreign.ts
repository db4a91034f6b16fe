import { BROOD, type Brood } from '../../facts';
import { countRange, daysBetween, isSome, type CountRange, type Instant } from '../../quantity';
import type { EntryOf } from '../../log';
import { MILESTONES, type Milestone } from '../../species';
import type { QueenLedger } from './queen-ledger';
import type { FullCount } from './vanished';

/** Brood that was given to her, or that she gave: what it was, and the colony at the other end. */
export interface BroodMove {
  at: Instant;
  entryId: string;
  way: 'given' | 'received';
  otherId: string;
  counts: Partial<Record<Brood, number>>;
}

/**
 * Foreign brood can be in its stage no longer than this, each stage by itself: eggs hatch, larvae may rest over a winter,
 * pupae come out. Priors, on the long side.
 */
const LONGEST_DAYS: Record<Brood, number> = { eggs: 60, larvae: 400, pupae: 120 };

/** How many of a stage may be of foreign brood at a moment: what was given in it or before it, as long as it can take. */
export function mayBeForeign(moves: readonly BroodMove[], stage: Milestone, at: Instant): number {
  const upTo = MILESTONES.indexOf(stage);
  let most = 0;
  for (const { way, at: since, counts } of moves) {
    if (way !== 'received') continue;
    const days = daysBetween(since, at);
    if (days < 0) continue;
    BROOD.forEach((b, i) => {
      if (i > upTo) return;
      const longest =
        stage === 'workers'
          ? Infinity
          : BROOD.slice(i, upTo + 1).reduce((sum, s) => sum + LONGEST_DAYS[s], 0);
      if (days <= longest) most += counts[b] ?? 0;
    });
  }
  return most;
}

/**
 * Of what was counted, what is hers: at least the rest when all that may be foreign is; at most all of it. What is none is
 * none of hers either.
 */
export function ownCounts<C extends Partial<Record<Milestone, CountRange | undefined>>>(
  moves: readonly BroodMove[],
  counts: C,
  at: Instant,
): C {
  if (moves.length === 0) return counts;
  const own = { ...counts };
  for (const m of MILESTONES) {
    const c = counts[m];
    const foreign = c ? mayBeForeign(moves, m, at) : 0;
    if (c && foreign > 0 && isSome(c)) own[m] = { low: Math.max(0, c.low - foreign), high: c.high };
  }
  return own;
}

/** What was last counted is more by what came, and less by what went: nobody ate it. */
export function foldBrood(one: QueenLedger, entry: EntryOf<'brood'>): void {
  const { at, id, way, otherId, counts } = entry;
  one.broodMoves.push({ at, entryId: id, way, otherId, counts });
  for (const b of BROOD) {
    const n = counts[b] ?? 0;
    const had = one.counts[b];
    if (n === 0 || (way === 'given' && !had)) continue;
    // what nobody had counted is what came, and perhaps more
    const range = had ? moved(had.range, n, way) : countRange(n, null, b);
    one.counts[b] = { range, at, entryId: id };
  }
  // what came may be eaten before anybody looks, and is none of hers: only what went is reckoned with
  if (way === 'given' && one.lastFull) one.lastFull = lessGiven(one.lastFull, counts);
}

function moved({ low, high }: CountRange, n: number, way: BroodMove['way']): CountRange {
  if (way === 'received') return { low: low + n, high: high === null ? null : high + n };
  return { low: Math.max(0, low - n), high: high === null ? null : Math.max(0, high - n) };
}

function lessGiven(full: FullCount, counts: BroodMove['counts']): FullCount {
  const left = { ...full.counts };
  for (const b of BROOD) left[b] = moved(left[b], counts[b] ?? 0, 'given');
  return { ...full, counts: left };
}
