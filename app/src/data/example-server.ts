import { DAY_MS } from '@gentle-burrow/core/quantity';
import type {
  Climate,
  NewQueen,
  QueenDetail,
  QueenPatch,
  Series,
  Shelf,
  Stock,
} from '@gentle-burrow/contract';
import {
  inColumns,
  readingsOf,
  rolled,
  without,
  type Reading,
  type Spread,
} from '@gentle-burrow/core/climate';
import type { KeeperSettings, Place, Probe, StockItem, StockMove } from '@gentle-burrow/core/facts';
import type { Entry } from '@gentle-burrow/core/log';
import { reckonedPlaces } from '@gentle-burrow/core/warmth';
import { byUrgency } from '@gentle-burrow/core/light';
import { withFalls } from '@gentle-burrow/core/view';
import { usedParts } from '@gentle-burrow/core/housing';
import {
  batchOf,
  columnsOfBatch,
  logOf,
  recordsAt,
  type Fact,
  type ReadingBatch,
  type TakenBack,
} from '@gentle-burrow/core/records';
import type { OwnKind } from '@gentle-burrow/core/species';
import { KIND_CARDS } from '@gentle-burrow/core/species/catalogue';
import { stockLevels } from '@gentle-burrow/core/stock';
import { demoFacts } from '@gentle-burrow/core/world/demo';
import { v7 } from 'uuid';
import type { Answering } from './network';
import { projectLocally } from './projection';

const NONE = null;

/**
 * Answers like the server, from made-up facts, within this window: a shelf to try everything on. Nothing leaves the
 * window, and all of it is gone with the next load.
 */
export class ExampleServer implements Answering {
  private readonly facts: Fact[];

  constructor(now: Date) {
    this.facts = demoFacts(now, (at) => v7({ msecs: Date.parse(at) }));
  }

  /** @returns the body of the answer; null when there is nothing of that address */
  async answer(path: string, init?: { method: string; body?: unknown }): Promise<unknown> {
    if (init) return this.take(init.method, path, init.body);
    const [, what, id] = path.split('?')[0]?.split('/') ?? [];
    if (what === 'queens' && id) return this.queen(id);
    switch (what) {
      case 'shelf':
        return this.shelf();
      case 'species':
        return { species: KIND_CARDS };
      case 'own-kinds':
        return { kinds: logOf(this.facts).own };
      case 'learned':
        return { learned: {} };
      case 'places':
        return id
          ? { record: this.log(new Date().toISOString()).measured.find((r) => r.placeId === id) ?? null }
          : { places: this.places() };
      case 'climate':
        return this.climate();
      case 'probes':
        return this.series(id ?? '', new URLSearchParams(path.split('?')[1]));
      case 'settings':
        return logOf(this.facts).settings;
      case 'set-aside':
        return { setAside: [] };
      case 'stock':
        return this.stock();
      default:
        return NONE;
    }
  }

  private async shelf(): Promise<Shelf> {
    const at = new Date().toISOString();
    const { queens, settings, own, measured } = this.log(at);
    const whole = withFalls(queens, at).map((q) => ({ ...q, measured }));
    const all = await Promise.all(whole.map((q) => projectLocally(q, settings, at, own)));
    return { at, rows: all.map((p) => p.row).sort(byUrgency) };
  }

  private async queen(id: string): Promise<QueenDetail | null> {
    const at = new Date().toISOString();
    const { queens, settings, own, measured } = this.log(at);
    const facts = withFalls(queens, at).find((q) => q.queen.id === id);
    if (!facts) return NONE;
    const whole = { ...facts, measured };
    const { view } = await projectLocally(whole, settings, at, own);
    return { at, ...whole, falls: facts.falls ?? [], view, learned: {} };
  }

  private log(at: string) {
    const log = logOf(this.facts);
    const places = this.places().map((p) => p.id);
    return { ...log, measured: recordsAt(log.measured, places, at) };
  }

  private stock(): Stock {
    const items = latest(this.facts.flatMap((f) => (f.fact === 'stock-item' ? [f.value] : [])));
    const moves = this.facts.flatMap((f) => (f.fact === 'stock-move' ? [f.value] : []));
    const { queens } = logOf(this.facts);
    return {
      levels: stockLevels(items, moves),
      used: usedParts(queens, new Date().toISOString()),
      plan: null,
    };
  }

  private takeBack({ probeId, ms }: TakenBack): void {
    const moments = new Set(ms);
    for (const f of this.facts)
      if (f.fact === 'readings' && f.value.probeId === probeId)
        f.value = batchOf(probeId, without(columnsOfBatch(f.value), moments));
  }

  private readingsOf(probeId: string) {
    return this.facts.flatMap((f) =>
      f.fact === 'readings' && f.value.probeId === probeId ? [columnsOfBatch(f.value)] : [],
    );
  }

  /** What the made-up loggers show; nothing is wrong at the made-up places. */
  private climate(): Climate {
    const now = Date.now();
    const { measured, settings } = this.log(new Date(now).toISOString());
    return {
      alarms: [],
      reckoned: reckonedPlaces(this.places(), measured, new Date(now).toISOString(), settings.hemisphere),
      probes: latest(this.facts.flatMap((f) => (f.fact === 'probe' ? [f.value] : []))).map((probe) => {
        const last = this.readingsOf(probe.id)
          .flatMap(readingsOf)
          .reduce<Reading | null>((a, r) => (a && a.ms > r.ms ? a : r), null);
        const newest = last && { at: new Date(last.ms).toISOString(), tempC: last.tempC, rh: last.rh };
        return {
          probe,
          latest: newest,
          day: newest && this.columns(probe.id, now - DAY_MS, now, 1)[0],
          tokenMadeAt: null,
        };
      }) as Climate['probes'],
    };
  }

  private series(probeId: string, query: URLSearchParams): Series {
    const [from, to] = [query.get('from') ?? '', query.get('to') ?? ''];
    const columns = this.columns(
      probeId,
      Date.parse(from),
      Date.parse(to),
      Number(query.get('columns') ?? 100),
    );
    return { from, to, columns };
  }

  private columns(probeId: string, fromMs: number, toMs: number, count: number): Series['columns'] {
    const parts = this.readingsOf(probeId).flatMap((c) =>
      rolled(c, fromMs, 1_800_000, (toMs - fromMs) / 1_800_000),
    );
    const scaled = (s: Spread | null, by: number) =>
      s && { min: s.min / by, mean: s.mean / by, max: s.max / by };
    return inColumns(parts, fromMs, toMs, count).map((c) => ({
      at: new Date(c.ms).toISOString(),
      n: c.n,
      tempC: scaled(c.temp, 100),
      rh: scaled(c.rh, 10_000),
    }));
  }

  private places(): Place[] {
    return latest(this.facts.flatMap((f) => (f.fact === 'place' ? [f.value] : [])));
  }

  private take(method: string, path: string, body: unknown): unknown {
    if (path === '/queens' && method === 'POST') {
      const { queen, home, place, intake, used = [] } = body as NewQueen;
      this.facts.push(
        { fact: 'place', value: place },
        { fact: 'home', value: home },
        { fact: 'queen', value: queen },
        { fact: 'entry', value: intake },
        ...used.map((value): Fact => ({ fact: 'stock-move', value })),
      );
    } else if (path === '/entries')
      this.facts.push(
        ...(body as { entries: Entry[] }).entries.map((value): Fact => ({ fact: 'entry', value })),
      );
    else if (path === '/settings') this.facts.push({ fact: 'settings', value: body as KeeperSettings });
    else if (path.startsWith('/probes/')) this.facts.push({ fact: 'probe', value: body as Probe });
    else if (path === '/readings/taken-back') this.takeBack(body as TakenBack);
    else if (path === '/readings') this.facts.push({ fact: 'readings', value: body as ReadingBatch });
    else if (path.startsWith('/own-kinds/')) this.facts.push({ fact: 'own-kind', value: body as OwnKind });
    else if (path === '/stock/moves') this.facts.push({ fact: 'stock-move', value: body as StockMove });
    else if (path.startsWith('/stock/items/'))
      this.facts.push({ fact: 'stock-item', value: body as StockItem });
    else if (path.startsWith('/places/')) this.facts.push({ fact: 'place', value: body as Place });
    else if (path.startsWith('/queens/')) this.patch(path.split('/')[2] ?? '', body as QueenPatch);
    return {};
  }

  private patch(id: string, patch: QueenPatch): void {
    const queen = this.facts
      .flatMap((f) => (f.fact === 'queen' && f.value.id === id ? [f.value] : []))
      .at(-1);
    if (queen) this.facts.push({ fact: 'queen', value: { ...queen, ...patch } });
  }
}

const latest = <T extends { id: string }>(all: readonly T[]): T[] => [
  ...new Map(all.map((one) => [one.id, one])).values(),
];
