/** `npm run unit`: every unit test, or the files named: `npm run unit -- tests/unit/units.test.ts`. */
import { bundled, unitFiles } from './bundle-tests.mjs';
import { root, run } from './lib.mjs';

const named = process.argv.slice(2);
const files = named.filter((each) => each.endsWith('.ts'));
const options = named.filter((each) => !each.endsWith('.ts'));
// `--grep WORD`: what does not name a file goes to Mocha as it is.
process.exit(
  run('npx', ['mocha', ...options, ...(await bundled(files.length > 0 ? files : unitFiles()))], { cwd: root })
);
