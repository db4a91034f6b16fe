import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { factSchema } from '@gentle-burrow/core/records';
import * as fc from 'fast-check';
import { v7 } from 'uuid';
import { DEFAULT_SETTINGS } from '@gentle-burrow/core/facts';
import type { Entry } from '@gentle-burrow/core/log';
import { bringBack } from '../backup/bring-back';
import { openBrought } from '../backup/read-archive';
import { daysAgo, factsOf, lookEntry, MIGRATIONS, newQueen } from '../test-kit';
import type { Fact } from './facts';
import { openFiles } from './files';
import { openDb } from './open';
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

async function exported(store: Store): Promise<string> {
  const lines: string[] = [];
  for await (const fact of store.allFacts()) lines.push(`${JSON.stringify(fact)}\n`);
  return lines.join('');
}

type Act = {
  what:
    | 'queen'
    | 'look'
    | 'note'
    | 'put-right'
    | 'take-back'
    | 'undo'
    | 'place'
    | 'stock'
    | 'settings'
    | 'readings';
  n: number;
};
const acts = fc.array(
  fc.record({
    what: fc.constantFrom<Act['what']>(
      'queen',
      'look',
      'note',
      'put-right',
      'take-back',
      'undo',
      'place',
      'stock',
      'settings',
      'readings',
    ),
    n: fc.nat(1000),
  }),
  { minLength: 20, maxLength: 60 },
);

/** What a keeper might write, one fact or several belonging together, each only about what is there by then. */
function written(all: readonly Act[]): Fact[][] {
  const queens = [newQueen('Q0')];
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
    [...factsOf(queens[0] as (typeof queens)[number])],
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
  const facts = all.map(({ what, n }): Fact[] => {
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
  return [...begun, ...facts.filter((f) => f.length > 0)].map((some) => some.map((f) => factSchema.parse(f)));
}

test('what was accepted comes back the same, byte for byte, from the export and from the journal', async () => {
  await fc.assert(
    fc.asyncProperty(acts, fc.nat(6), async (all, together) => {
      const root = folder();
      const store = await opened(root);
      const each = written(all);
      // some are sent together, as a device does that was without a connection
      for (let i = 0; i < each.length; i += together + 1)
        await store.write(each.slice(i, i + together + 1).flat());
      const before = await exported(store);
      await store.close();

      const rebuilt = await opened(root);
      expect(await exported(rebuilt)).toBe(before);
      expect(rebuilt.setAside()).toEqual([]);
      await rebuilt.close();

      const log = join(folder(), 'log.jsonl');
      writeFileSync(log, before);
      const brought = await opened(folder());
      const file = await openBrought(log);
      const { refused } = await bringBack(brought, file, { take: true, prefer: 'here' });
      expect(refused).toEqual([]);
      expect(await exported(brought)).toBe(before);
      await brought.close();
    }),
    { numRuns: 3, seed: 12, endOnFailure: true },
  );
}, 120_000);
