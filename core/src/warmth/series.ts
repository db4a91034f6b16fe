import { DAY_MS, instantOf, lastNotAfter, msOf, need, type Instant } from '../quantity';
import { checkTemp } from './response';

/** Equally long parts of a span, °C: what it did in them, in whatever order. One part: it was steady. */
export type Parts = readonly number[];

/** How warm it was from a moment until the next. */
export interface WarmthStep {
  from: Instant;
  /** The mean. */
  tempC: number;
  /** How it swung about that mean; not given when it was steady. */
  partsC?: Parts;
}

/**
 * How warm she stands, in one form whether it was told, measured or is expected: one steady temperature, or steps of it, each from a
 * moment until the next. The first step also holds before its moment.
 */
export type Temperature = number | { steps: WarmthStep[]; ahead?: Ahead };

/** From when on it is expected and no longer measured, until it is planned otherwise (null: for good). */
export interface Ahead {
  from: Instant;
  until: Instant | null;
  /** Standard error of what is expected, beside that of the thermometer, °C. */
  spreadC: number;
}

/** The same counted in days, for whoever needs many clocks of it. */
export interface WarmthCourse {
  /** Days after the origin on which it changes. */
  changes: readonly number[];
  /** °C, one more than there are changes; null while she sits still and nothing gathers. */
  pieces: readonly (Parts | null)[];
  /** Days between which it is expected; none when it is told or measured throughout. */
  ahead: { from: number; until: number } | null;
  spreadC: number;
}

/** Steady warmth is one step. */
export const stepsOf = (temperature: Temperature): WarmthStep[] =>
  typeof temperature === 'number' ? [{ from: instantOf(0), tempC: temperature }] : temperature.steps;

/** @throws InputError for temperatures that are not numbers between −20 and 60 °C, or steps that do not run forward in time */
export function warmthCourse(temperature: Temperature, origin: Instant): WarmthCourse {
  const steps = stepsOf(temperature);
  need(steps.length > 0, 'temperature', 'No temperature is given. Give at least one step.');
  const originMs = msOf(origin);
  const dayOf = (at: Instant) => (msOf(at, 'temperature') - originMs) / DAY_MS;
  const days = steps.map((s) => dayOf(s.from));
  need(
    days.every((d, i) => i === 0 || d > (days[i - 1] as number)),
    'temperature',
    'The temperature steps do not follow one another in time. Sort them and leave out doubles.',
  );
  const ahead = typeof temperature === 'number' ? undefined : temperature.ahead;
  return {
    changes: days.slice(1),
    pieces: steps.map((s) => (s.partsC ?? [s.tempC]).map(checkTemp)),
    ahead: ahead
      ? { from: dayOf(ahead.from), until: ahead.until === null ? Infinity : dayOf(ahead.until) }
      : null,
    spreadC: ahead?.spreadC ?? 0,
  };
}

/** The step that holds at a moment. */
export function stepAt(temperature: Temperature, at: Instant): WarmthStep {
  const steps = stepsOf(temperature);
  const last = lastNotAfter(steps.length, (i) => msOf((steps[i] as WarmthStep).from), msOf(at));
  const step = steps[Math.max(0, last)];
  need(step !== undefined, 'temperature', 'No temperature is given. Give at least one step.');
  return step;
}

/** The temperature that holds at a moment: of a day that swings its mean. */
export const temperatureAt = (temperature: Temperature, at: Instant): number => stepAt(temperature, at).tempC;

/** The same up to a moment, and from there on what is told. */
export function thenFrom(
  temperature: Temperature,
  at: Instant,
  later: WarmthStep[],
): Exclude<Temperature, number> {
  const ms = msOf(at);
  const past = stepsOf(temperature).filter((s) => msOf(s.from) < ms);
  const ahead = typeof temperature === 'number' ? undefined : temperature.ahead;
  const stillAhead = ahead && msOf(ahead.from) < ms ? { ahead: { ...ahead, until: at } } : {};
  return { steps: [...past, ...later], ...stillAhead };
}
