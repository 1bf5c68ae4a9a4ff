/** `npm run unit`: every unit test, or the files named: `npm run unit -- tests/unit/units.test.ts`. */
import { readdirSync } from 'node:fs';
import { root, run } from './lib.mjs';

const named = process.argv.slice(2);
const files = readdirSync(`${root}tests/unit`)
  .filter((name) => name.endsWith('.test.ts'))
  .map((name) => `tests/unit/${name}`);
const asked = named.some((each) => !each.startsWith('-')) ? named : [...named, ...files];
process.exit(run('npx', ['mocha', ...asked]));
