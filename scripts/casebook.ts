// `npm run casebook [-- WORDS]`: tries every situation of the case book, or those whose title holds the words, and tells what fails.
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parse } from 'yaml';
import { answerTo, failuresOf, type Situation } from '@gentle-burrow/core/world/casebook';

const folder = join(import.meta.dirname, '..', 'casebook');
const words = process.argv.slice(2).join(' ').toLowerCase();
let tried = 0;
let failed = 0;
for (const file of readdirSync(folder)
  .filter((f) => f.endsWith('.yaml'))
  .sort()) {
  for (const s of parse(readFileSync(join(folder, file), 'utf8')) as Situation[]) {
    if (words && !`${file} ${s.case}`.toLowerCase().includes(words)) continue;
    tried++;
    const answer = answerTo(s);
    const failures = failuresOf(s, answer);
    if (failures.length === 0 && !(words && process.env.TELL)) continue;
    failed += Number(failures.length > 0);
    console.log(`\n${file}: ${s.case}\n  ${failures.join('\n  ')}`);
    console.log(`  said: [${answer.pressure}] ${answer.headline} | rest until ${answer.restUntil ?? '–'}`);
    for (const v of answer.verdicts) console.log(`    ${v.id} [${v.pressure}] ${v.answer} | ${v.text}`);
    for (const d of answer.due)
      console.log(
        `    due ${d.task} ${d.notBefore.slice(0, 16)} .. ${d.notAfter.slice(0, 16)} ${d.obligatory ? 'must' : 'may'}`,
      );
  }
}
console.log(`\n${tried} situations, ${failed} fail.`);
process.exitCode = failed > 0 ? 1 : 0;
