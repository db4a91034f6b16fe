import { need } from '../quantity';

/** Something that had not come about at `after` and had at `by`; Infinity when it has not been seen yet. */
export interface TimeInterval {
  after: number;
  by: number;
}

export interface TurnbullEstimate {
  /** Where the chance lies: it is not known where within (from, to]. All masses come to 1. */
  masses: { from: number; to: number; mass: number }[];
  /** Share that is still without just after a time; NaN never: within a mass the upper value holds. */
  survivalAfter(time: number): number;
}

const ROUNDS = 20_000;
const ENOUGH = 1e-9;

export function checkIntervals(intervals: readonly TimeInterval[]): void {
  need(intervals.length > 0, 'intervals', 'There is nothing to estimate from. Give at least one interval.');
  for (const { after, by } of intervals) {
    need(
      after >= 0 && by >= after && !Number.isNaN(by),
      'intervals',
      `The interval from ${after} to ${by} cannot be. Its end must not lie before its beginning, nor its beginning before 0.`,
    );
  }
}

/**
 * Non-parametric maximum likelihood for interval-censored times: the chance sits on the innermost intervals, shared out by
 * self-consistency until nothing changes.
 * Source: Turnbull 1976, J. R. Stat. Soc. B 38:290–295. An interval (a, b] excludes a; a = b is an exact time.
 * @throws InputError without an interval, or for one that ends before it begins
 */
export function turnbull(intervals: readonly TimeInterval[]): TurnbullEstimate {
  checkIntervals(intervals);
  const cells = innermost(intervals);
  const inside = intervals.map((i) => cells.map((c) => covers(i, c)));
  let mass = cells.map(() => 1 / cells.length);
  for (let round = 0; round < ROUNDS; round++) {
    const next = cells.map(() => 0);
    for (const row of inside) {
      const total = row.reduce((sum, on, j) => sum + (on ? (mass[j] as number) : 0), 0);
      if (total > 0)
        row.forEach((on, j) => on && (next[j]! += (mass[j] as number) / total / intervals.length));
    }
    const moved = next.reduce((most, m, j) => Math.max(most, Math.abs(m - (mass[j] as number))), 0);
    mass = next;
    if (moved < ENOUGH) break;
  }
  const masses = cells.map((c, j) => ({ ...c, mass: mass[j] as number })).filter((m) => m.mass > 1e-7);
  return {
    masses,
    survivalAfter: (time) => 1 - masses.reduce((sum, m) => (m.to <= time ? sum + m.mass : sum), 0),
  };
}

/** Intervals of which each begins at some left end and ends at the very next right end. */
function innermost(intervals: readonly TimeInterval[]): { from: number; to: number }[] {
  // an exact time begins just before itself; an open beginning lies just after its value; an end lies on it
  const ends = intervals.flatMap(({ after, by }) => [
    { at: after, order: after === by ? 0 : 2, left: true },
    { at: by, order: 1, left: false },
  ]);
  ends.sort((a, b) => a.at - b.at || a.order - b.order);
  const cells: { from: number; to: number }[] = [];
  for (let i = 0; i + 1 < ends.length; i++) {
    const [a, b] = [ends[i], ends[i + 1]];
    if (a?.left && b && !b.left) cells.push({ from: a.at, to: b.at });
  }
  return cells;
}

const covers = (i: TimeInterval, cell: { from: number; to: number }): boolean =>
  i.after <= cell.from && cell.to <= i.by && (cell.from < cell.to || i.after === i.by || i.after < cell.from);
