import { deflateSync } from 'node:zlib';
import { placeLabels, type LabelSheet } from '@gentle-burrow/core/labels';
import fontkit from '@pdf-lib/fontkit';
import { PDFDocument, PDFName } from 'pdf-lib';
import { designLabel, type LabelText, type Mark } from './design';
import type { Faces } from './fonts';

const POINTS_PER_MM = 72 / 25.4;
const FACES = ['regular', 'bold'] as const;
/** What is pale lies below what is dark. */
const TONES = [
  [0.8, 'pale'],
  [0, 'dark'],
] as const;
/** Of compression: the next levels take twice the time for a tenth of the size. */
const QUICK = 3;
/** A thousandth of a point is finer than any printer. */
const fine = (n: number): number => Math.round(n * 1000) / 1000;

/** A code in squares of its own, counted from its upper left corner: whole numbers are short, and there are hundreds. */
function codeIn({ runs }: Extract<Mark, { kind: 'code' }>, x: number, y: number, square: number): string {
  const boxes: string[] = [];
  for (let i = 0; i < runs.length; i += 3) boxes.push(`${runs[i]} ${runs[i + 1]} ${runs[i + 2]} 1 re`);
  const size = Math.round(square * 1e5) / 1e5;
  return `q 0 g ${size} 0 0 ${-size} ${fine(x)} ${fine(y)} cm\n${boxes.join('\n')}\nf Q`;
}

/** The sheets as a PDF, in real size: to be printed without scaling. */
export async function labelsPdf(
  sheet: LabelSheet,
  labels: readonly LabelText[],
  skip: number,
  faces: Faces,
): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  pdf.setTitle('Labels');
  pdf.registerFontkit(fontkit);
  const fonts = {
    regular: await pdf.embedFont(faces.regular.bytes, { subset: true }),
    bold: await pdf.embedFont(faces.bold.bytes, { subset: true }),
  };
  // the same words stand on many labels: each is laid out once
  const words = new Map<string, string>();
  const encoded = (face: keyof Faces, text: string): string => {
    const key = `${face} ${text}`;
    const found = words.get(key) ?? fonts[face].encodeText(text).toString();
    words.set(key, found);
    return found;
  };
  const pt = (mm: number) => mm * POINTS_PER_MM;
  const sheets: string[][] = [];
  placeLabels(sheet, labels.length, skip).forEach(({ page, xMm, yMm }, i) => {
    while (sheets.length <= page) sheets.push([]);
    const on = sheets[page] as string[];
    // a PDF counts from the lower edge
    const up = (mm: number) => pt(sheet.page.heightMm - yMm - mm);
    const box = (m: { xMm: number; yMm: number; widthMm: number; heightMm: number }) =>
      `${fine(pt(xMm + m.xMm))} ${fine(up(m.yMm + m.heightMm))} ${fine(pt(m.widthMm))} ${fine(pt(m.heightMm))} re`;
    if (sheet.kind === 'strip') on.push(`0.3 w 0.6 G ${box({ xMm: 0, yMm: 0, ...sheet.label })} S`);
    const marks = designLabel(sheet, labels[i] as LabelText, faces);
    for (const [tone, kind] of TONES) {
      const boxes = marks.flatMap((m) => (m.kind === kind ? [`${box(m)} f`] : []));
      if (boxes.length > 0) on.push(`${tone} g`, ...boxes);
    }
    for (const m of marks) {
      if (m.kind === 'code') on.push(codeIn(m, pt(xMm + m.xMm), up(m.yMm), pt(m.squareMm)));
      if (m.kind === 'text')
        on.push(
          `0 g BT /${m.face} ${fine(pt(m.sizeMm))} Tf ${fine(pt(xMm + m.xMm))} ${fine(up(m.yMm))} Td ${encoded(m.face, m.text)} Tj ET`,
        );
    }
  });
  // a sheet is hundreds of squares: each as a drawing of its own would take many times the time and the memory
  for (const marks of sheets) {
    const on = pdf.addPage([pt(sheet.page.widthMm), pt(sheet.page.heightMm)]);
    for (const face of FACES) on.node.setFontDictionary(PDFName.of(face), fonts[face].ref);
    const bytes = deflateSync(['q', ...marks, 'Q'].join('\n'), { level: QUICK });
    on.node.addContentStream(pdf.context.register(pdf.context.stream(bytes, { Filter: 'FlateDecode' })));
  }
  return pdf.save();
}
