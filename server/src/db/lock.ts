import { randomUUID } from 'node:crypto';
import { openSync, closeSync, readFileSync, readdirSync, readlinkSync, rmSync, statSync } from 'node:fs';
import { hostname } from 'node:os';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import lockfile from 'proper-lockfile';
import writeFileAtomic from 'write-file-atomic';
import { StartError } from '../errors';

/** Who has a data directory open. */
interface Owner {
  /** Of this one opening. */
  token: string;
  pid: number;
  host: string;
  /** Within which process numbers are told apart: each container has its own. */
  pids: string;
}

/** A sign of life so often, and so long without one is dead, ms. */
const SIGNS = { beat: 2000, dead: 10_000 };

export interface Lock {
  /** Whether it is still ours: a machine that slept may have lost it. */
  held(): boolean;
  unlock(): void;
}

/**
 * Locks a data directory: PGlite lets two processes open one directory, and rows are then lost in silence. Who has it gives signs of life,
 * so that neither a process number that was given out again nor one of another container is taken for the owner.
 * @param lost is called when another has taken it over although this process lives
 * @throws StartError when it is open elsewhere
 */
export async function lockDir(root: string, lost: () => void, signs = SIGNS): Promise<Lock> {
  const folder = join(root, 'lock');
  const ownerFile = join(root, 'owner.json');
  if (isThere(folder)) await takeOver(root, folder, ownerFile, signs.dead);
  try {
    await lockfile.lock(root, {
      lockfilePath: folder,
      stale: signs.dead,
      update: signs.beat,
      realpath: false,
      onCompromised: () => {
        if (!released) lost();
      },
    });
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ELOCKED') throw openElsewhere(root, ownerOf(ownerFile));
    throw error;
  }
  let released = false;
  const me: Owner = { token: randomUUID(), pid: process.pid, host: hostname(), pids: pidNamespace() };
  writeFileAtomic.sync(ownerFile, JSON.stringify(me));
  return {
    held: () => !released && ownerOf(ownerFile)?.token === me.token,
    unlock() {
      if (released) return;
      released = true;
      if (ownerOf(ownerFile)?.token !== me.token) return;
      rmSync(ownerFile, { force: true });
      try {
        lockfile.unlockSync(root, { lockfilePath: folder, realpath: false });
      } catch {
        // it was taken from us
      }
    },
  };
}

/**
 * Removes a lock whose owner is dead. Of all who find it so just one may, whoever makes the mark of that first: otherwise one would remove
 * what another has locked meanwhile.
 * @throws StartError when the owner lives, or another takes it over
 */
async function takeOver(root: string, folder: string, ownerFile: string, deadMs: number): Promise<void> {
  const owner = ownerOf(ownerFile);
  if (!(owner && isSurelyDead(owner)) && (await givesSigns(folder, deadMs))) throw openElsewhere(root, owner);
  const mark = join(root, `taken-over-${owner?.token ?? statOf(folder)?.ino ?? 'unknown'}`);
  try {
    closeSync(openSync(mark, 'wx'));
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error;
    // who made it died before anything else: long ago
    if (Date.now() - (statOf(mark)?.mtimeMs ?? 0) < 6 * deadMs) throw openElsewhere(root, owner);
  }
  rmSync(folder, { recursive: true, force: true });
  for (const name of readdirSync(root)) {
    const old = join(root, name);
    if (
      name.startsWith('taken-over-') &&
      old !== mark &&
      Date.now() - (statOf(old)?.mtimeMs ?? 0) > 6 * deadMs
    )
      rmSync(old, { force: true });
  }
}

/** Waits for the next sign of life of whoever has it, as long as it takes to be sure. */
async function givesSigns(folder: string, deadMs: number): Promise<boolean> {
  const first = statOf(folder)?.mtimeMs;
  // by our own clock: that of the disk may go differently
  const until = Date.now() + deadMs;
  while (Date.now() < until) {
    await sleep(200);
    const now = statOf(folder)?.mtimeMs;
    if (now === undefined) return false;
    if (now !== first) return true;
  }
  return false;
}

/** Where process numbers mean the same, a number that nobody has is a process that is gone. */
function isSurelyDead({ pid, host, pids }: Owner): boolean {
  if (host !== hostname() || pids !== pidNamespace() || pid === process.pid) return false;
  try {
    process.kill(pid, 0);
    return false;
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'ESRCH';
  }
}

function openElsewhere(root: string, owner: Owner | null): StartError {
  const where = owner ? ` in process ${owner.pid} on ${owner.host}` : ' elsewhere';
  return new StartError(
    `The data directory ${root} is already open${where}. Stop that one first, or name another directory with BURROW_DATA.`,
  );
}

function ownerOf(file: string): Owner | null {
  try {
    return JSON.parse(readFileSync(file, 'utf8')) as Owner;
  } catch {
    return null;
  }
}

function pidNamespace(): string {
  try {
    return readlinkSync('/proc/self/ns/pid');
  } catch {
    return '';
  }
}

const statOf = (path: string) => statSync(path, { throwIfNoEntry: false });
const isThere = (path: string): boolean => statOf(path) !== undefined;
