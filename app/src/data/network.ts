import type { ErrorBody } from '@gentle-burrow/contract';
import { onlineManager } from '@tanstack/react-query';
import { noteServerClock } from './clock';

const RETRY_MS = 3000;
/** So long the server may take to say that it is there, and to answer anything else. */
const THERE_MS = 10_000;
const ANSWER_MS = 120_000;
let timer: ReturnType<typeof setTimeout> | undefined;

/** Breaks off what takes longer: on a line that died in silence nothing ever comes. */
async function within<T>(ms: number, work: (signal: AbortSignal) => Promise<T>): Promise<T> {
  const breaking = new AbortController();
  const late = Number.isFinite(ms) ? setTimeout(() => breaking.abort(), ms) : undefined;
  try {
    return await work(breaking.signal);
  } finally {
    clearTimeout(late);
  }
}

/** Whether the server answers at all; a network that answers everything with a page of its own is no server. */
export const isThere = (): Promise<boolean> =>
  within(THERE_MS, async (signal) => {
    const asked = Date.now();
    const response = await fetch('/api/health', { cache: 'no-store', signal });
    const { now } = (await response.json()) as { now?: string };
    if (now !== undefined) noteServerClock(now, asked, Date.now());
    return response.ok;
  }).catch(() => false);

/** Asks the server until it answers, then says "online", which lets waiting entries go. */
async function probe(): Promise<void> {
  clearTimeout(timer);
  const up = navigator.onLine && (await isThere());
  onlineManager.setOnline(up);
  if (!up) timer = setTimeout(() => void probe(), RETRY_MS);
}

/** The query library starts as "online" whatever the browser says, and knows nothing of a server that is down. */
export function watchNetwork(): void {
  if (typeof window === 'undefined') return;
  onlineManager.setEventListener((setOnline) => {
    const on = () => void probe();
    const off = () => setOnline(false);
    window.addEventListener('online', on);
    window.addEventListener('offline', off);
    return () => {
      window.removeEventListener('online', on);
      window.removeEventListener('offline', off);
    };
  });
  onlineManager.setOnline(navigator.onLine);
  void probe();
}

/** The server answered, and refused: the message is a sentence for the keeper. */
export class RefusedError extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly field?: string,
    readonly code?: string,
  ) {
    super(message);
  }
}

/** Whether there is nothing of that address: it was never there, or is no address at all. */
export const isUnknown = (error: Error | null): boolean =>
  error instanceof RefusedError && (error.status === 404 || error.status === 400);

/** The server could not be reached. */
export class UnreachableError extends Error {}

/** What is sent, and how long its answer may take, ms. */
type Sent = ({ body: unknown } | { bytes: Blob; type?: string }) & { method: string; withinMs?: number };

/**
 * Calls the API.
 * @throws UnreachableError when there is no answer, RefusedError when it is a refusal
 */
export async function call<T>(path: string, init?: Sent): Promise<T> {
  if (instead) return askOther<T>(path, init);
  let response: Response;
  let told: unknown;
  try {
    [response, told] = await within(init?.withinMs ?? ANSWER_MS, (signal) => answerTo(path, init, signal));
  } catch {
    throw lost();
  }
  if (response.ok) return told as T;
  const error = isErrorBody(told) ? told.error : null;
  if (error === null && response.status >= 500) throw lost();
  throw new RefusedError(
    response.status,
    error?.message ?? `The server refused (${response.status}).`,
    error?.field,
    error?.code,
  );
}

/** Something that answers like the server. */
export interface Answering {
  /** @returns the body of the answer; null when there is nothing of that address */
  answer(path: string, init?: { method: string; body?: unknown }): Promise<unknown>;
}

let instead: Promise<Answering> | null = null;

/** From now on everything is asked of another than the server: of the made-up shelf within this window. */
export function askInstead(other: Promise<Answering>): void {
  instead = other;
}

async function askOther<T>(path: string, init?: { method: string; body?: unknown }): Promise<T> {
  const told = await (await instead)?.answer(path, init);
  if (told === null || told === undefined) throw new RefusedError(404, 'There is nothing here.');
  return told as T;
}

/** Told apart without a schema: schemas come with the pages that need them. */
function isErrorBody(told: unknown): told is ErrorBody {
  const error = (told as Partial<ErrorBody> | null)?.error;
  return typeof error?.message === 'string' && typeof error.code === 'string';
}

/** @throws whatever keeps an answer from coming whole: one that is cut off, or none of the server's, is none */
async function answerTo(
  path: string,
  init: Sent | undefined,
  signal: AbortSignal,
): Promise<[Response, unknown]> {
  const response = await fetch(`/api${path}`, {
    signal,
    ...(init
      ? {
          method: init.method,
          ...('bytes' in init
            ? { headers: { 'content-type': init.type ?? 'application/octet-stream' }, body: init.bytes }
            : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(init.body) }),
        }
      : {}),
  });
  return [response, await (response.ok ? response.json() : response.json().catch(() => null))];
}

function lost(): UnreachableError {
  onlineManager.setOnline(false);
  clearTimeout(timer);
  timer = setTimeout(() => void probe(), RETRY_MS);
  return new UnreachableError('The server cannot be reached.');
}
