import {
  guessMapping,
  rowReader,
  type Columns,
  type Mapping,
  type RefusedRow,
} from '@gentle-burrow/core/climate';
import Papa from 'papaparse';

export type ImportAsk =
  | { what: 'look'; file: File; zone: string; nowMs: number }
  | { what: 'read'; file: File; mapping: Mapping; nowMs: number };

/** The head of a file and what stands in it, as guessed. */
interface HeadTold {
  what: 'head';
  rows: string[][];
  guessed: Mapping | null;
}

export type ImportTold =
  | HeadTold
  | { what: 'progress'; share: number; rows: number }
  | { what: 'done'; columns: Columns; rows: number; refused: RefusedRow[]; refusedCount: number }
  | { what: 'failed'; reason: string };

const HEAD_ROWS = 30;
/** So many refused rows are told one by one. */
const TOLD = 200;
const PROGRESS_EVERY = 20_000;
/** All that follows would be one cell: it must not be lost in silence. */
const OPEN_QUOTE =
  'A quotation mark is opened here and never closed, so everything after it cannot be read. Take it out and read the file in again.';

const tell = (told: ImportTold, transfer: Transferable[] = []) =>
  (self as unknown as Worker).postMessage(told, transfer);

self.onmessage = (event: MessageEvent<ImportAsk>) => {
  const { file, nowMs } = event.data;
  if (event.data.what === 'look') look(file, event.data.zone, nowMs);
  else read(file, event.data.mapping, nowMs);
};

function look(file: File, zone: string, nowMs: number): void {
  Papa.parse<string[]>(file, {
    preview: HEAD_ROWS,
    complete: ({ data }) => tell({ what: 'head', rows: data, guessed: guessMapping(data, zone, nowMs) }),
    error: (error) => tell({ what: 'failed', reason: error.message }),
  });
}

/** Every row of the file, one after the other, however long it is: only what is taken stays in memory. */
function read(file: File, mapping: Mapping, nowMs: number): void {
  const reader = rowReader(mapping, nowMs);
  const refused: RefusedRow[] = [];
  let refusedCount = 0;
  let rows = 0;
  Papa.parse<string[]>(file, {
    step: ({ data, meta, errors }) => {
      rows++;
      if (rows <= mapping.headRows) return;
      const open = errors.some((e) => e.code === 'MissingQuotes');
      const reason = open ? OPEN_QUOTE : reader.read(data, rows);
      if (reason) {
        refusedCount++;
        if (refused.length < TOLD) refused.push({ line: rows, reason });
      }
      if (rows % PROGRESS_EVERY === 0)
        tell({ what: 'progress', share: Math.min(1, meta.cursor / Math.max(1, file.size)), rows });
    },
    complete: () => {
      const { ms, centiC, centiPct } = reader.taken();
      const columns = { ms: ms.slice(), centiC: centiC.slice(), centiPct: centiPct.slice() };
      tell({ what: 'done', columns, rows: rows - mapping.headRows, refused, refusedCount }, [
        columns.ms.buffer,
        columns.centiC.buffer,
        columns.centiPct.buffer,
      ]);
    },
    error: (error) => tell({ what: 'failed', reason: error.message }),
  });
}
