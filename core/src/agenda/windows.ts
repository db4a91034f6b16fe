import type { Ask, AskedDeed, Task } from '../care';
import type { Window } from './visits';

/** A deed of one queen's with its window. */
export interface Due extends Window, AskedDeed {}

/** What to have ready for each task (common practice, no source). */
export const PREPARE: Record<Task, readonly string[]> = {
  feed: ['sugar water', 'foil', 'a tiny piece of dead prey'],
  'take-out': ['a cotton bud', 'tweezers'],
  look: ['red light'],
  'fresh-home': ['a fresh tube', 'tape', 'a dark sleeve'],
  'move-step': ['a dark sleeve', 'tape', 'a spare dry plug'],
  clean: ['a damp cotton bud', 'tweezers'],
  plug: ['a fresh tube', 'tape', 'a dark sleeve'],
  'check-water': ['red light'],
  'water-home': ['boiled and cooled water', 'a blunt syringe'],
  cool: ['a thermometer'],
  warm: ['a thermometer'],
  winter: ['a thermometer', 'a closed container'],
  quarantine: ['a lens'],
  separate: ['a finished tube', 'a dry plug'],
  space: ['a small lidded space', 'a barrier'],
  nest: ['a small nest', 'a joint that fits', 'a barrier'],
};

/** What to have ready for a deed: by what she lives on where that decides, else what it always needs. */
export const prepareFor = ({ task, ready }: Pick<Ask, 'task' | 'ready'>): readonly string[] =>
  ready ?? PREPARE[task];

/** The deeds of a row of the shelf, with whose they are. */
export function dueAt(row: {
  queen: { id: string };
  part: { id: string };
  due: readonly AskedDeed[];
}): Due[] {
  return row.due.map((d) => ({
    ...d,
    id: `${row.queen.id}-${d.task}`,
    queenId: row.queen.id,
    homeId: row.part.id,
  }));
}
