import { isDeepStrictEqual } from 'node:util';
import { dayNumber, type PlaceRecord } from '@gentle-burrow/core/climate';
import type { KeeperSettings, Queen } from '@gentle-burrow/core/facts';
import type { KindEvidence, Learned } from '@gentle-burrow/core/founding';
import { keptByBarrier } from '@gentle-burrow/core/housing';
import { msOf, type Instant } from '@gentle-burrow/core/quantity';
import { STAGES, type OwnKind } from '@gentle-burrow/core/species';
import { profilesWith } from '@gentle-burrow/core/species/catalogue';
import {
  BEFORE_HER_DAYS,
  byUrgency,
  learnedFrom,
  withoutOwn,
  type Lesson,
  type QueenFacts,
  type QueenView,
  type ShelfRow,
} from '@gentle-burrow/core/view';
import type { Fact } from '../db/facts';
import type { Store } from '../db/store';
import type { KeptShelf, RestsOn, Tells } from './kept-shelf';
import { PlaceRecords } from './place-records';
import type { Projector } from './pool';
import { zoneOf } from '../zone';
import { circleOf, type Projected } from './project-task';

/** Draws for one queen's own page, and for a row of the shelf, whose bands need not be as smooth. */
const QUEEN_DRAWS = 4000;
const SHELF_DRAWS = 500;
/** Queens in one task: small enough to share between threads, large enough not to pay for the messages. */
const CHUNK = 25;
/** So many rows are worked out anew before the answer when something was learned of their kind; more, after it. */
const AT_ONCE = 60;

/** Answers under way may be by a moment that much older. */
const CLOCK_SLACK_MS = 60_000;
/** So often it is seen to that the shelf is ready. */
const READY_EVERY_MS = 60_000;

/** Derived views, kept while nothing they rest on has changed. */
export class Views {
  private readonly rows = new Map<string, { row: ShelfRow; holdsUntil: number }>();
  private readonly whole = new Map<string, { view: QueenView; queen: Queen; holdsUntil: number }>();
  /** Counts the writes about each queen, so that an answer begun before a write is not kept after it. */
  private readonly turns = new Map<string, number>();
  /** Places each queen has stood in, as last read. */
  private readonly stood = new Map<string, Set<string>>();
  private readonly records: PlaceRecords;
  /** What each queen's finished stages say of her kind and her tubes of the heat, and whose lessons move her. */
  private readonly told = new Map<string, Tells>();
  /** Places where something else is read of how the heat falls, and at whose tubes. */
  private readonly fallsMoved = new Map<string, Set<string>>();
  private learned: Learned = {};
  private surveyed = false;
  private epoch = 0;
  private writes = 0;
  /** How many are worked out anew behind an answer. */
  private later = 0;
  private shelfUnderWay: { text: Promise<string>; since: number } | null = null;
  /** The latest moment that anybody asked about, ms. */
  private newestMs = -Infinity;
  private shelfText: { text: string; holdsUntil: number } | null = null;

  constructor(
    private readonly store: Store,
    private readonly projector: Projector,
    private readonly kept: KeptShelf | null = null,
  ) {
    this.records = new PlaceRecords(store);
    store.onWrite((facts) => this.forget(facts));
  }

  private forget(facts: readonly Fact[]): void {
    const moved = this.records.note(facts);
    // most of what a probe sends changes nothing that is said
    if (moved.size === 0 && facts.every((f) => ofClimate(f))) return;
    this.shelfText = null;
    this.writes++;
    for (const id of moved) this.forgetPlace(id);
    for (const f of facts) {
      if (f.fact === 'settings' || f.fact === 'own-kind') {
        this.epoch++;
        for (const kept of this.rows.values()) kept.holdsUntil = 0;
        this.whole.clear();
      } else if (f.fact === 'entry') this.forgetQueen(f.value.queenId);
      else if (f.fact === 'queen') this.forgetQueen(f.value.id);
      else if (f.fact === 'home') this.forgetSharing('homeId', f.value.id);
      // carried from place to place, a queen rests on more than the one she was first put in
      else if (f.fact === 'place') this.forgetPlace(f.value.id);
    }
  }

  /** A clock that was set back makes all that was worked out hold far too long: it is made anew. */
  private heed(now: Instant): void {
    const ms = msOf(now);
    if (ms < this.newestMs - CLOCK_SLACK_MS) {
      this.epoch++;
      for (const kept of this.rows.values()) kept.holdsUntil = 0;
      this.whole.clear();
      this.shelfText = null;
      this.newestMs = ms;
    }
    this.newestMs = Math.max(this.newestMs, ms);
  }

  private forgetQueen(id: string): void {
    this.turns.set(id, (this.turns.get(id) ?? 0) + 1);
    // its row stays, to be shown by an answer that is under way: it is made anew for the next
    const kept = this.rows.get(id);
    if (kept) kept.holdsUntil = 0;
    this.whole.delete(id);
  }

  private forgetPlace(id: string): void {
    for (const [queenId, places] of this.stood) if (places.has(id)) this.forgetQueen(queenId);
  }

  /** A home is in time shared by several queens. */
  private forgetSharing(key: 'homeId', value: string): void {
    for (const { row } of this.rows.values()) if (row.queen[key] === value) this.forgetQueen(row.queen.id);
    for (const [id, { queen }] of this.whole) if (queen[key] === value) this.forgetQueen(id);
  }

  private async settings(): Promise<KeeperSettings> {
    const settings = await this.store.settings();
    return { ...settings, zone: zoneOf(settings) };
  }

  private remember({ queen, places }: QueenFacts): void {
    this.stood.set(queen.id, new Set(places.map((p) => p.id)));
  }

  /** With what was measured where she has stood, and how the heat there falls at tubes of others. */
  private async withPlaces(facts: QueenFacts): Promise<Known> {
    const places = new Set(facts.places.map((p) => p.id));
    const measured = await this.records.of(places);
    const others = [...this.told].filter(([id]) => id !== facts.queen.id);
    const falls = others.flatMap(([, t]) => t.falls.filter((f) => places.has(f.placeId)));
    return { ...facts, measured, falls };
  }

  private stamp(id: string): string {
    return `${this.epoch}:${this.turns.get(id) ?? 0}`;
  }

  /** One queen's view with its facts, or null when she is not known. */
  async queen(id: string, now: Instant) {
    this.heed(now);
    // what the others teach is known once all have been gone through
    if (!this.surveyed) await this.shelf(now);
    const stamp = this.stamp(id);
    const [written] = await this.store.queenFacts([id]);
    if (!written) return null;
    const facts = asFarBackAsItMatters(await this.withPlaces(written));
    this.remember(facts);
    const kept = this.whole.get(id);
    if (kept && kept.holdsUntil > msOf(now))
      return { facts, view: kept.view, learned: await this.othersOf(id, kept.view) };
    const { learned } = this;
    const [done] = (await this.projector.run({
      facts: [facts],
      settings: await this.settings(),
      own: await this.store.ownKinds(),
      now,
      draws: QUEEN_DRAWS,
      learned: [withoutOwn(learned, this.told.get(id)?.teaches ?? null)],
      want: 'views',
    })) as Projected<'views'>[];
    if (!done) throw new Error('no view');
    if (stamp === this.stamp(id) && learned === this.learned)
      this.whole.set(id, { view: done.view, queen: facts.queen, holdsUntil: msOf(done.holdsUntil) });
    return { facts, view: done.view, learned: await this.othersOf(id, done.view) };
  }

  /** What the others teach of the kinds she may be and of their genera: just what was added for her is taken out. */
  private async othersOf(id: string, { species }: QueenView): Promise<Learned> {
    const circle = await this.circles();
    const hers = new Set(species.map((s) => circle(s.profileId)));
    const others = withoutOwn(this.learned, this.told.get(id)?.teaches ?? null);
    return Object.fromEntries(Object.entries(others).filter(([k]) => hers.has(circle(k))));
  }

  private async circles(): Promise<(profileId: string) => string> {
    const profileOf = profilesWith(await this.store.ownKinds());
    return (id) => circleOf(profileOf(id));
  }

  /** What was measured at these places; none of one where too little was. */
  measuredAt(placeIds: readonly string[]): Promise<PlaceRecord[]> {
    return this.records.of(placeIds);
  }

  /** Which kinds stand at each place, those that live. */
  async kindsAt(now: Instant): Promise<Map<string, Set<string>>> {
    await this.shelf(now);
    const found = new Map<string, Set<string>>();
    for (const { row } of this.rows.values())
      if (!row.lost) found.set(row.placeId, (found.get(row.placeId) ?? new Set()).add(row.profileId));
    return found;
  }

  /** Where homes with an open space or a rimmed box stand: a barrier has to hold there. */
  async barriersAt(now: Instant): Promise<Set<string>> {
    await this.shelf(now);
    const open = [...this.rows.values()].filter(
      ({ row }) => !row.lost && [row.part, ...(row.home?.parts ?? []).map((p) => p.part)].some(keptByBarrier),
    );
    return new Set(open.map(({ row }) => row.placeId));
  }

  /** What all queens together say of their kinds. */
  async lessonsOfAll(now: Instant): Promise<Learned> {
    if (!this.surveyed) await this.shelf(now);
    return this.learned;
  }

  /** Takes up what she tells for others; null: nothing any more. */
  private tell(id: string, tells: Tells | null): void {
    const [before, after] = [this.told.get(id)?.falls ?? [], tells?.falls ?? []];
    if (tells) this.told.set(id, tells);
    else this.told.delete(id);
    if (isDeepStrictEqual(before, after)) return;
    for (const { placeId } of [...before, ...after])
      this.fallsMoved.set(placeId, (this.fallsMoved.get(placeId) ?? new Set()).add(id));
  }

  /** Forgets those with heat beside whom something else was read of it. What falls at her own tube does not rest on theirs. */
  private besideMovedFalls(): string[] {
    const moved = [...this.fallsMoved];
    this.fallsMoved.clear();
    const beside = (id: string) =>
      moved.some(([place, by]) => this.stood.get(id)?.has(place) && [...by].some((b) => b !== id));
    const ids = [...this.told].flatMap(([id, { heated }]) => (heated && beside(id) ? [id] : []));
    for (const id of ids) this.forgetQueen(id);
    return ids;
  }

  private async recall(): Promise<void> {
    for (const [id, teaches] of Object.entries(await this.store.machine.recallLessons()))
      this.told.set(id, { teaches, learnsFrom: [], falls: [], heated: false });
    this.learned = learnedFrom(Object.values(this.taught()));
  }

  private async restsOn(): Promise<RestsOn> {
    const zone = zoneOf(await this.store.settings());
    // last, so that whoever goes on without waiting goes on with what it stands for
    return { mark: this.store.mark(), zone };
  }

  /** The rows as they were when the server stopped, where nothing they rest on has changed. */
  private async takeKept(now: Instant): Promise<void> {
    const on = await this.restsOn();
    const rows = this.kept?.take(on, now);
    if (!rows) return;
    // what comes of a place is told from what was there: the records are known from here on
    await this.records.of(new Set(rows.flatMap((r) => r.places)));
    if (this.store.mark() !== on.mark) return;
    for (const { row, holdsUntil, places, ...tells } of rows) {
      this.rows.set(row.queen.id, { row, holdsUntil });
      this.stood.set(row.queen.id, new Set(places));
      this.told.set(row.queen.id, tells);
    }
  }

  /**
   * Works the shelf out before anybody asks: at once, and whenever what it says has run out, as when a day begins.
   * @returns what ends it
   */
  readyAhead(now: () => Instant): () => void {
    // who asks meanwhile waits for the same answer, and is told what was wrong with it
    const ready = () => void this.shelf(now()).catch(() => undefined);
    ready();
    const timer = setInterval(ready, READY_EVERY_MS);
    timer.unref();
    return () => clearInterval(timer);
  }

  /** Keeps the rows for the next start. */
  async keep(now: Instant): Promise<void> {
    if (!this.kept || !this.surveyed || this.later > 0) return;
    const on = await this.restsOn();
    const rows = [...this.rows.values()].flatMap(({ row, holdsUntil }) => {
      const [places, tells] = [this.stood.get(row.queen.id), this.told.get(row.queen.id)];
      return places && tells ? [{ row, holdsUntil, places: [...places], ...tells }] : [];
    });
    this.kept.keep(rows, on, now);
  }

  private taught(): Record<string, Lesson> {
    return Object.fromEntries([...this.told].map(([id, { teaches }]) => [id, teaches]));
  }

  /** Adds up what the queens teach. @returns queens whose kinds something new was learned of */
  private async learn(): Promise<string[]> {
    const learned = learnedFrom(Object.values(this.taught()));
    const changed = [...new Set([...Object.keys(learned), ...Object.keys(this.learned)])].filter(
      (k) => !sameEvidence(learned[k], this.learned[k]),
    );
    if (changed.length === 0) return [];
    this.learned = learned;
    this.whole.clear();
    const circle = await this.circles();
    const moved = new Set(changed.map(circle));
    return [...this.told].flatMap(([id, { learnsFrom }]) =>
      learnsFrom.some((k) => moved.has(k)) ? [id] : [],
    );
  }

  /** The shelf as JSON text: most urgent first. Kept as text, since it is asked for far oftener than it changes. */
  async shelf(now: Instant): Promise<string> {
    this.heed(now);
    for (;;) {
      if (this.shelfText && this.shelfText.holdsUntil > msOf(now)) return this.shelfText.text;
      if (!this.shelfUnderWay) {
        const text = this.makeShelf(now).finally(() => (this.shelfUnderWay = null));
        this.shelfUnderWay = { text, since: this.writes };
        return text;
      }
      const { text, since } = this.shelfUnderWay;
      // who has written since it was begun, and asks, is to find it there
      if (since === this.writes) return text;
      await text.catch(() => undefined);
    }
  }

  private async makeShelf(now: Instant): Promise<string> {
    const ms = msOf(now);
    const before = this.writes;
    if (!this.surveyed) {
      await this.recall();
      await this.takeKept(now);
    }
    const ids = (await this.store.shownQueens()).map((q) => q.id);
    const shown = new Set(ids);
    for (const id of this.told.keys()) if (!shown.has(id)) this.tell(id, null);
    for (const id of this.rows.keys()) if (!shown.has(id)) this.rows.delete(id);
    await this.refresh(
      ids.filter((id) => (this.rows.get(id)?.holdsUntil ?? 0) <= ms),
      now,
    );
    await this.refresh(this.besideMovedFalls(), now);
    const { learn } = await this.store.settings();
    const stale = await this.learn();
    this.surveyed = true;
    if (stale.length > 0) await this.store.machine.rememberLessons(this.taught());
    if (learn && stale.length > 0 && stale.length <= AT_ONCE) await this.refresh(stale, now);
    else if (learn && stale.length > 0) this.refreshLater(stale, now);
    const rows = ids.map((id) => this.rows.get(id)).filter((r) => r !== undefined);
    const text = JSON.stringify({ at: now, rows: rows.map((r) => r.row).sort(byUrgency) });
    const holdsUntil = rows.reduce((a, r) => Math.min(a, r.holdsUntil), ms + 1_800_000);
    if (before === this.writes && rows.length === ids.length) this.shelfText = { text, holdsUntil };
    return text;
  }

  /** Answers with what is known, and works it out anew behind the answer. */
  private refreshLater(ids: string[], now: Instant): void {
    this.later++;
    this.refresh(ids, now)
      .then(
        () => (this.shelfText = null),
        () => undefined,
      )
      .finally(() => this.later--);
  }

  private async refresh(ids: string[], now: Instant): Promise<void> {
    const settings = await this.settings();
    const own: OwnKind[] = await this.store.ownKinds();
    const chunks: string[][] = [];
    for (let i = 0; i < ids.length; i += CHUNK) chunks.push(ids.slice(i, i + CHUNK));
    let next = 0;
    const take = async () => {
      for (let chunk = chunks[next++]; chunk; chunk = chunks[next++]) {
        const stamps = chunk.map((id) => this.stamp(id));
        const written = await this.store.queenFacts(chunk, { notes: false });
        const facts = await Promise.all(written.map((f) => this.withPlaces(f)));
        facts.forEach((f) => this.remember(f));
        const done = (await this.projector.run({
          facts,
          settings,
          own,
          now,
          draws: SHELF_DRAWS,
          learned: facts.map((f) => withoutOwn(this.learned, this.told.get(f.queen.id)?.teaches ?? null)),
          want: 'rows',
        })) as Projected<'rows'>[];
        done.forEach(({ row, holdsUntil, teaches, learnsFrom, falls, heated }) => {
          this.tell(row.queen.id, { teaches, learnsFrom, falls, heated });
          const i = chunk.indexOf(row.queen.id);
          // shown once even when a write has overtaken it; the next answer computes it anew
          const current = stamps[i] === this.stamp(row.queen.id);
          this.rows.set(row.queen.id, { row, holdsUntil: current ? msOf(holdsUntil) : 0 });
        });
      }
    };
    // one chunk more than threads, so that reading the next goes on while the others compute
    await Promise.all(Array.from({ length: this.projector.size + 1 }, take));
  }
}

/** A queen's facts with what is known of her places. */
type Known = QueenFacts & Required<Pick<QueenFacts, 'measured' | 'falls'>>;

function asFarBackAsItMatters(facts: Known): Known {
  const first = facts.entries.reduce((ms, e) => Math.min(ms, msOf(e.at)), Infinity);
  const since = dayNumber(first) - BEFORE_HER_DAYS;
  const measured = facts.measured.map((r) => ({ ...r, days: r.days.filter((d) => d.day >= since) }));
  return { ...facts, measured: measured.filter((r) => r.days.length > 0) };
}

const ofClimate = ({ fact }: Fact): boolean =>
  fact === 'probe' || fact === 'readings' || fact === 'readings-taken-back';

/** Sums of the same parts differ in their last digits with the order of adding. */
function sameEvidence(a: KindEvidence = {}, b: KindEvidence = {}): boolean {
  return STAGES.every((stage) => {
    const [x, y] = [a[stage], b[stage]];
    if (!x || !y) return x === y;
    const near = (p: number, q: number) => Math.abs(p - q) <= 1e-6 * Math.max(1, Math.abs(p));
    return x.n === y.n && near(x.precision, y.precision) && near(x.weighted, y.weighted);
  });
}
