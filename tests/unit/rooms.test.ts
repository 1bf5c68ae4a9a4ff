import { expect } from 'chai';
import { ESLint } from 'eslint';
import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import ts from 'typescript';
import { coreRooms, libRooms, wings } from '../../rooms.js';

const ROOT = new URL('../..', import.meta.url).pathname;

/** The arrows between rooms and the purity of the core hold because lint says so; this proves that it does. */
describe('rooms', function () {
  // ESLint reads its whole configuration before the first line.
  this.timeout(120_000);
  const lint = new ESLint({ cwd: ROOT });
  const complaints = async (file: string, code: string): Promise<string[]> => {
    const [result] = await lint.lintText(code, { filePath: file });
    return (result?.messages ?? [])
      .map(({ ruleId }) => ruleId ?? 'parse')
      .filter((rule) => rule.startsWith('no-restricted'));
  };
  const imports = (from: string): string => `import { x } from '${from}';\nexport const y = x;`;
  const core = 'src/lib/core/making/plan/x.ts';
  const forbidden: [why: string, file: string, code: string][] = [
    ['a wing that imports a wing above it', 'src/lib/core/base/units/x.ts', imports('$lib/core/making/plan')],
    [
      'a type from a wing above',
      core,
      `import type { X } from '$lib/core/ordering/day';\nexport type Y = X;`
    ],
    [
      'a room of the own wing that is not named',
      'src/lib/core/craft/stack/x.ts',
      imports('$lib/core/making/plan')
    ],
    ['a room reached past its index', core, imports('$lib/core/base/units/length')],
    ['a wing as a whole', core, imports('$lib/core/base')],
    ['a room nobody listed', core, imports('$lib/core/base/weather')],
    ['a path out of the folder', core, imports('../stack')],
    ['a folder inside a room', 'src/lib/core/making/plan/deep/x.ts', 'export const y = 1;'],
    ['a wing that no table lists', 'src/lib/core/attic/loft/x.ts', 'export const y = 1;'],
    ['a room that no table lists', 'src/lib/core/making/weather/x.ts', 'export const y = 1;'],
    ['a folder beside the core that no table lists', 'src/lib/attic/x.ts', 'export const y = 1;'],
    ['a package of pages in the core', core, imports('dexie')],
    ['a module of the server in the core', core, imports('node:fs')],
    ['storage in the core', core, imports('$lib/data')],
    ['a dynamic import', core, `export const y = () => import('$lib/core/base/units');`],
    ['a type by dynamic import', core, `export type Y = import('$lib/core/ordering/day').X;`],
    ['the clock', core, 'export const y = Date.now();'],
    ['the clock by another door', core, 'export const y = new Date();'],
    ['the clock as words', core, 'export const y = Date();'],
    ['the clock of the page', core, 'export const y = performance.now();'],
    ['the world under its own name', core, 'export const y = globalThis.Date;'],
    ['chance', core, 'export const y = Math.random();'],
    ['the network', core, `export const y = fetch('/');`],
    ['the page', core, 'export const y = document.title;'],
    ['the clock under another name', core, 'const D = Date;\nexport const y = new D(0);'],
    ['chance under another name', core, 'const { random } = Math;\nexport const y = random;'],
    ['the clock by reflection', core, 'export const y = Reflect.construct(Date, []);'],
    ['now as words', core, `export const y = new Intl.DateTimeFormat('en').format();`],
    ['the hour of the maker’s own zone', core, 'export const y = (at: Date) => at.getHours();'],
    ['plain JavaScript in a core room', 'src/lib/core/making/plan/x.js', 'export const y = 1;'],
    ['another kind of module in a core room', 'src/lib/core/making/plan/x.mts', 'export const y = 1;'],
    ['a component in a core room', 'src/lib/core/making/plan/X.svelte', '<p>x</p>'],
    ['a room fetched by a dynamic import', 'src/lib/ui/x.ts', `export const y = () => import('$lib/data');`],
    [
      'a type by dynamic import beside the core',
      'src/lib/ui/x.ts',
      `export type Y = import('$lib/data').NotStored;`
    ],
    ['the database reached past its index', 'src/routes/x.ts', imports('$lib/data/db')],
    ['the database by a path', 'src/routes/x.ts', imports('../lib/data/db')],
    ['the database’s library in a screen', 'src/routes/x.ts', imports('dexie')],
    ['the server in a screen', 'src/routes/x.ts', imports('$lib/server')],
    ['a screen’s library in a route of the server', 'src/routes/api/x/+server.ts', imports('svelte-sonner')],
    ['data reached from a component', 'src/lib/ui/x.ts', imports('$lib/data')],
    ['a way out of a room beside the core', 'src/lib/ui/x.ts', imports('../data')],
    ['a package nobody listed for a room', 'src/lib/data/x.ts', imports('pdf-lib')],
    ['a worker reached from the database', 'src/lib/data/x.ts', imports('$lib/workers')],
    [
      'a core room reached past its index from beside',
      'src/lib/ui/x.ts',
      imports('$lib/core/making/plan/plan')
    ],
    [
      'a core room reached past its index from a screen',
      'src/routes/x.ts',
      imports('$lib/core/making/plan/plan')
    ],
    ['the database reached past its index', 'src/routes/x.ts', imports('$lib/data/db')],
    ['the core reached by a path from a screen', 'src/routes/x.ts', imports('../lib/core/making/plan')]
  ];
  for (const [why, file, code] of forbidden) {
    it(`forbid ${why}`, async () => expect(await complaints(file, code)).to.not.deep.equal([]));
  }
  const allowed: [file: string, code: string][] = [
    [core, `import { x } from '$lib/core/base/units';\nexport const y = x(new Date(0).getTime(), 1);`],
    [core, imports('$lib/core/craft/stack')],
    [core, imports('./steps')],
    ['src/lib/ui/x.ts', imports('$lib/core/making/plan')],
    ['src/lib/ui/hoop/x.ts', imports('$lib/ui/colour')],
    ['src/routes/x.ts', imports('$lib/data')],
    ['src/routes/x.ts', imports('date-fns')]
  ];
  for (const [file, code] of allowed) {
    it(`allow ${code.split("'")[1]} in ${file}`, async () =>
      expect(await complaints(file, code)).to.deep.equal([]));
  }

  it('stand on the disk as the table lists them', () => {
    const there = readdirSync(join(ROOT, 'src/lib/core')).flatMap((wing) =>
      readdirSync(join(ROOT, 'src/lib/core', wing)).map((room) => `${wing}/${room}`)
    );
    expect(there.toSorted()).to.deep.equal(coreRooms.toSorted());
  });

  it('name only rooms of their wing that stand before them, so that no circle can be', () => {
    for (const rooms of Object.values(wings) as Record<string, string[]>[]) {
      const names = Object.keys(rooms);
      for (const [room, doors] of Object.entries(rooms))
        for (const door of doors)
          expect(names.indexOf(door), `${room} -> ${door}`).to.be.within(0, names.indexOf(room) - 1);
    }
  });

  it('have no files that import each other in a circle, not even types', () => {
    const files = filesIn(join(ROOT, 'src/lib/core'));
    const imported = new Map(
      files.map((file) => [
        file,
        ts
          .preProcessFile(readFileSync(join(ROOT, file), 'utf8'))
          .importedFiles.filter(({ fileName }) => fileName.startsWith('./'))
          .map(({ fileName }) => join(file, '..', `${fileName}.ts`))
      ])
    );
    const done = new Set<string>();
    const visit = (file: string, way: readonly string[]): void => {
      expect(way, `${[...way, file].join(' -> ')}`).to.not.include(file);
      if (done.has(file)) return;
      for (const next of imported.get(file) ?? []) visit(next, [...way, file]);
      done.add(file);
    };
    expect(files.length).to.be.above(200);
    for (const file of files) visit(file, []);
  });
});

function filesIn(folder: string): string[] {
  return readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.ts'))
    .map((file) => relative(ROOT, join(folder, file)));
}

describe('doors between rooms', () => {
  it('are used, each of them', () => {
    const textOf = (folder: string): string =>
      readdirSync(join(ROOT, folder), { recursive: true, withFileTypes: true })
        .filter((file) => file.isFile() && /\.(?:ts|svelte)$/.test(file.name))
        .map((file) => readFileSync(join(file.parentPath, file.name), 'utf8'))
        .join('\n');
    const uses = (text: string, name: string): boolean =>
      ["from '", "import '", "import('"].some((how) =>
        ["'", '/'].some((end) => text.includes(`${how}${name}${end}`))
      );
    const unused = Object.entries(wings).flatMap(([wing, rooms]) =>
      Object.entries(rooms).flatMap(([room, doors]: [string, string[]]) => {
        const text = textOf(`src/lib/core/${wing}/${room}`);
        return doors
          .filter((door) => !uses(text, `$lib/core/${wing}/${door}`))
          .map((door) => `${wing}/${room} -> ${door}`);
      })
    );
    const besides = Object.entries(libRooms).flatMap(([room, { rooms, packages }]) => {
      const text = textOf(`src/lib/${room}`);
      return [...rooms.map((other) => `$lib/${other}`), ...packages]
        .filter((door) => !uses(text, door))
        .map((door) => `${room} -> ${door}`);
    });
    expect([...unused, ...besides]).to.deep.equal([]);
  });
});
