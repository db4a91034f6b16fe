// Takes a PDF on the standard input apart with a general PDF library, and prints what it found as JSON. A process of its
// own, since the library comes as ES modules only.
import { buffer } from 'node:stream/consumers';
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';

const pdf = await getDocument({ data: new Uint8Array(await buffer(process.stdin)), verbosity: 0 }).promise;
const pages = [];
for (let n = 1; n <= pdf.numPages; n++) {
  const page = await pdf.getPage(n);
  const [, , width, height] = page.view;
  const { fnArray, argsArray } = await page.getOperatorList();
  // boxes that are filled black, as [left, lower, right, upper]
  const dark = [];
  let [black, open] = [true, []];
  // how what follows is stretched and moved, [sx, sy, x, y]; nothing is turned here
  let at = [1, 1, 0, 0];
  const before = [];
  fnArray.forEach((fn, i) => {
    const args = argsArray[i];
    if (fn === OPS.setFillGray || fn === OPS.setFillRGBColor) black = [...args].every((v) => v === 0);
    if (fn === OPS.save) before.push([at, black]);
    if (fn === OPS.restore) [at, black] = before.pop();
    if (fn === OPS.transform)
      at = [at[0] * args[0], at[1] * args[3], at[2] + at[0] * args[4], at[3] + at[1] * args[5]];
    // a path of rectangles: left, lower, width, height of each
    if (fn === OPS.constructPath && args[0].every((op) => op === OPS.rectangle))
      args[0].forEach((_, k) => {
        const [x, y, w, h] = args[1].slice(4 * k, 4 * k + 4);
        const [x0, x1] = [x, x + w].map((v) => at[2] + at[0] * v).sort((a, b) => a - b);
        const [y0, y1] = [y, y + h].map((v) => at[3] + at[1] * v).sort((a, b) => a - b);
        open.push([x0, y0, x1, y1]);
      });
    if (fn !== OPS.fill) return;
    if (black) dark.push(...open);
    open = [];
  });
  pages.push({ width, height, words: (await page.getTextContent()).items.map((i) => i.str), dark });
}
console.log(JSON.stringify(pages));
