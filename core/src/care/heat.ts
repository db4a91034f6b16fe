import type { SpeciesProfile } from '../species';
import { nothingDevelops } from '../warmth';
import { figure } from './practice';

/** What a temperature is to her. Danger: brood and queen die. Still: nothing develops. */
export type Heat = 'danger' | 'hot' | 'best' | 'cool' | 'still';

/** From there on she and her brood are in danger: the practice for all, or where her kind's development breaks down. */
export function dangerC(profile: SpeciesProfile | null): number {
  const limits = profile ? Object.values(profile.stages).map((s) => s.upperC) : [];
  return Math.min(figure('dangerC'), ...limits);
}

/**
 * What this warmth is to a kind. One answer for her page, for a place, for a move and for "what if".
 * @param profile null when no kind is known: then only danger is judged
 */
export function heatOf(profile: SpeciesProfile | null, tempC: number): Heat {
  if (tempC >= dangerC(profile)) return 'danger';
  if (!profile) return 'best';
  const { low, high } = profile.bestTempC.value;
  // a thermometer is off by about so much on either side: a hundredth of a degree above her best is her best
  const margin = figure('heatMarginC');
  if (tempC > high + margin) return 'hot';
  if (tempC >= low - margin) return 'best';
  return nothingDevelops(profile, tempC) ? 'still' : 'cool';
}
