import type { Answer, AnswerId } from '@gentle-burrow/core/care';
import type { Preferences } from '@/theme/preferences';
import { lengthText } from '@/ui/units';
import { MEAL_WORDS } from './log';

/** Answers that need no more than their name; of the others what they say is named. */
export const ANSWERED: Record<Exclude<AnswerId, 'fed' | 'line-as-expected' | 'watered'>, string> = {
  eaten: 'Eaten up',
  'taken-out': 'Taken out',
  left: 'Left uneaten',
  'as-before': 'All as before',
  cleaned: 'Done',
  uncovered: 'Old tube uncovered',
  'all-across': 'All across',
  'nobody-yet': 'None across yet',
};

/** What a likely answer to a deed is called on its button. */
export function answerText({ id, says, about }: Answer, unit: Preferences['length']): string {
  switch (id) {
    case 'fed':
      return says.kind === 'feed' ? `Fed ${MEAL_WORDS[says.food]}` : 'Fed';
    case 'line-as-expected':
      return says.kind === 'look' && says.waterLineMm !== undefined
        ? `Water line at ${lengthText(says.waterLineMm, unit)}`
        : 'Water line read';
    case 'watered':
      return about ? `Watered the ${about}` : 'Watered';
    default:
      return ANSWERED[id];
  }
}
