import type { Climate, ProbeNow } from '@gentle-burrow/contract';
import { placeAlarms } from '@gentle-burrow/core/care';
import {
  correctedReading,
  correctionsOf,
  fromCenti,
  together,
  type Correction,
  type Rolled,
  type Spread,
  type TempSpan,
} from '@gentle-burrow/core/climate';
import type { Probe } from '@gentle-burrow/core/facts';
import { DAY_MS, instantOf, msOf, type Instant } from '@gentle-burrow/core/quantity';
import { profilesWith } from '@gentle-burrow/core/species/catalogue';
import { reckonedPlaces } from '@gentle-burrow/core/warmth';
import type { Store } from '../db/store';
import type { Views } from './views';

/** So far back an alarm looks. */
const LOOK_BACK_DAYS = 8;
const HOUR_MS = 3_600_000;

/** Whatever measures with what it shows now, and what is wrong at the places where it lies. */
export async function climateNow(store: Store, views: Views, now: Instant): Promise<Climate> {
  const nowMs = msOf(now);
  const [probes, latest, read, tokens, places, { hemisphere }] = await Promise.all([
    store.probes(),
    store.latest(),
    store.hoursOfEach(nowMs - LOOK_BACK_DAYS * DAY_MS, nowMs + HOUR_MS),
    store.tokensMadeAt(),
    store.places(),
    store.settings(),
  ]);
  const newest = new Map(latest.map((l) => [l.probeId, l]));
  const shown = probes.map((probe) => {
    const hours = read.get(probe.id) ?? [];
    return { now: probeNow(probe, newest.get(probe.id), tokens.get(probe.id), hours, nowMs), hours };
  });
  return {
    probes: shown.map((s) => s.now),
    reckoned: reckonedPlaces(places, await views.measuredAt(places.map((p) => p.id)), now, hemisphere),
    alarms: await alarms(store, views, shown, now),
  };
}

function probeNow(
  probe: Probe,
  last: { ms: number; centiC: number; centiPct: number } | undefined,
  tokenMadeAt: Date | undefined,
  hours: readonly Rolled[],
  nowMs: number,
): ProbeNow {
  const truth = correctionsOf(probe);
  const of = (shown: number | null, measure: 'tempC' | 'rh') =>
    shown === null ? null : correctedReading(shown, truth[measure]);
  const day = together(
    hours.filter((h) => h.ms >= nowMs - DAY_MS),
    nowMs - DAY_MS,
    DAY_MS,
  );
  return {
    probe,
    latest: last
      ? {
          at: instantOf(last.ms),
          tempC: of(fromCenti(last.centiC), 'tempC'),
          rh: of(fromCenti(last.centiPct, 10_000), 'rh'),
        }
      : null,
    day:
      day.n > 0
        ? { tempC: spreadOf(day.temp, 100, truth.tempC), rh: spreadOf(day.rh, 10_000, truth.rh) }
        : null,
    tokenMadeAt: tokenMadeAt?.toISOString() ?? null,
  };
}

/** In the keeper's units, and as a check of the probe has told. */
export function spreadOf(
  spread: Spread | null,
  per: number,
  correction: Correction | undefined,
): { min: number; mean: number; max: number } | null {
  if (!spread) return null;
  const of = (value: number) => correctedReading(value / per, correction);
  return { min: of(spread.min), mean: of(spread.mean), max: of(spread.max) };
}

async function alarms(
  store: Store,
  views: Views,
  shown: readonly { now: ProbeNow; hours: readonly Rolled[] }[],
  now: Instant,
): Promise<Climate['alarms']> {
  if (shown.length === 0) return [];
  const [places, standing, barriers, own, { hemisphere }] = await Promise.all([
    store.places(),
    views.kindsAt(now),
    views.barriersAt(now),
    store.ownKinds(),
    store.settings(),
  ]);
  const profileOf = profilesWith(own);
  return places.flatMap((place) => {
    const here = shown.filter(({ now: { probe } }) => probe.stays.at(-1)?.placeId === place.id);
    if (here.length === 0) return [];
    return placeAlarms({
      place,
      kinds: [...(standing.get(place.id) ?? [])].map(profileOf),
      barriers: barriers.has(place.id),
      hemisphere,
      now,
      probes: here.map(({ now: { probe, latest, day }, hours }) => ({
        probe,
        latest,
        dayRh: day?.rh?.mean ?? null,
        tempErrorC: correctionsOf(probe).tempErrorC,
        hours: hours.flatMap((h): TempSpan[] => {
          const t = spreadOf(h.temp, 100, correctionsOf(probe).tempC);
          // what it showed before it lay here says nothing of this place
          return t && h.ms >= msOf(probe.stays.at(-1)?.from ?? now) - HOUR_MS
            ? [{ at: instantOf(h.ms), minC: t.min, meanC: t.mean, maxC: t.max }]
            : [];
        }),
      })),
    }).map((a) => ({ ...a, placeId: place.id }));
  });
}
