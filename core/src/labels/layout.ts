import { need, within } from '../quantity';

/** A sheet of labels, all measures in mm from its upper left corner. */
export interface LabelSheet {
  id: string;
  name: string;
  page: { widthMm: number; heightMm: number };
  columns: number;
  rows: number;
  label: { widthMm: number; heightMm: number };
  margin: { leftMm: number; topMm: number };
  gap: { xMm: number; yMm: number };
  /** A strip goes round the tube, cut by hand; a grid is peeled from a sheet. */
  kind: 'grid' | 'strip';
}

const A4 = { widthMm: 210, heightMm: 297 };
const LETTER = { widthMm: 215.9, heightMm: 279.4 };

/** Part of a strip that lies over its own beginning, mm. Prior. */
const OVERLAP_MM = 8;
const STRIP_HEIGHT_MM = 16;

function grid(
  id: string,
  page: { widthMm: number; heightMm: number },
  [columns, rows]: [number, number],
  [widthMm, heightMm]: [number, number],
  [xMm, yMm]: [number, number] = [0, 0],
): LabelSheet {
  const leftMm = (page.widthMm - columns * widthMm - (columns - 1) * xMm) / 2;
  const topMm = (page.heightMm - rows * heightMm - (rows - 1) * yMm) / 2;
  return {
    id,
    name: `${columns} × ${rows}, ${widthMm} × ${heightMm} mm`,
    page,
    columns,
    rows,
    label: { widthMm, heightMm },
    margin: { leftMm, topMm },
    gap: { xMm, yMm },
    kind: 'grid',
  };
}

/**
 * A strip that goes once round a tube and overlaps itself.
 * @param outsideMm the tube's outside diameter
 * @throws InputError for a tube that is none
 */
export function stripFor(outsideMm: number): LabelSheet {
  within(outsideMm, 'outsideMm', "The tube's outside diameter", { min: 4, max: 50, unit: 'mm' });
  const widthMm = Math.round((Math.PI * outsideMm + OVERLAP_MM) * 10) / 10;
  const columns = Math.floor((A4.widthMm - 20) / (widthMm + 2));
  const rows = Math.floor((A4.heightMm - 20) / (STRIP_HEIGHT_MM + 2));
  return {
    ...grid(`strip-${outsideMm}`, A4, [columns, rows], [widthMm, STRIP_HEIGHT_MM], [2, 2]),
    name: `Strips round a tube of ${outsideMm} mm, ${widthMm} × ${STRIP_HEIGHT_MM} mm`,
    kind: 'strip',
  };
}

/** Usual grids of label paper, by their measures (common practice, no source), and strips. */
export const LABEL_SHEETS: readonly LabelSheet[] = [
  stripFor(16),
  stripFor(18),
  grid('a4-3x8', A4, [3, 8], [70, 36]),
  grid('a4-3x7', A4, [3, 7], [63.5, 38.1], [2.5, 0]),
  grid('a4-4x10', A4, [4, 10], [48.5, 25.4]),
  grid('a4-5x13', A4, [5, 13], [38.1, 21.2], [2.5, 0]),
  grid('letter-3x10', LETTER, [3, 10], [66.7, 25.4], [3.2, 0]),
];

export interface PlacedLabel {
  page: number;
  xMm: number;
  yMm: number;
}

/**
 * Where each of `n` labels comes, row by row.
 * @param skip labels already used on the first sheet
 * @throws InputError when more are skipped than a sheet has
 */
export function placeLabels(sheet: LabelSheet, n: number, skip = 0): PlacedLabel[] {
  const perPage = sheet.columns * sheet.rows;
  need(
    Number.isInteger(skip) && skip >= 0 && skip < perPage,
    'skip',
    `A sheet has ${perPage} labels: ${skip} of them cannot be used already. Give 0 to ${perPage - 1}.`,
  );
  return Array.from({ length: n }, (_, i) => {
    const slot = (i + skip) % perPage;
    const column = slot % sheet.columns;
    const row = Math.floor(slot / sheet.columns);
    return {
      page: Math.floor((i + skip) / perPage),
      xMm: sheet.margin.leftMm + column * (sheet.label.widthMm + sheet.gap.xMm),
      yMm: sheet.margin.topMm + row * (sheet.label.heightMm + sheet.gap.yMm),
    };
  });
}

/** What a label's code opens: the look of one queen. */
export const lookAddress = (origin: string, queenId: string): string =>
  `${origin.replace(/\/+$/, '')}/queens/${queenId}/look`;

/** The queen that a scanned code is about, whatever address the application had when it was printed; null for other codes. */
export function queenOfAddress(text: string): string | null {
  const found =
    /\/queens\/([0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12})\/look\/?$/i.exec(
      text.trim(),
    );
  return found?.[1]?.toLowerCase() ?? null;
}
