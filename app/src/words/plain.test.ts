/// <reference types="node" />
import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import ts from 'typescript';
import { chanceText } from './chance';
import { GLOSSARY, termsOf, withTerms } from './glossary';

const ROOT = join(__dirname, '../../..');

/** Words that a keeper with another mother tongue stumbles over, or that have a plainer name here. */
const FORBIDDEN =
  /\b(schools?|leave her be|knock(?:ed)?|name her anew|coax\w*|theorem|bits?|odds|infinity|likelihood|posterior|bayes\w*|amend\w*|withdraw\w*|oftener|whilst|albeit)\b/i;
/** In a headline not even what is honest in small print. */
const NOT_IN_HEADLINES = /\bprior\b|\b0 %/i;

/** Sentences that name what was knocked as keepers do, to say what a bump is. */
const ALLOWED = [/Dropped, shaken or knocked/];

function files(folder: string): string[] {
  return readdirSync(join(ROOT, folder), { withFileTypes: true }).flatMap((f) =>
    f.isDirectory() ? files(join(folder, f.name)) : [join(folder, f.name)],
  );
}

/** Every piece of text in a source file that reads like something said: text of the screen, and strings of several words. */
function sentences(path: string): string[] {
  const kind = path.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS;
  const source = ts.createSourceFile(
    path,
    readFileSync(join(ROOT, path), 'utf8'),
    ts.ScriptTarget.Latest,
    true,
    kind,
  );
  const found: string[] = [];
  const visit = (n: ts.Node): void => {
    const text =
      ts.isJsxText(n) ||
      (ts.isStringLiteral(n) && !ts.isImportDeclaration(n.parent) && /\s/.test(n.text)) ||
      ((ts.isNoSubstitutionTemplateLiteral(n) ||
        ts.isTemplateHead(n) ||
        ts.isTemplateMiddle(n) ||
        ts.isTemplateTail(n)) &&
        /\s/.test(n.text))
        ? n.text.replace(/\s+/g, ' ').trim()
        : '';
    if (text) found.push(text);
    ts.forEachChild(n, visit);
  };
  visit(source);
  return found;
}

const SPEAKING = [
  'app/src',
  'core/src/care',
  'core/src/founding',
  'core/src/tube',
  'core/src/species',
  'server/src',
];
const all = SPEAKING.flatMap(files).filter((f) => /\.tsx?$/.test(f) && !/\.test\.|test-kit/.test(f));

test('no sentence uses a word that has a plainer one', () => {
  expect(all.length).toBeGreaterThan(150);
  const found = all.flatMap((f) =>
    sentences(f)
      .filter((s) => FORBIDDEN.test(s) && !ALLOWED.some((a) => a.test(s)))
      .map((s) => `${relative('.', f)}: ${s}`),
  );
  expect(found).toEqual([]);
});

test('no heading speaks of a prior, nor of 0 %', () => {
  const headings = all.flatMap((f) =>
    [
      ...readFileSync(join(ROOT, f), 'utf8').matchAll(
        /(?:kind="(?:question|answer|heading)"[^>]*>|question=)([^<]*)/g,
      ),
    ].map((m) => m[1] ?? ''),
  );
  expect(headings.length).toBeGreaterThan(40);
  expect(headings.filter((h) => NOT_IN_HEADLINES.test(h))).toEqual([]);
});

test('a chance is never 0 % nor 100 %', () => {
  expect(chanceText(0.001)).toBe('almost surely not yet');
  expect(chanceText(0.4)).toBe('40 % likely');
  expect(chanceText(0.999)).toBe('almost surely');
});

test('a trade word is found in its sentence, once, in any form and the longest first', () => {
  expect(termsOf(['Eggs, larvae 3.', 'A larva, and a pupa.'])).toEqual(['larva', 'pupa']);
  const terms = (text: string) => withTerms(text).flatMap((p) => (p.term ? [p.term.word] : []));
  expect(terms('The inner plug is wet; the plug was in order.')).toEqual(['inner plug']);
  expect(terms('Her first workers are callows, and callows are soft.')).toEqual(['workers', 'callow']);
  expect(terms('Nothing of the trade here.')).toEqual([]);
  expect(
    withTerms('Larvae eat.')
      .map((p) => p.text)
      .join(''),
  ).toBe('Larvae eat.');
});

test('the glossary explains each word once, in words of its own', () => {
  const forms = GLOSSARY.flatMap((t) => [t.word, ...(t.also ?? [])]);
  expect(new Set(forms).size).toBe(forms.length);
  for (const t of GLOSSARY) expect(t.says).toMatch(/^[A-Z].*\.$/s);
});
