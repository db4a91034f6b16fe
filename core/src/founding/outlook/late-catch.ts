import { DAY_MS, msOf, type Instant } from '../../quantity';
import { northMonth, winterAround, type Hemisphere } from '../../season';
import type { SpeciesProfile } from '../../species';

/**
 * Share of queens that winter before they lay, by the month in which they were caught (north, 1 to 12); no other month
 * makes it likely. That late-caught queens do is common practice, the shares are priors. In July and August it is so of kinds that fly then.
 */
const WINTERS_FIRST: Partial<Record<number, number>> = { 9: 0.35, 10: 0.7, 11: 0.9, 12: 0.9, 1: 0.9, 2: 0.8 };
const SUMMER_WINTERS_FIRST: Partial<Record<number, number>> = { 7: 0.05, 8: 0.12 };
/** Kinds that fly in autumn winter before they lay as their normal case: from this month on. Prior. */
const AUTUMN_FLIGHT_FROM = 8;
const AUTUMN_FLIER = 0.85;

/**
 * A temperate queen caught late in the season often winters first and lays in spring, however warm she stands. Only the
 * day of her capture and her kind's months of flight make that likely; a queen caught in spring is never "caught late".
 * @returns the chance of that, and the day after intake on which laying then may begin
 */
export function lateCatch(
  profile: SpeciesProfile,
  intake: Instant,
  hemisphere: Hemisphere,
): { chance: number; springDay: number; autumnFlier: boolean } {
  const month = northMonth(intake, hemisphere);
  const flights = profile.flightMonths.value;
  const autumnFlier = flights.some((m) => m >= 9) && flights.every((m) => m >= AUTUMN_FLIGHT_FROM || m <= 2);
  const byMonth = WINTERS_FIRST[month] ?? (flights.includes(month) ? (SUMMER_WINTERS_FIRST[month] ?? 0) : 0);
  const asFlier = autumnFlier && month >= AUTUMN_FLIGHT_FROM ? AUTUMN_FLIER : 0;
  const rests = profile.winters.value && profile.inTheCold.value === 'rests';
  const { wakeFrom } = winterAround(intake, hemisphere);
  return {
    chance: rests ? Math.max(byMonth, asFlier) : 0,
    springDay: (msOf(wakeFrom) - msOf(intake)) / DAY_MS,
    autumnFlier,
  };
}
