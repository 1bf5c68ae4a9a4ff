/** `npm run bench -- NAME`: one benchmark of tests/bench; its last line is JSON with the figures. */
import { existsSync, readdirSync } from 'node:fs';
import { installPackages, root, run } from './lib.mjs';

const name = process.argv[2] ?? '';
const folder = `${root}tests/bench/`;
const known = readdirSync(folder)
  .filter((file) => file.endsWith('.bench.ts'))
  .map((file) => file.replace('.bench.ts', ''));
if (!/^[a-z]+$/.test(name) || !existsSync(`${folder}${name}.bench.ts`)) {
  console.error(`Name a benchmark: ${known.map((bench) => `npm run bench -- ${bench}`).join(', ')}`);
  process.exit(2);
}
installPackages();
if (!existsSync(`${root}.svelte-kit/tsconfig.json`)) run('npx', ['svelte-kit', 'sync']);
process.exit(run('npx', ['tsx', `${folder}${name}.bench.ts`, ...process.argv.slice(3)]));
