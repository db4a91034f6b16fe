import type { StockMove } from '@gentle-burrow/core/facts';
import type { Entry, EntryBody, FactEntry } from '@gentle-burrow/core/log';
import { seenByOther, twinId } from '@gentle-burrow/core/light';
import { v7 } from 'uuid';
import { outboxItems, put, replace, type Outgoing } from './outbox';

/**
 * Writes an entry into a queen's log: kept on this device at once, sent when the server can be reached. An act that concerns
 * two colonies is written into both logs.
 * @param alongside what belongs to it and is kept with it or not at all
 */
export async function writeEntry(
  queenId: string,
  body: EntryBody,
  alongside: readonly Outgoing[] = [],
): Promise<Entry> {
  const [entry] = await writeEntries([{ queenId, body }], alongside);
  return entry as Entry;
}

/** Several at once: all are kept, or none; each is sent by itself, so that one refused holds up no other. */
export async function writeEntries(
  said: readonly { queenId: string; body: EntryBody }[],
  alongside: readonly Outgoing[] = [],
): Promise<Entry[]> {
  const loggedAt = new Date().toISOString();
  const acts = said.map(({ queenId, body }) => actOf(queenId, v7(), body, loggedAt));
  // a place that an entry names is known before it
  const places = alongside.filter((o) => o.what === 'place');
  const rest = alongside.filter((o) => o.what !== 'place');
  await put(...places, ...acts.map((entries): Outgoing => ({ what: 'entries', entries })), ...rest);
  return acts.flatMap(([entry]) => (entry ? [entry] : []));
}

/** What is written of a queen: something new, or an entry of hers put right. */
export type Act =
  | { queenId: string; body: EntryBody }
  | { queenId: string; amends: string; over: string | null; replacement: EntryBody };

/**
 * Writes all of it.
 * @returns what takes all of it back
 */
export async function writeActs(
  acts: readonly Act[],
  alongside: readonly Outgoing[] = [],
): Promise<() => Promise<void>> {
  const fresh = acts.flatMap((act) => ('body' in act ? [act] : []));
  const written = fresh.length > 0 || alongside.length > 0 ? await writeEntries(fresh, alongside) : [];
  const amended: Amendable[] = [];
  for (const act of acts)
    if ('amends' in act) {
      const { queenId, amends: id, replacement, over } = act;
      amended.push(await amendEntry({ queenId, id, otherId: otherOf(replacement) }, replacement, over));
    }
  return async () => {
    await takeBack(written);
    for (const a of amended) await amendEntry(a, null);
    for (const out of alongside)
      if (out.what === 'stock-move') await put({ what: 'stock-move', move: putBack(out.move) });
  };
}

/** An entry, and the same in the log of the other colony that it concerns. */
function actOf(queenId: string, id: string, body: EntryBody, loggedAt: string): Entry[] {
  const entry = { ...body, id, queenId, loggedAt } as Entry;
  if (body.kind !== 'brood') return [entry];
  return [entry, { ...entry, ...seenByOther(body, queenId), id: twinId(id), queenId: body.otherId } as Entry];
}

/** What is put right or taken back: an entry, or an amendment of one; and the colony in whose log the same stands. */
interface Amendable {
  queenId: string;
  id: string;
  otherId?: string | undefined;
  /** It had never been sent and was put right itself: what it was before that. */
  was?: EntryBody | undefined;
}

/** The other colony that an act concerns. */
export const otherOf = (body: EntryBody | FactEntry): string | undefined =>
  body.kind === 'brood' ? body.otherId : undefined;

/**
 * Puts an entry right, or withdraws it with null. The entry itself stays in the log as it was written. What stands in two logs
 * is put right in both.
 * @param over the amendment that held until now, null when none did: so that two devices that amend one entry are found out
 */
export async function amendEntry(
  amended: Amendable,
  replacement: EntryBody | null,
  over: string | null = null,
): Promise<Amendable> {
  const { queenId, id, was } = amended;
  if (was && replacement === null) return amendEntry({ ...amended, was: undefined }, was);
  const refused = replacement && refusedEntry(id);
  if (refused) {
    // it never reached the server: it is put right itself, and sent so
    const entries = actOf(queenId, id, replacement, new Date().toISOString());
    await replace(refused.item, () => ({ what: 'entries', entries }));
    return { ...amended, was: refused.body };
  }
  const act = amendmentsOf(amended, replacement, over);
  await put({ what: 'entries', entries: act });
  return { queenId: amended.queenId, id: act[0].id, otherId: amended.otherId };
}

/** An entry that the server refused, and under what it waits; null when it is none. */
function refusedEntry(id: string): { item: string; body: EntryBody } | null {
  for (const { id: item, refused, out } of outboxItems()) {
    const entry =
      refused !== undefined && out.what === 'entries' ? out.entries.find((e) => e.id === id) : null;
    if (!entry || entry.kind === 'amendment') continue;
    const { id: _, queenId: _q, loggedAt: _l, ...body } = entry;
    return { item, body: body as EntryBody };
  }
  return null;
}

/** Takes several back at once. */
export async function takeBack(written: readonly Amendable[]): Promise<void> {
  await put(...written.map((w): Outgoing => ({ what: 'entries', entries: amendmentsOf(w, null, null) })));
}

function amendmentsOf(
  { queenId, id: amends, otherId }: Amendable,
  replacement: EntryBody | null,
  over: string | null,
): [Entry, ...Entry[]] {
  const now = new Date().toISOString();
  const entry: Entry = {
    kind: 'amendment',
    id: v7(),
    queenId,
    at: now,
    loggedAt: now,
    amends,
    over,
    replacement,
  };
  if (!otherId) return [entry];
  return [
    entry,
    {
      ...entry,
      id: twinId(entry.id),
      queenId: otherId,
      amends: twinId(amends),
      over: over === null ? null : twinId(over),
      replacement: replacement?.kind === 'brood' ? seenByOther(replacement, queenId) : replacement,
    },
  ];
}

/** What was taken from the stock, put back. */
export const putBack = (move: StockMove): StockMove => ({
  ...move,
  id: v7(),
  at: new Date().toISOString(),
  delta: -move.delta,
  why: 'counted',
});
