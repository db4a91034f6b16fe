import type { KeeperSettings } from '@gentle-burrow/core/facts';
import type { Learned } from '@gentle-burrow/core/founding';
import type { Instant } from '@gentle-burrow/core/quantity';
import {
  queenView,
  shelfRow,
  viewHoldsUntil,
  type QueenFacts,
  type QueenView,
  type ShelfRow,
} from '@gentle-burrow/core/view';

/** Projects some queens: the heavy part, kept off the server's event loop. */
export interface ProjectTask {
  facts: QueenFacts[];
  settings: KeeperSettings;
  now: Instant;
  draws: number;
  /** For each queen, what the others say of their kinds. */
  learned: readonly Learned[];
  /** Whole views, or only what the shelf shows. */
  want: 'views' | 'rows';
}

export type Projected<W extends ProjectTask['want'] = ProjectTask['want']> = {
  holdsUntil: Instant;
  teaches: QueenView['teaches'];
  /** Kinds she may be. */
  kinds: string[];
} & (W extends 'views' ? { view: QueenView } : { row: ShelfRow });

export function project({ facts, settings, now, draws, want, learned }: ProjectTask): Projected[] {
  return facts.map((one, i) => {
    const view = queenView(one, settings, now, { draws, learned: learned[i] ?? {}, later: want === 'views' });
    const holdsUntil = viewHoldsUntil(view, now);
    const about = { holdsUntil, teaches: view.teaches, kinds: view.species.map((k) => k.profileId) };
    return want === 'views' ? { ...about, view } : { ...about, row: shelfRow(one, view) };
  });
}
