import { readFileSync, readdirSync } from 'node:fs';
import { parse } from 'yaml';
import { allTexts, answerTo, type Situation } from '../core/src/world/casebook';
const [words, pat] = process.argv.slice(2);
for (const f of readdirSync('casebook'))
  for (const s of parse(readFileSync('casebook/' + f, 'utf8')) as Situation[])
    if (s.case.includes(words!))
      console.log(
        s.case,
        allTexts(answerTo(s)).filter((t) => new RegExp(pat!, 'i').test(t)),
      );
