import { placeLabels, type LabelSheet } from '@gentle-burrow/core/labels';
import fontkit from '@pdf-lib/fontkit';
import { grayscale, PDFDocument, type PDFPage } from 'pdf-lib';
import { designLabel, type LabelText } from './design';
import type { Faces } from './fonts';

const POINTS_PER_MM = 72 / 25.4;

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
  const pages: PDFPage[] = [];
  const pt = (mm: number) => mm * POINTS_PER_MM;
  placeLabels(sheet, labels.length, skip).forEach(({ page, xMm, yMm }, i) => {
    while (pages.length <= page) pages.push(pdf.addPage([pt(sheet.page.widthMm), pt(sheet.page.heightMm)]));
    const on = pages[page] as PDFPage;
    // a PDF counts from the lower edge
    const up = (mm: number) => pt(sheet.page.heightMm - yMm - mm);
    if (sheet.kind === 'strip') {
      on.drawRectangle({
        x: pt(xMm),
        y: up(sheet.label.heightMm),
        width: pt(sheet.label.widthMm),
        height: pt(sheet.label.heightMm),
        borderWidth: 0.3,
        borderColor: grayscale(0.6),
      });
    }
    const marks = designLabel(sheet, labels[i] as LabelText, faces);
    // a code is hundreds of squares: each as a drawing of its own would take many times the time and the memory
    const boxes = marks.flatMap((m) =>
      m.kind === 'text'
        ? []
        : [
            `${m.kind === 'dark' ? 0 : 0.8} g`,
            `${[pt(xMm + m.xMm), up(m.yMm + m.heightMm), pt(m.widthMm), pt(m.heightMm)].map((n) => n.toFixed(3)).join(' ')} re f`,
          ],
    );
    const stream = pdf.context.flateStream(['q', ...boxes, 'Q'].join('\n'));
    on.node.addContentStream(pdf.context.register(stream));
    for (const m of marks)
      if (m.kind === 'text')
        on.drawText(m.text, {
          x: pt(xMm + m.xMm),
          y: up(m.yMm),
          size: pt(m.sizeMm),
          font: fonts[m.face],
          color: grayscale(0),
        });
  });
  return pdf.save();
}
