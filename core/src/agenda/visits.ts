import {
  addCalendarDays,
  DAY_MS,
  dayOf,
  msOf,
  need,
  startOfDay,
  UTC,
  weekdayOf,
  type CalendarDay,
  type Instant,
  type Zone,
} from '../quantity';

/** Something due at one tube: not before, best, not after. */
export interface Window {
  id: string;
  queenId: string;
  /** Tube: two things at one tube on one day are one disturbance. */
  homeId: string;
  notBefore: Instant;
  best: Instant;
  notAfter: Instant;
}

/** The keeper's days. */
export interface KeeperCalendar {
  /** Weekdays on which the keeper has time, 0 Sunday to 6 Saturday; all when empty. */
  weekdays: readonly number[];
  /** Days away, both inclusive, as calendar days yyyy-mm-dd. */
  absences: readonly { from: string; to: string }[];
  /** First day that can be planned. */
  from: Instant;
  /** How many days are planned. */
  days: number;
  /** Where the keeper's days begin; UTC when not given. */
  zone?: Zone;
}

export interface Visit {
  /** The keeper's calendar day, yyyy-mm-dd. */
  day: CalendarDay;
  /** What is done then, tube by tube. */
  windows: Window[];
}

export interface VisitPlan {
  visits: Visit[];
  /** Windows into which no day of the keeper's falls; each has to be met on some other day. */
  unmet: Window[];
  /** How often a tube is opened, in all. */
  openings: number;
}

/** Why a deed is planned for a later day than its best. */
export type Later = 'your-days' | 'same-tube' | 'together';

/** Why a window of a visit is met later than on its best day; null when it is not. */
export function whyLater(
  { day, windows }: Visit,
  window: Window,
  { weekdays, absences, zone = UTC }: Pick<KeeperCalendar, 'weekdays' | 'absences' | 'zone'>,
): Later | null {
  const best = dayOf(window.best, zone);
  if (day <= best) return null;
  if (freeDays({ weekdays, absences }, [best]).length === 0) return 'your-days';
  return windows.some((w) => w !== window && w.homeId === window.homeId) ? 'same-tube' : 'together';
}

/** A day on which nobody comes yet costs more than any shift from the best day; an opening more than any such day. */
const OPENING = 1e6;
const NEW_DAY = 1e3;
const ROUNDS = 3;

/**
 * Packs windows into visits: for each tube the fewest openings that meet all its windows, chosen among all such choices so
 * that tubes share the keeper's days and stand close to their best days. For one tube the choice is minimal for certain
 * (dynamic programming over the days); across a shelf each tube is chosen anew in the light of the others until nothing
 * improves.
 * @throws InputError when a window ends before it begins, or no day can be planned
 */
export function planVisits(windows: readonly Window[], calendar: KeeperCalendar): VisitPlan {
  need(
    Number.isInteger(calendar.days) && calendar.days > 0 && calendar.days <= 1000,
    'days',
    `The number of days to plan (${calendar.days}) must be a whole number between 1 and 1,000.`,
  );
  const { names, numberOf } = daysAhead(calendar);
  const free = freeDays(calendar, names);
  const tubes = new Map<string, Span[]>();
  const unmet: Window[] = [];
  for (const w of windows) {
    need(
      msOf(w.notBefore) <= msOf(w.notAfter),
      'notAfter',
      `The window ${w.id} ends (${w.notAfter}) before it begins (${w.notBefore}). Swap the two.`,
    );
    const span = {
      window: w,
      from: Math.max(0, numberOf(w.notBefore)),
      to: numberOf(w.notAfter),
      best: numberOf(w.best),
    };
    if (!free.some((d) => d >= span.from && d <= span.to)) {
      // what begins beyond the days planned is planned later; all else is told
      if (span.from < calendar.days) unmet.push(w);
      continue;
    }
    const list = tubes.get(w.homeId);
    if (list) list.push(span);
    else tubes.set(w.homeId, [span]);
  }
  const chosen = new Map<string, number[]>();
  const used = new Map<number, number>();
  const count = (days: readonly number[], by: number) =>
    days.forEach((d) => used.set(d, (used.get(d) ?? 0) + by));
  // the tubes with the tightest windows choose first
  const order = [...tubes.keys()].sort((a, b) => slack(tubes.get(a)!) - slack(tubes.get(b)!));
  for (let round = 0; round < ROUNDS; round++) {
    let changed = false;
    for (const home of order) {
      const before = chosen.get(home) ?? [];
      count(before, -1);
      const days = cheapest(tubes.get(home)!, free, (d) => (used.get(d) ?? 0) > 0);
      count(days, 1);
      chosen.set(home, days);
      changed ||= days.join() !== before.join();
    }
    if (!changed) break;
  }
  return { ...gather(tubes, chosen, names), unmet };
}

interface Span {
  window: Window;
  from: number;
  to: number;
  best: number;
}

const slack = (spans: readonly Span[]): number => Math.min(...spans.map((s) => s.to - s.from));

/** The days that are planned, by number, and the number of the day on which a moment falls. */
function daysAhead({ from, days, zone = UTC }: KeeperCalendar) {
  const first = dayOf(from, zone);
  const names = Array.from({ length: days }, (_, d) => addCalendarDays(first, d));
  // asked for every window: a day is found among the beginnings of days, not by the calendar
  const starts = [...names, addCalendarDays(first, days)].map((day) => msOf(startOfDay(day, zone)));
  const numberOf = (at: Instant): number => {
    const ms = msOf(at);
    const [begin, end] = [starts[0] as number, starts[days] as number];
    if (ms < begin) return Math.floor((ms - begin) / DAY_MS);
    if (ms >= end) return days + Math.floor((ms - end) / DAY_MS);
    let low = 0;
    let high = days - 1;
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if ((starts[middle] as number) <= ms) low = middle;
      else high = middle - 1;
    }
    return low;
  };
  return { names, numberOf };
}

function freeDays(
  { weekdays, absences }: Pick<KeeperCalendar, 'weekdays' | 'absences'>,
  names: readonly CalendarDay[],
): number[] {
  return names.flatMap((day, d) => {
    const comes = weekdays.length === 0 || weekdays.includes(weekdayOf(day));
    return comes && !absences.some((a) => day >= a.from && day <= a.to) ? [d] : [];
  });
}

/** The cheapest set of days that touches every span: fewest days, then shared days, then days close to the best. */
function cheapest(
  spans: readonly Span[],
  free: readonly number[],
  shared: (day: number) => boolean,
): number[] {
  const days = free.filter((d) => spans.some((s) => d >= s.from && d <= s.to));
  const n = days.length;
  const cost = days.map((d) => OPENING + (shared(d) ? 0 : NEW_DAY));
  const total: number[] = [];
  const previous: number[] = [];
  for (let i = 0; i <= n; i++) {
    total[i] = Infinity;
    previous[i] = -1;
    const here = i < n ? (days[i] as number) : Infinity;
    // from day j straight to day i: no span may lie wholly between; j = -1 is the beginning, i = n the end
    for (let j = i - 1; j >= -1; j--) {
      const there = j >= 0 ? (days[j] as number) : -Infinity;
      if (spans.some((s) => s.from > there && s.to < here)) break;
      const before = j >= 0 ? (total[j] as number) : 0;
      const sum = before + (i < n ? (cost[i] as number) : 0) + strayed(spans, there, here);
      if (sum < (total[i] as number)) {
        total[i] = sum;
        previous[i] = j;
      }
    }
  }
  const chosen: number[] = [];
  for (let i = previous[n] as number; i >= 0; i = previous[i] as number) chosen.unshift(days[i] as number);
  return chosen;
}

/**
 * How far from their best days the spans are met between two neighbouring chosen days: each span whose best day lies
 * there goes to the nearer of the two that it allows.
 */
function strayed(spans: readonly Span[], there: number, here: number): number {
  let sum = 0;
  for (const s of spans) {
    if (s.best < there || s.best >= here) continue;
    const back = there >= s.from && there <= s.to ? s.best - there : Infinity;
    const ahead = here >= s.from && here <= s.to ? here - s.best : Infinity;
    const least = Math.min(back, ahead);
    // met by a day further off: counted as the whole way to the span's edge
    sum += Math.min(0.9, 0.001 * (least === Infinity ? s.to - s.from : least));
  }
  return sum;
}

function gather(
  tubes: ReadonlyMap<string, Span[]>,
  chosen: ReadonlyMap<string, number[]>,
  names: readonly CalendarDay[],
) {
  const byDay = new Map<number, Window[]>();
  let openings = 0;
  for (const [home, spans] of tubes) {
    const days = chosen.get(home) ?? [];
    openings += days.length;
    for (const s of spans) {
      const fitting = days.filter((d) => d >= s.from && d <= s.to);
      const day = fitting.reduce(
        (a, d) => (Math.abs(d - s.best) < Math.abs(a - s.best) ? d : a),
        fitting[0] as number,
      );
      const list = byDay.get(day);
      if (list) list.push(s.window);
      else byDay.set(day, [s.window]);
    }
  }
  const visits = [...byDay.entries()]
    .sort(([a], [b]) => a - b)
    .map(([day, windows]): Visit => ({ day: names[day] as CalendarDay, windows }));
  return { visits, openings };
}
