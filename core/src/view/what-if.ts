import { heatOf, type Heat } from '../care';
import type { KeeperSettings } from '../facts';
import type { Entry } from '../log';
import { WHAT_IF_WINTER_C } from '../season';
import { stepAt, stepsOf, thenFrom, type Temperature, type WarmthStep } from '../warmth';
import { outlookOfKinds, type Outlook } from '../founding';
import { housingOf } from '../housing';
import { addDays, daysBetween, InputError, msOf, within, type Instant } from '../quantity';
import { basisOf, knownOf, seedOf, type QueenFacts, type ViewOptions } from './basis';

/** What the keeper would like to try out, from now on. */
export interface WhatIf {
  /** Warmer (or cooler) by so many °C, −15 to 15. */
  warmerC: number;
  /** Carried now to another of her places; null: she stays. */
  placeId: string | null;
  /** Wintered for so many weeks, 0 to 30; 0 is not at all. */
  winterWeeks: number;
  /** And that in so many weeks, 0 to 52. */
  winterInWeeks: number;
  /** A look every so many days, 1 to 60. */
  lookEveryDays: number;
  /** With what the keeper's other queens showed, or by the profile alone. */
  learn: boolean;
}

/** How the looks to come would be spent. */
export interface LooksAhead {
  /** Looks until the first workers, by the middle and by the late end of their band; null beyond the horizon. */
  until: { p50: number | null; p90: number | null };
  /** How late the first workers would be noticed, days: half the interval on average, the whole at the most. */
  noticed: { usual: number; most: number };
}

export interface WhatIfAnswer {
  outlook: Outlook | null;
  looks: LooksAhead | null;
  /** What the warmest of it would be to her kind; the same limits as everywhere. */
  heat: Heat | null;
  /** Why there is no answer. */
  trouble: string | null;
}

const WEEK = 7;

/** As if she had been carried there now; nothing of it is written. */
const carried = (facts: QueenFacts, placeId: string | null, now: Instant): QueenFacts => {
  const place = facts.places.find((p) => p.id === placeId);
  if (!place || place.id === facts.place.id) return facts;
  const { queen } = facts;
  const move: Entry = {
    kind: 'move',
    id: WHAT_IF,
    queenId: queen.id,
    at: now,
    loggedAt: now,
    placeId: place.id,
  };
  return { ...facts, place, entries: [...facts.entries, move] };
};
const WHAT_IF = '00000000-0000-4000-8000-000000000000';

/**
 * The outlook as it would be if something were done otherwise from now on. What has been stays as it was.
 * @throws InputError when a figure lies outside its range
 */
export function whatIf(
  given: QueenFacts,
  settings: KeeperSettings,
  now: Instant,
  change: WhatIf,
  options: ViewOptions = {},
): WhatIfAnswer {
  within(change.warmerC, 'warmerC', 'The change of warmth', { min: -15, max: 15, unit: '°C' });
  within(change.winterWeeks, 'winterWeeks', 'The winter', { min: 0, max: 30, unit: 'weeks' });
  within(change.winterInWeeks, 'winterInWeeks', 'The wait for winter', { min: 0, max: 52, unit: 'weeks' });
  within(change.lookEveryDays, 'lookEveryDays', 'The time between looks', { min: 1, max: 60, unit: 'days' });
  const facts = carried(given, change.placeId, now);
  try {
    const home = housingOf(facts);
    const known = knownOf(facts, home, now);
    const basis = basisOf(facts, known, home, { ...settings, learn: change.learn }, now, options);
    const temperature = changed(basis.temperature, now, change);
    const { outlook } = outlookOfKinds(basis.kinds, known, temperature, now, {
      draws: options.draws ?? 4000,
      seed: seedOf(facts.queen.id),
      hemisphere: settings.hemisphere,
      thermometerErrorC: basis.thermometerErrorC,
    });
    const profile = basis.kinds.reduce((a, k) => (k.weight > a.weight ? k : a)).profile;
    return {
      outlook,
      looks: looksAhead(outlook, now, change.lookEveryDays),
      heat: heatOf(profile, warmestAhead(temperature, now), basis.thermometerErrorC),
      trouble: null,
    };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { outlook: null, looks: null, heat: null, trouble: error.message };
  }
}

/** The warmest that she would stand from now on. */
function warmestAhead(temperature: Temperature, now: Instant): number {
  const warmest = ({ tempC, partsC = [tempC] }: WarmthStep) => Math.max(...partsC);
  const later = stepsOf(temperature).filter((s) => msOf(s.from) >= msOf(now));
  return Math.max(warmest(stepAt(temperature, now)), ...later.map(warmest));
}

/** The same past; from now on warmer, or a winter first. */
function changed(
  temperature: Temperature,
  now: Instant,
  { warmerC, winterWeeks, winterInWeeks }: WhatIf,
): Temperature {
  const begins = addDays(now, winterWeeks > 0 ? winterInWeeks * WEEK : 0);
  const spring = addDays(begins, winterWeeks * WEEK);
  const warmer = ({ from, tempC, partsC }: WarmthStep): WarmthStep => ({
    from,
    tempC: tempC + warmerC,
    ...(partsC ? { partsC: partsC.map((c) => c + warmerC) } : {}),
  });
  const all = stepsOf(temperature);
  const between = (from: Instant, to: Instant | null) => [
    { ...stepAt(temperature, from), from },
    ...all.filter((s) => msOf(s.from) > msOf(from) && (to === null || msOf(s.from) < msOf(to))),
  ];
  const winter = winterWeeks > 0 ? [{ from: begins, tempC: WHAT_IF_WINTER_C }] : [];
  const before = msOf(begins) > msOf(now) ? between(now, begins).map(warmer) : [];
  const steps = [...before, ...winter, ...between(spring, null).map(warmer)];
  const { ahead } = typeof temperature === 'number' ? {} : temperature;
  return { ...thenFrom(temperature, now, steps), ...(ahead ? { ahead } : {}) };
}

function looksAhead({ events }: Outlook, now: Instant, every: number): LooksAhead {
  const { status, band } = events.workers;
  const looks = (at: Instant | null) =>
    at === null ? null : Math.max(0, Math.ceil(daysBetween(now, at) / every));
  const seen = status === 'seen';
  return {
    until: { p50: seen ? 0 : looks(band.p50), p90: seen ? 0 : looks(band.p90) },
    noticed: { usual: every / 2, most: every },
  };
}
