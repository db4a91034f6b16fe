import type { HomePart } from '@gentle-burrow/core/facts';
import type { LabelSheet } from '@gentle-burrow/core/labels';
import QRCode from 'qrcode';
import type { Faces } from './fonts';

/** What one label says. */
export interface LabelText {
  letter: string;
  species: string;
  /** Day she was taken in, as it is to be read. */
  day: string;
  batch: string;
  /** The part that she lives in, drawn to its own proportions. */
  home: HomePart;
  /** What the code opens. */
  address: string;
}

/** One mark on a label, mm from its upper left corner; text stands on its baseline. */
export type Mark =
  | { kind: 'text'; xMm: number; yMm: number; sizeMm: number; face: keyof Faces; text: string }
  | { kind: 'dark' | 'pale'; xMm: number; yMm: number; widthMm: number; heightMm: number }
  /** Dark squares of one size: of each run its column, its row and how many. */
  | { kind: 'code'; xMm: number; yMm: number; squareMm: number; runs: readonly number[] };

const MARGIN_MM = 1.6;
const LEAST_TEXT_MM = 1.6;

/**
 * Lays a label out: the code in a square at the left with its quiet zone, beside it letter, species, day, batch and her home, each
 * as large as it fits. A code of error correction M bears a quarter of its squares scratched off.
 */
export function designLabel(sheet: LabelSheet, says: LabelText, faces: Faces): Mark[] {
  const { widthMm, heightMm } = sheet.label;
  const sideMm = Math.min(heightMm - 2 * MARGIN_MM, widthMm * 0.42);
  const topMm = (heightMm - sideMm) / 2;
  const leftMm = MARGIN_MM + sideMm + 2;
  // the end of a strip lies over its own beginning
  const roomMm = widthMm - leftMm - (sheet.kind === 'strip' ? 8 : MARGIN_MM);
  const lines = [
    { text: says.letter, share: 0.32, face: 'bold' },
    { text: says.species, share: 0.19, face: 'regular' },
    { text: says.day, share: 0.18, face: 'regular' },
    { text: says.batch, share: 0.15, face: 'regular' },
  ] as const;
  const marks: Mark[] = [codeMark(says.address, MARGIN_MM, topMm, sideMm)];
  let yMm = topMm;
  for (const { text, share, face } of lines) {
    if (text === '') continue;
    const most = sideMm * share;
    yMm += most;
    const { sizeMm, shown } = fitted(text, most * 0.95, roomMm, faces[face].width);
    marks.push({ kind: 'text', xMm: leftMm, yMm: yMm - most * 0.15, sizeMm, face, text: shown });
  }
  return [...marks, ...homeMarks(says.home, leftMm, yMm + sideMm * 0.02, roomMm, topMm + sideMm - yMm)];
}

/** Lines of her home, mm. */
const LINE_MM = 0.18;

/**
 * Her home, small and to its own proportions: a tube lying, closed end to the left, with its water and plugs; anything else from
 * above, with its rooms side by side.
 * @returns nothing where there is no room for it
 */
function homeMarks(home: HomePart, xMm: number, yMm: number, roomMm: number, mostMm: number): Mark[] {
  const [long, high] = home.kind === 'tube' ? [home.lengthMm, home.outsideMm] : [home.widthMm, home.depthMm];
  const scale = Math.min(roomMm / long, mostMm / high);
  const [widthMm, heightMm] = [long * scale, high * scale];
  if (heightMm < 3 * LINE_MM) return [];
  const box = (kind: 'dark' | 'pale', fromMm: number, toMm: number): Mark => ({
    kind,
    xMm: xMm + fromMm,
    yMm,
    widthMm: toMm - fromMm,
    heightMm,
  });
  const bar = (atMm: number) =>
    box('dark', Math.min(atMm, widthMm - LINE_MM), Math.min(atMm, widthMm - LINE_MM) + LINE_MM);
  const along = (y: number): Mark => ({ kind: 'dark', xMm, yMm: y, widthMm, heightMm: LINE_MM });
  const walls = [along(yMm), along(yMm + heightMm - LINE_MM), bar(0)];
  if (home.kind !== 'tube') {
    const rooms = Array.from({ length: home.rooms - 1 }, (_, i) => bar((widthMm * (i + 1)) / home.rooms));
    return [...walls, bar(widthMm), ...rooms];
  }
  const { waterLineMm, plugs, divider, lengthMm } = home;
  const inner = (waterLineMm + plugs.innerMm) * scale;
  const outer = (lengthMm - plugs.outerMm) * scale;
  return [
    box('pale', 0, waterLineMm * scale),
    ...walls,
    bar(waterLineMm * scale),
    bar(inner),
    bar(outer),
    bar(widthMm),
    ...(divider ? [bar(divider.atMm * scale)] : []),
  ];
}

/** As large as fits the room; below the least readable size the end is cut off, and that shows. */
function fitted(text: string, mostMm: number, roomMm: number, width: (t: string) => number) {
  const sizeMm = Math.min(mostMm, roomMm / width(text));
  if (sizeMm >= LEAST_TEXT_MM) return { sizeMm, shown: text };
  let shown = text;
  while (shown.length > 1 && width(`${shown}…`) * LEAST_TEXT_MM > roomMm) shown = shown.slice(0, -1);
  return { sizeMm: LEAST_TEXT_MM, shown: `${shown.trimEnd()}…` };
}

/**
 * Which of the eight patterns is laid over a code. Any can be read; to try which has the fewest look-alikes takes a third of the time of
 * a sheet, and an address that ends in a random id has none that is best.
 */
const MASK = 3;

/** The code's dark squares, neighbours in a row as one. */
function codeMark(address: string, xMm: number, yMm: number, sideMm: number): Mark {
  const { size, data } = QRCode.create([{ data: Buffer.from(address), mode: 'byte' }], {
    errorCorrectionLevel: 'M',
    maskPattern: MASK,
  }).modules;
  const runs: number[] = [];
  for (let row = 0; row < size; row++) {
    for (let column = 0; column < size; column++) {
      if (!data[row * size + column]) continue;
      const from = column;
      while (column + 1 < size && data[row * size + column + 1]) column++;
      runs.push(from, row, column + 1 - from);
    }
  }
  return { kind: 'code', xMm, yMm, squareMm: sideMm / size, runs };
}
