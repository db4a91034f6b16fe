import type { Fact } from '@gentle-burrow/core/records';
import type { Place } from '@gentle-burrow/core/facts';
import { separatorOf, type RefusedRow } from '@gentle-burrow/core/climate';
import {
  guessSheet,
  sheetReader,
  type SheetContext,
  type SheetKind,
  type SheetMapping,
} from '@gentle-burrow/core/sheets';
import Papa from 'papaparse';
import { useMemo, useState } from 'react';
import type { Stock } from '@gentle-burrow/contract';
import { call } from '@/data/network';
import { zoneNow } from '@/ui/dates';
import { plainText } from '@/ui/text-file';

/** A table that a keeper filled by hand is not longer. */
const MOST_ROWS = 50_000;
/** So much of a table tells what stands between its cells. */
const HEAD_LETTERS = 64 * 1024;
const MOST_BYTES = 20 * 1024 * 1024;

export interface OpenSheet {
  kind: SheetKind;
  name: string;
  rows: string[][];
  mapping: SheetMapping;
  context: Omit<SheetContext, 'place' | 'places'>;
}

type SheetState =
  { is: 'waiting' } | { is: 'opening' } | { is: 'failed'; reason: string } | ({ is: 'open' } & OpenSheet);

/** What a sheet comes to by its columns. */
interface ReadSheet {
  facts: Fact[];
  /** Rows that tell something new, and rows that are here already. */
  taken: number;
  known: number;
  refused: RefusedRow[];
}

/** A table is opened, its columns are guessed and put right, and all its rows are read anew with each change. */
export function useSheet() {
  const [state, setState] = useState<SheetState>({ is: 'waiting' });
  return {
    state,
    async open(kind: SheetKind, file: File): Promise<void> {
      setState({ is: 'opening' });
      try {
        const rows = await rowsOf(file);
        setState({
          is: 'open',
          kind,
          name: file.name,
          rows,
          mapping: guessSheet(kind, rows.slice(0, 200), zoneNow()),
          context: await contextNow(kind),
        });
      } catch (error) {
        setState({ is: 'failed', reason: (error as Error).message });
      }
    },
    map(mapping: SheetMapping): void {
      setState((s) => (s.is === 'open' ? { ...s, mapping } : s));
    },
    leave(): void {
      setState({ is: 'waiting' });
    },
  };
}

/** What the rows come to as the columns stand now; a sentence where they cannot be read at all. */
export function useRead(sheet: OpenSheet, places: readonly Place[], place: Place | null): ReadSheet | string {
  const { kind, rows, mapping, context } = sheet;
  return useMemo(() => {
    try {
      const reader = sheetReader(kind, mapping, { ...context, places, place });
      const refused: RefusedRow[] = [];
      let told = 0;
      rows.slice(mapping.headRows).forEach((row, i) => {
        if (row.every((c) => c.trim() === '')) return;
        const reason = reader.read(row);
        if (reason === null) told++;
        else refused.push({ line: i + mapping.headRows + 1, reason });
      });
      return { facts: reader.taken(), taken: told - reader.known(), known: reader.known(), refused };
    } catch (error) {
      return (error as Error).message;
    }
  }, [kind, rows, mapping, context, places, place]);
}

async function rowsOf(file: File): Promise<string[][]> {
  if (file.size > MOST_BYTES) throw new Error('The table is larger than 20 MB. Read it in in parts.');
  const text = await (await plainText(file)).text();
  if (text.includes('\u0000'))
    throw new Error('This is no table of text. Save it as CSV in your spreadsheet, and choose that file.');
  // an empty last line would speak against every separator but the comma
  const { data, errors } = Papa.parse<string[]>(text.trimEnd(), {
    newline: '\n',
    delimiter: separatorOf(text.slice(0, HEAD_LETTERS)) ?? '',
  });
  const open = errors.find((e) => e.code === 'MissingQuotes');
  if (open)
    throw new Error(
      `A quotation mark is opened in row ${(open.row ?? 0) + 1} and never closed, so everything after it cannot be read. Take it out and read the file in again.`,
    );
  if (data.length > MOST_ROWS) throw new Error('The table has more than 50,000 rows. Read it in in parts.');
  if (data.every((row) => row.every((c) => c.trim() === ''))) throw new Error('The table is empty.');
  return data;
}

/** What is here already. */
async function contextNow(kind: SheetKind): Promise<OpenSheet['context']> {
  const { queens } = await call<{ queens: { id: string; label: string }[] }>('/queens');
  const stock = kind === 'stock' ? (await call<Stock>('/stock')).levels : [];
  return {
    now: new Date().toISOString(),
    queens,
    stock,
    entryIds: kind === 'log' ? await idsHere() : new Set(),
  };
}

/** Every entry that is here, by its id: a log that went out as a table is not told twice. */
async function idsHere(): Promise<Set<string>> {
  const log = await (await fetch('/api/export.jsonl?readings=without')).text();
  return new Set(
    log.split('\n').flatMap((line) => {
      if (!line.startsWith('{"fact":"entry"')) return [];
      return [(JSON.parse(line) as { value: { id: string } }).value.id];
    }),
  );
}
