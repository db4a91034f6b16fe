import type { KindName } from '@gentle-burrow/core/log';
import { NAMES } from './names';

/** "1 queen", "5 queens". */
export const queensText = (n: number): string => (n === 1 ? '1 queen' : `${n} queens`);

/** What is done with several queens at once, on its button. */
export const MANY_WORDS = {
  move: 'Move',
  feed: 'Feed',
  look: 'Looked: as before',
  winter: 'Plan winter',
  rest: NAMES.leaveAlone,
  home: 'Change home',
  identify: 'Species',
  note: 'Note',
  correct: NAMES.correct,
  labels: 'Print labels',
} as const satisfies Partial<Record<KindName | 'labels', string>>;
