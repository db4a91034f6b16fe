import type { Housing } from '@gentle-burrow/core/housing';
import { dayText } from '@/ui/dates';

/**
 * What a tube of a home is called: "her tube" while there was never another; in a move as counsel calls the two; else by the
 * day it came.
 */
export function partName({ parts, move }: Housing, id: string): string | undefined {
  const part = parts.find((p) => p.tube.id === id);
  if (!part) return undefined;
  if (move?.to === id) return 'the fresh tube';
  if (move?.from === id) return 'her old tube';
  if (parts.length === 1) return 'her tube';
  return part.purpose === 'first' ? 'her first tube' : `the tube of ${dayText(part.tube.setUpAt)}`;
}
