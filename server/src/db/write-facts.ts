import { isDeepStrictEqual } from 'node:util';
import type { Probe, StockMove } from '@gentle-burrow/core/facts';
import { referencesOf, type Entry } from '@gentle-burrow/core/log';
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
    const row = { ...q, createdAt: new Date(q.createdAt) };
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
  await tx
    .insert(t.stockMoves)
    .values(moves.map((m) => ({ ...m, at: new Date(m.at) })))
    .onConflictDoNothing();
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
  // amended entries before their amendments
  const ordered = [...fresh].sort((a, b) => Number(a.kind === 'amendment') - Number(b.kind === 'amendment'));
  for (let i = 0; i < ordered.length; i += ROWS_PER_INSERT) {
    await tx.insert(t.entries).values(ordered.slice(i, i + ROWS_PER_INSERT).map(toRow));
  }
  return { accepted: fresh.map((e) => e.id), known: [...known.keys()] };
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
  const wanted = [...new Set(fresh.map((e) => e.queenId))];
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
  for (const a of amendments) {
    const target = here.get(a.amends) ?? stored.get(a.amends);
    if (!target || target.queenId !== a.queenId) throw new Refusal('no-such-entry', undefined, 'amends');
    if (a.replacement && target.kind !== a.replacement.kind)
      throw new Refusal('wrong-kind', undefined, 'replacement');
  }
}
