// `npm run sweep [-- --no-browser]`: demo, case book, agenda and the main end-to-end path on 26 dates of a year and more, in both hemispheres
// and three zones.
import { spawnSync } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parse } from 'yaml';
import type { Situation } from '@gentle-burrow/core/world/casebook';
import {
  demoFaults,
  failuresLater,
  namesItsYear,
  SWEEP_DATES,
  SWEEP_ZONES,
} from '@gentle-burrow/core/world/sweep';

const root = join(import.meta.dirname, '..');
let failed = 0;
const tell = (faults: readonly string[], of: string): void => {
  failed += faults.length;
  console.log(`${faults.length === 0 ? 'holds' : 'FAILS'}: ${of}`);
  for (const f of faults) console.log(`  ${f}`);
};

for (const date of SWEEP_DATES)
  tell(
    SWEEP_ZONES.flatMap((zone) => demoFaults(date, zone)),
    `demo and visits on ${date}`,
  );

const folder = join(root, 'casebook');
const book = readdirSync(folder)
  .filter((f) => f.endsWith('.yaml'))
  .flatMap((file) => parse(readFileSync(join(folder, file), 'utf8')) as Situation[])
  .filter((s) => !namesItsYear(s));
for (const years of [1, 2, 3])
  tell(
    book.flatMap((s) => failuresLater(s, years).map((f) => `${s.case}: ${f}`)),
    `case book, ${book.length} situations, ${years} years later`,
  );

if (!process.argv.includes('--no-browser')) {
  // what the browser opens is what was built of these sources
  spawnSync(process.execPath, [join('scripts', 'prepare.mjs')], { cwd: root, stdio: 'inherit' });
  SWEEP_DATES.forEach((date, i) => {
    const zone = SWEEP_ZONES[i % SWEEP_ZONES.length] as string;
    const { status, stdout } = spawnSync(
      'npx',
      [
        'playwright',
        'test',
        '-c',
        'e2e',
        '--project=phone',
        'main-job',
        '-g',
        'a new keeper',
        '--reporter=line',
      ],
      {
        cwd: root,
        encoding: 'utf8',
        env: { ...process.env, BURROW_AT: `${date}T10:00:00.000Z`, BURROW_ZONE: zone },
      },
    );
    tell(status === 0 ? [] : [stdout.slice(-1500)], `main end-to-end path on ${date} in ${zone}`);
  });
}

console.log(`\n${failed} ${failed === 1 ? 'fault' : 'faults'} in ${SWEEP_DATES.length} dates.`);
process.exitCode = failed > 0 ? 1 : 0;
