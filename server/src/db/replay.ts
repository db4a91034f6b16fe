import { basename } from 'node:path';
import { factSchema, readingBatchSchema, takenBackSchema } from '@gentle-burrow/core/records';
import type { ReadingBatch, TakenBack } from '@gentle-burrow/core/records';
import type { z } from 'zod';
import { Refusal } from '../errors';
import type { Aside } from './aside';
import type { Fact } from './facts';
import type { Journal, Reached } from './journal';
import type { Db } from './open';
import { replayReadings } from './readings';
import { writeFacts } from './write-facts';

type Tx = Parameters<Parameters<Db['transaction']>[0]>[0];

/** How what lies in a journal is written into a database. */
export interface Replayed<F> {
  schema: z.ZodType;
  /** So many are written at once. */
  chunk: number;
  /** @returns how many entries were new */
  write(tx: Tx, facts: readonly F[]): Promise<number>;
}

/** A journal that is written into a database again. */
interface Replaying<F> extends Replayed<F> {
  journal: Journal<F>;
  /** How far the database says that it goes; null when it has nothing of any journal. */
  reached: Reached | null;
  aside: Aside;
  /** Hears how far it is, 0..1. */
  progress?: ((share: number) => void) | undefined;
}

/**
 * Writes what a database has lost into it again. What cannot be read, or cannot be stored, is set aside and keeps no server from starting.
 * @returns how many entries had been lost
 */
export async function replay<F>(db: Db, of: Replaying<F>): Promise<number> {
  const { journal, reached, aside, schema } = of;
  const name = basename(journal.file);
  if (journal.torn.length > 0)
    aside.copy(
      name,
      journal.torn,
      `The end of ${name} was cut off while it was written; it had not been acknowledged.`,
    );
  const from = reached && journal.goesOnFrom(reached) ? reached.bytes : 0;
  let written = 0;
  let stuck: { fact: F; why: string }[] = [];
  const write = (some: readonly F[]) => db.transaction((tx) => of.write(tx, some));
  let chunk: F[] = [];
  const writeChunk = async (end: number) => {
    const some = chunk;
    chunk = [];
    if (some.length === 0) return;
    try {
      written += await write(some);
    } catch (error) {
      refusalOf(error);
      for (const fact of some) written += await alone(fact);
    }
    of.progress?.((end - from) / (journal.position - from));
  };
  for (const one of journal.since(from)) {
    if ('garbage' in one) {
      const { line, bytes } = one.garbage;
      aside.copy(name, bytes, `Line ${line} of ${name} cannot be read: it is damaged.`);
      continue;
    }
    const read = schema.safeParse(one.fact);
    if (read.success) chunk.push(one.fact);
    else setAside(one.fact, `does not have the right shape (${read.error.issues[0]?.message ?? ''})`);
    if (chunk.length >= of.chunk) await writeChunk(one.end);
  }
  await writeChunk(journal.position);
  function setAside(fact: F, why: string): void {
    aside.copy(name, Buffer.from(JSON.stringify(fact)), `A line of ${name} ${why}.`);
  }

  // what stood before the thing that it is about
  for (let before = Infinity; stuck.length > 0 && stuck.length < before;) {
    before = stuck.length;
    const again = stuck;
    stuck = [];
    for (const { fact } of again) written += await alone(fact);
  }
  for (const { fact, why } of stuck) setAside(fact, `cannot be stored: ${why.replace(/\.$/, '')}`);
  return written;

  async function alone(fact: F): Promise<number> {
    try {
      return await write([fact]);
    } catch (error) {
      stuck.push({ fact, why: refusalOf(error).message });
      return 0;
    }
  }
}

/** Why a fact is refused: by us, or by the database for what it says (classes 22 and 23). Any other failing is none of the fact's. */
export function refusalOf(error: unknown): Error {
  for (let e = error as (Error & { code?: unknown }) | undefined; e; e = e.cause as typeof e)
    if (e instanceof Refusal || /^2[23]/.test(String(e.code))) return e;
  throw error;
}

/** The facts, but for the readings, which have a journal of their own. */
export const OF_FACTS: Replayed<Fact> = {
  schema: factSchema,
  chunk: 1000,
  write: async (tx, facts) => (await writeFacts(tx, facts)).accepted.length,
};

export const OF_READINGS: Replayed<ReadingBatch | TakenBack> = {
  schema: readingBatchSchema.or(takenBackSchema),
  // each is a great many rows already
  chunk: 1,
  async write(tx, lines) {
    for (const line of lines) await replayReadings(tx, line);
    return 0;
  },
};
