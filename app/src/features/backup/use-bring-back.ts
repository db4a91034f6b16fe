import type { BroughtBack, Preference } from '@gentle-burrow/contract';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { call, UnreachableError } from '@/data/network';

type BringBackState =
  | { is: 'waiting' }
  | { is: 'looking'; file: File }
  | { is: 'found'; file: File; found: BroughtBack; prefer: Preference }
  | { is: 'taking'; file: File }
  | { is: 'taken'; taken: BroughtBack; prefer: Preference }
  | { is: 'failed'; reason: string; file: File; taking: boolean };

const send = (file: File, take: boolean, prefer: Preference) =>
  call<BroughtBack>(`/bring-back?take=${take ? 'yes' : 'no'}&prefer=${prefer}`, {
    method: 'POST',
    // it may be large
    withinMs: Infinity,
    bytes: file,
    // what kind of file it is is read from its content
    type: 'application/zip',
  });

const reasonOf = (error: unknown): string =>
  error instanceof UnreachableError
    ? 'The server cannot be reached, or the file could not be read any more. Try again when it can.'
    : (error as Error).message;

/** A file is looked at by the server, shown, and taken only then. */
export function useBringBack() {
  const [state, setState] = useState<BringBackState>({ is: 'waiting' });
  const client = useQueryClient();
  return {
    state,
    async choose(file: File): Promise<void> {
      setState({ is: 'looking', file });
      try {
        setState({ is: 'found', file, found: await send(file, false, 'here'), prefer: 'here' });
      } catch (error) {
        setState({ is: 'failed', reason: reasonOf(error), file, taking: false });
      }
    },
    prefer(prefer: Preference): void {
      setState((s) => (s.is === 'found' ? { ...s, prefer } : s));
    },
    async take(file: File, prefer: Preference): Promise<void> {
      setState({ is: 'taking', file });
      try {
        setState({ is: 'taken', taken: await send(file, true, prefer), prefer });
      } catch (error) {
        setState({ is: 'failed', reason: reasonOf(error), file, taking: true });
      }
      // whatever came of it, all that is shown may have changed
      await client.invalidateQueries();
    },
    leave(): void {
      setState({ is: 'waiting' });
    },
  };
}
