import { effectiveEntries } from '@gentle-burrow/core/log';
import type { Instant } from '@gentle-burrow/core/quantity';
import type { ShownQueen } from '@/data/queries';

/** Photos of the looks that count, oldest first. */
export const photosOf = ({ facts }: ShownQueen): { id: string; at: Instant }[] =>
  effectiveEntries(facts.entries).flatMap(({ entry }) =>
    entry?.kind === 'look' ? (entry.photos ?? []).map((id) => ({ id, at: entry.at })) : [],
  );
