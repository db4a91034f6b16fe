import type { HomePart } from '../facts';
import type { Housing, Move, PartNow } from './housing';

export const partOf = ({ parts }: Pick<Housing, 'parts'>, id: string): PartNow | undefined =>
  parts.find((p) => p.part.id === id);

/** A fresh home stands ready and she has not crossed into it. */
export const underWay = (move: Move | null): boolean =>
  move !== null && move.stage !== 'real' && move.stage !== 'finished';

/** The parts that were not taken away. */
export const standing = ({ parts }: Pick<Housing, 'parts'>): PartNow[] => parts.filter((p) => !p.gone);

/** A rim or a wall keeps her in it: it lies open above. */
export const keptByBarrier = ({ kind }: Pick<HomePart, 'kind'>): boolean =>
  kind === 'outworld' || kind === 'box';
