import { settingsSchema } from '@gentle-burrow/core/facts';
import { referencesOf } from '@gentle-burrow/core/log';
import {
  factSchema,
  type Fact,
  type Here,
  type KindOfFact,
  type Numbered,
} from '@gentle-burrow/core/records';
import { and, eq, inArray } from 'drizzle-orm';
import type { PgColumn, PgTable } from 'drizzle-orm/pg-core';
import type { Db } from './open';
import { toHome, toMove, toPlace, toQueen } from './rows';
import * as t from './schema';

/** So many are asked for at once. */
const AT_ONCE = 500;

/** What is known of what these facts are about, and of what they name: read once, as it is now. */
export async function factsHere(db: Db, given: readonly Numbered[]): Promise<Here> {
  const found = new Map<string, Fact>();
  const add = (fact: unknown, key?: string) => {
    // what an older version did not ask is filled in, as it is in a file that is read
    const { success, data } = factSchema.safeParse(fact);
    if (success && 'id' in data.value) found.set(`${data.fact} ${data.value.id}`, data);
    else if (success && key) found.set(key, data);
  };
  const asked = namedBy(given);
  const each = async <T>(
    kind: KindOfFact,
    read: (ids: string[]) => Promise<T[]>,
    value: (row: T) => unknown,
  ) => {
    const ids = [...(asked.get(kind) ?? [])];
    for (let i = 0; i < ids.length; i += AT_ONCE)
      for (const row of await read(ids.slice(i, i + AT_ONCE))) add({ fact: kind, value: value(row) });
  };
  const rows =
    <T extends PgTable & { id: PgColumn }>(table: T) =>
    (ids: string[]) =>
      db
        .select()
        .from(table as PgTable)
        .where(inArray(table.id, ids)) as unknown as Promise<T['$inferSelect'][]>;
  await each('place', rows(t.places), toPlace);
  await each('home', rows(t.homes), toHome);
  await each('queen', rows(t.queens), toQueen);
  await each('entry', rows(t.entries), (r) => r.body);
  await each('stock-item', rows(t.stockItems), (r) => r);
  await each('stock-move', rows(t.stockMoves), toMove);
  await each('probe', rows(t.probes), (r) => r.body);
  await each(
    'own-kind',
    (ids) =>
      db
        .select()
        .from(t.speciesProfiles)
        .where(and(eq(t.speciesProfiles.own, true), inArray(t.speciesProfiles.id, ids))),
    (r) => r.profile,
  );
  // settings that were never told are not here
  const [told] = await db.select().from(t.settings).where(eq(t.settings.key, 'keeper'));
  if (told) add({ fact: 'settings', value: settingsSchema.parse(told.value) }, 'settings settings');
  return (kind, id) => found.get(`${kind} ${id}`);
}

/** Every id that the facts are of or name, by what it is of. */
function namedBy(given: readonly Numbered[]): Map<KindOfFact, Set<string>> {
  const asked = new Map<KindOfFact, Set<string>>();
  const ask = (kind: KindOfFact, ...ids: (string | null | undefined)[]) => {
    const all = asked.get(kind) ?? new Set();
    for (const id of ids) if (id) all.add(id);
    asked.set(kind, all);
  };
  for (const { fact } of given) {
    switch (fact.fact) {
      case 'settings':
        break;
      case 'readings':
      case 'readings-taken-back':
        ask('probe', fact.value.probeId);
        break;
      case 'entry': {
        const e = fact.value;
        const { places = [], species = [] } = referencesOf(e);
        ask('entry', e.id, e.kind === 'amendment' ? e.amends : null);
        ask('queen', e.queenId);
        ask('place', ...places);
        ask('own-kind', ...species);
        break;
      }
      case 'queen':
        ask('queen', fact.value.id);
        ask('home', fact.value.homeId);
        ask('place', fact.value.placeId);
        break;
      case 'probe':
        ask('probe', fact.value.id);
        ask('place', ...fact.value.stays.map((s) => s.placeId));
        break;
      case 'stock-move':
        ask('stock-move', fact.value.id);
        ask('stock-item', fact.value.itemId);
        ask('queen', fact.value.queenId);
        break;
      default:
        ask(fact.fact, fact.value.id);
    }
  }
  return asked;
}
