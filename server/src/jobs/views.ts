import {
  byUrgency,
  msOf,
  type Instant,
  type Queen,
  type QueenFacts,
  type QueenView,
  type ShelfRow,
} from '@gentle-burrow/core';
import type { Fact } from '../db/facts';
import type { Store } from '../db/store';
import type { Projector } from './pool';
import type { Projected } from './project-task';

/** Draws for one queen's own page, and for a row of the shelf, whose bands need not be as smooth. */
const QUEEN_DRAWS = 4000;
const SHELF_DRAWS = 1000;
/** Queens in one task: small enough to share between threads, large enough not to pay for the messages. */
const CHUNK = 25;

/** Derived views, kept while nothing they rest on has changed. */
export class Views {
  private readonly rows = new Map<string, { row: ShelfRow; holdsUntil: number }>();
  private readonly whole = new Map<string, { view: QueenView; queen: Queen; holdsUntil: number }>();
  /** Counts the writes about each queen, so that an answer begun before a write is not kept after it. */
  private readonly turns = new Map<string, number>();
  /** Places each queen has stood in, as last read. */
  private readonly stood = new Map<string, Set<string>>();
  private epoch = 0;
  private writes = 0;
  private shelfUnderWay: Promise<string> | null = null;
  private shelfText: { text: string; holdsUntil: number } | null = null;

  constructor(
    private readonly store: Store,
    private readonly projector: Projector,
  ) {
    store.onWrite((facts) => this.forget(facts));
  }

  private forget(facts: readonly Fact[]): void {
    this.shelfText = null;
    this.writes++;
    for (const f of facts) {
      if (f.fact === 'settings') {
        this.epoch++;
        this.rows.clear();
        this.whole.clear();
      } else if (f.fact === 'entry') this.forgetQueen(f.value.queenId);
      else if (f.fact === 'queen') this.forgetQueen(f.value.id);
      else if (f.fact === 'home') this.forgetSharing('homeId', f.value.id);
      // carried from place to place, a queen rests on more than the one she was first put in
      else if (f.fact === 'place') this.forgetPlace(f.value.id);
    }
  }

  private forgetQueen(id: string): void {
    this.turns.set(id, (this.turns.get(id) ?? 0) + 1);
    this.rows.delete(id);
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

  private remember({ queen, places }: QueenFacts): void {
    this.stood.set(queen.id, new Set(places.map((p) => p.id)));
  }

  private stamp(id: string): string {
    return `${this.epoch}:${this.turns.get(id) ?? 0}`;
  }

  /** One queen's view with its facts, or null when she is not known. */
  async queen(id: string, now: Instant) {
    const stamp = this.stamp(id);
    const [facts] = await this.store.queenFacts([id]);
    if (!facts) return null;
    this.remember(facts);
    const kept = this.whole.get(id);
    if (kept && kept.holdsUntil > msOf(now)) return { facts, view: kept.view };
    const [done] = (await this.projector.run({
      facts: [facts],
      settings: await this.store.settings(),
      now,
      draws: QUEEN_DRAWS,
      want: 'views',
    })) as Projected<'views'>[];
    if (!done) throw new Error('no view');
    if (stamp === this.stamp(id))
      this.whole.set(id, { view: done.view, queen: facts.queen, holdsUntil: msOf(done.holdsUntil) });
    return { facts, view: done.view };
  }

  /** The shelf as JSON text: most urgent first. Kept as text, since it is asked for far oftener than it changes. */
  async shelf(now: Instant): Promise<string> {
    if (this.shelfText && this.shelfText.holdsUntil > msOf(now)) return this.shelfText.text;
    this.shelfUnderWay ??= this.makeShelf(now).finally(() => (this.shelfUnderWay = null));
    return this.shelfUnderWay;
  }

  private async makeShelf(now: Instant): Promise<string> {
    const ms = msOf(now);
    const before = this.writes;
    const ids = (await this.store.queens()).map((q) => q.id);
    await this.refresh(
      ids.filter((id) => (this.rows.get(id)?.holdsUntil ?? 0) <= ms),
      now,
    );
    const rows = ids.map((id) => this.rows.get(id)).filter((r) => r !== undefined);
    const text = JSON.stringify({ at: now, rows: rows.map((r) => r.row).sort(byUrgency) });
    const holdsUntil = rows.reduce((a, r) => Math.min(a, r.holdsUntil), ms + 1_800_000);
    if (before === this.writes && rows.length === ids.length) this.shelfText = { text, holdsUntil };
    return text;
  }

  private async refresh(ids: string[], now: Instant): Promise<void> {
    const settings = await this.store.settings();
    const chunks: string[][] = [];
    for (let i = 0; i < ids.length; i += CHUNK) chunks.push(ids.slice(i, i + CHUNK));
    let next = 0;
    const take = async () => {
      for (let chunk = chunks[next++]; chunk; chunk = chunks[next++]) {
        const stamps = chunk.map((id) => this.stamp(id));
        const facts = await this.store.queenFacts(chunk);
        facts.forEach((f) => this.remember(f));
        const done = (await this.projector.run({
          facts,
          settings,
          now,
          draws: SHELF_DRAWS,
          want: 'rows',
        })) as Projected<'rows'>[];
        done.forEach(({ row, holdsUntil }) => {
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
