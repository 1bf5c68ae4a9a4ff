/**
 * `npm test`: installs what the tests need, then formatting, lint, types, unit tests, build and browser tests.
 * Everything runs even when something fails; the last line counts tests and checks together.
 */
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { build, installChromium, installPackages, root, run } from './lib.mjs';

installPackages();
installChromium();
rmSync(`${root}test-results`, { recursive: true, force: true });
mkdirSync(`${root}test-results`);

let passed = 0;
let failed = 0;

/** A check that passes or fails as a whole. */
function check(name, command, args) {
  console.log(`\n== ${name}`);
  if (run(command, args) === 0) passed++;
  else failed++;
}

/** A suite that writes its own counts; one that ends badly without a failed test counts as one. */
function suite(name, command, args, report, count) {
  console.log(`\n== ${name}`);
  const code = run(command, args);
  const file = `${root}test-results/${report}`;
  const counts = existsSync(file) ? count(JSON.parse(readFileSync(file, 'utf8'))) : { passed: 0, failed: 0 };
  passed += counts.passed;
  failed += counts.failed;
  if (code !== 0 && counts.failed === 0) failed++;
  if (code === 0 && counts.passed === 0) failed++;
}

run('npx', ['svelte-kit', 'sync']);
check('Formatting', 'npx', ['prettier', '--check', '--log-level', 'warn', '.']);
check('Lint', 'npx', ['eslint', '.', '--max-warnings', '0']);
check('Types', 'npx', ['svelte-check', '--fail-on-warnings']);
suite(
  'Unit tests',
  'npx',
  ['mocha', '--reporter', 'scripts/mocha-reporter.mjs'],
  'unit.json',
  ({ stats }) => ({
    passed: stats.passes,
    failed: stats.failures
  })
);
console.log('\n== Build');
build();
suite('Browser tests', 'npx', ['playwright', 'test'], 'e2e.json', ({ stats }) => ({
  passed: stats.expected,
  failed: stats.unexpected + stats.flaky
}));

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
