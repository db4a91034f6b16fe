import { mean } from 'simple-statistics';
import type { Hemisphere } from '../season';
import type { WholeDay } from './days';
import { dayNumber } from './readings';

/** What is expected of a place after it was last measured. */
export interface Continuation {
  /** From a day (since 1970) until the next; the last one holds for good. */
  spans: { day: number; partsC: readonly number[]; meanC: number; rh: number | null }[];
  /** Standard error of what is expected, beside that of the thermometer, °C. */
  spreadC: number;
}

/** The last so many days are taken for what days are like. */
const LATELY_DAYS = 14;
/** From then on the same again: far enough for every band. */
const AHEAD_DAYS = 3 * 365;
/** How long one span of the season is, days: at first, and from so many days on. */
const SPAN_DAYS = { near: 14, far: 42, farFrom: 98 };
/**
 * A lived-in room goes with the year: so far above its mean at the warmest, about the beginning of August in the north, and how sure that
 * is, °C. Priors; a place's own record moves them.
 */
const SEASON = { halfSwingC: 1.5, errorC: 1, warmest: dayNumber(Date.UTC(2025, 6, 31)) };
/** Days go with those around them: so many tell as much as one that stands alone. Prior. */
const GO_TOGETHER_DAYS = 14;
/** How far a fortnight is from what was expected of it, °C, and as how many fortnights of the place's own record that counts. Priors. */
const OFTEN_OFF = { errorC: 1, counts: 3 };
/** A mean of days is never known better than that, °C. Prior. */
const LEAST_SCATTER_C = 0.2;
/** Less than that within a day is steady, °C: below what any stage notices. */
const STEADY_C = 0.2;

/**
 * The last fortnight's day goes on, moved by the season: a cosine over the year whose height the place's own record has its say in (normal
 * prior, least squares), so that a thermostat, which knows no season, soon has none here.
 * @param days of the record, filled in, at least one, the last the newest
 */
export function continuationOf(days: readonly WholeDay[], hemisphere: Hemisphere): Continuation {
  const newest = days[days.length - 1] as WholeDay;
  const lately = days.filter((d) => d.day > newest.day - LATELY_DAYS);
  const pattern = newest.partsC.map((_, i) => mean(lately.map((d) => d.partsC[i] as number)));
  const level = mean(pattern);
  const season = (day: number) => yearly(day, hemisphere);
  const now = mean(lately.map((d) => season(d.day)));
  const halfSwingC = halfSwingOf(days, season);
  const steady = Math.max(...pattern) - Math.min(...pattern) < STEADY_C;
  const humid = lately.flatMap((d) => (d.rh === null ? [] : [d.rh]));
  const rh = humid.length > 0 ? mean(humid) : null;
  const spans: Continuation['spans'] = [];
  let length = SPAN_DAYS.near;
  for (let day = newest.day + 1; day <= newest.day + AHEAD_DAYS; day += length) {
    if (day > newest.day + SPAN_DAYS.farFrom) length = SPAN_DAYS.far;
    const moved = halfSwingC * (season(day + length / 2) - now);
    const partsC = steady ? [level + moved] : pattern.map((c) => c + moved);
    spans.push({ day, partsC, meanC: level + moved, rh });
  }
  return { spans, spreadC: spreadOf(days, season, halfSwingC) };
}

/** 1 in the warmest of the year, −1 in the coldest. */
function yearly(day: number, hemisphere: Hemisphere): number {
  const turn = Math.cos((2 * Math.PI * (day - SEASON.warmest)) / YEAR_DAYS);
  return hemisphere === 'north' ? turn : -turn;
}
const YEAR_DAYS = 365.2425;

function halfSwingOf(days: readonly WholeDay[], season: (day: number) => number): number {
  const x = days.map((d) => season(d.day));
  const [meanX, meanY] = [mean(x), mean(days.map((d) => d.meanC))];
  let [xx, xy, yy] = [0, 0, 0];
  days.forEach((d, i) => {
    const [dx, dy] = [(x[i] as number) - meanX, d.meanC - meanY];
    xx += dx * dx;
    xy += dx * dy;
    yy += dy * dy;
  });
  // what the year does not explain
  const rest = xx > 0 ? yy - (xy * xy) / xx : yy;
  const scatter = Math.max(LEAST_SCATTER_C ** 2, rest / days.length) * GO_TOGETHER_DAYS;
  const prior = 1 / SEASON.errorC ** 2;
  return (xy / scatter + prior * SEASON.halfSwingC) / (xx / scatter + prior);
}

/** How far each fortnight was from what the one before and the season said of it. */
function spreadOf(days: readonly WholeDay[], season: (day: number) => number, halfSwingC: number): number {
  const newest = (days[days.length - 1] as WholeDay).day;
  const blocks = new Map<number, WholeDay[]>();
  for (const d of days) {
    const k = Math.floor((newest - d.day) / LATELY_DAYS);
    blocks.set(k, [...(blocks.get(k) ?? []), d]);
  }
  const means = new Map(
    [...blocks].map(([k, some]) => [k, mean(some.map((d) => d.meanC - halfSwingC * season(d.day)))]),
  );
  let [sum, n] = [OFTEN_OFF.counts * OFTEN_OFF.errorC ** 2, OFTEN_OFF.counts];
  for (const [k, m] of means) {
    const before = means.get(k + 1);
    if (before === undefined) continue;
    sum += (m - before) ** 2;
    n++;
  }
  return Math.sqrt(sum / n);
}
