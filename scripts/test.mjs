// `npm test`: everything that must hold, from an empty checkout: lint, types, unit tests, build, end-to-end tests.
// Goes on after a failure, so that one run shows all of them. The last line is "N passed, N failed".
import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, statfsSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureInstalled, root } from './prepare.mjs';
import { startPostgres } from './postgres.mjs';
import { ensureChromium } from './system.mjs';

const results = mkdtempSync(join(tmpdir(), 'burrow-test-'));
const passing = mkdtempSync(join(inMemory() ?? tmpdir(), 'burrow-passing-'));
const cache = join(root, 'node_modules', '.cache', 'jest');
let passed = 0;
let failed = 0;

/** Tests make and throw away hundreds of data directories: where there is room they lie in the memory. Undefined where there is none. */
function inMemory() {
  try {
    const { bavail, bsize } = statfsSync('/dev/shm');
    return bavail * bsize > 6 * 1024 ** 3 ? '/dev/shm' : undefined;
  } catch {
    return undefined;
  }
}

function heading(text) {
  console.log(`\n— ${text}`);
}

/** How long something took, for whoever wants the whole run quicker. */
async function timed(name, work) {
  const began = performance.now();
  const answer = await work();
  console.log(`(${name}: ${((performance.now() - began) / 1000).toFixed(0)} s)`);
  return answer;
}

/**
 * Runs a command beside others.
 * @returns whether it ended well; what it printed is kept back until it ends when it runs beside a louder one
 */
function run(command, args, { env = {}, quiet = false } = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, {
      cwd: root,
      stdio: quiet ? ['ignore', 'pipe', 'pipe'] : 'inherit',
      env: { ...process.env, TMPDIR: passing, ...env },
    });
    let said = '';
    child.stdout?.on('data', (d) => (said += d));
    child.stderr?.on('data', (d) => (said += d));
    child.on('close', (code) => resolve({ ok: code === 0, said }));
  });
}

async function step(name, command, args) {
  const { ok, said } = await timed(name, () => run(command, args, { quiet: true }));
  console.log(`\n— ${name}\n${said}`.trimEnd());
  if (ok) passed++;
  else {
    failed++;
    console.error(`${name} failed.`);
  }
  return ok;
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

/** Unit tests of some projects, one after the other in one process. */
async function unitTests(projects, env = {}) {
  heading(`unit tests of ${projects.join(', ')}`);
  const jestFile = join(results, `jest-${projects[0]}.json`);
  const { ok } = await timed(`unit tests of ${projects.join(', ')}`, () =>
    run(
      'npx',
      [
        'jest',
        '--maxWorkers=1',
        `--cacheDirectory=${cache}`,
        '--selectProjects',
        ...projects,
        '--json',
        `--outputFile=${jestFile}`,
        '--silent=false',
      ],
      { env },
    ),
  );
  const jest = report(jestFile);
  count(
    ok,
    {
      good: jest.numPassedTests ?? 0,
      bad: (jest.numFailedTests ?? 0) + (jest.numRuntimeErrorTestSuites ?? 0),
    },
    `Jest of ${projects.join(', ')}`,
  );
}

/** With a PostgreSQL server where there is one. */
async function unitTestsOfServer() {
  const postgres = startPostgres();
  if (!postgres) console.log('No PostgreSQL here: the storage suite runs on PGlite alone.');
  await unitTests(['server'], postgres ? { TEST_DATABASE_URL: postgres.url } : {});
  postgres?.stop();
}

let built = false;

/** What one core does at a time, what takes long first, so that both end at about the same moment. */
const work = [
  // the server's tests start what is built
  async () => {
    built = await step('build', process.execPath, [join('scripts', 'prepare.mjs')]);
    await unitTestsOfServer();
  },
  () => unitTests(['app']),
  () => step('lint', 'npx', ['eslint', '.', '--max-warnings', '0']),
  () => unitTests(['core', 'contract']),
  () => step('format', 'npx', ['prettier', '--check', '--log-level', 'warn', '.']),
  ...['server', 'app', 'core', 'scripts', 'contract', 'e2e'].map(
    (part) => () => step(`types of ${part}`, 'npx', ['tsc', '-p', part]),
  ),
  () => step('cycles', 'npm', ['run', '--silent', 'cycles']),
];

async function core() {
  for (let next = work.shift(); next; next = work.shift()) await next();
}

await timed('installation', async () => ensureInstalled());
await timed('what needs no browser', () => Promise.all([core(), core()]));

heading('end-to-end tests');
if (built && ensureChromium()) {
  const file = join(results, 'e2e.json');
  const { ok } = await timed('end-to-end tests', () =>
    run('npx', ['playwright', 'test', '-c', 'e2e', '--reporter=list,json'], {
      env: { PLAYWRIGHT_JSON_OUTPUT_NAME: file },
    }),
  );
  const { stats = {} } = report(file);
  count(ok, { good: (stats.expected ?? 0) + (stats.flaky ?? 0), bad: stats.unexpected ?? 0 }, 'Playwright');
} else {
  failed++;
  console.error('The end-to-end tests could not run.');
}

for (const folder of [results, passing]) rmSync(folder, { recursive: true, force: true });
process.exitCode = failed > 0 ? 1 : 0;
console.log(`\n${passed} passed, ${failed} failed`);
