import type { PartKind } from '../facts';

/** What a keeper calls a part: one table for counsel, forms and drawings. */
export const PART_NOUNS: Record<PartKind, string> = {
  tube: 'tube',
  'joint-chamber': 'joint chamber',
  box: 'box',
  outworld: 'foraging space',
  nest: 'nest',
  cell: 'founding cell',
  dish: 'founding dish',
  drinker: 'drinker',
};

export const nounOf = ({ kind }: { kind: PartKind }): string => PART_NOUNS[kind];
