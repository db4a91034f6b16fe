import type { Instant } from '@gentle-burrow/core/quantity';
import type { ShelfRow } from '@gentle-burrow/core/view';
import { namesText } from '@/features/many/names-text';

/** All who can be fed, those whose feed is due first; within each, as the shelf has them. */
export function feedable(rows: readonly ShelfRow[], now: Date): { row: ShelfRow; due: boolean }[] {
  const all = rows
    .filter((r) => !r.lost)
    .map((row) => ({
      row,
      due: row.due.some((ask) => ask.task === 'feed' && Date.parse(ask.notBefore) <= now.getTime()),
    }));
  return [...all.filter((r) => r.due), ...all.filter((r) => !r.due)];
}

/** When the youngest of them came: nothing was fed before. */
export const latestIntake = (rows: readonly ShelfRow[]): Instant | null =>
  rows
    .map((r) => r.life?.from ?? r.queen.createdAt)
    .sort()
    .at(-1) ?? null;

/** "Feed of A1 kept.", "Feeds of A1, B2 and C3 kept." */
export function fedText(rows: readonly ShelfRow[]): string {
  const names = rows.map((r) => r.queen.label);
  return `${names.length < 2 ? 'Feed' : 'Feeds'} of ${namesText(names)} kept.`;
}
