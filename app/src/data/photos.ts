import { createStore, del, get, set, type UseStore } from 'idb-keyval';
import { useEffect, useState } from 'react';
import { call } from './network';

let database: UseStore | null = null;
const store = (): UseStore => (database ??= createStore('burrow-photos', 'waiting'));
/** Pictures of this visit, also where there is no IndexedDB (a private window). */
const here = new Map<string, Blob>();
const loose = new Set<string>();
/** So long a picture may take on a slow line. */
const PHOTO_MS = 600_000;

/** Keeps a picture in the browser until the server has it. */
export async function keepPhoto(id: string, picture: Blob): Promise<void> {
  here.set(id, picture);
  await set(id, picture, store()).catch(() => loose.add(id));
}

/** Whether a picture waits in this page alone, since the browser could not store it. */
export const isLoosePhoto = (id: string): boolean => loose.has(id);

export async function forgetPhoto(id: string): Promise<void> {
  here.delete(id);
  loose.delete(id);
  await del(id, store()).catch(() => {});
}

const waitingPhoto = async (id: string): Promise<Blob | null> =>
  here.get(id) ?? (await get<Blob>(id, store()).catch(() => undefined)) ?? null;

/** Sends one; what is no longer here was sent before. */
export async function sendPhoto({
  id,
  queenId,
  at,
}: {
  id: string;
  queenId: string;
  at: string;
}): Promise<void> {
  const bytes = await waitingPhoto(id);
  if (!bytes) return;
  await call(`/photos/${id}?queen=${queenId}&at=${encodeURIComponent(at)}`, {
    method: 'PUT',
    bytes,
    withinMs: PHOTO_MS,
  });
  await del(id, store()).catch(() => {});
}

/** Where to show a picture from: the browser while it waits, the server afterwards; null until that is known. */
export function usePhotoSource(id: string, size: 'whole' | 'thumb'): string | null {
  const [source, setSource] = useState<string | null>(null);
  useEffect(() => {
    let url: string | null = null;
    let gone = false;
    void waitingPhoto(id).then((blob) => {
      if (gone) return;
      if (blob) url = URL.createObjectURL(blob);
      setSource(url ?? `/api/photos/${id}${size === 'thumb' ? '/thumb' : ''}`);
    });
    return () => {
      gone = true;
      if (url) URL.revokeObjectURL(url);
    };
  }, [id, size]);
  return source;
}
