/**
 * `npm test`: installs what the tests need, then formatting, lint, types, unit tests and the build side by side, and browser
 * tests on that build. Everything runs even when something fails; the last line counts tests and checks together.
 */
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { installChromium, installPackages, root, run } from './lib.mjs';

installPackages();
installChromium();
rmSync(`${root}test-results`, { recursive: true, force: true });
mkdirSync(`${root}test-results`);

let passed = 0;
let failed = 0;
/** What failed, told once more at the end: the first of it is far up by then. */
const failures = [];
const began = Date.now();

/** Runs a command to its end; what it says is kept together. */
function finished(name, command, args, env = {}) {
  const from = Date.now();
  return new Promise((done) => {
    const child = spawn(command, args, { cwd: root, env: { ...process.env, ...env, FORCE_COLOR: '0' } });
    let said = '';
    child.stdout.on('data', (part) => (said += part));
    child.stderr.on('data', (part) => (said += part));
    child.on('close', (code) => {
      console.log(`\n== ${name}, ${Math.round((Date.now() - from) / 1000)} s\n${said.trim()}`);
      done(code ?? 1);
    });
  });
}

/** A check that passes or fails as a whole. */
const check = (name, command, args) => async () => {
  if ((await finished(name, command, args)) === 0) passed++;
  else {
    failed++;
    failures.push(`${name}: see above`);
  }
};

/** Counts a suite that writes its own counts; one that ends badly without a failed test counts as one. */
function counted(code, report, count) {
  const file = `${root}test-results/${report}`;
  const counts = existsSync(file) ? count(JSON.parse(readFileSync(file, 'utf8'))) : { passed: 0, failed: 0 };
  passed += counts.passed;
  failed += counts.failed;
  if ((code !== 0 && counts.failed === 0) || (code === 0 && counts.passed === 0)) {
    failed++;
    failures.push(`${report}: ended with code ${code} and no count`);
  }
}

/** Every test with how long it took, ms. */
const times = [];
/** Tests of the browser’s report, wherever they are nested. */
const testsIn = ({ suites = [], specs = [] }) => [
  ...suites.flatMap(testsIn),
  ...specs.map(({ title, tests }) => ({
    title,
    ms: Math.max(...tests.flatMap(({ results }) => results.map(({ duration }) => duration)))
  }))
];

/** Every second file of unit tests: two halves take turns with the other checks, so that neither lane waits for long. */
const unitTests = (half) => async () => {
  const report = `unit-${half + 1}.json`;
  const files = joined.filter((name, at) => !name.endsWith('.js') || at % 2 === half);
  const args = ['mocha', '--reporter', 'scripts/mocha-reporter.mjs', ...files];
  const code = await finished(`Unit tests, half ${half + 1}`, 'npx', args, { UNIT_REPORT: report });
  counted(code, report, ({ stats, times: own, failures: told }) => {
    times.push(...own);
    failures.push(...told);
    return { passed: stats.passes, failed: stats.failures };
  });
};

/** Works through tasks, so many at a time. */
async function sideBySide(tasks, lanes) {
  const left = [...tasks];
  const lane = async () => {
    for (let task = left.shift(); task; task = left.shift()) await task();
  };
  await Promise.all(Array.from({ length: lanes }, lane));
}

run('npx', ['svelte-kit', 'sync']);
// What it needs is installed only now.
const { bundled, unitFiles } = await import('./bundle-tests.mjs');
const joined = await bundled(unitFiles());
let built = false;
await sideBySide(
  [
    async () => {
      built = (await finished('Build', 'npm', ['run', '--silent', 'build'])) === 0;
      if (!built) {
        failed++;
        failures.push('Build: see above');
      }
    },
    unitTests(0),
    unitTests(1),
    check('Types', 'npx', ['svelte-check', '--fail-on-warnings']),
    check('Lint', 'npx', ['eslint', '.', '--max-warnings', '0']),
    check('Unused', 'npx', ['knip', '--no-progress']),
    check('Formatting', 'npx', ['prettier', '--check', '--log-level', 'warn', '.'])
  ],
  2
);
if (built) {
  console.log('\n== Browser tests');
  counted(run('npx', ['playwright', 'test']), 'e2e.json', ({ stats, suites }) => {
    times.push(...testsIn({ suites }));
    if (stats.flaky > 0) console.log(`\n${stats.flaky} passed only at the second try`);
    return { passed: stats.expected + stats.flaky, failed: stats.unexpected };
  });
}

console.log('\nThe slowest ten tests:');
for (const { title, ms } of times.toSorted((a, b) => b.ms - a.ms).slice(0, 10))
  console.log(`${String(Math.round(ms / 1000)).padStart(5)} s  ${title}`);
if (failures.length > 0) console.log('\nWhat failed, apart from the browser tests listed above:');
for (const each of failures) console.log(`  ${each.slice(0, 2000)}`);
console.log(`\nIn ${Math.round((Date.now() - began) / 1000)} s`);
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
