import { createWriteStream, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { factSchema } from '@gentle-burrow/core/records';
import * as fc from 'fast-check';
import { v7 } from 'uuid';
import { DEFAULT_SETTINGS } from '@gentle-burrow/core/facts';
import { KIND_NAMES, referencesOf, type Entry } from '@gentle-burrow/core/log';
import type { OwnKind } from '@gentle-burrow/core/species';
import { SAMPLES } from '@gentle-burrow/core/world';
import { bringBack } from '../backup/bring-back';
import { openBrought, type Brought } from '../backup/read-archive';
import { archiveOf } from '../backup/write-archive';
import { daysAgo, factsOf, lookEntry, MIGRATIONS, newQueen, picture } from '../test-kit';
import type { Fact } from './facts';
import { openFiles } from './files';
import { openDb } from './open';
import type { PhotoFacts } from './photos';
import { Store } from './store';

const folders: string[] = [];
const folder = (): string => {
  folders.push(mkdtempSync(join(tmpdir(), 'burrow-replay-')));
  return folders[folders.length - 1] as string;
};
afterAll(() => folders.forEach((f) => rmSync(f, { recursive: true, force: true })));

/** A store over what lies in a folder, its database empty: all that it knows comes from the journals. */
async function opened(root: string): Promise<Store> {
  const store = new Store(await openDb({ migrationsFolder: MIGRATIONS }), openFiles(root));
  await store.prepare();
  return store;
}

/** The whole backup: every fact, every photo, and their checksums. */
async function exported(store: Store): Promise<string> {
  const file = join(folder(), 'whole.zip');
  await pipeline(
    await archiveOf(store, { version: '0.0.0-test', madeAt: daysAgo(0) }),
    createWriteStream(file),
  );
  return file;
}

const ACTS = [
  'queen',
  'look',
  'any-kind',
  'note',
  'put-right',
  'take-back',
  'undo',
  'place',
  'own-kind',
  'photo',
  'stock',
  'settings',
  'readings',
] as const;
type Act = { what: (typeof ACTS)[number]; n: number };
const acts = fc.array(fc.record({ what: fc.constantFrom(...ACTS), n: fc.nat(1000) }), {
  minLength: 20,
  maxLength: 60,
});

/** Facts that belong together, or a photo. */
type Sent = Fact[] | { photo: PhotoFacts; colour: string };

/** What a keeper might write, one fact or several belonging together, each only about what is there by then. */
function written(all: readonly Act[]): Sent[] {
  const queens = [newQueen('Q0'), newQueen('Q1')];
  const own: OwnKind[] = [];
  const entries: Entry[] = [];
  const probe = {
    id: v7(),
    name: 'P',
    kind: 'logger' as const,
    stays: [{ from: daysAgo(90), placeId: queens[0]?.place.id as string }],
    silentAfterH: null,
    checks: [],
  };
  const item = { id: v7(), kind: 'plug' as const, name: 'Cotton', tube: null, lowAt: 0 };
  const begun: Fact[][] = [
    queens.flatMap((q) => [...factsOf(q)]),
    [{ fact: 'probe', value: probe }],
    [{ fact: 'stock-item', value: item }],
  ];
  const pick = <T>(list: readonly T[], n: number): T | undefined => list[n % list.length];
  const amend = (about: Entry | undefined, replacement: unknown): Fact[] => {
    if (!about) return [];
    const at = daysAgo(2);
    const value = {
      kind: 'amendment',
      id: v7(),
      queenId: about.queenId,
      at,
      loggedAt: at,
      amends: about.id,
      replacement,
    } as Entry;
    entries.push(value);
    return [{ fact: 'entry', value }];
  };
  const sent = all.map(({ what, n }): Sent => {
    const queen = pick(queens, n)?.queen.id as string;
    const told = (value: Entry): Fact[] => {
      entries.push(value);
      return [{ fact: 'entry', value }];
    };
    switch (what) {
      case 'queen': {
        const one = newQueen(`Q${queens.length}`, n % 60);
        queens.push(one);
        return [...factsOf(one)];
      }
      case 'look':
        // several of one moment
        return told(lookEntry(queen, n % 7, n % 12));
      case 'any-kind': {
        const sample = pick(
          KIND_NAMES.map((kind) => SAMPLES[kind]),
          n,
        );
        // of what is here
        let text = JSON.stringify(sample);
        const { places = [], species = [] } = referencesOf(sample as (typeof SAMPLES)['look']);
        places.forEach((id, i) => (text = text.replaceAll(id, pick(queens, n + i)?.place.id ?? id)));
        // two that are named stay two
        for (const id of species.slice(0, 1)) text = text.replaceAll(id, pick(own, n)?.id ?? id);
        const at = daysAgo(n % 12);
        return told({ ...(JSON.parse(text) as Entry), id: v7(), queenId: queen, at, loggedAt: at });
      }
      case 'own-kind': {
        // a new one, or one of before told otherwise
        const value: OwnKind = {
          id: pick(own, n)?.id ?? v7(),
          name: `Mine ${n}`,
          copiedOf: 'tetramorium-immigrans',
          copiedName: 'Tetramorium immigrans',
          figures: { founder: { value: 'semi-claustral', says: 'my own queens' } },
          changedAt: daysAgo(n % 3),
        };
        if (n % 2 === 0) value.id = v7();
        own.push(value);
        return [{ fact: 'own-kind', value }];
      }
      case 'photo':
        return {
          photo: { id: v7(), queenId: queen, at: new Date(daysAgo(n % 8)) },
          colour: `#${100 + (n % 900)}`,
        };
      case 'note':
        return told({
          kind: 'note',
          id: v7(),
          queenId: queen,
          at: daysAgo(n % 9),
          loggedAt: daysAgo(0),
          text: `Note ${n} … “ä” 蟻`,
        });
      case 'put-right': {
        const look = pick(
          entries.filter((e) => e.kind === 'look'),
          n,
        );
        return amend(look, { kind: 'look', at: daysAgo(n % 11), queen: 'seen' });
      }
      case 'take-back':
        return amend(
          pick(
            entries.filter((e) => e.kind !== 'amendment'),
            n,
          ),
          null,
        );
      case 'undo':
        return amend(
          pick(
            entries.filter((e) => e.kind === 'amendment'),
            n,
          ),
          null,
        );
      case 'place':
        return [
          {
            fact: 'place',
            value: { ...(pick(queens, n) as (typeof queens)[number]).place, tempC: 18 + (n % 10) },
          },
        ];
      case 'stock':
        return [
          {
            fact: 'stock-move',
            value: {
              id: v7(),
              itemId: item.id,
              at: daysAgo(n % 5),
              delta: 1 + n,
              why: 'bought',
              queenId: null,
            },
          },
        ];
      case 'settings':
        return [{ fact: 'settings', value: { ...DEFAULT_SETTINGS, learn: n % 2 === 0 } }];
      case 'readings': {
        const ms = [0, 1, 2].map((i) => Date.UTC(2026, 5, 1 + (n % 20)) + i * 60_000);
        return [
          {
            fact: 'readings',
            value: { probeId: probe.id, ms, tempC: ms.map(() => 20 + (n % 9) / 2), rh: ms.map(() => null) },
          },
        ];
      }
    }
  });
  return [...begun, ...sent].map((some) =>
    Array.isArray(some) ? some.map((f) => factSchema.parse(f)) : some,
  );
}

/** What stands before the entry that it puts right. */
async function toldTooEarly(file: Brought): Promise<string[]> {
  const seen = new Set<string>();
  const early: string[] = [];
  for await (const { text } of file.lines()) {
    const fact = factSchema.parse(JSON.parse(text ?? ''));
    if (fact.fact !== 'entry') continue;
    if (fact.value.kind === 'amendment' && !seen.has(fact.value.amends)) early.push(fact.value.id);
    seen.add(fact.value.id);
  }
  return early;
}

test('what was accepted comes back the same, byte for byte, from the export and from the journal', async () => {
  await fc.assert(
    fc.asyncProperty(acts, fc.nat(6), async (all, together) => {
      const root = folder();
      const store = await opened(root);
      const each = written(all);
      // some are sent together, as a device does that was without a connection
      for (let i = 0; i < each.length; i += together + 1) {
        const some = each.slice(i, i + together + 1);
        await store.write(some.flatMap((one) => (Array.isArray(one) ? one : [])));
        for (const one of some)
          if ('photo' in one) await store.photos.keep(one.photo, await picture(one.colour));
      }
      const whole = await exported(store);
      const before = readFileSync(whole);
      await store.close();

      const rebuilt = await opened(root);
      expect(readFileSync(await exported(rebuilt)).equals(before)).toBe(true);
      expect(rebuilt.setAside()).toEqual([]);
      await rebuilt.close();

      const brought = await opened(folder());
      const file = await openBrought(whole);
      expect(await toldTooEarly(file)).toEqual([]);
      const { refused } = await bringBack(brought, file, { take: true, prefer: 'here' });
      file.close();
      expect(refused).toEqual([]);
      expect(readFileSync(await exported(brought)).equals(before)).toBe(true);
      await brought.close();
    }),
    { numRuns: 3, seed: 12, endOnFailure: true },
  );
}, 120_000);
