import {
  queenView,
  shelfRow,
  viewHoldsUntil,
  type Instant,
  type KeeperSettings,
  type QueenFacts,
  type QueenView,
  type ShelfRow,
} from '@gentle-burrow/core';

/** Projects some queens: the heavy part, kept off the server's event loop. */
export interface ProjectTask {
  facts: QueenFacts[];
  settings: KeeperSettings;
  now: Instant;
  draws: number;
  /** Whole views, or only what the shelf shows. */
  want: 'views' | 'rows';
}

export type Projected<W extends ProjectTask['want'] = ProjectTask['want']> = {
  holdsUntil: Instant;
} & (W extends 'views' ? { view: QueenView } : { row: ShelfRow });

export function project({ facts, settings, now, draws, want }: ProjectTask): Projected[] {
  return facts.map((one) => {
    const view = queenView(one, settings, now, { draws });
    const holdsUntil = viewHoldsUntil(view, now);
    return want === 'views' ? { holdsUntil, view } : { holdsUntil, row: shelfRow(one, view, now) };
  });
}
