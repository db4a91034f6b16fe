// `npm test`: everything that must hold, from an empty checkout: lint, types, unit tests, build, end-to-end tests.
// Goes on after a failure, so that one run shows all of them. The last line is "N passed, N failed".
import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBuilt, ensureInstalled, root } from './prepare.mjs';
import { startPostgres } from './postgres.mjs';
import { ensureChromium } from './system.mjs';

const results = mkdtempSync(join(tmpdir(), 'burrow-test-'));
let passed = 0;
let failed = 0;

function heading(text) {
  console.log(`\n— ${text}`);
}

function run(command, args, env = {}) {
  return (
    spawnSync(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...env } }).status === 0
  );
}

function step(name, command, args) {
  heading(name);
  if (run(command, args)) passed++;
  else {
    failed++;
    console.error(`${name} failed.`);
  }
}

/** Adds the counts of a report; a run that ended badly without one failed test counts as a failure itself. */
function count(ok, { good, bad }, what) {
  passed += good;
  failed += bad;
  if (!ok && bad === 0) {
    failed++;
    console.error(`${what} ended badly.`);
  }
  if (good + bad === 0) {
    failed++;
    console.error(`${what} ran no test.`);
  }
}

function report(file) {
  return existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : {};
}

await ensureInstalled();
step('lint', 'npx', ['eslint', '.', '--max-warnings', '0']);
step('format', 'npx', ['prettier', '--check', '--log-level', 'warn', '.']);
for (const part of ['core', 'contract', 'server', 'app', 'e2e', 'scripts'])
  step(`types of ${part}`, 'npx', ['tsc', '-p', part]);

heading('unit tests');
const postgres = startPostgres();
if (!postgres) console.log('No PostgreSQL here: the storage suite runs on PGlite alone.');
const jestFile = join(results, 'jest.json');
const jestOk = run('npx', ['jest', '--json', `--outputFile=${jestFile}`, '--silent=false'], {
  ...(postgres ? { TEST_DATABASE_URL: postgres.url } : {}),
});
postgres?.stop();
const jest = report(jestFile);
count(
  jestOk,
  { good: jest.numPassedTests ?? 0, bad: (jest.numFailedTests ?? 0) + (jest.numRuntimeErrorTestSuites ?? 0) },
  'Jest',
);

heading('build');
let built = true;
try {
  await ensureBuilt();
  passed++;
} catch (error) {
  built = false;
  failed++;
  console.error(error.message);
}

heading('end-to-end tests');
if (built && ensureChromium()) {
  const file = join(results, 'e2e.json');
  const ok = run('npx', ['playwright', 'test', '-c', 'e2e', '--reporter=list,json'], {
    PLAYWRIGHT_JSON_OUTPUT_NAME: file,
  });
  const { stats = {} } = report(file);
  count(ok, { good: (stats.expected ?? 0) + (stats.flaky ?? 0), bad: stats.unexpected ?? 0 }, 'Playwright');
} else {
  failed++;
  console.error('The end-to-end tests could not run.');
}

rmSync(results, { recursive: true, force: true });
process.exitCode = failed > 0 ? 1 : 0;
console.log(`\n${passed} passed, ${failed} failed`);
