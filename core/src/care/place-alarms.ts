import { ROOM_C, standardErrorC, type TempSpan } from '../climate';
import type { Place, Probe } from '../facts';
import { DAY_MS, instantOf, msOf, phrase, type Instant, type Phrase } from '../quantity';
import { isWinteringTempC, phaseOf, winterAround, type Hemisphere } from '../season';
import type { SpeciesProfile } from '../species';
import { nothingDevelops, wintersAt } from '../warmth';
import { dangerC, heatOf } from './heat';
import { figure } from './practice';

/** A probe with what it showed of late. */
export interface ProbeWatched {
  probe: Pick<Probe, 'id' | 'name' | 'kind' | 'silentAfterH'>;
  latest: { at: Instant; tempC: number | null } | null;
  /** Hours of the last eight days in which it was read, in order. */
  hours: readonly TempSpan[];
  /** Mean humidity of the last day, 0..1; null when it was not measured. */
  dayRh: number | null;
  /** Half of the range in which the truth lies in eight cases of ten, °C. */
  tempErrorC: number;
}

export const PLACE_ALARM_IDS = [
  'too-hot',
  'was-hot',
  'swing',
  'cold-week',
  'damp',
  'silent',
  'stuck',
  'implausible',
] as const;

export interface PlaceAlarm {
  id: (typeof PLACE_ALARM_IDS)[number];
  /** Now: animals may die. Soon: worth a hand today. */
  grave: 'now' | 'soon';
  says: Phrase;
  /** What to do. */
  todo: string;
  since: Instant;
  /** The probe that tells it. */
  probeId: string;
}

export interface PlaceWatched {
  place: Pick<Place, 'winter'>;
  probes: readonly ProbeWatched[];
  /** What stands there. */
  kinds: readonly SpeciesProfile[];
  /** An open space or a rimmed box stands there, which a barrier keeps shut. */
  barriers: boolean;
  hemisphere: Hemisphere;
  now: Instant;
}

const HOUR_MS = 3_600_000;

/**
 * What is wrong at a place by what its probes show: few, each with what to do, one a cause. It is over when the readings are right
 * again. What is too hot follows from the kinds that stand there.
 */
export function placeAlarms(watched: PlaceWatched): PlaceAlarm[] {
  const list = watched.probes.flatMap((p) => ofProbe(p, watched));
  // two probes tell of one cause: the graver, and then the one that began first
  const first = new Map<PlaceAlarm['id'], PlaceAlarm>();
  for (const a of list.sort((a, b) => msOf(a.since) - msOf(b.since))) {
    const one =
      a.id === 'silent' || a.id === 'stuck' || a.id === 'implausible'
        ? (`${a.id} ${a.probeId}` as PlaceAlarm['id'])
        : a.id;
    if (!first.has(one)) first.set(one, a);
  }
  return [...first.values()].sort((a, b) => Number(b.grave === 'now') - Number(a.grave === 'now'));
}

function ofProbe(watched: ProbeWatched, about: PlaceWatched): PlaceAlarm[] {
  const broken = silent(watched, about) ?? implausible(watched);
  // what a probe shows that is silent or broken says nothing of the place
  if (broken) return [broken];
  const stuckOne = stuck(watched, about.now);
  const heat = tooHot(watched, about) ?? swing(watched, about.now);
  return [heat, coldWeek(watched, about), damp(watched, about), stuckOne].filter((a) => a !== null);
}

/** From there on something of what stands here dies, °C. */
const limitOf = (kinds: readonly SpeciesProfile[]): number =>
  Math.min(dangerC(null), ...kinds.map((k) => dangerC(k)));

function silent({ probe, latest }: ProbeWatched, { kinds, now }: PlaceWatched): PlaceAlarm | null {
  if (!latest || probe.silentAfterH === null) return null;
  const hours = (msOf(now) - msOf(latest.at)) / HOUR_MS;
  if (hours <= probe.silentAfterH) return null;
  const hot = latest.tempC !== null && latest.tempC >= limitOf(kinds);
  return {
    id: 'silent',
    grave: hot ? 'now' : 'soon',
    says: hot
      ? phrase`${{ word: probe.name }} last showed ${{ tempC: latest.tempC as number }} and has said nothing since ${{ date: latest.at }}.`
      : phrase`${{ word: probe.name }} has said nothing since ${{ date: latest.at }}.`,
    todo: hot
      ? 'Look at the tubes now: it may still be too hot there. Switch off what heats, and carry them to a cooler place. Then look at the probe.'
      : 'Look at its battery and its way to this server. Until then nobody watches the place.',
    since: latest.at,
    probeId: probe.id,
  };
}

function implausible({ probe, latest }: ProbeWatched): PlaceAlarm | null {
  if (!latest || latest.tempC === null) return null;
  if (latest.tempC >= ROOM_C.min && latest.tempC <= ROOM_C.max) return null;
  const hot = latest.tempC > ROOM_C.max;
  return {
    id: 'implausible',
    // a mat without its thermostat may be that hot
    grave: hot ? 'now' : 'soon',
    says: phrase`${{ word: probe.name }} shows ${{ tempC: latest.tempC }}: no room is like that.`,
    todo: hot
      ? 'Look there now: if it is true, switch off what heats and carry the tubes away. If not, check the sensor and its cable.'
      : 'Check the sensor and its cable with another thermometer.',
    since: latest.at,
    probeId: probe.id,
  };
}

/** The hours of the last so many, when most of them were read. */
function lately(hours: readonly TempSpan[], now: Instant, length: number): readonly TempSpan[] | null {
  const from = msOf(now) - length * HOUR_MS;
  const some = hours.filter((h) => msOf(h.at) >= from && msOf(h.at) <= msOf(now));
  return some.length >= figure('coveredShare') * length ? some : null;
}

function stuck({ probe, hours }: ProbeWatched, now: Instant): PlaceAlarm | null {
  if (probe.kind !== 'logger') return null;
  const some = lately(hours, now, figure('stuckHours'));
  const [first] = some ?? [];
  if (!some || !first || some.some((h) => h.minC !== first.minC || h.maxC !== first.minC)) return null;
  return {
    id: 'stuck',
    grave: 'soon',
    says: phrase`${{ word: probe.name }} has shown ${{ tempC: first.minC }} without any change since ${{ date: first.at }}.`,
    todo: 'Warm it in your hand: if the figure stays, the probe is stuck. Start it anew or take another.',
    since: first.at,
    probeId: probe.id,
  };
}

function tooHot(
  { probe, latest, hours, tempErrorC }: ProbeWatched,
  { kinds, now }: PlaceWatched,
): PlaceAlarm | null {
  const limit = limitOf(kinds);
  const hot = (tempC: number | null): boolean => tempC !== null && tempC >= limit;
  const age = latest ? (msOf(now) - msOf(latest.at)) / HOUR_MS : Infinity;
  const near = (tempC: number): boolean =>
    (kinds.length > 0 ? kinds : [null]).some((k) =>
      ['danger', 'close'].includes(heatOf(k, tempC, standardErrorC(tempErrorC))),
    );
  if (latest?.tempC != null && near(latest.tempC) && age <= figure('freshReadingH')) {
    const from = Math.min(limit, latest.tempC);
    let since = latest.at;
    for (const h of [...hours].reverse()) {
      if (h.maxC < from) break;
      since = h.at;
    }
    return {
      id: 'too-hot',
      grave: 'now',
      says: hot(latest.tempC)
        ? phrase`It is ${{ tempC: latest.tempC }} here. From ${{ tempC: limit }} on queens and brood die.`
        : phrase`It is ${{ tempC: latest.tempC }} here. ${{ tempC: limit }} kills queens and brood, and this thermometer can be off by more than the difference.`,
      todo: 'Switch off what heats, shade it, carry the tubes to a cooler place now. Do not chill them suddenly: a cool room is enough.',
      since,
      probeId: probe.id,
    };
  }
  // what was hot when it was last read is not over because nobody has read it since
  const unread = latest && hot(latest.tempC) ? { at: latest.at, maxC: latest.tempC as number } : null;
  const last = unread ?? [...hours].reverse().find((h) => hot(h.maxC));
  if (!last) return null;
  if (!unread && msOf(now) - msOf(last.at) > figure('heatLastsH') * HOUR_MS) return null;
  return {
    id: 'was-hot',
    grave: 'now',
    says: unread
      ? phrase`It was ${{ tempC: last.maxC }} here when it was last read. From ${{ tempC: limit }} on queens and brood die.`
      : phrase`It was ${{ tempC: last.maxC }} here. From ${{ tempC: limit }} on queens and brood die.`,
    todo: unread
      ? 'Read it again now. If it is still so, switch off what heats and carry the tubes to a cooler place.'
      : 'Find what heated it before it comes back: sun, a lamp, a mat without a thermostat.',
    since: last.at,
    probeId: probe.id,
  };
}

function swing({ probe, hours }: ProbeWatched, now: Instant): PlaceAlarm | null {
  const day = lately(hours, now, 24);
  if (!day) return null;
  const low = Math.min(...day.map((h) => h.minC));
  const high = Math.max(...day.map((h) => h.maxC));
  if (high - low <= figure('wildSwingC')) return null;
  return {
    id: 'swing',
    grave: 'soon',
    says: phrase`It swung by ${{ tempDiffC: high - low }} in a day, from ${{ tempC: low }} to ${{ tempC: high }}.`,
    todo: 'Find what warms and chills it in turns: sun, a window, a mat that is switched by hand. She may stop laying or eat her brood.',
    since: (day[0] as TempSpan).at,
    probeId: probe.id,
  };
}

/** Barriers fail in damp air: common practice, no source. */
function damp({ probe, latest, dayRh }: ProbeWatched, { barriers, now }: PlaceWatched): PlaceAlarm | null {
  if (!barriers || !latest || dayRh === null || dayRh < figure('dampBarrierShare')) return null;
  return {
    id: 'damp',
    grave: 'soon',
    says: phrase`The air here had ${{ percent: 100 * dayRh }} humidity through the last day: barriers let go in damp air.`,
    todo: 'Try the barrier with a brush and watch a few attempts; keep the lid on. More air, less water in the open space: damp belongs in the nest, the space stays dry.',
    since: instantOf(msOf(now) - DAY_MS),
    probeId: probe.id,
  };
}

function coldWeek(
  { probe, hours }: ProbeWatched,
  { place, kinds, hemisphere, now }: PlaceWatched,
): PlaceAlarm | null {
  const days = figure('coldWeekDays');
  const week = lately(hours, now, 24 * days);
  if (!week || kinds.length === 0) return null;
  const high = Math.max(...week.map((h) => h.maxC));
  const mean = week.reduce((sum, h) => sum + h.meanC, 0) / week.length;
  const phase = phaseOf(now, winterAround(now, hemisphere));
  const planned = place.winter !== null && msOf(place.winter.until) > msOf(now);
  const still = kinds.filter(
    (k) => nothingDevelops(k, high) && !wintersAt(k, mean, planned || isWinteringTempC(high), phase),
  );
  if (still.length === 0) return null;
  return {
    id: 'cold-week',
    grave: 'soon',
    says: phrase`For a week it was never above ${{ tempC: high }}: no brood grows there.`,
    todo: 'It harms nobody, it only stands still. Choose a warmer spot, or warm it in small steps at the open end.',
    since: instantOf(msOf(now) - days * DAY_MS),
    probeId: probe.id,
  };
}
