import { cpSync, existsSync, mkdtempSync, readdirSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { Aside } from './db/aside';
import { openFiles } from './db/files';
import { openDb } from './db/open';
import { Store } from './db/store';
import { StartError } from './errors';
import { openStore } from './start';

/** What was found in a data directory. */
export interface Checked {
  /** What a start would do something about, a sentence each. */
  wrong: string[];
  /** How much of everything is there. */
  counts: Record<string, number>;
}

/**
 * Examines a data directory without writing to it: a copy is opened as a start would, and what it would set aside is told; and the journals
 * alone are written into an empty database, to see that they hold everything.
 * @throws Error when there is none
 */
export async function checkDir(dir: string, migrationsFolder: string): Promise<Checked> {
  const root = resolve(dir);
  if (!existsSync(root) || !statSync(root).isDirectory())
    throw new Error(`There is no data directory ${root}.`);
  const copies = mkdtempSync(join(tmpdir(), 'burrow-check-'));
  try {
    const copy = join(copies, 'copy');
    // who has it open is not asked: it is only read
    cpSync(root, copy, { recursive: true, filter: (path) => !/\/(?:lock|owner\.json)$/.test(path) });
    const wrong: string[] = [];
    if (!existsSync(join(root, 'burrow.json'))) wrong.push('burrow.json is missing. A start writes it anew.');
    const { store, aside } = await openStore({ migrationsFolder, dataDir: copy });
    wrong.push(...aside.map((says) => says.replace(/ It lies in .*$/, '')));
    const there = await idsOf(store);
    await store.close();

    const alone = join(copies, 'alone');
    cpSync(copy, alone, {
      recursive: true,
      filter: (path) => path !== join(copy, 'db') && !/\/quarantine/.test(path),
    });
    const empty = new Store(
      await openDb({ migrationsFolder }),
      openFiles(alone, { aside: new Aside(alone) }),
    );
    await empty.prepare();
    const fromJournals = await idsOf(empty);
    await empty.close();
    const lost = [...there.ids].filter((id) => !fromJournals.ids.has(id)).length;
    if (lost > 0) wrong.push(`${lost} things are in the database alone, not in the journal.`);
    const photos = existsSync(join(root, 'photos')) ? readdirSync(join(root, 'photos')).length : 0;
    return { wrong, counts: { ...there.counts, photo: photos } };
  } catch (error) {
    // what would keep it from starting
    if (error instanceof StartError) return { wrong: [error.message.replaceAll(copies, dir)], counts: {} };
    throw error;
  } finally {
    rmSync(copies, { recursive: true, force: true });
  }
}

async function idsOf(store: Store): Promise<{ ids: Set<string>; counts: Record<string, number> }> {
  const ids = new Set<string>();
  const counts: Record<string, number> = {};
  for await (const f of store.allFacts()) {
    counts[f.fact] = (counts[f.fact] ?? 0) + 1;
    if ('id' in f.value) ids.add(f.value.id);
  }
  return { ids, counts };
}

/** What `npm run check` prints. */
export function told(dir: string, { wrong, counts }: Checked): string {
  const there = Object.entries(counts).map(([what, n]) => `${n} ${what}`);
  return [
    `${dir}: ${there.length > 0 ? there.join(', ') : 'nothing'}.`,
    ...(wrong.length > 0 ? wrong : ['Everything can be read.']),
  ].join('\n');
}
