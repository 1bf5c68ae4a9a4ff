import { expect } from 'chai';
import { ESLint } from 'eslint';

/** The arrows between rooms and the purity of the core hold because lint says so; this proves that it does. */
describe('rooms', function () {
  // ESLint reads its whole configuration before the first line.
  this.timeout(120_000);
  const lint = new ESLint({ cwd: new URL('../..', import.meta.url).pathname });
  const complaints = async (file: string, code: string): Promise<string[]> => {
    const [result] = await lint.lintText(code, { filePath: file });
    return (result?.messages ?? [])
      .map(({ ruleId }) => ruleId ?? 'parse')
      .filter((rule) => rule.startsWith('no-restricted'));
  };
  const forbidden: [why: string, file: string, code: string][] = [
    [
      'an arrow upwards inside the core',
      'src/lib/core/units/x.ts',
      `import { plan } from '$lib/core/plan';\nexport const x = plan;`
    ],
    [
      'a room reached past its index',
      'src/lib/core/plan/x.ts',
      `import { roundTo } from '$lib/core/units/length';\nexport const x = roundTo;`
    ],
    [
      'a path out of the folder',
      'src/lib/core/plan/x.ts',
      `import { roundTo } from '../units';\nexport const x = roundTo;`
    ],
    [
      'a page library in the core',
      'src/lib/core/plan/x.ts',
      `import Dexie from 'dexie';\nexport const x = Dexie;`
    ],
    [
      'storage in the core',
      'src/lib/core/plan/x.ts',
      `import { getItem } from '$lib/data';\nexport const x = getItem;`
    ],
    ['the clock', 'src/lib/core/plan/x.ts', 'export const x = Date.now();'],
    ['the clock by another door', 'src/lib/core/plan/x.ts', 'export const x = new Date();'],
    ['chance', 'src/lib/core/plan/x.ts', 'export const x = Math.random();'],
    ['the network', 'src/lib/core/plan/x.ts', `export const x = fetch('/');`],
    ['the page', 'src/lib/core/plan/x.ts', 'export const x = document.title;'],
    [
      'data reached from a component',
      'src/lib/ui/x.ts',
      `import { getItem } from '$lib/data';\nexport const x = getItem;`
    ],
    [
      'a core room reached past its index from a screen’s component',
      'src/lib/ui/x.ts',
      `import { plan } from '$lib/core/plan/plan';\nexport const x = plan;`
    ]
  ];
  for (const [why, file, code] of forbidden) {
    it(`forbid ${why}`, async () => expect(await complaints(file, code)).to.not.deep.equal([]));
  }
  it('allow what the arrows allow', async () => {
    expect(
      await complaints(
        'src/lib/core/plan/x.ts',
        `import { roundTo } from '$lib/core/units';\nexport const x = roundTo(new Date(0).getTime(), 1);`
      )
    ).to.deep.equal([]);
    expect(
      await complaints('src/lib/ui/x.ts', `import { plan } from '$lib/core/plan';\nexport const x = plan;`)
    ).to.deep.equal([]);
  });
});
