import { DAY_MS, msOf, type Instant } from '../quantity';
import type { SpeciesProfile } from '../species';

export type Hemisphere = 'north' | 'south';

/** Practice: in the north laying resumes about March; half a year later in the south. */
const SPRING_MONTH = { north: 2, south: 8 } as const;
/** Prior: share of queens caught that late which winter before they lay, by whole months after midsummer's end. */
const WINTERS_FIRST = [0.15, 0.45, 0.7, 0.85, 0.85];

/**
 * A temperate queen caught late in the season often winters first and lays in spring, however warm she stands.
 * @returns the chance of that, and the day after intake on which laying then may begin
 */
export function lateCatch(
  profile: SpeciesProfile,
  intake: Instant,
  hemisphere: Hemisphere,
): { chance: number; springDay: number } {
  const caught = new Date(msOf(intake));
  const spring = SPRING_MONTH[hemisphere];
  // months since the beginning of August (north) or February (south)
  const monthsLate = (caught.getUTCMonth() - (spring + 5) + 12) % 12;
  const chance = profile.winters.value ? (WINTERS_FIRST[monthsLate] ?? 0) : 0;
  const year = caught.getUTCMonth() >= spring ? caught.getUTCFullYear() + 1 : caught.getUTCFullYear();
  return { chance, springDay: (Date.UTC(year, spring, 1) - msOf(intake)) / DAY_MS };
}
