import { dueAt, planVisits, prepareFor, type Due, type VisitPlan } from '@gentle-burrow/core/agenda';
import type { KeeperSettings } from '@gentle-burrow/core/facts';
import { dayOf } from '@gentle-burrow/core/quantity';
import type { ShelfRow } from '@gentle-burrow/core/view';
import { zoneNow } from '@/ui/dates';

/** How far ahead visits are planned, days. */
export const AHEAD_DAYS = 90;

export interface ShelfPlan extends VisitPlan {
  /** Due within hours, told by themselves. */
  timers: Due[];
  /** Tubes that want nothing today, each until its next visit, yyyy-mm-dd; soonest first. */
  resting: { row: ShelfRow; until: string | null }[];
}

/** The visits that the shelf wants of its keeper, in the days that the keeper has. */
export function planOf(
  rows: readonly ShelfRow[],
  { weekdays, absences }: Pick<KeeperSettings, 'weekdays' | 'absences'>,
  now: Date,
): ShelfPlan {
  const due = rows.flatMap(dueAt);
  const plan = planVisits(
    due.filter((d) => !d.timer),
    { weekdays, absences, from: now.toISOString(), days: AHEAD_DAYS, zone: zoneNow() },
  );
  const today = dayOf(now.toISOString(), zoneNow());
  const wanted = new Set(
    plan.visits.filter((v) => v.day === today).flatMap((v) => v.windows.map((w) => w.queenId)),
  );
  const nextVisit = (id: string) =>
    plan.visits.find((v) => v.windows.some((w) => w.queenId === id))?.day ?? null;
  const resting = rows
    .filter((r) => !r.lost && !wanted.has(r.queen.id))
    .map((row) => ({
      row,
      until: nextVisit(row.queen.id) ?? (row.restUntil ? dayOf(row.restUntil, zoneNow()) : null),
    }))
    .sort((a, b) => (a.until ?? '9').localeCompare(b.until ?? '9'));
  return { ...plan, timers: due.filter((d) => d.timer), resting };
}

/** Everything to have ready for some tasks, each once. */
export const toPrepare = (due: readonly Due[]): string[] => [...new Set(due.flatMap((d) => prepareFor(d)))];
