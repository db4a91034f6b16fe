import { isDeepStrictEqual } from 'node:util';
import { seenByOther, twinId, type Entry, type EntryOf } from '@gentle-burrow/core/log';
import type { Store } from '../db/store';
import { Refusal } from '../errors';

/**
 * What concerns two colonies is written into both logs, put right in both and taken back in both.
 * @throws Refusal when only one half is sent and the other is not there yet, or the halves do not say the same
 */
export async function refuseHalf(entries: readonly Entry[], store: Pick<Store, 'entriesOf'>): Promise<void> {
  if (!entries.some((e) => e.kind === 'brood' || e.kind === 'amendment')) return;
  const concerned = entries.flatMap((e) => (e.kind === 'brood' ? [e.queenId, e.otherId] : [e.queenId]));
  const known = await knownOf(concerned, store);
  for (const e of entries) known.set(e.id, e);
  for (const e of entries) {
    const root = rootOf(e, known);
    if (root?.kind !== 'brood') continue;
    if (!known.has(twinId(root.id)))
      for (const [id, o] of await knownOf([root.otherId], store)) known.set(id, o);
    if (!sameSaid(e, known.get(twinId(e.id)), root)) throw new Refusal('half-told');
  }
}

async function knownOf(
  queenIds: readonly string[],
  store: Pick<Store, 'entriesOf'>,
): Promise<Map<string, Entry>> {
  const logs = await store.entriesOf([...new Set(queenIds)]);
  return new Map([...logs.values()].flat().map((e) => [e.id, e]));
}

/** What an amendment of an amendment puts right in the end. */
function rootOf(e: Entry, known: ReadonlyMap<string, Entry>): Entry | undefined {
  let at: Entry | undefined = e;
  for (let i = 0; at?.kind === 'amendment' && i < known.size; i++) at = known.get(at.amends);
  return at;
}

/** Whether the other half says the same, seen from the other colony. */
function sameSaid(e: Entry, twin: Entry | undefined, root: EntryOf<'brood'>): boolean {
  if (!twin || twin.queenId !== root.otherId) return false;
  if (e.kind === 'brood') {
    if (twin.kind !== 'brood') return false;
    const { id: _, queenId, loggedAt: __, ...body } = e;
    const { id: _t, queenId: _q, loggedAt: _l, ...there } = twin;
    return isDeepStrictEqual(seenByOther(body, queenId), there);
  }
  if (e.kind !== 'amendment' || twin.kind !== 'amendment' || twin.amends !== twinId(e.amends)) return false;
  const replacement = e.replacement?.kind === 'brood' ? seenByOther(e.replacement, e.queenId) : e.replacement;
  return isDeepStrictEqual(replacement, twin.replacement);
}
