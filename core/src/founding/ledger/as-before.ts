import type { EntryBody } from '../../log';
import { MILESTONES } from '../../species';
import type { QueenLedger } from './queen-ledger';

/** A look that found everything as it was last counted, and her alive. A water line is not claimed that nobody read. */
export function asBefore({
  counts,
  wetFront,
  mould,
}: Pick<QueenLedger, 'counts' | 'wetFront' | 'mould'>): Omit<Extract<EntryBody, { kind: 'look' }>, 'at'> {
  const stages = MILESTONES.flatMap((m) => {
    const count = counts[m];
    return count ? [[m, count.range]] : [];
  });
  return {
    kind: 'look',
    queen: 'seen',
    ...Object.fromEntries(stages),
    ...(wetFront ? { wetFront: wetFront.value } : {}),
    ...(mould ? { mould: mould.value } : {}),
    text: 'no change',
  };
}
