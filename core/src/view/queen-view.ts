import {
  temperatureAt,
  emptyLedger,
  ledger,
  outlook,
  type Hemisphere,
  type Outlook,
  type QueenLedger,
} from '../founding';
import { counsel, placeTemperature, type Counsel } from '../care';
import type { Entry, LookingSchoolId, Place, Queen, TubeHome } from '../log';
import { InputError, instantOf, msOf, type Instant } from '../quantity';
import { speciesProfile, type SpeciesProfile } from '../species';

/** All facts about one queen. */
export interface QueenFacts {
  queen: Queen;
  tube: TubeHome;
  place: Place;
  entries: Entry[];
}

/** What the keeper has decided for all queens. */
export interface KeeperSettings {
  lookingSchool: LookingSchoolId;
  hemisphere: Hemisphere;
}

export const DEFAULT_SETTINGS: KeeperSettings = { lookingSchool: 'fortnightly', hemisphere: 'north' };

/** Everything derived about one queen: facts → ledger → outlook → counsel. */
export interface QueenView {
  profileId: string;
  /** How warm she stands now, °C. */
  tempC: number;
  ledger: QueenLedger;
  outlook: Outlook | null;
  counsel: Counsel | null;
  /** Why the outlook or the counsel cannot be given: a sentence with a way out. */
  trouble: { field: string; message: string } | null;
}

export interface ViewOptions {
  draws?: number;
  profileOf?: (id: string) => SpeciesProfile;
}

/**
 * Derives one queen's view. Faults in her log never break it: what cannot be computed is null, and `trouble` says why.
 * The same facts, settings and moment give the same view.
 */
export function queenView(
  { queen, tube, place, entries }: QueenFacts,
  settings: KeeperSettings,
  now: Instant,
  { draws = 4000, profileOf = speciesProfile }: ViewOptions = {},
): QueenView {
  const tempC = temperatureAt(placeTemperature(place), now);
  let known = emptyLedger(queen.id);
  let profile = profileOf('unknown-temperate');
  let ahead: Outlook | null = null;
  try {
    known = ledger(entries, now)[queen.id] ?? known;
    profile = profileOf(known.species?.profileId ?? 'unknown-temperate');
    ahead = outlook(profile, known, placeTemperature(place), now, {
      draws,
      seed: seedOf(queen.id),
      hemisphere: settings.hemisphere,
    });
    const advice = counsel({
      profile,
      ledger: known,
      outlook: ahead,
      tube,
      place,
      lookingSchool: queen.lookingSchool ?? settings.lookingSchool,
      now,
    });
    return { profileId: profile.id, tempC, ledger: known, outlook: ahead, counsel: advice, trouble: null };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    const trouble = { field: error.field, message: error.message };
    return { profileId: profile.id, tempC, ledger: known, outlook: ahead, counsel: null, trouble };
  }
}

/** A queen's own seed, so that her outlook does not flicker between two answers (FNV-1a of her id). */
function seedOf(id: string): number {
  let hash = 0x811c9dc5;
  for (let i = 0; i < id.length; i++) hash = Math.imul(hash ^ id.charCodeAt(i), 0x01000193);
  return hash & 0x7fffffff;
}

const HOLDS_MS = 30 * 60_000;

/** A view may be shown again until something in it changes by itself, at the most for half an hour. */
export function viewHoldsUntil(view: QueenView, now: Instant): Instant {
  const turns = [view.counsel?.restUntil, ...(view.counsel?.verdicts.map((v) => v.until) ?? [])];
  const ahead = turns
    .filter((t) => t != null)
    .map((t) => msOf(t))
    .filter((ms) => ms > msOf(now));
  return instantOf(Math.min(msOf(now) + HOLDS_MS, ...ahead));
}
