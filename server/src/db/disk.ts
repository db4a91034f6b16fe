import { fdatasyncSync, ftruncateSync, readdirSync, rmSync, statfsSync, writeSync } from 'node:fs';
import { join } from 'node:path';
import { Refusal } from '../errors';

/** What is asked of a disk, so that a test can have it fail. */
export interface Disk {
  /** @returns how many bytes are out, which may be fewer than were given */
  write(handle: number, bytes: Buffer): number;
  sync(handle: number): void;
  truncate(handle: number, bytes: number): void;
  /** Bytes for which there is room where a folder lies. */
  free(folder: string): number;
}

export const DISK: Disk = {
  write: (handle, bytes) => writeSync(handle, bytes),
  sync: fdatasyncSync,
  truncate: ftruncateSync,
  free(folder) {
    const { bavail, bsize } = statfsSync(folder);
    return bavail * bsize;
  },
};

/**
 * With less room than this nothing is taken any more: the database writes its log in pieces of 16 MB and goes under with one that does not
 * fit, while there is always room for a journal to be cut back.
 */
export const RESERVE_BYTES = 40 * 1024 * 1024;

export const hasRoom = (disk: Disk, folder: string): boolean => disk.free(folder) >= RESERVE_BYTES;

/** @throws Refusal when there is too little room to store anything */
export function needRoom(disk: Disk, folder: string): void {
  if (!hasRoom(disk, folder)) throw new Refusal('disk-full');
}

/** Names of the system, and of the database, for a disk that has no room and for one that does not write. */
const FULL = new Set(['ENOSPC', 'EDQUOT', '53100']);
const FAILED = new Set(['EROFS', 'EIO', 'EACCES', 'EPERM', 'ENXIO', '58030']);

/** A failing of the disk as a refusal; null when it is none. */
export function refusalOfDisk(error: unknown): Refusal | null {
  for (let e = error as (Error & { code?: unknown }) | undefined; e; e = e.cause as typeof e) {
    if (FULL.has(String(e.code))) return new Refusal('disk-full');
    if (FAILED.has(String(e.code))) return new Refusal('disk-failed');
  }
  return null;
}

/** Removes what was cut off while it was written, by its name: it was never acknowledged. */
export function sweep(folder: string, unfinished: RegExp): void {
  for (const file of readdirSync(folder, { withFileTypes: true }))
    if (file.isFile() && unfinished.test(file.name)) rmSync(join(folder, file.name), { force: true });
}
