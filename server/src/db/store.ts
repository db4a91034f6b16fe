import { basename } from 'node:path';
import { isDeepStrictEqual } from 'node:util';
import type { SetAside } from '@gentle-burrow/contract';
import {
  probeSchema,
  settingsSchema,
  type KeeperSettings,
  type Place,
  type Probe,
  type Queen,
  type StockItem,
  type StockMove,
  type HomePart,
} from '@gentle-burrow/core/facts';
import { effectiveEntries, inOrder, isWithdrawn, referencesOf, type Entry } from '@gentle-burrow/core/log';
import type { Columns, Rolled } from '@gentle-burrow/core/climate';
import { LEFT_DAYS } from '@gentle-burrow/core/housing';
import { addDays, type Instant } from '@gentle-burrow/core/quantity';
import type { Here, Numbered, ReadingBatch } from '@gentle-burrow/core/records';
import type { OwnKind } from '@gentle-burrow/core/species';
import { isKind, KINDS } from '@gentle-burrow/core/species/catalogue';
import type { QueenFacts } from '@gentle-burrow/core/view';
import { and, asc, eq, gte, inArray, isNotNull, ne, or, sql } from 'drizzle-orm';
import type { Fact, Written } from './facts';
import { Refusal } from '../errors';
import { needRoom } from './disk';
import type { DataFiles } from './files';
import type { Journal, Reached } from './journal';
import { OfMachine } from './of-machine';
import type { Db, OpenDb } from './open';
import { Photos } from './photos';
import * as t from './schema';
import { factsHere } from './facts-here';
import {
  allReadings,
  compareReadings,
  hoursOf,
  hoursOfEach,
  latestOf,
  readingsBetween,
  seriesOf,
  type Latest,
  type Taken,
} from './readings';
import { OF_FACTS, OF_READINGS, replay, type Replayed } from './replay';
import { gather, toHome, toMove, toPlace, toQueen } from './rows';
import { worthTidying } from './tidy-readings';
import { writeFacts } from './write-facts';

type Tx = Parameters<Parameters<Db['transaction']>[0]>[0];
/** Under which key it stands how far a journal has been written into the database. */
type WhichJournal = 'journal' | 'readings-journal';

type OfReadings = Extract<Fact, { fact: 'readings' | 'readings-taken-back' }>;
const ofReadings = (f: Fact): f is OfReadings => f.fact === 'readings' || f.fact === 'readings-taken-back';

/** Which entries are asked for; all when nothing is said. */
interface Which {
  notes?: boolean;
  kinds?: readonly Entry['kind'][];
}

/** Reads and writes facts. Writes are taken one after the other, each whole or not at all. */
export class Store {
  readonly photos: Photos;
  readonly machine: OfMachine;
  private turn: Promise<unknown> = Promise.resolve();
  /** Writes that were begun and of which not all who listen have heard. */
  private begun = 0;
  private readonly listeners = new Set<(facts: readonly Fact[]) => void>();

  constructor(
    private readonly open: OpenDb,
    /** None with a PostgreSQL server, which syncs its own log. */
    private readonly files: DataFiles | null = null,
  ) {
    this.photos = new Photos(open, (id) => this.hasQueen(id), files);
    this.machine = new OfMachine(open.db, files);
  }

  get kind(): OpenDb['kind'] {
    return this.open.kind;
  }

  /**
   * Brings shipped profiles up to date, and writes again what the journals hold and the database has lost; a journal that is missing is
   * written anew from the database. What cannot be used is set aside.
   * @returns how many entries had been lost
   */
  async prepare(progress?: (share: number) => void): Promise<{ replayed: number }> {
    await this.open.db
      .insert(t.speciesProfiles)
      .values(KINDS.map((k) => ({ id: k.id, name: k.name, profile: k })))
      .onConflictDoUpdate({
        target: t.speciesProfiles.id,
        set: { name: sql`excluded.name`, profile: sql`excluded.profile` },
        setWhere: sql`${t.speciesProfiles.profile} is distinct from excluded.profile`,
      });
    let replayed = 0;
    if (this.files) {
      const { facts, readings } = this.files;
      const withoutReadings = async function* (all: AsyncIterable<Fact>) {
        for await (const f of all) if (!ofReadings(f)) yield f;
      };
      replayed += await this.catchUp(
        'journal',
        facts,
        OF_FACTS,
        () => withoutReadings(this.allFacts()),
        progress,
      );
      await this.catchUp(
        'readings-journal',
        readings,
        OF_READINGS,
        () => allReadings(this.open.db),
        progress,
      );
      if (await worthTidying(this.open.db, this.files)) await this.tidyReadings(readings);
    }
    return { replayed: replayed + (await this.photos.prepare()) };
  }

  /** Writes the readings anew, a line a day. */
  async tidyReadings(readings: DataFiles['readings']): Promise<void> {
    await readings.writeAnew(allReadings(this.open.db));
    await this.remember(this.open.db, 'readings-journal', readings);
  }

  /** Brings a database and a journal to the same. */
  private async catchUp<F extends object>(
    which: WhichJournal,
    journal: Journal<F>,
    how: Replayed<F>,
    stored: () => AsyncIterable<F>,
    progress?: (share: number) => void,
  ): Promise<number> {
    const { db } = this.open;
    const { aside } = this.files as DataFiles;
    const reached = await this.reached(which);
    // the database has what a journal had that is not here: it is missing, cut short, or another one
    const alien =
      reached !== null && (!journal.goesOnFrom(reached) || (journal.empty && (await holdsFacts(stored()))));
    // what is put in its newest form must not become what an older journal knew
    const newest: F[] = [];
    if (alien && !journal.empty) for await (const f of stored()) if (!isEntry(f)) newest.push(f);
    const replayed = await replay(db, { ...how, journal, reached, aside, progress });
    if (newest.length > 0) await db.transaction((tx) => how.write(tx, newest));
    if (alien) {
      const name = basename(journal.file);
      if (journal.empty)
        aside.note(journal.file, `${name} was missing or empty. It was written anew from the database.`);
      else
        aside.keep(
          journal.file,
          name,
          `${name} did not go on from what the database has. It was written anew from both.`,
        );
      await journal.writeAnew(stored());
    }
    if (!isDeepStrictEqual(reached, journal.reached())) await this.remember(db, which, journal);
    return replayed;
  }

  /**
   * Stores facts durably. An entry that is there already is left as it is.
   * @param told the facts, or what tells them when it is their turn and nobody else writes
   * @throws Refusal when a fact cannot be stored; then none is
   */
  async write(told: readonly Fact[] | (() => Promise<readonly Fact[]>)): Promise<Written> {
    let facts: readonly Fact[] = [];
    const mine = this.turn.then(async () => {
      facts = typeof told === 'function' ? await told() : told;
      return this.writeNow(facts);
    });
    this.turn = mine.catch(() => {});
    this.begun++;
    try {
      const written = await mine;
      for (const listen of this.listeners) listen(facts);
      return written;
    } finally {
      this.begun--;
    }
  }

  private async writeNow(facts: readonly Fact[]): Promise<Written> {
    const { files } = this;
    if (!files) return this.open.db.transaction((tx) => writeFacts(tx, facts));
    if (!files.held()) throw new Refusal('not-ours');
    needRoom(files.disk, files.root);
    const before = [files.facts.position, files.readings.position] as const;
    try {
      return await this.open.db.transaction(async (tx) => {
        const written = await writeFacts(tx, facts);
        const isNew = new Set(written.accepted);
        const others = facts.filter((f) => !ofReadings(f) && f.fact !== 'entry');
        const entries = facts.flatMap((f) => (f.fact === 'entry' && isNew.has(f.value.id) ? [f.value] : []));
        // as they can be read back, whatever is read at once
        const fresh = [...others, ...inOrder(entries).map((value) => ({ fact: 'entry' as const, value }))];
        if (fresh.length > 0) {
          await this.remember(tx, 'journal', files.facts);
          files.facts.append(fresh);
        }
        const batches = facts.flatMap((f) => (ofReadings(f) ? [f.value] : []));
        if (written.readings.added > 0 || facts.some((f) => f.fact === 'readings-taken-back')) {
          await this.remember(tx, 'readings-journal', files.readings);
          files.readings.append(batches);
        }
        return written;
      });
    } catch (error) {
      // nothing of it was acknowledged, so nothing of it may come back at the next start
      if (files.facts.position !== before[0]) files.facts.rewind(before[0]);
      if (files.readings.position !== before[1]) files.readings.rewind(before[1]);
      throw error;
    }
  }

  /** Where something may lie for a while, on the disk of the data; null with a PostgreSQL server. */
  get root(): string | null {
    return this.files?.root ?? null;
  }

  /** @throws Refusal when there is too little room to store anything */
  needRoom(): void {
    if (this.files) needRoom(this.files.disk, this.files.root);
  }

  /** What was ever set aside because it could not be used. */
  setAside(): SetAside[] {
    return this.files?.aside.all() ?? [];
  }

  /** Calls back after each write. */
  onWrite(listener: (facts: readonly Fact[]) => void): void {
    this.listeners.add(listener);
  }

  async queens(): Promise<Queen[]> {
    const rows = await this.open.db
      .select()
      .from(t.queens)
      .orderBy(asc(t.queens.createdAt), asc(t.queens.id));
    return rows.map(toQueen);
  }

  /** The queens that are shown: all but those that were taken in by mistake and withdrawn. */
  async shownQueens(): Promise<Queen[]> {
    const all = await this.queens();
    const amended = this.open.db
      .select({ id: t.entries.queenId })
      .from(t.entries)
      .where(isNotNull(t.entries.amends));
    const rows = await this.open.db
      .select({ body: t.entries.body })
      .from(t.entries)
      .where(and(inArray(t.entries.kind, ['intake', 'amendment']), inArray(t.entries.queenId, amended)));
    const own = new Map<string, Entry[]>();
    for (const { body } of rows) own.set(body.queenId, [...(own.get(body.queenId) ?? []), body]);
    return all.filter((q) => !isWithdrawn(own.get(q.id) ?? []));
  }

  async places(): Promise<Place[]> {
    const rows = await this.open.db.select().from(t.places).orderBy(asc(t.places.name), asc(t.places.id));
    return rows.map(toPlace);
  }

  /** Whatever measures, by name. */
  async probes(): Promise<Probe[]> {
    const rows = await this.open.db
      .select({ body: t.probes.body })
      .from(t.probes)
      .orderBy(asc(t.probes.name), asc(t.probes.id));
    // what an older version did not ask is filled in
    return rows.map((r) => probeSchema.parse(r.body));
  }

  /** Lowest, mean and highest of so many columns between two moments; hundredths of a degree and of a percent. */
  series(probeId: string, fromMs: number, toMs: number, columns: number): Promise<Rolled[]> {
    return seriesOf(this.open.db, probeId, fromMs, toMs, columns);
  }

  /** The hours in which a probe was read. */
  hours(probeId: string, fromMs: number, toMs: number): Promise<Rolled[]> {
    return hoursOf(this.open.db, probeId, fromMs, toMs);
  }

  /** The same of every probe. */
  hoursOfEach(fromMs: number, toMs: number): Promise<Map<string, Rolled[]>> {
    return hoursOfEach(this.open.db, fromMs, toMs);
  }

  /** Every reading of a probe between two moments, a day at a time. */
  readings(probeId: string, fromMs: number, toMs: number): AsyncGenerator<Columns> {
    return readingsBetween(this.open.db, probeId, fromMs, toMs);
  }

  /** The newest reading of each probe. */
  latest(): Promise<Latest[]> {
    return latestOf(this.open.db);
  }

  /** A new secret of a probe takes the place of the one before. */
  async keepToken(probeId: string, hash: string, madeAt: Date): Promise<void> {
    this.needRoom();
    const row = { probeId, hash, madeAt };
    await this.open.db
      .insert(t.probeTokens)
      .values(row)
      .onConflictDoUpdate({ target: t.probeTokens.probeId, set: row });
  }

  /** What the secret of a probe comes to by the one-way function; null when it has none. */
  async tokenOf(probeId: string): Promise<{ hash: string; madeAt: Date } | null> {
    const [row] = await this.open.db.select().from(t.probeTokens).where(eq(t.probeTokens.probeId, probeId));
    return row ?? null;
  }

  /** When each probe that has a secret got it. */
  async tokensMadeAt(): Promise<Map<string, Date>> {
    const { probeId, madeAt } = t.probeTokens;
    const rows = await this.open.db.select({ probeId, madeAt }).from(t.probeTokens);
    return new Map(rows.map((r) => [r.probeId, r.madeAt]));
  }

  /** The keeper's own profiles, by name. */
  async ownKinds(): Promise<OwnKind[]> {
    const rows = await this.open.db
      .select({ kind: t.speciesProfiles.profile })
      .from(t.speciesProfiles)
      .where(eq(t.speciesProfiles.own, true))
      .orderBy(asc(t.speciesProfiles.name), asc(t.speciesProfiles.id));
    return rows.map((r) => r.kind as OwnKind);
  }

  async settings(): Promise<KeeperSettings> {
    const [row] = await this.open.db.select().from(t.settings).where(eq(t.settings.key, 'keeper'));
    // what an older version did not ask is filled in
    return settingsSchema.parse(row?.value ?? {});
  }

  /**
   * @param notes without them a view is the same, for nothing is reckoned from a note
   * @param kinds these alone, and whatever puts them right
   */
  async entriesOf(
    queenIds: readonly string[],
    { notes = true, kinds }: Which = {},
  ): Promise<Map<string, Entry[]>> {
    const found = new Map<string, Entry[]>(queenIds.map((id) => [id, []]));
    if (queenIds.length === 0) return found;
    const rows = await this.open.db
      .select({ body: t.entries.body })
      .from(t.entries)
      .where(
        and(
          inArray(t.entries.queenId, [...queenIds]),
          notes ? undefined : ne(t.entries.kind, 'note'),
          kinds ? inArray(t.entries.kind, [...kinds, 'amendment']) : undefined,
        ),
      )
      .orderBy(asc(t.entries.queenId), asc(t.entries.at), asc(t.entries.id));
    for (const { body } of rows) found.get(body.queenId)?.push(body);
    return found;
  }

  /** All facts about these queens, in the order asked for; ids that are not known are left out. */
  async queenFacts(queenIds: readonly string[], which: Which = {}): Promise<QueenFacts[]> {
    if (queenIds.length === 0) return [];
    const rows = await this.open.db
      .select()
      .from(t.queens)
      .innerJoin(t.homes, eq(t.queens.homeId, t.homes.id))
      .where(inArray(t.queens.id, [...queenIds]));
    const entries = await this.entriesOf(queenIds, which);
    const places = new Map((await this.places()).map((p) => [p.id, p]));
    const facts = new Map(
      rows.map((r) => [r.queens.id, gather(toQueen(r.queens), toHome(r.homes), entries, places)]),
    );
    return queenIds.map((id) => facts.get(id)).filter((f) => f !== undefined);
  }

  /** How a queen was taken in, as it was written then; null when she is not known. */
  async takenIn(id: string): Promise<{ queen: Queen; home: HomePart; intake: Entry | null } | null> {
    const [row] = await this.open.db
      .select()
      .from(t.queens)
      .innerJoin(t.homes, eq(t.queens.homeId, t.homes.id))
      .where(eq(t.queens.id, id));
    if (!row) return null;
    const [intake] = await this.open.db
      .select({ body: t.entries.body })
      .from(t.entries)
      .where(and(eq(t.entries.queenId, id), eq(t.entries.kind, 'intake')))
      .orderBy(asc(t.entries.loggedAt))
      .limit(1);
    return { queen: toQueen(row.queens), home: toHome(row.homes), intake: intake?.body ?? null };
  }

  async hasQueen(id: string): Promise<boolean> {
    return (
      (await this.open.db.select({ id: t.queens.id }).from(t.queens).where(eq(t.queens.id, id))).length > 0
    );
  }

  async hasHome(id: string): Promise<boolean> {
    return (await this.open.db.select({ id: t.homes.id }).from(t.homes).where(eq(t.homes.id, id))).length > 0;
  }

  async stock(): Promise<{ items: StockItem[]; moves: StockMove[] }> {
    const items = await this.open.db
      .select()
      .from(t.stockItems)
      .orderBy(asc(t.stockItems.kind), asc(t.stockItems.name), asc(t.stockItems.id));
    const moves = await this.open.db
      .select()
      .from(t.stockMoves)
      .orderBy(asc(t.stockMoves.at), asc(t.stockMoves.id));
    return { items, moves: moves.map(toMove) };
  }

  /** Queens who ended not long ago, or in whose log a part was taken away, or one that had been used before was set up. */
  async withUsedParts(now: Instant): Promise<QueenFacts[]> {
    const change = sql`${t.entries.body} -> 'change'`;
    const rows = await this.open.db
      .selectDistinct({ id: t.entries.queenId })
      .from(t.entries)
      .where(
        or(
          and(
            eq(t.entries.kind, 'home'),
            sql`(${change} ->> 'what' = 'taken-away' or ${change} -> 'part' ->> 'was' is not null)`,
          ),
          and(eq(t.entries.kind, 'loss'), gte(t.entries.at, new Date(addDays(now, -LEFT_DAYS)))),
        ),
      );
    const all = await this.queenFacts(
      rows.map((r) => r.id),
      { notes: false },
    );
    return all.filter((f) => !isWithdrawn(f.entries));
  }

  /** When each queen of the keeper was taken in, and how she came. */
  async intakes(): Promise<Extract<Entry, { kind: 'intake' }>[]> {
    const entries = await this.open.db
      .select({ body: t.entries.body })
      .from(t.entries)
      .where(inArray(t.entries.kind, ['intake', 'amendment']));
    return effectiveEntries(entries.map((e) => e.body)).flatMap(({ entry }) =>
      entry?.kind === 'intake' ? [entry] : [],
    );
  }

  /**
   * Every fact, places and homes before queens, queens before entries, so that they can be read back in this order, whatever is written
   * meanwhile.
   */
  async *allFacts(): AsyncGenerator<Fact> {
    // what names something else is read before it, and told after it: so it is there
    const { items, moves } = await this.stock();
    const queens = await this.queens();
    const probes = await this.probes();
    const rows = await this.open.db.select().from(t.homes).orderBy(asc(t.homes.id));
    const told = new Set<string>();
    const first = function* <F extends 'place' | 'own-kind'>(fact: F, all: readonly { id: string }[]) {
      for (const value of all) {
        if (told.has(value.id)) continue;
        told.add(value.id);
        yield { fact, value } as unknown as Fact;
      }
    };
    yield { fact: 'settings', value: await this.settings() };
    yield* first('own-kind', await this.ownKinds());
    yield* first('place', await this.places());
    for (const value of probes) yield { fact: 'probe', value };
    for (const row of rows) yield { fact: 'home', value: toHome(row) };
    for (const value of queens) yield { fact: 'queen', value };
    for (let i = 0; i < queens.length; i += 50) {
      const some = await this.entriesOf(queens.slice(i, i + 50).map((q) => q.id));
      for (const list of some.values())
        for (const value of inOrder(list)) {
          const { places = [], species = [] } = referencesOf(value);
          if (species.some((id) => !isKind(id) && !told.has(id)))
            yield* first('own-kind', await this.ownKinds());
          if (places.some((id) => !told.has(id))) yield* first('place', await this.places());
          yield { fact: 'entry', value };
        }
    }
    for (const value of items) yield { fact: 'stock-item', value };
    for (const value of moves) yield { fact: 'stock-move', value };
    for await (const value of allReadings(this.open.db)) {
      // a probe that came meanwhile is of the next time
      if (probes.some((p) => p.id === value.probeId)) yield { fact: 'readings', value };
    }
  }

  /** What is known of what these facts are about, and of what they name. */
  here(given: readonly Numbered[]): Promise<Here> {
    return factsHere(this.open.db, given);
  }

  /** What a batch of readings would add. */
  compareReadings(batch: ReadingBatch): Promise<Taken> {
    return compareReadings(this.open.db, batch);
  }

  /**
   * Changes with whatever is written. Null with a PostgreSQL server, which others may write to, and while something is being written:
   * a journal has it before those who listen have heard of it.
   */
  mark(): string | null {
    return this.files && this.begun === 0 ? `${this.files.facts.mark()} ${this.files.readings.mark()}` : null;
  }

  async close(): Promise<void> {
    await this.turn;
    this.files?.facts.close();
    this.files?.readings.close();
    await this.open.close();
  }

  private async reached(which: WhichJournal): Promise<Reached | null> {
    const [row] = await this.open.db.select().from(t.settings).where(eq(t.settings.key, which));
    return (row?.value as Reached | undefined) ?? null;
  }

  private async remember(db: Db | Tx, which: WhichJournal, journal: Pick<Journal, 'reached'>): Promise<void> {
    const value = journal.reached();
    await db
      .insert(t.settings)
      .values({ key: which, value })
      .onConflictDoUpdate({ target: t.settings.key, set: { value } });
  }
}

const isEntry = (f: object): boolean => 'fact' in f && f.fact === 'entry';

async function holdsFacts(all: AsyncIterable<object>): Promise<boolean> {
  for await (const f of all) if (!('fact' in f) || f.fact !== 'settings') return true;
  return false;
}
