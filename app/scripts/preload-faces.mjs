// After `expo export`: the faces that nearly all text has are asked for at once, while the script is still being read, so
// that text is drawn in them from the first and nothing moves when they come.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { basename } from 'node:path';

const FACES = ['AtkinsonHyperlegible_400Regular', 'AtkinsonHyperlegible_700Bold', 'Vollkorn_500Medium'];
const PAGE = 'dist/index.html';
const HEAD_END = '</head>';

const assets = readdirSync('dist/assets', { recursive: true }).map((path) => path.replaceAll('\\', '/'));
const links = FACES.map((face) => {
  const found = assets.filter((path) => basename(path).startsWith(`${face}.`));
  if (found.length !== 1) throw new Error(`${face}: one file is wanted in dist/assets, not ${found.length}.`);
  return `<link rel="preload" as="font" type="font/ttf" href="/assets/${found[0]}" crossorigin="anonymous" />`;
});
const page = readFileSync(PAGE, 'utf8');
if (!page.includes(HEAD_END)) throw new Error(`${PAGE} has no head.`);
writeFileSync(PAGE, page.replace(HEAD_END, `${links.join('')}${HEAD_END}`));
