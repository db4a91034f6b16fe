import type { Outlook, QueenLedger } from '../founding';
import type { LookingSchool } from './looking';
import { READING_ERROR_MM, type Reservoir } from '../tube';
import { addDays, DAY_MS, msOf, type Instant } from '../quantity';

/**
 * How much each disturbance costs against a look. That every look, feed and move spends from one budget is practice; the
 * weights are priors.
 */
export const DISTURBANCE_WEIGHTS = { intake: 1, look: 1, feed: 0.5, move: 1.5, knock: 1, health: 1 } as const;

/** The budget is counted over four weeks. Prior. */
const PERIOD_DAYS = 28;

export interface LookingBudget {
  /** Looks that the school allows in four weeks; null for hands off, which allows none before its date. */
  allowed: number | null;
  /** Spent in the last four weeks, in looks. */
  spent: number;
  /** allowed − spent; null for hands off. */
  left: number | null;
  /** When enough of it has been won back for one look; null when there is enough now. */
  nextFree: Instant | null;
  /** What a look now is expected to tell of the next stage, bits: 1 when it is as likely there as not. */
  bits: number;
  /** What reading the water line at that look is expected to tell of it, bits. */
  waterBits: number;
  /** Standard error of the water line as it is reckoned now, mm. */
  lineErrorMm: number;
  /** Chance that the look would find the next stage, 0..1; null when nothing more is awaited. */
  chance: number | null;
}

/** What her school of looking allows, what has been spent, and what a look now would teach against its cost. */
export function lookingBudget(
  known: QueenLedger,
  ahead: Outlook | null,
  school: LookingSchool,
  water: Pick<Reservoir, 'lineErrorMm'>,
  now: Instant,
): LookingBudget {
  const recent = known.disturbances
    .map((d) => ({ ...d, weight: DISTURBANCE_WEIGHTS[d.kind] }))
    .filter((d) => msOf(now) - msOf(d.at) < PERIOD_DAYS * DAY_MS);
  const spent = recent.reduce((sum, d) => sum + d.weight, 0);
  const allowed = school.everyDays === null ? null : PERIOD_DAYS / school.everyDays;
  const next = ahead?.next ?? null;
  const chance = next ? (ahead?.events[next].byNow ?? null) : null;
  return {
    allowed,
    spent,
    left: allowed === null ? null : allowed - spent,
    nextFree: allowed === null ? null : freeAgain(recent, spent, allowed),
    bits: chance === null ? 0 : entropyBits(chance),
    // a normal figure known to σ, read with error r: ½ log₂(1 + σ²/r²) (the Gaussian channel, Shannon 1948)
    waterBits: 0.5 * Math.log2(1 + (water.lineErrorMm / READING_ERROR_MM) ** 2),
    lineErrorMm: water.lineErrorMm,
    chance,
  };
}

/** The day on which so much has fallen out of the four weeks that one look fits again. */
function freeAgain(
  recent: { at: Instant; weight: number }[],
  spent: number,
  allowed: number,
): Instant | null {
  let over = spent + DISTURBANCE_WEIGHTS.look - allowed;
  if (over <= 1e-9) return null;
  for (const d of recent) {
    over -= d.weight;
    if (over <= 1e-9) return addDays(d.at, PERIOD_DAYS);
  }
  return null;
}

function entropyBits(p: number): number {
  if (p <= 0 || p >= 1) return 0;
  return -(p * Math.log2(p) + (1 - p) * Math.log2(1 - p));
}
