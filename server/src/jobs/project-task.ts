import type { KeeperSettings } from '@gentle-burrow/core/facts';
import type { Learned } from '@gentle-burrow/core/founding';
import type { Instant } from '@gentle-burrow/core/quantity';
import type { OwnKind, SpeciesProfile } from '@gentle-burrow/core/species';
import { profilesWith } from '@gentle-burrow/core/species/catalogue';
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
  /** The keeper's own profiles. */
  own: readonly OwnKind[];
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
  /** Whose lessons move her: each genus that she may be of, or the kind itself where it is of none. */
  learnsFrom: string[];
  falls: QueenView['falls'];
  /** Heat has lain at a tube of hers: how it falls at her place, others tell too. */
  heated: boolean;
} & (W extends 'views' ? { view: QueenView } : { row: ShelfRow });

/** Within it what one queen teaches moves the others: her genus, or the kind alone where it is of none. */
export const circleOf = ({ id, kin }: SpeciesProfile): string => kin.genus ?? id;

export function project({ facts, settings, own, now, draws, want, learned }: ProjectTask): Projected[] {
  const profileOf = profilesWith(own);
  return facts.map((one, i) => {
    const view = queenView(one, settings, now, {
      draws,
      learned: learned[i] ?? {},
      later: want === 'views',
      profileOf,
    });
    const holdsUntil = viewHoldsUntil(view, now);
    const learnsFrom = [...new Set(view.species.map((k) => circleOf(profileOf(k.profileId))))];
    const heated = view.ledger.heats.length > 0;
    const about = { holdsUntil, teaches: view.teaches, learnsFrom, falls: view.falls, heated };
    return want === 'views' ? { ...about, view } : { ...about, row: shelfRow(one, view) };
  });
}
