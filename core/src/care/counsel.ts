import { msOf, phrase, type Instant, type Phrase } from '../quantity';
import type { LookingSchoolId, Place, TubeHome } from '../log';
import {
  founderBelief,
  temperatureAt,
  type FounderBelief,
  type Outlook,
  type QueenLedger,
  type Temperature,
} from '../founding';
import type { SpeciesProfile } from '../species';
import { reservoirBand, type Reservoir } from '../tube';
import { needsFood } from './feeding';
import { isHealthy } from './health';
import { isLate } from './lateness';
import { lookingBudget, type LookingBudget } from './budget';
import { lookingSchool, mayLook } from './looking';
import { weighSilence, whySilent } from './silence';
import { PRESSURES, type Pressure, type Verdict } from './verdict';
import { reasonToLook, tubeHolds } from './watering';

export interface CounselInput {
  profile: SpeciesProfile;
  ledger: QueenLedger;
  /** Null for a social parasite: no founding plan is pretended. */
  outlook: Outlook | null;
  /** What kind of founder she is held to be; by her profile alone when not given. */
  founder?: FounderBelief;
  tube: TubeHome;
  place: Place;
  lookingSchool: LookingSchoolId;
  now: Instant;
}

/** What to do with one queen, and why. */
export interface Counsel {
  /** The one sentence: what next, mostly nothing until a date. */
  next: Phrase;
  pressure: Pressure;
  /** Nothing needs the keeper before this moment; null when something does now, or nothing ever will. */
  restUntil: Instant | null;
  verdicts: Verdict[];
  reservoir: Reservoir;
  budget: LookingBudget;
}

/** A place's warmth over time: steady, or cold until the winter ends. */
export function placeTemperature(place: Pick<Place, 'tempC' | 'winter'>): Temperature {
  if (!place.winter) return place.tempC;
  return {
    steps: [
      { from: '1970-01-01T00:00:00.000Z', tempC: place.tempC },
      { from: place.winter.until, tempC: place.winter.thenTempC },
    ],
  };
}

/**
 * Judges one queen: may I look, is she late, does her tube hold, does she need food. Each verdict is a list of criteria
 * with evidence, margin and who says so; the pressing one becomes the next step.
 * @throws InputError when the tube or its readings cannot be
 */
export function counsel(input: CounselInput): Counsel {
  const { profile, ledger: known, outlook: ahead, tube, place, now } = input;
  const tempC = temperatureAt(placeTemperature(place), now);
  const start = { at: tube.setUpAt, mm: tube.waterLineMm };
  const later = known.waterReadings.filter((r) => msOf(r.at) > msOf(start.at) && r.mm <= tube.lengthMm);
  const reservoir = reservoirBand(
    tube,
    [start, ...later],
    { tempC, roomRelHumidity: place.roomRelHumidity, plugs: tube.plugs },
    now,
  );
  const budget = lookingBudget(known, ahead, lookingSchool(input.lookingSchool), reservoir, now);
  if (known.loss && !known.loss.orphans)
    return { next: lossPhrase(known), pressure: 'rest', restUntil: null, verdicts: [], reservoir, budget };
  const holds = tubeHolds(known, reservoir, now);
  const food = needsFood(profile, known, input.founder ?? byProfile(profile), now);
  const health = isHealthy(known, now);
  if (known.loss) {
    // workers outlive their queen: they still drink and eat
    const verdicts = [holds, food, ...(health ? [health] : [])];
    const step = nextStep(verdicts, null, now);
    const next = [...orphanPhrase(known.loss.at), ...(step.pressure === 'rest' ? [] : [' ', ...step.next])];
    return { ...step, next, verdicts, reservoir, budget };
  }
  const timely = ahead
    ? [
        mayLook(known, ahead, input.lookingSchool, reasonToLook(holds), now),
        isLate(profile, known, ahead, tempC, now),
      ]
    : [];
  const causes = ahead
    ? weighSilence(profile, known, ahead, input.founder ?? byProfile(profile), tempC, now)
    : null;
  const silence = causes ? [whySilent(causes, now, ahead?.events.eggs.band.p90 ?? null)] : [];
  // what names its own remedy comes before the question why
  const verdicts = [...timely, holds, food, ...silence, ...(health ? [health] : [])];
  return { ...nextStep(verdicts, ahead, now), verdicts, reservoir, budget };
}

const byProfile = (profile: SpeciesProfile): FounderBelief =>
  founderBelief([{ kind: 'species', founder: profile.founder.value, weight: 1, source: 'profile' }]);

function orphanPhrase(since: Instant): Phrase {
  return phrase`Without a queen since ${{ date: since }}: her workers live out their lives; they are not released.`;
}

function lossPhrase(known: QueenLedger): Phrase {
  const loss = known.loss as NonNullable<QueenLedger['loss']>;
  const how = {
    died: 'She died',
    escaped: 'She escaped',
    'given-away': 'She was given away',
    merged: 'Her colony was joined to another',
    infertile: 'Given up as infertile',
  }[loss.how];
  const cause =
    loss.how === 'died' && loss.cause === 'unknown' ? '; nobody can tell why, and that is normal.' : '.';
  return [...phrase`${{ word: how }}, ${{ date: loss.at }}`, cause];
}

const rank = (p: Pressure): number => PRESSURES.indexOf(p);

function nextStep(
  verdicts: Verdict[],
  ahead: Outlook | null,
  now: Instant,
): Omit<Counsel, 'verdicts' | 'reservoir' | 'budget'> {
  const look = verdicts.find((v) => v.id === 'look');
  const pressing = verdicts
    .filter((v) => v.id !== 'look' && rank(v.pressure) >= rank('soon'))
    .sort((a, b) => rank(b.pressure) - rank(a.pressure))[0];
  if (pressing) {
    return { next: pressing.says, pressure: pressing.pressure, restUntil: null };
  }
  const dates = verdicts
    .filter((v) => v.id !== 'late' && v.id !== 'silence')
    .map((v) => v.until)
    .filter((u): u is Instant => u !== null && msOf(u) > msOf(now));
  const restUntil = dates.reduce<Instant | null>((a, b) => (a === null || msOf(b) < msOf(a) ? b : a), null);
  if (look?.pressure === 'free') {
    const expected = ahead?.next ? ahead.events[ahead.next].band.p50 : null;
    const says =
      ahead?.next && expected && msOf(expected) > msOf(now)
        ? phrase`Nothing needs you. You may look; ${{ word: EVENT_WORDS[ahead.next] }} are likely about ${{ date: expected }}.`
        : ['Nothing needs you. You may take one short look.'];
    return { next: says, pressure: 'free', restUntil };
  }
  return {
    next: restUntil
      ? phrase`Leave her alone until ${{ date: restUntil }}.`
      : (look?.says ?? ['Leave her alone.']),
    pressure: 'rest',
    restUntil,
  };
}

const EVENT_WORDS = {
  eggs: 'eggs',
  larvae: 'larvae',
  pupae: 'pupae',
  workers: 'first workers',
  firstBatchEnd: 'the last of the first batch',
} as const;
