import type { ReadingsTaken } from '@gentle-burrow/contract';
import { lengthOf, sliced, type Columns, type Mapping, type RefusedRow } from '@gentle-burrow/core/climate';
import { BATCH_MAX, batchOf } from '@gentle-burrow/core/records';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { CLIMATE_KEY } from '@/data/climate';
import { fetchAnew } from '@/data/fetch-anew';
import { call } from '@/data/network';
import { zoneNow } from '@/ui/dates';
import type { ImportAsk, ImportTold } from '../../workers/import.worker';

export type ImportState =
  | { is: 'waiting' }
  | { is: 'looking' }
  | { is: 'head'; file: File; rows: string[][]; mapping: Mapping | null }
  | { is: 'reading'; file: File; share: number; rows: number }
  | ({ is: 'read'; file: File } & ReadFile)
  | { is: 'sending'; sent: number; of: number; taken: ReadingsTaken }
  | { is: 'kept'; of: number; taken: ReadingsTaken; refusedCount: number; stopped: boolean }
  | { is: 'failed'; reason: string; taken: ReadingsTaken | null };

export interface ReadFile {
  columns: Columns;
  rows: number;
  refused: RefusedRow[];
  refusedCount: number;
}

const NOTHING: ReadingsTaken = { added: 0, known: 0, contradictory: 0 };

/**
 * A file of readings, step by step: its head is looked at, all rows are read in a thread of their own, and nothing is kept before
 * it is seen what can be used of it. Then it is sent in parts, which can be stopped; the same again changes nothing.
 */
export function useImport(probeId: string) {
  const [state, setState] = useState<ImportState>({ is: 'waiting' });
  const worker = useRef<Worker | null>(null);
  const stopped = useRef(false);
  const client = useQueryClient();
  useEffect(() => () => worker.current?.terminate(), []);

  const ask = (asked: ImportAsk, onTold: (told: ImportTold) => void) => {
    worker.current?.terminate();
    const one = new Worker(new URL('../../workers/import.worker', window.location.href));
    worker.current = one;
    one.onmessage = (event: MessageEvent<ImportTold>) => onTold(event.data);
    one.onerror = () =>
      setState({ is: 'failed', reason: 'The file could not be read. Choose it once more.', taken: null });
    one.postMessage(asked);
  };
  const failed = (reason: string) => setState({ is: 'failed', reason, taken: null });

  return {
    state,
    choose(file: File): void {
      setState({ is: 'looking' });
      ask({ what: 'look', file, zone: zoneNow() }, (told) => {
        if (told.what === 'head') setState({ is: 'head', file, rows: told.rows, mapping: told.guessed });
        if (told.what === 'failed') failed(told.reason);
      });
    },
    map(mapping: Mapping): void {
      setState((s) => (s.is === 'head' ? { ...s, mapping } : s));
    },
    read(file: File, mapping: Mapping): void {
      setState({ is: 'reading', file, share: 0, rows: 0 });
      ask({ what: 'read', file, mapping }, (told) => {
        if (told.what === 'progress') setState({ is: 'reading', file, share: told.share, rows: told.rows });
        if (told.what === 'failed') failed(told.reason);
        if (told.what === 'done') {
          const { what: _what, ...read } = told;
          setState({ is: 'read', file, ...read });
        }
      });
    },
    async keep({ columns, refusedCount }: ReadFile): Promise<void> {
      stopped.current = false;
      const of = lengthOf(columns);
      let taken = NOTHING;
      let sent = 0;
      try {
        for (; sent < of && !stopped.current; sent += BATCH_MAX) {
          setState({ is: 'sending', sent, of, taken });
          const body = batchOf(probeId, sliced(columns, sent, Math.min(of, sent + BATCH_MAX)));
          const part = await call<ReadingsTaken>('/readings', { method: 'POST', body });
          taken = {
            added: taken.added + part.added,
            known: taken.known + part.known,
            contradictory: taken.contradictory + part.contradictory,
          };
        }
        setState({ is: 'kept', of, taken, refusedCount, stopped: sent < of });
      } catch (error) {
        setState({ is: 'failed', reason: (error as Error).message, taken });
      }
      await fetchAnew(client, CLIMATE_KEY);
    },
    stop(): void {
      stopped.current = true;
      if (state.is === 'reading' || state.is === 'looking') {
        worker.current?.terminate();
        setState({ is: 'waiting' });
      }
    },
    again(): void {
      worker.current?.terminate();
      setState({ is: 'waiting' });
    },
  };
}
