import type { Place, Probe } from '@gentle-burrow/core/facts';
import { v7 } from 'uuid';
import { put } from '@/data/outbox';
import { offerUndo } from '@/ui/undo';

/** Lays a new logger at a place; what its file tells of before counts for this place too. Undone, it is put away. */
export async function layLogger(
  place: Place,
  { name, silentAfterH }: Pick<Probe, 'name' | 'silentAfterH'>,
): Promise<Probe> {
  const probe: Probe = {
    id: v7(),
    name,
    kind: 'logger',
    stays: [{ from: new Date(0).toISOString(), placeId: place.id }],
    silentAfterH,
    checks: [],
  };
  await put({ what: 'probe', probe });
  offerUndo(`${probe.name} lies here.`, () =>
    put({
      what: 'probe',
      probe: { ...probe, stays: [...probe.stays, { from: new Date().toISOString(), placeId: null }] },
    }),
  );
  return probe;
}
