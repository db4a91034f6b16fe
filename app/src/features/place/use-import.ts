import type { ReadingsTaken } from '@gentle-burrow/contract';
import { lengthOf, sliced, type Columns, type Mapping, type RefusedRow } from '@gentle-burrow/core/climate';
import { BATCH_MAX, batchOf, type TakenBack } from '@gentle-burrow/core/records';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { CLIMATE_KEY } from '@/data/climate';
import { fetchAnew } from '@/data/fetch-anew';
import { call } from '@/data/network';
import { put, type Outgoing } from '@/data/outbox';
import { zoneNow } from '@/ui/dates';
import { offerUndo } from '@/ui/undo';
import type { ImportAsk, ImportTold, Written } from '../../workers/import.worker';

type ImportState =
  | { is: 'waiting' }
  | { is: 'looking' }
  | { is: 'head'; file: File; written: Written; rows: string[][]; mapping: Mapping | null }
  | { is: 'reading'; file: File; share: number; rows: number }
  | ({ is: 'read'; file: File } & ReadFile)
  | { is: 'sending'; sent: number; of: number; taken: Counts }
  | { is: 'kept'; of: number; taken: Counts; refusedCount: number; stopped: boolean }
  | { is: 'failed'; reason: string; taken: Counts | null };

export interface ReadFile {
  columns: Columns;
  rows: number;
  refused: RefusedRow[];
  refusedCount: number;
}

type Counts = Pick<ReadingsTaken, 'added' | 'known' | 'contradictory'>;
const NOTHING: Counts = { added: 0, known: 0, contradictory: 0 };

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
    /** @param written how it is written, as the keeper says; found out when not given */
    choose(file: File, written?: Written): void {
      if (!written) setState({ is: 'looking' });
      ask({ what: 'look', file, written, zone: zoneNow(), nowMs: Date.now() }, (told) => {
        if (told.what === 'head')
          setState({
            is: 'head',
            file,
            written: told.written,
            rows: told.rows,
            mapping: told.guessed,
          });
        if (told.what === 'failed') failed(told.reason);
      });
    },
    map(mapping: Mapping): void {
      setState((s) => (s.is === 'head' ? { ...s, mapping } : s));
    },
    read(file: File, written: Written, mapping: Mapping): void {
      setState({ is: 'reading', file, share: 0, rows: 0 });
      ask({ what: 'read', file, written, mapping, nowMs: Date.now() }, (told) => {
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
      const fresh: TakenBack[] = [];
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
          // what was there before is not of this file: it stays when the file is taken back
          const before = new Set(part.there);
          const ms = body.ms.filter((at) => !before.has(at));
          if (ms.length > 0) fresh.push({ probeId, ms });
        }
        setState({ is: 'kept', of, taken, refusedCount, stopped: sent < of });
      } catch (error) {
        setState({ is: 'failed', reason: (error as Error).message, taken });
      }
      await fetchAnew(client, CLIMATE_KEY);
      if (fresh.length > 0)
        offerUndo(`${taken.added.toLocaleString('en')} readings were read in.`, async () => {
          await put(...fresh.map((back): Outgoing => ({ what: 'readings-taken-back', back })));
          setState({ is: 'waiting' });
        });
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
