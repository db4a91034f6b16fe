import {
  byDay,
  inColumns,
  lengthOf,
  merged,
  NONE,
  packed,
  packedHours,
  dayNumber,
  together,
  unpacked,
  unpackedHours,
  without,
  HOUR_MS,
  type Columns,
  type Day,
  type Rolled,
} from '@gentle-burrow/core/climate';
import { DAY_MS } from '@gentle-burrow/core/quantity';
import { batchOf, columnsOfBatch, type ReadingBatch, type TakenBack } from '@gentle-burrow/core/records';
import { and, asc, between, desc, eq, inArray, sql, type SQL } from 'drizzle-orm';
import { Refusal } from '../errors';
import type { Db } from './open';
import * as t from './schema';

type Tx = Parameters<Parameters<Db['transaction']>[0]>[0];

/** What became of readings that were sent. */
export interface Taken {
  added: number;
  known: number;
  /** Of a moment that had another figure before: what was first stays. */
  contradictory: number;
  /** Their moments: whoever takes back what was sent leaves these. */
  there: number[];
}

/** The newest reading of a probe, in hundredths. */
export interface Latest {
  probeId: string;
  ms: number;
  centiC: number;
  centiPct: number;
}

/** Finer than this the readings themselves are drawn, a chart of so many days from its days. */
const HOURS_FROM_DAYS = 2;
const DAYS_FROM_DAYS = 120;

/**
 * Puts readings to those that are there, day by day. The same again changes nothing.
 * @throws Refusal for a probe that is not known
 */
export async function addReadings(tx: Tx, batch: ReadingBatch): Promise<Taken> {
  const { taken, fresh } = await besideStored(tx, batch);
  if (fresh.length > 0)
    await tx
      .insert(t.readingDays)
      .values(fresh.map((day) => rowOf(batch.probeId, day)))
      .onConflictDoUpdate({ target: [t.readingDays.probeId, t.readingDays.day], set: EXCLUDED });
  return taken;
}

/**
 * What would become of readings if they were added.
 * @throws Refusal for a probe that is not known
 */
export const compareReadings = async (db: Db, batch: ReadingBatch): Promise<Taken> =>
  (await besideStored(db, batch)).taken;

/** Readings beside those that are there, and the days to which they add something, whole. */
async function besideStored(db: Db | Tx, batch: ReadingBatch): Promise<{ taken: Taken; fresh: Day[] }> {
  const { probeId } = batch;
  const [probe] = await db.select({ id: t.probes.id }).from(t.probes).where(eq(t.probes.id, probeId));
  if (!probe) throw new Refusal('no-such-probe', undefined, 'probeId');
  const days = byDay(columnsOfBatch(batch));
  const rows = await db
    .select({ day: t.readingDays.day, readings: t.readingDays.readings })
    .from(t.readingDays)
    .where(
      and(
        eq(t.readingDays.probeId, probeId),
        inArray(
          t.readingDays.day,
          days.map((d) => d.day),
        ),
      ),
    );
  const stored = new Map(rows.map((r) => [r.day, unpacked(r.day, r.readings)]));
  const taken: Taken = { added: 0, known: 0, contradictory: 0, there: [] };
  const fresh: Day[] = [];
  for (const { day, columns } of days) {
    const { columns: whole, ...counts } = merged(stored.get(day) ?? null, columns);
    taken.added += counts.added;
    taken.known += counts.known;
    taken.contradictory += counts.contradictory;
    taken.there.push(...counts.there);
    if (counts.added > 0) fresh.push({ day, columns: whole });
  }
  return { taken, fresh };
}

/** Takes readings out that were written by mistake; those that are not there are no matter. */
export async function takeBack(tx: Tx, { probeId, ms }: TakenBack): Promise<void> {
  const moments = new Set(ms);
  const rows = await tx
    .select({ day: t.readingDays.day, readings: t.readingDays.readings })
    .from(t.readingDays)
    .where(
      and(eq(t.readingDays.probeId, probeId), inArray(t.readingDays.day, [...new Set(ms.map(dayNumber))])),
    );
  for (const { day, readings } of rows) {
    const columns = without(unpacked(day, readings), moments);
    const here = and(eq(t.readingDays.probeId, probeId), eq(t.readingDays.day, day));
    if (lengthOf(columns) === 0) await tx.delete(t.readingDays).where(here);
    else await tx.update(t.readingDays).set(rowOf(probeId, { day, columns })).where(here);
  }
}

/** What the journal of readings holds, written once more. */
export async function replayReadings(tx: Tx, line: ReadingBatch | TakenBack): Promise<void> {
  if ('tempC' in line) await addReadings(tx, line);
  else await takeBack(tx, line);
}

const EXCLUDED = Object.fromEntries(
  (['n', 'tempMin', 'tempMean', 'tempMax', 'rhMin', 'rhMean', 'rhMax', 'hours', 'readings'] as const).map(
    (c) => [c, sql.raw(`excluded."${t.readingDays[c].name}"`)],
  ),
);

function rowOf(probeId: string, whole: Day): typeof t.readingDays.$inferInsert {
  const hours = packedHours(whole);
  const { n, temp, rh } = together(unpackedHours(whole.day, hours), whole.day * DAY_MS, DAY_MS);
  return {
    probeId,
    day: whole.day,
    n,
    tempMin: temp?.min ?? null,
    tempMean: temp?.mean ?? null,
    tempMax: temp?.max ?? null,
    rhMin: rh?.min ?? null,
    rhMean: rh?.mean ?? null,
    rhMax: rh?.max ?? null,
    hours,
    readings: packed(whole),
  };
}

const ofProbe = (probeId: string, fromMs: number, toMs: number) =>
  and(eq(t.readingDays.probeId, probeId), withinDays(fromMs, toMs));

const withinDays = (fromMs: number, toMs: number) =>
  between(t.readingDays.day, dayNumber(fromMs), dayNumber(Math.max(fromMs, toMs - 1)));

/** The hours of a probe between two moments in which it was read, in order. */
export async function hoursOf(db: Db, probeId: string, fromMs: number, toMs: number): Promise<Rolled[]> {
  return (await hoursWhere(db, ofProbe(probeId, fromMs, toMs), fromMs, toMs)).get(probeId) ?? [];
}

/** The hours of every probe between two moments in which it was read, in order. */
export const hoursOfEach = (db: Db, fromMs: number, toMs: number): Promise<Map<string, Rolled[]>> =>
  hoursWhere(db, withinDays(fromMs, toMs), fromMs, toMs);

async function hoursWhere(
  db: Db,
  where: SQL | undefined,
  fromMs: number,
  toMs: number,
): Promise<Map<string, Rolled[]>> {
  const rows = await db
    .select({ probeId: t.readingDays.probeId, day: t.readingDays.day, hours: t.readingDays.hours })
    .from(t.readingDays)
    .where(where)
    .orderBy(asc(t.readingDays.probeId), asc(t.readingDays.day));
  const found = new Map<string, Rolled[]>();
  for (const { probeId, day, hours } of rows) {
    const all = found.get(probeId) ?? [];
    found.set(probeId, all);
    for (const h of unpackedHours(day, hours))
      if (h.n > 0 && h.ms + HOUR_MS > fromMs && h.ms < toMs) all.push(h);
  }
  return found;
}

/** The days (of UTC) of a probe between two moments, in order. */
async function daysOf(db: Db, probeId: string, fromMs: number, toMs: number): Promise<Rolled[]> {
  const { readings: _readings, hours: _hours, ...columns } = DAY_COLUMNS;
  const rows = await db
    .select(columns)
    .from(t.readingDays)
    .where(ofProbe(probeId, fromMs, toMs))
    .orderBy(asc(t.readingDays.day));
  return rows.map((r) => ({
    ms: r.day * DAY_MS,
    spanMs: DAY_MS,
    n: r.n,
    temp: r.tempMin === null ? null : { min: r.tempMin, mean: r.tempMean ?? NaN, max: r.tempMax ?? NaN },
    rh: r.rhMin === null ? null : { min: r.rhMin, mean: r.rhMean ?? NaN, max: r.rhMax ?? NaN },
  }));
}

const DAY_COLUMNS = {
  day: t.readingDays.day,
  n: t.readingDays.n,
  tempMin: t.readingDays.tempMin,
  tempMean: t.readingDays.tempMean,
  tempMax: t.readingDays.tempMax,
  rhMin: t.readingDays.rhMin,
  rhMean: t.readingDays.rhMean,
  rhMax: t.readingDays.rhMax,
  hours: t.readingDays.hours,
  readings: t.readingDays.readings,
};

/** So many days are read at once: fewer questions, and never much in memory. */
const DAYS_AT_ONCE = 32;

/** Days of readings one after the other, probe by probe; those of one probe between two moments when they are given. */
async function* storedDays(
  db: Db,
  of?: SQL,
): AsyncGenerator<{ probeId: string; day: number; columns: Columns }> {
  let behind: SQL | undefined;
  for (;;) {
    const rows = await db
      .select({ probeId: t.readingDays.probeId, day: t.readingDays.day, readings: t.readingDays.readings })
      .from(t.readingDays)
      .where(and(of, behind))
      .orderBy(asc(t.readingDays.probeId), asc(t.readingDays.day))
      .limit(DAYS_AT_ONCE);
    for (const { probeId, day, readings } of rows) yield { probeId, day, columns: unpacked(day, readings) };
    const last = rows[DAYS_AT_ONCE - 1];
    if (!last) return;
    behind = sql`(${t.readingDays.probeId}, ${t.readingDays.day}) > (${last.probeId}::uuid, ${last.day})`;
  }
}

/** Every reading of a probe between two moments, a day at a time. */
export async function* readingsBetween(
  db: Db,
  probeId: string,
  fromMs: number,
  toMs: number,
): AsyncGenerator<Columns> {
  for await (const { columns } of storedDays(db, ofProbe(probeId, fromMs, toMs))) yield columns;
}

/** Lowest, mean and highest of each column of a chart: from days, hours or the readings, by how wide a column is. */
export async function seriesOf(
  db: Db,
  probeId: string,
  fromMs: number,
  toMs: number,
  count: number,
): Promise<Rolled[]> {
  const days = (toMs - fromMs) / DAY_MS;
  if (days > DAYS_FROM_DAYS && count <= days)
    return inColumns(await daysOf(db, probeId, fromMs, toMs), fromMs, toMs, count);
  if (days > HOURS_FROM_DAYS)
    return inColumns(
      await hoursOf(db, probeId, fromMs, toMs),
      fromMs,
      toMs,
      Math.min(count, Math.ceil(days * 24)),
    );
  const parts: Rolled[] = [];
  for await (const columns of readingsBetween(db, probeId, fromMs, toMs)) {
    for (let i = 0; i < lengthOf(columns); i++) parts.push(alone(columns, i));
  }
  return inColumns(parts, fromMs, toMs, count);
}

function alone({ ms, centiC, centiPct }: Columns, i: number): Rolled {
  const of = (v: number) => (v === NONE ? null : { min: v, mean: v, max: v });
  return {
    ms: ms[i] as number,
    spanMs: 0,
    n: 1,
    temp: of(centiC[i] as number),
    rh: of(centiPct[i] as number),
  };
}

/** The newest reading of each probe that has one. */
export async function latestOf(db: Db): Promise<Latest[]> {
  const rows = await db
    .selectDistinctOn([t.readingDays.probeId], {
      probeId: t.readingDays.probeId,
      day: t.readingDays.day,
      readings: t.readingDays.readings,
    })
    .from(t.readingDays)
    .orderBy(t.readingDays.probeId, desc(t.readingDays.day));
  return rows.map(({ probeId, day, readings }) => {
    const all = unpacked(day, readings);
    const last = lengthOf(all) - 1;
    return {
      probeId,
      ms: all.ms[last] as number,
      centiC: all.centiC[last] as number,
      centiPct: all.centiPct[last] as number,
    };
  });
}

/** Every reading there is, in batches as they were sent: a day and probe each. */
export async function* allReadings(db: Db): AsyncGenerator<ReadingBatch> {
  for await (const { probeId, columns } of storedDays(db)) yield batchOf(probeId, columns);
}
