import { getHeapStatistics } from 'node:v8';
import { KEPT_THINGS, type BroughtBack, type KeptThing, type Preference } from '@gentle-burrow/contract';
import { InputError } from '@gentle-burrow/core/quantity';
import {
  isById,
  isLasting,
  readLine,
  sortOut,
  type Numbered,
  type ReadingBatch,
  type RefusedLine,
  type SortedOut,
} from '@gentle-burrow/core/records';
import type { Fact } from '../db/facts';
import { refusalOf } from '../db/replay';
import type { Store } from '../db/store';
import { Refusal } from '../errors';
import { futureFault } from '../routes/future';
import { mustBeSound } from '../routes/sound-input';
import { unhurried } from '../unhurried';
import type { Brought, BroughtLine } from './read-archive';

/** So many are named one by one. */
const NAMED = 100;
/** So many are written at once: others have their turn between. */
const CHUNK = 200;
/** What is sorted out at once; more would fill the memory. */
export interface Most {
  facts: number;
  /** Their text; as objects they take about five times as much. */
  bytes: number;
  readingLines: number;
}

/** A log of ten thousand queens, and no more than the memory holds that this server was given: a small zip may unpack to anything. */
const MOST: Most = {
  facts: 500_000,
  bytes: getHeapStatistics().heap_size_limit / 10,
  readingLines: 1_000_000,
};

type Counts = { fresh: number; same: number; contradictory: number };

/** What a file is held against, and written to. */
export interface Beside extends Pick<Store, 'here' | 'hasQueen' | 'compareReadings' | 'write'> {
  photos: Pick<Store['photos'], 'compare' | 'putBack'>;
}

/** What was found in a file, before anything of it is written. */
interface Looked {
  sorted: SortedOut;
  /** In which lines readings stand. */
  readings: ReadonlySet<number>;
  /** Queens that are here, or will be. */
  queens: ReadonlySet<string>;
  /** Probes that are not here yet. */
  newProbes: ReadonlySet<string>;
}

/**
 * Brings back what a file holds, by id: what is not here is added, what is here stays as it is, and nothing comes twice however often it
 * is brought back.
 * @param how look: writes nothing and tells what would become of it; take: writes it, a part at a time, so that being cut off in its midst
 * does no harm; now: what lies behind it is refused
 * @throws Refusal when it is no log at all, or when nothing can be written just now
 */
export async function bringBack(
  store: Beside,
  file: Brought,
  how: { take: boolean; prefer: Preference; now?: Date },
  most: Most = MOST,
): Promise<BroughtBack> {
  const counts = new Map<KeptThing, Counts>();
  const of = (what: KeptThing): Counts => {
    const there = counts.get(what) ?? { fresh: 0, same: 0, contradictory: 0 };
    counts.set(what, there);
    return there;
  };
  const refused: BroughtBack['refused'] = [];
  let refusedCount = 0;
  const refuse = (where: string, reason: string) => {
    refusedCount++;
    if (refused.length < NAMED) refused.push({ where, reason });
  };
  const refuseLine = ({ line, reason }: RefusedLine) => refuse(`Line ${line}`, reason);

  const looked = await look(store, file, refuseLine, most);
  const { sorted } = looked;
  // as at the door: what has not happened yet is taken from nobody
  sorted.fresh = sorted.fresh.filter(({ line, fact }) => {
    const reason = how.now && fact.fact === 'entry' ? futureFault(fact.value, how.now) : null;
    if (reason) refuseLine({ line, reason });
    return reason === null;
  });
  sorted.refused.forEach(refuseLine);
  for (const [kind, n] of sorted.same) of(kind).same += n;
  for (const { given } of sorted.contradictory) of(given.fact.fact as KeptThing).contradictory++;
  const replacing = how.prefer === 'file' ? sorted.contradictory.filter((c) => !isLasting(c.here)) : [];
  for (const { fact } of sorted.fresh) of(fact.fact as KeptThing).fresh++;
  if (how.take)
    await write(store, [...sorted.fresh, ...replacing.map((c) => c.given)], (one, reason) => {
      of(one.fact.fact as KeptThing)[sorted.fresh.includes(one) ? 'fresh' : 'contradictory']--;
      refuseLine({ line: one.line, reason });
    });

  for await (const { line, batch } of readingsIn(file, looked)) {
    const taken = await readingsTaken(store, batch, looked, how.take);
    if (typeof taken === 'string') {
      refuseLine({ line, reason: taken });
      continue;
    }
    const there = of('readings');
    there.fresh += taken.added;
    there.same += taken.known;
    there.contradictory += taken.contradictory;
  }

  for (const photo of file.photos) {
    const bytes = await photo.bytes();
    if (!bytes) {
      refuse(photo.name, 'The photo is not as it was when the backup was made: it is damaged.');
      continue;
    }
    if (!looked.queens.has(photo.about.queenId)) {
      refuse(photo.name, 'Its queen is neither here nor in the file, or was not taken herself.');
      continue;
    }
    const stands = await store.photos.compare(photo.about, bytes);
    if (stands === 'new' && how.take) {
      try {
        await store.photos.putBack(photo.about, bytes);
      } catch (error) {
        refuse(photo.name, itsOwn(error).message);
        continue;
      }
    }
    of('photo')[stands === 'new' ? 'fresh' : stands]++;
  }

  return {
    taken: how.take,
    madeAt: file.manifest?.madeAt ?? null,
    version: file.manifest?.version ?? null,
    counts: KEPT_THINGS.flatMap((what) => {
      const there = counts.get(what);
      return there ? [{ what, ...there }] : [];
    }),
    contradictions: sorted.contradictory.slice(0, NAMED).map(({ given, here, about }) => ({
      what: given.fact.fact as KeptThing,
      name: nameOf(here),
      about,
      lasting: isLasting(here),
    })),
    refused,
    refusedCount,
    warnings: file.warnings,
  };
}

/** Reads every line, and holds what it says against what is here. */
async function look(
  store: Beside,
  file: Brought,
  refuse: (line: RefusedLine) => void,
  most: Most,
): Promise<Looked> {
  const given: Numbered[] = [];
  const readings = new Set<number>();
  let lines = 0;
  let bytes = 0;
  for await (const one of unhurried(file.lines())) {
    if (one.text?.trim() === '') continue;
    lines++;
    const fact = factIn(one);
    if ('reason' in fact) refuse(fact);
    else if (fact.fact.fact === 'readings') readings.add(one.line);
    else if (isById(fact.fact)) {
      given.push(fact);
      bytes += one.text?.length ?? 0;
    } else refuse({ line: one.line, reason: 'What was taken back once is no part of a log.' });
    if (given.length > most.facts || bytes > most.bytes || readings.size > most.readingLines)
      throw new Refusal(
        'too-large',
        `There is more in this file than this server can sort out at once (${most.facts.toLocaleString('en')} facts, ${Math.round(most.bytes / 1e6)} MB of them). Split it into parts, or start the server with more memory (NODE_OPTIONS=--max-old-space-size=4096).`,
      );
  }
  if (lines > 0 && given.length + readings.size === 0) throw new Refusal('not-a-backup');
  const here = await store.here(given);
  const sorted = sortOut(given, here);
  const taken = new Set(sorted.fresh.map((n) => n.fact));
  const idsOf = (kind: 'queen' | 'probe', which: (fact: Fact) => boolean) =>
    new Set(given.flatMap(({ fact }) => (fact.fact === kind && which(fact) ? [fact.value.id] : [])));
  const queens = idsOf(
    'queen',
    (f) => taken.has(f) || here('queen', 'id' in f.value ? f.value.id : '') !== undefined,
  );
  for (const { about } of file.photos)
    if (!queens.has(about.queenId) && (await store.hasQueen(about.queenId))) queens.add(about.queenId);
  return { sorted, readings, queens, newProbes: idsOf('probe', (f) => taken.has(f)) };
}

function factIn({ line, text }: BroughtLine): Numbered | RefusedLine {
  if (text === null) return { line, reason: 'The line is longer than any that is written here.' };
  try {
    const fact = readLine(text, line);
    mustBeSound(fact);
    return fact ? { line, fact } : { line, reason: 'The line is empty.' };
  } catch (error) {
    if (error instanceof InputError) return { line, reason: error.message.replace(/^Line \d+ /, 'It ') };
    if (error instanceof Refusal) return { line, reason: error.message };
    throw error;
  }
}

/** The batches of readings in a file, a second time through it: they are too many to be kept. */
async function* readingsIn(
  file: Brought,
  { readings }: Looked,
): AsyncGenerator<{ line: number; batch: ReadingBatch }> {
  if (readings.size === 0) return;
  for await (const one of unhurried(file.lines())) {
    if (!readings.has(one.line)) continue;
    const read = factIn(one);
    if ('fact' in read && read.fact.fact === 'readings') yield { line: one.line, batch: read.fact.value };
  }
}

/** What becomes of a batch; why it cannot be taken. */
async function readingsTaken(
  store: Beside,
  batch: ReadingBatch,
  { newProbes }: Looked,
  take: boolean,
): Promise<{ added: number; known: number; contradictory: number } | string> {
  if (!take && newProbes.has(batch.probeId)) return { added: batch.ms.length, known: 0, contradictory: 0 };
  try {
    return take
      ? (await store.write([{ fact: 'readings', value: batch }])).readings
      : await store.compareReadings(batch);
  } catch (error) {
    itsOwn(error);
    return 'Its probe is neither here nor in the file, or was not taken itself.';
  }
}

/** Writes facts, many at once; where one of them is refused, one by one. */
async function write(
  store: Beside,
  all: readonly Numbered[],
  refuse: (one: Numbered, reason: string) => void,
): Promise<void> {
  for (let i = 0; i < all.length; i += CHUNK) {
    const some = all.slice(i, i + CHUNK);
    try {
      await store.write(some.map((n) => n.fact));
    } catch (error) {
      itsOwn(error);
      for (const one of some) {
        try {
          await store.write([one.fact]);
        } catch (e) {
          refuse(one, itsOwn(e).message);
        }
      }
    }
  }
}

/** What a fact itself is refused for; that nothing can be written just now is none of its own. */
function itsOwn(error: unknown): Error {
  if (error instanceof Refusal && error.status >= 500) throw error;
  return refusalOf(error);
}

/** What a keeper calls it. */
function nameOf({ fact, value }: Fact): string {
  if (fact === 'queen') return value.label;
  if (fact === 'place' || fact === 'probe' || fact === 'stock-item' || fact === 'own-kind') return value.name;
  if (fact === 'entry') return `${value.kind}, ${value.at.slice(0, 10)}`;
  return '';
}
