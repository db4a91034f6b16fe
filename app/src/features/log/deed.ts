import type { Task } from '@gentle-burrow/core/care';
import type { QueenView } from '@gentle-burrow/core/view';
import type { FormKind, PagedKind } from './kind-form';

/** What can be written of a queen. */
export type Deed = FormKind | PagedKind;

/** By which entry each thing that is asked for is written down. */
export const DEED_OF: Record<Task, Deed> = {
  feed: 'feed',
  'take-out': 'feed',
  look: 'look',
  'check-water': 'look',
  'water-home': 'home',
  plug: 'look',
  clean: 'home',
  quarantine: 'health',
  cool: 'move',
  warm: 'move',
  winter: 'move',
  separate: 'note',
  'fresh-home': 'home',
  'move-step': 'home',
  space: 'home',
  nest: 'home',
};

/** By what a deed that is asked for is known on this device. */
export const deedKey = (queenId: string, task: Task): string => `${queenId}-${task}`;

/**
 * How often each is written, the most often first (prior): every deed has a place, so that none can be left out. She is taken in once,
 * and not from here.
 */
const USUAL_AT: Record<Exclude<Deed, 'intake'>, number> = {
  look: 1,
  feed: 2,
  rest: 3,
  note: 4,
  move: 5,
  home: 6,
  heat: 7,
  winter: 8,
  sign: 9,
  health: 10,
  knock: 11,
  identify: 12,
  loss: 13,
  brood: 14,
  correct: 15,
};
const USUAL = (Object.keys(USUAL_AT) as (keyof typeof USUAL_AT)[]).sort((a, b) => USUAL_AT[a] - USUAL_AT[b]);

/** A queen who is dead or away is written of, and put right, but no longer tended; her brood may go to another. */
const GONE: readonly Deed[] = ['note', 'brood', 'correct'];

/** Dead or away; a colony that lives on without her is not. */
export const isGone = ({ ledger }: QueenView): boolean => ledger.loss !== null && !ledger.loss.orphans;

/** Everything that can be written of her, the likeliest first: what is due, by its end, then what is usual. */
export function deedsOf(view: QueenView, now: Date): Deed[] {
  if (isGone(view)) return [...GONE];
  const due = (view.counsel?.due ?? [])
    .filter((ask) => Date.parse(ask.notBefore) <= now.getTime())
    .sort((a, b) => Date.parse(a.notAfter) - Date.parse(b.notAfter))
    .map((ask) => DEED_OF[ask.task]);
  return [...new Set([...due, ...USUAL])];
}
