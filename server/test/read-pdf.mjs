// Takes a PDF on the standard input apart with a general PDF library, and prints what it found as JSON. A process of its
// own, since the library comes as ES modules only.
import { buffer } from 'node:stream/consumers';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

const pdf = await getDocument({ data: new Uint8Array(await buffer(process.stdin)), verbosity: 0 }).promise;
const pages = [];
for (let n = 1; n <= pdf.numPages; n++) {
  const page = await pdf.getPage(n);
  const [, , width, height] = page.view;
  pages.push({ width, height, words: (await page.getTextContent()).items.map((i) => i.str) });
}
console.log(JSON.stringify(pages));
