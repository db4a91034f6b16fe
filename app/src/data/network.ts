import type { ErrorBody } from '@gentle-burrow/contract';
import { onlineManager } from '@tanstack/react-query';

const RETRY_MS = 3000;
let timer: ReturnType<typeof setTimeout> | undefined;

/** Asks the server until it answers, then says "online", which lets waiting entries go. */
async function probe(): Promise<void> {
  clearTimeout(timer);
  let up = false;
  if (navigator.onLine) {
    up = await fetch('/api/health', { cache: 'no-store' }).then(
      (r) => r.ok,
      () => false,
    );
  }
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
  ) {
    super(message);
  }
}

/** Whether there is nothing of that address: it was never there, or is no address at all. */
export const isUnknown = (error: Error | null): boolean =>
  error instanceof RefusedError && (error.status === 404 || error.status === 400);

/** The server could not be reached. */
export class UnreachableError extends Error {}

/**
 * Calls the API.
 * @throws UnreachableError when there is no answer, RefusedError when it is a refusal
 */
export async function call<T>(
  path: string,
  init?: { method: string; body: unknown } | { method: string; bytes: Blob; type?: string },
): Promise<T> {
  if (instead) return askOther<T>(path, init);
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      ...(init
        ? {
            method: init.method,
            ...('bytes' in init
              ? { headers: { 'content-type': init.type ?? 'application/octet-stream' }, body: init.bytes }
              : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(init.body) }),
          }
        : {}),
    });
  } catch {
    lost();
    throw new UnreachableError('The server cannot be reached.');
  }
  if (response.ok) return (await response.json()) as T;
  const told: unknown = await response.json().catch(() => null);
  const error = isErrorBody(told) ? told.error : null;
  if (error === null && response.status >= 500) {
    lost();
    throw new UnreachableError('The server cannot be reached.');
  }
  throw new RefusedError(
    response.status,
    error?.message ?? `The server refused (${response.status}).`,
    error?.field,
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

function lost(): void {
  onlineManager.setOnline(false);
  clearTimeout(timer);
  timer = setTimeout(() => void probe(), RETRY_MS);
}
