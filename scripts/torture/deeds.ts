import { DEFAULT_SETTINGS, type KeeperSettings, type Place } from '@gentle-burrow/core/facts';
import type { Entry } from '@gentle-burrow/core/log';
import type { Fact } from '@gentle-burrow/core/records';
import { usualTube } from '@gentle-burrow/core/tube';
import sharp from 'sharp';
import { v7 } from 'uuid';

/** What comes by chance, the same for the same seed. */
export interface Chance {
  upTo(n: number): number;
  pick<T>(list: readonly T[]): T;
}

/** Something that is sent, and what must be there from when it is acknowledged. */
export interface Deed {
  what: string;
  method: 'POST' | 'PUT';
  path: string;
  body: unknown;
  /** Sent instead of the body. */
  bytes?: { type: string; content: Buffer };
  facts: Fact[];
}

/** What is known to be there, to write about. */
export interface Known {
  queens: string[];
  places: Place[];
  entries: Entry[];
  items: string[];
}

const ago = (days: number) => new Date(Date.now() - days * 86_400_000).toISOString();
const picture = await sharp({ create: { width: 60, height: 40, channels: 3, background: '#805030' } })
  .jpeg()
  .toBuffer();

/** One thing that is sent as it is, and must be there as it was sent. */
const sent = (what: string, method: Deed['method'], path: string, fact: Fact): Deed => ({
  what,
  method,
  path,
  body: fact.value,
  facts: [fact],
});

/** Makes up what a keeper writes. */
export class Deeds {
  readonly probe = {
    id: v7(),
    name: 'Logger',
    kind: 'logger',
    stays: [] as object[],
    silentAfterH: null,
    checks: [],
  };
  private minute = Date.UTC(2026, 0, 1);

  constructor(
    private readonly chance: Chance,
    private readonly known: Known,
  ) {}

  /** Whatever comes next. */
  next(): Deed {
    if (this.known.queens.length === 0) return this.queen();
    const way = this.chance.upTo(100);
    if (way < 12) return this.queen();
    if (way < 58) return this.someEntries();
    if (way < 66) return this.place();
    if (way < 72) return this.settings();
    if (way < 82) return this.stock();
    if (way < 88) return this.photo();
    if (way < 94) return this.brought();
    return this.readings();
  }

  queen(): Deed {
    const at = ago(30 + this.chance.upTo(60));
    const home = usualTube(v7(), at);
    const place: Place = {
      id: v7(),
      name: `Shelf ${this.known.places.length}`,
      tempC: 24,
      roomRelHumidity: 0.5,
      winter: null,
    };
    const id = v7();
    const queen = {
      id,
      label: `Q${id.slice(-6)}`,
      batch: '',
      homeId: home.id,
      placeId: place.id,
      lookingSchool: null,
      createdAt: at,
    };
    const intake = {
      kind: 'intake',
      id: v7(),
      queenId: id,
      at,
      loggedAt: at,
      found: 'walking',
      species: { profileId: 'tetramorium-immigrans', sure: 'likely' },
    };
    return {
      what: 'queen',
      method: 'POST',
      path: '/queens',
      body: { queen, home, place, intake },
      facts: [
        { fact: 'place', value: place },
        { fact: 'queen', value: queen },
        { fact: 'entry', value: intake as Entry },
      ],
    };
  }

  private someEntries(): Deed {
    const list = Array.from({ length: 1 + this.chance.upTo(4) }, (): Entry => {
      const queenId = this.chance.pick(this.known.queens);
      const at = ago(this.chance.upTo(28));
      const head = { id: v7(), queenId, at, loggedAt: at };
      const hers = this.known.entries.filter((e) => e.queenId === queenId && e.kind !== 'amendment');
      const way = this.chance.upTo(3);
      if (way === 0 && hers.length > 0)
        return { kind: 'amendment', ...head, amends: this.chance.pick(hers).id, replacement: null } as Entry;
      if (way === 1) return { kind: 'note', ...head, text: `Note ${head.id} “ä” 蟻` } as Entry;
      return { kind: 'look', ...head, queen: 'seen', eggs: { low: this.chance.upTo(20), high: 20 } } as Entry;
    });
    return {
      what: 'entry',
      method: 'POST',
      path: '/entries',
      body: { entries: list },
      facts: list.map((value) => ({ fact: 'entry', value })),
    };
  }

  private place(): Deed {
    const value = { ...this.chance.pick(this.known.places), tempC: 15 + this.chance.upTo(150) / 10 };
    return sent('place', 'PUT', `/places/${value.id}`, { fact: 'place', value });
  }

  private settings(): Deed {
    const value: KeeperSettings = {
      ...DEFAULT_SETTINGS,
      learn: this.chance.upTo(2) === 0,
      weekdays: [this.chance.upTo(7)],
    };
    return sent('settings', 'PUT', '/settings', { fact: 'settings', value });
  }

  private stock(): Deed {
    if (this.known.items.length === 0 || this.chance.upTo(6) === 0) {
      const value = {
        id: v7(),
        kind: 'plug' as const,
        name: `Cotton ${this.known.items.length}`,
        tube: null,
        lowAt: this.chance.upTo(5),
      };
      return sent('stock item', 'PUT', `/stock/items/${value.id}`, { fact: 'stock-item', value });
    }
    const value = {
      id: v7(),
      itemId: this.chance.pick(this.known.items),
      at: ago(1),
      delta: 1 + this.chance.upTo(9),
      why: 'bought' as const,
      queenId: null,
    };
    return sent('stock change', 'POST', '/stock/moves', { fact: 'stock-move', value });
  }

  private photo(): Deed {
    const [id, queenId] = [v7(), this.chance.pick(this.known.queens)];
    const at = encodeURIComponent(ago(this.chance.upTo(20)));
    return {
      what: 'photo',
      method: 'PUT',
      path: `/photos/${id}?queen=${queenId}&at=${at}`,
      body: null,
      bytes: { type: 'application/octet-stream', content: picture },
      facts: [],
    };
  }

  private readings(): Deed {
    const ms = Array.from({ length: 50 }, () => (this.minute += 60_000));
    return {
      what: 'readings',
      method: 'POST',
      path: '/readings',
      body: {
        probeId: this.probe.id,
        ms,
        tempC: ms.map(() => 20 + this.chance.upTo(80) / 10),
        rh: ms.map(() => null),
      },
      facts: [],
    };
  }

  /** A log of another keeper's queen, brought back. */
  private brought(): Deed {
    const { facts, body } = this.queen();
    const { home } = body as { home: object };
    const all = [{ fact: 'home', value: home }, ...facts];
    return {
      what: 'log brought back',
      method: 'POST',
      path: '/bring-back?take=yes',
      body: null,
      bytes: {
        type: 'application/jsonl',
        content: Buffer.from(all.map((f) => JSON.stringify(f)).join('\n')),
      },
      facts,
    };
  }
}
