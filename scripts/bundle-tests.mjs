/** The unit tests as plain JavaScript: read and joined once, not file by file in every process that runs some of them. */
import { readdirSync, readFileSync, rmSync } from 'node:fs';
import { basename } from 'node:path';
import { pathToFileURL } from 'node:url';
import { build } from 'esbuild';
import { root } from './lib.mjs';

/** Every file of unit tests, from the root of the project. */
export const unitFiles = () =>
  readdirSync(`${root}tests/unit`)
    .filter((name) => name.endsWith('.test.ts'))
    .map((name) => `tests/unit/${name}`);

/** A module keeps the address of its source: tests read the files beside theirs. */
const ownAddress = {
  name: 'own-address',
  setup({ onLoad }) {
    onLoad({ filter: /\.ts$/ }, ({ path }) => ({
      contents: readFileSync(path, 'utf8').replaceAll(
        'import.meta.url',
        JSON.stringify(pathToFileURL(path).href)
      ),
      loader: 'ts'
    }));
  }
};

/**
 * Joins files of unit tests with what they import, but no packages.
 *
 * @param files from the root of the project, such as `tests/unit/units.test.ts`
 * @returns what Mocha is given after its name, such as `['--no-config', …, 'tmp/unit/units.test.js']`
 */
export async function bundled(files) {
  const outdir = `${root}tmp/unit`;
  rmSync(outdir, { recursive: true, force: true });
  await build({
    absWorkingDir: root,
    entryPoints: files,
    outdir,
    bundle: true,
    splitting: true,
    format: 'esm',
    platform: 'node',
    target: 'node20',
    packages: 'external',
    sourcemap: true,
    logLevel: 'warning',
    plugins: [ownAddress]
  });
  const built = files.map((file) => `tmp/unit/${basename(file, '.ts')}.js`);
  // The database of the browser must be there before Dexie is: joined files load their packages in an order of their own.
  const first = ['--require', 'fake-indexeddb/auto'];
  return ['--enable-source-maps', '--no-config', ...first, '--timeout', '120000', ...built];
}
