import {
  guessMapping,
  rowReader,
  separatorOf,
  type Columns,
  type Mapping,
  type RefusedRow,
  type Separator,
} from '@gentle-burrow/core/climate';
import Papa from 'papaparse';
import { encodingOf, plainText, type Encoding } from '@/ui/text-file';

export type ImportAsk =
  | { what: 'look'; file: File; written?: Written | undefined; zone: string; nowMs: number }
  | { what: 'read'; file: File; written: Written; mapping: Mapping; nowMs: number };

/** How a file is written: found, or chosen by hand. */
export interface Written {
  encoding: Encoding;
  separator: Separator;
}

/** The head of a file and what stands in it, as guessed. */
interface HeadTold {
  what: 'head';
  written: Written;
  rows: string[][];
  guessed: Mapping | null;
}

export type ImportTold =
  | HeadTold
  | { what: 'progress'; share: number; rows: number }
  | { what: 'done'; columns: Columns; rows: number; refused: RefusedRow[]; refusedCount: number }
  | { what: 'failed'; reason: string };

/** Lines above the columns are among them. */
const HEAD_ROWS = 60;
/** So much of a file tells what stands between its cells, bytes. */
const HEAD_BYTES = 64 * 1024;
/** So many refused rows are told one by one. */
const TOLD = 200;
const PROGRESS_EVERY = 20_000;
/** All that follows would be one cell: it must not be lost in silence. */
const OPEN_QUOTE =
  'A quotation mark is opened here and never closed, so everything after it cannot be read. Take it out and read the file in again.';

const tell = (told: ImportTold, transfer: Transferable[] = []) =>
  (self as unknown as Worker).postMessage(told, transfer);

self.onmessage = (event: MessageEvent<ImportAsk>) => {
  const asked = event.data;
  const done = asked.what === 'look' ? look(asked) : read(asked);
  done.catch(() => tell({ what: 'failed', reason: 'The file could not be read. Choose it once more.' }));
};

async function look({ file, written, zone, nowMs }: Extract<ImportAsk, { what: 'look' }>): Promise<void> {
  const encoding = written?.encoding ?? (await encodingOf(file));
  const head = await plainText(new File([file.slice(0, HEAD_BYTES)], file.name), encoding);
  const separator = written?.separator ?? separatorOf(await head.text()) ?? ',';
  Papa.parse<string[]>(head, {
    preview: HEAD_ROWS,
    newline: '\n',
    delimiter: separator,
    complete: ({ data }) =>
      tell({
        what: 'head',
        written: { encoding, separator },
        rows: data,
        guessed: guessMapping(data, zone, nowMs),
      }),
    error: (error) => tell({ what: 'failed', reason: error.message }),
  });
}

/** Every row of the file, one after the other, however long it is: only what is taken stays in memory. */
async function read({
  file: given,
  written,
  mapping,
  nowMs,
}: Extract<ImportAsk, { what: 'read' }>): Promise<void> {
  const file = await plainText(given, written.encoding);
  const reader = rowReader(mapping, nowMs);
  const refused: RefusedRow[] = [];
  let refusedCount = 0;
  let rows = 0;
  Papa.parse<string[]>(file, {
    newline: '\n',
    delimiter: written.separator,
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
