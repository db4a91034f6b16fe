import { daysBetween, msOf, phrase, type Instant, type Phrase } from '../../../quantity';
import { OPENING } from '../../../species';
import type { Case, InTube } from '../../case';
import type { Ask } from '../../verdict';

/** How long her water lasts. */
export function range(c: InTube): Phrase {
  const { p10, p90 } = c.water.dryAt;
  if (!p10) return ['Water for years at this warmth and humidity.'];
  const weeks = (at: Instant) => Math.floor(daysBetween(c.now, at) / 7);
  if (msOf(p10) <= msOf(c.now)) {
    if (p90 !== null && msOf(p90) <= msOf(c.now)) return ['Her water has probably run out.'];
    return p90 !== null && weeks(p90) <= NEAR_WEEKS
      ? phrase`Her water may already be gone. It will last until ${{ date: p90 }} at the latest.`
      : ['Her water may already be gone, or last for months: only her water line tells.'];
  }
  // a date far ahead says more than is known
  if (weeks(p10) < NEAR_WEEKS)
    return p90 !== null && weeks(p90) < NEAR_WEEKS
      ? phrase`Her water will run out between ${{ date: p10 }} and ${{ date: p90 }}.`
      : phrase`Her water will last at least until ${{ date: p10 }}.`;
  return p90 !== null && weeks(p90) <= FAR_WEEKS
    ? [`Her water will last another ${weeks(p10)} to ${weeks(p90)} weeks.`]
    : [`Her water will last at least another ${weeks(p10)} weeks.`];
}
/** Nearer than this many weeks a date is told, further than the other nothing is said of the end. */
const NEAR_WEEKS = 4;
const FAR_WEEKS = 104;

/** " Offer the fresh tube between 8 June and 29 June." */
export const offerBetween = (fresh: Ask | undefined): Phrase =>
  fresh
    ? phrase` Offer the fresh tube between ${{ date: fresh.notBefore }} and ${{ date: fresh.notAfter }}.`
    : [];

/** What has to be thought of where a deed opens her tube. */
export function whileOpen({ profile }: Case): string {
  const temper = OPENING[profile.temper.value];
  return ` This opens her tube: do it in one go, without crushing anyone${temper ? '' : ', with the plug in your hand'}. Protect your eyes and skin where her species stings or sprays.${temper ? ` ${temper}` : ''}`;
}
