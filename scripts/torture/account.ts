import { isDeepStrictEqual } from 'node:util';
import { readFacts, type Fact } from '@gentle-burrow/core/records';
import type { Deed, Known } from './deeds';

/** What was acknowledged, and whether it is there: once, as it was acknowledged. */
export class Account implements Known {
  readonly queens: Known['queens'] = [];
  readonly places: Known['places'] = [];
  readonly entries: Known['entries'] = [];
  readonly items: Known['items'] = [];
  readonly lost: string[] = [];
  readonly doubled: string[] = [];
  /** How often each kind of thing was acknowledged. */
  readonly acknowledged: Record<string, number> = {};
  readonly readings = new Map<string, number>();
  /** Facts that are only ever added. */
  private readonly added = new Map<string, Fact>();
  /** Of what is put in its newest form: what may stand there, the last that was acknowledged and whatever was sent since. */
  private readonly newest = new Map<string, unknown[]>();
  /** Which of them was ever acknowledged. */
  private readonly put = new Set<string>();
  private readonly photos = new Map<string, string>();

  count(what: string): void {
    this.acknowledged[what] = (this.acknowledged[what] ?? 0) + 1;
  }

  /** What stands there from when it is sent on, whether it is acknowledged or not. */
  mayBe(deed: Deed): void {
    for (const { fact, value } of deed.facts)
      if (hasNewest(fact)) {
        const key = keyOf(value);
        this.newest.set(key, [...(this.newest.get(key) ?? []), value]);
      }
  }

  /** It was acknowledged. */
  mustBe(deed: Deed): void {
    // nothing newer of it was sent meanwhile
    if (isPut(deed)) for (const { value } of deed.facts) this.newest.set(keyOf(value), [value]);
    this.count(deed.what);
    for (const one of deed.facts) {
      if (hasNewest(one.fact)) this.put.add(keyOf(one.value));
      if (one.fact === 'entry' || one.fact === 'stock-move' || one.fact === 'queen') {
        this.added.set(one.value.id, one);
        if (one.fact === 'queen') this.queens.push(one.value.id);
        if (one.fact === 'entry') this.entries.push(one.value);
      }
      if (one.fact === 'place' && !isPut(deed)) this.places.push(one.value);
      if (one.fact === 'stock-item') this.items.push(one.value.id);
    }
    if (deed.what === 'photo') {
      const [, id = '', queenId = ''] = /photos\/([^?]+)\?queen=([^&]+)/.exec(deed.path) ?? [];
      this.photos.set(id, queenId);
    }
    if (deed.what === 'readings') {
      const { ms, tempC } = deed.body as { ms: number[]; tempC: number[] };
      ms.forEach((at, i) => this.readings.set(`${at}`, tempC[i] as number));
    }
  }

  /** Everything that was acknowledged is there, once, as it was acknowledged. */
  async lookThrough(url: string, when: string): Promise<void> {
    const text = await (await fetch(`${url}/api/export.jsonl?places=exact`)).text();
    const facts = readFacts(text);
    const there = new Map<string, Fact>();
    const measured = new Map<string, number>();
    for (const f of facts) {
      if (f.fact === 'readings') {
        f.value.ms.forEach((at, i) => {
          if (measured.has(`${at}`)) this.doubled.push(`${when}: the reading of ${at}`);
          measured.set(`${at}`, f.value.tempC[i] as number);
        });
        continue;
      }
      if (f.fact === 'readings-taken-back') continue;
      const id = f.fact === 'settings' ? f.fact : f.value.id;
      if (there.has(id)) this.doubled.push(`${when}: ${f.fact} ${id}`);
      there.set(id, f);
    }
    for (const [id, fact] of this.added) {
      const found = there.get(id);
      if (!found) this.lost.push(`${when}: ${fact.fact} ${id}`);
      else if (fact.fact !== 'queen' && !holds(found.value, fact.value))
        this.lost.push(`${when}: what ${fact.fact} ${id} said`);
    }
    for (const [id, may] of this.newest) {
      const found = there.get(id);
      // one that was never acknowledged need not be there
      if (found ? !may.some((value) => holds(found.value, value)) : this.put.has(id))
        this.lost.push(`${when}: the newest of ${found?.fact ?? 'what was put'} ${id}`);
    }
    for (const [at, tempC] of this.readings)
      if (measured.get(at) !== Math.round(tempC * 100) / 100) this.lost.push(`${when}: the reading of ${at}`);
    const shown = new Map<string, number>();
    for (const queenId of new Set(this.photos.values())) {
      const { photos: hers } = (await (await fetch(`${url}/api/queens/${queenId}/photos`)).json()) as {
        photos: { id: string }[];
      };
      for (const { id } of hers) shown.set(id, (shown.get(id) ?? 0) + 1);
    }
    for (const id of this.photos.keys()) {
      const n = shown.get(id) ?? 0;
      const bytes =
        n > 0 ? Buffer.from(await (await fetch(`${url}/api/photos/${id}`)).arrayBuffer()) : Buffer.alloc(0);
      if (n === 0 || bytes.subarray(0, 2).toString('hex') !== 'ffd8')
        this.lost.push(`${when}: the photo ${id}`);
      if (n > 1) this.doubled.push(`${when}: the photo ${id}`);
    }
  }
}

const hasNewest = (fact: Fact['fact']): boolean => ['place', 'settings', 'stock-item'].includes(fact);
const keyOf = (value: Fact['value']): string => ('id' in value ? value.id : 'settings');

/** What is put in its newest form. */
export const isPut = (deed: Deed): boolean => ['place', 'settings', 'stock item'].includes(deed.what);

/** Whether what was found says all that was told; what was not told is filled in. */
function holds(found: unknown, told: unknown): boolean {
  if (typeof told !== 'object' || told === null || Array.isArray(told)) return isDeepStrictEqual(found, told);
  return Object.entries(told).every(([k, v]) => holds((found as Record<string, unknown> | null)?.[k], v));
}
