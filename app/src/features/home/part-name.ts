import type { Housing } from '@gentle-burrow/core/housing';
import { nounOf } from '@gentle-burrow/core/light';
import { dayText } from '@/ui/dates';

/**
 * What a part of a home is called: by the keeper's own name; "her tube" while there was never another; in a move as counsel
 * calls the two; "the nest" where there is one; else by the day it came.
 */
export function partName({ parts, move }: Housing, id: string): string | undefined {
  const now = parts.find((p) => p.part.id === id);
  if (!now) return undefined;
  const { part } = now;
  const noun = nounOf(part);
  if (part.kind !== 'tube' && part.name) return part.name;
  if (parts.length === 1) return `her ${noun}`;
  if (move?.from === id) return `her old ${noun}`;
  const alike = parts.filter((p) => p.part.kind === part.kind && !p.gone);
  if (part.kind !== 'tube' && alike.length === 1) return `the ${noun}`;
  if (move?.to === id) return `the fresh ${noun}`;
  return now.purpose === 'first' ? `her first ${noun}` : `the ${noun} of ${dayText(part.setUpAt)}`;
}
