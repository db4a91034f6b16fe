// `npm run bench`: measures the budgets of the design and prints them as a table. Nothing here is a test.
import { benchAgenda } from './agenda';
import { benchBrowser } from './browser';
import { benchCalibration } from './calibration';
import { benchHomePicture } from './home-picture';
import { benchWhatIf } from './what-if';
import { benchLabels } from './labels';
import { benchOutlook } from './outlook';
import { benchSearch } from './search';
import { benchReadings } from './readings';
import { benchShelf } from './shelf';
import type { Row } from './row';

const rows: Row[] = [];
const add = (more: Row[]) => {
  rows.push(...more);
  for (const r of more) console.log(`  ${r.what}: ${r.measured}`);
};

console.log('Measuring; this takes about eight minutes …');
add(benchOutlook());
add(benchCalibration());
add(benchAgenda());
add(benchSearch());
add(await benchShelf());
add(await benchReadings());
add(await benchLabels());
add(await benchBrowser());
add(await benchWhatIf());
add(await benchHomePicture());

const wide = (key: keyof Row) => Math.max(...rows.map((r) => r[key].length));
const [w, b] = [wide('what'), wide('budget')];
console.log(`\n| ${'what'.padEnd(w)} | ${'budget'.padEnd(b)} | measured |`);
console.log(`|${'-'.repeat(w + 2)}|${'-'.repeat(b + 2)}|---|`);
for (const r of rows) console.log(`| ${r.what.padEnd(w)} | ${r.budget.padEnd(b)} | ${r.measured} |`);
