import { placeLabels, type LabelSheet } from '@gentle-burrow/core/labels';
import { designLabel, type LabelText } from './design';
import type { Faces } from './fonts';

/** What no XML may hold, not even escaped: control characters, and halves of letters (XML 1.0, production 2). */
const NOT_IN_XML = /[^\t\n\r\u0020-\uD7FF\uE000-\uFFFD\u{10000}-\u{10FFFF}]/gu;

const escaped = (text: string): string =>
  text.replace(NOT_IN_XML, '').replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`);

const n = (mm: number): string => String(Math.round(mm * 1000) / 1000);

/** One sheet as SVG in real size, with its faces inside, so that it prints alike everywhere. */
export function labelsSvg(
  sheet: LabelSheet,
  labels: readonly LabelText[],
  skip: number,
  page: number,
  faces: Faces,
): string {
  const { widthMm, heightMm } = sheet.page;
  const inner = placeLabels(sheet, labels.length, skip).flatMap((at, i) => {
    if (at.page !== page) return [];
    const marks = designLabel(sheet, labels[i] as LabelText, faces);
    const box = (xMm: number, yMm: number, w: number, h: number) =>
      `M${n(at.xMm + xMm)} ${n(at.yMm + yMm)}h${n(w)}v${n(h)}h-${n(w)}z`;
    const boxes = (kind: 'dark' | 'pale') =>
      marks.flatMap((m) => (m.kind === kind ? [box(m.xMm, m.yMm, m.widthMm, m.heightMm)] : [])).join('');
    const code = marks
      .flatMap((m) => {
        if (m.kind !== 'code') return [];
        const { xMm, yMm, squareMm: mm, runs } = m;
        return Array.from({ length: runs.length / 3 }, (_, i) => {
          const [column = 0, row = 0, many = 0] = runs.slice(3 * i, 3 * i + 3);
          return box(xMm + column * mm, yMm + row * mm, many * mm, mm);
        });
      })
      .join('');
    const words = marks.flatMap((m) =>
      m.kind === 'text'
        ? [
            `<text class="${m.face}" x="${n(at.xMm + m.xMm)}" y="${n(at.yMm + m.yMm)}" font-size="${n(m.sizeMm)}">${escaped(m.text)}</text>`,
          ]
        : [],
    );
    const cut =
      sheet.kind === 'strip'
        ? `<rect x="${n(at.xMm)}" y="${n(at.yMm)}" width="${n(sheet.label.widthMm)}" height="${n(sheet.label.heightMm)}" fill="none" stroke="#999" stroke-width="0.1"/>`
        : '';
    return [
      `<g>${cut}<path d="${boxes('pale')}" fill="#ccc"/><path d="${code}${boxes('dark')}" shape-rendering="crispEdges"/>${words.join('')}</g>`,
    ];
  });
  const face = (name: keyof Faces) =>
    `@font-face{font-family:"label-${name}";src:url(data:font/ttf;base64,${Buffer.from(faces[name].bytes).toString('base64')})}.${name}{font-family:"label-${name}",sans-serif}`;
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${widthMm}mm" height="${heightMm}mm" viewBox="0 0 ${widthMm} ${heightMm}">` +
    `<style>${face('regular')}${face('bold')}</style><rect width="100%" height="100%" fill="#fff"/>${inner.join('')}</svg>`
  );
}
