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
  fnArray.forEach((fn, i) => {
    const args = argsArray[i];
    if (fn === OPS.setFillGray || fn === OPS.setFillRGBColor) black = [...args].every((v) => v === 0);
    // a path of one rectangle: left, lower, width, height
    if (fn === OPS.constructPath && args[0].length === 1 && args[0][0] === OPS.rectangle) {
      const [x, y, w, h] = args[1];
      open.push([x, y, x + w, y + h]);
    }
    if (fn !== OPS.fill) return;
    if (black) dark.push(...open);
    open = [];
  });
  pages.push({ width, height, words: (await page.getTextContent()).items.map((i) => i.str), dark });
}
console.log(JSON.stringify(pages));
