import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Probe } from '@gentle-burrow/core/facts';
import { v7 } from 'uuid';
import { buildApp } from '../app';
import { Views } from '../jobs/views';
import { project } from '../jobs/project-task';
import { factsOf, lookEntry, MIGRATIONS, newQueen, NOW, picture } from '../test-kit';
import { DISK, RESERVE_BYTES, type Disk } from './disk';
import { openFiles } from './files';
import { Journal } from './journal';
import { openDb } from './open';
import { Store } from './store';

/** The facts of a journal, none of which is damaged. */
const told = (journal: Journal): unknown[] =>
  [...journal.since(0)].map((l) => ('fact' in l ? l.fact : l.garbage));

/** A disk with room for so many bytes more, which writes in small pieces, as disks that are nearly full do. */
class SmallDisk implements Disk {
  room = Infinity;
  /** What a sync, or a cutting back, fails with. */
  syncFails: string | null = null;
  cutFails: string | null = null;
  told = Infinity;
  write(handle: number, bytes: Buffer): number {
    if (this.room <= 0) throw failing('ENOSPC');
    const piece = bytes.subarray(0, Math.min(bytes.length, 700, this.room));
    this.room -= piece.length;
    return DISK.write(handle, piece);
  }
  sync(handle: number): void {
    if (this.syncFails) throw failing(this.syncFails);
    DISK.sync(handle);
  }
  truncate(handle: number, bytes: number): void {
    if (this.cutFails) throw failing(this.cutFails);
    DISK.truncate(handle, bytes);
  }
  free = () => this.told;
}
const failing = (code: string) => Object.assign(new Error(`${code}: it does not write`), { code });

let folder: string;
let disk: SmallDisk;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'burrow-full-'));
  disk = new SmallDisk();
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

describe('a journal on a disk that fails', () => {
  const { place } = newQueen();
  const facts = (n: number) =>
    Array.from({ length: n }, (_, i) => ({
      fact: 'place' as const,
      value: { ...place, name: `Place ${i}` },
    }));
  const lines = (file: string) => readFileSync(file, 'utf8').split('\n').slice(0, -1);

  test('goes on writing until all bytes are out', () => {
    const file = join(folder, 'a.jsonl');
    const journal = new Journal(file, disk);
    journal.append(facts(40));
    expect(told(journal)).toEqual(facts(40));
    journal.close();
  });

  test.each(['in the midst of a line', 'at its sync'])(
    'that fails %s is as it was before, and goes on when there is room',
    (when) => {
      const file = join(folder, 'b.jsonl');
      const journal = new Journal(file, disk);
      journal.append(facts(2));
      const before = readFileSync(file);
      if (when === 'at its sync') disk.syncFails = 'EIO';
      else disk.room = 1000;
      expect(() => journal.append(facts(20))).toThrow(/does not write/);
      expect(readFileSync(file)).toEqual(before);
      expect(journal.position).toBe(before.length);
      disk.syncFails = null;
      disk.room = Infinity;
      journal.append(facts(1));
      expect(lines(file)).toHaveLength(3);
      journal.close();
    },
  );

  test('what cannot be cut back at once is before anything else is written, and counts for nothing until then', () => {
    const file = join(folder, 'c.jsonl');
    const journal = new Journal(file, disk);
    journal.append(facts(2));
    Object.assign(disk, { room: 1000, cutFails: 'EIO' });
    expect(() => journal.append(facts(20))).toThrow(/does not write/);
    expect(told(journal)).toHaveLength(2);
    disk.room = Infinity;
    expect(() => journal.append(facts(1))).toThrow(/does not write/);
    disk.cutFails = null;
    journal.append(facts(1));
    expect(lines(file)).toHaveLength(3);
    journal.close();
  });
});

test('on a full disk nothing is acknowledged that is not kept; reading goes on, and writing when there is room again', async () => {
  const opened = async () => {
    const store = new Store(await openDb({ migrationsFolder: MIGRATIONS }), openFiles(folder, { disk }));
    await store.prepare();
    return store;
  };
  const store = await opened();
  const views = new Views(store, { size: 1, run: async (task) => project(task), close: async () => {} });
  const app = await buildApp({ store, views, version: '0', now: () => NOW });
  const post = (payload: object) => app.inject({ method: 'POST', url: '/api/entries', payload });
  const one = newQueen('A');
  const probe: Probe = {
    id: v7(),
    name: 'Probe',
    kind: 'logger',
    stays: [{ from: '2026-05-01T00:00:00.000Z', placeId: one.place.id }],
    silentAfterH: null,
    checks: [],
  };
  await store.write([...factsOf(one), { fact: 'probe', value: probe }]);

  const kept: string[] = [one.intake.id];
  const failures: number[] = [];
  for (let i = 0; i < 24; i++) {
    // every other one meets an end of the disk: within its line, at its sync, or told beforehand
    const how = i % 6;
    Object.assign(disk, {
      room: how === 1 ? 150 : Infinity,
      syncFails: how === 3 ? 'EROFS' : null,
      told: how === 5 ? RESERVE_BYTES - 1 : Infinity,
    });
    const look = lookEntry(one.queen.id, 25 - i, i);
    const answer = await post(look);
    if (answer.statusCode === 200) kept.push(look.id);
    else {
      failures.push(answer.statusCode);
      expect(answer.json().error.message).toMatch(/was not stored\. (Make room|Look at the disk)/);
      expect((await app.inject('/api/shelf')).statusCode).toBe(200);
    }
  }
  expect(failures).toEqual(Array.from({ length: 4 }, () => [507, 503, 507]).flat());
  Object.assign(disk, { room: 200, syncFails: null, told: Infinity });
  const readings = { probeId: probe.id, ms: [NOW.getTime() - 60_000], tempC: [23.5], rh: [0.5] };
  const batch = { ...readings, ms: Array.from({ length: 60 }, (_, i) => NOW.getTime() - i * 60_000) };
  batch.tempC = batch.ms.map(() => 23.5);
  batch.rh = batch.ms.map(() => 0.5);
  const sent = () => app.inject({ method: 'POST', url: '/api/readings', payload: batch });
  expect((await sent()).statusCode).toBe(507);
  expect(await store.latest()).toEqual([]);
  disk.room = Infinity;
  expect((await sent()).statusCode).toBeLessThan(300);
  await app.close();
  await store.close();

  // nothing but the journals is left: just what was acknowledged comes back
  const again = await opened();
  const stored = (await again.entriesOf([one.queen.id])).get(one.queen.id) ?? [];
  expect(stored.map((e) => e.id).sort()).toEqual([...kept].sort());
  expect((await again.latest())[0]).toMatchObject({ probeId: probe.id, ms: NOW.getTime() });
  expect(again.setAside()).toEqual([]);
  await again.close();
}, 60_000);

test('room for a photo is looked at again when it is written: others write while it is made smaller', async () => {
  const store = new Store(await openDb({ migrationsFolder: MIGRATIONS }), openFiles(folder, { disk }));
  await store.prepare();
  const one = newQueen('A');
  await store.write(factsOf(one));
  let asked = 0;
  disk.free = () => (asked++ === 0 ? Infinity : 0);
  const about = { id: v7(), queenId: one.queen.id, at: NOW };
  await expect(store.photos.keep(about, await picture('#336699'))).rejects.toThrow(/Make room/);
  expect(readdirSync(join(folder, 'photos'))).toEqual([]);
  disk.free = () => Infinity;
  await store.photos.keep(about, await picture('#336699'));
  expect(readdirSync(join(folder, 'photos'))).toHaveLength(1);
  await store.close();
}, 60_000);
