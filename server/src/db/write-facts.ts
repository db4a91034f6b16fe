import { isDeepStrictEqual } from 'node:util';
import type { Probe, StockMove } from '@gentle-burrow/core/facts';
import { inOrder, referencesOf, type Entry } from '@gentle-burrow/core/log';
import { isKind } from '@gentle-burrow/core/species/catalogue';
import { inArray, sql } from 'drizzle-orm';
import { Refusal } from '../errors';
import type { Fact, Written } from './facts';
import type { Db } from './open';
import { addReadings, takeBack, type Taken } from './readings';
import * as t from './schema';

type Tx = Parameters<Parameters<Db['transaction']>[0]>[0];
type ValueOf<F extends Fact['fact']> = Extract<Fact, { fact: F }>['value'];

/** Writes facts inside a transaction: places, homes and queens are put in their newest form, entries are only added. */
export async function writeFacts(tx: Tx, facts: readonly Fact[]): Promise<Written> {
  const of = <F extends Fact['fact']>(kind: F) =>
    facts.filter((f): f is Extract<Fact, { fact: F }> => f.fact === kind).map((f) => f.value as ValueOf<F>);

  for (const p of lastOfEach(of('place'))) {
    const row = {
      id: p.id,
      name: p.name,
      tempC: p.tempC,
      roomRelHumidity: p.roomRelHumidity,
      winterUntil: p.winter ? new Date(p.winter.until) : null,
      winterThenTempC: p.winter?.thenTempC ?? null,
      spot: p.spot ?? null,
    };
    await tx.insert(t.places).values(row).onConflictDoUpdate({ target: t.places.id, set: row });
  }
  for (const h of lastOfEach(of('home'))) {
    const { id, kind, setUpAt, ...body } = h;
    const row = { id, kind, body, setUpAt: new Date(setUpAt) };
    await tx.insert(t.homes).values(row).onConflictDoUpdate({ target: t.homes.id, set: row });
  }
  for (const q of lastOfEach(of('queen'))) {
    const { lightSchool = null, patienceSchool = null } = q;
    const row = { ...q, lightSchool, patienceSchool, createdAt: new Date(q.createdAt) };
    await tx.insert(t.queens).values(row).onConflictDoUpdate({ target: t.queens.id, set: row });
  }
  for (const k of lastOfEach(of('own-kind'))) {
    if (isKind(k.id)) throw new Refusal('id-taken', undefined, 'id');
    const row = { id: k.id, name: k.name, profile: k, own: true };
    await tx
      .insert(t.speciesProfiles)
      .values(row)
      .onConflictDoUpdate({ target: t.speciesProfiles.id, set: row });
  }
  for (const i of lastOfEach(of('stock-item'))) {
    await tx.insert(t.stockItems).values(i).onConflictDoUpdate({ target: t.stockItems.id, set: i });
  }
  await addStockMoves(tx, of('stock-move'));
  for (const value of of('settings').slice(-1)) {
    await tx
      .insert(t.settings)
      .values({ key: 'keeper', value })
      .onConflictDoUpdate({ target: t.settings.key, set: { value } });
  }
  for (const p of lastOfEach(of('probe'))) {
    await checkStays(tx, p);
    const row = { id: p.id, name: p.name, body: p };
    await tx.insert(t.probes).values(row).onConflictDoUpdate({ target: t.probes.id, set: row });
  }
  const entries = await addEntries(tx, of('entry'));
  const readings: Taken = { added: 0, known: 0, contradictory: 0, there: [] };
  for (const batch of of('readings')) {
    const taken = await addReadings(tx, batch);
    readings.added += taken.added;
    readings.known += taken.known;
    readings.contradictory += taken.contradictory;
    readings.there.push(...taken.there);
  }
  for (const back of of('readings-taken-back')) await takeBack(tx, back);
  return { ...entries, readings };
}

/** A probe lies only where there is a place. */
async function checkStays(tx: Tx, { stays }: Probe): Promise<void> {
  await refuseUnknownPlaces(tx, new Set(stays.flatMap((s) => s.placeId ?? [])));
}

async function addStockMoves(tx: Tx, moves: readonly StockMove[]): Promise<void> {
  if (moves.length === 0) return;
  const wanted = [...new Set(moves.map((m) => m.itemId))];
  const found = await tx
    .select({ id: t.stockItems.id })
    .from(t.stockItems)
    .where(inArray(t.stockItems.id, wanted));
  if (found.length < wanted.length) throw new Refusal('no-such-item', undefined, 'itemId');
  await refuseUnknownQueens(
    tx,
    moves.flatMap((m) => m.queenId ?? []),
  );
  const rows = moves.map((m) => ({ ...m, at: new Date(m.at) }));
  await tx.insert(t.stockMoves).values(rows).onConflictDoNothing();
  const kept = await tx
    .select()
    .from(t.stockMoves)
    .where(
      inArray(
        t.stockMoves.id,
        rows.map((r) => r.id),
      ),
    );
  const stored = new Map(kept.map((k) => [k.id, k]));
  if (rows.some((r) => !isDeepStrictEqual(stored.get(r.id), r)))
    throw new Refusal('id-taken', undefined, 'id');
}

function lastOfEach<T extends { id: string }>(values: T[]): T[] {
  return [...new Map(values.map((v) => [v.id, v])).values()];
}

const ROWS_PER_INSERT = 500;

async function addEntries(tx: Tx, all: readonly Entry[]): Promise<Omit<Written, 'readings'>> {
  if (all.length === 0) return { accepted: [], known: [] };
  const given = new Map<string, Entry>();
  for (const e of all) {
    const twin = given.get(e.id);
    if (twin && !isDeepStrictEqual(twin, e)) throw new Refusal('id-taken', undefined, 'id');
    given.set(e.id, e);
  }
  const known = await storedEntries(tx, [...given.keys()]);
  for (const [id, stored] of known) {
    if (!isDeepStrictEqual(stored, given.get(id))) throw new Refusal('id-taken', undefined, 'id');
  }
  const fresh = [...given.values()].filter((e) => !known.has(e.id));
  await checkQueens(tx, fresh);
  await checkPlaces(tx, fresh);
  await checkAmended(tx, fresh);
  await checkSpecies(tx, fresh);
  const ordered = inOrder(fresh);
  for (let i = 0; i < ordered.length; i += ROWS_PER_INSERT) {
    await tx.insert(t.entries).values(ordered.slice(i, i + ROWS_PER_INSERT).map(toRow));
  }
  return { accepted: ordered.map((e) => e.id), known: [...known.keys()] };
}

function toRow(e: Entry): typeof t.entries.$inferInsert {
  return {
    id: e.id,
    queenId: e.queenId,
    kind: e.kind,
    at: new Date(e.at),
    loggedAt: new Date(e.loggedAt),
    amends: e.kind === 'amendment' ? e.amends : null,
    speciesId: speciesOf(e),
    body: e,
  };
}

/** The first species that an entry names. */
const speciesOf = (e: Entry): string | null => referencesOf(e).species?.[0] ?? null;

/** Every species that is named must be known: of the catalogue, or the keeper's own. */
async function checkSpecies(tx: Tx, fresh: readonly Entry[]): Promise<void> {
  const wanted = new Set(fresh.flatMap((e) => referencesOf(e).species ?? []).filter((id) => !isKind(id)));
  if (wanted.size === 0) return;
  const found = await tx
    .select({ id: t.speciesProfiles.id })
    .from(t.speciesProfiles)
    .where(inArray(t.speciesProfiles.id, [...wanted]));
  if (found.length < wanted.size) throw new Refusal('no-such-species', undefined, 'species');
}

async function storedEntries(tx: Tx, ids: string[]): Promise<Map<string, Entry>> {
  if (ids.length === 0) return new Map();
  const rows = await tx
    .select({ body: t.entries.body })
    .from(t.entries)
    .where(sql`${t.entries.id} = any(${sql.param(`{${ids.join(',')}}`)}::uuid[])`);
  return new Map(rows.map((r) => [r.body.id, r.body]));
}

async function checkQueens(tx: Tx, fresh: readonly Entry[]): Promise<void> {
  await refuseUnknownQueens(
    tx,
    fresh.map((e) => e.queenId),
  );
}

async function refuseUnknownQueens(tx: Tx, ids: readonly string[]): Promise<void> {
  const wanted = [...new Set(ids)];
  if (wanted.length === 0) return;
  const found = await tx.select({ id: t.queens.id }).from(t.queens).where(inArray(t.queens.id, wanted));
  if (found.length < wanted.length) throw new Refusal('no-such-queen', undefined, 'queenId');
}

async function checkPlaces(tx: Tx, fresh: readonly Entry[]): Promise<void> {
  await refuseUnknownPlaces(tx, new Set(fresh.flatMap((e) => referencesOf(e).places ?? [])));
}

async function refuseUnknownPlaces(tx: Tx, wanted: ReadonlySet<string>): Promise<void> {
  if (wanted.size === 0) return;
  const found = await tx
    .select({ id: t.places.id })
    .from(t.places)
    .where(inArray(t.places.id, [...wanted]));
  if (found.length < wanted.size) throw new Refusal('no-such-place', undefined, 'placeId');
}

async function checkAmended(tx: Tx, fresh: readonly Entry[]): Promise<void> {
  const amendments = fresh.filter((e) => e.kind === 'amendment');
  if (amendments.length === 0) return;
  const here = new Map(fresh.map((e) => [e.id, e]));
  const stored = await storedEntries(
    tx,
    amendments.map((a) => a.amends).filter((id) => !here.has(id)),
  );
  await checkDepth(tx, amendments);
  for (const a of amendments) {
    const target = here.get(a.amends) ?? stored.get(a.amends);
    if (!target || target.queenId !== a.queenId) throw new Refusal('no-such-entry', undefined, 'amends');
    if (a.replacement && target.kind !== a.replacement.kind)
      throw new Refusal('wrong-kind', undefined, 'replacement');
  }
}

/** Whoever takes a correction back, and that, and that again, comes nowhere near: a longer chain would take long at every look. */
const DEEPEST_CHAIN = 100;

async function checkDepth(
  tx: Tx,
  amendments: readonly Extract<Entry, { kind: 'amendment' }>[],
): Promise<void> {
  const stored = new Map<string, number>();
  const roots = amendments.map((a) => a.amends);
  // how deep what they put right lies already
  const about = sql.identifier(t.entries.amends.name);
  const found = await tx.execute(sql`
    with recursive chain as (
      select id as leaf, ${about} as above, 1 as depth from entries where id = any(${sql.param(`{${roots.join(',')}}`)}::uuid[])
      union all
      select chain.leaf, e.${about}, chain.depth + 1 from chain join entries e on e.id = chain.above
      where chain.depth <= ${DEEPEST_CHAIN}
    )
    select leaf, max(depth)::int as depth from chain group by leaf`);
  for (const { leaf, depth } of (found as unknown as { rows: { leaf: string; depth: number }[] }).rows)
    stored.set(leaf, depth);
  const depths = new Map<string, number>();
  for (const e of inOrder(amendments)) {
    const { id, amends } = e as (typeof amendments)[number];
    const depth = 1 + (depths.get(amends) ?? stored.get(amends) ?? 1);
    if (depth > DEEPEST_CHAIN) throw new Refusal('too-deep', undefined, 'amends');
    depths.set(id, depth);
  }
}
