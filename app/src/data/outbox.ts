import type { NewQueen, QueenPatch } from '@gentle-burrow/contract';
import type { KeeperSettings, Place, Probe, StockItem, StockMove } from '@gentle-burrow/core/facts';
import type { Entry } from '@gentle-burrow/core/log';
import type { ReadingBatch, TakenBack } from '@gentle-burrow/core/records';
import type { OwnKind } from '@gentle-burrow/core/species';
import { onlineManager } from '@tanstack/react-query';
import { createStore, del, entries, set, setMany, type UseStore } from 'idb-keyval';
import { useSyncExternalStore } from 'react';
import { v7 } from 'uuid';
import { allowedFor, canBeAllowedFor, clockAheadMs } from './clock';
import { apart } from './example';
import { call, isThere, RefusedError } from './network';
import { isLoosePhoto, sendPhoto } from './photos';

/** Something the keeper wrote, on its way to the server. */
export type Outgoing =
  /** What was written at once, into one log or into two: all of it is sent, or nothing. */
  | { what: 'entries'; entries: Entry[] }
  | { what: 'queen'; body: NewQueen }
  | { what: 'queen-patch'; queenId: string; patch: QueenPatch }
  | { what: 'place'; place: Place }
  | { what: 'stock-item'; item: StockItem }
  | { what: 'stock-move'; move: StockMove }
  | { what: 'settings'; settings: KeeperSettings }
  | { what: 'own-kind'; kind: OwnKind }
  | { what: 'probe'; probe: Probe }
  | { what: 'readings'; batch: ReadingBatch }
  | { what: 'readings-taken-back'; back: TakenBack }
  /** The picture itself lies beside the outbox. */
  | { what: 'photo'; id: string; queenId: string; at: string };

export interface OutboxItem {
  id: string;
  out: Outgoing;
  /** The server refused it: what it said. It is kept until the keeper mends it, sends it again or drops it. */
  refused?: string;
  /** So often the server failed over it. */
  failed?: number;
  /** The clock of this device was wrong, and its times are put right: sent again it must be the same. */
  clocked?: true;
}

/** So often the server fails over one thing, or it cannot be sent although the server answers, before what stands behind it goes on. */
const FAILINGS = 3;
/** It answers, but can store nothing for now: what waits is sent again after so long. */
const AGAIN_MS = 30_000;
/** It failed over something, or another tab is sending: it is tried again after so long. */
const SOON_MS = 2000;
/** Full disk, a disk that does not write, too much at once: not the fault of what was sent. */
const NOT_NOW = new Set([429, 503, 507]);

const NOT_SENT =
  'It could not be sent, although the server answers. Check the connection, then send it again.';

let database: UseStore | null = null;
const store = (): UseStore => (database ??= createStore(apart('burrow-outbox'), 'items'));

let items: OutboxItem[] = [];
/** What the browser could not store, by id: it lives as long as this page. */
const loose = new Set<string>();
const listeners = new Set<() => void>();
const sentListeners = new Set<(out: Outgoing) => void>();

function tell(): void {
  for (const l of listeners) l();
}

function change(next: OutboxItem[]): void {
  items = next;
  tell();
}

/** What waited since before entries were sent together. */
function asNow(item: OutboxItem): OutboxItem {
  const { out } = item as { out: Outgoing | { what: 'entry'; entry: Entry } };
  return out.what === 'entry' ? { ...item, out: { what: 'entries', entries: [out.entry] } } : item;
}

/** Reads what an earlier visit left behind. Ids are in the order of writing. */
export async function openOutbox(): Promise<void> {
  try {
    const kept = (await entries<string, OutboxItem>(store())).map(([, item]) => asNow(item));
    const known = new Set(items.map((i) => i.id));
    change([...kept.filter((k) => !known.has(k.id)), ...items].sort((a, b) => (a.id < b.id ? -1 : 1)));
  } catch {
    // no IndexedDB (a private window): what is written lives as long as the page
  }
  onlineManager.subscribe((online) => {
    if (online) void flush();
  });
  globalThis.addEventListener?.('beforeunload', (leaving) => {
    if (isLoose()) leaving.preventDefault();
  });
  void flush();
}

/** Whether something waits in this page alone, and would be lost with it. */
const isLoose = (): boolean =>
  items.some(({ id, out }) => loose.has(id) || (out.what === 'photo' && isLoosePhoto(out.id)));

/**
 * Keeps it in the browser first, all of it or nothing, then shows it and sends it. Resolves when it is shown: who leaves the
 * page at that moment loses no part of it. It may be sent much later.
 */
export async function put(...outs: Outgoing[]): Promise<void> {
  const written = outs.map((out): OutboxItem => ({ id: v7(), out }));
  await setMany(
    written.map((item) => [item.id, item]),
    store(),
  ).catch(() => written.forEach(({ id }) => loose.add(id)));
  change([...items, ...written]);
  void flush();
}

export async function drop(id: string): Promise<void> {
  change(items.filter((i) => i.id !== id));
  loose.delete(id);
  await del(id, store()).catch(() => {});
}

/** Sends what was refused once more, as it is: times that were put right are not put right twice. */
export async function sendAgain(id: string): Promise<void> {
  const item = items.find((i) => i.id === id);
  if (item) await keep({ id, out: item.out, ...(item.clocked ? { clocked: true } : {}) });
  void flush();
}

/** Puts something else in the place of what was refused, and sends that. */
export async function replace(id: string, mended: (item: OutboxItem) => Outgoing): Promise<void> {
  const item = items.find((i) => i.id === id);
  if (item) await keep({ id, out: mended(item) });
  void flush();
}

/** Takes up again what was dropped. */
export async function takeUp(item: OutboxItem): Promise<void> {
  change([...items.filter((i) => i.id !== item.id), item].sort((a, b) => (a.id < b.id ? -1 : 1)));
  await storeOne(item);
  void flush();
}

async function keep(item: OutboxItem): Promise<void> {
  change(items.map((i) => (i.id === item.id ? item : i)));
  await storeOne(item);
}

async function storeOne(item: OutboxItem): Promise<void> {
  const stored = await set(item.id, item, store()).then(
    () => true,
    () => false,
  );
  if (stored) loose.delete(item.id);
  else loose.add(item.id);
  tell();
}

let flushing: Promise<void> | null = null;
let again: ReturnType<typeof setTimeout> | undefined;
let held: string | null = null;

/** Sends what waits again by itself. */
function flushIn(ms: number): void {
  clearTimeout(again);
  again = setTimeout(() => void flush(), ms);
}

function hold(says: string | null): void {
  if (held === says) return;
  held = says;
  tell();
}

/** Sends what waits, oldest first, one at a time; stops when the server cannot be reached. */
export function flush(): Promise<void> {
  flushing ??= withLock(sendAll).finally(() => (flushing = null));
  return flushing;
}

/** Two tabs share the outbox: only one sends. Ids make a double sending harmless all the same. */
async function withLock(work: () => Promise<void>): Promise<void> {
  if (typeof navigator !== 'undefined' && 'locks' in navigator) {
    await navigator.locks.request('burrow-outbox', { ifAvailable: true }, async (lock) => {
      if (lock) await work();
      // the other knows nothing of what was written here
      else if (nextToSend()) flushIn(SOON_MS);
    });
  } else await work();
}

async function sendAll(): Promise<void> {
  for (let item = nextToSend(); item; item = nextToSend()) {
    if (await putRight(item)) continue;
    try {
      await send(item.out);
    } catch (error) {
      const refusal = error instanceof RefusedError ? error : null;
      if (refusal?.code === IN_THE_FUTURE && !item.clocked && (await isThere())) {
        // the two clocks were not known to differ
        if (await putRight(item)) continue;
        if (!canBeAllowedFor(clockAheadMs())) {
          hold(CLOCKS_DIFFER);
          flushIn(AGAIN_MS);
          return;
        }
      }
      // whoever watches the connection has it sent when the server is there again
      if (!refusal && !(await isThere())) return;
      if (refusal && NOT_NOW.has(refusal.status)) {
        hold(refusal.message);
        flushIn(AGAIN_MS);
        return;
      }
      const failed = !refusal || refusal.status >= 500 ? (item.failed ?? 0) + 1 : 0;
      if (failed > 0 && failed < FAILINGS) {
        await keep({ ...item, failed });
        flushIn(SOON_MS * failed);
        return;
      }
      await keep({ ...item, refused: refusal?.message ?? NOT_SENT });
      continue;
    }
    hold(null);
    // views are fetched anew before the item leaves, so that nothing written ever blinks out
    await Promise.allSettled([...sentListeners].map((l) => l(item.out)));
    await drop(item.id);
  }
}

const IN_THE_FUTURE = 'in-the-future';
const CLOCKS_DIFFER =
  'The clock of this device and that of the server differ by more than a day. Set the one that is wrong.';

/** Times by a clock that is wrong are put right before they are sent, once. @returns whether they were */
async function putRight(item: OutboxItem): Promise<boolean> {
  const ahead = clockAheadMs();
  if (ahead === 0 || item.clocked || !canBeAllowedFor(ahead)) return false;
  const out = allowedFor(item.out, ahead);
  await keep({ ...item, out, clocked: true });
  return true;
}

const nextToSend = () => items.find((i) => i.refused === undefined);

async function send(out: Outgoing): Promise<void> {
  switch (out.what) {
    case 'entries':
      await call('/entries', { method: 'POST', body: { entries: out.entries } });
      break;
    case 'queen':
      await call('/queens', { method: 'POST', body: out.body });
      break;
    case 'queen-patch':
      await call(`/queens/${out.queenId}`, { method: 'PATCH', body: out.patch });
      break;
    case 'place':
      await call(`/places/${out.place.id}`, { method: 'PUT', body: out.place });
      break;
    case 'stock-item':
      await call(`/stock/items/${out.item.id}`, { method: 'PUT', body: out.item });
      break;
    case 'own-kind':
      await call(`/own-kinds/${out.kind.id}`, { method: 'PUT', body: out.kind });
      break;
    case 'probe':
      await call(`/probes/${out.probe.id}`, { method: 'PUT', body: out.probe });
      break;
    case 'readings':
      await call('/readings', { method: 'POST', body: out.batch });
      break;
    case 'readings-taken-back':
      await call('/readings/taken-back', { method: 'POST', body: out.back });
      break;
    case 'stock-move':
      await call('/stock/moves', { method: 'POST', body: out.move });
      break;
    case 'photo':
      await sendPhoto(out);
      break;
    case 'settings':
      await call('/settings', { method: 'PUT', body: out.settings });
      break;
  }
}

/** Calls back after something has reached the server; what it returns is waited for. */
export function onSent(listener: (out: Outgoing) => Promise<void> | void): void {
  sentListeners.add(listener as (out: Outgoing) => void);
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

export const outboxItems = (): OutboxItem[] => items;

/** Why the server stores nothing for now; null when nothing is known to keep it. */
export const useHeld = (): string | null =>
  useSyncExternalStore(
    subscribe,
    () => held,
    () => held,
  );
/** Whether something waits in this page alone, since the browser could not store it. */
export const useLoose = (): boolean => useSyncExternalStore(subscribe, isLoose, isLoose);
export const useOutbox = (): OutboxItem[] => useSyncExternalStore(subscribe, outboxItems, outboxItems);
