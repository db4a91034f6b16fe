import type { SpeciesProfile } from '../species';
import { daysBetween, msOf, phrase, type Instant, type Phrase } from '../quantity';
import { nothingDevelops, THERMOMETER_ERROR_C, type HotSpell } from '../warmth';
import { counted } from '../words';
import type { Case } from './case';
import { figure } from './practice';

/**
 * What a temperature is to her. Danger: brood and queen die. Close: less below that than a thermometer may hide. Still: nothing
 * develops.
 */
export type Heat = 'danger' | 'close' | 'hot' | 'best' | 'cool' | 'still';

/** From there on she and her brood are in danger: the practice for all, or where her kind's development breaks down. */
export function dangerC(profile: SpeciesProfile | null): number {
  const limits = profile ? Object.values(profile.stages).map((s) => s.upperC) : [];
  return Math.min(figure('dangerC'), ...limits);
}

/** What a thermometer may hide, °C: how well a place is known beside it makes that no more. */
export const hiddenC = (errorC: number = THERMOMETER_ERROR_C.unchecked): number =>
  Math.min(errorC, THERMOMETER_ERROR_C.unchecked);

/**
 * What this warmth is to a kind. One answer for her page, for a place, for a move and for "what if".
 * @param profile null when no kind is known: then only danger is judged
 * @param errorC standard error of the thermometer, °C; that of one which nobody checked when not given
 */
export function heatOf(profile: SpeciesProfile | null, tempC: number, errorC?: number): Heat {
  const limit = dangerC(profile);
  if (tempC >= limit) return 'danger';
  const close = tempC >= limit - hiddenC(errorC);
  if (!profile) return close ? 'close' : 'best';
  const { low, high } = profile.bestTempC.value;
  // a thermometer is off by about so much on either side: a hundredth of a degree above her best is her best
  const margin = figure('heatMarginC');
  if (tempC > high + margin) return close ? 'close' : 'hot';
  if (tempC >= low - margin) return 'best';
  return nothingDevelops(profile, tempC) ? 'still' : 'cool';
}

/** How warm she stands, and at its warmest reaches, whichever is graver. One answer for all rules. */
export function heatNow({ profile, tempC, place, tempErrorC, wintering }: HeatedCase): {
  heat: Heat;
  tempC: number;
  /** What her place reaches in the warmest hour, rather than what she stands at. */
  reaches: boolean;
} {
  const of = (c: number, reaches: boolean) => ({ heat: heatOf(profile, c, tempErrorC), tempC: c, reaches });
  const stands = of(tempC, false);
  const peakC = place.spot?.dayHighC;
  const peak = peakC === undefined || wintering ? null : of(peakC, true);
  const grave = (h: Heat) => (h === 'danger' ? 2 : h === 'close' ? 1 : 0);
  return peak && grave(peak.heat) > grave(stands.heat) ? peak : stands;
}
type HeatedCase = Pick<Case, 'profile' | 'tempC' | 'place' | 'tempErrorC' | 'wintering'>;

/** The lowest that she stands at, or that was read at her place of late, °C. */
export const coldestOf = ({ tempC, coldestC }: Pick<Case, 'tempC' | 'coldestC'>): number =>
  Math.min(tempC, coldestC ?? tempC);

/** What has to be mended before anything else is thought of; null when it is neither. */
export function dangerNow(c: Case): 'heat' | 'frost' | null {
  if (heatNow(c).heat === 'danger') return 'heat';
  return coldestOf(c) <= FREEZES_C ? 'frost' : null;
}
/** Water freezes. */
const FREEZES_C = 0;

/** Heat that was measured where she stood, is over, and after which nobody has looked; null when there was none of late. */
export function heatToCheck(c: Case): HotSpell | null {
  const last = c.hotSpells.at(-1);
  if (!last || c.wintering || dangerNow(c) !== null) return null;
  const looked = c.known.lastLook !== null && msOf(c.known.lastLook.at) >= msOf(last.until);
  return looked || daysBetween(last.until, c.now) > figure('heatAskedDays') ? null : last;
}

/** The last of such heat that fell between two moments; null when there was none. */
export const heatBetween = (
  { hotSpells }: Pick<Case, 'hotSpells'>,
  from: Instant,
  to: Instant,
): HotSpell | null =>
  hotSpells.filter((s) => msOf(s.until) >= msOf(from) && msOf(s.from) <= msOf(to)).at(-1) ?? null;

/** When, how hot and for how long it was. */
export const spellWords = ({ from, hours, maxC }: HotSpell): Phrase =>
  phrase`It was ${{ tempC: maxC }} on ${{ date: from }}, for about ${{ word: counted(Math.max(1, Math.round(hours)), 'hour') }}.`;

/** Above her best, by whatever. */
export const aboveBest = (heat: Heat): boolean => heat === 'hot' || heat === 'close' || heat === 'danger';
