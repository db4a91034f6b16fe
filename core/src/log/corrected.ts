import type { HomePart, Queen, TubeMeasures } from '../facts';
import { effectiveEntries } from './effective';
import type { Entry, EntryOf } from './entry';

type Corrected = Pick<EntryOf<'correct'>, 'label' | 'batch' | 'tube' | 'body' | 'placeId'>;

/**
 * A queen and her first home as every correction in her log leaves them. What is stored stays as it was first written; of
 * several corrections the last holds, and when all are withdrawn what was held before the first holds again. Applied to
 * what is corrected already it changes nothing.
 */
export function corrected<F extends { queen: Queen; home: HomePart; entries: readonly Entry[] }>(
  facts: F,
): F {
  if (!facts.entries.some((e) => e.kind === 'correct')) return facts;
  const items = effectiveEntries(facts.entries).flatMap(({ original, entry }) =>
    original.kind === 'correct' ? [{ original, entry: entry?.kind === 'correct' ? entry : null }] : [],
  );
  const valueOf = <K extends keyof Corrected>(key: K): NonNullable<Corrected[K]>['is'] | undefined => {
    const standing = items.filter(({ entry }) => entry?.[key]).at(-1)?.entry?.[key];
    return standing ? standing.is : items.find(({ original }) => original[key])?.original[key]?.was;
  };
  const measured: TubeMeasures | undefined = valueOf('tube');
  const { queen, home } = facts;
  return {
    ...facts,
    queen: {
      ...queen,
      label: valueOf('label') ?? queen.label,
      batch: valueOf('batch') ?? queen.batch,
      placeId: valueOf('placeId') ?? queen.placeId,
    },
    home: home.kind === 'tube' ? { ...home, ...measured } : { ...home, ...valueOf('body') },
  };
}

/** Taken in by mistake: her intake was withdrawn, and she is shown nowhere. */
export function isWithdrawn(entries: readonly Entry[]): boolean {
  const intakes = effectiveEntries(entries).filter(({ original }) => original.kind === 'intake');
  return intakes.length > 0 && intakes.every(({ entry }) => entry === null);
}
